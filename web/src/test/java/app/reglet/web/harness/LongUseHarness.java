package app.reglet.web.harness;

import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web.Answer;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Many edits of one cover, as in weeks of work: what they take on the disk while Reglet runs and
 * after it stopped, and how long it takes to open.
 *
 * <p>{@code ./reglet harness long-use [edits]}
 */
public final class LongUseHarness {
  private LongUseHarness() {}

  /** What came of it: bytes of the database, ms to the first answer. */
  public record Outcome(
      int edits,
      long empty,
      long running,
      long stopped,
      long firstStart,
      long laterStart,
      long millis) {
    double runningEach() {
      return (running - empty) / 1000.0 / edits;
    }

    double stoppedEach() {
      return (stopped - empty) / 1000.0 / edits;
    }
  }

  public static void main(String[] args) throws Exception {
    Outcome o = run(args.length > 0 ? Integer.parseInt(args[0]) : 2000, false);
    System.out.printf(
        "long use: %d edits in %d ms (%.1f ms each); database %d kB empty, running %d kB (%.1f kB an edit), stopped %d kB (%.2f kB an edit); start %d ms empty, %d ms after%n",
        o.edits(),
        o.millis(),
        (double) o.millis() / o.edits(),
        o.empty() / 1000,
        o.running() / 1000,
        o.runningEach(),
        o.stopped() / 1000,
        o.stoppedEach(),
        o.firstStart(),
        o.laterStart());
    System.exit(o.runningEach() <= 20 && o.stoppedEach() <= 6 ? 0 : 1);
  }

  /**
   * Composes for long, with a stop between.
   *
   * @param quick where bytes are counted, not milliseconds
   */
  public static Outcome run(int edits, boolean quick) throws Exception {
    Path data = Scratch.directory("reglet-long");
    Path file = data.resolve("reglet.mv.db");
    Subject subject = new Subject(data);
    try (Subject reglet = quick ? subject.quick() : subject) {
      reglet.start();
      Composing cover = Composing.begin(reglet.web(), "Long used");
      reglet.stop();
      long empty = Files.size(file);
      long firstStart = timed(reglet);
      cover = cover.on(reglet.web());
      long start = System.nanoTime();
      for (int i = 0; i < edits; i++) {
        Answer a = cover.move(5 + i % 400 / 10.0, 5 + i % 900 / 10.0);
        if (a.status() != 200) {
          throw new IllegalStateException("edit " + i + " answered " + a.status());
        }
      }
      long millis = (System.nanoTime() - start) / 1_000_000;
      long running = Files.size(file);
      reglet.stop();
      long stopped = Files.size(file);
      long laterStart = timed(reglet);
      cover = cover.on(reglet.web());
      int last = cover.revision;
      cover.sync();
      if (cover.revision != last) {
        throw new IllegalStateException("revision " + last + " is " + cover.revision + " now");
      }
      return new Outcome(edits, empty, running, stopped, firstStart, laterStart, millis);
    }
  }

  private static long timed(Subject reglet) throws Exception {
    long start = System.nanoTime();
    reglet.start();
    return (System.nanoTime() - start) / 1_000_000;
  }
}
