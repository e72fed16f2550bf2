package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.press.inspect.FileFacts;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.inspect.page.PlateFile;
import app.reglet.press.raster.InkPixels;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Latest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * Files that were inspected of late: what was found in each, and what its pages look like, by its
 * SHA-256. The file itself is not kept. The oldest go first, and none outlives a stop.
 */
@Service
class InspectedFiles {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int MOST_KEPT = 24;
  private static final int INKS_KEPT = 4;
  private static final String FACTS = "facts.json";
  private static final String NAME = "name.txt";

  /** What is put aside of a file: a few pictures and the inks of its pages. */
  private static final long ROOM = 60_000_000;

  private final DataDirectory data;
  private final ReadingRoom reading;
  private final Uploads uploads;
  private final Room room;
  private final Latest<Optional<InkPixels>> inks = new Latest<>(INKS_KEPT);

  InspectedFiles(DataDirectory data, ReadingRoom reading, Uploads uploads, Room room) {
    this.room = room;
    this.data = data;
    this.reading = reading;
    this.uploads = uploads;
  }

  /**
   * A file with what was found in it.
   *
   * @param name what it was called
   */
  public record Inspected(String name, FileFacts facts) {}

  /**
   * Reads a file and keeps what is found; of the same brought again what was found now.
   *
   * @throws Refusal when it can't be read
   */
  Inspected take(Uploads.Upload upload) throws IOException {
    if (room.left() < Room.KEPT_FREE + ROOM) {
      sweep(0); // what was looked at before goes first
    }
    room.need(ROOM);
    Path aside = uploads.directory();
    try {
      FileFacts facts = reading.inspect(upload.path(), aside);
      Inspected inspected = new Inspected(upload.name(), facts);
      Files.writeString(aside.resolve(FACTS), JSON.writeValueAsString(inspected));
      Files.writeString(aside.resolve(NAME), facts.kind() + "\n" + upload.name());
      keep(aside, facts.sha());
      return inspected;
    } finally {
      DataDirectory.deleteAll(aside);
    }
  }

  /** Two may bring the same file at the same moment. */
  private synchronized void keep(Path aside, String sha) throws IOException {
    Path place = data.inspected().resolve(sha);
    Files.createDirectories(data.inspected());
    DataDirectory.deleteAll(place);
    Files.move(aside, place, StandardCopyOption.ATOMIC_MOVE);
    sweep(MOST_KEPT);
  }

  /**
   * One that was read.
   *
   * @throws Gone when it is not here any more
   */
  Inspected get(String sha) {
    return read(place(sha).resolve(FACTS), Files::readString)
        .map(json -> JSON.readValue(json, Inspected.class))
        .orElseThrow(() -> new Gone("This file is not here any more: inspect it again."));
  }

  /** How a file is read. */
  private interface Reading<T> {
    T of(Path file) throws IOException;
  }

  /** What is in a file that may be taken away at any moment; nothing when it was. */
  private static <T> Optional<T> read(Path file, Reading<T> how) {
    try {
      return Optional.of(how.of(file));
    } catch (NoSuchFileException gone) {
      return Optional.empty();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Path place(String sha) {
    if (!sha.matches("[0-9a-f]{64}")) {
      throw new Gone("There is no such file here: inspect it again.");
    }
    return data.inspected().resolve(sha);
  }

  /** What a page looks like; empty where it was not drawn. */
  Optional<byte[]> seen(String sha, int page) {
    return read(PageLook.seen(place(sha), page), Files::readAllBytes);
  }

  /** The inks of a page; empty where they were not drawn. */
  Optional<InkPixels> inks(String sha, int page) {
    Path at = PageLook.inks(place(sha), page);
    return Files.exists(at)
        ? inks.computeIfAbsent(sha + " " + page, k -> read(at, PlateFile::read))
        : Optional.empty();
  }

  /**
   * One that is here.
   *
   * @param name what it was called
   */
  public record Named(String sha, String kind, String name) {}

  /** Those that are here, the latest first. */
  List<Named> latest() {
    return directories().stream()
        .flatMap(
            p ->
                read(p.resolve(NAME), Files::readString)
                    .map(said -> said.split("\n", 2))
                    .map(said -> new Named(p.getFileName().toString(), said[0], said[1]))
                    .stream())
        .toList();
  }

  private List<Path> directories() {
    if (!Files.isDirectory(data.inspected())) {
      return List.of();
    }
    try (var list = Files.list(data.inspected())) {
      return list.filter(p -> Files.exists(p.resolve(NAME)))
          .sorted(
              Comparator.<Path>comparingLong(p -> p.resolve(FACTS).toFile().lastModified())
                  .reversed())
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Lets go of all but the latest so many. */
  private synchronized void sweep(int kept) throws IOException {
    List<Path> all = directories();
    for (Path old : all.subList(Math.min(kept, all.size()), all.size())) {
      DataDirectory.deleteAll(old);
    }
  }
}
