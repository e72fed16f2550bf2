package app.reglet.press.svg;

import app.reglet.press.art.Mark;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.util.List;
import java.util.Locale;

/** Shapes and matrices as SVG writes them. */
public final class SvgPath {
  private static final double SMALL_TYPE_MM = 4.3;

  private SvgPath() {}

  /** In how many units of its size type is drawn. */
  static int units(double size) {
    return size > SMALL_TYPE_MM ? 1000 : 250;
  }

  /** A shape's path data, mm. */
  public static String of(Shape shape) {
    StringBuilder out = new StringBuilder();
    double[] c = new double[6];
    for (PathIterator p = shape.getPathIterator(null); !p.isDone(); p.next()) {
      int n = command(out, p.currentSegment(c));
      for (int i = 0; i < n; i++) {
        out.append(i == 0 ? "" : " ").append(Svg.number(c[i]));
      }
    }
    return out.toString();
  }

  /**
   * The outlines of a run of glyphs as one path, in so many units of the type size; small type to a
   * unit, large to a tenth: every point within a hundredth of a millimetre. One path is drawn and
   * exchanged many times faster than as many uses of single ones; distances from point to point
   * keep it short.
   */
  static String run(Mark.Glyphs run, int units) {
    StringBuilder out = new StringBuilder();
    boolean fine = run.size() > SMALL_TYPE_MM;
    int steps = fine ? 10 : 1;
    double[] c = new double[6];
    long x = 0;
    long y = 0;
    char before = 0;
    for (int g = 0; g < run.glyphs().length; g++) {
      long startX = 0;
      long startY = 0;
      AffineTransform place =
          AffineTransform.getScaleInstance(units / run.size(), units / run.size());
      place.concatenate(run.glyph(g));
      for (PathIterator p = run.face().outline(run.glyphs()[g]).getPathIterator(place);
          !p.isDone();
          p.next()) {
        int segment = p.currentSegment(c);
        int n = command(out, segment);
        if (n == 0) {
          before = 0;
          x = startX;
          y = startY;
          continue;
        }
        char letter = Character.toLowerCase(out.charAt(out.length() - 1));
        out.setLength(out.length() - 1);
        if (letter != before) { // a command goes on without its letter (SVG 1.1, 8.3.1)
          out.append(letter);
        }
        before = letter == 'm' ? 0 : letter;
        for (int i = 0; i < n; i += 2) {
          number(out, Math.round(c[i] * steps) - x, fine);
          number(out, Math.round(c[i + 1] * steps) - y, fine);
        }
        x = Math.round(c[n - 2] * steps);
        y = Math.round(c[n - 1] * steps);
        if (segment == PathIterator.SEG_MOVETO) {
          startX = x;
          startY = y;
        }
      }
    }
    return out.toString();
  }

  /** A number of units or tenths, parted from what is before it where that ends in a digit. */
  private static void number(StringBuilder out, long steps, boolean tenths) {
    if (steps < 0) {
      out.append('-');
    } else if (Character.isDigit(out.charAt(out.length() - 1))) {
      out.append(' ');
    }
    long size = Math.abs(steps);
    if (!tenths) {
      out.append(size);
      return;
    }
    if (size >= 10 || size == 0) {
      out.append(size / 10);
    }
    if (size % 10 != 0) {
      out.append('.').append(size % 10);
    }
  }

  private static int command(StringBuilder out, int segment) {
    return switch (segment) {
      case PathIterator.SEG_MOVETO -> append(out, 'M', 2);
      case PathIterator.SEG_LINETO -> append(out, 'L', 2);
      case PathIterator.SEG_QUADTO -> append(out, 'Q', 4);
      case PathIterator.SEG_CUBICTO -> append(out, 'C', 6);
      default -> append(out, 'Z', 0);
    };
  }

  private static int append(StringBuilder out, char command, int numbers) {
    out.append(command);
    return numbers;
  }

  /** {@code evenodd}, or null for the usual rule. */
  static String rule(Shape shape) {
    return shape.getPathIterator(null).getWindingRule() == PathIterator.WIND_EVEN_ODD
        ? "evenodd"
        : null;
  }

  static String matrix(AffineTransform t) {
    StringBuilder out = new StringBuilder("matrix(");
    for (double d : List.of(t.getScaleX(), t.getShearY(), t.getShearX(), t.getScaleY())) {
      out.append(String.format(Locale.ROOT, "%.8f ", d));
    }
    return out.append(Svg.number(t.getTranslateX()))
        .append(' ')
        .append(Svg.number(t.getTranslateY()))
        .append(')')
        .toString();
  }
}
