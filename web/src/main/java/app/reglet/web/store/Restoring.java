package app.reglet.web.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;

/**
 * What takes the place of a database and its pictures. It is made beside them; from the moment it
 * is ready the exchange is gone through with, by the next start if need be: a stop in the midst of
 * it never leaves the directory with neither the old nor the new.
 */
public final class Restoring {
  private static final String PLACE = "restoring";
  private static final String READY = "ready";

  private final DataDirectory data;

  public Restoring(DataDirectory data) {
    this.data = data;
  }

  /** Where what is brought back is made, empty now. */
  public Path begin() throws IOException {
    DataDirectory.deleteAll(place());
    return Files.createDirectories(place());
  }

  private Path place() {
    return data.root().resolve(PLACE);
  }

  /**
   * Says that all is there: from now on it is gone through with.
   *
   * @return where what was there before goes
   */
  public Path ready() throws IOException {
    // none in the backup are none afterwards
    Files.createDirectories(place().resolve(data.pictures().getFileName()));
    String aside = "before-restore-" + Instant.now().toString().replaceAll("[:.]", "-");
    StoredFiles.write(
        place().resolve(READY), out -> out.write(aside.getBytes(StandardCharsets.UTF_8)));
    StoredFiles.force(place());
    return data.root().resolve(aside);
  }

  /** Whether an exchange was begun and is not over. */
  public boolean isReady() {
    return Files.exists(place().resolve(READY));
  }

  /**
   * Goes through with an exchange that is ready; what never became ready is cleared away. Each step
   * may have been done already.
   *
   * @throws IOException when it can't be; it is tried again the next time
   */
  public void finish() throws IOException {
    if (!Files.exists(place())) {
      return;
    }
    if (isReady()) {
      Path aside =
          data.root().resolve(Path.of(Files.readString(place().resolve(READY))).getFileName());
      for (Path there : new Path[] {data.databaseFile(), data.pictures()}) {
        Path fresh = place().resolve(there.getFileName());
        if (Files.exists(fresh)) {
          if (Files.exists(there)) {
            Files.createDirectories(aside);
            Files.move(there, aside.resolve(there.getFileName()), StandardCopyOption.ATOMIC_MOVE);
          }
          Files.move(fresh, there, StandardCopyOption.ATOMIC_MOVE);
        }
      }
      StoredFiles.force(data.root());
    }
    DataDirectory.deleteAll(place());
  }
}
