package app.reglet.press.picture;

import java.awt.image.BufferedImage;

/** The rows of an RGB or ARGB image. */
final class ImageRows implements Rows {
  private final BufferedImage image;
  private final PixelRow pixels;
  private int y;

  ImageRows(BufferedImage image) {
    this.image = image;
    this.pixels = new PixelRow(image);
  }

  @Override
  public int width() {
    return image.getWidth();
  }

  @Override
  public int height() {
    return image.getHeight();
  }

  @Override
  public boolean mayBeClear() {
    return image.getColorModel().hasAlpha();
  }

  @Override
  public void next(int[] argb) {
    pixels.read(y++, argb);
  }

  @Override
  public void close() {
    // it is in memory
  }
}
