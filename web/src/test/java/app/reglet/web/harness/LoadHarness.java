package app.reglet.web.harness;

import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web.Answer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/**
 * So many people, each at a cover of their own: a change on the bench or the docket, a look, a
 * second of thought on average, and again.
 *
 * <p>{@code ./reglet harness load [people] [seconds]}
 */
public final class LoadHarness {
  private LoadHarness() {}

  /** What came of it; times in ms. */
  public record Outcome(int requests, int errors, long median, long p95, long longest) {}

  public static void main(String[] args) throws Exception {
    int people = args.length > 0 ? Integer.parseInt(args[0]) : 30;
    int seconds = args.length > 1 ? Integer.parseInt(args[1]) : 60;
    Outcome o = run(people, seconds);
    System.out.printf(
        "load: %d people, %d s, %d requests (%.1f/s), %d errors, median %d ms, p95 %d ms, longest %d ms%n",
        people,
        seconds,
        o.requests(),
        (double) o.requests() / seconds,
        o.errors(),
        o.median(),
        o.p95(),
        o.longest());
    System.exit(o.errors() == 0 && o.p95() < 500 ? 0 : 1);
  }

  public static Outcome run(int people, int seconds) throws Exception {
    Path data = Scratch.directory("reglet-load");
    List<Long> times = Collections.synchronizedList(new ArrayList<>());
    List<String> errors = Collections.synchronizedList(new ArrayList<>());
    try (Subject reglet = new Subject(data)) {
      reglet.start();
      List<Composing> covers = new ArrayList<>();
      for (int i = 0; i < people; i++) {
        covers.add(Composing.begin(reglet.web(), "Loaded " + i));
      }
      long until = System.nanoTime() + seconds * 1_000_000_000L;
      List<Thread> threads = new ArrayList<>();
      for (int i = 0; i < people; i++) {
        Composing at = covers.get(i);
        Random random = new Random(i);
        Thread t =
            new Thread(
                () -> {
                  try {
                    while (System.nanoTime() < until) {
                      Thread.sleep(500 + random.nextInt(1000));
                      Answer a =
                          switch (random.nextInt(4)) {
                            case 0 ->
                                at.author(
                                    "Author " + random.nextInt(),
                                    "" + (100 + 2 * random.nextInt(200)));
                            case 1 -> at.web.get(at.bench(""));
                            default -> at.move(5 + random.nextInt(40), 5 + random.nextInt(90));
                          };
                      times.add(a.millis());
                      if (a.status() != 200) {
                        errors.add(a.status() + " " + a.body());
                      }
                    }
                  } catch (Exception e) {
                    errors.add(String.valueOf(e));
                  }
                });
        threads.add(t);
        t.start();
      }
      for (Thread t : threads) {
        t.join();
      }
    }
    errors.stream().limit(3).forEach(System.err::println);
    List<Long> sorted = new ArrayList<>(times);
    Collections.sort(sorted);
    return new Outcome(
        sorted.size(),
        errors.size(),
        sorted.get(sorted.size() / 2),
        sorted.get((int) (sorted.size() * 0.95)),
        sorted.get(sorted.size() - 1));
  }
}
