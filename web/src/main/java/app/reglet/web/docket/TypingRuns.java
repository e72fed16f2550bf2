package app.reglet.web.docket;

import app.reglet.web.titles.Cover;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The covers that typing on dockets began with, so that what it changed is told of all that was
 * typed in one go: the last letters of “5 x 8 in” change nothing any more.
 */
@Component
class TypingRuns {
  private static final int MOST = 16;

  /**
   * What one window types.
   *
   * @param version of the docket as that window has it now
   * @param revision of the design: what is typed after that was changed is no part of the run
   */
  private record Run(String version, int revision, Cover first, Instant last) {}

  private final Clock clock;
  private final Map<Long, Run> runs =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Run> eldest) {
          return size() > MOST;
        }
      };

  TypingRuns(Clock clock) {
    this.clock = clock;
  }

  /**
   * The cover that typing began with; empty where that could not be read, or not be measured yet.
   *
   * @param was the docket's version that was typed on
   * @param is its version now
   * @param before the cover before what was typed last
   * @param after the cover now
   */
  synchronized Optional<Cover> first(
      Long edition, String was, String is, Optional<Cover> before, Cover after) {
    Instant now = clock.instant();
    Run run = runs.remove(edition);
    boolean goesOn =
        run != null
            && run.version().equals(was)
            && before.map(c -> c.edition().getRevision() == run.revision()).orElse(true)
            && run.last().plus(FactsHistory.GOING_ON).isAfter(now);
    Optional<Cover> first =
        goesOn ? Optional.of(run.first()) : before.filter(c -> c.wrap().isPresent());
    first.ifPresent(c -> runs.put(edition, new Run(is, after.edition().getRevision(), c, now)));
    return first;
  }
}
