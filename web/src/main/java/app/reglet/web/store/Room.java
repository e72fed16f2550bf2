package app.reglet.web.store;

import java.io.File;
import java.util.Locale;
import org.springframework.stereotype.Component;

/**
 * The room on the disk that holds the data. Saving is refused while there is still some left, so
 * that nothing is ever half written and the database never fails in the middle of a change.
 */
@Component
public class Room {
  /** Bytes kept free. */
  public static final long KEPT_FREE = 32_000_000;

  /** What {@link #left} says of a disk that can't be asked. */
  public static final long UNKNOWN = Long.MAX_VALUE;

  private final DataDirectory data;

  public Room(DataDirectory data) {
    this.data = data;
  }

  /**
   * Bytes that may still be used. The path itself is asked, since looking for the mount that it
   * lies on fails in a changed root. A disk of which not even the size is known is not taken for a
   * full one: then this is {@link #UNKNOWN}, and nothing is refused.
   */
  public long left() {
    File root = data.root().toFile();
    long usable = root.getUsableSpace();
    return usable == 0 && root.getTotalSpace() == 0 ? UNKNOWN : usable;
  }

  /**
   * Asks for room.
   *
   * @param bytes what is to be written
   * @throws NoRoom when less than {@link #KEPT_FREE} would be left
   */
  public void need(long bytes) {
    long left = left();
    if (left < KEPT_FREE + bytes) {
      throw new NoRoom(
          String.format(
              Locale.ROOT,
              "Not saved: the disk that holds Reglet's data is full (%.1f MB are left; %.1f MB are needed). Nothing that was saved before is lost. Make room on it and save again; Reglet goes on by itself.",
              left / 1e6,
              (KEPT_FREE + bytes) / 1e6));
    }
  }
}
