package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.web.harness.Web;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitUntilState;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

public class TitlesTest {
  private final Web web = new Web(Live.reglet().address());

  private String made(String title) throws IOException {
    String id =
        web.post("/titles", List.of(Map.entry("title", title)), false)
            .location()
            .replaceAll(".*/editions/(\\d+)/.*", "$1");
    docket(id, title, "320");
    return id;
  }

  private void docket(String id, String title, String pages) throws IOException {
    Map<String, String> form = new LinkedHashMap<>();
    form.put(
        "version",
        web.get("/editions/" + id + "/docket").find("name=\"version\" value=\"([\\d.]+)\""));
    form.put("title", title);
    form.put("trim", "6 x 9 in");
    form.put("pages", pages);
    assertThat(web.post("/editions/" + id + "/docket", form).status()).isEqualTo(200);
  }

  @Test
  public void eachTitleShowsItsFrontAndWhatIsFoundWhenItsLineIsSeen() throws IOException {
    String id = made("A front to be seen");
    Page page = Live.reglet().page();
    page.navigate("/titles");
    Locator row = page.locator("tr", new Page.LocatorOptions().setHasText("A front to be seen"));
    row.scrollIntoViewIfNeeded();
    assertThat(row.locator(".tally")).hasText("nothing to mend");
    Locator front = row.locator(".front img");
    page.waitForFunction("i => i.complete && i.naturalWidth > 0", front.elementHandle());
    double ratio = ((Number) front.evaluate("i => i.naturalHeight / i.naturalWidth")).doubleValue();
    assertThat(ratio).as("6 × 9 in").isBetween(1.49, 1.51);
    assertThat(front.evaluate("i => i.width + ' × ' + i.height")).isEqualTo("54 × 81");
    assertThat(web.get("/titles").body()).contains("/editions/" + id + "/front?v=");
  }

  /** What slips away between press and release is never pressed, for a person as for a test. */
  @Test
  public void theListKeepsItsPlaceWhilePicturesAndFindingsCome() throws IOException {
    made("A place that is kept");
    Page page = Live.reglet().page();
    Held held = new Held(page, Pattern.compile("/editions/\\d+/(front|tally)"), r -> true);
    page.navigate(
        "/titles", new Page.NavigateOptions().setWaitUntil(WaitUntilState.DOMCONTENTLOADED));
    Locator last = page.locator(".shelf tbody tr").last();
    last.scrollIntoViewIfNeeded();
    held.one(r -> r.url().contains("/front")).one(r -> r.url().contains("/tally"));
    double before = height(page);
    held.release();
    page.waitForFunction(
        "() => [...document.querySelectorAll('.shelf .front img')].some(i => i.complete && i.naturalWidth)");
    assertThat(last.locator(".tally")).hasCount(1);
    Live.settled(page);
    assertThat(height(page)).isEqualTo(before);
  }

  private static double height(Page page) {
    return ((Number)
            page.evaluate("() => document.querySelector('.shelf').getBoundingClientRect().height"))
        .doubleValue();
  }

  @Test
  public void anEditionIsTakenAwayAndPutBackAsItWas() throws IOException {
    String id = made("Gone for a while");
    String before = web.get("/editions/" + id + "/docket").body();
    Page page = Live.reglet().page();
    page.navigate("/titles");
    Locator row = page.locator("tr", new Page.LocatorOptions().setHasText("Gone for a while"));
    row.locator("button", new Locator.LocatorOptions().setHasText("Take away")).click();
    assertThat(page.locator("tr", new Page.LocatorOptions().setHasText("Gone for a while")))
        .hasCount(0);
    Web.Answer gone = web.get("/editions/" + id + "/bench");
    assertThat(gone.status()).isEqualTo(404);
    assertThat(gone.body()).contains("was taken away", "put back");
    page.locator(".away summary").click();
    page.locator(".away li", new Page.LocatorOptions().setHasText("Gone for a while"))
        .locator("button")
        .click();
    assertThat(page.locator("tr", new Page.LocatorOptions().setHasText("Gone for a while")))
        .hasCount(1);
    String after = web.get("/editions/" + id + "/docket").body();
    assertThat(after.replaceAll("name=\"version\" value=\"[\\d.]+\"", ""))
        .isEqualTo(before.replaceAll("name=\"version\" value=\"[\\d.]+\"", ""));
  }

  private String name(String id) throws IOException {
    return web.post("/editions/" + id + "/dispatch", Map.of())
        .find("([a-z]+_[a-z-]+_wrap[^<>\"]+\\.pdf)");
  }

  @Test
  public void twoDifferentPressFilesNeverShareANameAndTheSameOneKeepsIts() throws IOException {
    String id = made("Numbered");
    String first = name(id);
    assertThat(first)
        .isEqualTo(
            "numbered_perfect-bound_wrap_gannet-and-gauge_6x9in_320pp_r0_no" + id + "-1.pdf");
    assertThat(name(id)).as("nothing changed").isEqualTo(first);
    docket(id, "Numbered", "322");
    String corrected = name(id);
    docket(id, "Numbered", "320");
    String again = name(id);
    assertThat(List.of(first, corrected, again)).doesNotHaveDuplicates();
    String twin = made("Numbered");
    assertThat(name(twin)).as("alike in all but the edition").isNotIn(first, corrected, again);
    assertThat(corrected).contains("_322pp_").endsWith("-2.pdf");
    assertThat(again).endsWith("-3.pdf");
  }
}
