package app.reglet.press.pdf;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;

/** Writes the operators of a content stream (ISO 32000-1, annex A). */
final class Operators {
  private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
  private final ContentStreamWriter out = new ContentStreamWriter(bytes);

  byte[] bytes() {
    return bytes.toByteArray();
  }

  void op(String name, COSBase... operands) {
    try {
      for (COSBase o : operands) {
        out.writeToken(o);
      }
      out.writeToken(Operator.getOperator(name));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void matrix(String operator, AffineTransform t) {
    op(
        operator,
        number(t.getScaleX()),
        number(t.getShearY()),
        number(t.getShearX()),
        number(t.getScaleY()),
        number(t.getTranslateX()),
        number(t.getTranslateY()));
  }

  /** Begins a path with a shape. */
  void path(Shape shape) {
    if (shape instanceof Rectangle2D r) {
      op("re", number(r.getX()), number(r.getY()), number(r.getWidth()), number(r.getHeight()));
      return;
    }
    double[] c = new double[6];
    double x = 0;
    double y = 0;
    for (PathIterator p = shape.getPathIterator(null); !p.isDone(); p.next()) {
      switch (p.currentSegment(c)) {
        case PathIterator.SEG_MOVETO -> op("m", number(c[0]), number(c[1]));
        case PathIterator.SEG_LINETO -> op("l", number(c[0]), number(c[1]));
        case PathIterator.SEG_QUADTO -> {
          // a quadratic curve as a cubic: both inner points two thirds of the way to its own
          op(
              "c",
              number(x + 2 * (c[0] - x) / 3),
              number(y + 2 * (c[1] - y) / 3),
              number(c[2] + 2 * (c[0] - c[2]) / 3),
              number(c[3] + 2 * (c[1] - c[3]) / 3),
              number(c[2]),
              number(c[3]));
          c[0] = c[2];
          c[1] = c[3];
        }
        case PathIterator.SEG_CUBICTO -> {
          op(
              "c",
              number(c[0]),
              number(c[1]),
              number(c[2]),
              number(c[3]),
              number(c[4]),
              number(c[5]));
          c[0] = c[4];
          c[1] = c[5];
        }
        default -> op("h");
      }
      x = c[0];
      y = c[1];
    }
  }

  /** {@code f} or {@code f*}, as the shape says what is inside. */
  static String byRule(String operator, Shape shape) {
    return shape.getPathIterator(null).getWindingRule() == PathIterator.WIND_EVEN_ODD
        ? operator + "*"
        : operator;
  }

  /** Cuts what follows, until the state is restored. */
  void clip(Shape shape) {
    path(shape);
    op(byRule("W", shape));
    op("n");
  }

  static COSArray numbers(double... values) {
    COSArray array = new COSArray();
    for (double v : values) {
      array.add(number(v));
    }
    return array;
  }

  static COSBase number(double value) {
    if (value == Math.rint(value) && Math.abs(value) < 1e6) {
      return COSInteger.get((long) value);
    }
    String text = String.format(Locale.ROOT, "%.6f", value);
    try {
      return new COSFloat(text.replaceAll("0+$", "").replaceAll("\\.$", ".0"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
