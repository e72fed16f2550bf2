package app.reglet.press.picture;

import java.io.Closeable;
import java.io.IOException;

/** The rows of a picture from the top, as stored (not turned upright), 8 bits a channel. */
public interface Rows extends Closeable {
  /** Pixels of a row. */
  int width();

  /** How many rows there are. */
  int height();

  /** Whether something may show through. */
  boolean mayBeClear();

  /**
   * The next row.
   *
   * @param argb a pixel each, 0xAARRGGBB, colours not multiplied by their alpha
   * @throws IOException when the file ends before its last row
   */
  void next(int[] argb) throws IOException;
}
