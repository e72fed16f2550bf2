package app.reglet.press.pageinks;

import app.reglet.press.colour.PixelInks;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;

/**
 * A colour space that is drawn as what inks leave of the light: cyan, magenta and yellow of red,
 * green and blue; or black of all three. Drawn twice so, a page tells its inks, and what fades or
 * multiplies does so in inks (ISO 32000-1, 11.3.4).
 */
final class InkSpace extends PDColorSpace {
  private static final int FULL = 255;

  /** Colours kept by their components: pictures have few next to each other. */
  private static final int MOST_KEPT = 1 << 16;

  private final PDColorSpace space;
  private final SpaceInks inks;
  private final PixelInks screen;
  private final boolean black;
  private final int bits;
  private final COSBase named;
  private final Map<Integer, Integer> kept = new HashMap<>();

  /**
   * Wraps a space.
   *
   * @param screen for what is meant for a screen
   * @param black whether black is drawn, else the other three
   * @param bits of a sample, where it is a picture's
   * @param named what stands for it in a file
   */
  InkSpace(PDColorSpace space, PixelInks screen, boolean black, int bits, COSBase named)
      throws IOException {
    this.space = space;
    this.inks = SpaceInks.of(space, screen);
    this.screen = screen;
    this.black = black;
    this.bits = bits;
    this.named = named;
  }

  @Override
  public COSBase getCOSObject() {
    return named == null ? space.getCOSObject() : named;
  }

  @Override
  public String getName() {
    return space.getName();
  }

  @Override
  public int getNumberOfComponents() {
    return space.getNumberOfComponents();
  }

  @Override
  public float[] getDefaultDecode(int bitsPerComponent) {
    return space.getDefaultDecode(bitsPerComponent);
  }

  @Override
  public PDColor getInitialColor() {
    return new PDColor(space.getInitialColor().getComponents(), this);
  }

  @Override
  public float[] toRGB(float[] value) throws IOException {
    int left = left(inks.of(value));
    return new float[] {(left >> 16) / 255f, (left >> 8 & 0xff) / 255f, (left & 0xff) / 255f};
  }

  private int left(float[] of) {
    return left(of, black);
  }

  /** What inks leave of red, green and blue: the three coloured ones, or black alone. */
  static int left(float[] of, boolean black) {
    if (black) {
      return 0x010101 * light(of[3]);
    }
    return light(of[0]) << 16 | light(of[1]) << 8 | light(of[2]);
  }

  private static int light(float ink) {
    return FULL - Math.max(0, Math.min(FULL, Math.round(ink * FULL)));
  }

  @Override
  public BufferedImage toRawImage(WritableRaster raster) {
    return null;
  }

  @Override
  public BufferedImage toRGBImage(WritableRaster raster) throws IOException {
    int w = raster.getWidth();
    int h = raster.getHeight();
    BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    if (isInks()) {
      direct(raster, out);
    } else if (isScreen()) {
      screened(space.toRGBImage(raster), out);
    } else {
      looked(raster, out);
    }
    return out;
  }

  private boolean isInks() {
    return space instanceof PDDeviceCMYK
        || SpaceInks.isGray(space)
        || space instanceof PDICCBased && space.getNumberOfComponents() == 4;
  }

  private boolean isScreen() {
    return space.getNumberOfComponents() == 3 && !(space instanceof PDDeviceN);
  }

  private void direct(WritableRaster raster, BufferedImage out) {
    int w = raster.getWidth();
    int bands = raster.getNumBands();
    int[] row = new int[w * bands];
    int[] left = new int[w];
    for (int y = 0; y < raster.getHeight(); y++) {
      raster.getPixels(0, y, w, 1, row);
      for (int x = 0; x < w; x++) {
        if (bands < 4) {
          left[x] = black ? 0x010101 * row[x * bands] : 0xffffff;
        } else if (black) {
          left[x] = 0x010101 * (FULL - row[x * bands + 3]);
        } else {
          left[x] =
              FULL - row[x * bands] << 16
                  | FULL - row[x * bands + 1] << 8
                  | FULL - row[x * bands + 2];
        }
      }
      out.setRGB(0, y, w, 1, left, 0, w);
    }
  }

  /** Rows apart from each other, on all processors. */
  private void screened(BufferedImage seen, BufferedImage out) {
    int w = out.getWidth();
    int[] pixels = ((DataBufferInt) out.getRaster().getDataBuffer()).getData();
    IntStream.range(0, out.getHeight())
        .parallel()
        .forEach(
            y -> {
              int[] row = new int[w];
              seen.getRGB(0, y, w, 1, row, 0, w);
              int last = 0xffffff;
              int as = left(screen.packed(last));
              for (int x = 0; x < w; x++) {
                int rgb = row[x] & 0xffffff;
                if (rgb != last) {
                  last = rgb;
                  as = left(screen.packed(rgb));
                }
                pixels[y * w + x] = as;
              }
            });
  }

  /** What packed inks, 0xCCMMYYKK, leave. */
  private int left(int packed) {
    return black
        ? 0x010101 * (FULL - (packed & 0xff))
        : FULL - (packed >>> 24) << 16
            | FULL - (packed >> 16 & 0xff) << 8
            | FULL - (packed >> 8 & 0xff);
  }

  /** By components, each colour once. */
  private void looked(WritableRaster raster, BufferedImage out) throws IOException {
    int bands = raster.getNumBands();
    boolean indexed = space instanceof PDIndexed;
    float[] range = space.getDefaultDecode(bits);
    int[] pixel = new int[bands];
    float[] colour = new float[bands];
    for (int y = 0; y < raster.getHeight(); y++) {
      for (int x = 0; x < raster.getWidth(); x++) {
        raster.getPixel(x, y, pixel);
        int key = 0;
        for (int i = 0; i < bands; i++) {
          key = key << 8 | pixel[i]; // of more than four the last tell them apart well enough
          colour[i] =
              indexed
                  ? pixel[i] * ((1 << bits) - 1) / (float) FULL
                  : range[2 * i] + pixel[i] / (float) FULL * (range[2 * i + 1] - range[2 * i]);
        }
        Integer as = bands <= 4 ? kept.get(key) : null;
        if (as == null) {
          as = left(inks.of(colour));
          if (bands <= 4 && kept.size() < MOST_KEPT) {
            kept.put(key, as);
          }
        }
        out.setRGB(x, y, as);
      }
    }
  }
}
