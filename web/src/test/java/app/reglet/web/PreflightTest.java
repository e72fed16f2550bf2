package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Findings before a cover is handed over: by what is done about them, mended, let be. */
public class PreflightTest {
  private static String base(Web web, String id) throws java.io.IOException {
    return web.get("/editions/" + id + "/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
  }

  private static void edit(Web web, String id, Map<String, String> fields)
      throws java.io.IOException {
    Map<String, String> all = new java.util.HashMap<>(fields);
    all.put("base", base(web, id));
    Web.Answer answer = web.post("/editions/" + id + "/bench/edits", all);
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
  }

  /** A cover whose author stands too low, whose line is too thin and that has a hidden piece. */
  private static Desk spoiled(String title) throws java.io.IOException {
    Desk desk = Desk.atBench(title, "A blurb.").layout("Ledger");
    String id = desk.id();
    Web web = new Web(Live.reglet().address());
    desk.does(() -> desk.page.locator("#pieces [data-piece=author]").click());
    desk.does(
        () -> {
          desk.page.locator("#p-top").fill("8.15 in");
          desk.page.locator("#p-top").press("Enter");
        });
    edit(web, id, Map.of("edit", "hide", "piece", "title", "hidden", "true"));
    desk.page.navigate("/editions/" + id + "/dispatch");
    return desk;
  }

  @Test
  public void whatIsFoundStandsByWhatIsDoneAboutItAndIsMendedAsOneUndo() throws Exception {
    Desk desk = spoiled("Two things wrong");
    String address = desk.page.url();
    Locator list = desk.page.locator(".preflight");
    assertThat(list.locator("h3").first()).hasText("Move or resize");
    assertThat(list.locator("li[data-code=words-outside-safe]"))
        .containsText("outside the safe zone");
    assertThat(list.locator("li[data-code=piece-hidden]")).containsText("will not be printed");
    assertThat(Live.violations(desk.page)).isEmpty();
    String bench = address.replace("dispatch", "bench");
    desk.page.navigate(bench);
    assertThat(desk.page.locator("#notes")).containsText("outside the safe zone");
    desk.page.navigate(address);
  }

  @Test
  public void aFindingIsLetBeWithAReasonWhileItSaysWhatItSaid() throws Exception {
    Desk desk = spoiled("Let be");
    String id = desk.page.url().replaceAll(".*/editions/(\\d+)/.*", "$1");
    Locator found = desk.page.locator("li[data-code=words-outside-safe]");
    found.locator("summary").click();
    found.locator("input[name=reason]").fill("The house knows: it is a die cut.");
    found.locator(".let-be button").click();
    assertThat(desk.page.locator(".let")).containsText("The house knows: it is a die cut.");
    assertThat(desk.page.locator("li[data-code=words-outside-safe]")).hasCount(0);
    assertThat(Live.violations(desk.page)).isEmpty();
    // the docket tells it, and the measure line counts it no more
    desk.page.navigate("/editions/" + id + "/docket");
    assertThat(desk.page.locator(".let")).containsText("die cut");
    assertThat(desk.page.locator("#measure-line .tally")).hasText("nothing to mend");
    // a package takes it along
    desk.page.navigate("/titles");
    Download out =
        desk.page.waitForDownload(
            () ->
                desk.page
                    .getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Package of Let be, all editions"))
                    .click());
    desk.page.locator("#package").setInputFiles(out.path());
    desk.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it in")).click();
    desk.page.waitForURL("**/docket");
    assertThat(desk.page.locator(".let")).containsText("die cut");
    // when it grows worse it is found anew
    desk.page.navigate("/editions/" + id + "/bench");
    desk.does(() -> desk.page.locator("#pieces [data-piece=author]").click());
    desk.does(
        () -> {
          desk.page.locator("#p-top").fill("8.2 in");
          desk.page.locator("#p-top").press("Enter");
        });
    assertThat(desk.page.locator("#notes")).containsText("outside the safe zone");
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#notes")).not().containsText("outside the safe zone");
    desk.page.navigate("/editions/" + id + "/dispatch");
    desk.page.locator(".let button").click();
    assertThat(desk.page.locator("li[data-code=words-outside-safe]")).hasCount(1);
    assertThat(desk.page.locator(".let")).hasCount(0);
  }

  @Test(groups = Extent.LONG)
  public void whatIsNotSettledOfTheFactsIsToldBeforeItIsHandedOver() {
    String isbn = Desk.isbn();
    Map<String, String> facts = Map.of("trim", "6 x 9 in", "pages", "320", "isbn", isbn);
    Desk first = Desk.atBench("First with this number", facts).layout("Ledger");
    Desk desk = Desk.atBench("Second with this number", facts).layout("Ledger");
    String id = desk.id();
    desk.page.navigate("/editions/" + id + "/docket");
    desk.type("spread", "16");
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("li[data-code=isbn-taken].mend"))
        .containsText("is that of “First with this number” too");
    Locator count = desk.page.locator("li[data-code=count-provisional].look");
    assertThat(count).containsText("The page count is provisional, 320 ± 16");
    count.locator("a").click();
    desk.page.waitForURL("**/docket");
    desk.type("spread", "0");
    desk.type("isbn", Desk.isbn());
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator(".preflight li")).hasCount(0);
  }

  @Test
  public void aReasonIsAskedForAndWhatIsGoneIsTold() throws Exception {
    Desk desk = spoiled("No reason");
    String id = desk.page.url().replaceAll(".*/editions/(\\d+)/.*", "$1");
    Web web = new Web(Live.reglet().address());
    String at = "/editions/" + id + "/preflight";
    Map<String, String> none = Map.of("code", "words-outside-safe", "piece", "author");
    assertThat(web.post(at + "/let-be", none).body()).contains("Say why");
    assertThat(
            web.post(at + "/let-be", Map.of("code", "no-such", "piece", "author", "reason", "x"))
                .body())
        .contains("no longer there");
    assertThat(
            web.post(
                    at + "/let-be",
                    Map.of(
                        "code", "words-outside-safe", "piece", "author", "reason", "x".repeat(301)))
                .body())
        .contains("at most 300 characters; this one has 301");
    // what it says must be what is found: of two of a kind the right one is let be
    assertThat(
            web.post(
                    at + "/let-be",
                    Map.of(
                        "code",
                        "words-outside-safe",
                        "piece",
                        "author",
                        "said",
                        "x",
                        "reason",
                        "x"))
                .body())
        .contains("no longer there");
    // pressed twice it is let be once, and minded again by one press
    desk.page.locator("li[data-code=words-outside-safe] summary").click();
    String said = desk.page.locator("li[data-code=words-outside-safe] [name=said]").inputValue();
    Map<String, String> all =
        Map.of("code", "words-outside-safe", "piece", "author", "said", said, "reason", "Twice.");
    Own.atOnce(3, () -> web.post(at + "/let-be", all));
    desk.page.reload();
    desk.page.locator(".let button").click();
    assertThat(desk.page.locator("li[data-code=words-outside-safe]")).hasCount(1);
    assertThat(web.post(at + "/mind", Map.of("let", "99999")).status()).isEqualTo(404);
    assertThat(web.post(at + "/mend", Map.of("base", "0")).status()).isEqualTo(409);
  }

  @Test
  public void aFindingIsNumberedOnTheSheetAndMendedFromTheListByMouse() throws Exception {
    Desk desk = spoiled("Mended from the list");
    String id = desk.page.url().replaceAll(".*/editions/(\\d+)/.*", "$1");
    Web web = new Web(Live.reglet().address());
    Locator safe = desk.page.locator("li[data-code=words-outside-safe]");
    String number = safe.getAttribute("data-note");
    Locator mark = desk.page.locator(".handed-over .noted[data-note='" + number + "']");
    assertThat(mark).hasCount(1);
    assertThat(mark.locator("text")).hasText(number);
    safe.hover();
    assertThat(mark).hasClass(Pattern.compile("\\blit\\b"));
    // a hidden piece is shown again
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show “Title”"))
        .click();
    assertThat(desk.page.locator("#mended")).containsText("Undo on the bench takes it back");
    assertThat(desk.page.locator("li[data-code=piece-hidden]")).hasCount(0);
    // what is locked is told to be, and neither mended alone nor with the others
    edit(web, id, Map.of("edit", "lock", "piece", "author", "locked", "true"));
    desk.page.reload();
    Locator locked = desk.page.locator("li[data-code=piece-locked]");
    assertThat(locked).containsText("is locked, and what is found of it");
    assertThat(desk.page.locator("#mend-all")).hasCount(0);
    desk.page
        .locator("li[data-code=words-outside-safe]")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Move into the safe"))
        .click();
    assertThat(desk.page.locator("body")).containsText("is locked: unlock it to change it");
    desk.page.goBack();
    locked.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Unlock it")).click();
    assertThat(desk.page.locator("li[data-code=piece-locked]")).hasCount(0);
    desk.page
        .locator("li[data-code=words-outside-safe]")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Move into the safe"))
        .click();
    assertThat(desk.page.locator("li[data-code=words-outside-safe]")).hasCount(0);
    assertThat(Live.violations(desk.page)).isEmpty();
    // each is an undo of its own
    desk.page.navigate("/editions/" + id + "/bench");
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#notes")).containsText("outside the safe zone");
    // a window that shows what was before mends nothing
    Web.Answer stale =
        web.post(
            "/editions/" + id + "/preflight/remedy",
            Map.of("base", "0", "code", "words-outside-safe", "piece", "author"));
    assertThat(stale.status()).isEqualTo(409);
  }

  /** A paperback and an ebook have an ISBN each; so have two titles. */
  @Test
  public void anEbookCarriedWithThePaperbacksIsbnIsTold() {
    String isbn = Desk.isbn();
    Desk desk =
        Desk.atBench("One number", Map.of("trim", "6 x 9 in", "pages", "320", "isbn", isbn))
            .layout("Ledger");
    String id = desk.id();
    CarryTest.carry(desk, "Ebook cover, Lantern Shelf");
    desk.page.locator("#carry-make").click();
    desk.page.waitForURL("**/carried**");
    String ebook = desk.page.url().replaceAll(".*/editions/(\\d+)/.*", "$1");
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("li[data-code=isbn-shared].look"))
        .containsText("The ebook cover edition at Lantern Shelf has ISBN");
    desk.page.navigate("/editions/" + ebook + "/docket");
    assertThat(desk.page.locator("#isbn")).not().hasValue("");
    String own = Desk.isbn();
    desk.type("isbn", own);
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("li[data-code=isbn-shared]")).hasCount(0);
    // the paperback's is as it was
    desk.page.navigate("/editions/" + id + "/docket");
    assertThat(desk.page.locator("#isbn")).hasValue(isbn);
  }

  @Test(groups = Extent.LONG)
  public void allThatNeedsNoJudgementIsMendedInOneAct() throws Exception {
    Desk desk = spoiled("Mended together");
    String id = desk.page.url().replaceAll(".*/editions/(\\d+)/.*", "$1");
    desk.page.navigate("/editions/" + id + "/bench");
    desk.does(() -> desk.page.locator("#pieces [data-piece=blurb]").click());
    desk.does(
        () -> {
          desk.page.locator("#p-left").fill("-0.125 in");
          desk.page.locator("#p-left").press("Enter");
        });
    // a border beside the trim is found of the design alone, and mended with the others
    edit(
        new Web(Live.reglet().address()),
        id,
        Map.of("edit", "add", "what", "frame", "panel", "front"));
    desk.page.reload();
    desk.does(() -> desk.page.locator("#pieces [data-piece^=frame]").first().click());
    for (String way : new String[] {"#p-top", "#p-left"}) {
      double now = Double.parseDouble(desk.page.locator(way).inputValue());
      double then = way.equals("#p-top") ? now - 0.065 : now + 0.065;
      desk.does(
          () -> {
            desk.page.locator(way).fill(then + " in");
            desk.page.locator(way).press("Enter");
          });
    }
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("li[data-code=border-near-trim]"))
        .containsText("the knife drifts by up to 0.0625 in");
    assertThat(desk.page.locator("#mend-all")).hasText("Mend the 3 that need no judgement");
    desk.page.locator("#mend-all").click();
    assertThat(desk.page.locator("#mended"))
        .containsText(Pattern.compile("3 mended: Move into the safe zone"));
    assertThat(desk.page.locator(".preflight li.mend")).hasCount(0);
    assertThat(desk.page.locator("li[data-code=border-near-trim]")).hasCount(0);
    desk.page.navigate("/editions/" + id + "/bench");
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(desk.page.locator("#notes li.mend")).hasCount(2);
  }
}
