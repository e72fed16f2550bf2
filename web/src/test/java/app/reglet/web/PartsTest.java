package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.house.PressRules;
import app.reglet.press.inspect.PressStandard;
import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** Pictures of a cover and its parts, made on Dispatch and opened. */
public class PartsTest {
  private static Download make(Desk desk, String part, String format, String size, String colours) {
    desk.page.locator("#part").selectOption(part);
    desk.page.locator("#part-format").selectOption(format);
    desk.page.locator("#part-size").fill(size);
    desk.page.locator("#part-colours").selectOption(colours);
    return desk.page.waitForDownload(
        () ->
            desk.page
                .getByRole(
                    AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make it").setExact(true))
                .click());
  }

  @Test(groups = Extent.LONG)
  public void frontSpreadSheetAndSpineAreMadeAtTheSizeThatIsAskedFor() throws IOException {
    Desk desk = Desk.atBench("For the shops", "A blurb.").layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    Download front = make(desk, "front", "jpeg", "600 px", "rgb");
    assertThat(front.suggestedFilename())
        .matches("for-the-shops_perfect-bound_front_.*_edition-\\d+_600px_r\\d+\\.jpg");
    BufferedImage image = ImageIO.read(front.path().toFile());
    // a front of 6 × 9 in
    assertThat(image.getWidth()).isEqualTo(600);
    assertThat(image.getHeight()).isEqualTo(900);
    BufferedImage sheet =
        ImageIO.read(make(desk, "sheet", "png", "100 ppi", "rgb").path().toFile());
    assertThat(sheet.getHeight()).isEqualTo(925);
    Download inks = make(desk, "spread", "tiff", "72 ppi", "coated");
    assertThat(inks.suggestedFilename()).contains("_coated_").endsWith(".tif");
    BufferedImage four = ImageIO.read(inks.path().toFile());
    assertThat(four.getRaster().getNumBands()).isEqualTo(4);
    assertThat(four.getHeight()).isEqualTo(648);
    Download spine = make(desk, "spine", "pdf", "", "rgb");
    try (PDDocument d = Loader.loadPDF(Files.readAllBytes(spine.path()))) {
      assertThat(d.getPage(0).getMediaBox().getHeight()).isEqualTo(648);
      assertThat(d.getPage(0).getTrimBox().getWidth())
          .isEqualTo(d.getPage(0).getMediaBox().getWidth());
      assertThat(new PDFTextStripper().getText(d)).contains("For the shops");
    }
    Download flat = make(desk, "front", "pdf", "", "uncoated");
    assertThat(flat.suggestedFilename()).contains("_front_").contains("_uncoated_");
    assertThat(PressStandard.broken(flat.path(), PressRules.Standard.X1A)).isEmpty();
    try (PDDocument d = Loader.loadPDF(Files.readAllBytes(flat.path()))) {
      assertThat(d.getPage(0).getMediaBox().getWidth()).isEqualTo(432);
      assertThat(d.getDocumentCatalog().getOutputIntents()).hasSize(1);
    }
    assertThat(desk.page.locator("#pictures-of-it")).isVisible();
    assertThat(Live.violations(desk.page)).isEmpty();
  }

  @Test
  public void whatCanBeNoPictureGetsASentence() throws IOException {
    Desk desk = Desk.atBench("Not for the shops", "A blurb.").layout("Ledger");
    Web web = new Web(Live.reglet().address());
    Map<String, String> wrong =
        Map.of(
            "part=hat", "has no part “hat”",
            "size=9+px", "That would be 9 × 14 pixels",
            "size=90000+px", "at most 50.0 megapixels",
            "size=1200+ppi", "7,200 × 10,800 pixels",
            "size=large", "is no size of a picture",
            "format=gif", "is no kind of file",
            "colours=none&format=tiff", "No profile of the printing condition “none”",
            "colours=coated&format=png", "a picture is made as a TIFF, JPEG or PDF");
    for (Map.Entry<String, String> e : wrong.entrySet()) {
      var answer = web.get("/editions/" + desk.id() + "/part?" + e.getKey());
      assertThat(answer.status()).as(e.getKey()).isEqualTo(400);
      assertThat(answer.body()).contains(e.getValue());
    }
    for (String gone : List.of("/editions/99999/part", "/editions/99999/part?part=spine")) {
      assertThat(web.get(gone).status()).isEqualTo(404);
    }
  }

  @Test(groups = Extent.LONG)
  public void anEbooksSizeIsShownAgainstItsLossWithTheKneeAndTheWorstOfIt() throws IOException {
    Desk desk = Desk.open().makeTitle("A small file", "Edda Marsh");
    desk.choose("house", "harbour-reading-room");
    desk.bench().layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page.locator("#show-curve").click();
    assertThat(desk.page.locator("#jpeg-curve circle")).hasCount(8);
    assertThat(desk.page.locator("#jpeg-curve circle.knee")).hasCount(1);
    desk.page.waitForFunction(
        "() => [...document.querySelectorAll('.squares img')].length >= 3 && [...document.querySelectorAll('.squares img')].every(i => i.complete && i.naturalWidth === 288)");
    desk.page.locator("#jpeg-curve summary").click();
    assertThat(desk.page.locator("#jpeg-curve tbody tr")).hasCount(8);
    assertThat(Live.violations(desk.page)).isEmpty();
    Web web = new Web(Live.reglet().address());
    String at = "/editions/" + desk.id() + "/jpeg-square";
    for (String wrong :
        List.of(
            "?quality=0&x=1&y=1",
            "?quality=80&x=-1&y=1",
            "?quality=80&x=99999&y=1",
            "?quality=x&x=1&y=1")) {
      assertThat(web.get(at + wrong).status()).as(wrong).isEqualTo(400);
    }
    Desk paper = Desk.atBench("On paper", "A blurb.");
    assertThat(web.get("/editions/" + paper.id() + "/jpeg-curve").status()).isEqualTo(400);
  }

  /**
   * A white cover has no edge in a shop: that is said when the hand rests, and mended in one act.
   */
  @Test
  public void aPaleEbookCoverIsOfferedAHairline() throws IOException {
    Desk desk = Desk.open().makeTitle("White on white", "Edda Marsh");
    desk.choose("house", "lantern-shelf");
    desk.bench();
    desk.does(
        () -> {
          desk.page.locator("#g-colour").fill("#fdfdfb");
          desk.page.keyboard().press("Enter");
        });
    assertThat(desk.page.locator("#notes"))
        .containsText("100 % of the cover’s edge is nearly white");
    desk.does(
        () ->
            desk.page
                .locator(
                    "#notes button",
                    new Page.LocatorOptions().setHasText("Draw a hairline round it"))
                .click());
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    assertThat(desk.page.locator("main")).not().containsText("nearly white");
    desk.page.locator("#make").click();
    BufferedImage made =
        ImageIO.read(
            desk.page
                .waitForDownload(() -> desk.page.locator("#download").click())
                .path()
                .toFile());
    for (int[] way :
        new int[][] {{1, 0, 0, 700}, {-1, 0, made.getWidth() - 1, 700}, {0, 1, 500, 0}}) {
      int darkest = 255;
      for (int i = 0; i < 6; i++) {
        darkest = Math.min(darkest, made.getRGB(way[2] + i * way[0], way[3] + i * way[1]) & 0xff);
      }
      assertThat(darkest).as("from %s, %s", way[2], way[3]).isLessThan(190);
    }
    assertThat(made.getRGB(20, 700) & 0xff).isGreaterThan(245);
  }
}
