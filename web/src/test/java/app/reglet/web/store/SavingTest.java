package app.reglet.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.web.Reglet;
import app.reglet.web.Templates;
import app.reglet.web.Tmpfs;
import app.reglet.web.harness.KillHarness;
import app.reglet.web.harness.LongUseHarness;
import app.reglet.web.harness.Subject;
import app.reglet.web.harness.Web;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** What was answered with success is on the disk, whatever happens to process, disk and file. */
public class SavingTest {
  @Test(groups = Extent.LONG)
  public void nothingAcknowledgedIsLostByKills() throws Exception {
    int rounds = 3;
    KillHarness.Outcome o = KillHarness.run(rounds, 7);
    assertThat(o.lost()).isEmpty();
    assertThat(o.starts()).isEqualTo(rounds + 1);
    assertThat(o.acknowledged()).isGreaterThan(20);
  }

  @Test(groups = Extent.LONG)
  public void anEditTakesLittleRoomRunningAndStopped() throws Exception {
    LongUseHarness.Outcome o = LongUseHarness.run(120, true);
    // the edits all lie within the time that what they replaced is kept for
    assertThat(o.running() - o.empty()).as("bytes running").isLessThan(120 * 40_000L);
    assertThat(o.stopped() - o.empty()).as("bytes stopped").isLessThan(120 * 6_000L);
  }

  /** A row in a database of its own, settled. */
  private static void insert(Database database, int n) throws SQLException {
    try (Connection c = database.getConnection();
        Statement s = c.createStatement()) {
      s.execute("insert into t values (" + n + ", repeat('x', 20000))");
    }
    database.settle();
  }

  private static int count(Database database) throws SQLException {
    try (Connection c = database.getConnection();
        Statement s = c.createStatement();
        ResultSet r = s.executeQuery("select count(*) from t")) {
      r.next();
      return r.getInt(1);
    }
  }

  @Test
  public void aWriteThatFailsIsToldAndTheDatabaseGoesOnFromTheLastThatDidNot() throws Exception {
    try (Tmpfs disk = Tmpfs.of(8)) {
      DataDirectory data = DataDirectory.claim(disk.path());
      Database database = new Database(data, new Room(data));
      try (Connection c = database.getConnection();
          Statement s = c.createStatement()) {
        s.execute("create table t (n int primary key, x varchar(20000))");
      }
      for (int i = 0; i < 20; i++) {
        insert(database, i);
      }
      disk.fill(0);
      // other numbers each time, so that only the disk can be what refuses them
      for (int i = 0; i < 3; i++) {
        int n = 100 + i;
        assertThatThrownBy(() -> insert(database, n))
            .isInstanceOfAny(NotKept.class, SQLException.class);
        assertThat(count(database)).as("reading goes on").isEqualTo(20);
      }
      disk.empty();
      insert(database, 200);
      assertThat(count(database)).isEqualTo(21);
      database.destroy();
      data.destroy();
      try (Connection c =
              DriverManager.getConnection("jdbc:h2:file:" + data.database(), "reglet", "");
          Statement s = c.createStatement();
          ResultSet r = s.executeQuery("select count(*), max(n) from t")) {
        r.next();
        assertThat(r.getInt(1)).isEqualTo(21);
        assertThat(r.getInt(2)).isEqualTo(200);
      }
    }
  }

  @Test
  public void aCommitToADatabaseThatClosedItselfIsNotAcknowledgedByTheOneOpenedAfterIt()
      throws Exception {
    DataDirectory data = DataDirectory.claim(Scratch.directory("reglet-openings"));
    Database database = new Database(data, new Room(data));
    try (Connection c = database.getConnection();
        Statement s = c.createStatement()) {
      s.execute("create table t (n int primary key, x varchar(20000))");
    }
    insert(database, 1);
    int opening = database.openings();
    try (Connection c = database.getConnection();
        Statement s = c.createStatement()) {
      s.execute("insert into t values (2, 'committed, not forced')");
      s.execute("shutdown immediately"); // what H2 does to itself when a write fails
    } catch (SQLException e) {
      // closed under its own statement
    }
    assertThat(database.revive()).isTrue();
    assertThat(count(database)).as("the commit is gone").isEqualTo(1);
    assertThatThrownBy(() -> database.settle(opening)).isInstanceOf(NotKept.class);
    insert(database, 3);
    database.destroy();
    data.destroy();
  }

  @Test(groups = Extent.LONG)
  public void onAFullDiskSavingIsRefusedReadingGoesOnAndRoomMakesItWorkAgain() throws Exception {
    try (Tmpfs disk = Tmpfs.of(80);
        Subject reglet = new Subject(disk.path()).quick()) {
      Templates.demoInto(disk.path());
      reglet.start("--reglet.demo=true");
      Web web = reglet.web();
      String base = web.get("/editions/1/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
      disk.fill(20_000_000);
      Web.Answer refused =
          web.post(
              "/editions/1/bench/edits", Map.of("edit", "remove", "piece", "title", "base", base));
      assertThat(refused.status()).isEqualTo(507);
      assertThat(refused.body())
          .contains("Not saved: the disk that holds Reglet")
          .containsPattern("\\(20\\.\\d MB are left; 32\\.0 MB are needed\\)")
          .contains("Make room");
      assertThat(web.get("/titles").body()).contains("The Salt Ledger");
      assertThat(web.get("/editions/1/bench").status()).isEqualTo(200);
      assertThat(web.get("/health").body()).contains("reading only").contains("\"saves\":false");
      Web.Answer made = web.post("/titles", List.of(Map.entry("title", "No room")), false);
      assertThat(made.status()).isEqualTo(507);
      Web.Answer upload =
          web.upload("/inspect", Map.of(), "file", "x.pdf", "%PDF-1.4 x".getBytes());
      assertThat(upload.status()).as("what is looked at is put aside").isEqualTo(507);
      assertThat(upload.body()).contains("92.0 MB are needed").contains("Make room");
      disk.empty();
      assertThat(web.get("/health").body()).contains("\"status\":\"up\"");
      assertThat(
              web.post(
                      "/editions/1/bench/edits",
                      Map.of("edit", "remove", "piece", "title", "base", base))
                  .status())
          .isEqualTo(200);
      assertThat(web.get("/titles").body()).doesNotContain("No room");
      assertThat(reglet.log()).doesNotContain("\tat ");
    }
  }

  @Test
  public void aFileIsThereInWholeOrNotAtAll() throws Exception {
    Path dir = Scratch.directory("stored");
    Path file = dir.resolve("a/b/file");
    StoredFiles.write(file, out -> out.write("whole".getBytes()));
    assertThat(file).hasContent("whole");
    assertThatThrownBy(
            () ->
                StoredFiles.write(
                    file,
                    out -> {
                      out.write(new byte[100_000]);
                      throw new IOException("in the middle of it");
                    }))
        .hasMessage("in the middle of it");
    assertThat(file).hasContent("whole");
    try (var list = Files.list(file.getParent())) {
      assertThat(list).containsExactly(file);
    }
  }

  // ---- starts that can't be: a sentence with what to do

  private static void refuses(Path data, String... words) {
    assertThatThrownBy(() -> Reglet.start(data, "--server.port=0"))
        .isInstanceOf(StartTrouble.class)
        .satisfies(e -> assertThat(e.getMessage()).contains(words));
  }

  @Test
  public void aDirectoryThatCannotBeWrittenIsRefused() throws Exception {
    Path file = Scratch.file("not-a", "directory");
    refuses(file.resolve("data"), "can't be written", "REGLET_DATA");
    try (Tmpfs disk = Tmpfs.of(4)) {
      disk.readOnly();
      refuses(disk.path(), "can't be written", "Read-only file system");
    }
  }

  /** A directory where Reglet writes a file of its own: nothing that a start looks at before. */
  @Test
  public void aStartThatFailsForAReasonNobodyForesawIsASentenceAndKeepsTheTraceInAFile()
      throws Exception {
    Path data = Scratch.directory("unforeseen");
    Files.createDirectories(data.resolve("reglet.running/in-the-way"));
    Subject reglet = new Subject(data).quick();
    assertThat(reglet.startInVain()).isEqualTo(2);
    assertThat(reglet.log())
        .contains("Reglet could not start: ")
        .contains("reglet.running")
        .contains("start again")
        .doesNotContain("\tat ");
    assertThat(reglet.log().strip().lines().count()).isEqualTo(1);
    assertThat(data.resolve("start-failed.txt")).content().contains("\tat app.reglet");
  }

  /** What can't be asked is a path that is not there: so looks every mount in a changed root. */
  @Test
  public void aDiskThatCannotBeAskedForItsRoomIsNotTakenForAFullOne() throws Exception {
    Path root = Scratch.directory("unasked");
    DataDirectory data = DataDirectory.claim(root);
    Room room = new Room(data);
    assertThat(room.left()).isBetween(1L, Room.UNKNOWN - 1);
    DataDirectory.deleteAll(root);
    assertThat(room.left()).isEqualTo(Room.UNKNOWN);
    room.need(5_000_000_000L);
    data.destroy();
  }

  @Test(groups = Extent.LONG)
  public void aDirectoryInUseIsRefusedWithTheProcess() throws Exception {
    Path data = Scratch.directory("in-use");
    try (Subject other = new Subject(data).quick()) {
      other.start();
      refuses(data, "already running", "(process ");
      assertThat(other.web().get("/titles").status()).isEqualTo(200);
    }
  }

  @Test(groups = Extent.LONG)
  public void aDatabaseOpenInAnotherProgramIsRefused() throws Exception {
    Path data = Scratch.directory("open");
    try (Connection c =
        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("reglet"), "reglet", "")) {
      // H2 tells a second opening in one process and in another apart by the file's lock alone
      assertThat(c.isValid(1)).isTrue();
      Subject second = new Subject(data).quick();
      assertThat(second.startInVain()).isEqualTo(2);
      assertThat(second.log()).contains("is open in another program").doesNotContain("\tat ");
      assertThat(second.log().strip().lines().count()).isEqualTo(1);
    }
  }

  @Test
  public void aDamagedDatabaseIsRefusedAndNamesTheNewestBackup() throws Exception {
    Path data = Scratch.directory("damaged");
    Files.write(data.resolve("reglet.mv.db"), new byte[20_000]);
    refuses(
        data, "is damaged and can't be opened; nothing in it was changed", "There is no backup");
    Files.createDirectories(data.resolve("backups/2026-11-23"));
    Files.createDirectories(data.resolve("backups/2026-11-24"));
    refuses(data, "./reglet restore " + data.resolve("backups/2026-11-24"));
    assertThat(Files.readAllBytes(data.resolve("reglet.mv.db"))).isEqualTo(new byte[20_000]);
  }

  @Test
  public void aForeignDatabaseIsRefused() throws Exception {
    Path data = Scratch.directory("foreign");
    try (Connection c =
            DriverManager.getConnection("jdbc:h2:file:" + data.resolve("reglet"), "sa", "secret");
        Statement s = c.createStatement()) {
      s.execute("create table other (x int)");
    }
    refuses(data, "is another program's database", "REGLET_DATA");
    Path ours = Scratch.directory("foreign");
    try (Connection c =
            DriverManager.getConnection("jdbc:h2:file:" + ours.resolve("reglet"), "reglet", "");
        Statement s = c.createStatement()) {
      s.execute("create table other (x int)");
    }
    refuses(ours, "is another program's database");
  }

  @Test
  public void aDatabaseOfANewerRegletIsRefused() throws Exception {
    Path data = Scratch.directory("newer");
    Reglet.start(data, "--server.port=0").close();
    try (Connection c =
            DriverManager.getConnection("jdbc:h2:file:" + data.resolve("reglet"), "reglet", "");
        Statement s = c.createStatement()) {
      s.execute("update \"flyway_schema_history\" set \"version\" = '99' where \"version\" = '4'");
    }
    refuses(
        data,
        "was written by a newer Reglet (its form is 99, this one knows "
            + DatabaseFile.SCHEMA
            + ")");
  }

  @Test
  public void aPortThatIsTakenIsRefused() throws Exception {
    try (java.net.ServerSocket taken =
        new java.net.ServerSocket(0, 1, java.net.InetAddress.getLoopbackAddress())) {
      assertThatThrownBy(
              () ->
                  Reglet.start(Scratch.directory("port"), "--server.port=" + taken.getLocalPort()))
          .isInstanceOf(StartTrouble.class)
          .hasMessageContaining("Port " + taken.getLocalPort())
          .hasMessageContaining("REGLET_PORT");
    }
  }
}
