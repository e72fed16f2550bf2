package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Words in the title block: what they say, how they are set, the form they have. */
public class WordsTest {
  @Test
  public void wordsOfAFactChangeTheFactOrOnlyThisPlace() {
    Desk desk = Desk.atBench("Slack", "").layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#w-says").fill("Slack *Water*");
    desk.page.keyboard().press("Enter");
    assertThat(desk.page.locator("#says-fact")).isFocused();
    desk.page.waitForNavigation(() -> desk.page.keyboard().press("Enter"));
    assertThat(desk.page.locator("#w-says")).hasValue("Slack *Water*");
    assertThat(desk.page.locator("#artwork [data-piece=spine-title] [data-text='Slack *Water*']"))
        .isAttached();
    assertThat(desk.page.locator("header")).containsText("Slack *Water*");
    desk.page.locator("#w-says").fill("Nothing of it");
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#w-says")).hasValue("Slack *Water*");
    assertThat(desk.page.locator("#ask-says")).isHidden();
    desk.page.locator("#w-says").fill("*Here*");
    desk.does(() -> desk.page.locator("#says-here").click());
    assertThat(desk.page.locator("#w-text")).hasValue("\\*Here\\*");
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-text='*Here*']")).isAttached();
    assertThat(desk.page.locator("#artwork [data-piece=spine-title] [data-text='Slack *Water*']"))
        .isAttached();
  }

  @Test
  public void howWordsAreSetIsChosenInTheirLeaves() {
    Desk desk =
        Desk.atBench(
                "Set",
                "The customs office of *The Salt Ledger* closes, and its last clerk is told to burn every book.")
            .layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Blurb')").click());
    desk.page.locator("#leaf-lines summary").click();
    desk.does(() -> desk.page.locator("#w-align").selectOption("JUSTIFIED"));
    desk.does(() -> desk.page.locator("#w-breaks").selectOption("EVEN"));
    desk.does(() -> desk.page.locator("#w-hyphenated").check());
    desk.does(() -> desk.page.locator("#w-hanging").check());
    desk.does(() -> desk.page.locator("#w-size").fill("24"));
    assertThat(desk.page.locator("#said-lines")).hasText("justified, top, even");
    assertThat(desk.page.locator("#artwork [data-piece=blurb] [data-face$=italic]").first())
        .hasAttribute("data-text", Pattern.compile("The.*"));
    desk.page.locator("#leaf-forms summary").click();
    desk.does(() -> desk.page.locator("#w-letters").selectOption("SMALL_CAPITALS"));
    assertThat(desk.page.locator("#said-forms")).hasText("small capitals");
    desk.page.locator("#leaf-lines summary").click();
    desk.page.locator("#w-indent").fill("99");
    desk.page.keyboard().press("Tab");
    assertThat(desk.page.locator("#message"))
        .containsText("“99” is no indent in ems: a number from 0 to 10.");
  }

  @Test
  public void aPictureIsSeenThroughLettersAndTakenOff() throws IOException {
    Desk desk = Desk.atBench("Through", "").layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#leaf-form summary").click();
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
    desk.page
        .locator("#letters-file")
        .setInputFiles(new FilePayload("sea.png", "image/png", png.toByteArray()));
    assertThat(desk.page.locator("#said-form")).hasText("picture");
    assertThat(desk.page.locator("#artwork [data-piece=title] image")).isAttached();
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-text=Through]")).isAttached();
    desk.does(() -> desk.page.locator("#leaf-form [data-through=none]").click());
    assertThat(desk.page.locator("#said-form")).hasText("plain");
    assertThat(desk.page.locator("#artwork [data-piece=title] image")).hasCount(0);
  }

  @Test
  public void whatIsTypedInOneGoIsOneChangeAndNoKeyIsLost() {
    Desk desk = Desk.atBench("Typed", "");
    desk.page.locator("#add-what").selectOption("front:own");
    desk.does(() -> desk.page.locator("#add-form button").click());
    desk.page.locator("#w-text").fill("");
    desk.page.locator("#w-text").pressSequentially("Salt and *rope* and tar");
    // the last keys may still be on their way when another piece is taken
    desk.page.locator("#pieces .piece:text-is('Ground')").click();
    assertThat(desk.page.locator("#artwork [data-text='rope']")).isAttached();
    assertThat(desk.page.locator("#artwork [data-text=' and tar']")).isAttached();
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#artwork [data-text='New words']")).isAttached();
    desk.does(() -> desk.page.locator("#redo").click());
    assertThat(desk.page.locator("#artwork [data-text=' and tar']")).isAttached();
    desk.page.navigate(desk.page.url().replaceAll("/bench.*", "/history"));
    assertThat(desk.page.getByText("Words given other words")).hasCount(1);
  }

  @Test
  public void factsStandInWordsByTheirNamesAndFollowTheDocket() {
    Desk desk = Desk.atBench("Named", "");
    desk.page.locator("#add-what").selectOption("front:own");
    desk.does(() -> desk.page.locator("#add-form button").click());
    desk.does(() -> desk.page.locator("#w-text").fill("A tale by "));
    desk.does(() -> desk.page.locator("#w-insert").selectOption("{author}"));
    assertThat(desk.page.locator("#w-text")).hasValue("A tale by {author}");
    assertThat(desk.page.locator("#w-text")).isFocused();
    assertThat(desk.page.locator("#artwork [data-text='A tale by Edda Marsh']")).isAttached();
    desk.does(() -> desk.page.locator("#w-text").fill("A tale by {auther}"));
    assertThat(desk.page.locator("#notes"))
        .containsText("has {auther}, which is no fact of the book: it prints so");
  }

  @Test
  public void aFactSaidOnTheBenchIsTakenBackOnTheDocketAndNotSaidOverAnotherWindow() {
    Desk desk = Desk.atBench("Ebb", "").layout("Ledger");
    String bench = desk.page.url();
    Page other = desk.page.context().newPage();
    other.navigate(bench + "?chosen=title");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#w-says").fill("Ebb and Flow");
    desk.page.waitForNavigation(() -> desk.page.locator("#says-fact").click());
    other.locator("#w-says").fill("Ebb Tide");
    other.locator("#says-fact").click();
    assertThat(other.locator("#message"))
        .containsText("The title was changed in another window. Nothing was overwritten");
    assertThat(other.locator("#w-says")).hasValue("Ebb Tide");
    other.close();
    desk.page.locator("#w-says").fill("");
    desk.page.locator("#says-fact").click();
    assertThat(desk.page.locator("#message")).containsText("A title can't be empty.");
    desk.page.navigate(bench.replaceAll("/bench.*", "/docket"));
    assertThat(desk.page.locator("#title")).hasValue("Ebb and Flow");
    desk.page.waitForResponse(
        r -> r.url().contains("/docket/undo"), () -> desk.page.locator("#facts-undo").click());
    assertThat(desk.page.locator("#title")).hasValue("Ebb");
  }

  /** The language is the docket's until the words have their own. */
  @Test
  public void wordsArePartedInTheBooksLanguage() {
    Map<String, String> facts =
        Map.of(
            "blurb", "Die Donaudampfschifffahrtsgesellschaft",
            "trim", "6 x 9 in",
            "pages", "320",
            "language", "de",
            "price", "£9",
            "isbn", "978-0-306-40615-7",
            "ownFacts", "translator Ines");
    Desk desk = Desk.atBench("Donau", facts).layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Blurb')").click());
    desk.page.locator("#leaf-lines summary").click();
    desk.does(() -> desk.page.locator("#w-fit").selectOption("SIZE"));
    desk.does(() -> desk.page.locator("#w-size").fill("44"));
    assertThat(parted(desk)).hasCount(0);
    desk.does(() -> desk.page.locator("#w-hyphenated").check());
    assertThat(parted(desk).first()).hasAttribute("data-text", "Die Donaudampf\u00ad");
    desk.does(() -> desk.page.locator("#w-language").selectOption("el"));
    assertThat(parted(desk)).hasCount(0);
    desk.page.navigate(desk.page.url().replaceAll("/bench.*", "/docket"));
    assertThat(desk.page.locator("#msg-ownFacts"))
        .containsText("Line 1, “translator Ines”, is no fact");
    assertThat(desk.page.locator("#ownFacts")).isVisible();
    assertThat(desk.page.locator("#nowhere")).hasText("Nowhere on the cover: price.");
  }

  private static Locator parted(Desk desk) {
    return desk.page.locator("#artwork [data-piece=blurb] [data-text$='\u00ad']");
  }
}
