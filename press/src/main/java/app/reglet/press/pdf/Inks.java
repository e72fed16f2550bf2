package app.reglet.press.pdf;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Pen;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;

/** Colours and lines as operators (ISO 32000-1, 8.4.4 and 8.6.8). */
final class Inks {
  private Inks() {}

  static void colour(Operators out, Colour.Solid colour, boolean stroking) {
    colour.accept(
        new Colour.Visitor<Void>() {
          @Override
          public Void rgb(Colour.Rgb rgb) {
            return set(stroking ? "RG" : "rg", rgb.red(), rgb.green(), rgb.blue());
          }

          @Override
          public Void cmyk(Colour.Cmyk c) {
            return set(
                stroking ? "K" : "k",
                c.cyan() / 100,
                c.magenta() / 100,
                c.yellow() / 100,
                c.black() / 100);
          }

          @Override
          public Void gray(Colour.Gray gray) {
            return set(stroking ? "G" : "g", 1 - gray.black() / 100);
          }

          private Void set(String operator, double... shares) {
            COSBase[] operands = new COSBase[shares.length];
            for (int i = 0; i < shares.length; i++) {
              operands[i] = Operators.number(shares[i]);
            }
            out.op(operator, operands);
            return null;
          }
        });
  }

  static void pen(Operators out, Pen pen, Colour.Solid colour) {
    colour(out, colour, true);
    out.op("w", Operators.number(pen.width()));
    COSArray dashes = new COSArray();
    pen.dashes().forEach(d -> dashes.add(Operators.number(d)));
    out.op("d", dashes, Operators.number(0));
  }
}
