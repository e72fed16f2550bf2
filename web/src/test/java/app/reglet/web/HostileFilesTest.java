package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.press.reading.Budget;
import app.reglet.testing.Extent;
import app.reglet.testing.Patience;
import app.reglet.testing.Scratch;
import app.reglet.web.harness.Burners;
import app.reglet.web.harness.FilesHarness;
import app.reglet.web.harness.Subject;
import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Files that burn: each is refused with a sentence, in its time, and costs nobody else anything.
 */
public class HostileFilesTest {
  @Test(groups = Extent.LONG)
  public void spoiledFilesAndBurnersAreTakenOrRefused() throws Exception {
    try (Subject reglet = new Subject(Scratch.directory("hostile"))) {
      reglet.start();
      FilesHarness.Outcome o = FilesHarness.run(reglet, 250, 1);
      assertThat(o.failed()).isEmpty();
      assertThat(o.traces()).isZero();
      assertThat(o.taken()).as("sound enough to be taken").isGreaterThan(10);
      assertThat(o.refused()).isGreaterThan(100);
    }
  }

  @DataProvider
  public Object[][] pdfs() throws IOException {
    return Burners.pdfs().entrySet().stream()
        .map(e -> new Object[] {e.getKey(), e.getValue()})
        .toArray(Object[][]::new);
  }

  @Test(groups = Extent.LONG, dataProvider = "pdfs")
  public void theCommandLineRefusesWhatBurns(String name, byte[] file) throws Exception {
    Path path = Scratch.file("burner", ".pdf");
    Files.write(path, file);
    Process p =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx512m",
                "-cp",
                System.getProperty("java.class.path"),
                Reglet.class.getName(),
                "inspect",
                path.toString())
            .redirectErrorStream(true)
            .start();
    try (InputStream out = p.getInputStream()) {
      String said = new String(out.readAllBytes(), StandardCharsets.UTF_8);
      assertThat(p.waitFor(Patience.seconds(), TimeUnit.SECONDS)).as(name).isTrue();
      assertThat(said).as(name).doesNotContain("\tat ", "Exception");
      if (name.startsWith("form-names-itself") || name.startsWith("length-of-itself")) {
        assertThat(said).as(name).contains("1 page"); // sound once each thing is looked at once
      } else {
        assertThat(p.exitValue()).as(name + ": " + said).isEqualTo(3);
        assertThat(said).as(name).containsPattern("[Tt]his PDF|takes more than \\d+ seconds");
      }
    }
  }

  @Test(groups = Extent.LONG)
  public void whatIsRefusedIsRefusedWithItsFigure() throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      Web web = reglet.web();
      Map<String, byte[]> pictures = Burners.pictures();
      for (Map.Entry<String, String> e :
          Map.of(
                  "scans-20000.jpg", "20,000 scans",
                  "says-4-gigapixels.png",
                      "65000 × 65000 = 4225 million pixels; at most 100 million",
                  "interlaced-98-megapixels.png", "unpacks to 294 MB")
              .entrySet()) {
        String base =
            web.get("/editions/1/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
        Answer a =
            web.upload(
                "/editions/1/bench/picture",
                Map.of("base", base),
                "picture",
                "x",
                pictures.get(e.getKey()));
        assertThat(a.status()).as(e.getKey()).isEqualTo(400);
        assertThat(a.body()).contains(e.getValue());
      }
      for (Map.Entry<String, String> e :
          Map.of(
                  "page-trees-5000-deep.pdf", "more than 64 levels deep",
                  "pages-200000.pdf", "more than 200000 pages")
              .entrySet()) {
        Answer a =
            web.upload("/inspect", Map.of(), "file", "x.pdf", Burners.pdfs().get(e.getKey()));
        // which is told first is a matter of how fast the machine is
        assertThat(a.body())
            .as(e.getKey())
            .containsAnyOf(e.getValue(), "The file takes more than 5 seconds to read");
      }
      for (Map.Entry<String, byte[]> e : Burners.sheets().entrySet()) {
        Answer a = web.upload("/houses/import", Map.of(), "file", "x.json", e.getValue());
        assertThat(a.status()).as(e.getKey()).isEqualTo(400);
      }
      assertThat(
              web.upload(
                      "/houses/import",
                      Map.of(),
                      "file",
                      "x",
                      Burners.sheets().get("number 1e999999999.json"))
                  .body())
          .contains("“files.wantedPpi” has more than 60 digits");
      assertThat(
              web.upload(
                      "/houses/import",
                      Map.of(),
                      "file",
                      "x",
                      Burners.sheets().get("list-of-300000.json"))
                  .body())
          .contains("“stocks” has 300,001 items; a list has at most 2,000");
    }
  }

  @Test(groups = Extent.LONG)
  public void pagesAreAnsweredAndAStopIsQuickWhileFilesBurn() throws Exception {
    Own reglet = new Own("--reglet.demo=true");
    var threads = Executors.newCachedThreadPool();
    try {
      byte[] bomb = Burners.pdfs().get("object-stream-bomb.pdf");
      List<Future<Answer>> burning = new ArrayList<>();
      for (int i = 0; i < Extent.rounds(3, 6); i++) {
        burning.add(
            threads.submit(() -> reglet.web().upload("/inspect", Map.of(), "file", "x.pdf", bomb)));
      }
      for (int i = 0; i < 5; i++) {
        assertThat(reglet.web().get("/titles").status()).isEqualTo(200);
      }
      for (Future<Answer> f : burning) {
        assertThat(f.get().status()).isIn(200, 503);
      }
      burning.clear();
      burning.add(
          threads.submit(() -> reglet.web().upload("/inspect", Map.of(), "file", "x.pdf", bomb)));
      reglet.close();
      assertThat(reading()).as("processes that read are ended with it").isZero();
    } finally {
      threads.shutdownNow();
    }
  }

  private static long reading() {
    return ProcessHandle.current()
        .children()
        .filter(p -> p.info().commandLine().orElse("").contains("ReadingDesk"))
        .filter(p -> p.info().commandLine().orElse("").contains("reglet-own"))
        .filter(ProcessHandle::isAlive)
        .count();
  }

  @Test
  public void aBudgetIsOverWhenItSaysSo() {
    Budget objects = new Budget(Duration.ofMinutes(1), 3, 100);
    objects.object();
    objects.object();
    objects.object();
    assertThatThrownBy(objects::object)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("more than 3 objects");
    assertThatThrownBy(() -> objects.bytes(101)).hasMessageContaining("101 bytes of it were read");
    assertThatThrownBy(() -> new Budget(Duration.ZERO, 1, 1).expectTime())
        .hasMessageContaining("seconds to read");
    assertThat(Budget.timeFor(0)).isEqualTo(Duration.ofSeconds(4));
    assertThat(Budget.timeFor(200_000_000)).isEqualTo(Duration.ofSeconds(24));
  }

  @Test
  public void aBudgetSpendsItsOwnThreadsTimeAndNotThatOfABusyMachine() throws Exception {
    ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    Duration time = Duration.ofMillis(30);
    ExecutorService reader = Executors.newSingleThreadExecutor();
    try {
      Budget waiting = reader.submit(() -> new Budget(time, 1, 1)).get();
      Budget working = new Budget(time, 1, 1);
      long until = threads.getCurrentThreadCpuTime() + time.multipliedBy(2).toNanos();
      while (threads.getCurrentThreadCpuTime() < until) {
        Thread.onSpinWait();
      }
      waiting.expectTime();
      assertThatThrownBy(working::expectTime).hasMessageContaining("seconds to read");
      Budget large = new Budget(time, 1, 1);
      large.allowUnpacked(300_000_000);
      assertThat(large.tooLong()).hasMessageContaining("more than 2 seconds");
    } finally {
      reader.shutdownNow();
    }
  }

  @Test
  public void aReaderThatIsAskedToStopStops() throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(Burners.pdfs().get("form-names-itself.pdf"));
    Thread.currentThread().interrupt();
    try {
      assertThatThrownBy(() -> app.reglet.press.inspect.PdfFacts.read(out.toByteArray()))
          .isInstanceOf(Refusal.class);
    } finally {
      assertThat(Thread.interrupted()).isTrue();
    }
  }
}
