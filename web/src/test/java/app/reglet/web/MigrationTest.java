package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.logging.Log;
import org.flywaydb.core.api.logging.LogFactory;
import org.testng.annotations.Test;

/** The migration tool and the database's version are verified together. */
public class MigrationTest {
  @Test
  public void theMigrationToolKnowsThisVersionOfTheDatabase() throws Exception {
    List<String> said = new ArrayList<>();
    LogFactory.setLogCreator(
        type ->
            new Log() {
              @Override
              public void debug(String message) {}

              @Override
              public void info(String message) {
                said.add("info " + message);
              }

              @Override
              public void warn(String message) {
                said.add("warn " + message);
              }

              @Override
              public void error(String message) {
                said.add("error " + message);
              }

              @Override
              public void error(String message, Exception e) {
                said.add("error " + message);
              }

              @Override
              public void notice(String message) {
                said.add("notice " + message);
              }
            });
    String url = "jdbc:h2:file:" + Files.createTempDirectory("migrated").resolve("db");
    Flyway.configure().dataSource(url, "reglet", "").load().migrate();
    assertThat(said).isNotEmpty().noneMatch(m -> m.startsWith("warn") || m.startsWith("error"));
    assertThat(said)
        .noneMatch(m -> m.contains("not been tested") || m.contains("upgrade recommended"));
    try (Connection c = DriverManager.getConnection(url, "reglet", "");
        Statement s = c.createStatement();
        ResultSet r =
            s.executeQuery(
                "select count(*), h2version() from \"flyway_schema_history\" where \"success\"")) {
      r.next();
      assertThat(r.getInt(1)).isEqualTo(3);
      assertThat(r.getString(2)).isEqualTo("2.4.240");
    }
  }
}
