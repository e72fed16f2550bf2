package app.reglet.press.picture;

import java.awt.image.BufferedImage;

/** The rows of an RGB or ARGB image. */
final class ImageRows implements Rows {
  private final BufferedImage image;
  private final PixelRow pixels;
  private final boolean inks;
  private int y;

  /**
   * @param inks whether its pixels are inks, kept in an ARGB image
   */
  ImageRows(BufferedImage image, boolean inks) {
    this.image = image;
    this.inks = inks;
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
    return !inks && image.getColorModel().hasAlpha();
  }

  @Override
  public boolean isInks() {
    return inks;
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
