package app.reglet.press.pageinks;

import app.reglet.core.design.Colour;
import app.reglet.press.colour.PressInks;
import java.io.IOException;
import java.util.IdentityHashMap;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;

/** Colours of a page as a press's inks, within the total that its house allows. */
final class ColourInks {
  private final PressInks inks;
  private final Map<PDColorSpace, SpaceInks> known = new IdentityHashMap<>();

  ColourInks(PressInks inks) {
    this.inks = inks;
  }

  PressInks press() {
    return inks;
  }

  /** What the colours of a space come to. */
  SpaceInks of(PDColorSpace space) throws IOException {
    SpaceInks there = known.get(space);
    if (there == null) {
      SpaceInks free = SpaceInks.of(space, inks.table());
      there = c -> within(free.of(c));
      known.put(space, there);
    }
    return there;
  }

  private float[] within(float[] of) {
    double[] percent = new double[4];
    double total = 0;
    for (int i = 0; i < percent.length; i++) {
      percent[i] = 100.0 * Math.max(0, Math.min(1, of[i]));
      total += percent[i];
    }
    if (total <= inks.most() * 100) {
      return of; // as exactly as it was written
    }
    Colour.Cmyk kept = inks.within(new Colour.Cmyk(percent[0], percent[1], percent[2], percent[3]));
    return new float[] {
      (float) (kept.cyan() / 100),
      (float) (kept.magenta() / 100),
      (float) (kept.yellow() / 100),
      (float) (kept.black() / 100)
    };
  }

  /** Four inks as operands of {@code k} or as a shading's background. */
  static COSArray numbers(float[] inks) throws IOException {
    COSArray array = new COSArray();
    for (int i = 0; i < 4; i++) {
      array.add(number(inks[i]));
    }
    return array;
  }

  /** A share of 0 to 1 as an operand. */
  static COSBase number(float ink) throws IOException {
    String text = String.format(Locale.ROOT, "%.5f", Math.max(0, Math.min(1, ink)));
    return new COSFloat(text.replaceAll("0+$", "").replaceAll("\\.$", ".0"));
  }
}
