package app.reglet.press.picture;

import java.awt.image.BufferedImage;

/** The rows of an RGB or ARGB image. */
final class ImageRows implements Rows {
  private final BufferedImage image;
  private int y;

  ImageRows(BufferedImage image) {
    this.image = image;
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
    image.getRGB(0, y++, argb.length, 1, argb, 0, argb.length);
  }

  @Override
  public void close() {
    // it is in memory
  }
}
