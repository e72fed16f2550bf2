package app.reglet.press.colour;

import java.util.stream.IntStream;

/** From the colours of a picture to a press's inks. */
public interface PixelInks {
  /** Pixels that one processor takes at a time. */
  int STRIP = 1 << 15;

  /**
   * Inks of one colour.
   *
   * @param pixel as the picture's rows have it: 0xRRGGBB (what is above is not looked at), or
   *     0xCCMMYYKK where they are inks
   * @return 0 to 255 each, 0xCCMMYYKK
   */
  int packed(int pixel);

  /**
   * Inks of many pixels, on all processors.
   *
   * @param inks four bytes a pixel, 0 none to 255 full: cyan, magenta, yellow, black
   */
  default void convert(int[] pixels, byte[] inks) {
    int strips = (pixels.length + STRIP - 1) / STRIP;
    IntStream range = IntStream.range(0, strips);
    (strips > 1 ? range.parallel() : range)
        .forEach(s -> convert(pixels, s * STRIP, Math.min(pixels.length, (s + 1) * STRIP), inks));
  }

  private void convert(int[] pixels, int from, int to, byte[] inks) {
    int last = -1;
    int kept = packed(last);
    for (int i = from; i < to; i++) {
      if (pixels[i] != last) {
        last = pixels[i];
        kept = packed(last);
      }
      inks[4 * i] = (byte) (kept >> 24);
      inks[4 * i + 1] = (byte) (kept >> 16);
      inks[4 * i + 2] = (byte) (kept >> 8);
      inks[4 * i + 3] = (byte) kept;
    }
  }
}
