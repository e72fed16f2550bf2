package app.reglet.press.pdf;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Pen;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;

/** Colours and lines as operators (ISO 32000-1, 8.4.4 and 8.6.8). */
final class Inks {
  private Inks() {}

  /**
   * Sets a colour.
   *
   * @param spaces of the stream, for inks of their own
   */
  static void colour(Operators out, PDResources spaces, Colour.Solid colour, boolean stroking) {
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

          @Override
          public Void spot(Colour.Spot spot) {
            out.op(stroking ? "CS" : "cs", named(spaces, separation(spot)));
            return set(stroking ? "SCN" : "scn", spot.tint() / 100);
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

  /** The name that a space has among those of a stream, each of which is there once. */
  private static COSName named(PDResources spaces, PDSeparation space) {
    String text = space.getCOSObject().toString();
    COSDictionary there = spaces.getCOSObject().getCOSDictionary(COSName.COLORSPACE);
    if (there != null) {
      for (COSName name : there.keySet()) {
        if (String.valueOf(there.getDictionaryObject(name)).equals(text)) {
          return name;
        }
      }
    }
    return spaces.add(space);
  }

  /** An ink with what stands for it, in proportion (ISO 32000-1, 8.6.6.4, 7.10.3). */
  private static PDSeparation separation(Colour.Spot spot) {
    Colour.Cmyk c = spot.alternate();
    COSDictionary tint = new COSDictionary();
    tint.setInt(COSName.FUNCTION_TYPE, 2);
    tint.setItem(COSName.DOMAIN, Operators.numbers(0, 1));
    tint.setItem(COSName.C0, Operators.numbers(0, 0, 0, 0));
    tint.setItem(
        COSName.C1,
        Operators.numbers(c.cyan() / 100, c.magenta() / 100, c.yellow() / 100, c.black() / 100));
    tint.setInt(COSName.N, 1);
    COSArray space = new COSArray();
    space.add(COSName.SEPARATION);
    space.add(COSName.getPDFName(spot.name()));
    space.add(COSName.DEVICECMYK);
    space.add(tint);
    try {
      return new PDSeparation(space, null);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static void pen(Operators out, PDResources spaces, Pen pen, Colour.Solid colour) {
    colour(out, spaces, colour, true);
    out.op("w", Operators.number(pen.width()));
    COSArray dashes = new COSArray();
    pen.dashes().forEach(d -> dashes.add(Operators.number(d)));
    out.op("d", dashes, Operators.number(0));
  }
}
