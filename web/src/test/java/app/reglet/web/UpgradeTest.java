package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.testing.Scratch;
import app.reglet.web.carry.CarriedRows;
import app.reglet.web.harness.Web;
import app.reglet.web.houses.Houses;
import app.reglet.web.houses.ShippedRuleSheets;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.springframework.context.ConfigurableApplicationContext;
import org.testng.annotations.Test;

/** A database of an earlier Reglet: its editions keep their figures, its sheets become versions. */
public class UpgradeTest {
  private static final Timestamp THEN = Timestamp.from(Instant.parse("2026-01-02T03:04:05Z"));

  @Test
  public void anOlderDatabaseIsTakenOver() throws Exception {
    Path data = Scratch.directory("reglet-old");
    String url = "jdbc:h2:file:" + data.resolve("reglet");
    Flyway.configure().dataSource(url, "reglet", "").target("1").load().migrate();
    // the house then had thinner white paper than the one that ships now
    String then =
        ShippedRuleSheets.text("gannet-and-gauge")
            .orElseThrow()
            .replace("\"perPage\": \"0.002252 in\"", "\"perPage\": \"0.0022 in\"")
            .replace(
                "\"spine\": \"0.2252 in\", \"sheet\": \"12.48 x 9.25 in\"",
                "\"spine\": \"0.22 in\"")
            .replace("\"spine\": \"0.054048 in\"", "\"spine\": \"0.0528 in\"");
    try (Connection c = DriverManager.getConnection(url, "reglet", "")) {
      insert(
          c,
          "insert into house (id, document, shipped, changed) values (?, ?, true, ?)",
          "gannet-and-gauge",
          then,
          THEN);
      insert(
          c,
          "insert into book (version, title, subtitle, author, imprint, blurb, isbn_typed, price, created) values (0, ?, '', ?, '', '', '', '', ?)",
          "Old Stock",
          "Nobody",
          THEN);
      insert(
          c,
          "insert into edition (version, book_id, house_id, binding, trim, trim_typed, pages, pages_typed, stock, ink, turn, revision, created)"
              + " values (0, 1, ?, 'perfect-bound', '152.4 mm x 228.6 mm', '', 100, '100', 'white', 'black', 'ltr', 0, ?)",
          "gannet-and-gauge",
          THEN);
    }
    try (ConfigurableApplicationContext reglet = Reglet.start(data, "--server.port=0")) {
      Houses houses = reglet.getBean(Houses.class);
      assertThat(houses.numbers("gannet-and-gauge")).containsExactly(1, 2);
      assertThat(houses.isShipped("gannet-and-gauge")).isTrue();
      EditionEntity edition = reglet.getBean(Editions.class).findAllByOrderByIdAsc().get(0);
      assertThat(edition.getHouseVersion()).isEqualTo(1);
      assertThat(edition.getSpread()).isZero();
      Covers covers = reglet.getBean(Covers.class);
      Cover cover = covers.of(edition, Unit.IN);
      // 100 × 0.0022, as it was; 100 × 0.002252 is only offered
      assertThat(cover.sheet().spine().stated()).isEqualTo(Length.in("0.22"));
      assertThat(covers.newerSheet(cover).orElseThrow().sentence()).contains("spine +0.0052 in");
    }
    // started again, nothing becomes a third version
    try (ConfigurableApplicationContext reglet = Reglet.start(data, "--server.port=0")) {
      assertThat(reglet.getBean(Houses.class).numbers("gannet-and-gauge")).containsExactly(1, 2);
    }
  }

  /** What was never to be offered again was 0 then; it is -1 now, and 0 is a revision. */
  @Test
  public void whatWasRefusedForGoodIsRefusedStill() throws Exception {
    Path data = Scratch.directory("reglet-refused");
    String url = "jdbc:h2:file:" + data.resolve("reglet");
    Flyway.configure().dataSource(url, "reglet", "").target("11").load().migrate();
    try (Connection c = DriverManager.getConnection(url, "reglet", "")) {
      insert(c, "set referential_integrity false"); // the house comes with the start
      insert(
          c,
          "insert into book (version, title, subtitle, author, imprint, blurb, isbn_typed, price, created) values (0, 'Refused', '', '', '', '', '', '', ?)",
          THEN);
      for (int i = 0; i < 2; i++) {
        insert(
            c,
            "insert into edition (version, book_id, house_id, house_version, binding, trim, trim_typed, pages, pages_typed, stock, ink, turn, revision, created)"
                + " values (0, 1, 'gannet-and-gauge', 1, 'perfect-bound', '152.4 mm x 228.6 mm', '', 100, '100', 'white', 'black', 'ltr', 0, ?)",
            THEN);
      }
      insert(
          c,
          "insert into carried (edition_id, origin_id, origin_revision, revision, made, bases) values (2, 1, 4, 1, ?, ?)",
          THEN,
          "title/colour\t0\nauthor/place\t10\nblurb/type\t0");
    }
    try (ConfigurableApplicationContext reglet = Reglet.start(data, "--server.port=0")) {
      assertThat(reglet.getBean(CarriedRows.class).findById(2L).orElseThrow().bases())
          .containsExactlyInAnyOrderEntriesOf(
              Map.of("title/colour", -1, "author/place", 10, "blurb/type", -1));
    }
  }

  /** A title had one ISBN before schema 15; each of its editions has it since, undo and all. */
  @Test
  public void theIsbnOfATitleBecomesThatOfItsEditionsAndUndoFindsItThere() throws Exception {
    Path data = Scratch.directory("reglet-isbn");
    String url = "jdbc:h2:file:" + data.resolve("reglet");
    Flyway.configure().dataSource(url, "reglet", "").target("14").load().migrate();
    try (Connection c = DriverManager.getConnection(url, "reglet", "")) {
      insert(c, "set referential_integrity false"); // the house comes with the start
      for (String[] book :
          new String[][] {{"9780306406157", "978-0-306-40615-7"}, {null, "97803"}}) {
        insert(
            c,
            "insert into book (version, title, subtitle, author, imprint, blurb, isbn, isbn_typed, price, created) values (0, 'Numbered', '', '', '', '', ?, ?, '', ?)",
            book[0],
            book[1],
            THEN);
      }
      for (int book : new int[] {1, 1, 2}) {
        insert(
            c,
            "insert into edition (version, book_id, house_id, house_version, binding, trim, trim_typed, pages, pages_typed, stock, ink, turn, revision, created)"
                + " values (0, ?, 'gannet-and-gauge', 1, 'perfect-bound', '152.4 mm x 228.6 mm', '', 100, '100', 'white', 'black', 'ltr', 0, ?)",
            book,
            THEN);
      }
      insert(
          c,
          "insert into facts_change (edition_id, what, before_change, after_change, undone, made, by_name) values (1, 'ISBN: none → 978-0-306-40615-7', ?, ?, false, ?, '')",
          "{\"book.isbn\":null,\"book.isbn_typed\":\"\"}",
          "{\"book.isbn\":\"9780306406157\",\"book.isbn_typed\":\"978-0-306-40615-7\"}",
          THEN);
    }
    try (ConfigurableApplicationContext reglet = Reglet.start(data, "--server.port=0")) {
      Editions editions = reglet.getBean(Editions.class);
      for (long id : new long[] {1, 2}) {
        EditionEntity e = editions.findById(id).orElseThrow();
        assertThat(e.getIsbnTyped()).isEqualTo("978-0-306-40615-7");
        assertThat(e.printed().isbn().orElseThrow().digits()).isEqualTo("9780306406157");
      }
      EditionEntity slip = editions.findById(3L).orElseThrow();
      assertThat(slip.getIsbnTyped()).as("as it was typed").isEqualTo("97803");
      assertThat(slip.getIsbn()).isEmpty();
      Web web =
          new Web("http://127.0.0.1:" + reglet.getEnvironment().getProperty("local.server.port"));
      String version =
          web.get("/editions/1/docket").find("id=\"version\" name=\"version\" value=\"([^\"]+)\"");
      assertThat(web.post("/editions/1/docket/undo", Map.of("version", version)).status())
          .isLessThan(400);
      assertThat(editions.findById(1L).orElseThrow().getIsbnTyped()).isEmpty();
      assertThat(editions.findById(2L).orElseThrow().getIsbnTyped())
          .as("another edition keeps its own")
          .isEqualTo("978-0-306-40615-7");
    }
  }

  private static void insert(Connection c, String sql, Object... values) throws Exception {
    try (PreparedStatement s = c.prepareStatement(sql)) {
      for (int i = 0; i < values.length; i++) {
        s.setObject(i + 1, values[i]);
      }
      s.executeUpdate();
    }
  }
}
