package app.reglet.press.pdf;

import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.ArtworkRaster;
import java.awt.image.BufferedImage;

/** Rows of marks, drawn in sRGB on white, a strip at a time. */
final class DrawnRows implements Rows {
  private static final int STRIP_PIXELS = 4_000_000;

  private final Pixels.Drawn drawn;
  private final int width;
  private final int height;
  private final int strip;
  private BufferedImage image;
  private int y;

  DrawnRows(Pixels.Drawn drawn) {
    this.drawn = drawn;
    this.width = drawn.width();
    this.height = drawn.height();
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
      image = ArtworkRaster.white(drawn.marks(), part(y, Math.min(strip, height - y)), width);
    }
    image.getRGB(0, y % strip, width, 1, argb, 0, width);
    y++;
  }

  /** Of the box the rows of a strip. */
  private Rect part(int from, int rows) {
    return strip(drawn, from, rows);
  }

  static Rect strip(Pixels.Drawn drawn, int from, int rows) {
    Rect box = drawn.box();
    double row = box.height() / drawn.height();
    return new Rect(box.x(), box.y() + from * row, box.width(), rows * row);
  }

  @Override
  public void close() {
    image = null;
  }
}
