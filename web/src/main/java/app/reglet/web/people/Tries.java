package app.reglet.web.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Counts sign-ins that failed: five with one name from one address, thirty from one address, a
 * hundred with one name; each after that waits twice as long as the one before, a quarter of an
 * hour at most.
 */
@Component
class Tries {
  private static final int MOST_KEPT = 20_000;
  private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
  private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
  private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);

  private record Count(int failed, Instant last) {}

  private record Limit(String key, int free) {}

  private final Clock clock;
  private final Map<String, Count> counts =
      new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Count> eldest) {
          return size() > MOST_KEPT;
        }
      };

  Tries(Clock clock) {
    this.clock = clock;
  }

  private static List<Limit> limits(String name, String address) {
    return List.of(
        new Limit("both " + address + " " + name, 5),
        new Limit("address " + address, 30),
        new Limit("name " + name, 100));
  }

  /** How long somebody has to wait before the next try; zero when they needn't. */
  synchronized Duration wait(String name, String address) {
    Instant now = clock.instant();
    Duration longest = Duration.ZERO;
    for (Limit limit : limits(name, address)) {
      Count count = counts.get(limit.key());
      if (count != null && count.failed() >= limit.free()) {
        int doublings = Math.min(10, count.failed() - limit.free());
        Duration whole = FIRST_WAIT.multipliedBy(1L << doublings);
        Duration wait = whole.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : whole;
        Duration left = Duration.between(now, count.last().plus(wait));
        longest = left.compareTo(longest) > 0 ? left : longest;
      }
    }
    return longest;
  }

  synchronized void failed(String name, String address) {
    Instant now = clock.instant();
    for (Limit limit : limits(name, address)) {
      counts.merge(
          limit.key(),
          new Count(1, now),
          (old, one) ->
              old.last().plus(FORGOTTEN_AFTER).isBefore(now)
                  ? one
                  : new Count(old.failed() + 1, now));
    }
  }

  synchronized void succeeded(String name, String address) {
    counts.remove(limits(name, address).get(0).key());
  }
}
