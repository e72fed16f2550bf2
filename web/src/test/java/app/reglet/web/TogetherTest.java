package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** Several pieces as one, snapping, keys alone, the view, the inside: as a person does it. */
public class TogetherTest {
  private static Desk composed(String title) {
    return Desk.atBench(title, "").layout("Ledger");
  }

  private static void add(Desk desk, String what) {
    desk.page.locator("#add-what").selectOption(what);
    desk.does(() -> desk.page.locator("#add-form button").click());
  }

  private static void place(Desk desk, String left, String top, String width, String height) {
    for (String[] f :
        new String[][] {{"left", left}, {"top", top}, {"width", width}, {"height", height}}) {
      desk.does(
          () -> {
            desk.page.locator("#p-" + f[0]).fill(f[1]);
            desk.page.keyboard().press("Enter");
          });
    }
  }

  private static String chosen(Desk desk) {
    return desk.page.locator("#title-block").getAttribute("data-chosen");
  }

  private static BoundingBox on(Desk desk, String selector) {
    return desk.page.locator(selector).boundingBox();
  }

  private static void drag(Desk desk, double fromX, double fromY, double toX, double toY) {
    desk.page.mouse().move(fromX, fromY);
    desk.page.mouse().down();
    desk.page.mouse().move((fromX + toX) / 2, (fromY + toY) / 2);
    desk.page.mouse().move(toX, toY);
  }

  /** A cover with nothing but three shapes on its front, an inch each. */
  private static String[] three(Desk desk) {
    desk.page.locator("#pieces .piece").first().waitFor();
    String[] ids = new String[3];
    for (int i = 0; i < 3; i++) {
      add(desk, "shape:rectangle");
      place(desk, 0.6 + i + (i == 2 ? 0.5 : 0) + "", "6.5", "0.5", "0.5");
      ids[i] = chosen(desk);
    }
    return ids;
  }

  @Test
  public void aBandTakesWhatLiesInItAndOneGripResizesAllAndUngroupsAgain() {
    Desk desk = composed("Bands");
    String[] ids = three(desk);
    desk.page.keyboard().press("Escape");
    BoundingBox first = on(desk, ".hold[data-piece='" + ids[0] + "']");
    BoundingBox last = on(desk, ".hold[data-piece='" + ids[2] + "']");
    desk.does(
        () -> {
          drag(desk, first.x - 8, first.y - 8, last.x + last.width + 8, last.y + last.height + 8);
          assertThat(desk.page.locator("#snaps .band")).isAttached();
          desk.page.mouse().up();
        });
    assertThat(desk.page.locator("#block-name")).hasText("3 pieces");
    double[] before = desk.box(ids[2]);
    Locator grip = desk.page.locator(".together .grip.se");
    BoundingBox g = grip.boundingBox();
    desk.page.keyboard().down("Shift");
    desk.does(
        () -> {
          drag(
              desk,
              g.x + g.width / 2,
              g.y + g.height / 2,
              g.x + g.width / 2 - 20,
              g.y + g.height / 2 - 20);
          desk.page.mouse().up();
        });
    desk.page.keyboard().up("Shift");
    double[] after = desk.box(ids[2]);
    assertThat(after[2]).isLessThan(before[2]);
    // held in proportion: as much lower as narrower
    assertThat(after[3] / before[3]).isCloseTo(after[2] / before[2], within(1e-4));
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.box(ids[2])[2]).isCloseTo(before[2], within(1e-6));
  }

  @Test(groups = Extent.LONG)
  public void aPieceLaidOnTheMiddleHangsThereAndEqualGapsAreShown() {
    Desk desk = composed("Snaps");
    String[] ids = three(desk);
    // the third lies half an inch too far: dragged near, it goes on as the first two stand
    BoundingBox b = on(desk, ".hold[data-piece='" + ids[2] + "']");
    double inch =
        on(desk, ".hold[data-piece='" + ids[1] + "']").x
            - on(desk, ".hold[data-piece='" + ids[0] + "']").x;
    desk.does(
        () -> {
          drag(desk, b.x + 9, b.y + b.height - 12, b.x + 9 - inch / 2 + 3, b.y + b.height - 12);
          assertThat(desk.page.locator("#snaps .snap.gap")).hasCount(2);
          assertThat(desk.page.locator("#snaps .snap-label").first()).hasText("0.500");
          desk.page.mouse().up();
        });
    assertThat(desk.page.locator("#p-left")).hasValue(Pattern.compile("2\\.(6|6000\\d|59999\\d*)"));
    // it hangs from the left; laid on the front's middle it hangs by its centre from then
    desk.does(() -> desk.page.locator("#h-across").selectOption("START"));
    assertThat(desk.page.locator("#h-across")).hasValue("START");
    BoundingBox c = on(desk, ".hold[data-piece='" + ids[2] + "']");
    desk.does(
        () -> {
          drag(
              desk,
              c.x + 9,
              c.y + c.height - 12,
              c.x + 9 + inch * 0.15 + 2,
              c.y + c.height - 12 + inch / 3);
          assertThat(desk.page.locator("#snaps .snap-label").first()).hasText("front’s middle");
          desk.page.mouse().up();
        });
    assertThat(desk.page.locator("#h-across")).hasValue("MIDDLE");
    assertThat(desk.page.locator("#h-region")).hasValue("front.trim");
    assertThat(desk.page.locator("#p-left")).hasValue("2.75");
  }

  @Test
  public void everyActOnPiecesIsDoneByKeysAlone() {
    Desk desk = composed("Keyboard");
    String[] ids = three(desk);
    Locator hold = desk.page.locator(".hold[data-piece='" + ids[0] + "']");
    hold.focus();
    desk.does(() -> desk.page.keyboard().press("Enter"));
    desk.page.keyboard().press("s");
    assertThat(desk.page.locator("#readout")).containsText("arrows size it");
    desk.does(
        () -> {
          desk.page.keyboard().press("Shift+ArrowRight");
          desk.page.keyboard().press("ArrowDown");
        });
    // 0.5 in and 5 mm; 0.5 in and 0.5 mm
    assertThat(desk.box(ids[0])[2]).isCloseTo(17.7, within(1e-6));
    assertThat(desk.box(ids[0])[3]).isCloseTo(13.2, within(1e-6));
    assertThat(hold).isFocused();
    desk.page.keyboard().press("t");
    desk.does(
        () -> {
          desk.page.keyboard().press("Shift+ArrowRight");
          desk.page.keyboard().press("ArrowLeft");
        });
    assertThat(desk.page.locator("#p-angle")).hasValue("14");
    desk.page.keyboard().press("m");
    desk.does(() -> desk.page.keyboard().press("c"));
    assertThat(desk.page.locator("#h-region")).hasValue("front.trim");
    desk.does(() -> desk.page.keyboard().press("f"));
    desk.does(() -> desk.page.keyboard().press("l"));
    assertThat(desk.page.locator("#p-locked")).isChecked();
    desk.does(() -> desk.page.keyboard().press("l"));
    desk.does(() -> desk.page.keyboard().press(","));
    // two more to it, as one: turned, grouped, ungrouped, spread
    for (int i = 1; i < 3; i++) {
      desk.page.locator(".hold[data-piece='" + ids[i] + "']").focus();
      desk.does(() -> desk.page.keyboard().press("Shift+Enter"));
    }
    assertThat(desk.page.locator("#block-name")).hasText("3 pieces");
    desk.does(() -> desk.page.keyboard().press("e"));
    desk.page.keyboard().press("t");
    desk.does(() -> desk.page.keyboard().press("Shift+ArrowRight"));
    desk.page.keyboard().press("m");
    desk.does(() -> desk.page.keyboard().press("g"));
    assertThat(desk.page.locator("#block-name")).hasText(Pattern.compile("Group \\d"));
    desk.does(() -> desk.page.keyboard().press("d"));
    desk.does(() -> desk.page.keyboard().press("u"));
    assertThat(desk.page.locator("#message")).isEmpty();
    desk.page.keyboard().press("?");
    desk.page.waitForURL(Pattern.compile(".*/keys.*"));
    desk.page.locator("#back").click();
    desk.page.waitForURL(Pattern.compile(".*/bench.*"));
  }

  @Test
  public void whatIsCopiedIsPastedOnAnotherCover() {
    Desk desk = composed("Copied");
    desk.page.context().grantPermissions(java.util.List.of("clipboard-read", "clipboard-write"));
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=title]").click());
    desk.page.locator(".hold[data-piece=title]").focus();
    desk.page.keyboard().press("Control+c");
    desk.makeTitle("Pasted", "Edda Marsh").fill("6 x 9", "100", "").bench();
    assertThat(desk.page.locator("#pieces .piece")).hasCount(1);
    desk.page.locator("#sheet").click();
    desk.does(() -> desk.page.keyboard().press("Control+v"));
    assertThat(desk.page.locator("#block-name")).hasText("Title");
    assertThat(desk.page.locator("#w-source")).hasValue("title");
    assertThat(desk.page.locator("#pieces .piece")).hasCount(2);
  }

  @Test(groups = Extent.LONG)
  public void theViewShowsAPanelTheTrimmedCoverRealSizeAndAHousesTemplate() throws IOException {
    Desk desk = composed("Views");
    desk.page.locator("#view-leaf summary").first().click();
    desk.page.locator("#guides").selectOption("areas");
    assertThat(desk.page.locator("#lay .area.cut")).isAttached();
    assertThat(desk.page.locator("#lay .area.barcode")).isAttached();
    desk.page.locator("#knife").check();
    assertThat(desk.page.locator("#lay .cut-off")).isAttached();
    desk.page.locator("#show-part").selectOption("front");
    // 6 × 9 in and 6 % of 6 in and 3 mm on each side
    String viewed = desk.page.locator("#sheet").getAttribute("viewBox");
    assertThat(Double.parseDouble(viewed.split(" ")[2])).isCloseTo(152.4 * 1.12 + 6, within(0.01));
    // a screen on which a card of 85.60 mm is 400 px wide shows the front, 152.4 mm, in 712 px
    desk.page.locator(".measure-screen summary").click();
    desk.page
        .locator("#card-width")
        .evaluate(
            "r => { r.value = 400; r.dispatchEvent(new Event('input', { bubbles: true })); }");
    assertThat(desk.page.locator("#card")).hasAttribute("height", Pattern.compile("252\\.2.*"));
    desk.page.locator("#card-keep").click();
    double perMm = on(desk, "#sheet").width / Double.parseDouble(viewed.split(" ")[2]);
    assertThat(perMm).isCloseTo(400 / 85.6, within(0.02));
    // the template of the sheet as measured, and one of another page count
    desk.page.waitForResponse(
        r -> r.url().endsWith("/template"),
        () -> desk.page.locator("#template-file").setInputFiles(template(12.97064, 9.25)));
    assertThat(desk.page.locator("#template-said")).containsText("as the sheet measured here does");
    assertThat(desk.page.locator("#lay .template"))
        .hasAttribute("width", Pattern.compile("329\\.4.*"));
    desk.page.waitForResponse(
        r -> r.url().endsWith("/template"),
        () -> desk.page.locator("#template-file").setInputFiles(template(12.47064, 9.25)));
    assertThat(desk.page.locator("#template-said")).containsText("0.5 in narrower and no higher");
    desk.page.reload();
    assertThat(desk.page.locator("#lay .template")).isAttached();
    assertThat(desk.page.locator("#template-said"))
        .hasText(Pattern.compile(".*narrower and no higher.*"));
    String bench = desk.page.url();
    desk.page.locator("nav >> text=Docket").click();
    desk.type("pages", "300");
    desk.page.navigate(bench);
    assertThat(desk.page.locator("#template-said"))
        .hasText(Pattern.compile("The sheet was measured anew.*"));
    desk.page.locator("#view-leaf summary").first().click();
    desk.page.locator("#template-off").click();
    assertThat(desk.page.locator("#lay .template")).hasCount(0);
  }

  @Test
  public void theWheelZoomsToThePointerAndTheMiddleButtonPans() {
    Desk desk = composed("Near");
    // the place of the sheet that a point of the screen shows, mm
    String under =
        "([x, y]) => { const p = new DOMPoint(x, y).matrixTransform(document.getElementById('sheet').getScreenCTM().inverse()); return p.x + ' ' + p.y; }";
    var point = java.util.List.of(520, 400);
    String before = (String) desk.page.evaluate(under, point);
    double width = on(desk, "#sheet").width;
    desk.page.mouse().move(520, 400);
    desk.page.keyboard().down("Control");
    desk.page.mouse().wheel(0, -400);
    desk.page.waitForFunction(
        "w => document.getElementById('sheet').clientWidth > 2 * w", width * 0.9);
    desk.page.keyboard().up("Control");
    String[] now = ((String) desk.page.evaluate(under, point)).split(" ");
    // within a pixel of the screen, about a third of a millimetre
    assertThat(Double.parseDouble(now[0]))
        .isCloseTo(Double.parseDouble(before.split(" ")[0]), within(0.4));
    assertThat(Double.parseDouble(now[1]))
        .isCloseTo(Double.parseDouble(before.split(" ")[1]), within(0.4));
    BoundingBox sheet = on(desk, "#sheet");
    desk.page
        .mouse()
        .down(
            new com.microsoft.playwright.Mouse.DownOptions()
                .setButton(com.microsoft.playwright.options.MouseButton.MIDDLE));
    desk.page.mouse().move(490, 380);
    desk.page
        .mouse()
        .up(
            new com.microsoft.playwright.Mouse.UpOptions()
                .setButton(com.microsoft.playwright.options.MouseButton.MIDDLE));
    assertThat(on(desk, "#sheet").x).isCloseTo(sheet.x - 30, within(1.0));
    assertThat(on(desk, "#sheet").y).isCloseTo(sheet.y - 20, within(1.0));
  }

  @Test
  public void whatIsDraggedStaysBehindWhatIsInFrontOfItAndEscapeLeavesItWhereItLay()
      throws IOException {
    Desk desk = Desk.atBench("Behind", "");
    String[] ids = new String[2];
    String[] colours = {"#ff0000", "#0000ff"};
    for (int i = 0; i < 2; i++) {
      add(desk, "shape:rectangle");
      place(desk, 0.5 + 2.5 * i + "", "2.1", "1.9", "1.8");
      int n = i;
      desk.does(
          () -> {
            desk.page.locator("#b-colour").fill(colours[n]);
            desk.page.keyboard().press("Enter");
          });
      ids[i] = chosen(desk);
    }
    BoundingBox red = on(desk, ".hold[data-piece='" + ids[0] + "']");
    BoundingBox blue = on(desk, ".hold[data-piece='" + ids[1] + "']");
    double x = red.x + red.width / 2;
    double y = red.y + red.height / 2;
    double by = (blue.x - red.x) * 0.6;
    desk.page.keyboard().down("Alt");
    drag(desk, x, y, x + by, y);
    assertThat(desk.page.locator(".lifted").first()).isAttached();
    int overlap = (int) (blue.x + 12);
    int uncovered = (int) (blue.x - 12);
    int left = (int) (red.x + 12);
    int row = (int) (y + red.height / 4);
    desk.page.waitForFunction(
        "() => [...document.querySelectorAll('.lifted')].some(s => s.style.transform)");
    assertThat(seen(desk, overlap, row)).as("the front piece covers it").isEqualTo(0x0000ff);
    assertThat(seen(desk, uncovered, row)).as("it goes along").isEqualTo(0xff0000);
    assertThat(seen(desk, left, row)).as("it has left").isNotEqualTo(0xff0000);
    desk.page.keyboard().up("Alt");
    desk.page.keyboard().press("Escape");
    desk.page.mouse().up();
    assertThat(desk.page.locator(".lifted")).hasCount(0);
    assertThat(seen(desk, left, row)).isEqualTo(0xff0000);
    assertThat(
            desk.page.locator(
                "#artwork > [data-piece='" + ids[0] + "'] ~ [data-piece='" + ids[1] + "']"))
        .hasCount(1);
  }

  /** The colour on the screen. */
  private static int seen(Desk desk, int x, int y) throws IOException {
    return javax.imageio.ImageIO.read(new java.io.ByteArrayInputStream(desk.page.screenshot()))
            .getRGB(x, y)
        & 0xffffff;
  }

  private static FilePayload template(double widthInches, double heightInches) {
    try (PDDocument d = new PDDocument()) {
      d.addPage(
          new PDPage(new PDRectangle((float) (widthInches * 72), (float) (heightInches * 72))));
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return new FilePayload("house.pdf", "application/pdf", out.toByteArray());
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  @Test(groups = Extent.LONG)
  public void theInsideIsComposedByItselfAndIsTheSecondPageOfTheFile() throws IOException {
    Desk desk =
        Desk.open()
            .makeTitle("Within", "Edda Marsh")
            .choose("house", "osier-row")
            .fill("A5", "288", "");
    desk.page.waitForResponse(
        r -> r.url().endsWith("/docket") && r.request().method().equals("POST"),
        () -> desk.page.locator("#inside").check());
    Live.settled(desk.page);
    desk.bench().layout("Axis");
    desk.page.locator("#to-inside").click();
    assertThat(desk.page.locator("#pieces .piece")).hasCount(1);
    add(desk, "front:own");
    desk.does(() -> desk.page.locator("#w-text").fill("Seen from within"));
    assertThat(desk.page.locator("#pieces h2").first()).hasText("Inside front");
    add(desk, "shape:ellipse");
    place(desk, "140", "60", "30", "30");
    assertThat(desk.page.locator("#notes")).containsText("on the strip of");
    desk.page.locator("#to-outside").click();
    assertThat(desk.page.locator("#notes .beyond")).hasText("On the inside: 1 note");
    assertThat(desk.page.locator("#pieces")).not().containsText("Words");
    byte[] file =
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body();
    try (PDDocument press = Loader.loadPDF(file)) {
      assertThat(press.getNumberOfPages()).isEqualTo(2);
      PDFTextStripper text = new PDFTextStripper();
      text.setStartPage(2);
      assertThat(text.getText(press).strip()).isEqualTo("Seen from within");
      assertThat(press.getPage(1).getMediaBox().getWidth())
          .isEqualTo(press.getPage(0).getMediaBox().getWidth());
    }
  }
}
