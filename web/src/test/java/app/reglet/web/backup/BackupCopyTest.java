package app.reglet.web.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.testing.Scratch;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Database;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import org.testng.annotations.Test;

public class BackupCopyTest {
  /** A database that can be opened, and gives no copy of itself. */
  private static final class Failing extends Database {
    private boolean fails;

    Failing(DataDirectory data, Room room) throws SQLException {
      super(data, room);
    }

    @Override
    public Connection getConnection() throws SQLException {
      if (fails) {
        throw new SQLException("the disk is gone");
      }
      return super.getConnection();
    }
  }

  @Test
  public void aCopyOfTheDatabaseThatFailsLeavesNoFile() throws Exception {
    DataDirectory data = DataDirectory.claim(Scratch.directory("backup"));
    Files.createDirectories(data.uploads());
    Room room = new Room(data);
    Failing database = new Failing(data, room);
    try {
      Backups backups = new Backups(data, database, room, new Uploads(data), Clock.systemUTC());
      backups.write(OutputStream.nullOutputStream());
      database.fails = true;
      assertThatThrownBy(() -> backups.write(OutputStream.nullOutputStream()))
          .isInstanceOf(IOException.class)
          .hasMessageContaining("can't be copied");
      try (var left = Files.list(data.uploads())) {
        assertThat(left).isEmpty();
      }
    } finally {
      database.destroy();
      data.destroy();
    }
  }
}
