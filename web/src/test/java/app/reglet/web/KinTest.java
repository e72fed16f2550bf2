package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** Covers of one title that were carried from each other, kept together on the real pages. */
public class KinTest {
  private static Desk composed(String title) {
    return CarryTest.composed(title);
  }

  private static void carry(Desk desk, String to) {
    CarryTest.carry(desk, to);
  }

  private static void make(Desk desk) {
    CarryTest.make(desk);
  }

  private static Locator button(Desk desk, String name) {
    return CarryTest.button(desk, name);
  }

  /** On a bench: a piece in another colour. */
  private static void colour(Desk desk, String edition, String piece, String colour) {
    desk.page.navigate("/editions/" + edition + "/bench");
    desk.page.locator("#sheet").waitFor();
    Hands h = new Hands.OfMouse(desk);
    h.choose(piece);
    h.type("#b-colour", colour);
  }

  private static List<String> offers(Desk desk) {
    return desk.page.locator("#offers label").allInnerTexts().stream().map(String::strip).toList();
  }

  private static Locator filled(Desk desk, String piece, String colour) {
    return desk.page.locator("#artwork [data-piece='" + piece + "'] [fill='" + colour + "']");
  }

  private static Locator offersLocator(Desk desk) {
    return desk.page.locator("#offers label");
  }

  private static String tree(Desk desk) {
    return desk.page.locator("#kin-tree").innerText().replaceAll("\\s+", " ");
  }

  private static String order(Desk desk, String edition) {
    desk.page.navigate("/editions/" + edition + "/bench");
    desk.page.locator("#sheet").waitFor();
    return (String)
        desk.page.evaluate(
            "() => [...document.querySelectorAll('#artwork > [data-piece]')].map(g => g.dataset.piece).join(' ')");
  }

  @Test
  public void whatTheOriginChangesIsOfferedSeenAndTakenButNeverOverOnesOwn() {
    Desk desk = composed("Kept together");
    String origin = desk.id();
    carry(desk, "Case laminate, Dunlin Casebinders");
    make(desk);
    String made = desk.id();
    assertThat(desk.page.locator("#offers")).hasCount(0);
    colour(desk, made, "author", "#115533");
    colour(desk, origin, "title", "#aa3311");
    colour(desk, origin, "author", "#222266");

    // the origin's bench says who can take it, when it is opened
    desk.page.navigate("/editions/" + origin + "/bench");
    assertThat(desk.page.locator("#kin")).hasText("1 edition can take what changed here");
    desk.page.locator("#kin a").click();
    assertThat(desk.page.locator("#followers td.follows")).hasText("1 to take, 1 its own");
    assertThat(Live.violations(desk.page)).isEmpty();

    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(offers(desk)).containsExactlyInAnyOrder("Title: colour", "Author: colour");
    assertThat(desk.page.locator("#offers label:has-text('Title') input")).isChecked();
    assertThat(desk.page.locator("#offers label:has-text('Author') input")).not().isChecked();
    desk.page.waitForFunction("() => document.getElementById('offered').naturalWidth > 300");
    assertThat(Live.violations(desk.page)).isEmpty();
    button(desk, "Take what is ticked").click();
    assertThat(offersLocator(desk)).hasCount(1);
    assertThat(offers(desk)).containsExactly("Author: colour");
    desk.bench();
    assertThat(filled(desk, "title", "#aa3311").first()).isAttached();
    assertThat(filled(desk, "author", "#115533").first()).isAttached();
    // what was taken is followed further: it is not the cover's own
    colour(desk, origin, "title", "#3311aa");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(desk.page.locator("#offers label:has-text('Title') input")).isChecked();
    // refused for good
    desk.page.locator("#offers label:has-text('Title') input").uncheck();
    desk.page.locator("#offers label:has-text('Author') input").check();
    button(desk, "Never offer it again").click();
    assertThat(offersLocator(desk)).hasCount(1);
    colour(desk, origin, "author", "#662222");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(offers(desk)).containsExactly("Title: colour");
    button(desk, "Take what is ticked").click();
    assertThat(offersLocator(desk)).hasCount(0);
    desk.bench();
    assertThat(filled(desk, "title", "#3311aa").first()).isAttached();
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(filled(desk, "title", "#aa3311").first()).isAttached();
  }

  @Test(groups = Extent.LONG)
  public void whatAnEbookDoesNotShowIsNoOffer() {
    Desk desk = composed("On a screen too");
    String origin = desk.id();
    carry(desk, "Ebook cover, Lantern Shelf");
    make(desk);
    String made = desk.id();
    colour(desk, origin, "blurb", "#115533");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(desk.page.locator("#followers, #offers")).hasCount(0);
    colour(desk, origin, "title", "#aa3311");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(offers(desk)).containsExactly("Title: colour");
  }

  @Test(groups = Extent.LONG)
  public void fromTheOriginAllOrSomeTakeWhatChangedThereAndTheTreeSaysWhoFollows() {
    Desk desk = composed("All at once");
    String origin = desk.id();
    carry(desk, "Case laminate, Dunlin Casebinders");
    make(desk);
    String first = desk.id();
    desk.go("/editions/" + origin + "/docket");
    carry(desk, "Dust jacket, Dunlin Casebinders");
    make(desk);
    String second = desk.id();
    colour(desk, first, "author", "#115533");
    colour(desk, origin, "title", "#aa3311");
    desk.page.navigate("/editions/" + origin + "/carried");
    assertThat(desk.page.locator("#kin-tree path.odd")).hasCount(2);
    assertThat(tree(desk)).contains("1 to take").contains("own: Author colour");
    // pictures of the outcome first
    desk.page.waitForFunction(
        "() => [...document.querySelectorAll('img.would')].length === 2 && [...document.querySelectorAll('img.would')].every(i => i.complete && i.naturalWidth > 300)");
    assertThat(Live.violations(desk.page)).isEmpty();
    // one of them alone
    desk.page
        .getByRole(
            AriaRole.CHECKBOX,
            new Page.GetByRoleOptions().setName("Dust jacket, Dunlin Casebinders"))
        .uncheck();
    desk.page.locator("#spread").click();
    assertThat(desk.page.locator("#kin-tree path.odd")).hasCount(1);
    assertThat(desk.page.locator("#followers td.follows"))
        .hasText(new String[] {"as this cover is", "1 to take"});
    desk.page.locator("#spread").click();
    assertThat(desk.page.locator("#kin-tree path.odd")).hasCount(0);
    for (String each : List.of(first, second)) {
      desk.page.navigate("/editions/" + each + "/bench");
      assertThat(filled(desk, "title", "#aa3311").first()).isAttached();
    }
    desk.page.navigate("/editions/" + first + "/bench");
    assertThat(filled(desk, "author", "#115533").first()).isAttached();
  }

  @Test(groups = Extent.LONG)
  public void whichPieceLiesOverWhichIsFollowedToo() {
    Desk desk = composed("In order");
    String origin = desk.id();
    carry(desk, "Case laminate, Dunlin Casebinders");
    make(desk);
    String made = desk.id();
    String before = order(desk, made);
    desk.page.navigate("/editions/" + origin + "/bench");
    desk.page.locator("#sheet").waitFor();
    Hands h = new Hands.OfMouse(desk);
    h.choose("title");
    desk.page.locator(".hold[data-piece='title']").focus();
    for (int i = 0; i < 2; i++) { // over the subtitle, which says nothing, and the author
      String base = desk.page.locator("#base").inputValue();
      desk.page.keyboard().press(".");
      assertThat(desk.page.locator("#base")).not().hasValue(base);
    }
    String there = order(desk, origin);
    assertThat(there).isNotEqualTo(before);
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(offers(desk)).containsExactly("Pieces: which lies over which");
    button(desk, "Take what is ticked").click();
    assertThat(offersLocator(desk)).hasCount(0);
    assertThat(order(desk, made)).isEqualTo(there);
  }

  @Test(groups = Extent.LONG)
  public void twoThatWereCarriedFromEachOtherAndAnOriginThatIsTakenAwayAreToldAndLoseNothing()
      throws IOException {
    Desk desk = composed("Round and round");
    String first = desk.id();
    carry(desk, "Case laminate, Dunlin Casebinders");
    make(desk);
    String second = desk.id();
    Web web = new Web(Live.reglet().address());
    String base = web.get("/editions/" + first + "/bench").find("id=\"base\"[^>]*value=\"(\\d+)\"");
    List<Map.Entry<String, String>> back =
        List.of(
            Map.entry("house", "gannet-and-gauge"),
            Map.entry("binding", "perfect-bound"),
            Map.entry("onto", first),
            Map.entry("base", base));
    var put = web.post("/editions/" + second + "/carry", back, false);
    assertThat(put.status()).as(put.body()).isEqualTo(302);
    // the second window still shows what was there before
    assertThat(web.post("/editions/" + second + "/carry", back, false).status()).isIn(302, 409);
    for (String each : List.of(first, second)) {
      var page = web.get("/editions/" + each + "/carried");
      assertThat(page.status()).isEqualTo(200);
      assertThat(page.body().split("data-edition=", -1)).hasSize(3);
      assertThat(web.get("/editions/" + each + "/carried/kin").status()).isEqualTo(200);
    }
    colour(desk, first, "title", "#aa3311");
    desk.page.navigate("/editions/" + second + "/carried");
    assertThat(offers(desk)).containsExactly("Title: colour");
    web.post("/editions/" + first + "/away", List.of(), false);
    var alone = web.get("/editions/" + second + "/carried");
    assertThat(alone.status()).isEqualTo(200);
    assertThat(alone.body())
        .contains("was not carried from another edition, or that edition was taken away");
    assertThat(web.get("/editions/" + second + "/bench").status()).isEqualTo(200);
    web.post("/editions/" + first + "/back", List.of(), false);
    desk.page.navigate("/editions/" + second + "/carried");
    assertThat(offers(desk)).containsExactly("Title: colour");
  }

  /** What it took, and then changed back by itself to what it was, is its own. */
  @Test(groups = Extent.LONG)
  public void whatItChangedBackAfterTakingIsItsOwn() {
    Desk desk = composed("Back again");
    String origin = desk.id();
    colour(desk, origin, "title", "#101010");
    carry(desk, "Case laminate, Dunlin Casebinders");
    make(desk);
    String made = desk.id();
    colour(desk, origin, "title", "#aa3311");
    desk.page.navigate("/editions/" + made + "/carried");
    button(desk, "Take what is ticked").click();
    assertThat(offersLocator(desk)).hasCount(0);
    colour(desk, made, "title", "#101010");
    colour(desk, origin, "title", "#3311aa");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(offers(desk)).containsExactly("Title: colour");
    assertThat(desk.page.locator("#offers label input")).not().isChecked();
    desk.page.navigate("/editions/" + origin + "/carried");
    assertThat(desk.page.locator("#followers td.follows")).hasText("as this cover is, 1 its own");
  }
}
