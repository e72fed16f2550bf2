package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.house.PressRules;
import app.reglet.press.inspect.PressStandard;
import app.reglet.testing.Extent;
import app.reglet.testing.Patience;
import app.reglet.web.harness.Subject;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Download;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.testng.annotations.Test;

/** Files that are made in the background: seen on the page, taken back, killed, many at once. */
public class JobsTest {
  private static final Pattern IDS = Pattern.compile("made\\?jobs=([\\d,%C]+)");

  /** Orders a file; the answer's own list of jobs, to be asked for again. */
  private static String order(Web web, long edition, Map<String, String> how) throws IOException {
    Web.Answer answer = web.post("/editions/" + edition + "/dispatch", how);
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    Matcher m = IDS.matcher(answer.body());
    return m.find() ? m.group(1) : "";
  }

  private static String state(Web web, long edition, String ids) throws IOException {
    return web.get("/editions/" + edition + "/dispatch/made?jobs=" + ids).body();
  }

  /** Asks until nothing is open any more. */
  private static String end(Web web, long edition, String ids) throws IOException {
    String[] state = new String[1];
    Patience.until(
        "no file of the edition is being made",
        () -> {
          state[0] = state(web, edition, ids);
          return !IDS.matcher(state[0]).find();
        });
    return state[0];
  }

  @Test
  public void aPressFileIsMadeLookedAtAndDownloadedInTheStandardThatIsChosen() throws IOException {
    Desk desk = Desk.atBench("Made in the background", "A blurb.").layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    assertThat(desk.page.locator("#plan"))
        .containsText("PDF/X-1a:2003; in inks for offset on coated paper");
    assertThat(desk.page.locator("#plan")).containsText("the house takes 40 MB");
    desk.page.locator("#make").click();
    assertThat(desk.page.locator(".kept"))
        .hasText("PDF/X-1a:2003: all 13 points that were looked at are kept.");
    assertThat(desk.page.locator("#take-back")).hasCount(0);
    Download one = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    assertThat(PressStandard.broken(one.path(), PressRules.Standard.X1A)).isEmpty();
    // what was made is still there when the page is opened again
    desk.page.reload();
    assertThat(desk.page.locator("#download")).hasCount(1);
    // another way is another file under another name
    desk.page.locator("#otherwise summary").click();
    desk.page.locator("#standard").selectOption("x4");
    assertThat(desk.page.locator("#plan")).containsText("PDF/X-4; in inks");
    assertThat(desk.page.locator("#plan .file-name")).containsText(desk.id() + "-2.pdf");
    desk.page.locator("input[value=crop]").check();
    desk.page.locator("input[value=slug]").check();
    desk.page.locator("#make").click();
    assertThat(desk.page.locator(".kept")).containsText("PDF/X-4: all");
    Download four = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    assertThat(four.suggestedFilename()).isNotEqualTo(one.suggestedFilename());
    assertThat(PressStandard.broken(four.path(), PressRules.Standard.X4)).isEmpty();
    try (PDDocument d = Loader.loadPDF(four.path().toFile())) {
      var page = d.getPage(0);
      // 12 mm of room for the marks on every side, outside the bleed
      assertThat(page.getMediaBox().getWidth() - page.getBleedBox().getWidth())
          .isBetween(67.9f, 68.2f);
      assertThat(page.getTrimBox().getLowerLeftX() - page.getBleedBox().getLowerLeftX())
          .isBetween(8.9f, 9.1f);
      assertThat(new org.apache.pdfbox.text.PDFTextStripper().getText(d))
          .contains("Made in the background")
          .contains("Gannet & Gauge");
    }
    assertThat(Live.violations(desk.page)).isEmpty();
  }

  @Test(groups = Extent.LONG)
  public void theSpineAloneAndThePartsApartAreFilesOfTheirOwn() throws IOException {
    Desk desk = Desk.atBench("In pieces", "A blurb.").layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page.locator("#otherwise summary").click();
    desk.page.locator("#pages").selectOption("spine");
    assertThat(desk.page.locator("#plan .file-name")).hasCount(1);
    assertThat(desk.page.locator("#plan .file-name")).containsText("_spine_");
    desk.page.locator("#make").click();
    Download spine = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    try (PDDocument d = Loader.loadPDF(spine.path().toFile())) {
      assertThat(d.getPage(0).getTrimBox().getWidth()).isLessThan(80);
      assertThat(d.getPage(0).getTrimBox().getHeight()).isBetween(647.9f, 648.1f);
    }
    desk.page.locator("#pages").selectOption("apart");
    assertThat(desk.page.locator("#plan .file-name")).hasCount(3);
    desk.page.locator("#make").click();
    assertThat(desk.page.locator(".kept")).hasCount(3);
  }

  @Test
  public void aFileThatTakesLongShowsHowFarItIsAndIsTakenBack() throws IOException {
    Desk desk = longMade("Taken back");
    assertThat(desk.page.locator(".making [role=status]"))
        .containsText(Pattern.compile("[1-9]\\d? % made"));
    // loaded anew it is still there, and goes on; what was chosen for it still stands
    desk.page.reload();
    assertThat(desk.page.locator(".making [role=status]")).containsText("% made");
    assertThat(desk.page.locator("#ppi")).hasValue("1200");
    desk.page.locator("#take-back").click();
    assertThat(desk.page.locator(".makings .refused"))
        .containsText("Taken back while it was made.");
    assertThat(desk.page.locator("#download")).hasCount(0);
    // ordered again, it is begun again
    desk.page.locator("#make").click();
    assertThat(desk.page.locator(".making [role=status]")).isVisible();
    desk.page.locator("#take-back").click();
    assertThat(desk.page.locator(".makings .refused")).containsText("Taken back");
  }

  /** Makes the largest sheet there is: a hand gets to a button while it is made. */
  private static Desk longMade(String title) {
    Desk desk =
        Desk.atBench(
                title,
                Map.of(
                    "blurb",
                    "A blurb.",
                    "trim",
                    "8.5 x 11 in",
                    "pages",
                    "800",
                    "isbn",
                    Desk.isbn()))
            .layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page.locator("#otherwise summary").click();
    desk.page.locator("#ppi").fill("1200");
    desk.page.locator("#make").click();
    return desk;
  }

  /** Between press and release the page asks how far it is: the press is not lost. */
  @Test
  public void aSlowPressOnTakeBackCountsWhileTheFileGoesOn() {
    Desk desk = longMade("Pressed slowly");
    assertThat(desk.page.locator(".making [role=status]")).containsText("% made");
    desk.page.locator("#take-back").hover();
    desk.page.waitForResponse(
        Pattern.compile(".*/dispatch/made\\?.*"), () -> desk.page.mouse().down());
    Live.settled(desk.page);
    desk.page.mouse().up();
    assertThat(desk.page.locator(".makings .refused"))
        .containsText("Taken back while it was made.");
  }

  /** The i-th choice of the printer's marks: each is a file of its own. */
  private static Map<String, String> marked(int i) {
    List<String> all = List.of("crop", "bleed", "fold", "bar", "slug");
    return Map.of(
        "marks",
        IntStream.range(0, all.size())
            .filter(m -> (i + 1 >> m & 1) == 1)
            .mapToObj(all::get)
            .collect(Collectors.joining(",")));
  }

  /**
   * Twenty orders: none is refused, two at most run, each has its file, and asked again it is
   * there.
   */
  @Test(groups = Extent.LONG)
  public void twentyOrdersAtOnceAreMadeTwoAtATime() throws IOException {
    Desk desk = Desk.atBench("Twenty times", "A blurb.").layout("Ledger");
    long id = Long.parseLong(desk.id());
    Web web = new Web(Live.reglet().address());
    List<String> all = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      String ids = order(web, id, marked(i));
      if (!ids.isEmpty()) {
        all.add(ids);
      }
    }
    int most = 0;
    List<String> halves =
        List.of(
            String.join(",", all.subList(0, all.size() / 2)),
            String.join(",", all.subList(all.size() / 2, all.size())));
    for (boolean open = true; open; ) {
      open = false;
      int running = 0;
      for (String ids : halves) {
        String state = state(web, id, ids);
        open |= IDS.matcher(state).find();
        running += state.split("% made<", -1).length - 1;
      }
      most = Math.max(most, running);
    }
    assertThat(most)
        .isLessThanOrEqualTo(4); // two, and those that began while others were asked for
    for (int i = 0; i < 20; i++) {
      assertThat(order(web, id, marked(i))).as("there at once").isEmpty();
    }
  }

  @Test
  public void whatWasChangedWhileItsFileWaitedIsNotMadeAsItWas() throws IOException {
    Desk desk = Desk.atBench("Changed meanwhile", "A blurb.").layout("Ledger");
    long id = Long.parseLong(desk.id());
    Web web = new Web(Live.reglet().address());
    order(web, id, Map.of("ppi", "420"));
    order(web, id, Map.of("ppi", "421"));
    String third = order(web, id, Map.of("ppi", "150"));
    Web.Answer bench = web.get("/editions/" + id + "/bench");
    String base = bench.find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    web.post(
        "/editions/" + id + "/bench/edits",
        Map.of("edit", "remove", "piece", "title", "base", base));
    assertThat(end(web, id, third)).contains("changed while this file waited");
  }

  @Test
  public void whatCannotBeOrderedGetsASentence() throws IOException {
    Desk desk = Desk.atBench("Not so", "A blurb.").layout("Ledger");
    Web web = new Web(Live.reglet().address());
    String at = "/editions/" + desk.id() + "/dispatch";
    for (Map<String, String> wrong :
        List.of(
            Map.of("standard", "x3"),
            Map.of("pages", "hat"),
            Map.of("pages", "inside"),
            Map.of("ppi", "5"),
            Map.of("ppi", "90000"),
            Map.of("ppi", "many"),
            Map.of("marks", "stars"))) {
      Web.Answer answer = web.post(at, wrong);
      assertThat(answer.status()).as(wrong.toString()).isEqualTo(400);
    }
    assertThat(web.get(at + "/made?jobs=99999").status()).isEqualTo(404);
    assertThat(web.get(at + "/file?job=99999").status()).isEqualTo(404);
    assertThat(web.get(at + "/made?jobs=x").status()).isEqualTo(400);
    // a job of another edition is not shown here
    String ids = order(web, Long.parseLong(desk.id()), Map.of("ppi", "301"));
    Desk other = Desk.atBench("Another", "A blurb.");
    if (!ids.isEmpty()) {
      assertThat(web.get("/editions/" + other.id() + "/dispatch/made?jobs=" + ids).status())
          .isEqualTo(404);
    }
  }

  /** A kill in the middle: at the next start it is made, and no half file lies about. */
  @Test(groups = Extent.LONG)
  public void aJobThatWasKilledIsMadeAfterTheNextStart() throws Exception {
    Path data = Templates.demo();
    try (Subject reglet = new Subject(data).quick()) {
      reglet.start("--reglet.demo=true");
      Web web = reglet.web();
      String ids = underWay(web, 7, 200);
      reglet.kill();
      assertThat(made(data)).as("nothing has its name yet").isEmpty();
      reglet.start("--reglet.demo=true");
      assertThat(end(reglet.web(), 7, ids)).contains("Made <b").contains("all 13 points");
      try (var list = Files.list(data.resolve("made"))) {
        assertThat(list).hasSize(1);
      }
    }
  }

  /** Orders files, each finer than the one before, until one is seen under way. */
  private static String underWay(Web web, long edition, int ppi) throws IOException {
    String state = "";
    for (int finer = 0; finer < 5; finer++) {
      String ids = order(web, edition, Map.of("ppi", String.valueOf(ppi + 50 * finer)));
      String[] now = new String[1];
      Patience.until(
          "a file is under way or made",
          () -> {
            now[0] = state(web, edition, ids);
            return now[0].contains("% made") || !IDS.matcher(now[0]).find();
          });
      state = now[0];
      if (state.contains("% made")) {
        return ids;
      }
    }
    throw new AssertionError("five files ended before they were seen under way: " + state);
  }

  private static List<Path> made(Path data) throws IOException {
    if (!Files.isDirectory(data.resolve("made"))) {
      return List.of();
    }
    try (var list = Files.list(data.resolve("made"))) {
      return list.filter(p -> !p.toString().endsWith(".part")).toList();
    }
  }

  /**
   * The disk fills while a file is written: that is said, and the one made before is still there.
   */
  @Test(groups = Extent.LONG)
  public void aDiskThatFillsLeavesTheOldFileAndNoHalfOne() throws Exception {
    try (Tmpfs disk = Tmpfs.of(150);
        Subject reglet = new Subject(disk.path()).quick()) {
      reglet.start("--reglet.demo=true");
      Web web = reglet.web();
      String old = end(web, 7, order(web, 7, Map.of("standard", "x4")));
      String file = old.replaceAll("(?s).*(/editions/7/dispatch/file\\?job=\\d+).*", "$1");
      assertThat(web.get(file).status()).isEqualTo(200);
      // there is room enough when it is begun, and none any more when it is under way
      disk.fill(60_000_000);
      String ids = underWay(web, 7, 600);
      disk.fill(100_000);
      String after = end(web, 7, ids);
      assertThat(after).containsAnyOf("disk that holds Reglet’s data is full", "is full");
      assertThat(web.get(file).status()).isEqualTo(200);
      try (var list = Files.list(disk.path().resolve("made"))) {
        assertThat(list).hasSize(1);
      }
      disk.empty();
      assertThat(end(web, 7, order(web, 7, Map.of("ppi", "120")))).contains("Made <b");
    }
  }

  private static void publish(Desk desk, String id, int megabytes) throws IOException {
    publish(
        desk,
        id,
        shipped("gannet-and-gauge")
            .replace("\"mostMegabytes\": 40", "\"mostMegabytes\": " + megabytes));
  }

  private static String shipped(String id) throws IOException {
    return new String(
        JobsTest.class.getResourceAsStream("/houses/" + id + ".json").readAllBytes(),
        java.nio.charset.StandardCharsets.UTF_8);
  }

  /** Takes a shipped sheet in under another name, changed. */
  private static void publish(Desk desk, String id, String changed) {
    String sheet =
        changed
            .replaceFirst("\"id\": \"[a-z-]+\"", "\"id\": \"" + id + "\"")
            .replaceFirst("\"name\": \"[^\"]+\"", "\"name\": \"Zwin, a house named " + id + "\"");
    desk.page.navigate("/houses");
    desk.page
        .locator("#file")
        .setInputFiles(
            new com.microsoft.playwright.options.FilePayload(
                "sheet.json",
                "application/json",
                sheet.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
    button(desk, "Import");
    button(desk, "Publish");
    assertThat(desk.page.locator("h1")).hasText("Zwin, a house named " + id);
  }

  private static void button(Desk desk, String name) {
    desk.page
        .getByRole(
            com.microsoft.playwright.options.AriaRole.BUTTON,
            new com.microsoft.playwright.Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  /** Photos are packed more tightly, and that is said; where it isn't enough, what to do. */
  @Test(groups = Extent.LONG)
  public void aFileAboveTheHousesLimitIsPackedTighterAndThatIsSaid() throws IOException {
    java.util.Random random = new java.util.Random(5);
    java.awt.image.BufferedImage noise =
        new java.awt.image.BufferedImage(3000, 2000, java.awt.image.BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 2000; y++) {
      for (int x = 0; x < 3000; x++) {
        noise.setRGB(
            x, y, 0x202020 + random.nextInt(192) * 0x010000 + random.nextInt(192) * 0x0101);
      }
    }
    java.io.ByteArrayOutputStream jpeg = new java.io.ByteArrayOutputStream();
    javax.imageio.ImageIO.write(noise, "jpeg", jpeg);
    Desk desk = Desk.atBench("A heavy photo", "");
    String id = desk.id();
    desk.does(
        () ->
            desk.page
                .locator("#add-picture")
                .setInputFiles(
                    new com.microsoft.playwright.options.FilePayload(
                        "noise.jpg", "image/jpeg", jpeg.toByteArray())));
    desk.does(() -> desk.page.getByText("Fill the front to the bleed").click());
    Web web = new Web(Live.reglet().address());
    String first = end(web, Long.parseLong(id), order(web, Long.parseLong(id), Map.of()));
    double size = Double.parseDouble(first.replaceAll("(?s).*<span>([\\d.]+) MB</span>.*", "$1"));
    assertThat(size).isBetween(13.0, 20.0);
    assertThat(first).doesNotContain("instead of");
    int tight = 12;
    publish(desk, "tight-house", tight);
    desk.page.navigate("/editions/" + id + "/docket");
    desk.choose("house", "tight-house");
    String again = end(web, Long.parseLong(id), order(web, Long.parseLong(id), Map.of()));
    assertThat(again)
        .containsPattern("Photos are packed at quality \\d\\d instead of 92")
        .contains(tight + " MB are kept");
    assertThat(Double.parseDouble(again.replaceAll("(?s).*<span>([\\d.]+) MB</span>.*", "$1")))
        .isLessThanOrEqualTo(tight);
    publish(desk, "tiny-house", 1);
    desk.page.navigate("/editions/" + id + "/docket");
    desk.choose("house", "tiny-house");
    assertThat(end(web, Long.parseLong(id), order(web, Long.parseLong(id), Map.of())))
        .contains("and the house takes 1: use coarser pictures, or fewer");
  }

  /** A shop that takes no JPEG gets its cover without loss, in its own kind. */
  @Test(groups = Extent.LONG)
  public void aShopThatTakesTiffGetsATiff() throws IOException {
    Desk desk = Desk.open().makeTitle("In another kind", "Edda Marsh");
    String id = desk.id();
    publish(
        desk,
        "tiff-shelf",
        shipped("lantern-shelf")
            .replace("[\"jpeg\", \"tiff\"]", "[\"tiff\"]")
            .replace("\"mostMegabytes\": 5", "\"mostMegabytes\": 50"));
    desk.page.navigate("/editions/" + id + "/docket");
    desk.choose("house", "tiff-shelf");
    desk.type("trim", "1600 x 2560 px");
    desk.bench().layout("Ledger");
    desk.page.navigate("/editions/" + id + "/dispatch");
    desk.page.locator("#make").click();
    Download made = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    assertThat(made.suggestedFilename()).endsWith(".tif");
    var image = javax.imageio.ImageIO.read(made.path().toFile());
    assertThat(image.getWidth() + " x " + image.getHeight()).isEqualTo("1600 x 2560");
  }
}
