package app.reglet.press.inspect.page;

import app.reglet.press.art.Rect;
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

  /**
   * A barcode that was read.
   *
   * @param number its digits
   * @param place from its first guard bar to its last, mm; of where a line through it was read
   */
  record Read(String number, Rect place) {}

  /**
   * Those of an image, however it is turned.
   *
   * @param mm of a pixel
   */
  static List<Read> of(BufferedImage image, double mm) {
    int w = image.getWidth();
    int h = image.getHeight();
    RGBLuminanceSource source = new RGBLuminanceSource(w, h, image.getRGB(0, 0, w, h, null, 0, w));
    List<Read> found = new ArrayList<>();
    add(found, source, mm, false, w);
    if (found.isEmpty()) {
      add(found, turned(image), mm, true, w);
    }
    return List.copyOf(found);
  }

  /** Turned by a quarter, counterclockwise: what stood upright lies. */
  private static LuminanceSource turned(BufferedImage image) {
    int w = image.getWidth();
    int h = image.getHeight();
    int[] out = new int[w * h];
    int[] row = new int[w];
    for (int y = 0; y < h; y++) {
      image.getRGB(0, y, w, 1, row, 0, w);
      for (int x = 0; x < w; x++) {
        out[(w - 1 - x) * h + y] = row[x];
      }
    }
    return new RGBLuminanceSource(h, w, out);
  }

  private static void add(
      List<Read> found, LuminanceSource source, double mm, boolean turned, int width) {
    try {
      Result[] read =
          new GenericMultipleBarcodeReader(new MultiFormatOneDReader(HINTS))
              .decodeMultiple(new BinaryBitmap(new HybridBinarizer(source)), HINTS);
      for (Result r : read) {
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = 0;
        double bottom = 0;
        for (ResultPoint p : r.getResultPoints()) {
          double x = turned ? width - p.getY() : p.getX();
          double y = turned ? p.getX() : p.getY();
          left = Math.min(left, x);
          right = Math.max(right, x);
          top = Math.min(top, y);
          bottom = Math.max(bottom, y);
        }
        found.add(
            new Read(
                r.getText(),
                new Rect(left * mm, top * mm, (right - left) * mm, (bottom - top) * mm)));
      }
    } catch (NotFoundException none) {
      // there is none
    }
  }
}
