package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitUntilState;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/**
 * Somebody is quicker than the page: what is typed, pressed or dragged before its scripts are
 * there, or while an answer is on its way, is not lost. The scripts and answers are held back until
 * the hands are done.
 */
public class EarlyHandsTest {
  private static Held held(Desk desk, String address, String method) {
    return new Held(desk.page, Pattern.compile(address), r -> r.method().equals(method));
  }

  /** Loads the page that is open once more, without a script. */
  private static Held without(Desk desk, String script) {
    Held held = held(desk, "/" + script.replace(".", "\\.") + "$", "GET");
    desk.page.navigate(
        desk.page.url(), new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
    return held.one();
  }

  private static double[] middle(Desk desk, String piece) {
    BoundingBox box = desk.page.locator("#artwork [data-piece='" + piece + "']").boundingBox();
    return new double[] {box.x + box.width / 2, box.y + box.height / 2};
  }

  @Test
  public void aCountTypedOnADocketWithoutItsScriptsIsSavedWhenTheyCome() {
    Desk desk = Desk.open().makeTitle("Before the scripts", "Edda Marsh");
    desk.fill("6 x 9 in", "320", "");
    Held scripts = without(desk, "htmx.min.js");
    desk.page.locator("#pages").click();
    desk.page.keyboard().press("Control+a");
    desk.page.keyboard().type("344");
    scripts.release();
    assertThat(desk.page.locator("#measure-line")).containsText("344 pp");
    assertThat(desk.page.locator("#saved")).hasText("Saved.");
    desk.page.reload();
    assertThat(desk.page.locator("#pages")).hasValue("344");
  }

  @Test
  public void whatIsTypedWhileAnotherBindingIsOnItsWayStaysAndIsSaved() {
    Desk desk = Desk.open().makeTitle("While it is on its way", "Edda Marsh");
    desk.fill("6 x 9 in", "320", "");
    Held answer = held(desk, "/docket$", "POST");
    desk.page.locator("#house").selectOption("dunlin-casebinders");
    answer.one();
    desk.page.locator("#trim").click();
    desk.page.keyboard().press("Control+a");
    desk.page.keyboard().type("8 x 10 in");
    answer.release();
    assertThat(desk.page.locator("#binding"))
        .not()
        .hasValue("perfect-bound"); // the fields of the other house are there
    Pattern typed = Pattern.compile("8 [x×] 10 in");
    assertThat(desk.page.locator("#trim")).hasValue(typed);
    assertThat(desk.page.locator("#trim")).isFocused();
    assertThat(desk.page.locator("#measured")).containsText(Pattern.compile("8 × 10|8 \\+|2 × 8"));
    Live.settled(desk.page);
    desk.page.reload();
    assertThat(desk.page.locator("#trim")).hasValue(typed);
  }

  @Test
  public void aPieceAddedOnABenchWithoutItsScriptsIsThereWhenTheyCome() {
    Desk desk = Desk.atBench("Added early", "").layout("Ledger");
    Held scripts = without(desk, "bench.js");
    desk.page.locator("#add-what").selectOption("shape:ellipse");
    desk.page.locator("#add-form button").click();
    scripts.release();
    assertThat(desk.page.locator("#block-name")).hasText("Ellipse");
    assertThat(desk.page.locator("#pieces")).containsText("Ellipse");
  }

  @Test
  public void aPieceDraggedOnABenchWithoutItsScriptsHasMovedWhenTheyCome() {
    Desk desk = Desk.atBench("Dragged early", "").layout("Ledger");
    double[] was = desk.box("title");
    Held scripts = without(desk, "bench.js");
    double[] at = middle(desk, "title");
    desk.page.keyboard().down("Alt");
    desk.page.mouse().move(at[0], at[1]);
    desk.page.mouse().down();
    desk.page.mouse().move(at[0] + 10, at[1] + 30);
    desk.page.mouse().move(at[0] + 10, at[1] + 60);
    desk.page.mouse().up();
    desk.page.keyboard().up("Alt");
    scripts.release();
    assertThat(desk.page.locator("#undo")).hasAttribute("title", Pattern.compile("Undo: .*oved.*"));
    Live.settled(desk.page);
    double[] is = desk.box("title");
    assertThat((is[0] - was[0]) / (is[1] - was[1])).isCloseTo(1 / 6.0, within(0.02));
  }

  @Test
  public void anUndoPressedOnABenchWithoutItsScriptsIsDoneOnceWhenTheyCome() {
    Desk desk = Desk.atBench("Undone early", "").layout("Ledger");
    String revision = desk.page.locator("#base").inputValue();
    Held scripts = without(desk, "bench.js");
    desk.page.locator("#undo").click();
    scripts.release();
    assertThat(desk.page.locator("#artwork [data-piece=title]")).hasCount(0);
    Live.settled(desk.page);
    assertThat(desk.page.locator("#base").inputValue()).isNotEqualTo(revision);
    desk.page.locator("#redo").click();
    assertThat(desk.page.locator("#base")).hasValue(revision);
  }

  /**
   * Fonts and scripts that come late move the tools: what was pressed is what was under the hand.
   */
  @Test
  public void anUndoThatMovedBeforeTheScriptsCameIsDoneAllTheSame() {
    Desk desk = Desk.atBench("Moved meanwhile", "").layout("Ledger");
    Held scripts = without(desk, "bench.js");
    desk.page.locator("#undo").click();
    desk.page.evaluate("() => { document.getElementById('undo').style.marginLeft = '90px'; }");
    scripts.release();
    assertThat(desk.page.locator("#artwork [data-piece=title]")).hasCount(0);
  }

  /** A click that a key makes says it was at the page's corner. */
  @Test
  public void anUndoPressedByKeyOnABenchWithoutItsScriptsIsDoneWhenTheyCome() {
    Desk desk = Desk.atBench("Undone early by key", "").layout("Ledger");
    Held scripts = without(desk, "bench.js");
    desk.page.locator("#undo").focus();
    desk.page.keyboard().press("Enter");
    scripts.release();
    assertThat(desk.page.locator("#artwork [data-piece=title]")).hasCount(0);
  }

  @Test
  public void wordsTypedAfterADoubleClickStandThereThoughTheCaretComesLater() {
    for (String late : List.of("bench.js", "caret?*")) {
      Desk desk = Desk.atBench("Ebb", "").layout("Ledger");
      Held held =
          late.equals("bench.js") ? without(desk, late) : held(desk, "/bench/caret\\?", "GET");
      double[] at = middle(desk, "title");
      desk.page.mouse().dblclick(at[0], at[1]);
      if (!late.equals("bench.js")) {
        held.one();
      }
      desk.page.keyboard().type("hd"); // on a piece h hides it and d copies it
      held.release();
      assertThat(desk.page.locator("#w-says, #w-text")).hasValue(Pattern.compile("E?b?b?hdE?b?b?"));
      assertThat(desk.page.locator("#caret")).hasCount(1);
      assertThat(desk.page.locator("#artwork [data-piece=title]")).isVisible();
      desk.page.close();
    }
  }
}
