package app.reglet.press.picture;

import java.awt.Rectangle;
import java.io.IOException;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;

/**
 * The rows of a picture, decoded a strip at a time so that it is never in memory as a whole.
 *
 * @param <S> what a strip is decoded to
 */
abstract class StripRows<S> implements Rows {
  private static final int STRIP_PIXELS = 16_000_000;

  private final ImageReader reader;
  private final AutoCloseable owner;
  private final int width;
  private final int height;
  private S strip;
  private int stripTop;
  private int stripEnd;
  private int y;

  /**
   * @param owner what is closed at the end
   */
  StripRows(ImageReader reader, AutoCloseable owner) throws IOException {
    this.reader = reader;
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
  public void next(int[] argb) throws IOException {
    if (y >= stripEnd) {
      int rows = Math.min(height - y, Math.max(16, STRIP_PIXELS / width));
      ImageReadParam param = reader.getDefaultReadParam();
      param.setSourceRegion(new Rectangle(0, y, width, rows));
      strip = null; // let go of the last before the next is read
      strip = read(reader, param);
      stripTop = y;
      stripEnd = y + rows;
    }
    take(strip, y - stripTop, argb);
    y++;
  }

  /** Reads a strip. */
  abstract S read(ImageReader from, ImageReadParam param) throws IOException;

  /** Takes a row of a strip. */
  abstract void take(S from, int row, int[] pixels);

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
