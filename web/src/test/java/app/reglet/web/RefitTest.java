package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The facts change in place, and the cover follows; the other editions of its title when asked. */
public class RefitTest {
  private static Desk composed(String title) {
    return Desk.atBench(title, "The first paragraph.\nAnd what follows it.").layout("Ledger");
  }

  private static String art(Desk desk) {
    return desk.page.locator("#artwork").innerHTML();
  }

  private static void docket(Desk desk) {
    desk.page.navigate("/editions/" + desk.id() + "/docket");
  }

  @Test
  public void aTrimChangedInPlaceCarriesTheDesignAndThereAndBackIsExactlyWhatItWas() {
    Desk desk = composed("In place");
    String before = art(desk);
    double[] was = desk.box("title");
    docket(desk);
    String trim = desk.page.locator("#trim").inputValue();
    desk.type("trim", "5 x 8 in");
    assertThat(desk.page.locator("#changes")).containsText("nothing new to mend");
    desk.page.locator("#before-after").click();
    assertThat(desk.page.locator("#changed-what")).containsText("trim size");
    assertThat(desk.page.locator("#changed-sheet")).containsText("sheet");
    assertThat(desk.page.locator("tr[data-piece=title] td").first())
        .hasText(Pattern.compile(".*(0\\.8\\d times the size|box ).*", Pattern.CASE_INSENSITIVE));
    desk.page.waitForFunction(
        "() => [...document.querySelectorAll('.to-scale img')].length === 2 && [...document.querySelectorAll('.to-scale img')].every(i => i.complete && i.naturalWidth > 300)");
    assertThat(Live.violations(desk.page)).isEmpty();
    desk.bench();
    double[] is = desk.box("title");
    assertThat(is[3]).isLessThan(was[3]);
    assertThat(is[3] / was[3]).isCloseTo(5 / 6.0, within(0.08));
    assertThat(desk.page.locator("#undo")).hasAttribute("title", "Undo: Carried to 5 × 8 in");
    // through a third size and back: from what was composed, not from one to the next
    docket(desk);
    desk.type("trim", "8 x 10 in");
    desk.type("trim", trim);
    desk.bench();
    assertThat(art(desk)).isEqualTo(before);
  }

  /** Slow typing is saved letter by letter, and the last letters change nothing any more. */
  @Test(groups = Extent.LONG)
  public void whatTypingChangedIsToldOfAllThatWasTypedInOneGo() {
    Desk desk = composed("Typed slowly");
    docket(desk);
    desk.type("trim", "5 x 8");
    String told = desk.page.locator("#changes").innerText();
    assertThat(desk.page.locator("#changes")).containsText("in wide");
    for (String letter : List.of(" ", "i", "n")) {
      desk.typeOn("trim", letter);
    }
    assertThat(desk.page.locator("#trim")).hasValue("5 x 8 in");
    assertThat(desk.page.locator("#changes")).hasText(told);
  }

  @Test
  public void whatIsUndoneOnTheDocketIsUndoneOnTheCover() {
    Desk desk = composed("Undone together");
    String before = art(desk);
    docket(desk);
    desk.type("trim", "5 x 8 in");
    desk.page.waitForNavigation(() -> desk.page.locator("#facts-undo").click());
    desk.bench();
    assertThat(art(desk)).isEqualTo(before);
    docket(desk);
    desk.page.waitForNavigation(() -> desk.page.locator("#facts-redo").click());
    desk.bench();
    assertThat(art(desk)).isNotEqualTo(before);
  }

  @Test
  public void anotherBindingInPlaceFillsItsFlaps() {
    Desk desk = composed("A jacket in place");
    docket(desk);
    desk.choose("house", "dunlin-casebinders");
    desk.choose("binding", "dust-jacket");
    desk.bench();
    assertThat(desk.page.locator("#artwork [data-piece=front-flap-prose]")).hasCount(1);
    assertThat(desk.page.locator("#undo"))
        .hasAttribute(
            "title", Pattern.compile("Undo: Carried to Dust jacket, Dunlin Casebinders, .*"));
  }

  private static String carried(Desk desk, String to) {
    String origin = desk.id();
    desk.page.navigate("/editions/" + origin + "/side-by-side");
    desk.page
        .getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions().setName("Carry the cover to " + to).setExact(true))
        .click();
    desk.page.waitForURL("**/carry?**");
    desk.page.locator("#carry-make").click();
    desk.page.waitForURL(Pattern.compile(".*/editions/\\d+/carried"));
    String made = desk.id();
    desk.page.navigate("/editions/" + origin + "/docket");
    return made;
  }

  @Test(groups = Extent.LONG)
  public void anOriginsTrimIsNothingForItsFollowersToTakeButWhatWasPendingStays() {
    Desk desk = composed("An origin refitted");
    String origin = desk.id();
    String made = carried(desk, "Case laminate, Dunlin Casebinders");
    desk.bench();
    Hands h = new Hands.OfMouse(desk);
    h.choose("title");
    h.type("#b-colour", "#aa3311");
    docket(desk);
    desk.type("trim", "5 x 8 in");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(desk.page.locator("#offers label").allInnerTexts().stream().map(String::strip))
        .containsExactly("Title: colour");
    // and a follower that is refitted still follows in place and type
    desk.page.navigate("/editions/" + made + "/docket");
    desk.type("trim", "5.5 x 8.5 in");
    desk.page.navigate("/editions/" + origin + "/bench");
    desk.page.locator("#sheet").waitFor();
    h = new Hands.OfMouse(desk);
    h.choose("author");
    h.type("#b-colour", "#115533");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(desk.page.locator("#offers input:checked")).hasCount(2);
  }

  @Test
  public void theOtherEditionsOfATitleAreToldWhatACountWouldBeThereAndTakeItTogether() {
    Desk desk = composed("Grown together");
    String pages = desk.page.locator("#measure-line").innerText();
    String first = carried(desk, "Case laminate, Dunlin Casebinders");
    String second = carried(desk, "Dust jacket, Dunlin Casebinders");
    carried(desk, "Ebook cover, Lantern Shelf");
    assertThat(pages).contains("pp");
    int count = Integer.parseInt(desk.page.locator("#pages").inputValue());
    desk.type("pages", String.valueOf(count + 40));
    assertThat(desk.page.locator("#others li")).hasCount(2);
    List<String> told = desk.page.locator("#others li").allInnerTexts();
    assertThat(told.get(0))
        .contains("Case laminate, Dunlin Casebinders")
        .contains(count + " → " + (count + 40) + " pages: spine +")
        .contains("nothing new to mend");
    assertThat(desk.page.locator("#others input:checked")).hasCount(2);
    assertThat(Live.violations(desk.page)).isEmpty();
    desk.page.locator("#change-together").click();
    assertThat(desk.page.locator("#others")).containsText("changed too");
    assertThat(desk.page.locator("#change-together")).hasCount(0);
    // typing that goes on at once is another change: what was taken is what they have now
    desk.type("pages", String.valueOf(count + 44));
    assertThat(desk.page.locator("#others li").first())
        .containsText((count + 40) + " → " + (count + 44) + " pages");
    desk.page.locator("#leave-apart").click();
    assertThat(desk.page.locator("#others li")).hasCount(0);
    for (String each : List.of(first, second)) {
      desk.page.navigate("/editions/" + each + "/docket");
      assertThat(desk.page.locator("#pages")).hasValue(String.valueOf(count + 40));
      assertThat(desk.page.locator("#facts-undo"))
          .hasAttribute("title", "Undo: page count: " + count + " → " + (count + 40));
    }
  }

  /** The paper is changed next, and the offer stands: on this docket and on the others' pages. */
  @Test(groups = Extent.LONG)
  public void whatACountBecameStandsUntilItIsTakenOrLeft() {
    Desk desk = composed("Told for long");
    String origin = desk.id();
    String taking = carried(desk, "Case laminate, Dunlin Casebinders");
    String leaving = carried(desk, "Dust jacket, Dunlin Casebinders");
    int count = Integer.parseInt(desk.page.locator("#pages").inputValue());
    String change = count + " → " + (count + 40) + " pages";
    desk.type("pages", String.valueOf(count + 40));
    assertThat(desk.page.locator("#others li")).hasCount(2);
    desk.choose("stock", "cream");
    desk.page.reload();
    assertThat(desk.page.locator("#others li")).hasCount(2);
    assertThat(desk.page.locator("#others li").first()).containsText(change);

    // it is told where the covers leave from, and beside what they were carried from
    for (String page : List.of("dispatch", "carried")) {
      desk.page.navigate("/editions/" + taking + "/" + page);
      assertThat(desk.page.locator("#apart-said"))
          .containsText("was changed and this edition was not: here it would be " + change);
      desk.page.navigate("/editions/" + origin + "/" + page);
      assertThat(desk.page.locator("#apart-said b")).hasCount(2);
    }
    // one edition takes the new count on its own docket
    desk.page.navigate("/editions/" + taking + "/docket");
    assertThat(desk.page.locator("#apart")).containsText("here it would be " + change);
    assertThat(Live.violations(desk.page)).isEmpty();
    desk.page.locator("#apart button[name=from]").click();
    assertThat(desk.page.locator("#pages")).hasValue(String.valueOf(count + 40));
    Live.settled(desk.page);
    assertThat(desk.page.locator("#apart")).hasCount(0);
    // left on the other's: nobody asks again, also not after a reload
    desk.page.navigate("/editions/" + leaving + "/docket");
    desk.page.locator("#keep-own").click();
    Live.settled(desk.page);
    assertThat(desk.page.locator("#apart")).hasCount(0);
    assertThat(desk.page.locator("#pages")).hasValue(String.valueOf(count));
    desk.page.navigate("/editions/" + origin + "/docket");
    Live.settled(desk.page);
    assertThat(desk.page.locator("#others li")).hasCount(0);
    // what becomes another after that is offered again
    desk.type("pages", String.valueOf(count + 60));
    assertThat(desk.page.locator("#others li").first())
        .containsText((count + 40) + " → " + (count + 60) + " pages");
  }
}
