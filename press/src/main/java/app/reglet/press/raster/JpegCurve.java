package app.reglet.press.raster;

import app.reglet.press.colour.Lab;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What a picture loses as a JPEG, quality by quality: the mean CIEDE2000 difference of its pixels,
 * and where it loses most.
 *
 * @param points the lowest quality first
 * @param knee the quality above which a larger file gains little: the point farthest from the
 *     straight line between the ends, both axes from 0 to 1 (Satopää, Albrecht, Irwin, Raghavan,
 *     Finding a "Kneedle" in a Haystack, 2011; from memory)
 * @param worstX where its lowest quality loses most, the left of a square of {@link #SQUARE} pixels
 * @param worstY the top of it
 */
public record JpegCurve(List<Point> points, int knee, int worstX, int worstY) {
  /** Side of the square, pixels. */
  public static final int SQUARE = 96;

  private static final int[] QUALITIES = {50, 60, 70, 75, 80, 85, 90, 95};

  /** Pixels that are compared at most. */
  private static final int SAMPLES = 120_000;

  /**
   * One quality.
   *
   * @param quality of 100
   * @param bytes of the file
   * @param loss mean CIEDE2000; about 1 is just seen
   */
  public record Point(int quality, long bytes, double loss) {}

  public JpegCurve {
    points = List.copyOf(points);
  }

  /** The curve of a picture in sRGB. */
  public static JpegCurve of(BufferedImage image) {
    int step =
        Math.max(
            1, (int) Math.ceil(Math.sqrt((double) image.getWidth() * image.getHeight() / SAMPLES)));
    Lab[] labs = labs(image, step);
    BufferedImage[] decoded = new BufferedImage[QUALITIES.length];
    Point[] points = new Point[QUALITIES.length];
    IntStream.range(0, QUALITIES.length)
        .parallel()
        .forEach(
            i -> {
              byte[] file = EbookCover.jpeg(image, QUALITIES[i] / 100f);
              BufferedImage is = EbookCover.decoded(file);
              Lab[] now = labs(is, step);
              double sum = 0;
              for (int p = 0; p < labs.length; p++) {
                sum += labs[p].apart(now[p]);
              }
              points[i] = new Point(QUALITIES[i], file.length, sum / labs.length);
              decoded[i] = i == 0 ? is : null;
            });
    int[] worst = worst(image, decoded[0]);
    return new JpegCurve(List.of(points), knee(points), worst[0], worst[1]);
  }

  private static Lab[] labs(BufferedImage image, int step) {
    List<Lab> labs = new ArrayList<>();
    for (int y = 0; y < image.getHeight(); y += step) {
      for (int x = 0; x < image.getWidth(); x += step) {
        labs.add(Lab.ofScreen(image.getRGB(x, y)));
      }
    }
    return labs.toArray(Lab[]::new);
  }

  private static int knee(Point[] points) {
    Point first = points[0];
    Point last = points[points.length - 1];
    int knee = last.quality();
    double most = 0;
    for (Point p : points) {
      double x = (p.bytes() - first.bytes()) / (double) Math.max(1, last.bytes() - first.bytes());
      double y = (first.loss() - p.loss()) / Math.max(1e-9, first.loss() - last.loss());
      if (y - x > most) {
        most = y - x;
        knee = p.quality();
      }
    }
    return knee;
  }

  /** The square in which two pictures are apart most, by plain differences of values. */
  private static int[] worst(BufferedImage a, BufferedImage b) {
    int w = Math.min(SQUARE, a.getWidth());
    int h = Math.min(SQUARE, a.getHeight());
    long most = -1;
    int[] at = {0, 0};
    for (int y = 0; y + h <= a.getHeight(); y += h / 2) {
      for (int x = 0; x + w <= a.getWidth(); x += w / 2) {
        long apart = 0;
        for (int dy = 0; dy < h; dy += 3) {
          for (int dx = 0; dx < w; dx += 3) {
            int p = a.getRGB(x + dx, y + dy);
            int q = b.getRGB(x + dx, y + dy);
            for (int shift = 0; shift < 24; shift += 8) {
              apart += Math.abs((p >> shift & 0xff) - (q >> shift & 0xff));
            }
          }
        }
        if (apart > most) {
          most = apart;
          at = new int[] {x, y};
        }
      }
    }
    return at;
  }

  /** The square that loses most, as a quality leaves it; as it is where that is 100 or more. */
  public static BufferedImage square(BufferedImage image, int quality, int x, int y) {
    int w = Math.min(SQUARE, image.getWidth() - x);
    int h = Math.min(SQUARE, image.getHeight() - y);
    BufferedImage of =
        quality >= 100 ? image : EbookCover.decoded(EbookCover.jpeg(image, quality / 100f));
    return of.getSubimage(x, y, w, h);
  }
}
