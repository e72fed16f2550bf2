package app.reglet.press.inspect.page;

import app.reglet.core.check.Contrast;
import app.reglet.core.design.LinearLight;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.ProofTable;
import app.reglet.press.inspect.page.PageContent.WordRun;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;

/**
 * How words of a file stand out from what is round their letters, in the pixels of the printed
 * page. What lies behind the letters themselves a file doesn't show: of the pixels in and round a
 * run's ink those are taken that differ most from its colour, a sixth of all. Words in the colour
 * of their ground have none that differ; what is said is never less than how they stand out.
 */
final class WordContrast {
  /** So far round the ink, as a part of the type size. */
  private static final double ROUND = 0.25;

  private static final int SHARE = 6;
  private static final int LEAST_PIXELS = 30;

  private WordContrast() {}

  /**
   * The same words, measured where they can be.
   *
   * @param image the page as printed
   * @param mm of a pixel
   */
  static List<WordRun> of(List<WordRun> words, BufferedImage image, double mm, ProofTable proof) {
    return words.stream()
        .map(w -> w.rgb() == LetterRuns.PATTERN ? w : w.standingOutBy(ratio(w, image, mm, proof)))
        .toList();
  }

  private static double ratio(WordRun w, BufferedImage image, double mm, ProofTable proof) {
    double round = ROUND * w.size() * PageReader.MM_PER_POINT;
    Rect r = w.ink();
    Rectangle in =
        new Rectangle(
                (int) Math.floor((r.x() - round) / mm),
                (int) Math.floor((r.y() - round) / mm),
                (int) Math.ceil((r.width() + 2 * round) / mm),
                (int) Math.ceil((r.height() + 2 * round) / mm))
            .intersection(new Rectangle(image.getWidth(), image.getHeight()));
    if (in.isEmpty() || (long) in.width * in.height < LEAST_PIXELS) {
      return 0;
    }
    double letters = LinearLight.luminance(colour(w, proof));
    double[] ratios = new double[in.width * in.height];
    int n = 0;
    for (int y = in.y; y < in.y + in.height; y++) {
      for (int x = in.x; x < in.x + in.width; x++) {
        ratios[n++] =
            Contrast.ofLuminances(letters, LinearLight.luminance(image.getRGB(x, y) & 0xffffff));
      }
    }
    Arrays.sort(ratios);
    return ratios[n - 1 - n / SHARE];
  }

  /** As it is printed, where its inks are known. */
  private static int colour(WordRun w, ProofTable proof) {
    if (w.inks().isEmpty()) {
      return w.rgb();
    }
    byte[] inks = new byte[4];
    for (int i = 0; i < 4; i++) {
      inks[i] = (byte) Math.round(2.55 * w.inks().get(i));
    }
    int[] rgb = new int[1];
    proof.convert(inks, rgb);
    return rgb[0] & 0xffffff;
  }
}
