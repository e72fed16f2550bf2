package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Changes of the facts, taken back and done again. */
public class FactsUndoTest {
  private final Web web = new Web(Live.reglet().address());

  private String made(String title) throws IOException {
    return "/editions/"
        + web.post("/titles", java.util.List.of(Map.entry("title", title)), false)
            .location()
            .replaceAll(".*/editions/(\\d+)/.*", "$1")
        + "/docket";
  }

  private String version(String docket) throws IOException {
    return web.get(docket).find("name=\"version\" value=\"([\\d.]+)\"");
  }

  /** Sends the docket with these fields as they are typed. */
  private void types(String docket, String title, String trim, String pages) throws IOException {
    Map<String, String> form = new LinkedHashMap<>();
    form.put("version", version(docket));
    form.put("title", title);
    form.put("trim", trim);
    form.put("pages", pages);
    assertThat(web.post(docket, form).status()).isBetween(200, 303);
  }

  private Answer walks(String docket, String way) throws IOException {
    return web.post(docket + "/" + way, Map.of("version", version(docket)));
  }

  private String pages(String docket) throws IOException {
    return web.get(docket).find("id=\"pages\"[^>]* value=\"([^\"]*)\"");
  }

  @Test
  public void eachFactIsOneUndoReadableOrNotAndComesAgain() throws IOException {
    String docket = made("Walked");
    types(docket, "Walked", "6 x 9 in", "320");
    types(docket, "Walked", "6 x 9 in", "3 hundred");
    assertThat(pages(docket)).isEqualTo("3 hundred");
    types(docket, "Walked on", "6 x 9 in", "3 hundred");
    assertThat(web.get(docket).body()).contains("Undo: title: Walked → Walked on");
    walks(docket, "undo");
    assertThat(web.get(docket).body()).contains("value=\"Walked\"");
    assertThat(pages(docket)).isEqualTo("3 hundred");
    assertThat(web.get(docket).body()).contains("Redo: title: Walked → Walked on");
    walks(docket, "redo");
    assertThat(web.get(docket).body()).contains("value=\"Walked on\"");
    walks(docket, "undo");
    walks(docket, "undo"); // the typing of the page count, readable or not, was one change
    assertThat(web.get(docket).body()).contains("Redo: page count: nothing → 3 hundred");
    assertThat(pages(docket)).isEmpty();
    for (int i = 0; i < 5; i++) {
      walks(docket, "undo"); // nothing more: nothing happens
    }
    for (int i = 0; i < 5; i++) {
      walks(docket, "redo");
    }
    assertThat(pages(docket)).isEqualTo("3 hundred");
    assertThat(web.get(docket).body()).contains("value=\"Walked on\"");
  }

  @Test
  public void aChangeAfterAnUndoForgetsWhatWasUndoneAndAStaleWindowUndoesNothing()
      throws IOException {
    String docket = made("Stale");
    types(docket, "Stale", "6 x 9 in", "");
    types(docket, "Stale", "6 x 9 in", "320");
    String before = version(docket);
    walks(docket, "undo");
    assertThat(web.post(docket + "/undo", Map.of("version", before)).status()).isEqualTo(409);
    types(docket, "Fresh", "6 x 9 in", "");
    assertThat(web.get(docket).body()).contains("Nothing to redo");
  }

  @Test
  public void aTypedFactIsTakenBackOnThePage() {
    Desk desk = Desk.open().makeTitle("Typed back", "Edda Marsh").fill("6 x 9", "320", "");
    assertThat(desk.page.locator("#m-spine")).hasText("0.72064 in");
    assertThat(desk.page.locator("#facts-undo"))
        .hasAttribute("title", Pattern.compile("Undo: page count: nothing → 320"));
    desk.page.waitForNavigation(() -> desk.page.locator("#facts-undo").click());
    desk.page.waitForLoadState(LoadState.LOAD);
    assertThat(desk.page.locator("#pages")).hasValue("");
    desk.page.waitForNavigation(() -> desk.page.locator("#facts-redo").click());
    assertThat(desk.page.locator("#pages")).hasValue("320");
    assertThat(desk.page.locator("#m-spine")).hasText("0.72064 in");
  }

  @Test
  public void whatAnotherEditionChangedSinceIsNotOverwritten() throws IOException {
    String first = made("Shared");
    types(first, "Shared", "6 x 9 in", "320");
    types(first, "Shared again", "6 x 9 in", "320");
    String second =
        web.post(
                    first.replace("/docket", "/side-by-side"),
                    Map.of("house", "osier-row", "binding", "perfect-bound"))
                .location()
                .replaceAll(".*(/editions/\\d+)/.*", "$1")
            + "/docket";
    assertThat(second).isNotEqualTo(first);
    types(second, "Of the other", "A5", "320");
    Answer refused = walks(first, "undo");
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body()).contains("another edition or another way changed title");
    assertThat(web.get(first).body()).contains("value=\"Of the other\"");
  }

  @Test(groups = Extent.LONG)
  public void undoOfFactsSurvivesARestart() throws IOException {
    try (Own reglet = new Own("--reglet.demo=true")) {
      String docket = "/editions/1/docket";
      reglet.web().post("/editions/1/what-if", Map.of("pages", "400"));
      assertThat(reglet.web().get(docket).body()).contains("Undo: page count: 312 → 400");
      reglet.stop();
      reglet.start();
      Web after = reglet.web();
      String version = after.get(docket).find("name=\"version\" value=\"([\\d.]+)\"");
      after.post(docket + "/undo", Map.of("version", version));
      assertThat(after.get(docket).body()).contains("Redo: page count: 312 → 400");
      assertThat(after.get(docket).find("id=\"pages\"[^>]* value=\"([^\"]*)\"")).isEqualTo("312");
    }
  }
}
