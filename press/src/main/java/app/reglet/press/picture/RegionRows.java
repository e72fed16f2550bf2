package app.reglet.press.picture;

import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.IOException;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;

/** The rows of a picture, decoded a strip at a time so that it is never in memory as a whole. */
final class RegionRows implements Rows {
  private static final int STRIP_PIXELS = 16_000_000;

  private final ImageReader reader;
  private final AutoCloseable owner;
  private final boolean clear;
  private final int width;
  private final int height;
  private BufferedImage strip;
  private int stripTop;
  private int y;

  /**
   * @param clear whether something may show through
   * @param owner what is closed at the end
   */
  RegionRows(ImageReader reader, boolean clear, AutoCloseable owner) throws IOException {
    this.reader = reader;
    this.clear = clear;
    this.owner = owner;
    this.width = reader.getWidth(0);
    this.height = reader.getHeight(0);
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
    return clear;
  }

  @Override
  public void next(int[] argb) throws IOException {
    if (strip == null || y >= stripTop + strip.getHeight()) {
      int rows = Math.min(height - y, Math.max(16, STRIP_PIXELS / width));
      ImageReadParam param = reader.getDefaultReadParam();
      param.setSourceRegion(new Rectangle(0, y, width, rows));
      strip = null; // let go of the last before the next is read
      strip = Decoded.onScreen(reader.read(0, param));
      stripTop = y;
    }
    strip.getRGB(0, y - stripTop, width, 1, argb, 0, width);
    y++;
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
