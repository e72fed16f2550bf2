package app.reglet.press.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.IOException;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;

/** The rows of a picture, decoded a strip at a time so that it is never in memory as a whole. */
final class RegionRows implements Rows {
  private static final int STRIP_PIXELS = 4_000_000;

  private final ImageReader reader;
  private final AutoCloseable owner;
  private final int width;
  private final int height;
  private final int under;
  private BufferedImage strip;
  private int[] pixels;
  private int stripTop;
  private int y;

  /**
   * @param under what shows through it, 0xRRGGBB
   * @param owner what is closed at the end
   */
  RegionRows(ImageReader reader, int under, AutoCloseable owner) throws IOException {
    this.reader = reader;
    this.under = under;
    this.owner = owner;
    this.width = reader.getWidth(0);
    this.height = reader.getHeight(0);
    this.pixels = new int[width];
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
  public void next(byte[] rgb) throws IOException {
    if (strip == null || y >= stripTop + strip.getHeight()) {
      int rows = Math.min(height - y, Math.max(16, STRIP_PIXELS / width));
      ImageReadParam param = reader.getDefaultReadParam();
      param.setSourceRegion(new Rectangle(0, y, width, rows));
      strip = null; // let go of the last before the next is read
      strip = laidOn(under, reader.read(0, param));
      stripTop = y;
    }
    strip.getRGB(0, y - stripTop, width, 1, pixels, 0, width);
    for (int x = 0; x < width; x++) {
      rgb[3 * x] = (byte) (pixels[x] >> 16);
      rgb[3 * x + 1] = (byte) (pixels[x] >> 8);
      rgb[3 * x + 2] = (byte) pixels[x];
    }
    y++;
  }

  static BufferedImage laidOn(int under, BufferedImage image) {
    if (image.getType() == BufferedImage.TYPE_INT_RGB
        || image.getType() == BufferedImage.TYPE_3BYTE_BGR) {
      return image;
    }
    BufferedImage rgb =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D g = rgb.createGraphics();
    g.setColor(new Color(under));
    g.fillRect(0, 0, rgb.getWidth(), rgb.getHeight());
    g.drawImage(image, 0, 0, null);
    g.dispose();
    return rgb;
  }

  @Override
  public void close() throws IOException {
    try {
      owner.close();
    } catch (IOException e) {
      throw e;
    } catch (Exception e) {
      throw new IOException(e);
    }
  }
}
