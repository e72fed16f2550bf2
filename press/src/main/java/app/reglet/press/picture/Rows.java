package app.reglet.press.picture;

import java.io.Closeable;
import java.io.IOException;

/** The rows of a picture from the top, as stored (not turned upright), 8-bit RGB on a colour. */
public interface Rows extends Closeable {
  /** Pixels of a row. */
  int width();

  /** How many rows there are. */
  int height();

  /**
   * The next row.
   *
   * @param rgb three bytes for each pixel
   * @throws IOException when the file ends before its last row
   */
  void next(byte[] rgb) throws IOException;
}
