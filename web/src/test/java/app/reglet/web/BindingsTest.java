package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every binding through the docket, and the views that go with it. Sums beside each figure. */
public class BindingsTest {
  private static Desk at(String house, String binding, String trim, String pages) {
    return Desk.atDocket(
        "At " + house, Map.of("house", house, "binding", binding, "trim", trim, "pages", pages));
  }

  @Test
  public void aStapledCoverHasNoSpine() {
    Desk desk = at("whimbrel-digital", "saddle-stitched", "5.5 x 8.5", "32");
    // 2 × 5.5 + 2 × 0.125 = 11.25
    assertThat(desk.page.locator("#m-sheet")).hasText("11.25 × 8.75 in");
    assertThat(desk.page.locator(".panel-name")).hasText(new String[] {"Back", "Front"});
    assertThat(desk.page.locator("#measure-line")).containsText("spine none");
    desk.type("pages", "30");
    assertThat(desk.page.locator(".notes-list")).containsText("multiple of 4");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 32 pages"))
        .click();
    assertThat(desk.page.locator(".notes-list li")).hasCount(0);
  }

  @Test
  public void flapsAreTypedOneByOne() {
    Desk desk = at("sandling-and-daughters", "flapped", "A5", "320");
    // usual flaps 80: 160 + 2 × 148 + 2 × 1 + 23.5 + 6 = 487.5
    assertThat(desk.page.locator("#m-sheet")).hasText("487.5 × 216 mm");
    desk.type("frontFlap", "100");
    // the other stays the usual 80: 20 more
    assertThat(desk.page.locator("#m-sheet")).hasText("507.5 × 216 mm");
    desk.type("backFlap", "none");
    // no back flap, no fold allowance on its side: 507.5 − 80 − 1
    assertThat(desk.page.locator("#m-sheet")).hasText("426.5 × 216 mm");
    assertThat(desk.page.locator(".panel-name"))
        .hasText(new String[] {"Back", "Spine", "Front", "Front flap"});
    desk.type("frontFlap", "140");
    assertThat(desk.page.locator(".notes-list")).containsText("A flap of 140 mm isn't folded");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("110 mm")))
        .click();
    assertThat(desk.page.locator("#frontFlap")).hasValue("110 mm");
    desk.type("frontFlap", "wide");
    assertThat(desk.page.locator("#msg-frontFlap")).containsText("can't be read");
    desk.page.reload();
    assertThat(desk.page.locator("#frontFlap")).hasValue("wide");
    assertThat(desk.page.locator("#msg-frontFlap")).containsText("can't be read");
  }

  @Test
  public void aToldSpineIsTypedInWithItsSource() {
    Desk desk = at("sandling-and-daughters", "perfect-bound", "A5", "160");
    assertThat(desk.page.locator("#measured")).containsText("states the spine width on the order");
    desk.type("told", "11.8").type("toldSource", "order 7");
    assertThat(desk.page.locator("#m-spine")).hasText("11.8 mm");
    assertThat(desk.page.locator("#measured")).containsText("as the house stated (order 7)");
    // three drawings: front 154 × 216, spine 11.8 × 216, back
    assertThat(desk.page.locator(".wrap-drawing")).hasCount(3);
    assertThat(desk.page.locator(".wrap-drawing").nth(1))
        .hasAttribute("aria-label", Pattern.compile("Spine, 11\\.8 × 216 mm.*"));
    desk.type("told", "-3");
    assertThat(desk.page.locator("#msg-told")).containsText("above 0");
    assertThat(desk.page.locator("#m-spine")).hasText("11.8 mm");
    desk.bench().layout("Axis");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make press files"))
        .click();
    assertThat(desk.page.locator("#made table")).hasCount(3);
    assertThat(desk.page.locator("#made .mend")).hasCount(0);
    Download spine = desk.page.waitForDownload(() -> desk.page.locator("#download-spine").click());
    String boxes = Tool.ok("pdfinfo", "-box", spine.path().toString());
    // 11.8 mm = 33.449 pt, 216 mm = 612.283 pt
    assertThat(boxes).containsPattern("MediaBox:\\s+0\\.00\\s+0\\.00\\s+33\\.45\\s+612\\.28");
  }

  @Test
  public void aPaperbackMadeIntoAHardcoverOffersTheNearestTrim() {
    Desk desk = Desk.open().makeTitle("To hardcover", "Nobody").fill("5 x 8", "312", "");
    desk.choose("house", "dunlin-casebinders");
    assertThat(desk.page.locator(".notes-list"))
        .containsText("nearest it offers is 5.5 × 8.5 in, for which the inside must be re-set");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 5.5 × 8.5 in"))
        .click();
    assertThat(desk.page.locator(".notes-list li")).hasCount(0);
    // below the step table there is no figure, but a way out
    desk.type("pages", "40");
    assertThat(desk.page.locator(".notes-list")).containsText("from 75 pages");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 76 pages"))
        .click();
    assertThat(desk.page.locator("#m-spine")).hasText("0.5 in");
  }

  @Test
  public void theInsideIsDrawnMirrored() {
    Desk desk = at("osier-row", "perfect-bound", "A5", "320");
    desk.page.waitForResponse(
        r -> r.url().endsWith("/docket") && r.request().method().equals("POST"),
        () -> desk.page.locator("#inside").check());
    assertThat(desk.page.locator(".panel-name"))
        .hasText(
            new String[] {"Back", "Spine", "Front", "Inside front", "Inside spine", "Inside back"});
    assertThat(desk.page.locator(".guide-glue")).hasCount(1);
    desk.choose("house", "gannet-and-gauge");
    assertThat(desk.page.locator(".notes-list")).containsText("does not print the inside");
  }

  @Test
  public void aCountThatIsNotFinalShowsItsSpread() {
    Desk desk = Desk.open().makeTitle("About", "Nobody").fill("6 x 9", "300", "");
    desk.type("spread", "16");
    // 16 × 0.002252 = 0.036032
    assertThat(desk.page.locator("#sum-spread")).hasText("±16 pages: spine ±0.036 in");
    assertThat(desk.page.locator("#measure-line")).containsText("300 ± 16 pp, provisional");
    // trying another count doesn't make it final; counting the inside's file does
    desk.page.navigate("/editions/" + desk.id() + "/what-if?pages=320");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 320 pages"))
        .click();
    assertThat(desk.page.locator("#measure-line")).containsText("320 ± 16 pp, provisional");
    desk.type("spread", "400");
    assertThat(desk.page.locator("#msg-spread")).containsText("as much as the count itself");
    desk.type("spread", "");
    assertThat(desk.page.locator("#sum-spread")).hasCount(0);
  }

  @Test
  public void inkChoosesTheRuleAndIsChosenOnTheDocket() {
    Desk desk = at("whimbrel-digital", "perfect-bound", "6 x 9", "32");
    desk.choose("stock", "coated").choose("ink", "colour");
    // 32 × 0.002347 = 0.075104 (check value, common practice)
    assertThat(desk.page.locator("#m-spine")).hasText("0.075104 in");
    assertThat(desk.page.locator("#m-sheet")).hasText("12.325104 × 9.25 in");
  }

  /** A trim of the other unit, shown to six decimals and saved again, is still the house's. */
  @Test
  public void aListedTrimStaysListedInTheOtherUnit() {
    Desk desk = at("sandling-and-daughters", "flapped", "A5", "320");
    desk.page.getByLabel("Show inches").click();
    assertThat(desk.page.locator("#trim")).hasValue("5.826772 × 8.267717 in");
    desk.type("pages", "336");
    assertThat(desk.page.locator(".notes-list li")).hasCount(0);
    desk.type("trim", "5.826772 x 8.267717");
    assertThat(desk.page.locator(".notes-list li")).hasCount(0);
  }

  @Test
  public void anEbookCoverIsMeasuredComposedAndMade() throws IOException {
    Desk desk = Desk.open().makeTitle("On a screen", "Nobody").fill("6 x 9", "312", "");
    desk.choose("house", "harbour-reading-room");
    desk.type("trim", "1667 x 2500");
    assertThat(desk.page.locator("#m-sheet")).hasText("1667 × 2500 px");
    assertThat(desk.page.locator(".panel-name")).hasText(new String[] {"Front"});
    assertThat(desk.page.locator("#pages")).hasCount(0);
    desk.bench().layout("Ledger");
    assertThat(desk.page.locator("#sheet .hold"))
        .hasCount(3); // title, subtitle, author: no back, no spine
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make ebook cover"))
        .click();
    assertThat(desk.page.locator("#made .fits")).hasCount(2);
    Download cover = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    assertThat(cover.suggestedFilename()).endsWith(".jpg");
    assertThat(Files.size(cover.path())).isLessThan(1_000_000);
    BufferedImage image = ImageIO.read(cover.path().toFile());
    assertThat(image.getWidth()).isEqualTo(1667);
    assertThat(image.getHeight()).isEqualTo(2500);
    int dark = 0;
    for (int x = 0; x < 1667; x += 3) {
      for (int y = 0; y < 900; y += 3) {
        dark += (image.getRGB(x, y) & 0xff) < 100 ? 1 : 0;
      }
    }
    assertThat(dark).as("the title is there").isGreaterThan(800);
    // back to paper: the facts are all still there
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    desk.choose("house", "gannet-and-gauge");
    assertThat(desk.page.locator("#pages")).hasValue("312");
  }

  // ---- side by side

  private static List<String> column(Page page, int n) {
    return page.locator(".compare tbody tr td:nth-child(" + n + ")").allInnerTexts();
  }

  @Test
  public void everyHouseSideBySide() {
    Page page = Live.reglet().page();
    page.navigate("/editions/1/side-by-side");
    Locator gannet =
        page.locator(".compare tr", new Page.LocatorOptions().setHasText("Gannet & Gauge"));
    // 312 × 0.0025 = 0.78; 1.05 + 312 × 0.0135 = 5.262; 0.78 − 2 × 0.0625 = 0.655
    assertThat(gannet).containsText("0.78");
    assertThat(gannet).containsText("USD 5.26");
    assertThat(gannet).containsText("≤ 0.655");
    assertThat(page.locator(".compare")).containsText("states the spine width on the order");
    assertThat(page.locator(".compare")).containsText("the inside must be re-set");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Spine").setExact(true))
        .click();
    List<Double> up =
        column(page, 3).stream()
            .filter(s -> !s.equals("–"))
            .map(s -> s.equals("none") ? 0 : Double.parseDouble(s))
            .toList();
    assertThat(up).hasSizeGreaterThan(7).isSorted();
    assertThat(column(page, 3)).endsWith("–");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Spine").setExact(true))
        .click();
    assertThat(column(page, 3)).endsWith("–");
    assertThat(page.url()).contains("sort=spine", "way=down");
    page.navigate("/editions/1/side-by-side?sort=nonsense");
    assertThat(page.locator(".compare tbody tr").first()).containsText("Dunlin");
  }

  @Test
  public void aRowBecomesAnEdition() {
    Desk desk = Desk.open().makeTitle("Of two houses", "Nobody").fill("5 x 8", "310", "");
    Page page = desk.page;
    page.navigate("/editions/" + desk.id() + "/side-by-side");
    page.getByLabel("Make an edition with an empty cover: Case laminate, Sandling & Daughters")
        .click();
    page.waitForURL(Pattern.compile(".*/editions/\\d+/docket"));
    assertThat(page.locator(".whereabouts")).containsText("Of two houses");
    assertThat(page.locator("#binding")).hasValue("case-laminate");
    // 310 is no multiple of 16: 304 or 320, the latter as near or nearer
    assertThat(page.locator("#pages")).hasValue("304");
    assertThat(page.locator(".notes-list li")).hasCount(0);
    page.navigate("/titles");
    assertThat(
            page.locator("tbody", new Page.LocatorOptions().setHasText("Of two houses"))
                .locator("tr"))
        .hasCount(2);
  }

  // ---- what if

  @Test
  public void theSliderTellsAnyCountAndOneIsTaken() {
    Desk desk = Desk.open().makeTitle("What if", "Nobody").fill("6 x 9", "100", "");
    Page page = desk.page;
    page.navigate("/editions/" + desk.id() + "/what-if");
    assertThat(page.locator(".thresholds-list")).containsText("words on the spine from 80 pages");
    assertThat(page.locator(".thresholds-list")).containsText("bound up to 842 pages");
    Locator slide = page.locator("#slide");
    slide.focus();
    for (int i = 0; i < 6; i++) {
      slide.press("ArrowRight");
    }
    assertThat(page.locator("#told-pages")).hasText("106");
    assertThat(page.locator("#told-spine")).hasText("0.238712 in"); // 106 × 0.002252
    assertThat(page.locator("#told")).containsText("spine +0.0135 in");
    slide.press("ArrowRight");
    assertThat(page.locator("#told")).containsText("the count must be even");
    // dragged with the mouse to the far right: more than is bound
    var box = slide.boundingBox();
    page.mouse().move(box.x + box.width * 0.2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width - 1, box.y + box.height / 2);
    page.mouse().up();
    assertThat(page.locator("#told")).containsText("up to 842 pages");
    slide.fill("320");
    assertThat(page.locator("#told-pages")).hasText("320");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 320 pages")).click();
    page.waitForURL(Pattern.compile(".*/docket"));
    assertThat(page.locator("#m-spine")).hasText("0.72064 in");
  }

  // ---- the inside's PDF

  private static FilePayload block(int pages, double w, double h) throws IOException {
    try (PDDocument d = new PDDocument()) {
      for (int i = 0; i < pages; i++) {
        d.addPage(new PDPage(new PDRectangle((float) (w * 72), (float) (h * 72))));
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return new FilePayload("inside.pdf", "application/pdf", out.toByteArray());
    }
  }

  @Test(groups = Extent.LONG)
  public void theInsidesPdfIsCountedAndSetAgainstTheTrim() throws IOException {
    Desk desk = Desk.open().makeTitle("Counted", "Nobody").fill("6 x 9", "320", "");
    Page page = desk.page;
    desk.type("spread", "8");
    assertThat(page.locator("#measure-line")).containsText("provisional");
    page.locator("#file").setInputFiles(block(318, 6.125, 9.25));
    assertThat(page.locator("#block"))
        .containsText("The file has 318 pages; the docket says 320, 2 more.");
    assertThat(page.locator("#block")).containsText("right for an inside with bleed");
    assertThat(page.locator("#pages")).hasValue("320"); // nothing is taken before it is asked for
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 318 pages")).click();
    assertThat(page.locator("#pages")).hasValue("318");
    assertThat(page.locator("#measure-line")).not().containsText("provisional");
    page.locator("#file").setInputFiles(block(319, 6.25, 9.25));
    assertThat(page.locator("#block")).containsText("with 1 blank page it is 320");
    assertThat(page.locator("#block"))
        .containsText("make them 6.125 × 9.25 in (0.125 in narrower, the height stays)");
    page.locator("#file")
        .setInputFiles(new FilePayload("notes.txt", "text/plain", "no pdf".getBytes()));
    assertThat(page.locator("#block")).containsText("is no PDF");
    // pages moved by a conversion: two blank ones at the end, and words in the gutter
    page.locator("#file").setInputFiles(written(318, 2));
    assertThat(page.locator("#block"))
        .containsText(
            "Its last 2 pages are blank: without them there are 318, as the docket says.");
    assertThat(page.locator("#gutter-told"))
        .containsText(
            Pattern.compile("Words on page \\d+ come as near as 0.2\\d+ in to the spine"));
    assertThat(Live.violations(page)).isEmpty();
  }

  /** So many pages with words a fifth of an inch from both sides, and blank ones after them. */
  private static FilePayload written(int pages, int blank) throws IOException {
    try (PDDocument d = new PDDocument()) {
      PDType1Font font = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
      for (int i = 0; i < pages + blank; i++) {
        PDPage p = new PDPage(new PDRectangle(432, 648));
        d.addPage(p);
        if (i < pages) {
          try (PDPageContentStream c = new PDPageContentStream(d, p)) {
            c.beginText();
            c.setFont(font, 12);
            c.newLineAtOffset(14.4f, 300);
            c.showText("H");
            c.newLineAtOffset(394.5f, 0);
            c.showText("H");
            c.endText();
          }
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return new FilePayload("inside.pdf", "application/pdf", out.toByteArray());
    }
  }

  // ---- templates

  @DataProvider
  Object[][] taken() {
    return Extent.of(1, new Object[][] {{"5"}, {"1"}, {"4"}, {"6"}});
  }

  @Test(groups = Extent.LONG, dataProvider = "taken")
  public void templatesAreTakenAway(String edition) throws Exception {
    Page page = Live.reglet().page();
    page.navigate("/editions/" + edition + "/templates");
    assertThat(page.locator("#sizes")).containsText("MB");
    page.locator("#ppi").fill("72");
    assertThat(page.getByText("Download ZIP")).hasAttribute("href", Pattern.compile(".*ppi=72"));
    Download zip = page.waitForDownload(() -> page.getByText("Download ZIP").click());
    try (ZipFile files = new ZipFile(zip.path().toFile())) {
      List<String> names = files.stream().map(e -> e.getName()).toList();
      assertThat(names).anyMatch(n -> n.endsWith(".txt")).anyMatch(n -> n.endsWith(".svg"));
      assertThat(names).anyMatch(n -> n.endsWith("_72ppi.png"));
      JsonNode json =
          JsonMapper.builder()
              .build()
              .readTree(
                  files.getInputStream(
                      files.stream().filter(e -> e.getName().endsWith(".json")).findFirst().get()));
      double width = Double.parseDouble(json.at("/sheet/exact/width/in").stringValue());
      BufferedImage png =
          ImageIO.read(
              files.getInputStream(
                  files.stream().filter(e -> e.getName().endsWith(".png")).findFirst().get()));
      assertThat((double) png.getWidth()).isCloseTo(width * 72, within(0.51));
      Path pdf = Scratch.file("template", ".pdf");
      Files.write(
          pdf,
          files
              .getInputStream(
                  files.stream().filter(e -> e.getName().endsWith(".pdf")).findFirst().get())
              .readAllBytes());
      Tool.ok("qpdf", "--check", pdf.toString());
      assertThat(Tool.ok("pdfinfo", pdf.toString()))
          .containsPattern("Pages:\\s+" + json.at("/pages").size() + "\\b");
    }
    Download docket = page.waitForDownload(() -> page.getByText("Download docket").click());
    assertThat(Tool.ok("pdfinfo", docket.path().toString())).containsPattern("Pages:\\s+1\\b");
    page.locator("#ppi").fill("many");
    assertThat(page.locator("#message")).containsText("is no resolution");
    page.locator("#ppi").fill("1200");
    if (edition.equals("5")) {
      assertThat(page.locator("#message")).containsText("choose a lower ppi");
    }
  }
}
