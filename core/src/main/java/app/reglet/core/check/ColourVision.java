package app.reglet.core.check;

import app.reglet.core.design.LinearLight;
import java.util.Locale;
import java.util.StringJoiner;

/**
 * How a cover is seen by eyes that lack one kind of cones, and in gray. Lacking cones: the matrices
 * of full severity of G. M. Machado, M. M. Oliveira, L. A. F. Fernandes, A Physiologically-based
 * Model for Simulation of Color Vision Deficiency, IEEE Transactions on Visualization and Computer
 * Graphics 15 (2009), table 1 (figures from memory), for linear light. Gray: relative luminance
 * (WCAG 2.2).
 */
public enum ColourVision {
  WITHOUT_RED(
      "without red cones",
      0.152286,
      1.052583,
      -0.204868,
      0.114503,
      0.786281,
      0.099216,
      -0.003882,
      -0.048116,
      1.051998),
  WITHOUT_GREEN(
      "without green cones",
      0.367322,
      0.860646,
      -0.227968,
      0.280085,
      0.672501,
      0.047413,
      -0.011820,
      0.042940,
      0.968881),
  WITHOUT_BLUE(
      "without blue cones",
      1.255528,
      -0.076749,
      -0.178779,
      -0.078411,
      0.930809,
      0.147602,
      0.004733,
      0.691367,
      0.303900),
  GRAY("in gray", 0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722);

  private final String title;
  private final double[] matrix;

  ColourVision(String title, double... matrix) {
    this.title = title;
    this.matrix = matrix;
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** As people read it. */
  public String title() {
    return title;
  }

  /** The values of a {@code feColorMatrix} (W3C Filter Effects Module Level 1, 9.6). */
  public String filter() {
    StringJoiner rows = new StringJoiner(" ");
    for (int row = 0; row < 3; row++) {
      rows.add(
          String.format(
              Locale.ROOT,
              "%.6f %.6f %.6f 0 0",
              matrix[3 * row],
              matrix[3 * row + 1],
              matrix[3 * row + 2]));
    }
    return rows.add("0 0 0 1 0").toString();
  }

  /** How a colour is seen, 0xRRGGBB. */
  public int seen(int rgb) {
    double[] in = {
      LinearLight.of(rgb >> 16 & 0xff), LinearLight.of(rgb >> 8 & 0xff), LinearLight.of(rgb & 0xff)
    };
    int out = 0;
    for (int row = 0; row < 3; row++) {
      double v = 0;
      for (int c = 0; c < 3; c++) {
        v += matrix[3 * row + c] * in[c];
      }
      out |= LinearLight.value(v) << 16 - 8 * row;
    }
    return out;
  }
}
