package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.check.ColourVision;
import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** How words stand out, and how a cover is seen by other eyes, on the bench. */
public class StandingOutTest {
  private static void colour(Desk desk, String field, String colour) {
    desk.page.locator(field).fill(colour);
    desk.does(() -> desk.page.locator(field).press("Tab"));
  }

  private static void take(Desk desk, String piece) {
    desk.page.locator("#pieces .piece[data-piece='" + piece + "']").click();
    assertThat(desk.page.locator("#title-block")).hasAttribute("data-chosen", piece);
  }

  @Test
  public void wordsThatHardlyStandOutAreFoundWhenTheHandRestsAndMended() {
    Desk desk = Desk.atBench("Faint words", "").layout("Ledger");
    take(desk, "title");
    assertThat(desk.page.locator("#stands-out"))
        .hasText(Pattern.compile("stands out 1\\d\\.\\d to 1"));
    colour(desk, "#b-colour", "#d8d4cc");
    assertThat(desk.page.locator("#notes"))
        .containsText(Pattern.compile("stands out by 1\\.\\d to 1"));
    assertThat(desk.page.locator("#notes li")).hasClass("mend");
    assertThat(desk.page.locator("#stands-out.low"))
        .hasText(Pattern.compile("stands out 1\\.\\d to 1"));
    assertThat(desk.page.locator(".note.mend")).hasCount(1);
    assertThat(desk.page.locator("#measure-line")).containsText("1 to mend");
    Page dispatch = desk.page.context().newPage();
    dispatch.navigate("/editions/" + desk.id() + "/dispatch");
    assertThat(dispatch.locator("#measure-line")).containsText("1 to mend");
    dispatch.close();
    desk.does(
        () ->
            desk.page
                .locator("#notes button", new Page.LocatorOptions().setHasText("Set in"))
                .click());
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    assertThat(desk.page.locator("#stands-out:not(.low)")).hasText("stands out 3.0 to 1");
  }

  @Test(groups = Extent.LONG)
  public void aLockKeepsFaintWordsFromTheirRemedyAndThatIsTold() throws Exception {
    Desk desk = Desk.atBench("Faint and locked", "").layout("Ledger");
    take(desk, "author");
    colour(desk, "#b-colour", "#ffffff");
    assertThat(desk.page.locator("#notes"))
        .containsText(Pattern.compile("stands out by 1\\.\\d to 1"));
    String id = desk.id();
    Web web = new Web(Live.reglet().address());
    String base =
        web.get("/editions/" + id + "/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    web.post(
        "/editions/" + id + "/bench/edits",
        Map.of("edit", "lock", "piece", "author", "locked", "true", "base", base));
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("li[data-code=words-faint]")).hasCount(1);
    assertThat(desk.page.locator("li[data-code=piece-locked]")).containsText("(1 note)");
  }

  @Test(groups = Extent.LONG)
  public void aPanelPutBehindFaintWordsIsOneStepAndMendsThem() {
    Desk desk = Desk.atBench("Panel behind", "").layout("Ledger");
    take(desk, "author");
    colour(desk, "#b-colour", "#ffffff");
    assertThat(desk.page.locator("#notes"))
        .containsText(Pattern.compile("stands out by 1\\.\\d to 1"));
    desk.does(
        () ->
            desk.page
                .locator("#notes button", new Page.LocatorOptions().setHasText("panel"))
                .click());
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    desk.does(
        () -> desk.page.getByText("Undo", new Page.GetByTextOptions().setExact(true)).click());
    assertThat(desk.page.locator("#notes"))
        .containsText(Pattern.compile("stands out by 1\\.\\d to 1"));
  }

  @Test
  public void aTitleBesideTheMiddleIsToldWhenTheHandRestsAndMovedThere() {
    Desk desk = Desk.atBench("Beside the middle", "").layout("Axis");
    take(desk, "title");
    double left = Double.parseDouble(desk.page.locator("#p-left").inputValue());
    desk.page.locator("#p-left").fill(String.valueOf(left + 0.05));
    desk.does(() -> desk.page.locator("#p-left").press("Tab"));
    assertThat(desk.page.locator("#notes"))
        .containsText("“Title” stands 0.05 in right of the middle of the front");
    desk.does(
        () ->
            desk.page
                .locator("#notes button", new Page.LocatorOptions().setHasText("Move it"))
                .click());
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    take(desk, "title");
    assertThat(desk.page.locator("#p-left")).hasValue(Pattern.compile(left + "0*"));
  }

  @Test(groups = Extent.LONG)
  public void theCoverIsSeenAsOtherEyesSeeIt() throws IOException {
    Desk desk = Desk.atBench("Other eyes", "");
    int rgb = 0xc04a30;
    colour(desk, "#g-colour", "#c04a30");
    desk.page.locator("#view-leaf > summary").click();
    desk.page.locator("#guides").selectOption("off");
    for (ColourVision vision : ColourVision.values()) {
      desk.page.locator("#eyes").selectOption(vision.id());
      near(middle(desk), vision.seen(rgb), vision.title());
    }
    desk.page.reload();
    assertThat(desk.page.locator("body")).hasAttribute("data-eyes", "gray"); // as it was left
    desk.page.locator("#view-leaf > summary").click();
    desk.page.locator("#eyes").selectOption("all");
    near(middle(desk), rgb, "all");
  }

  private static int middle(Desk desk) throws IOException {
    BoundingBox art = desk.page.locator("#art").boundingBox();
    BufferedImage seen = ImageIO.read(new ByteArrayInputStream(desk.page.screenshot()));
    return seen.getRGB((int) (art.x + art.width * 0.8), (int) (art.y + art.height * 0.8));
  }

  private static void near(int found, int expected, String what) {
    for (int shift = 0; shift < 24; shift += 8) {
      assertThat(found >> shift & 0xff)
          .as(what)
          .isBetween((expected >> shift & 0xff) - 3, (expected >> shift & 0xff) + 3);
    }
  }

  /** Asked for in the view, drawn per panel with its figures, and drawn anew after a change. */
  @Test
  public void weightAndMarginsAreLaidOverTheSheet() {
    Desk desk = Desk.atBench("Where it is heavy", "").layout("Axis");
    desk.page.locator("#view-leaf > summary").click();
    desk.page.locator("#balance-on").check();
    desk.page.locator("#balance .weight").first().waitFor();
    desk.page.waitForCondition(() -> desk.page.locator("#balance-said p").count() == 3);
    String before = desk.text("#balance-said");
    assertThat(before)
        .contains("Front: the weight lies", "Spine: the weight lies", "Back: the weight lies");
    desk.page.locator("#view-leaf > summary").click();
    desk.does(() -> desk.page.locator("#undo").click());
    desk.page.waitForCondition(
        () -> desk.page.locator("#balance-said").textContent().contains("Nothing stands out"));
    desk.page.locator("#view-leaf > summary").click();
    desk.page.locator("#balance-on").uncheck();
    assertThat(desk.page.locator("#balance").count()).isZero();
  }
}
