package app.reglet.web.pictures;

import app.reglet.press.art.Pictures;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.web.shell.Gone;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Pictures, each stored once under its SHA-256 in the data directory. */
@Service
public class PictureStore implements Pictures {
  private static final int SCREEN_PIXELS = 1800;

  private final PictureRecords records;
  private final Path directory;
  private final Clock clock;

  public PictureStore(
      PictureRecords records, @Value("${reglet.directory}") Path data, Clock clock) {
    this.records = records;
    this.directory = data.resolve("pictures");
    this.clock = clock;
  }

  /**
   * Takes a picture in.
   *
   * @throws app.reglet.core.Refusal when it can't be used
   */
  public Picture add(byte[] file, String name) {
    Picture picture = PictureReader.read(file);
    write(original(picture.sha()), file);
    if (!records.existsById(picture.sha())) {
      String kept =
          name == null || name.isBlank()
              ? "picture"
              : Path.of(name.replace('\\', '/')).getFileName().toString();
      records.save(
          new PictureEntity(
              picture,
              kept.length() > 300 ? kept.substring(0, 300) : kept,
              file.length,
              clock.instant()));
    }
    return picture;
  }

  @Override
  public Optional<Picture> find(String sha) {
    return records.findById(sha).map(e -> e.picture(() -> bytes(original(sha))));
  }

  /** What is known of a picture. */
  public Optional<PictureEntity> about(String sha) {
    return records.findById(sha);
  }

  /** A JPEG for the screen, made once. */
  public byte[] screen(String sha) {
    if (!sha.matches("[0-9a-f]{64}")) {
      throw new Gone("There is no such picture here.");
    }
    Path made = directory.resolve("screen").resolve(sha + ".jpg");
    if (!Files.exists(made)) {
      Picture picture = find(sha).orElseThrow(() -> new Gone("There is no such picture here."));
      write(made, PictureReader.screen(picture, SCREEN_PIXELS));
    }
    return bytes(made);
  }

  private Path original(String sha) {
    return directory.resolve(sha.substring(0, 2)).resolve(sha);
  }

  private static void write(Path to, byte[] content) {
    if (Files.exists(to)) {
      return;
    }
    try {
      Files.createDirectories(to.getParent());
      Path part = Files.createTempFile(to.getParent(), "part", null);
      Files.write(part, content);
      Files.move(part, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] bytes(Path file) {
    try {
      return Files.readAllBytes(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
