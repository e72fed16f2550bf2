package app.reglet.press.picture;

import app.reglet.core.Refusal;
import app.reglet.core.design.Treatment.Levels;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * How often each lightness is in a picture (0.2126 R + 0.7152 G + 0.0722 B of its sRGB values, Rec.
 * ITU-R BT.709); what is clear does not count.
 *
 * @param counts of pixels, of 256 values from black to white
 */
public record Tones(List<Long> counts) {
  /** So many of a thousand pixels may become black, and so many white, when levels are found. */
  private static final double CLIPPED = 1 / 1000.0;

  public Tones {
    counts = List.copyOf(counts);
  }

  /** Of an RGB or ARGB image. */
  public static Tones of(BufferedImage image) {
    long[] counts = new long[Levels.TOP + 1];
    BufferedImage seen = Decoded.onScreen(image);
    int[] row = new int[seen.getWidth()];
    for (int y = 0; y < seen.getHeight(); y++) {
      seen.getRGB(0, y, row.length, 1, row, 0, row.length);
      for (int p : row) {
        if (p >>> 24 > 127) {
          counts[
              (int)
                  Math.round(
                      0.2126 * (p >> 16 & 0xff)
                          + 0.7152 * (p >> 8 & 0xff)
                          + 0.0722 * (p & 0xff))]++;
        }
      }
    }
    return new Tones(Arrays.stream(counts).boxed().toList());
  }

  private long all() {
    return counts.stream().mapToLong(c -> c).sum();
  }

  /**
   * Levels that spread the tones from black to white, but for a thousandth at each end.
   *
   * @throws Refusal when there is but one tone
   */
  public Levels automatic() {
    double clipped = CLIPPED * all();
    int black = 0;
    for (long sum = counts.get(0); black < Levels.TOP && sum <= clipped; ) {
      sum += counts.get(++black);
    }
    int white = Levels.TOP;
    for (long sum = counts.get(white); white > 0 && sum <= clipped; ) {
      sum += counts.get(--white);
    }
    if (white <= black) {
      throw new Refusal("levels", "This picture is all of one tone: there is nothing to spread.");
    }
    return new Levels(black, white, 1);
  }

  /** Drawn as an SVG of 256 by 60, the highest tone as high as it is; roots, so that few show. */
  public String svg() {
    double most = Math.sqrt(counts.stream().mapToLong(c -> c).max().orElse(1));
    StringBuilder path = new StringBuilder("M0 60");
    for (int i = 0; i < counts.size(); i++) {
      double high = most == 0 ? 0 : 60 * Math.sqrt(counts.get(i)) / most;
      path.append(String.format(Locale.ROOT, "V%.1fH%d", 60 - high, i + 1));
    }
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 256 60\" preserveAspectRatio=\"none\"><path d=\""
        + path
        + "V60Z\" fill=\"#3c4650\"/></svg>";
  }
}
