package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.web.cli.RegletCommand;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class CommandLineTest {
  private record Said(int exit, String out, String err) {}

  /** Set in the thread that runs a command and in those that it starts. */
  private static final InheritableThreadLocal<Boolean> OURS = new InheritableThreadLocal<>();

  /** What a command and its threads say; others of this process, which log too, are let be. */
  private static PrintStream heard(OutputStream ours, PrintStream others) {
    OutputStream either =
        new OutputStream() {
          private OutputStream mine() {
            return OURS.get() == null ? others : ours;
          }

          @Override
          public void write(int b) throws IOException {
            mine().write(b);
          }

          @Override
          public void write(byte[] b, int from, int length) throws IOException {
            mine().write(b, from, length);
          }
        };
    return new PrintStream(either, true, StandardCharsets.UTF_8);
  }

  /** A file that is made in the background ended while a command was refused, and was heard. */
  @Test
  public void whatAnotherThreadSaysIsNotTheCommands() throws InterruptedException {
    ByteArrayOutputStream ours = new ByteArrayOutputStream();
    ByteArrayOutputStream others = new ByteArrayOutputStream();
    PrintStream both = heard(ours, new PrintStream(others, true, StandardCharsets.UTF_8));
    Thread before = new Thread(() -> both.print("theirs"));
    OURS.set(true);
    try {
      Thread started = new Thread(() -> both.print(" and its thread"));
      before.start();
      both.print("the command");
      started.start();
      started.join();
      before.join();
    } finally {
      OURS.remove();
    }
    assertThat(ours.toString(StandardCharsets.UTF_8)).isEqualTo("the command and its thread");
    assertThat(others.toString(StandardCharsets.UTF_8)).isEqualTo("theirs");
  }

  private static synchronized Said run(String... args) {
    PrintStream out = System.out;
    PrintStream err = System.err;
    ByteArrayOutputStream o = new ByteArrayOutputStream();
    ByteArrayOutputStream e = new ByteArrayOutputStream();
    try {
      OURS.set(true);
      System.setOut(heard(o, out));
      System.setErr(heard(e, err));
      return new Said(
          RegletCommand.run(args),
          o.toString(StandardCharsets.UTF_8),
          e.toString(StandardCharsets.UTF_8));
    } finally {
      OURS.remove();
      System.setOut(out);
      System.setErr(err);
    }
  }

  private static String[] measure(
      String house, String trim, String pages, String stock, String... more) {
    String[] base = {
      "measure",
      "--house",
      house,
      "--binding",
      "perfect-bound",
      "--trim",
      trim,
      "--pages",
      pages,
      "--stock",
      stock
    };
    String[] all = java.util.Arrays.copyOf(base, base.length + more.length);
    System.arraycopy(more, 0, all, base.length, more.length);
    return all;
  }

  @Test
  public void measuresInWords() {
    Said said = run(measure("gannet-and-gauge", "6in x 9in", "100", "white"));
    assertThat(said.exit()).isZero();
    assertThat(said.out())
        .contains("100 × 0.002252 = 0.2252 in")
        .contains("2 × 6 + 0.2252 + 2 × 0.125 = 12.4752 in")
        .contains("12.48 × 9.25 in");
  }

  @Test
  public void measuresAsJson() {
    Said said =
        run(measure("gannet-and-gauge", "6in x 9in", "100", "white", "--turn", "rtl", "--json"));
    JsonNode root = JsonMapper.builder().build().readTree(said.out());
    assertThat(root.at("/spine/exact/in").stringValue()).isEqualTo("0.2252");
    assertThat(root.at("/spine/exact/mm").stringValue()).isEqualTo("5.72008");
    assertThat(root.at("/sheet/exact/width/in").stringValue()).isEqualTo("12.4752");
    assertThat(root.at("/sheet/exact/width/mm").stringValue()).isEqualTo("316.87008");
    assertThat(root.at("/panels/0/panel").stringValue()).isEqualTo("front");
    assertThat(root.at("/panels/2/trim/x/in").stringValue()).isEqualTo("6.3502");
    assertThat(root.at("/zones").size()).isEqualTo(4);
  }

  @Test
  public void measuresByAFile() throws IOException {
    Path file = Scratch.file("house", ".json");
    String sheet =
        new String(
            CommandLineTest.class.getResourceAsStream("/houses/osier-row.json").readAllBytes(),
            StandardCharsets.UTF_8);
    Files.writeString(file, sheet.replace("\"osier-row\"", "\"my-house\""));
    Said said = run(measure(file.toString(), "A5", "320", "bulky-80"));
    assertThat(said.exit()).as(said.err()).isZero();
    assertThat(said.out()).contains("23.5 mm").contains("325.5 × 216 mm");
  }

  @DataProvider
  Object[][] bad() {
    return new Object[][] {
      {measure("nobody", "6 x 9", "100", "white"), "neither a shipped rule sheet"},
      {measure("gannet-and-gauge", "wide", "100", "white"), "width × height"},
      {measure("gannet-and-gauge", "6 x 9", "many", "white"), "no page count"},
      {measure("gannet-and-gauge", "6 x 9", "0", "white"), "at least 1 page"},
      {measure("gannet-and-gauge", "6 x 9", "999999999", "white"), "20,000"},
      {measure("gannet-and-gauge", "6 x 9", "100", "slate"), "white, cream"},
      {measure("gannet-and-gauge", "6 x 9", "100", "white", "--turn", "up"), "ltr or rtl"},
      {new String[] {"measure", "--house", "gannet-and-gauge"}, "Missing required"},
      {measure("gannet-and-gauge", "6 x 9", "100", "white", "--nonsense"), "nknown option"},
      {new String[] {"juggle"}, "juggle"},
    };
  }

  @Test(dataProvider = "bad")
  public void badInputEndsWithTwoAndASentence(String[] args, String sentence) {
    Said said = run(args);
    assertThat(said.exit()).isEqualTo(2);
    assertThat(said.err()).contains(sentence).doesNotContain("\tat ");
    assertThat(said.out()).isEmpty();
  }

  @Test
  public void measuresEveryBinding() {
    Said jacket =
        run(
            "measure",
            "--house",
            "dunlin-casebinders",
            "--binding",
            "dust-jacket",
            "--trim",
            "6 x 9",
            "--pages",
            "240",
            "--stock",
            "cream",
            "--front-flap",
            "4 in");
    // 3.5 + 2 × 6.4875 + 0.8125 + 4 + 2 × 0.125 = 21.5375, and 0.0005 of rounding
    assertThat(jacket.exit()).as(jacket.err()).isZero();
    assertThat(jacket.out()).contains("= 21.538 in").contains("Hinge, back");
    Said told =
        run(
            "measure",
            "--house",
            "sandling-and-daughters",
            "--trim",
            "A5",
            "--pages",
            "160",
            "--stock",
            "feather-90",
            "--told-spine",
            "11.8 mm",
            "--csv");
    assertThat(told.out().lines().filter(l -> l.startsWith("spine,sheet")))
        .singleElement()
        .satisfies(l -> assertThat(l).startsWith("spine,sheet,,0,0,11.8,216,"));
    Said inside =
        run(
            "measure",
            "--house",
            "osier-row",
            "--trim",
            "A5",
            "--pages",
            "320",
            "--stock",
            "bulky-80",
            "--inside",
            "--json");
    JsonNode root = JsonMapper.builder().build().readTree(inside.out());
    assertThat(root.at("/pages").size()).isEqualTo(2);
    assertThat(root.at("/pages/1/panels/0/panel").stringValue()).isEqualTo("front");
    Said ebook = run("measure", "--house", "lantern-shelf", "--trim", "1600 x 2560 px");
    assertThat(ebook.exit()).as(ebook.err()).isZero();
    assertThat(ebook.out()).contains("1600 × 2560 px");
    Said odd =
        run(
            "measure",
            "--house",
            "whimbrel-digital",
            "--binding",
            "saddle-stitched",
            "--trim",
            "5.5 x 8.5",
            "--pages",
            "30",
            "--stock",
            "cream");
    assertThat(odd.out()).contains("To mend: 30 pages can't be bound");
  }

  @Test
  public void templatesAreWritten() throws IOException {
    Path to = Scratch.directory("templates");
    Said said =
        run(
            "template",
            "--house",
            "gannet-and-gauge",
            "--trim",
            "6 x 9",
            "--pages",
            "100",
            "--stock",
            "white",
            "--ppi",
            "96",
            "--name",
            "salt",
            "--to",
            to.toString(),
            "--kind",
            "svg,pdf,png,zip");
    assertThat(said.exit()).as(said.err()).isZero();
    try (var files = Files.list(to)) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .containsExactlyInAnyOrder(
              "salt.svg",
              "salt.pdf",
              "salt_96ppi.png",
              "salt_inside-pages.pdf",
              "salt_inside-left.svg",
              "salt_inside-left_96ppi.png",
              "salt_inside-right.svg",
              "salt_inside-right_96ppi.png",
              "salt.zip");
    }
    // 12.4752 × 96 = 1197.6, 9.25 × 96 = 888
    var png = javax.imageio.ImageIO.read(to.resolve("salt_96ppi.png").toFile());
    assertThat(png.getWidth()).isEqualTo(1198);
    assertThat(png.getHeight()).isEqualTo(888);
    for (String[] bad :
        new String[][] {{"--kind", "doc"}, {"--ppi", "5"}, {"--name", "../x"}, {"--ppi", "x"}}) {
      Said refused =
          run(
              "template",
              "--house",
              "gannet-and-gauge",
              "--trim",
              "6 x 9",
              "--pages",
              "100",
              "--stock",
              "white",
              "--to",
              to.toString(),
              bad[0],
              bad[1]);
      assertThat(refused.exit()).isEqualTo(2);
      assertThat(refused.err()).isNotBlank().doesNotContain("\tat ");
    }
  }

  private static Path packaged(String title) throws IOException {
    Desk desk = Desk.atBench(title, "The first paragraph.\nAnd what follows it.").layout("Ledger");
    Path zip = Scratch.file("title", ".zip");
    try (var in =
        java.net
            .URI
            .create(Live.reglet().address() + "/editions/" + desk.id() + "/package")
            .toURL()
            .openStream()) {
      Files.copy(in, zip, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    }
    return zip;
  }

  @Test(groups = Extent.LONG)
  public void carriesAPackageToAJacketAndWritesItsFileItsReportAndThePackageWithBothEditions()
      throws IOException {
    Path zip = packaged("Carried by a line");
    Path out = Scratch.directory("carried");
    Said said =
        run(
            "carry",
            zip.toString(),
            "--to",
            "dunlin-casebinders/dust-jacket",
            "--out",
            out.toString());
    assertThat(said.exit()).as(said.err()).isZero();
    assertThat(said.out())
        .contains("Front flap prose: New, on the front flap.")
        .contains("Nothing to mend.");
    java.util.List<Path> files;
    try (var list = Files.list(out)) {
      files = list.sorted().toList();
    }
    assertThat(files).hasSize(3);
    Path pdf = files.stream().filter(f -> f.toString().endsWith(".pdf")).findFirst().orElseThrow();
    Said inspected = run("inspect", pdf.toString());
    assertThat(inspected.out()).startsWith("1 page");
    assertThat(Files.readString(out.resolve("report.txt")))
        .contains("carried to Dust jacket, Dunlin Casebinders");
    Path all = Scratch.directory("all");
    Path both = files.stream().filter(f -> f.toString().endsWith(".zip")).findFirst().orElseThrow();
    Said pressed = run("press", both.toString(), "--out", all.toString());
    assertThat(pressed.exit()).as(pressed.err()).isIn(0, 1);
    for (String each : new String[] {"edition-1", "edition-2"}) {
      try (var list = Files.list(all.resolve(each))) {
        assertThat(list.filter(f -> f.toString().endsWith(".pdf"))).hasSize(1);
      }
    }
    // and on from there: the second edition of the package that came of it
    Path further = Scratch.directory("further");
    Path made = files.stream().filter(f -> f.toString().endsWith(".zip")).findFirst().orElseThrow();
    Said again =
        run(
            "carry",
            made.toString(),
            "--edition",
            "2",
            "--to",
            "osier-row/perfect-bound/A5",
            "--turn",
            "rtl",
            "--out",
            further.toString());
    assertThat(again.exit()).as(again.err() + again.out()).isIn(0, 1);
    assertThat(again.out())
        .contains("Dust jacket, Dunlin Casebinders, carried to Perfect bound, Osier Row");
    assertThat(again.out()).contains("148 × 210 mm");
  }

  @Test(groups = Extent.LONG)
  public void inspectsSeveralFilesForAHouseAndItsExitCodeIsThatOfTheWorst() throws IOException {
    Path zip = packaged("Inspected by a line");
    Path out = Scratch.directory("inspected");
    run("press", zip.toString(), "--out", out.toString());
    Path pdf;
    try (var list = Files.list(out)) {
      pdf = list.findFirst().orElseThrow();
    }
    String[] facts = {
      "inspect",
      pdf.toString(),
      "--house",
      "gannet-and-gauge",
      "--trim",
      "6 x 9 in",
      "--stock",
      "white",
      "--pages",
      "320"
    };
    Said fits = run(facts);
    assertThat(fits.out()).endsWith("It fits.\n").contains("Standard   PDF/X-1a:2003");
    assertThat(fits.exit()).isEqualTo(0);
    facts[9] = "328";
    Said near = run(facts); // within the house's tolerance, and for another count all the same
    assertThat(near.out())
        .contains("Look: It is the right file for 320 pages; the edition has 328.");
    assertThat(near.exit()).isEqualTo(1);
    facts[9] = "400";
    assertThat(run(facts).exit()).isEqualTo(2);
    Path no = Files.writeString(Scratch.file("no", ".pdf"), "no PDF");
    Said worst = run("inspect", "--json", pdf.toString(), no.toString());
    assertThat(worst.exit()).isEqualTo(3);
    var json = tools.jackson.databind.json.JsonMapper.shared().readTree(worst.out());
    assertThat(json.size()).isEqualTo(2);
    assertThat(json.get(0).get("pages").intValue()).isEqualTo(1);
    assertThat(json.get(0).get("fonts").size()).isPositive();
    assertThat(json.get(1).get("refused").stringValue()).contains("no PDF");
  }

  @Test(groups = Extent.LONG)
  public void makesTheFilesOfAPackagesEditionsTheSameBytesTwice() throws IOException {
    Path zip = packaged("Pressed by a line");
    Path out = Scratch.directory("pressed");
    Said said = run("press", zip.toString(), "--out", out.toString());
    assertThat(said.exit()).as(said.err() + said.out()).isIn(0, 1);
    assertThat(said.out()).contains("Perfect bound, Gannet & Gauge:").contains(".pdf, ");
    java.util.List<Path> files;
    try (var list = Files.list(out)) {
      files = list.toList();
    }
    assertThat(files).hasSize(1);
    assertThat(run("inspect", files.get(0).toString()).out()).startsWith("1 page");
    Path again = Scratch.directory("pressed");
    run(
        "press",
        zip.toString(),
        "--house",
        "gannet-and-gauge",
        "--edition",
        "1",
        "--out",
        again.toString());
    assertThat(Files.readAllBytes(again.resolve(files.get(0).getFileName())))
        .isEqualTo(Files.readAllBytes(files.get(0)));
    // in another standard than the house's
    Path plain = Scratch.directory("plain");
    run("press", zip.toString(), "--standard", "plain", "--out", plain.toString());
    try (var list = Files.list(plain)) {
      assertThat(Files.readString(list.findFirst().orElseThrow(), StandardCharsets.ISO_8859_1))
          .startsWith("%PDF-1.6")
          .doesNotContain("PDF/X-1a");
    }
    assertThat(Files.readString(files.get(0), StandardCharsets.ISO_8859_1))
        .startsWith("%PDF-1.4")
        .contains("PDF/X-1a:2003");
    Said odd = run("press", zip.toString(), "--standard", "x3", "--out", plain.toString());
    assertThat(odd.exit()).isEqualTo(2);
    assertThat(odd.err()).contains("x1a, x4 or plain");
    Path none = out.resolve("none");
    Said elsewhere = run("press", zip.toString(), "--house", "osier-row", "--out", none.toString());
    assertThat(elsewhere.exit()).isEqualTo(2);
    assertThat(elsewhere.err())
        .contains("No edition of the package is at “osier-row”; there are: gannet-and-gauge.");
    assertThat(none).doesNotExist();
  }

  @Test(groups = Extent.LONG)
  public void aHouseThatWantsPartsAndTellsItsSpineGetsThreeFilesAndTheReportSaysWhatIsAssumed()
      throws IOException {
    Path zip = packaged("In three parts");
    Path out = Scratch.directory("parts");
    Said said =
        run(
            "carry",
            zip.toString(),
            "--to",
            "sandling-and-daughters/perfect-bound",
            "--out",
            out.toString());
    assertThat(said.exit()).as(said.err() + said.out()).isIn(0, 1);
    assertThat(said.out())
        .contains("states the spine width on the order. Until it is told it is taken as ");
    try (var list = Files.list(out)) {
      assertThat(list.filter(f -> f.toString().endsWith(".pdf"))).hasSize(3);
    }
  }

  @Test(groups = Extent.LONG)
  public void whatCantBeCarriedIsSaidInASentenceAndNothingIsWritten() throws IOException {
    Path zip = packaged("Not carried by a line");
    Path out = Scratch.directory("carried").resolve("none");
    Path text = Scratch.file("no", ".zip");
    String[][] wrong = {
      {zip.toString(), "nowhere/dust-jacket", "does not offer that binding any more"},
      {zip.toString(), "dunlin-casebinders", "names no house and binding"},
      {zip.toString(), "dunlin-casebinders/dust-jacket/1 x 2 in", "is none of the trims here"},
      {text.toString(), "dunlin-casebinders/dust-jacket", "can't be read as a ZIP"},
      {zip + ".none", "dunlin-casebinders/dust-jacket", "There is no file"},
    };
    for (String[] w : wrong) {
      Said said = run("carry", w[0], "--to", w[1], "--out", out.toString());
      assertThat(said.exit()).as(w[1]).isEqualTo(2);
      assertThat(said.err()).contains(w[2]).doesNotContain("\tat ");
    }
    Said fifth =
        run(
            "carry",
            zip.toString(),
            "--edition",
            "5",
            "--to",
            "dunlin-casebinders/dust-jacket",
            "--out",
            out.toString());
    assertThat(fifth.exit()).isEqualTo(2);
    assertThat(fifth.err()).contains("The package has 1 edition; there is no edition 5");
    assertThat(out).doesNotExist();
  }
}
