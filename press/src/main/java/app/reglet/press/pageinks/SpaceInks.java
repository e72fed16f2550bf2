package app.reglet.press.pageinks;

import app.reglet.press.colour.PixelInks;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.common.function.PDFunction;
import org.apache.pdfbox.pdmodel.graphics.color.PDCalGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;

/**
 * What inks the colours of a space come to (ISO 32000-1, 8.6): inks are what is written, black
 * alone for gray, the inks of a spot's alternate; what is meant for a screen goes through a press's
 * table. Components are as a content stream has them, 0 to 1 but for Indexed.
 */
public interface SpaceInks {
  /** Cyan, magenta, yellow, black of a colour, 0 none to 1 full. */
  float[] of(float[] components) throws IOException;

  /** Names of process inks, as separations are called. */
  List<String> PROCESS = List.of("Cyan", "Magenta", "Yellow", "Black");

  /**
   * Those of a space.
   *
   * @param screen for what is meant for a screen, sRGB
   */
  static SpaceInks of(PDColorSpace space, PixelInks screen) throws IOException {
    if (space instanceof PDDeviceCMYK
        || space instanceof PDICCBased i && i.getNumberOfComponents() == 4) {
      return c -> c.clone();
    }
    if (isGray(space)) {
      return c -> new float[] {0, 0, 0, 1 - c[0]};
    }
    if (space instanceof PDSeparation s) {
      return separation(s, screen);
    }
    if (space instanceof PDDeviceN n) {
      return colorants(n, screen);
    }
    if (space instanceof PDIndexed indexed) {
      return indexed(indexed, screen);
    }
    if (space instanceof PDPattern) {
      return c -> new float[4];
    }
    return c -> {
      float[] rgb = space.toRGB(c);
      return apart(screen.packed(byteOf(rgb[0]) << 16 | byteOf(rgb[1]) << 8 | byteOf(rgb[2])));
    };
  }

  /** Whether a space has lightness alone: that is printed with black alone. */
  static boolean isGray(PDColorSpace space) {
    return space instanceof PDDeviceGray
        || space instanceof PDCalGray
        || space instanceof PDICCBased i && i.getNumberOfComponents() == 1;
  }

  private static SpaceInks separation(PDSeparation s, PixelInks screen) throws IOException {
    String name = s.getColorantName();
    int process = process(name);
    if (process >= 0) {
      return c -> {
        float[] inks = new float[4];
        inks[process] = c[0];
        return inks;
      };
    }
    if ("All".equals(name)) {
      return c -> new float[] {c[0], c[0], c[0], c[0]};
    }
    if ("None".equals(name)) {
      return c -> new float[4];
    }
    return tinted((COSArray) s.getCOSObject(), s.getAlternateColorSpace(), screen);
  }

  private static SpaceInks colorants(PDDeviceN n, PixelInks screen) throws IOException {
    List<Integer> process = new ArrayList<>();
    for (String name : n.getColorantNames()) {
      process.add("None".equals(name) ? 4 : process(name));
    }
    if (!process.contains(-1)) {
      return c -> {
        float[] inks = new float[5];
        for (int i = 0; i < Math.min(c.length, process.size()); i++) {
          inks[process.get(i)] = c[i];
        }
        return inks;
      };
    }
    return tinted((COSArray) n.getCOSObject(), n.getAlternateColorSpace(), screen);
  }

  private static SpaceInks tinted(COSArray array, PDColorSpace alternate, PixelInks screen)
      throws IOException {
    PDFunction tint = PDFunction.create(array.getObject(3));
    SpaceInks base = of(alternate, screen);
    return c -> base.of(tint.eval(c));
  }

  private static SpaceInks indexed(PDIndexed indexed, PixelInks screen) throws IOException {
    COSArray array = (COSArray) indexed.getCOSObject();
    PDColorSpace base = indexed.getBaseColorSpace();
    byte[] table = bytes(array.getObject(3));
    int parts = base.getNumberOfComponents();
    float[] range = base.getDefaultDecode(8);
    int most = Math.max(0, table.length / parts - 1);
    SpaceInks inks = of(base, screen);
    return c -> {
      int at = Math.max(0, Math.min(most, Math.round(c[0])));
      float[] colour = new float[parts];
      for (int i = 0; i < parts && at * parts + i < table.length; i++) {
        float share = (table[at * parts + i] & 0xff) / 255f;
        colour[i] = range[2 * i] + share * (range[2 * i + 1] - range[2 * i]);
      }
      return inks.of(colour);
    };
  }

  private static byte[] bytes(COSBase table) throws IOException {
    if (table instanceof COSString s) {
      return s.getBytes();
    }
    return table instanceof COSStream s ? s.createInputStream().readAllBytes() : new byte[0];
  }

  /** Which of the four a separation is; -1 for none of them. */
  static int process(String name) {
    for (int i = 0; i < 4; i++) {
      if (PROCESS.get(i).equalsIgnoreCase(name == null ? "" : name.toLowerCase(Locale.ROOT))) {
        return i;
      }
    }
    return -1;
  }

  /** Packed inks, 0xCCMMYYKK, one by one. */
  static float[] apart(int packed) {
    return new float[] {
      (packed >>> 24) / 255f,
      (packed >> 16 & 0xff) / 255f,
      (packed >> 8 & 0xff) / 255f,
      (packed & 0xff) / 255f
    };
  }

  private static int byteOf(float share) {
    return Math.max(0, Math.min(255, Math.round(share * 255)));
  }
}
