package app.reglet.press.pageinks;

import java.io.IOException;
import java.util.Arrays;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
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

  /** Gives a shading that can be given so in inks. */
  void change(COSDictionary shading) throws IOException {
    PDShading read = PDShading.create(shading);
    PDColorSpace space = read.getColorSpace();
    SpaceInks inks = colours.of(space);
    int inputs = read.getShadingType() == PDShading.SHADING_TYPE1 ? 2 : 1;
    COSStream table =
        SampledFunction.of(
            domain(shading, inputs),
            inputs == 1 ? STEPS : FIELD,
            4,
            at -> inks.of(Arrays.copyOf(read.evalFunction(at), space.getNumberOfComponents())));
    if (shading.getDictionaryObject(COSName.BACKGROUND) instanceof COSArray background) {
      shading.setItem(COSName.BACKGROUND, ColourInks.numbers(inks.of(background.toFloatArray())));
    }
    shading.setItem(COSName.COLORSPACE, COSName.DEVICECMYK);
    shading.setItem(COSName.FUNCTION, table);
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
