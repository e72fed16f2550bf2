package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.web.harness.Web;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** A cover carried to another edition, by mouse, on the real pages. */
public class CarryTest {
  private static Desk composed(String title) {
    return Desk.atBench(title, "The first paragraph.\nAnd what follows it.").layout("Ledger");
  }

  private static void carry(Desk desk, String to) {
    desk.page.navigate("/editions/" + desk.id() + "/side-by-side");
    desk.page
        .getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions().setName("Carry the cover to " + to).setExact(true))
        .click();
    desk.page.waitForURL("**/carry?**");
  }

  private static String said(Desk desk, String piece) {
    return desk.page.locator("tr[data-piece='" + piece + "'] td").first().innerText();
  }

  /** The words of a piece as it is drawn. */
  private static String words(Desk desk, String piece) {
    return (String)
        desk.page.evaluate(
            "p => [...document.querySelectorAll(`#artwork [data-piece='${p}'] [data-text]`)].map(g => g.dataset.text).join(' ')",
            piece);
  }

  private static void pictures(Desk desk) {
    desk.page.waitForFunction(
        "() => [...document.querySelectorAll('.to-scale img')].length === 2 && [...document.querySelectorAll('.to-scale img')].every(i => i.complete && i.naturalWidth > 300)");
  }

  private static void make(Desk desk) {
    desk.page.locator("#carry-make").click();
    desk.page.waitForURL(Pattern.compile(".*/editions/\\d+/carried"));
  }

  @Test
  public void aJacketIsLookedAtMadeAndTakenBackWithOneUndo() {
    Desk desk = composed("To a jacket");
    carry(desk, "Dust jacket, Dunlin Casebinders");
    pictures(desk);
    assertThat(desk.page.locator("#carry-said")).containsText("2 new");
    assertThat(said(desk, "front-flap-head")).isEqualTo("New, on the front flap.");
    assertThat(said(desk, "blurb")).contains("says a part of what it said");
    assertThat(Live.violations(desk.page)).isEmpty();
    String origin = desk.id();
    make(desk);
    assertThat(desk.id()).isNotEqualTo(origin);
    pictures(desk);
    assertThat(desk.page.locator("h1")).hasText("Carried from Perfect bound, Gannet & Gauge");
    assertThat(said(desk, "front-flap-head")).isEqualTo("New, on the front flap.");
    assertThat(Live.violations(desk.page)).isEmpty();
    desk.page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Go on on the bench"))
        .click();
    desk.page.locator("#sheet").waitFor();
    assertThat(words(desk, "front-flap-prose")).contains("And what follows it.");
    assertThat(words(desk, "blurb")).contains("The first paragraph.").doesNotContain("follows");
    int pieces = desk.page.locator("#artwork > [data-piece]").count();
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#artwork > [data-piece]")).hasCount(1);
    desk.does(() -> desk.page.locator("#redo").click());
    assertThat(desk.page.locator("#artwork > [data-piece]")).hasCount(pieces);
    desk.page.close();
  }

  @Test
  public void aMirrorEditionInAnotherTrimHasItsFrontOnTheLeft() {
    Desk desk = composed("Mirrored");
    double[] was = desk.box("title");
    carry(desk, "Perfect bound, Osier Row Printing Works");
    desk.page.locator("#carry-turn").selectOption("rtl");
    desk.page.locator("#carry-trim").selectOption("0");
    String trim = desk.page.locator("#carry-trim option[value='0']").innerText();
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show").setExact(true))
        .click();
    assertThat(desk.page.locator("#carry-turn")).hasValue("rtl");
    assertThat(desk.page.locator("#carry-trim")).hasValue("0");
    pictures(desk);
    make(desk);
    desk.bench();
    Hands h = new Hands.OfMouse(desk);
    double[] front = h.panel("front");
    assertThat(front[0]).isLessThan(h.panel("spine")[0]);
    double[] is = desk.box("title");
    assertThat(is[0]).isBetween(front[0], front[0] + front[2]);
    // in the middle of the trimmed front, as it was
    assertThat(is[2] / is[3] / (was[2] / was[3])).isBetween(0.8, 1.25);
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    assertThat(trim).isNotEmpty();
    assertThat(desk.page.locator("#trim")).not().hasValue("");
    desk.page.close();
  }

  @Test
  public void onePieceIsPutBackAloneAndANewOneTakenOff() {
    Desk desk = composed("One alone");
    double[] was = desk.box("title");
    carry(desk, "Dust jacket, Dunlin Casebinders");
    make(desk);
    assertThat(said(desk, "title")).contains("type");
    button(desk, "As at its origin: Title").click();
    assertThat(desk.page.locator("tr[data-piece=title] td").first()).not().containsText("type ");
    button(desk, "Take off: Front flap head").click();
    assertThat(desk.page.locator("tr[data-piece=front-flap-head]")).hasCount(0);
    desk.bench();
    double[] is = desk.box("title");
    assertThat(is[3]).isCloseTo(was[3], within(1e-6));
    assertThat(desk.page.locator("#artwork [data-piece=front-flap-head]")).hasCount(0);
    assertThat(desk.page.locator("#artwork [data-piece=front-flap-prose]")).hasCount(1);
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#artwork [data-piece=front-flap-head]")).hasCount(1);
    desk.page.close();
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
    desk.page.close();
  }

  @Test
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
    desk.page.close();
  }

  private static Locator offersLocator(Desk desk) {
    return desk.page.locator("#offers label");
  }

  private static Locator button(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  public void aCoverIsPutOnAnEditionThatThereIsAndUndoTakesItBack() {
    Desk desk = composed("Onto another");
    String origin = desk.id();
    carry(desk, "Case laminate, Dunlin Casebinders");
    make(desk);
    String made = desk.id();
    desk.page.navigate("/editions/" + origin + "/bench");
    desk.page.locator("#sheet").waitFor();
    Hands h = new Hands.OfMouse(desk);
    carry(desk, "Case laminate, Dunlin Casebinders");
    String before = desk.page.locator("#carry-after").getAttribute("src");
    desk.page.navigate("/editions/" + origin + "/bench");
    desk.page.locator("#sheet").waitFor();
    h.choose("title");
    h.type("#b-colour", "#aa3311");
    carry(desk, "Case laminate, Dunlin Casebinders");
    // the picture is of what is carried now, not one that a browser kept
    assertThat(desk.page.locator("#carry-after").getAttribute("src")).isNotEqualTo(before);
    desk.page
        .getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions()
                .setName(Pattern.compile("Put it on the edition there is.*")))
        .click();
    desk.page.waitForURL("**/editions/" + made + "/carried");
    desk.bench();
    assertThat(desk.page.locator("#artwork [data-piece=title] [fill='#aa3311']").first())
        .isAttached();
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#artwork [data-piece=title] [fill='#aa3311']")).hasCount(0);
    assertThat(desk.page.locator("#artwork [data-piece=title]")).hasCount(1);
    desk.page.close();
  }

  private static String tree(Desk desk) {
    return desk.page.locator("#kin-tree").innerText().replaceAll("\\s+", " ");
  }

  @Test
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
    desk.page.close();
  }

  @Test
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
    desk.page.close();
  }

  private static String order(Desk desk, String edition) {
    desk.page.navigate("/editions/" + edition + "/bench");
    desk.page.locator("#sheet").waitFor();
    return (String)
        desk.page.evaluate(
            "() => [...document.querySelectorAll('#artwork > [data-piece]')].map(g => g.dataset.piece).join(' ')");
  }

  @Test
  public void whatBecameOfAPieceIsAcceptedUntilItIsAnotherAgain() {
    Desk desk = composed("Accepted");
    carry(desk, "Dust jacket, Dunlin Casebinders");
    make(desk);
    Locator left = desk.page.locator("#accepting");
    String all = left.innerText();
    button(desk, "Accept: Title").click();
    assertThat(button(desk, "Accepted: Title")).hasAttribute("aria-pressed", "true");
    assertThat(left.innerText()).isNotEqualTo(all);
    desk.page.locator("#accept-all").click();
    assertThat(left).hasCount(0);
    assertThat(Live.violations(desk.page)).isEmpty();
    String at = desk.page.url();
    desk.bench();
    Hands h = new Hands.OfMouse(desk);
    h.choose("title");
    desk.page.locator(".hold[data-piece='title']").focus();
    String undo = desk.page.locator("#undo").getAttribute("title");
    desk.page.keyboard().press("Shift+ArrowDown");
    assertThat(desk.page.locator("#undo")).not().hasAttribute("title", undo);
    desk.page.navigate(at);
    assertThat(left).containsText("1 piece not accepted yet.");
    assertThat(button(desk, "Accept: Title")).isVisible();
    button(desk, "Accepted: Author").click();
    assertThat(left).containsText("2 pieces not accepted yet.");
    desk.page.close();
  }

  @Test
  public void aButtonThatIsPressedTwiceMakesOneEdition() throws IOException {
    Desk desk = composed("Pressed twice");
    carry(desk, "Case laminate, Dunlin Casebinders");
    String once = desk.page.locator("input[name=once]").getAttribute("value");
    Web web = new Web(Live.reglet().address());
    List<Map.Entry<String, String>> form =
        List.of(
            Map.entry("house", "dunlin-casebinders"),
            Map.entry("binding", "case-laminate"),
            Map.entry("once", once));
    List<String> made =
        java.util.stream.IntStream.range(0, 6)
            .parallel()
            .mapToObj(
                i -> {
                  try {
                    return web.post("/editions/" + desk.id() + "/carry", form, false).location();
                  } catch (IOException e) {
                    throw new java.io.UncheckedIOException(e);
                  }
                })
            .distinct()
            .toList();
    assertThat(made).hasSize(1).first().asString().endsWith("/carried");
    desk.page.close();
  }

  @Test
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
    desk.page.close();
  }

  @Test
  public void whatAHouseTellsOnTheOrderIsAssumedAndSaidSo() {
    Desk desk = composed("Not told yet");
    carry(desk, "Perfect bound, Sandling & Daughters");
    assertThat(desk.page.locator(".carry-unmet").first())
        .containsText("states the spine width on the order. Until it is told it is taken as");
    make(desk);
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    assertThat(desk.page.locator("#told")).not().hasValue("");
    assertThat(desk.page.locator("#toldSource"))
        .hasValue("not told yet; as wide as at Gannet & Gauge");
    desk.page.close();
  }

  @Test
  public void whatCantBeCarriedGetsASentence() throws IOException {
    Desk desk = composed("Refused");
    Web web = new Web(Live.reglet().address());
    String at = "/editions/" + desk.id() + "/carry";
    String jacket = "?house=dunlin-casebinders&binding=dust-jacket";
    Map<String, String> wrong =
        Map.of(
            "?house=nowhere&binding=dust-jacket",
            "does not offer that binding any more",
            "?house=dunlin-casebinders&binding=none",
            "does not offer that binding any more",
            jacket + "&trim=99",
            "“99” is none of the trims here",
            jacket + "&trim=x",
            "“x” is none of the trims here",
            jacket + "&turn=up",
            "Pages turn “ltr” or “rtl”; this is “up”");
    for (String to : List.of("x", "1.2.3", desk.id() + ".1", "999999.1")) {
      var refused =
          web.post(
              "/editions/" + desk.id() + "/carried/spread", List.of(Map.entry("to", to)), false);
      assertThat(refused.status()).as(to).isBetween(400, 410);
    }
    for (Map.Entry<String, String> e : wrong.entrySet()) {
      var answer = web.get(at + e.getKey());
      assertThat(answer.status()).as(e.getKey()).isEqualTo(400);
      assertThat(answer.body()).contains(e.getValue());
    }
    var other =
        web.post(
            at,
            List.of(
                Map.entry("house", "dunlin-casebinders"),
                Map.entry("binding", "dust-jacket"),
                Map.entry("onto", "1"),
                Map.entry("base", "2")),
            false);
    assertThat(other.status()).isEqualTo(400);
    assertThat(other.body()).contains("another edition of the same title");
    assertThat(web.get("/editions/" + desk.id() + "/carried").body())
        .contains("was not carried from another edition");
    desk.page.close();
  }
}
