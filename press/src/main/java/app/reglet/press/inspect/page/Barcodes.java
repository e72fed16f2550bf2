package app.reglet.press.inspect.page;

import app.reglet.core.design.LinearLight;
import app.reglet.press.art.Rect;
import app.reglet.press.barcode.IsbnBarcode;
import app.reglet.press.picture.PixelRow;
import com.google.zxing.BarcodeFormat;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.LuminanceSource;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.ResultPoint;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.GenericMultipleBarcodeReader;
import com.google.zxing.oned.MultiFormatOneDReader;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Reads barcodes back from the pixels of a page, as a scanner at a till would. */
final class Barcodes {
  private static final Map<DecodeHintType, Object> HINTS = new EnumMap<>(DecodeHintType.class);

  static {
    HINTS.put(
        DecodeHintType.POSSIBLE_FORMATS,
        List.of(BarcodeFormat.EAN_13, BarcodeFormat.UPC_A, BarcodeFormat.EAN_8));
    HINTS.put(DecodeHintType.TRY_HARDER, Boolean.TRUE);
  }

  private Barcodes() {}

  /** Modules from the middle of the first guard to that of the last, of three modules each. */
  private static final double MODULES = IsbnBarcode.SYMBOL - 3;

  /** Darker than this is a bar, of 255. */
  private static final int DARK = 128;

  /**
   * A barcode that was read.
   *
   * @param number its digits
   * @param place from the outer edge of its first bar to that of its last, as high as its first
   *     bar, mm
   * @param module width of its thinnest bar, mm
   * @param reflected share of red light that its panel gives back, 0 to 1
   */
  record Read(String number, Rect place, double module, double reflected) {}

  /**
   * Those of an image, however it is turned.
   *
   * @param mm of a pixel
   */
  static List<Read> of(BufferedImage image, double mm) {
    int w = image.getWidth();
    int h = image.getHeight();
    RGBLuminanceSource source = new RGBLuminanceSource(w, h, PixelRow.all(image));
    List<Read> found = new ArrayList<>();
    add(found, source, image, mm, false);
    if (found.isEmpty()) {
      add(found, turned(image), image, mm, true);
    }
    return List.copyOf(found);
  }

  /** Turned by a quarter, counterclockwise: what stood upright lies. */
  private static LuminanceSource turned(BufferedImage image) {
    int w = image.getWidth();
    int h = image.getHeight();
    int[] out = new int[w * h];
    int[] row = new int[w];
    PixelRow rows = new PixelRow(image);
    for (int y = 0; y < h; y++) {
      rows.read(y, row);
      for (int x = 0; x < w; x++) {
        out[(w - 1 - x) * h + y] = row[x];
      }
    }
    return new RGBLuminanceSource(h, w, out);
  }

  private static void add(
      List<Read> found, LuminanceSource source, BufferedImage image, double mm, boolean turned) {
    try {
      Result[] read =
          new GenericMultipleBarcodeReader(new MultiFormatOneDReader(HINTS))
              .decodeMultiple(new BinaryBitmap(new HybridBinarizer(source)), HINTS);
      for (Result r : read) {
        Points p = Points.of(r.getResultPoints(), turned, image.getWidth());
        Rectangle bars = p.bars(image, turned);
        found.add(
            new Read(
                r.getText(),
                new Rect(bars.x * mm, bars.y * mm, bars.width * mm, bars.height * mm),
                p.module(turned) * mm,
                reflected(image, bars)));
      }
    } catch (NotFoundException none) {
      // there is none
    }
  }

  /** Where a line through a barcode met the middles of its first guard and its last, pixels. */
  private record Points(double left, double top, double right, double bottom) {
    static Points of(ResultPoint[] points, boolean turned, int width) {
      double left = Double.MAX_VALUE;
      double top = Double.MAX_VALUE;
      double right = 0;
      double bottom = 0;
      for (ResultPoint p : points) {
        double x = turned ? width - p.getY() : p.getX();
        double y = turned ? p.getX() : p.getY();
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
      return new Points(left, top, right, bottom);
    }

    double module(boolean turned) {
      return (turned ? bottom - top : right - left) / MODULES;
    }

    /** The bars, as far along as the first of them goes from where it was met. */
    Rectangle bars(BufferedImage image, boolean turned) {
      double out = 1.5 * module(turned);
      int first = (int) Math.round((turned ? top : left) - out + module(turned) / 2);
      int at = (int) Math.round(turned ? (left + right) / 2 : (top + bottom) / 2);
      int most = (turned ? image.getWidth() : image.getHeight()) - 1;
      int from = at;
      while (from > 0 && isDark(image, first, from - 1, turned)) {
        from--;
      }
      int to = at;
      while (to < most && isDark(image, first, to + 1, turned)) {
        to++;
      }
      return turned
          ? new Rectangle(
              from, (int) (top - out), to - from + 1, (int) Math.ceil(bottom - top + 2 * out))
          : new Rectangle(
              (int) (left - out), from, (int) Math.ceil(right - left + 2 * out), to - from + 1);
    }
  }

  private static boolean isDark(BufferedImage image, int first, int at, boolean turned) {
    int x = turned ? at : first;
    int y = turned ? first : at;
    return x >= 0
        && y >= 0
        && x < image.getWidth()
        && y < image.getHeight()
        && (image.getRGB(x, y) >> 8 & 0xff) < DARK;
  }

  /** Of the lighter pixels between the bars the middle one: what a scanner sees of the panel. */
  private static double reflected(BufferedImage image, Rectangle bars) {
    Rectangle in = bars.intersection(new Rectangle(image.getWidth(), image.getHeight()));
    int[] count = new int[256];
    for (int y = in.y; y < in.y + in.height; y++) {
      for (int x = in.x; x < in.x + in.width; x++) {
        count[image.getRGB(x, y) >> 16 & 0xff]++;
      }
    }
    long all = (long) in.width * in.height;
    long lighter = 0;
    for (int red = 255; red >= 0; red--) {
      lighter += count[red];
      if (lighter * 4 >= all) {
        return LinearLight.of(red);
      }
    }
    return 0;
  }
}
