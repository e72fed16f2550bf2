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

  /** Whether pixels are four inks, 0xCCMMYYKK, instead of colours of light. */
  default boolean isInks() {
    return false;
  }

  /**
   * The next row.
   *
   * @param argb a pixel each, 0xAARRGGBB, colours not multiplied by their alpha; or inks
   * @throws IOException when the file ends before its last row
   */
  void next(int[] argb) throws IOException;
}
