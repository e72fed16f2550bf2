package app.reglet.press.raster;

import app.reglet.press.art.Coarser;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.Rows;
import java.awt.image.BufferedImage;
import java.util.List;

/** Rows of marks, drawn in sRGB on white, a strip at a time, whatever their size. */
public final class DrawnRows implements Rows {
  private static final double MM_PER_INCH = 25.4;
  private static final int STRIP_PIXELS = 4_000_000;

  private final List<Mark> marks;
  private final Rect box;
  private final int width;
  private final int height;
  private final int strip;
  private final FinePixels pixels = FinePixels.onScreen();
  private final KeptPixels<BufferedImage> kept = new KeptPixels<>(FinePixels.MOST_KEPT);
  private BufferedImage image;
  private int y;

  /** The pixels that an image is to have. */
  public DrawnRows(Pixels.Drawn drawn) {
    this(drawn.marks(), drawn.box(), drawn.width(), drawn.height());
  }

  /**
   * @param marks in mm
   * @param box what of them is drawn
   * @param width pixels
   * @param height pixels
   */
  public DrawnRows(List<? extends Mark> marks, Rect box, int width, int height) {
    this.marks = Coarser.forPixels(width * MM_PER_INCH / box.width()).of(marks);
    this.box = box;
    this.width = width;
    this.height = height;
    this.strip = Math.max(16, STRIP_PIXELS / width);
  }

  @Override
  public int width() {
    return width;
  }

  @Override
  public int height() {
    return height;
  }

  @Override
  public boolean mayBeClear() {
    return false;
  }

  @Override
  public void next(int[] argb) {
    if (y % strip == 0) {
      image = null; // let go of before the next is drawn
      image =
          ArtworkRaster.white(
              marks, strip(box, height, y, Math.min(strip, height - y)), width, this::decoded);
    }
    image.getRGB(0, y % strip, width, 1, argb, 0, width);
    y++;
  }

  private BufferedImage decoded(Pixels.Stored stored) {
    Pixels.Stored s = FinePixels.drawable(stored);
    return kept.of(FinePixels.key(s), (long) s.columns() * s.rows(), () -> pixels.taken(s));
  }

  /**
   * Of a box the rows of a strip.
   *
   * @param height rows of the whole
   * @param from first row
   */
  public static Rect strip(Rect box, int height, int from, int rows) {
    double row = box.height() / height;
    return new Rect(box.x(), box.y() + from * row, box.width(), rows * row);
  }

  @Override
  public void close() {
    image = null;
  }
}
