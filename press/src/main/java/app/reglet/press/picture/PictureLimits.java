package app.reglet.press.picture;

import app.reglet.core.Refusal;
import java.util.Locale;

/** How large pictures may be that people bring. */
public final class PictureLimits {
  /** Largest file taken. */
  public static final int MOST_BYTES = 80_000_000;

  /** Most pixels taken: a 17 × 24 in sheet at 500 ppi. */
  public static final long MOST_PIXELS = 100_000_000L;

  /** Most pixels of a progressive JPEG: its decoder holds some six bytes for each. */
  private static final long MOST_PROGRESSIVE = 50_000_000L;

  /** Most pixels of a JPEG in CMYK, whose colours are converted at some two million a second. */
  private static final long MOST_CMYK = 40_000_000L;

  /** Most bytes of an interlaced PNG when it is unpacked. */
  private static final long MOST_INTERLACED = 100_000_000L;

  /** Most scans of a JPEG. */
  private static final int MOST_SCANS = 200;

  private PictureLimits() {}

  static void check(long length) {
    if (length == 0) {
      throw new Refusal("picture", "The file is empty: choose a JPEG, PNG or TIFF picture.");
    }
    if (length > MOST_BYTES) {
      throw new Refusal(
          "picture",
          String.format(
              Locale.ROOT,
              "The file has %.1f MB; a picture has at most %d MB.",
              length / 1e6,
              MOST_BYTES / 1_000_000));
    }
  }

  static void check(int w, int h) {
    expectPixels("The picture", w, h, MOST_PIXELS, "");
  }

  /** Refuses what can't be read or would cost too much. */
  static void check(JpegFile jpeg) {
    if (jpeg.bits() != 8) {
      throw new Refusal(
          "picture",
          "This JPEG has " + jpeg.bits() + " bits a channel; 8 can be printed: save it with 8.");
    }
    if (jpeg.scans() > MOST_SCANS) {
      throw new Refusal(
          "picture",
          String.format(
              Locale.ROOT,
              "This JPEG comes in %,d scans; a progressive one has some ten, at most %d are read. Save it anew.",
              jpeg.scans(),
              MOST_SCANS));
    }
    expectPixels("The picture", jpeg.width(), jpeg.height(), MOST_PIXELS, "");
    if (jpeg.progressive()) {
      expectPixels(
          "This progressive JPEG",
          jpeg.width(),
          jpeg.height(),
          MOST_PROGRESSIVE,
          " of progressive ones: save it as a baseline JPEG");
    }
    if (jpeg.channels() == 4) {
      expectPixels(
          "This JPEG of four channels",
          jpeg.width(),
          jpeg.height(),
          MOST_CMYK,
          " of such: save it smaller");
    }
  }

  /** Refuses what can't be read or would cost too much. */
  static void check(PngFile png) {
    expectPixels("The picture", png.width(), png.height(), MOST_PIXELS, "");
    if (png.interlaced() && png.unpacked() > MOST_INTERLACED) {
      throw new Refusal(
          "picture",
          String.format(
              Locale.ROOT,
              "This interlaced PNG unpacks to %.0f MB, which must be in memory at once; at most %d MB are. Save it without interlacing.",
              png.unpacked() / 1e6,
              MOST_INTERLACED / 1_000_000));
    }
  }

  private static void expectPixels(String what, long w, long h, long most, String kind) {
    if (w * h > most) {
      throw new Refusal(
          "picture",
          String.format(
              Locale.ROOT,
              "%s has %d × %d = %.0f million pixels; at most %d million are taken%s.",
              what,
              w,
              h,
              (double) w * h / 1e6,
              most / 1_000_000,
              kind));
    }
  }
}
