package app.reglet.press.picture;

import java.awt.image.BufferedImage;
import java.io.IOException;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;

/** The rows of a picture in sRGB. */
final class RegionRows extends StripRows<BufferedImage> {
  private final boolean clear;

  /**
   * @param clear whether something may show through
   * @param owner what is closed at the end
   */
  RegionRows(ImageReader reader, boolean clear, AutoCloseable owner) throws IOException {
    super(reader, owner);
    this.clear = clear;
  }

  @Override
  public boolean mayBeClear() {
    return clear;
  }

  @Override
  BufferedImage read(ImageReader from, ImageReadParam param) throws IOException {
    return Decoded.onScreen(from.read(0, param));
  }

  @Override
  void take(BufferedImage from, int row, int[] argb) {
    from.getRGB(0, row, argb.length, 1, argb, 0, argb.length);
  }
}
