package app.reglet.press.raster;

import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/**
 * Where the weight of a design lies on a trimmed panel. A point weighs as much as its lightness is
 * another than that of most of the panel (Rec. ITU-R BT.709 weights on sRGB values); the middle of
 * the weight is the mean place of all points by what they weigh. That eyes take weight so is common
 * practice, no single source.
 *
 * @param panel which
 * @param trim as it will be seen, mm on the sheet
 * @param x the middle of the weight from the panel's left, mm
 * @param y from its top
 * @param cells weight of each cell of a lattice, row by row from the top left, 0 to 1 for the
 *     heaviest
 * @param across how many cells there are in a row
 * @param free how wide the panel is empty from each edge to what stands out first: left, top,
 *     right, bottom, mm
 */
public record Balance(
    PanelKind panel,
    Rect trim,
    double x,
    double y,
    List<Double> cells,
    int across,
    List<Double> free) {
  private static final int WIDTH = 240;
  private static final int ACROSS = 12;

  /** Less is the grain of a picture. */
  private static final int LEAST = 18;

  private static final int TONES = 256;

  public Balance {
    cells = List.copyOf(cells);
    free = List.copyOf(free);
  }

  /** Of every panel but the hinges; a panel on which nothing stands out is left out. */
  public static List<Balance> of(Artwork art, Function<Pixels.Stored, BufferedImage> pictures) {
    List<Balance> all = new ArrayList<>();
    for (Panel p : art.wrap().panels()) {
      Rect trim = Rect.of(p.trim());
      if (p.kind().isHinge() || trim.width() < 1) {
        continue;
      }
      int width = (int) Math.max(40, Math.min(WIDTH, trim.width() * 4));
      BufferedImage image = ArtworkRaster.render(art, trim, width, pictures);
      Balance b = of(p.kind(), trim, image);
      if (b != null) {
        all.add(b);
      }
    }
    return all;
  }

  private static Balance of(PanelKind kind, Rect trim, BufferedImage image) {
    int w = image.getWidth();
    int h = image.getHeight();
    int[] tones = new int[w * h];
    int[] often = new int[TONES];
    for (int i = 0; i < tones.length; i++) {
      int c = image.getRGB(i % w, i / w);
      tones[i] =
          (int)
              Math.round(
                  0.2126 * (c >> 16 & 0xff) + 0.7152 * (c >> 8 & 0xff) + 0.0722 * (c & 0xff));
      often[tones[i]]++;
    }
    int ground = middle(often, tones.length);
    int down = Math.max(1, Math.round(ACROSS * h / (float) w));
    int across = w < h / 8 ? 2 : ACROSS;
    if (across == 2) {
      down = Math.max(1, Math.round(2f * h / w));
    }
    double[] cells = new double[across * down];
    double sum = 0;
    double sx = 0;
    double sy = 0;
    int[] edges = {w, h, -1, -1};
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int weight = Math.abs(tones[y * w + x] - ground);
        if (weight < LEAST) {
          continue;
        }
        sum += weight;
        sx += weight * (x + 0.5);
        sy += weight * (y + 0.5);
        cells[y * down / h * across + x * across / w] += weight;
        edges[0] = Math.min(edges[0], x);
        edges[1] = Math.min(edges[1], y);
        edges[2] = Math.max(edges[2], x);
        edges[3] = Math.max(edges[3], y);
      }
    }
    if (sum == 0) {
      return null;
    }
    double most = Arrays.stream(cells).max().orElse(1);
    double mm = trim.width() / w;
    return new Balance(
        kind,
        trim,
        sx / sum * mm,
        sy / sum * mm,
        Arrays.stream(cells).mapToObj(c -> c / most).toList(),
        across,
        List.of(edges[0] * mm, edges[1] * mm, (w - 1 - edges[2]) * mm, (h - 1 - edges[3]) * mm));
  }

  /** The tone that as many points are darker than as lighter. */
  private static int middle(int[] often, int all) {
    int seen = 0;
    for (int t = 0; t < TONES; t++) {
      seen += often[t];
      if (2 * seen >= all) {
        return t;
      }
    }
    return TONES - 1;
  }
}
