package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
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
  static Desk composed(String title) {
    return Desk.atBench(title, "The first paragraph.\nAnd what follows it.").layout("Ledger");
  }

  static void carry(Desk desk, String to) {
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
    // what the page said of them before they came, to a pixel
    assertThat(
            desk.page.evaluate(
                "() => [...document.querySelectorAll('.to-scale img')].every(i => Math.abs(i.getAttribute('width') * i.naturalHeight / i.naturalWidth - i.getAttribute('height')) < 1)"))
        .isEqualTo(true);
  }

  static void make(Desk desk) {
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
  }

  @Test(groups = Extent.LONG)
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
  }

  static Locator button(Desk desk, String name) {
    return desk.page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test(groups = Extent.LONG)
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
  }

  @Test(groups = Extent.LONG)
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
  }
}
