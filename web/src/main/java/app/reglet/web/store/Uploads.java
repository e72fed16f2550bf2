package app.reglet.web.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/**
 * Files on their way in: on the disk, never in memory as a whole, and gone when they are dealt
 * with.
 */
@Component
public class Uploads {
  private static final int LONGEST_NAME = 200;

  private final DataDirectory data;

  public Uploads(DataDirectory data) {
    this.data = data;
  }

  /**
   * A file that came in.
   *
   * @param name what it was called, without directories; never empty
   */
  public record Upload(Path path, String name) implements AutoCloseable {
    @Override
    public void close() throws IOException {
      Files.deleteIfExists(path);
    }
  }

  /** Takes a file over from the request it came with. */
  public Upload take(MultipartFile file) throws IOException {
    Path path = Files.createTempFile(data.uploads(), "in", ".upload");
    try {
      file.transferTo(path);
      return new Upload(path, name(file.getOriginalFilename()));
    } catch (IOException | RuntimeException e) {
      Files.deleteIfExists(path);
      throw e;
    }
  }

  /** An empty file to write to. */
  public Path scratch() throws IOException {
    return Files.createTempFile(data.uploads(), "out", ".made");
  }

  /** An empty directory to write to. */
  public Path directory() throws IOException {
    return Files.createTempDirectory(data.uploads(), "out");
  }

  /** The last part of a name as a browser sends it, free of what can't be shown. */
  public static String name(String sent) {
    String name = sent == null ? "" : sent.replace('\\', '/');
    name = name.substring(name.lastIndexOf('/') + 1).replaceAll("\\p{Cntrl}", "").strip();
    if (name.isEmpty()) {
      return "a file without a name";
    }
    return name.length() <= LONGEST_NAME
        ? name
        : name.substring(
            0,
            name.offsetByCodePoints(
                0, Math.min(LONGEST_NAME, name.codePointCount(0, name.length()))));
  }
}
