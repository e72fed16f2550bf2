package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

public class BenchTest {

  private static Desk composed(String title, String layout) {
    return Desk.atBench(title, "Words for the back.").layout(layout);
  }

  private static Locator hold(Desk desk, String piece) {
    return desk.page.locator("#sheet .hold[data-piece='" + piece + "']");
  }

  private static void button(Desk desk, String name) {
    desk.does(
        () ->
            desk.page
                .getByRole(
                    AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .click());
  }

  @Test(groups = Extent.LONG)
  public void everyLayoutStartsWithNothingToMend() {
    Desk desk = composed("Layouts", "Ledger");
    for (String layout : new String[] {"Ledger", "Axis", "Tidemark"}) {
      desk.layout(layout);
      assertThat(desk.page.locator("#measure-line .tally")).hasText("nothing to mend");
      assertThat(desk.page.locator("#artwork [data-piece=title] [data-glyphs] path").first())
          .isAttached();
    }
  }

  @Test
  public void dragMovesAPieceAndUndoTakesItBack() {
    Desk desk = composed("Dragging", "Ledger");
    double[] before = desk.box("author");
    BoundingBox at = hold(desk, "author").boundingBox();
    double perMm =
        ((Number) desk.page.evaluate("document.getElementById('sheet').getScreenCTM().a"))
            .doubleValue();
    desk.does(
        () -> {
          desk.page.mouse().move(at.x + 60, at.y + 20);
          desk.page.mouse().down();
          desk.page
              .mouse()
              .move(
                  at.x + 70,
                  at.y - 30,
                  new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
          desk.page.keyboard().down("Alt"); // no snapping
          desk.page
              .mouse()
              .move(
                  at.x + 60,
                  at.y + 20 - 30 * perMm,
                  new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
          desk.page.mouse().up();
          desk.page.keyboard().up("Alt");
        });
    double[] after = desk.box("author");
    assertThat(after[0]).isCloseTo(before[0], within(0.3));
    assertThat(after[1]).isCloseTo(before[1] - 30, within(0.3));
    button(desk, "Undo");
    assertThat(desk.box("author")).containsExactly(before, within(0.001));
    button(desk, "Redo");
    assertThat(desk.box("author")).containsExactly(after, within(0.001));
    desk.page.reload();
    assertThat(desk.box("author")).containsExactly(after, within(0.001));
    button(desk, "Undo"); // undo survives a reload
    assertThat(desk.box("author")).containsExactly(before, within(0.001));
  }

  @Test
  public void keysWalkChooseNudgeAndTakeOff() {
    Desk desk = composed("Keys", "Ledger");
    double[] before = desk.box("title");
    hold(desk, "title").focus();
    desk.does(() -> desk.page.keyboard().press("Enter"));
    assertThat(hold(desk, "title")).hasAttribute("aria-pressed", "true");
    assertThat(hold(desk, "title")).isFocused();
    desk.does(
        () -> {
          desk.page.keyboard().press("ArrowDown");
          desk.page.keyboard().press("ArrowDown");
          desk.page.keyboard().press("Shift+ArrowDown");
        });
    desk.untilTop("title", before[1] + 6); // on a slow machine the three are two changes
    assertThat(hold(desk, "title")).isFocused();
    desk.does(() -> desk.page.keyboard().press("ArrowUp"));
    desk.untilTop("title", before[1] + 5.5);
    desk.does(() -> desk.page.keyboard().press("Control+z"));
    assertThat(desk.box("title")[1]).isCloseTo(before[1] + 6, within(0.001));
    hold(desk, "title").focus();
    desk.does(() -> desk.page.keyboard().press("Delete"));
    assertThat(hold(desk, "title")).hasCount(0);
  }

  @Test
  public void wordsFollowTheTitleBlock() {
    Desk desk = composed("Block", "Axis");
    desk.does(() -> hold(desk, "title").click());
    String plain =
        desk.page
            .locator("#artwork [data-piece=title] [data-face]")
            .first()
            .getAttribute("data-face");
    desk.page.locator("#leaf-face > summary").click();
    desk.does(() -> desk.page.locator(".face-style[data-face=oswald-semibold]").first().click());
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-face]").first())
        .hasAttribute("data-face", "oswald-semibold");
    assertThat(plain).doesNotContain("oswald");
    desk.does(() -> desk.page.locator("#w-size").fill("500"));
    assertThat(desk.page.locator("#came-out")).containsText("→");
    desk.does(
        () -> {
          desk.page.locator("#b-colour").fill("C0 M70 Y93 K33");
          desk.page.locator("#b-colour").press("Enter");
        });
    assertThat(desk.page.locator("#artwork [data-piece=title] > g").first())
        .hasAttribute("fill", "#ab0000");
    desk.does(
        () -> {
          desk.page.locator("#b-colour").fill("#aa3311");
          desk.page.locator("#b-colour").press("Enter");
        });
    assertThat(desk.page.locator("#artwork [data-piece=title] > g").first())
        .hasAttribute("fill", "#aa3311");
    // a size that can't be set is refused in place, and what was typed stays
    desk.page.locator("#w-size").fill("9000");
    assertThat(desk.page.locator("#message")).containsText("from 3 to 800 pt");
    assertThat(desk.page.locator("#w-size")).hasValue("9000");
    desk.does(() -> desk.page.locator("#w-size").fill("40"));
    assertThat(desk.page.locator("#message")).hasText("");
    assertThat(desk.page.locator("#came-out")).hasText("");
  }

  @Test
  public void wordsOfTheBookFollowTheDocket() {
    Desk desk = composed("First name", "Ledger");
    assertThat(desk.page.locator("#artwork [data-piece=title] g[data-text^='First']")).isAttached();
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    desk.type("title", "Second name");
    desk.bench();
    assertThat(desk.page.locator("#artwork [data-piece=title] g[data-text^='Second']"))
        .isAttached();
    assertThat(desk.page.locator("#artwork [data-piece=spine-title] g[data-text='Second name']"))
        .isAttached();
  }

  @Test
  public void aFindingIsMarkedOnTheSheetAndMendedByItsButton() {
    Desk desk = composed("Findings", "Ledger");
    desk.does(() -> hold(desk, "author").click());
    desk.does(
        () -> {
          desk.page.locator("#p-top").fill("8.15 in");
          desk.page.locator("#p-top").press("Enter");
        });
    assertThat(desk.page.locator("#notes")).containsText("outside the safe zone of the front");
    assertThat(desk.page.locator("#sheet .note")).hasCount(1);
    button(desk, "Move into the safe zone");
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    // too few pages for words on the spine
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    desk.type("pages", "60");
    desk.bench();
    assertThat(desk.page.locator("#notes")).containsText("prints words from 80 pages only");
  }

  @Test
  public void aBandAtTheTrimIsStretchedToTheBleed() {
    Desk desk = composed("Band", "Ledger");
    desk.page.locator("#add-what").selectOption("band");
    desk.does(
        () ->
            desk.page
                .getByRole(
                    AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add").setExact(true))
                .click());
    desk.does(
        () -> {
          desk.page.locator("#p-width").fill("6 in");
          desk.page.locator("#p-width").press("Tab");
        });
    assertThat(desk.page.locator("#notes")).containsText("short of the bleed edge");
    button(desk, "Stretch to the bleed edge");
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    double[] band = desk.box("band-1");
    assertThat(band[0] + band[2]).isCloseTo((12 + 0.72064 + 0.25) * 25.4, within(0.001));
  }

  private static Path picture(String name, int w, int h, String format) {
    try {
      BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
      var g = image.createGraphics();
      g.setPaint(
          new java.awt.GradientPaint(0, 0, java.awt.Color.DARK_GRAY, w, h, java.awt.Color.ORANGE));
      g.fillRect(0, 0, w, h);
      g.dispose();
      Path file = Scratch.directory("picture").resolve(name);
      ImageIO.write(image, format, file.toFile());
      return file;
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  @Test(groups = Extent.LONG)
  public void aPictureCoversToTheBleedWithAMovableFocus() {
    Desk desk = composed("Picture", "Ledger");
    desk.does(
        () -> desk.page.locator("#bg-file").setInputFiles(picture("sea.jpg", 3000, 1000, "jpg")));
    // 3000 px high 1000 covers 9.25 in: 1000 / 9.25 = 108 ppi
    assertThat(desk.page.locator("#notes")).containsText("108 ppi at printed size");
    Locator image = desk.page.locator("#artwork image");
    double x = Double.parseDouble(image.getAttribute("x"));
    double w = Double.parseDouble(image.getAttribute("width"));
    assertThat(w).isCloseTo(3 * 9.25 * 25.4, within(0.01));
    desk.page.locator("#leaf-framing > summary").click();
    Locator pad = desk.page.locator("#focus-pad");
    pad.scrollIntoViewIfNeeded();
    BoundingBox at = pad.boundingBox();
    desk.does(() -> pad.click(new Locator.ClickOptions().setPosition(at.width - 2, at.height / 2)));
    double moved = Double.parseDouble(desk.page.locator("#artwork image").getAttribute("x"));
    assertThat(moved).isLessThan(x - 100);
    double sheet = (12 + 0.72064 + 0.25) * 25.4;
    assertThat(moved + w).as("still covers the right edge").isGreaterThanOrEqualTo(sheet - 0.01);
    desk.does(
        () -> desk.page.locator("#bg-file").setInputFiles(picture("fine.tif", 4000, 2850, "tiff")));
    assertThat(desk.page.locator("#notes")).not().containsText("ppi");
  }

  @Test(groups = Extent.LONG)
  public void aPictureKeepsTheGroundsColourWhichShowsThroughIt() throws IOException {
    Desk desk = composed("Clear picture", "Ledger");
    desk.does(
        () -> {
          desk.page.locator("#g-colour").fill("#24564a");
          desk.page.locator("#g-colour").press("Enter");
        });
    assertThat(desk.page.locator("#g-colour")).hasValue("#24564a");
    Path clear = Scratch.directory("picture").resolve("clear.png");
    ImageIO.write(
        new BufferedImage(3000, 2200, BufferedImage.TYPE_INT_ARGB), "png", clear.toFile());
    desk.does(() -> desk.page.locator("#bg-file").setInputFiles(clear));
    assertThat(desk.page.locator("#artwork image")).hasCount(1);
    assertThat(desk.page.locator("#g-colour")).hasValue("#24564a");
    BoundingBox art = desk.page.locator("#artwork image").boundingBox();
    desk.page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    BufferedImage seen = ImageIO.read(new ByteArrayInputStream(desk.page.screenshot()));
    // on the back, where Ledger has no words
    int rgb = seen.getRGB((int) (art.x + art.width * 0.2), (int) (art.y + art.height * 0.45));
    assertThat(Integer.toHexString(rgb)).isEqualTo("ff24564a");
  }

  @Test
  public void badPicturesAreRefusedWithASentence() throws IOException {
    Desk desk = composed("Bad pictures", "Ledger");
    Locator file = desk.page.locator("#bg-file");
    file.setInputFiles(
        new FilePayload(
            "notes.jpg", "image/jpeg", "not a picture".getBytes(StandardCharsets.UTF_8)));
    assertThat(desk.page.locator("#message")).containsText("no JPEG, PNG or TIFF");
    byte[] half = Files.readAllBytes(picture("x.png", 400, 300, "png"));
    file.setInputFiles(new FilePayload("half.png", "image/png", java.util.Arrays.copyOf(half, 60)));
    assertThat(desk.page.locator("#message")).containsText("damaged");
    file.setInputFiles(new FilePayload("empty.png", "image/png", new byte[0]));
    assertThat(desk.page.locator("#message")).containsText("empty");
    assertThat(desk.page.locator("#artwork image")).hasCount(0);
  }

  @Test
  public void guidesCanBeHiddenAndDimmed() {
    Desk desk = composed("Guides", "Ledger");
    Locator guides = desk.page.locator("#sheet .guides");
    assertThat(guides).isVisible();
    desk.page.getByText("View", new Page.GetByTextOptions().setExact(true)).click();
    desk.page.getByLabel("Guides").selectOption("off");
    assertThat(guides).isHidden();
    desk.page.reload();
    assertThat(desk.page.locator("#sheet .guides")).isHidden();
    desk.page.getByText("View", new Page.GetByTextOptions().setExact(true)).click();
    desk.page.getByLabel("Guides").selectOption("dim");
    assertThat(guides).hasCSS("opacity", "0.45");
  }

  @Test
  public void twoWindowsDoNotOverwriteEachOther() {
    Desk one = composed("Windows", "Ledger");
    Desk two = Desk.open();
    two.page.navigate("/editions/" + one.id() + "/bench");
    one.layout("Axis");
    two.page.locator("#leaf-starts > summary").click();
    two.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Tidemark")).click();
    assertThat(two.page.locator("#message")).containsText("changed in another window");
    one.page.reload();
    assertThat(one.page.locator("#undo")).hasAttribute("title", "Undo: Layout Axis");
  }

  /**
   * More pages typed in one window: the other's next change is kept, and its sheet is the new one.
   */
  @Test
  public void aBenchWhoseDocketWasChangedElsewhereLoadsTheNewSheet() {
    Desk docket = Desk.open().makeTitle("Elsewhere", "Edda Marsh").fill("6 x 9", "320", "");
    Desk bench = Desk.open();
    bench.page.navigate("/editions/" + docket.id() + "/bench");
    bench.layout("Ledger");
    String before = bench.page.locator("#sheet").getAttribute("viewBox");
    double[] title = bench.box("title");
    docket.type("pages", "600");
    hold(bench, "title").focus();
    bench.page.waitForNavigation(() -> bench.page.keyboard().press("Shift+ArrowDown"));
    assertThat(bench.page.locator("#measure-line")).containsText("600 pp");
    assertThat(bench.page.locator("#sheet")).not().hasAttribute("viewBox", before);
    // 280 pages × 0.002252 in = 16.017 mm further right, and 5 mm down as asked
    assertThat(bench.box("title")[0]).isCloseTo(title[0] + 280 * 0.002252 * 25.4, within(0.01));
    assertThat(bench.box("title")[1]).isCloseTo(title[1] + 5, within(0.01));
  }

  @Test
  public void theSheetHasTheRoom() {
    Desk desk = composed("Room", "Ledger");
    double perMm =
        desk.page.locator("#sheet").boundingBox().width
            / Double.parseDouble(desk.page.locator("#sheet").getAttribute("viewBox").split(" ")[2]);
    double sheet = (12 + 0.72064 + 0.25) * 25.4 * perMm;
    assertThat(sheet).as("a 6 × 9 in wrap at 1280 × 800").isGreaterThan(840);
    assertThat((Integer) desk.page.evaluate("document.documentElement.scrollWidth"))
        .isLessThanOrEqualTo(1280);
    button(desk, "Undo");
    desk.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Zoom in")).click();
    assertThat(desk.page.locator("#sheet").boundingBox().width).isGreaterThan(1200);
  }

  /** Chooses in the list by part, as one does whose hands are on the keys. */
  private static void pick(Desk desk, String piece) {
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece='" + piece + "']").click());
  }

  @Test(groups = Extent.LONG)
  public void aBandDraggedStraightDownIsNeverShortOfTheBleed() {
    Desk desk = composed("Straight down", "Ledger");
    desk.page.locator("#add-what").selectOption("band");
    button(desk, "Add");
    double[] before = desk.box("band-1");
    for (int i = 1; i <= 12; i++) {
      BoundingBox at = hold(desk, "band-1").boundingBox();
      double by = i * 1.7;
      desk.does(
          () -> {
            desk.page.keyboard().down("Alt");
            desk.page.mouse().move(at.x + 30, at.y + 20);
            desk.page.mouse().down();
            desk.page.mouse().move(at.x + 30, at.y + 20 + by / 2);
            desk.page.mouse().move(at.x + 30, at.y + 20 + by);
            desk.page.mouse().up();
            desk.page.keyboard().up("Alt");
          });
      assertThat(desk.page.locator("#notes")).not().containsText("short of the bleed");
      assertThat(desk.box("band-1")[0]).isEqualTo(before[0]);
      assertThat(desk.box("band-1")[2]).isEqualTo(before[2]);
    }
  }

  @Test
  public void theReadoutCountsFromThePartsTrimInTheUnitInForceWhileDragging() {
    Desk desk = composed("Readout", "Ledger");
    BoundingBox at = hold(desk, "author").boundingBox();
    desk.page.keyboard().down("Alt");
    desk.page.mouse().move(at.x + 30, at.y + 10);
    desk.page.mouse().down();
    desk.page.mouse().move(at.x + 40, at.y);
    desk.page.mouse().move(at.x + 50, at.y - 10);
    assertThat(desk.page.locator("#readout")).containsText("from the front · ");
    assertThat(desk.page.locator("#readout")).containsText(" in");
    desk.does(
        () -> {
          desk.page.mouse().up();
          desk.page.keyboard().up("Alt");
        });
    assertThat(desk.page.locator("#readout")).isEmpty();
  }

  @Test
  public void aPieceIsTurnedAndThePressFileAndTheChecksFollow() {
    Desk desk = composed("Turned", "Ledger");
    pick(desk, "title");
    desk.does(
        () -> {
          desk.page.locator("#p-angle").fill("90");
          desk.page.locator("#p-angle").press("Enter");
        });
    assertThat(desk.page.locator("#art-title > g"))
        .hasAttribute("transform", Pattern.compile("matrix\\(0\\.0+ 1\\.0+ -1\\.0+ 0\\.0+ .*"));
    desk.does(
        () -> {
          desk.page.locator("#p-angle").fill("steep");
          desk.page.locator("#p-angle").press("Enter");
        },
        400);
    assertThat(desk.page.locator("#message")).containsText("“steep” is no angle");
    assertThat(desk.page.locator("#p-angle")).hasValue("steep");
  }

  @Test
  public void theKeyboardIsOnWhatWasAddedAndOnTheNextAfterTakingOff() {
    Desk desk = composed("Focus", "Ledger");
    desk.page.locator("#add-what").selectOption("front:own");
    button(desk, "Add");
    assertThat(hold(desk, "words-1")).isFocused();
    assertThat(hold(desk, "words-1")).hasAttribute("aria-pressed", "true");
    button(desk, "Add");
    assertThat(hold(desk, "words-2")).isFocused();
    assertThat(desk.box("words-2")).isNotEqualTo(desk.box("words-1"));
    desk.does(() -> desk.page.keyboard().press("Delete"));
    assertThat(hold(desk, "words-1")).isFocused();
  }

  @Test
  public void aNoteStandsAtTheHeightOfItsMark() {
    Desk desk = composed("Heights", "Ledger");
    pick(desk, "author");
    desk.does(
        () -> {
          desk.page.locator("#p-top").fill("4 in");
          desk.page.locator("#p-top").press("Enter");
        });
    desk.does(
        () -> {
          desk.page.locator("#p-left").fill("-0.1 in");
          desk.page.locator("#p-left").press("Enter");
        });
    BoundingBox mark = desk.page.locator("#overlay .note circle").first().boundingBox();
    BoundingBox note = desk.page.locator("#notes li .num").first().boundingBox();
    assertThat(note.y + note.height / 2).isCloseTo(mark.y + mark.height / 2, within(8.0));
    assertThat(note.x).isGreaterThan(mark.x);
  }

  @Test
  public void thePickerShowsAColourThatWasTyped() {
    Desk desk = composed("Picker", "Ledger");
    Locator picker = desk.page.locator("#title-block input[type=color]");
    desk.does(
        () -> {
          desk.page.locator("#g-colour").fill("#0a3");
          desk.page.keyboard().press("Enter");
        });
    assertThat(picker).hasValue("#00aa33");
    assertThat(desk.page.locator("#g-colour")).isFocused();
  }

  /** Several pieces in the hand go together: dragged, nudged, grouped, taken off. */
  @Test
  public void severalPiecesAreTakenTogetherAndGrouped() {
    Desk desk = composed("Together", "Ledger");
    var shift =
        new Locator.ClickOptions()
            .setModifiers(
                java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT));
    double[] title = desk.box("title");
    double[] author = desk.box("author");
    pick(desk, "title");
    desk.does(() -> hold(desk, "author").click(shift));
    assertThat(hold(desk, "title")).hasAttribute("aria-pressed", "true");
    assertThat(hold(desk, "author")).hasAttribute("aria-pressed", "true");
    assertThat(desk.page.locator("#block-name")).hasText("2 pieces");
    assertThat(desk.page.locator("#pieces .piece[aria-pressed=true]")).hasCount(2);
    // the keyboard moves both, as one change
    hold(desk, "title").focus();
    desk.does(() -> desk.page.keyboard().press("Shift+ArrowDown"));
    assertThat(desk.box("title")[1]).isCloseTo(title[1] + 5, within(0.01));
    assertThat(desk.box("author")[1]).isCloseTo(author[1] + 5, within(0.01));
    assertThat(desk.page.locator("#block-name")).hasText("2 pieces");
    // so does the mouse
    BoundingBox at = hold(desk, "author").boundingBox();
    desk.does(
        () -> {
          desk.page.mouse().move(at.x + 20, at.y + 8);
          desk.page.mouse().down();
          desk.page.keyboard().down("Alt");
          desk.page.mouse().move(at.x + 20, at.y - 10);
          desk.page.mouse().move(at.x + 20, at.y - 22);
          desk.page.mouse().up();
          desk.page.keyboard().up("Alt");
        });
    double risen = author[1] + 5 - desk.box("author")[1];
    assertThat(risen).isGreaterThan(3);
    assertThat(title[1] + 5 - desk.box("title")[1]).isCloseTo(risen, within(0.01));
    button(desk, "Undo");
    button(desk, "Undo");
    assertThat(desk.box("title")).containsExactly(title, within(0.001));
    assertThat(desk.box("author")).containsExactly(author, within(0.001));
    // grouped, the group is in the hand; ungrouped, they lie where they lay
    button(desk, "Group");
    assertThat(desk.page.locator("#title-block .name span")).hasText("group");
    assertThat(desk.page.locator("#pieces li.inside")).hasCount(2);
    button(desk, "Ungroup");
    assertThat(desk.page.locator("#pieces li.inside")).hasCount(0);
    assertThat(desk.box("title")).containsExactly(title, within(0.01));
    // chosen in the list, the second one let go again, then both taken off at once
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=title]").click());
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=author]").click(shift));
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=author]").click(shift));
    assertThat(desk.page.locator("#block-name")).hasText("Title");
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=author]").click(shift));
    button(desk, "Take off");
    assertThat(hold(desk, "title")).hasCount(0);
    assertThat(hold(desk, "author")).hasCount(0);
    button(desk, "Undo");
    assertThat(desk.box("author")).containsExactly(author, within(0.01));
  }

  @Test
  public void theAnswerToAnEditOfOnePieceIsSmall() {
    Desk desk = composed("Small answers", "Tidemark");
    pick(desk, "author");
    int[] size = new int[1];
    desk.page.onResponse(
        r -> {
          if (r.url().endsWith("/bench/edits")) {
            size[0] = r.body().length;
          }
        });
    desk.does(
        () -> {
          desk.page.locator("#p-top").fill("4 in");
          desk.page.locator("#p-top").press("Enter");
        });
    assertThat(size[0]).isBetween(1, 30_000);
    // and what it changed is the one piece, in its place among the others
    Object order =
        desk.page.evaluate(
            "[...document.getElementById('artwork').children].map(g => g.dataset.piece).join(' ')");
    assertThat(order)
        .isEqualTo("ground band-1 title author blurb spine-title spine-author barcode-1");
  }
}
