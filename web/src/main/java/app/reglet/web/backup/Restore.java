package app.reglet.web.backup;

import app.reglet.core.Refusal;
import app.reglet.press.reading.FileBytes;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.DatabaseFile;
import app.reglet.web.store.Restoring;
import app.reglet.web.store.Room;
import app.reglet.web.store.StartTrouble;
import app.reglet.web.store.StoredFiles;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Enumeration;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Brings a backup back into a data directory that no Reglet runs on. The backup is taken apart and
 * looked at first; what was there is put aside, not deleted.
 */
public final class Restore {
  private static final String NAME =
      "reglet\\.mv\\.db|backup\\.json|pictures/[0-9a-f]{2}/[0-9a-f]{64}";

  private final DataDirectory data;

  private Restore(DataDirectory data) {
    this.data = data;
  }

  /**
   * Brings a backup back.
   *
   * @param from a ZIP, or the directory of a nightly one
   * @return what was done, a sentence
   * @throws Refusal when it is no backup, is damaged, or there is no room
   * @throws StartTrouble when Reglet runs on the directory, or it can't be written
   */
  public static String restore(Path from, Path directory) {
    Path backup = from.toAbsolutePath().normalize();
    if (!Files.exists(backup)) {
      throw new Refusal("There is no file “" + from + "”.");
    }
    DataDirectory data = DataDirectory.claim(directory);
    Restoring restoring = new Restoring(data);
    try {
      return new Restore(data).run(backup, restoring);
    } catch (IOException e) {
      throw new Refusal(
          "“"
              + from
              + "” can't be brought back ("
              + e.getMessage()
              + "); "
              + (restoring.isReady()
                  ? "it is half done, and the next start of Reglet goes on with it. What was in "
                      + data.root()
                      + " before is in the directory there whose name begins with before-restore."
                  : "what is in " + data.root() + " was not changed."));
    } finally {
      data.destroy();
    }
  }

  private String run(Path backup, Restoring restoring) throws IOException {
    Path fresh = restoring.begin();
    try {
      if (Files.isDirectory(backup)) {
        copy(backup, fresh);
      } else {
        unpack(backup, fresh);
      }
      Backups.Slip slip = slip(fresh);
      int pictures = expectWhole(fresh, slip);
      boolean before = Files.exists(data.databaseFile()) || Files.exists(data.pictures());
      Path aside = restoring.ready();
      restoring.finish();
      return "The backup of "
          + slip.made()
          + " is back, with "
          + pictures
          + (pictures == 1 ? " picture. " : " pictures. ")
          + (before ? "What was there before is in " + aside + "." : "There was nothing before.");
    } finally {
      if (!restoring.isReady()) {
        DataDirectory.deleteAll(fresh);
      }
    }
  }

  private void expectRoom(long bytes) {
    long left = new Room(data).left();
    if (left < bytes + Room.KEPT_FREE) {
      throw new Refusal(
          String.format(
              java.util.Locale.ROOT,
              "The backup takes %.1f MB unpacked, and %.1f MB are left: make room first. Nothing was changed.",
              bytes / 1e6,
              left / 1e6));
    }
  }

  private void unpack(Path zip, Path to) throws IOException {
    try (ZipFile in = new ZipFile(zip.toFile())) {
      long bytes = 0;
      for (Enumeration<? extends ZipEntry> all = in.entries(); all.hasMoreElements(); ) {
        ZipEntry e = all.nextElement();
        if (!e.getName().matches(NAME)) {
          throw new IOException("it holds “" + e.getName() + "”, which no backup does");
        }
        bytes += Math.max(0, e.getSize());
      }
      expectRoom(bytes);
      for (Enumeration<? extends ZipEntry> all = in.entries(); all.hasMoreElements(); ) {
        ZipEntry e = all.nextElement();
        try (InputStream entry = in.getInputStream(e)) {
          write(to.resolve(e.getName()), entry, e.getSize());
        }
      }
    }
  }

  private static void write(Path to, InputStream entry, long size) throws IOException {
    StoredFiles.write(to, out -> transfer(entry, out, size));
  }

  private static void transfer(InputStream in, OutputStream out, long most) throws IOException {
    byte[] buffer = new byte[1 << 16];
    long written = 0;
    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
      written += n;
      if (written > most) {
        throw new IOException("an entry is longer than it says");
      }
      out.write(buffer, 0, n);
    }
  }

  private void copy(Path from, Path to) throws IOException {
    long[] bytes = {0};
    SimpleFileVisitor<Path> counting =
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes a) throws IOException {
            String name = from.relativize(file).toString().replace('\\', '/');
            if (!name.matches(NAME)) {
              throw new IOException("it holds “" + name + "”, which no backup does");
            }
            bytes[0] += a.size();
            return FileVisitResult.CONTINUE;
          }
        };
    Files.walkFileTree(from, counting);
    expectRoom(bytes[0]);
    Files.walkFileTree(
        from,
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes a) throws IOException {
            try (InputStream in = Files.newInputStream(file)) {
              write(to.resolve(from.relativize(file).toString()), in, Long.MAX_VALUE);
            }
            return FileVisitResult.CONTINUE;
          }
        });
  }

  private static Backups.Slip slip(Path fresh) throws IOException {
    Path file = fresh.resolve(Backups.SLIP);
    if (!Files.exists(file) || !Files.exists(fresh.resolve(Backups.DATABASE))) {
      throw new IOException("it is no backup of Reglet: its slip or its database is missing");
    }
    try {
      Backups.Slip slip = JsonMapper.shared().readValue(file.toFile(), Backups.Slip.class);
      if (!Backups.FORMAT.equals(slip.format()) || slip.schema() > DatabaseFile.SCHEMA) {
        throw new IOException(
            "it was written by a newer Reglet, form "
                + slip.schema()
                + "; this one knows "
                + DatabaseFile.SCHEMA);
      }
      return slip;
    } catch (JacksonException e) {
      throw new IOException("its slip can't be read");
    }
  }

  /** Sees that the database opens and that every picture is the one its name says. */
  private static int expectWhole(Path fresh, Backups.Slip slip) throws IOException {
    DatabaseFile.expectReadable(fresh.resolve("reglet"));
    int[] count = {0};
    Path pictures = fresh.resolve(Backups.PICTURES);
    if (Files.isDirectory(pictures)) {
      Files.walkFileTree(
          pictures,
          new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes a) throws IOException {
              if (!FileBytes.of(file).sha().equals(file.getFileName().toString())) {
                throw new IOException("a picture in it is damaged");
              }
              count[0]++;
              return FileVisitResult.CONTINUE;
            }
          });
    }
    if (count[0] < slip.pictures()) {
      throw new IOException("it holds " + count[0] + " pictures; its slip says " + slip.pictures());
    }
    return count[0];
  }
}
