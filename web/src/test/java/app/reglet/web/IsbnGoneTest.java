package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Scratch;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** A number that is no ISBN takes the bars off the sheet, and nowhere in silence. */
public class IsbnGoneTest {
  private static final String SAID =
      "Gannet & Gauge expects the ISBN barcode in the art; there are no bars, since the docket has no sound ISBN: give it there.";

  @Test
  public void aMistypedIsbnStopsTheCoverWhereverItIsLookedAt() throws IOException {
    String isbn = Desk.isbn();
    Desk desk =
        Desk.atBench(
            "Bars gone",
            Map.of("blurb", "A blurb.", "trim", "6 x 9 in", "pages", "300", "isbn", isbn));
    desk.layout("Ledger");
    assertThat(desk.page.locator(".lacks")).hasCount(0);
    String at = "/editions/" + desk.id();
    desk.go(at + "/docket");
    String wrong = isbn.substring(0, isbn.length() - 1) + (isbn.endsWith("1") ? "2" : "1");
    desk.type("isbn", wrong);
    assertThat(desk.page.locator("#measure-line .tally")).hasText("1 to mend");
    // the bars' place is there, with why it is empty
    desk.go(at + "/bench");
    assertThat(desk.page.locator(".lacks")).hasText("No bars: no sound ISBN");
    assertThat(desk.page.locator("#notes")).containsText(SAID);
    assertThat(desk.page.locator("#measure-line .tally")).containsText("1 to mend");
    desk.go(at + "/dispatch");
    assertThat(desk.page.locator(".preflight li.mend[data-code=barcode-missing]"))
        .containsText(SAID);
    byte[] file = desk.page.context().request().get(at + "/press-file").body();
    Path pdf = Files.write(Scratch.file("barless", ".pdf"), file);
    desk.page.navigate("/inspect?edition=" + desk.id());
    desk.page.locator("#file").setInputFiles(pdf);
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Inspect file"))
        .click();
    assertThat(desk.page.locator("#report")).containsText("barcode");
    assertThat(desk.page.locator("#tally")).containsText("1 to mend");
    desk.page.navigate("/titles");
    Locator row = desk.page.locator("tr", new Page.LocatorOptions().setHasText("Bars gone"));
    row.scrollIntoViewIfNeeded();
    assertThat(row.locator(".tally")).hasText("1 to mend");
    // given rightly the bars are back
    desk.go(at + "/docket");
    desk.type("isbn", isbn);
    assertThat(desk.page.locator("#measure-line .tally")).hasText("nothing to mend");
    desk.go(at + "/bench");
    assertThat(desk.page.locator(".lacks")).hasCount(0);
    assertThat(List.of(desk.page.locator("#notes").innerText().split("\n")))
        .noneMatch(SAID::equals);
  }
}
