package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Every kind of piece, put on and changed on the bench as a person would. */
public class PiecesTest {
  private static Desk composed(String title) {
    return Desk.atBench(title, "").layout("Ledger");
  }

  private static void add(Desk desk, String what) {
    desk.page.locator("#add-what").selectOption(what);
    desk.does(() -> desk.page.locator("#add-form button").click());
  }

  private static String chosen(Desk desk) {
    return desk.page.locator("#title-block").getAttribute("data-chosen");
  }

  private static void type(Desk desk, String field, String text) {
    desk.does(
        () -> {
          desk.page.locator(field).fill(text);
          desk.page.keyboard().press("Enter");
        });
  }

  @Test
  public void aShapeIsFilledWithAGradientAndGivenAnEdgeFromItsLeaves() {
    Desk desk = composed("Shapes");
    add(desk, "shape:star");
    assertThat(desk.page.locator("#block-name")).hasText("Star");
    Locator star = desk.page.locator("#art-" + chosen(desk));
    type(desk, "#f-corners", "9");
    desk.page.locator("#leaf-fill summary").click();
    desk.does(() -> desk.page.locator("#fill-kind").selectOption("linear"));
    assertThat(desk.page.locator("#leaf-fill")).hasAttribute("open", "");
    assertThat(desk.page.locator("#fill-kind")).isFocused();
    type(desk, "#stop-colour-0", "#e9a23b");
    desk.does(() -> desk.page.locator("#leaf-fill [data-stop-add]").click());
    assertThat(desk.page.locator("#said-fill")).hasText("3 colours, linear");
    assertThat(star.locator("linearGradient stop, stop").first())
        .hasAttribute("stop-color", "#e9a23b");
    // one leaf is open at a time; Escape closes it and the keyboard stays there
    desk.page.locator("#leaf-edge summary").click();
    assertThat(desk.page.locator("#leaf-fill")).not().hasAttribute("open", "");
    desk.does(() -> desk.page.locator("#edge-kind").selectOption("plain"));
    type(desk, "#edge-width", "3 pt");
    assertThat(desk.page.locator("#said-edge")).hasText("0.0417 in");
    type(desk, "#edge-dashes", "4 mm, 1.5 mm");
    assertThat(star.locator("[stroke-dasharray]")).isAttached();
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#leaf-edge summary")).isFocused();
    assertThat(desk.page.locator("#leaf-edge")).not().hasAttribute("open", "");
    desk.page.reload();
    assertThat(desk.page.locator("#artwork [stroke-dasharray]")).isAttached();
  }

  @Test
  public void aFrameRoundTheCoverFollowsThePageCount() {
    Desk desk = composed("Frames");
    add(desk, "frame:whole");
    String frame = chosen(desk);
    double[] before = desk.box(frame);
    assertThat(desk.page.locator(".figures .from"))
        .hasText(Pattern.compile("From the trimmed cover.*"));
    assertThat(desk.page.locator("#p-left")).hasValue("0.125");
    String bench = desk.page.url();
    desk.page.locator("nav >> text=Docket").click();
    desk.type("pages", "500");
    desk.page.navigate(bench);
    double[] after = desk.box(frame);
    assertThat(after[0]).isCloseTo(before[0], within(0.001));
    // 180 pages of 0.002252 in (the made-up house's white paper)
    assertThat(after[2] - before[2]).isCloseTo(180 * 0.002252 * 25.4, within(0.01));
  }

  @Test
  public void aShapeGoesOnThePanelOfThePieceInTheHand() {
    Desk desk = composed("Panels");
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=blurb]").click());
    add(desk, "shape:ellipse");
    assertThat(desk.page.locator("#h-region")).hasValue("back.trim");
    add(desk, "shape:level");
    assertThat(desk.page.locator("#h-region")).hasValue("back.trim");
    assertThat(desk.page.locator("#leaf-fill")).hasCount(0);
    assertThat(desk.page.locator("#said-edge")).hasText("0.0197 in");
  }

  @Test
  public void theBarcodeTellsItsSizeTakesAnAddOnAndIsLaidOnWhiteAgain() {
    Desk desk = composed("Barcodes");
    desk.does(() -> desk.page.locator("#pieces .piece:has-text('Barcode')").click());
    type(desk, "#c-addon", "51499");
    // 2 × 1.2 in less 1.5 mm round it: (50.8 − 3) / (167 × 0.33) = 86.7 %
    assertThat(desk.page.locator("#came-out")).hasText("→ 86.7 %");
    desk.does(
        () -> {
          desk.page.locator("#c-addon").fill("514");
          desk.page.keyboard().press("Enter");
        },
        400);
    assertThat(desk.page.locator("#message")).containsText("five digits");
    type(desk, "#c-addon", "51499");
    type(desk, "#c-panel", "#203040");
    assertThat(desk.page.locator("#notes li")).containsText("% of a scanner's red light back");
    desk.does(() -> desk.page.locator("#notes button:has-text('Lay it on white')").click());
    assertThat(desk.page.locator("#notes .well")).isVisible();
  }

  @Test(groups = Extent.LONG)
  public void anOrnamentIsChosenByItsPictureAndTheGroundTakesAPattern() {
    Desk desk = composed("Ornaments");
    add(desk, "ornament:compass");
    assertThat(desk.page.locator("#leaf-motif")).hasAttribute("open", "");
    Locator laurel = desk.page.locator(".ornament[data-ornament=laurel]");
    assertThat(
            (boolean)
                laurel.locator("img").evaluate("i => i.decode().then(() => i.naturalWidth > 0)"))
        .isTrue();
    desk.does(() -> laurel.click());
    assertThat(desk.page.locator("#block-name")).hasText("Laurel");
    assertThat(laurel).hasAttribute("aria-pressed", "true");
    assertThat(laurel).isFocused();
    type(desk, "#ink-0", "#b5482a");
    assertThat(desk.page.locator("#art-" + chosen(desk) + " path[fill='#b5482a']").first())
        .isAttached();
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece='']").click());
    desk.does(() -> desk.page.locator("#g-pattern").selectOption("on"));
    desk.page.locator("#leaf-motif summary").click();
    desk.does(() -> desk.page.locator(".ornament[data-ornament=scale]").click());
    desk.page.locator("#leaf-tiling summary").click();
    type(desk, "#tile-width", "20 mm");
    Locator pattern = desk.page.locator("#artwork pattern");
    // 20 mm and the gap of 4: one period of rows set off by half
    assertThat(pattern).hasAttribute("width", "24");
    assertThat(desk.page.locator("#leaf-tiling")).hasAttribute("open", "");
    desk.does(
        () -> {
          desk.page.locator("#tile-width").fill("1 mm");
          desk.page.keyboard().press("Enter");
        },
        400);
    assertThat(desk.page.locator("#message"))
        .containsText(Pattern.compile("A motif is 0\\.079 to 19\\.\\d+ in wide"));
    // what was refused gives way to the last that was taken when the hand leaves it
    desk.page.locator("#tile-across").focus();
    assertThat(desk.page.locator("#tile-width")).hasValue("0.7874");
    desk.does(() -> desk.page.locator("#g-pattern").selectOption("none"));
    assertThat(pattern).hasCount(0);
  }

  @Test
  public void theSpineTakesAGroundOfItsOwnAndGivesItBack() {
    Desk desk = composed("Grounds");
    desk.does(() -> desk.page.locator("#g-part").selectOption("spine"));
    assertThat(desk.page.locator("#g-part")).isFocused();
    assertThat(desk.page.locator("#g-colour")).hasCount(0);
    desk.does(() -> desk.page.locator("button:has-text('Give it its own')").click());
    type(desk, "#g-colour", "#b5482a");
    Locator spine = desk.page.locator("#art-ground rect[fill='#b5482a']");
    assertThat(spine).hasCount(1);
    assertThat(Double.parseDouble(spine.getAttribute("height")))
        .isCloseTo(9.25 * 25.4, within(0.01));
    assertThat(Double.parseDouble(spine.getAttribute("width")))
        .isCloseTo(320 * 0.002252 * 25.4, within(0.3));
    desk.does(() -> desk.page.locator("button:has-text('As the whole')").click());
    assertThat(spine).hasCount(0);
    assertThat(desk.page.locator("#g-part")).hasValue("spine");
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(spine).hasCount(1);
    assertThat(desk.page.locator("#g-part option:checked")).hasText("spine, its own");
  }

  /** Takes a grip so far, in mm on the sheet, with a key held. */
  private static void pull(Desk desk, String grip, double right, double down, String key) {
    BoundingBox at = desk.page.locator(".grip[data-grip=" + grip + "]").boundingBox();
    double scale =
        ((Number) desk.page.evaluate("document.getElementById('sheet').getScreenCTM().a"))
            .doubleValue();
    double x = at.x + at.width / 2;
    double y = at.y + at.height / 2;
    desk.does(
        () -> {
          desk.page.mouse().move(x, y);
          desk.page.mouse().down();
          desk.page.keyboard().down(key);
          desk.page.mouse().move(x + right * scale / 2, y + down * scale / 2);
          desk.page.mouse().move(x + right * scale, y + down * scale);
          desk.page.mouse().up();
          desk.page.keyboard().up(key);
        });
  }

  @Test
  public void aPieceIsResizedFromEverySideAndTurnedByItsArm() {
    Desk desk = composed("Grips");
    add(desk, "shape:rectangle");
    String id = chosen(desk);
    double[] was = desk.box(id);
    pull(desk, "w", -10, 3, "Alt");
    double[] west = desk.box(id);
    assertThat(west)
        .containsExactly(new double[] {was[0] - 10, was[1], was[2] + 10, was[3]}, within(0.05));
    pull(desk, "n", 4, 5, "Alt");
    double[] north = desk.box(id);
    assertThat(north)
        .containsExactly(new double[] {west[0], west[1] + 5, west[2], west[3] - 5}, within(0.05));
    // a corner with Shift keeps the proportion, and the corner across from it
    pull(desk, "ne", 12, 0, "Shift");
    double[] corner = desk.box(id);
    assertThat(corner[2] / corner[3]).isCloseTo(north[2] / north[3], within(0.001));
    assertThat(corner[0]).isCloseTo(north[0], within(0.01));
    assertThat(corner[1] + corner[3]).isCloseTo(north[1] + north[3], within(0.01));
    // the arm stands above the top; to the right of the middle it is a quarter round
    BoundingBox arm = desk.page.locator(".grip.turn").boundingBox();
    BoundingBox box = desk.page.locator(".hold.chosen .box").boundingBox();
    double reach = box.y + box.height / 2 - arm.y - arm.height / 2;
    double scale = box.height / corner[3];
    pull(desk, "turn", reach / scale + 0.3, reach / scale, "Shift");
    assertThat(desk.page.locator("#p-angle")).hasValue("90");
    // turned, its sides pull along its own axes: what was its right side points down
    double[] before = desk.box(id);
    pull(desk, "e", 0, 6, "Alt");
    double[] after = desk.box(id);
    assertThat(after[2] - before[2]).isCloseTo(6, within(0.1));
    assertThat(after[3]).isCloseTo(before[3], within(0.01));
  }

  @Test
  public void aPieceIsAlignedAndCopiedToTheBackFromItsLeaf() {
    Desk desk = composed("Arranging");
    add(desk, "shape:star");
    String id = chosen(desk);
    desk.page.locator("#leaf-arrange summary").click();
    desk.does(() -> desk.page.locator("#leaf-arrange [data-edge=right]").click());
    assertThat(desk.page.locator("#leaf-arrange [data-edge=right]")).isFocused();
    double[] star = desk.box(id);
    double trimmed = (2 * 6 + 320 * 0.002252 + 0.125) * 25.4;
    assertThat(star[0] + star[2]).isCloseTo(trimmed, within(0.2));
    assertThat(desk.page.locator("#h-across")).hasValue("END");
    desk.page.locator("#copy-mirrored").check();
    desk.does(() -> desk.page.locator("#leaf-arrange [data-to=back]").click());
    String copy = chosen(desk);
    assertThat(copy).isNotEqualTo(id);
    assertThat(desk.box(copy)[0]).isCloseTo(0.125 * 25.4, within(0.01));
    assertThat(desk.page.locator("#h-region")).hasValue("back.trim");
    assertThat(desk.page.locator("#pieces .piece[aria-pressed=true]")).hasCount(1);
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator(".hold[data-piece='" + copy + "']")).hasCount(0);
  }
}
