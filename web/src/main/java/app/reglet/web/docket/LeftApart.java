package app.reglet.web.docket;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Which editions keep their facts although another of their title has others, and since when. */
@Component
class LeftApart {
  private final JdbcTemplate jdbc;
  private final Clock clock;

  LeftApart(JdbcTemplate jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** What another edition changed up to now is not offered to an edition any more. */
  void leave(Long edition, Long other) {
    jdbc.update(
        "merge into left_apart (edition_id, other_id, made) key (edition_id, other_id)"
            + " values (?, ?, ?)",
        edition,
        other,
        Timestamp.from(clock.instant()));
  }

  /** Since when it keeps its own; long ago when it never was to. */
  Instant since(Long edition, Long other) {
    return jdbc
        .query(
            "select made from left_apart where edition_id = ? and other_id = ?",
            (r, n) -> r.getTimestamp(1).toInstant(),
            edition,
            other)
        .stream()
        .findFirst()
        .orElse(Instant.EPOCH);
  }
}
