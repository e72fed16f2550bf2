package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** Words typed where they stand, with mouse and keys. */
public class TypedTest {
  /** A point of a piece on the sheet, as shares of its box. */
  private static double[] at(Desk desk, String piece, double across, double down) {
    BoundingBox b = desk.page.locator(".hold[data-piece='" + piece + "'] .box").boundingBox();
    return new double[] {b.x + b.width * across, b.y + b.height * down};
  }

  private static void typeIn(Desk desk, String piece, double across, double down) {
    double[] p = at(desk, piece, across, down);
    desk.page.mouse().dblclick(p[0], p[1]);
    assertThat(desk.page.locator("#caret")).isAttached();
  }

  private static String selected(Desk desk) {
    return (String)
        desk.page.evaluate(
            "(() => { const f = document.activeElement; return f.value.slice(f.selectionStart, f.selectionEnd) })()");
  }

  /** What the lines of a piece on the sheet say. */
  private static void says(Desk desk, String piece, String text) {
    desk.page.waitForFunction(
        "([piece, text]) => [...document.querySelectorAll(`#artwork [data-piece='${piece}'] [data-text]`)].map(l => l.dataset.text).join(' ') === text",
        List.of(piece, text));
  }

  /** Own words on the front, in a bench of their own. */
  private static Desk ownWords(String title, String text) {
    Desk desk = Desk.atBench(title, "");
    desk.page.locator("#add-what").selectOption("front:own");
    desk.does(() -> desk.page.locator("#add-form button").click());
    desk.does(() -> desk.page.locator("#w-text").fill(text));
    desk.page.keyboard().press("Escape");
    return desk;
  }

  @Test
  public void aTitleIsTypedOnTheSheetAndTheQuestionIsAskedAtItsEnd() {
    Desk desk = Desk.atBench("Ebb", "").layout("Ledger");
    typeIn(desk, "title", 0.99, 0.1);
    desk.does(() -> desk.page.keyboard().type(" Tide*"));
    assertThat(desk.page.locator("#w-text")).hasValue("Ebb Tide\\*");
    says(desk, "title", "Ebb Tide*");
    says(desk, "spine-title", "Ebb");
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#typed-fact")).isFocused();
    desk.page.waitForNavigation(() -> desk.page.keyboard().press("Enter"));
    assertThat(desk.page.locator("#w-says")).hasValue("Ebb Tide*");
    says(desk, "spine-title", "Ebb Tide*");
    // only these words, by mouse
    typeIn(desk, "title", 0.99, 0.1);
    desk.page.keyboard().press("Control+End");
    desk.does(() -> desk.page.keyboard().press("Backspace"));
    double[] off = at(desk, "blurb", 0.5, 0.5);
    desk.page.mouse().click(off[0], off[1]);
    desk.page.locator("#typed-here").click();
    says(desk, "title", "Ebb Tide");
    says(desk, "spine-title", "Ebb Tide*");
  }

  @Test
  public void whatWasTypedInAFactIsLeftWhenTheQuestionIsAnsweredSo() {
    Desk desk = Desk.atBench("Neap", "").layout("Ledger");
    typeIn(desk, "title", 0.5, 0.1);
    desk.page.keyboard().press("Home");
    desk.does(() -> desk.page.keyboard().type("X"));
    says(desk, "title", "XNeap");
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#ask-typed")).isVisible();
    desk.does(() -> desk.page.keyboard().press("Escape"));
    assertThat(desk.page.locator("#ask-typed")).isHidden();
    assertThat(desk.page.locator("#w-says")).hasValue("Neap");
    says(desk, "title", "Neap");
  }

  /** The next piece is clicked before the question is answered, and right after the one key. */
  @Test
  public void theQuestionIsAboutWhatWasTypedWhateverIsInTheHandByThen() {
    Desk desk = Desk.atBench("Ebb", "").layout("Ledger");
    typeIn(desk, "title", 0.99, 0.1);
    desk.page.keyboard().press("Control+End");
    double[] author = at(desk, "author", 0.5, 0.5);
    desk.page.keyboard().type("s");
    desk.page.mouse().click(author[0], author[1]);
    assertThat(desk.page.locator("#ask-typed")).isVisible();
    assertThat(desk.page.locator("#block-name")).hasText("Author");
    desk.page.waitForNavigation(() -> desk.page.locator("#typed-fact").click());
    assertThat(desk.page.locator("header")).containsText("Ebbs");
    says(desk, "title", "Ebbs");
    says(desk, "spine-title", "Ebbs");
    says(desk, "author", "Edda Marsh");
    assertThat(desk.page.locator("#w-says")).hasValue("Ebbs");
  }

  @Test
  public void whatTheBookCantSayStaysOnTheCoverAsItWasTyped() {
    Desk desk = Desk.atBench("Neap", "").layout("Ledger");
    typeIn(desk, "title", 0.5, 0.1);
    desk.page.keyboard().press("Control+a");
    desk.page.keyboard().insertText("N".repeat(600));
    assertThat(desk.page.locator("#w-text")).hasValue("N".repeat(600));
    desk.page.keyboard().press("Enter");
    desk.does(() -> desk.page.locator("#typed-fact").click(), 400);
    assertThat(desk.page.locator("#message")).containsText("the title holds at most");
    desk.page.reload();
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    assertThat(desk.page.locator("#w-text")).hasValue("N".repeat(600));
    assertThat(desk.page.locator("header")).containsText("Neap");
  }

  @Test
  public void textPastedIntoAFactIsPlain() {
    Desk desk = Desk.atBench("Spring", "").layout("Ledger");
    typeIn(desk, "title", 0.5, 0.1);
    desk.page.keyboard().press("Control+a");
    desk.does(() -> desk.page.keyboard().type("S"));
    desk.page.keyboard().press("Control+a");
    desk.does(() -> paste(desk.page, "<p><i>Spring</i> 5*6</p><p>tides</p>"));
    assertThat(desk.page.locator("#w-text")).hasValue("Spring 5\\*6 tides");
    desk.page.keyboard().press("Control+i");
    assertThat(desk.page.locator("#w-text")).hasValue("Spring 5\\*6 tides");
    desk.page.keyboard().press("Enter");
    desk.page.waitForNavigation(() -> desk.page.keyboard().press("Enter"));
    assertThat(desk.page.locator("header")).containsText("Spring 5*6 tides");
  }

  @Test
  public void caretAndSelectionGoByTheLettersWithKeysAlone() {
    Desk desk = ownWords("Keys", "First line\nsecond line");
    Locator hold = desk.page.locator(".hold.chosen");
    hold.focus();
    desk.page.keyboard().press("Enter");
    assertThat(desk.page.locator("#caret")).isAttached();
    assertThat(selected(desk)).isEqualTo("First line\nsecond line");
    desk.page.keyboard().press("ArrowLeft");
    desk.page.keyboard().press("End");
    double end = caret(desk).x;
    desk.page.keyboard().press("Home");
    double home = caret(desk).x;
    assertThat(end).isGreaterThan(home + 20);
    double above = caret(desk).y;
    desk.page.keyboard().press("Shift+ArrowDown");
    assertThat(selected(desk)).startsWith("First line\n").hasSizeLessThan(14);
    assertThat(caret(desk).y).isGreaterThan(above + 5);
    BoundingBox selection = desk.page.locator("#caret .selection").boundingBox();
    assertThat(selection.width).isGreaterThan(end - home - 3);
    desk.page.keyboard().press("ArrowRight");
    desk.page.keyboard().press("End");
    desk.page.keyboard().press("Shift+Home");
    desk.does(() -> desk.page.keyboard().press("Control+i"));
    assertThat(desk.page.locator("#w-text")).hasValue("First line\n*second line*");
    assertThat(desk.page.locator("#artwork [data-face$=italic]")).hasCount(1);
    desk.does(() -> desk.page.keyboard().type("third"));
    assertThat(desk.page.locator("#w-text")).hasValue("First line\n*third*");
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#caret")).hasCount(0);
    assertThat(desk.page.locator(".hold.chosen")).isFocused();
  }

  private static BoundingBox caret(Desk desk) {
    return desk.page.locator("#caret .under").boundingBox();
  }

  @Test
  public void aDragSelectsLettersAndTypingPutsOthersInTheirPlace() {
    Desk desk = ownWords("Drag", "Salt and water");
    String piece = desk.page.locator(".hold.chosen").getAttribute("data-piece");
    typeIn(desk, piece, 0.5, 0.5);
    desk.page.keyboard().press("Home");
    BoundingBox from = caret(desk);
    desk.page.keyboard().press("End");
    BoundingBox to = caret(desk);
    desk.page.mouse().move(to.x, to.y + to.height / 2);
    desk.page.mouse().down();
    desk.page
        .mouse()
        .move(
            from.x + 40, from.y + 5, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
    desk.page.mouse().move(from.x + 1, from.y + from.height / 2);
    desk.page.mouse().up();
    assertThat(selected(desk)).isEqualTo("Salt and water");
    desk.does(() -> desk.page.keyboard().type("S"));
    says(desk, piece, "S");
    assertThat((Object) desk.page.locator(".hold").count()).isNotEqualTo(0);
  }

  @Test(groups = Extent.LONG)
  public void pastedTextKeepsParagraphsAndEmphasisAndNothingElse() {
    Desk desk = ownWords("Paste", "x");
    desk.page.locator("#w-text").click();
    desk.page.keyboard().press("Control+A");
    paste(
        desk.page,
        "<html><head><style>p{color:red}</style></head><body><h2>A <i>new</i> book</h2>"
            + "<p style='font-family:Arial;font-size:40px'>The <b>tide</b> of 5*6,<br>and <span style='font-weight:700;font-style:italic'>more </span>salt</p></body></html>");
    desk.does(() -> {});
    assertThat(desk.page.locator("#w-text"))
        .hasValue("A *new* book\nThe **tide** of 5\\*6,\nand ***more*** salt");
    desk.page.locator("#w-text").fill("");
    paste(desk.page, "<p>" + "salt and water ".repeat(40_000) + "</p>");
    assertThat(desk.page.locator("#message")).containsText("20,000");
    assertThat((String) desk.page.locator("#w-text").inputValue()).hasSizeGreaterThan(550_000);
  }

  private static void paste(Page page, String html) {
    page.evaluate(
        "html => { const d = new DataTransfer(); d.setData('text/html', html); d.setData('text/plain', html.replace(/<\\/p><p>/g, '\\n').replace(/<[^>]*>/g, '')); document.getElementById('w-text').dispatchEvent(new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true })); }",
        html);
  }

  @Test
  public void whereACaretGoesIsToldOfWordsAlone() {
    Desk desk = Desk.atBench("Told", "").layout("Ledger");
    String bench = "/editions/" + desk.id() + "/bench/caret?piece=";
    for (String piece : List.of("barcode", "nowhere", "")) {
      assertThat(desk.page.request().get(bench + piece).text()).isEqualTo("[]");
    }
    assertThat(desk.page.request().get(bench + "spine-title").text()).contains("\"m\":[0,1,-1,0,");
    assertThat(Map.of("status", desk.page.request().get(bench + "title").status()))
        .isEqualTo(Map.of("status", 200));
  }
}
