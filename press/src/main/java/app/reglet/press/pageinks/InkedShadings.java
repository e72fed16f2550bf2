package app.reglet.press.pageinks;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;

/**
 * Colours that run, as inks (ISO 32000-1, 8.7.4.5): what a shading's function and space give
 * together becomes a table of four inks (7.10.2).
 */
final class InkedShadings {
  /** Steps along an axis or a radius. */
  private static final int STEPS = 512;

  /** Steps along each side of a field. */
  private static final int FIELD = 65;

  private static final int FULL = 65_535;

  private final ColourInks colours;

  InkedShadings(ColourInks colours) {
    this.colours = colours;
  }

  /**
   * Whether one can be given in inks.
   *
   * @throws NotInInks when not
   */
  static void expect(COSDictionary shading) throws IOException {
    int type = shading.getInt(COSName.SHADING_TYPE);
    if (type < PDShading.SHADING_TYPE1 || type > PDShading.SHADING_TYPE3) {
      throw new NotInInks("a mesh of colours");
    }
    if (shading.getDictionaryObject(COSName.FUNCTION) == null) {
      throw new NotInInks("a shading without its function");
    }
  }

  /** Changes one. */
  void change(COSDictionary shading) throws IOException {
    PDShading read = PDShading.create(shading);
    PDColorSpace space = read.getColorSpace();
    SpaceInks inks = colours.of(space);
    int inputs = read.getShadingType() == PDShading.SHADING_TYPE1 ? 2 : 1;
    float[] domain = domain(shading, inputs);
    int steps = inputs == 1 ? STEPS : FIELD;
    COSStream table = new COSStream();
    table.setInt(COSName.FUNCTION_TYPE, 0);
    table.setInt(COSName.BITS_PER_SAMPLE, 16);
    COSArray inputsOf = new COSArray();
    inputsOf.setFloatArray(domain);
    table.setItem(COSName.DOMAIN, inputsOf);
    COSArray size = new COSArray();
    for (int i = 0; i < inputs; i++) {
      size.add(COSInteger.get(steps));
    }
    table.setItem(COSName.SIZE, size);
    COSArray range = new COSArray();
    for (int i = 0; i < 4; i++) {
      range.add(COSInteger.ZERO);
      range.add(COSInteger.ONE);
    }
    table.setItem(COSName.RANGE, range);
    try (OutputStream out = table.createOutputStream(COSName.FLATE_DECODE)) {
      out.write(samples(read, space, inks, domain, steps));
    }
    COSBase background = shading.getDictionaryObject(COSName.BACKGROUND);
    if (background instanceof COSArray a) {
      shading.setItem(COSName.BACKGROUND, ColourInks.numbers(inks.of(a.toFloatArray())));
    }
    shading.setItem(COSName.COLORSPACE, COSName.DEVICECMYK);
    shading.setItem(COSName.FUNCTION, table);
  }

  private static byte[] samples(
      PDShading shading, PDColorSpace space, SpaceInks inks, float[] domain, int steps)
      throws IOException {
    int inputs = domain.length / 2;
    byte[] out = new byte[8 * (int) Math.pow(steps, inputs)];
    float[] at = new float[inputs];
    for (int n = 0; n < out.length / 8; n++) {
      int rest = n; // the first input varies fastest
      for (int i = 0; i < inputs; i++) {
        float share = rest % steps / (steps - 1f);
        at[i] = domain[2 * i] + share * (domain[2 * i + 1] - domain[2 * i]);
        rest /= steps;
      }
      float[] colour = Arrays.copyOf(shading.evalFunction(at), space.getNumberOfComponents());
      float[] four = inks.of(colour);
      for (int i = 0; i < 4; i++) {
        int level = Math.round(Math.max(0, Math.min(1, four[i])) * FULL);
        out[8 * n + 2 * i] = (byte) (level >> 8);
        out[8 * n + 2 * i + 1] = (byte) level;
      }
    }
    return out;
  }

  private static float[] domain(COSDictionary shading, int inputs) {
    COSBase said = shading.getDictionaryObject(COSName.DOMAIN);
    if (said instanceof COSArray a && a.size() == 2 * inputs) {
      return a.toFloatArray();
    }
    float[] unit = new float[2 * inputs];
    for (int i = 0; i < inputs; i++) {
      unit[2 * i + 1] = 1;
    }
    return unit;
  }
}
