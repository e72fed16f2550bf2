package app.reglet.web.docket;

import app.reglet.web.people.Who;
import app.reglet.web.shell.Conflict;
import app.reglet.web.titles.EditionEntity;
import jakarta.persistence.EntityManager;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * The changes of an edition's facts, each with what stood in its columns before and after: exactly
 * what was typed, readable or not. Undo puts back only what a change changed, and only where
 * nothing else has changed it since: a book's words belong to all of its editions.
 */
@Component
class FactsHistory {
  /** Typing goes on with a field for so long after a pause; what comes later is another change. */
  static final Duration GOING_ON = Duration.ofSeconds(20);

  private static final int MOST = 500;
  private static final int LONGEST_SHOWN = 40;
  private static final int LONGEST_WHAT = 300;
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final JdbcTemplate jdbc;
  private final EntityManager entities;
  private final Clock clock;
  private final Who who;

  /**
   * When other editions took, or were left out of, what was typed in one. It need not outlive a
   * stop: typing does not go on for as long as a stop takes.
   */
  private final Map<Long, Instant> settled = new ConcurrentHashMap<>();

  FactsHistory(JdbcTemplate jdbc, EntityManager entities, Clock clock, Who who) {
    this.jdbc = jdbc;
    this.entities = entities;
    this.clock = clock;
    this.who = who;
  }

  /** What stands in every column that is a fact, {@code edition.pages}. */
  Map<String, String> state(EditionEntity e) {
    entities.flush();
    Map<String, String> state = new TreeMap<>();
    FactColumns.ALL.forEach(
        (table, columns) -> {
          Map<String, Object> row =
              jdbc.queryForMap(
                  "select "
                      + String.join(", ", columns.keySet())
                      + " from "
                      + table
                      + " where id = ?",
                  table.equals("book") ? e.getBook().getId() : e.getId());
          columns
              .keySet()
              .forEach(c -> state.put(table + "." + c, Objects.toString(row.get(c), null)));
        });
    return state;
  }

  private record Row(
      long id,
      String what,
      Map<String, String> before,
      Map<String, String> after,
      Instant made,
      String by) {}

  /** Stores what is another than it was. Typing that goes on in a field is one change. */
  void record(EditionEntity e, Map<String, String> was) {
    Map<String, String> now = state(e);
    Map<String, String> before = new TreeMap<>();
    Map<String, String> after = new TreeMap<>();
    now.forEach(
        (column, value) -> {
          if (!Objects.equals(value, was.get(column))) {
            before.put(column, was.get(column));
            after.put(column, value);
          }
        });
    if (after.isEmpty()) {
      return;
    }
    jdbc.update("delete from facts_change where edition_id = ? and undone", e.getId());
    Optional<Row> last = newest(e.getId(), false);
    if (last.isPresent() && goesOn(e.getId(), last.get(), after)) {
      Map<String, String> first = new TreeMap<>(before);
      first.putAll(last.get().before());
      Map<String, String> all = new TreeMap<>(last.get().after());
      all.putAll(after);
      first.keySet().removeIf(c -> Objects.equals(first.get(c), all.get(c)));
      all.keySet().retainAll(first.keySet());
      jdbc.update("delete from facts_change where id = ?", last.get().id());
      if (!all.isEmpty()) {
        insert(e.getId(), first, all);
      }
      return;
    }
    insert(e.getId(), before, after);
    jdbc.update(
        "delete from facts_change where edition_id = ? and id not in"
            + " (select id from facts_change where edition_id = ? order by id desc limit ?)",
        e.getId(),
        e.getId(),
        MOST);
  }

  private boolean goesOn(Long edition, Row last, Map<String, String> after) {
    return labels(last.after()).equals(labels(after))
        && last.by().equals(who.name())
        && last.made().plus(GOING_ON).isAfter(clock.instant())
        && last.made().isAfter(settled.getOrDefault(edition, Instant.EPOCH));
  }

  private void insert(Long edition, Map<String, String> before, Map<String, String> after) {
    jdbc.update(
        "insert into facts_change"
            + " (edition_id, what, before_change, after_change, undone, made, by_name)"
            + " values (?, ?, ?, ?, false, ?, ?)",
        edition,
        what(before, after),
        JSON.writeValueAsString(before),
        JSON.writeValueAsString(after),
        Timestamp.from(clock.instant()),
        who.name());
  }

  private static List<String> labels(Map<String, String> columns) {
    return columns.keySet().stream().map(FactColumns::label).distinct().sorted().toList();
  }

  /** {@code page count: 312 → 320}; of long texts and of several only what they are. */
  private static String what(Map<String, String> before, Map<String, String> after) {
    List<String> labels = labels(after);
    String said = String.join(", ", labels);
    if (labels.size() == 1) {
      String column =
          after.keySet().stream()
              .filter(c -> c.endsWith("_typed"))
              .findFirst()
              .orElse(after.keySet().iterator().next());
      String was = Objects.toString(before.get(column), "");
      String now = Objects.toString(after.get(column), "");
      if (was.length() <= LONGEST_SHOWN && now.length() <= LONGEST_SHOWN) {
        said += ": " + shown(was) + " → " + shown(now);
      }
    }
    return said.length() > LONGEST_WHAT ? said.substring(0, LONGEST_WHAT) : said;
  }

  private static String shown(String value) {
    return value.isEmpty()
        ? "nothing"
        : value.equals("true") ? "yes" : value.equals("false") ? "no" : value;
  }

  private Optional<Row> newest(Long edition, boolean undone) {
    return jdbc
        .query(
            "select id, what, before_change, after_change, made, by_name from facts_change"
                + " where edition_id = ? and undone = ? order by id "
                + (undone ? "asc" : "desc")
                + " limit 1",
            (r, n) ->
                new Row(
                    r.getLong(1),
                    r.getString(2),
                    map(r.getString(3)),
                    map(r.getString(4)),
                    r.getTimestamp(5).toInstant(),
                    r.getString(6)),
            edition,
            undone)
        .stream()
        .findFirst();
  }

  private static Map<String, String> map(String json) {
    return JSON.readValue(json, new TypeReference<TreeMap<String, String>>() {});
  }

  /**
   * The last change of an edition's facts that was not taken back.
   *
   * @param facts what stood in the columns of the edition before, those of the book left out
   */
  record Last(String what, Instant made, Map<String, String> facts) {
    boolean has(String column) {
      return facts.containsKey(column);
    }

    /** What stood there; null for nothing. */
    String was(String column) {
      return facts.get(column);
    }
  }

  /** The last change, empty for none. */
  Optional<Last> last(Long edition) {
    return newest(edition, false)
        .map(
            r -> {
              Map<String, String> facts = new TreeMap<>();
              r.before()
                  .forEach(
                      (column, was) -> {
                        if (column.startsWith("edition.")) {
                          facts.put(column.substring("edition.".length()), was);
                        }
                      });
              return new Last(r.what(), r.made(), facts);
            });
  }

  /**
   * What stood in a column before it was changed first after a moment; empty when it was not, or
   * only from nothing. What was taken back does not count.
   */
  Optional<String> before(Long edition, String column, Instant since) {
    return jdbc
        .queryForList(
            "select before_change from facts_change"
                + " where edition_id = ? and not undone and made > ? and before_change like ?"
                + " order by id",
            String.class,
            edition,
            Timestamp.from(since),
            "%\"" + column + "\"%")
        .stream()
        .map(before -> map(before).get(column))
        .filter(Objects::nonNull)
        .findFirst();
  }

  /** When a column was changed last, and that was not taken back; long ago for never. */
  Instant changed(Long edition, String column) {
    return jdbc
        .query(
            "select after_change, made from facts_change"
                + " where edition_id = ? and not undone and after_change like ? order by id desc",
            (r, n) -> Map.entry(map(r.getString(1)), r.getTimestamp(2).toInstant()),
            edition,
            "%\"" + column + "\"%")
        .stream()
        .filter(row -> row.getKey().containsKey(column))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(Instant.EPOCH);
  }

  /** Typing that goes on from now on is another change: others have taken what was typed so far. */
  void settle(Long edition) {
    settled.put(edition, clock.instant());
  }

  /** What undo would take back, empty for nothing. */
  Optional<String> undoable(Long edition) {
    return newest(edition, false).map(Row::what);
  }

  /** What redo would do again, empty for nothing. */
  Optional<String> redoable(Long edition) {
    return newest(edition, true).map(Row::what);
  }

  /** Takes the newest change back; does nothing when there is none. */
  void undo(EditionEntity e) {
    newest(e.getId(), false)
        .ifPresent(
            row -> {
              put(e, row.after(), row.before());
              jdbc.update("update facts_change set undone = true where id = ?", row.id());
            });
  }

  /** Does the change again that was taken back last; does nothing when there is none. */
  void redo(EditionEntity e) {
    newest(e.getId(), true)
        .ifPresent(
            row -> {
              put(e, row.before(), row.after());
              jdbc.update("update facts_change set undone = false where id = ?", row.id());
            });
  }

  private void put(EditionEntity e, Map<String, String> expected, Map<String, String> wanted) {
    Map<String, String> now = state(e);
    String others =
        expected.keySet().stream()
            .filter(c -> !Objects.equals(now.get(c), expected.get(c)))
            .map(FactColumns::label)
            .distinct()
            .collect(Collectors.joining(", "));
    if (!others.isEmpty()) {
      throw new Conflict(
          "This can't be taken back any more: since then another edition or another way changed "
              + others
              + ". Nothing was overwritten; type what you want there.");
    }
    for (String table : FactColumns.ALL.keySet()) {
      List<String> columns =
          wanted.keySet().stream()
              .filter(c -> c.startsWith(table + "."))
              .map(c -> c.substring(table.length() + 1))
              .toList();
      if (columns.isEmpty()) {
        continue;
      }
      List<Object> values =
          columns.stream()
              .map(c -> (Object) wanted.get(table + "." + c))
              .collect(Collectors.toCollection(java.util.ArrayList::new));
      values.add(table.equals("book") ? e.getBook().getId() : e.getId());
      jdbc.update(
          "update "
              + table
              + " set version = version + 1, "
              + columns.stream().map(c -> c + " = ?").collect(Collectors.joining(", "))
              + " where id = ?",
          values.toArray());
    }
    entities.refresh(e.getBook());
    entities.refresh(e);
  }
}
