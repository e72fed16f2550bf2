package app.reglet.web.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.Optional;
import org.h2.api.ErrorCode;

/**
 * The file of the database, looked at before anything else is done with it.
 *
 * <p>Settings: {@code RETENTION_TIME} is how long H2 keeps what a change has replaced before it
 * writes over it. Its usual 45 s made 94 kB an edit; every change here is forced to the disk before
 * it is answered, so five seconds leave the last forced state untouched and let the space be used
 * again. {@code DB_CLOSE_ON_EXIT} is off since {@link Database} closes it, last of all.
 */
public final class DatabaseFile {
  /** The newest migration this Reglet knows. */
  public static final int SCHEMA = 18;

  static final String USER = "reglet";

  private DatabaseFile() {}

  /** The address of the database in a directory. */
  public static String url(DataDirectory data) {
    return url(data.database());
  }

  static String url(Path database) {
    return "jdbc:h2:file:"
        + database
        + ";RETENTION_TIME=5000;DB_CLOSE_ON_EXIT=FALSE;TRACE_LEVEL_FILE=0";
  }

  /** A connection of its own. */
  static Connection connect(String url) throws SQLException {
    return DriverManager.getConnection(url, USER, "");
  }

  /**
   * Opens the database of a directory, making it when there is none, and sees that it is one of
   * Reglet's.
   *
   * @return a connection that holds it open
   * @throws StartTrouble with what is wrong with the file and what to do
   */
  public static Connection open(DataDirectory data) {
    Path file = data.databaseFile();
    try {
      if (Files.isDirectory(file)) {
        throw new StartTrouble(
            file + " is a directory where the database should be: move it away and start again.");
      }
      Connection connection = connect(url(data));
      try {
        expectOurs(connection, file);
        return connection;
      } catch (SQLException | StartTrouble e) {
        connection.close();
        throw e;
      }
    } catch (SQLException e) {
      throw new StartTrouble(sentence(e, data));
    }
  }

  /**
   * Sees that a database that isn't in use can be opened and is one of Reglet's.
   *
   * @param database without the ending that H2 gives it
   * @throws IOException when it can't, with the reason
   */
  public static void expectReadable(Path database) throws IOException {
    try (Connection c = connect(url(database) + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r")) {
      expectOurs(c, database);
    } catch (SQLException | StartTrouble e) {
      throw new IOException("its database is damaged or none of Reglet's", e);
    }
  }

  private static void expectOurs(Connection connection, Path file) throws SQLException {
    try (Statement s = connection.createStatement()) {
      int tables = 0;
      boolean history = false;
      try (ResultSet r =
          s.executeQuery(
              "select table_name from information_schema.tables where table_schema = 'PUBLIC'")) {
        while (r.next()) {
          tables++;
          history |= r.getString(1).equals("flyway_schema_history");
        }
      }
      if (tables > 0 && !history) {
        throw new StartTrouble(
            file
                + " is another program's database: move it away, or name another directory with REGLET_DATA.");
      }
      if (history) {
        try (ResultSet r =
            s.executeQuery(
                "select max(cast(\"version\" as int)) from \"flyway_schema_history\" where \"success\"")) {
          if (r.next() && r.getInt(1) > SCHEMA) {
            throw new StartTrouble(
                "The database "
                    + file
                    + " was written by a newer Reglet (its form is "
                    + r.getInt(1)
                    + ", this one knows "
                    + SCHEMA
                    + "): start that one.");
          }
        }
      }
    }
  }

  private static String sentence(SQLException e, DataDirectory data) {
    Path file = data.databaseFile();
    return switch (e.getErrorCode()) {
      case ErrorCode.DATABASE_ALREADY_OPEN_1 ->
          "The database "
              + file
              + " is open in another program: end that one and start Reglet again.";
      case ErrorCode.WRONG_USER_OR_PASSWORD ->
          file
              + " is another program's database: move it away, or name another directory with REGLET_DATA.";
      case ErrorCode.FILE_VERSION_ERROR_1 ->
          file + " is of a form this Reglet can't read: start the Reglet that wrote it.";
      case ErrorCode.IO_EXCEPTION_1, ErrorCode.IO_EXCEPTION_2, ErrorCode.DATABASE_IS_READ_ONLY ->
          "The database "
              + file
              + " can't be read or written: see that the disk has room and that Reglet may write it.";
      default ->
          "The database "
              + file
              + " is damaged and can't be opened; nothing in it was changed. "
              + newestBackup(data)
                  .map(b -> "The newest backup is brought back with: ./reglet restore " + b)
                  .orElse(
                      "There is no backup in "
                          + data.backups()
                          + "; bring one back with ./reglet restore FILE, or move the file away to begin anew")
              + ".";
    };
  }

  private static Optional<Path> newestBackup(DataDirectory data) {
    if (!Files.isDirectory(data.backups())) {
      return Optional.empty();
    }
    try (var list = Files.list(data.backups())) {
      return list.filter(p -> !StoredFiles.isPart(p))
          .max(Comparator.comparing(p -> p.getFileName().toString()));
    } catch (IOException e) {
      return Optional.empty();
    }
  }
}
