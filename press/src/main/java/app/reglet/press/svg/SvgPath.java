package app.reglet.press.svg;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.util.List;
import java.util.Locale;

/** Shapes and matrices as SVG writes them. */
final class SvgPath {
  private SvgPath() {}

  /** A shape's path data, mm. */
  static String of(Shape shape) {
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

  /** A glyph's outline in so many units of the type size, to a tenth of a unit. */
  static String glyph(Shape outline, int units) {
    StringBuilder out = new StringBuilder();
    double[] c = new double[6];
    for (PathIterator p = outline.getPathIterator(AffineTransform.getScaleInstance(units, units));
        !p.isDone();
        p.next()) {
      int n = command(out, p.currentSegment(c));
      for (int i = 0; i < n; i++) {
        out.append(i == 0 ? "" : " ").append(Math.round(c[i] * 10) / 10.0);
      }
    }
    return out.toString().replace(".0 ", " ").replaceAll("\\.0(?=[A-Z]|$)", "");
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
