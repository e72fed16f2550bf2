package app.reglet.web.backup;

import app.reglet.core.Refusal;
import app.reglet.web.shell.Version;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Database;
import app.reglet.web.store.DatabaseFile;
import app.reglet.web.store.Room;
import app.reglet.web.store.StoredFiles;
import app.reglet.web.store.Uploads;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * Copies of database and pictures, consistent while Reglet runs: the database is copied as it was
 * at one moment, and every picture that it names was on the disk before it named it.
 *
 * <p>A backup holds {@code reglet.mv.db}, {@code pictures/} and {@code backup.json}, in a ZIP or,
 * the nightly ones, in a directory whose pictures are hard links and so take no room.
 */
@Service
public class Backups {
  static final String FORMAT = "reglet-backup/1";
  static final String DATABASE = "reglet.mv.db";
  static final String SLIP = "backup.json";
  static final String PICTURES = "pictures";

  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
  private static final int NIGHTS_KEPT = 7;

  private final DataDirectory data;
  private final Database database;
  private final Room room;
  private final Uploads uploads;
  private final Clock clock;

  public Backups(DataDirectory data, Database database, Room room, Uploads uploads, Clock clock) {
    this.data = data;
    this.database = database;
    this.room = room;
    this.uploads = uploads;
    this.clock = clock;
  }

  /**
   * A nightly backup.
   *
   * @param night the date it was made, UTC
   * @param bytes what its database takes; its pictures are shared
   */
  public record Night(String night, Path path, long bytes) {}

  /** What is written on a backup's slip. */
  record Slip(String format, String reglet, int schema, String made, int pictures) {}

  /**
   * Writes a backup into a ZIP.
   *
   * @throws Refusal when it can't be written there
   */
  public void write(Path zip) {
    if (Files.isDirectory(zip)) {
      throw new Refusal("“" + zip + "” is a directory: name the file the backup goes into.");
    }
    try {
      StoredFiles.write(zip, this::write);
    } catch (IOException e) {
      throw new Refusal(
          "The backup can't be written to “"
              + zip
              + "” ("
              + e.getMessage()
              + "): see that there is room, or name another place.");
    }
    LOG.info("backup written, {} bytes", size(zip));
  }

  /** Writes a backup as a ZIP. */
  public void write(OutputStream out) throws IOException {
    Path copy = copy();
    try {
      ZipOutputStream zip = new ZipOutputStream(out);
      zip.setLevel(Deflater.BEST_SPEED);
      add(zip, DATABASE, copy);
      List<Path> pictures = pictures();
      zip.setLevel(Deflater.NO_COMPRESSION); // they are packed already
      for (Path picture : pictures) {
        add(
            zip,
            PICTURES + "/" + picture.getParent().getFileName() + "/" + picture.getFileName(),
            picture);
      }
      zip.putNextEntry(new ZipEntry(SLIP));
      zip.write(slip(pictures.size()));
      zip.closeEntry();
      zip.finish();
      zip.flush();
    } finally {
      Files.deleteIfExists(copy);
    }
  }

  private static void add(ZipOutputStream zip, String name, Path file) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    Files.copy(file, zip);
    zip.closeEntry();
  }

  private byte[] slip(int pictures) {
    return JsonMapper.shared()
        .writerWithDefaultPrettyPrinter()
        .writeValueAsBytes(
            new Slip(
                FORMAT,
                Version.NUMBER,
                DatabaseFile.SCHEMA,
                Instant.now(clock).toString(),
                pictures));
  }

  /** The database as it is at this moment, in a file of its own. */
  private Path copy() throws IOException {
    room.need(2 * database.size());
    Path copy = uploads.scratch();
    try {
      copyTo(copy);
      return copy;
    } catch (IOException | RuntimeException e) {
      Files.deleteIfExists(copy);
      throw e;
    }
  }

  private void copyTo(Path copy) throws IOException {
    Path zip = uploads.scratch();
    try (Connection c = database.getConnection();
        PreparedStatement s = c.prepareStatement("backup to ?")) {
      s.setString(1, zip.toString());
      s.execute();
      try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
        for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
          if (e.getName().endsWith(".mv.db")) {
            Files.copy(in, copy, StandardCopyOption.REPLACE_EXISTING);
            return;
          }
        }
      }
      throw new IOException("the database gave no copy of itself");
    } catch (SQLException e) {
      throw new IOException("the database can't be copied: " + e.getMessage(), e);
    } finally {
      Files.deleteIfExists(zip);
    }
  }

  /** The originals; what the screen is shown is made again. */
  private List<Path> pictures() throws IOException {
    List<Path> found = new ArrayList<>();
    if (Files.isDirectory(data.pictures())) {
      Files.walkFileTree(
          data.pictures(),
          new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult preVisitDirectory(Path dir, BasicFileAttributes a) {
              return dir.equals(data.previews())
                  ? FileVisitResult.SKIP_SUBTREE
                  : FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes a) {
              if (file.getFileName().toString().matches("[0-9a-f]{64}")) {
                found.add(file);
              }
              return FileVisitResult.CONTINUE;
            }
          });
    }
    found.sort(Comparator.naturalOrder());
    return found;
  }

  /** The nightly backups, the newest first. */
  public List<Night> nights() {
    if (!Files.isDirectory(data.backups())) {
      return List.of();
    }
    try (var list = Files.list(data.backups())) {
      return list.filter(p -> night(p).isPresent())
          .map(p -> new Night(p.getFileName().toString(), p, size(p.resolve(DATABASE))))
          .sorted(Comparator.comparing(Night::night).reversed())
          .toList();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static long size(Path file) {
    try {
      return Files.size(file);
    } catch (IOException e) {
      return 0;
    }
  }

  private static Optional<LocalDate> night(Path path) {
    try {
      return Optional.of(LocalDate.parse(path.getFileName().toString()));
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  /** Makes tonight's backup unless it is there, then lets go of those more than seven days old. */
  public boolean nightly() throws IOException {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    Path to = data.backups().resolve(today.toString());
    if (Files.exists(to)) {
      return false;
    }
    Files.createDirectories(data.backups());
    Path part = Files.createTempDirectory(data.backups(), today + "-");
    Path marked = part.resolveSibling(part.getFileName() + ".part");
    Files.move(part, marked);
    try {
      Path copy = copy();
      try {
        StoredFiles.write(marked.resolve(DATABASE), out -> Files.copy(copy, out));
      } finally {
        Files.deleteIfExists(copy);
      }
      List<Path> pictures = pictures();
      for (Path picture : pictures) {
        Path link =
            marked
                .resolve(PICTURES)
                .resolve(picture.getParent().getFileName().toString())
                .resolve(picture.getFileName().toString());
        Files.createDirectories(link.getParent());
        link(link, picture);
      }
      byte[] slip = slip(pictures.size());
      StoredFiles.write(marked.resolve(SLIP), out -> out.write(slip));
      Files.move(marked, to, StandardCopyOption.ATOMIC_MOVE);
      StoredFiles.force(data.backups());
      LOG.info("nightly backup made, {} pictures", pictures.size());
    } finally {
      DataDirectory.deleteAll(marked);
    }
    for (Night night : nights()) {
      if (LocalDate.parse(night.night()).isBefore(today.minusDays(NIGHTS_KEPT - 1L))) {
        DataDirectory.deleteAll(night.path());
      }
    }
    return true;
  }

  private void link(Path link, Path picture) throws IOException {
    try {
      Files.createLink(link, picture);
    } catch (UnsupportedOperationException | IOException e) {
      room.need(Files.size(picture));
      StoredFiles.write(
          link,
          out -> {
            try (InputStream in = Files.newInputStream(picture)) {
              in.transferTo(out);
            }
          });
    }
  }
}
