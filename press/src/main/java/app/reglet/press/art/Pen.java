package app.reglet.press.art;

import java.awt.BasicStroke;
import java.util.List;

/**
 * A line, drawn on both sides of its path, with square ends.
 *
 * @param fill what it is drawn with
 * @param width mm
 * @param dashes lengths drawn and left out in turn, mm; empty for none
 */
public record Pen(Fill fill, double width, List<Double> dashes) {
  public Pen {
    dashes = List.copyOf(dashes);
  }

  /** As AWT draws it. */
  public BasicStroke stroke() {
    float[] array = null;
    if (!dashes.isEmpty()) {
      array = new float[dashes.size()];
      for (int i = 0; i < array.length; i++) {
        array[i] = dashes.get(i).floatValue();
      }
    }
    return new BasicStroke(
        (float) width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 10, array, 0);
  }

  public static Pen plain(Fill fill, double width) {
    return new Pen(fill, width, List.of());
  }
}
