package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The new views with keys alone, after a reload, going back, and in two windows. */
public class KeysTest {

  /** Tabs on until something is in focus, as hands without a mouse do. */
  private static void tabTo(Page page, Locator wanted) {
    for (int i = 0; i < 150; i++) {
      page.keyboard().press("Tab");
      if ((Boolean) wanted.evaluate("e => e === document.activeElement")) {
        String outline = (String) wanted.evaluate("e => getComputedStyle(e).outlineStyle");
        assertThat(outline).as("focus is seen").isNotEqualTo("none");
        return;
      }
    }
    throw new AssertionError("Tab never came to " + wanted);
  }

  @Test(groups = Extent.LONG)
  public void anEditionIsChosenFromTheTableWithKeys() {
    Desk desk = Desk.open().makeTitle("By keys", "Nobody").fill("6 x 9", "240", "");
    Page page = desk.page;
    page.navigate("/editions/" + desk.id() + "/docket");
    tabTo(page, page.locator(".views a", new Page.LocatorOptions().setHasText("Side by side")));
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/side-by-side"));
    tabTo(page, page.locator(".compare thead a", new Page.LocatorOptions().setHasText("A copy")));
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*sort=cost.*"));
    assertThat(page.locator("th[aria-sort=ascending]")).containsText("A copy");
    page.reload();
    assertThat(page.locator("th[aria-sort=ascending]")).containsText("A copy");
    tabTo(
        page,
        page.getByLabel("Make an edition with an empty cover: Dust jacket, Dunlin Casebinders"));
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/docket"));
    assertThat(page.locator("#binding")).hasValue("dust-jacket");
    page.goBack();
    assertThat(page.url()).contains("sort=cost");
  }

  @Test
  public void aJacketIsMeasuredWithKeysAlone() {
    Desk desk = Desk.open().makeTitle("Jacket by keys", "Nobody").fill("6 x 9", "240", "");
    Page page = desk.page;
    page.reload();
    tabTo(page, page.locator("#house"));
    page.keyboard().type("Dunlin");
    assertThat(page.locator("#binding")).hasValue("case-laminate");
    tabTo(page, page.locator("#binding"));
    page.keyboard().press("ArrowDown");
    assertThat(page.locator("#frontFlap")).isVisible();
    // the choice that changed the form's shape is still in focus
    assertThat((String) page.evaluate("document.activeElement.id")).isEqualTo("binding");
    tabTo(page, page.locator("#frontFlap"));
    page.keyboard().type("4");
    // 3.5 + 2 × 6.4875 + 0.8125 + 4 + 0.25, white paper as dunlin's first
    assertThat(page.locator("#m-sheet")).hasText("21.538 × 9.5 in");
  }

  @Test(groups = Extent.LONG)
  public void aRuleSheetIsChangedWithKeysAlone() throws IOException {
    Page page = Live.reglet().page();
    page.navigate("/houses");
    String sheet;
    try (var in = KeysTest.class.getResourceAsStream("/houses/gannet-and-gauge.json")) {
      sheet = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    page.locator("#file")
        .setInputFiles(
            new FilePayload(
                "keys.json",
                "application/json",
                sheet
                    .replace("\"gannet-and-gauge\"", "\"keyed\"")
                    .replace("Gannet & Gauge", "Keyed House")
                    .getBytes(StandardCharsets.UTF_8)));
    tabTo(page, page.getByText("Import", new Page.GetByTextOptions().setExact(true)));
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/houses/drafts/\\d+"));
    Locator bleed = page.locator("[name='bindings[0].bleed']");
    tabTo(page, bleed);
    page.keyboard().press("Control+a");
    page.keyboard().type("3.5 mm");
    // 12.2252 in + 2 × 3.5 mm is no longer the printed 12.48 in
    assertThat(page.locator("#draft-answer .mend").first()).hasText("disagrees");
    assertThat((String) page.evaluate("document.activeElement.name"))
        .isEqualTo("bindings[0].bleed");
    page.keyboard().press("Control+a");
    page.keyboard().type("1/8 in");
    assertThat(page.locator("#draft-answer .mend")).hasCount(0);
    tabTo(page, page.getByText("Publish", new Page.GetByTextOptions().setExact(true)));
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/houses/keyed"));
    assertThat(page.locator("h1")).hasText("Keyed House");
  }

  @Test(groups = Extent.LONG)
  public void aRowIsAddedAndTakenAwayWithKeys() {
    Page page = Live.reglet().page();
    page.navigate("/houses");
    page.getByText("Write a new sheet").click();
    page.waitForURL(Pattern.compile(".*/houses/drafts/\\d+"));
    tabTo(page, page.getByText("Add a paper"));
    page.keyboard().press("Enter");
    assertThat(page.locator("[name='stocks[1].id']")).isVisible();
    tabTo(page, page.getByLabel("Take this paper away").nth(1));
    page.keyboard().press("Enter");
    assertThat(page.locator("[name='stocks[1].id']")).hasCount(0);
    // what was typed before a button changed the form's shape is kept
    page.locator("[name=name]").fill("Half a house");
    page.getByText("Add an ink").click();
    assertThat(page.locator("[name='inks[1].id']")).isVisible();
    assertThat(page.locator("[name=name]")).hasValue("Half a house");
    page.reload();
    assertThat(page.locator("[name=name]")).hasValue("Half a house");
  }

  @Test
  public void theNewerSheetIsOfferedInBothWindowsAndTakenOnce() {
    Desk one = Desk.open().makeTitle("Two windows on houses", "Nobody").fill("6 x 9", "120", "");
    Desk two = Desk.open();
    two.page.navigate("/editions/" + one.id() + "/docket");
    one.choose("house", "osier-row");
    // the second window still shows the first house: its next word must not undo the choice
    two.page.locator("#pages").fill("128");
    assertThat(two.page.locator("#message")).containsText("another window");
    one.page.reload();
    assertThat(one.page.locator("#house")).hasValue("osier-row");
    assertThat(one.page.locator("#pages")).hasValue("120");
  }

  @Test
  public void theSliderStandsWhereTheAddressSays() {
    Page page = Live.reglet().page();
    page.navigate("/editions/1/what-if?pages=400");
    assertThat(page.locator("#told-pages")).hasText("400");
    assertThat(page.locator("#slide")).hasValue("400");
    assertThat(page.locator("#told-spine")).hasText("1 in"); // 400 × 0.0025
    page.navigate("/editions/1/what-if?pages=99999999");
    assertThat(page.locator("#told")).containsText("up to 740 pages");
  }
}
