package app.reglet.web.harness;

import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web.Answer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;

/**
 * Kills Reglet with {@code kill -9} while several people change dockets, covers and pictures,
 * starts it again, and looks whether everything is there that was answered with success.
 *
 * <p>{@code ./reglet harness kill [rounds] [seed]}
 */
public final class KillHarness {
  private static final int PEOPLE = 4;

  private final Random random;
  private final AtomicInteger stamp = new AtomicInteger();

  /** A permit for each change acknowledged in this round. */
  private final Semaphore changes = new Semaphore(0);

  private KillHarness(long seed) {
    this.random = new Random(seed);
  }

  /**
   * What came of it.
   *
   * @param acknowledged changes answered with success
   * @param lost those of them that were not there after a start, each a sentence
   * @param starts that came up
   * @param startMillis the slowest of them
   */
  public record Outcome(
      int rounds, int acknowledged, List<String> lost, int starts, long startMillis) {}

  public static void main(String[] args) throws Exception {
    int rounds = args.length > 0 ? Integer.parseInt(args[0]) : 100;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 20261125;
    Outcome o = run(rounds, seed);
    o.lost().forEach(System.out::println);
    System.out.printf(
        "kill: %d rounds, %d starts (slowest %d ms), %d changes acknowledged, %d lost%n",
        o.rounds(), o.starts(), o.startMillis(), o.acknowledged(), o.lost().size());
    System.exit(o.lost().isEmpty() && o.starts() == o.rounds() + 1 ? 0 : 1);
  }

  public static Outcome run(int rounds, long seed) throws Exception {
    return new KillHarness(seed).go(rounds);
  }

  /** One person's last acknowledged picture. */
  private final class Hand implements Runnable {
    final Composing at;
    final Random random;
    final AtomicInteger acknowledged;
    final AtomicInteger stamp;
    final AtomicBoolean over;
    final List<String> pictures = new ArrayList<>();
    String inFlight = "";
    volatile String failed = "";

    Hand(
        Composing at,
        Random random,
        AtomicInteger acknowledged,
        AtomicInteger stamp,
        AtomicBoolean over) {
      this.at = at;
      this.random = random;
      this.acknowledged = acknowledged;
      this.stamp = stamp;
      this.over = over;
    }

    @Override
    public void run() {
      try {
        while (!over.get()) {
          Answer a;
          int kind = random.nextInt(10);
          if (kind < 5) {
            a = at.move(5 + random.nextInt(4000) / 100.0, 5 + random.nextInt(9000) / 100.0);
          } else if (kind < 8) {
            inFlight = "Author " + stamp.incrementAndGet();
            a = at.author(inFlight, String.valueOf(100 + 2 * random.nextInt(200)));
          } else {
            byte[] file = png(random.nextInt());
            a = at.picture(file);
            if (a.status() == 200) {
              pictures.add(sha(file));
            }
          }
          if (a.status() == 200) {
            acknowledged.incrementAndGet();
            changes.release();
          } else if (a.status() == 409) {
            at.sync();
          } else {
            failed = "answered " + a.status() + ": " + a.body();
            return;
          }
        }
      } catch (IOException e) {
        // killed in the middle of it: nobody was told that it is saved
      }
    }
  }

  private Outcome go(int rounds) throws Exception {
    Path data = Scratch.directory("reglet-kill");
    AtomicInteger acknowledged = new AtomicInteger();
    List<String> lost = new ArrayList<>();
    int starts = 0;
    long slowest = 0;
    try (Subject reglet = new Subject(data).quick()) {
      reglet.start();
      starts++;
      List<Composing> covers = new ArrayList<>();
      for (int i = 0; i < PEOPLE; i++) {
        covers.add(Composing.begin(reglet.web(), "Killed " + i));
      }
      for (int round = 1; round <= rounds; round++) {
        AtomicBoolean over = new AtomicBoolean();
        List<Hand> hands = new ArrayList<>();
        List<Thread> threads = new ArrayList<>();
        for (Composing c : covers) {
          Composing here = c.on(reglet.web());
          Hand hand = new Hand(here, new Random(random.nextLong()), acknowledged, stamp, over);
          hands.add(hand);
          Thread t = new Thread(hand);
          threads.add(t);
          t.start();
        }
        // in the middle of it: after some changes, and a moment that hits any point of the next
        changes.drainPermits();
        changes.tryAcquire(4 + random.nextInt(40), 20, TimeUnit.SECONDS);
        Thread.sleep(random.nextInt(30));
        reglet.kill();
        over.set(true);
        for (Thread t : threads) {
          t.join();
        }
        long start = System.nanoTime();
        reglet.start();
        slowest = Math.max(slowest, (System.nanoTime() - start) / 1_000_000);
        starts++;
        covers.clear();
        for (Hand hand : hands) {
          if (!hand.failed.isEmpty()) {
            lost.add("round " + round + ": " + hand.failed);
          }
          covers.add(expect(hand, reglet.web(), round, lost));
        }
      }
    }
    return new Outcome(rounds, acknowledged.get(), lost, starts, slowest);
  }

  /** Looks at everything one person was told is saved. */
  private static Composing expect(Hand hand, Web web, int round, List<String> lost)
      throws IOException {
    Composing before = hand.at;
    Composing now = before.on(web);
    String where = "round " + round + ", edition " + before.edition + ": ";
    now.sync();
    if (now.revision < before.revision) {
      lost.add(where + "revision " + before.revision + " is " + now.revision + " now");
    }
    String author =
        web.get("/editions/" + before.edition + "/docket")
            .find("id=\"author\"[^>]*value=\"([^\"]*)\"");
    if (!author.equals(before.author) && !author.equals(hand.inFlight)) {
      lost.add(where + "author “" + before.author + "” is “" + author + "” now");
    }
    for (String sha : hand.pictures) {
      if (web.get("/pictures/" + sha + "/preview").status() != 200) {
        lost.add(where + "picture " + sha + " is gone");
      }
    }
    now.author = author;
    return now;
  }

  static byte[] png(int seed) throws IOException {
    BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(seed);
    for (int y = 0; y < 30; y++) {
      for (int x = 0; x < 40; x++) {
        image.setRGB(x, y, random.nextInt());
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  static String sha(byte[] file) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(file));
    } catch (java.security.NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
