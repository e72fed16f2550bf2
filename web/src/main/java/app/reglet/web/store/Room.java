package app.reglet.web.store;

import java.io.IOException;
import java.nio.file.Files;
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

  private final DataDirectory data;

  public Room(DataDirectory data) {
    this.data = data;
  }

  /** Bytes that may still be used. */
  public long left() {
    try {
      return Files.getFileStore(data.root()).getUsableSpace();
    } catch (IOException e) {
      return 0;
    }
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
