package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.house.RuleSheetReader;
import app.reglet.testing.Extent;
import app.reglet.web.houses.HouseDrafts;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Writing rule sheets, as a person who has a house's page of rules before them. */
public class HousesTest {
  private Page page;

  @BeforeMethod
  void window() {
    page = Live.reglet().page();
  }

  private static String shipped(String id) {
    try (var in = HousesTest.class.getResourceAsStream("/houses/" + id + ".json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private Locator field(String name) {
    return page.locator("[name=\"" + name + "\"]");
  }

  private void saved(Runnable action) {
    page.waitForResponse(
        r -> r.url().contains("/houses/drafts/") && r.request().method().equals("POST"), action);
    Live.settled(page);
  }

  private void fill(String name, String value) {
    saved(() -> field(name).fill(value));
  }

  /** Goes on at once: what is typed within a moment is sent together. */
  private void typed(String name, String value) {
    field(name).fill(value);
  }

  private void choose(String name, String value) {
    saved(() -> field(name).selectOption(value));
  }

  private void press(String label) {
    saved(
        () ->
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(label))
                .last()
                .click());
  }

  private void binding(String id) {
    page.locator("#newBinding").selectOption(id);
    press("Add this binding");
  }

  private void paste(Locator cell, String text) {
    cell.click();
    saved(
        () ->
            cell.evaluate(
                "(e, text) => { const d = new DataTransfer(); d.setData('text/plain', text);"
                    + " e.dispatchEvent(new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true })); }",
                text));
  }

  private void importDocument(String json) {
    page.navigate("/houses");
    page.locator("#file")
        .setInputFiles(
            new FilePayload(
                "sheet.json", "application/json", json.getBytes(StandardCharsets.UTF_8)));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Import")).click();
  }

  private void publish() {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Publish")).click();
  }

  /** The page of rules is thrift-lane-bindery.md; the figures are worked out there and below. */
  @Test
  public void aHouseIsEnteredFromItsPageOfRules() {
    page.navigate("/houses");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Write a new sheet"))
        .click();
    assertThat(page.locator("#draft-answer")).containsText("to mend");
    typed("name", "Thrift Lane Bindery");
    typed("id", "thrift-lane");
    typed("stocks[0].id", "natural");
    fill("stocks[0].name", "Natural 55 lb");

    binding("perfect-bound");
    choose("bindings[0].spine[0].kind", "paper-ppi");
    typed("bindings[0].spine[0].pagesPerInch", "400");
    typed("bindings[0].spine[0].add", "0.04 in");
    typed("bindings[0].spine[0].rounding.step", "0.001 in");
    typed("bindings[0].trims.listed", "5.5 x 8.5\n6 x 9");
    typed("bindings[0].pages[0].least", "40");
    typed("bindings[0].pages[0].most", "700");
    typed("bindings[0].pages[0].multiple", "2");
    typed("bindings[0].bleed", "1/8 in");
    typed("bindings[0].safe.trim", "1/4 in");
    typed("bindings[0].safe.fold", "1/16 in");
    typed("bindings[0].safe.drift", "1/16 in");
    typed("bindings[0].spineType.leastPages", "96");
    typed("bindings[0].spineType.leastSize", "7 pt");
    typed("bindings[0].barcode.width", "2");
    typed("bindings[0].barcode.height", "1.25");
    typed("bindings[0].barcode.fromSide", "3/8");
    typed("bindings[0].barcode.fromTail", "3/8");
    fill("files.tolerance", "1/32 in");
    if (Extent.whole()) {
      aCaseAndAJacketAreEntered();
    }

    example(0, "perfect-bound", "300", "0.79 in", "13.04 x 9.25 in");
    int examples = Extent.rounds(1, 3);
    if (Extent.whole()) {
      press("Add an example");
      example(1, "case-laminate", "200", "0.75 in", "15 x 10.75 in");
      press("Add an example");
      example(2, "dust-jacket", "200", "0.75 in", "20.375 x 9.5 in");
    }

    assertThat(page.locator("#draft-answer .example")).hasCount(examples);
    assertThat(page.locator("#draft-answer .fits")).hasCount(examples);
    assertThat(Live.violations(page)).isEmpty();
    publish();
    page.waitForURL(Pattern.compile(".*/houses/thrift-lane"));
    if (Extent.whole()) {
      assertThat(page.locator("main")).containsText("a table of 5 steps from 80 to 400 pages");
    }

    Desk desk = new Desk(page).makeTitle("Three wraps", "Nobody");
    desk.choose("house", "thrift-lane");
    desk.fill("6 x 9", "320", "");
    // 320 ÷ 400 + 0.04 = 0.84; 2 × 6 + 0.84 + 2 × 0.125 = 13.09
    assertThat(page.locator("#m-spine")).hasText("0.84 in");
    assertThat(page.locator("#m-sheet")).hasText("13.09 × 9.25 in");
    if (Extent.whole()) {
      desk.choose("binding", "case-laminate");
      // 2 × 0.75 + 2 × 6 + 2 × 0.125 + 2 × 0.25 + 0.938 = 15.188
      assertThat(page.locator("#m-spine")).hasText("0.938 in");
      assertThat(page.locator("#m-sheet")).hasText("15.188 × 10.75 in");
      desk.choose("binding", "dust-jacket");
      // 320 ÷ 400 + 0.25 = 1.05 up to 1.0625; 2 × 3.25 + 2 × 6.4375 + 1.0625 + 2 × 0.125 =
      // 20.6875
      assertThat(page.locator("#m-spine")).hasText("1.0625 in");
      assertThat(page.locator("#m-sheet")).hasText("20.6875 × 9.5 in");
    }
  }

  private void aCaseAndAJacketAreEntered() {
    binding("case-laminate");
    choose("bindings[1].spine[0].kind", "steps");
    paste(
        field("bindings[1].spine[0].rows[0].from"),
        "80–120\t0.5 in\n121–180\t0.625 in\n181–240\t0.75 in\n241–320\t0.938 in\n321–400\t1.125 in\n");
    assertThat(field("bindings[1].spine[0].rows[4].to")).hasValue("400");
    assertThat(field("bindings[1].spine[0].rows[3].width")).hasValue("0.938 in");
    typed("bindings[1].trims.listed", "6 x 9");
    typed("bindings[1].pages[0].least", "80");
    typed("bindings[1].pages[0].most", "400");
    typed("bindings[1].safe.trim", "3/8");
    typed("bindings[1].safe.fold", "1/8");
    typed("bindings[1].spineType.leastPages", "80");
    typed("bindings[1].case.turnIn", "3/4");
    typed("bindings[1].case.square", "1/8");
    fill("bindings[1].case.hinge", "1/4");
    saved(() -> field("bindings[1].case.hingeAdded").check());

    binding("dust-jacket");
    choose("bindings[2].spine[0].kind", "paper-ppi");
    typed("bindings[2].spine[0].pagesPerInch", "400");
    typed("bindings[2].spine[0].add", "1/4");
    fill("bindings[2].spine[0].rounding.step", "1/16");
    choose("bindings[2].spine[0].rounding.mode", "up");
    typed("bindings[2].trims.listed", "6 x 9");
    typed("bindings[2].pages[0].least", "80");
    typed("bindings[2].pages[0].most", "400");
    typed("bindings[2].bleed", "1/8");
    typed("bindings[2].safe.trim", "1/4");
    typed("bindings[2].flaps.least", "3");
    typed("bindings[2].flaps.usual", "3.25");
    typed("bindings[2].flaps.most", "4");
    typed("bindings[2].allowance", "1/16");
    typed("bindings[2].case.turnIn", "3/4");
    typed("bindings[2].case.square", "1/8");
    fill("bindings[2].case.hinge", "1/4");
    saved(() -> field("bindings[2].case.hingeAdded").check());
  }

  private void example(int n, String binding, String pages, String spine, String sheet) {
    String p = "examples[" + n + "].";
    choose(p + "binding", binding);
    typed(p + "trim", "6 x 9");
    typed(p + "pages", pages);
    typed(p + "spine", spine);
    typed(p + "sheet", sheet);
    fill(p + "source", "Covers, example " + (n + 1));
  }

  private static String own(String id) {
    return shipped("gannet-and-gauge")
        .replace("\"gannet-and-gauge\"", "\"" + id + "\"")
        .replace("Gannet & Gauge", "House " + id);
  }

  @Test
  public void aSheetThatDisagreesIsNotPublished() {
    importDocument(own("crossed").replace("12.48 x 9.25", "12.58 x 9.25"));
    assertThat(page.locator("#draft-answer .example").first()).containsText("12.58 x 9.25 in");
    assertThat(page.locator("#draft-answer .example").first()).containsText("12.48 × 9.25 in");
    assertThat(page.locator("#draft-answer .mend").first()).hasText("disagrees");
    publish();
    assertThat(page.locator(".draft-side")).containsText("does not come out");
    assertThat(page.locator(".draft-side")).containsText("12.58");
    page.navigate("/houses");
    assertThat(page.locator("tbody")).not().containsText(new String[] {"House crossed"});
    // the draft is still there, and its example can be mended
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("House crossed")).click();
    fill("examples[0].sheet", "12.48 x 9.25 in");
    assertThat(page.locator("#draft-answer .mend")).hasCount(0);
    publish();
    page.waitForURL(Pattern.compile(".*/houses/crossed"));
  }

  @Test(groups = Extent.LONG)
  public void wrongFieldsAreNamedAndKept() {
    importDocument(own("wrongs"));
    for (String[] wrong :
        new String[][] {
          {"bindings[0].bleed", "three", "no length"},
          {"bindings[0].bleed", "-1 mm", "negative"},
          {"bindings[0].bleed", "9000 in", "25 m"},
          {"bindings[0].bleed", "", "is missing"},
          {"bindings[0].bleed", "1 furlong", "furlong"},
          {"bindings[0].pages[0].least", "many", "whole number"},
          {"bindings[0].pages[0].least", "12,5", "whole number"},
          {"bindings[0].pages[0].least", "0", "from 1 to"},
          {"bindings[0].pages[0].most", "99999999", "from 1 to"},
          {"bindings[0].trims.listed", "6 by nine", "no size"},
          {"bindings[0].cost.fixed", "-2", "0 or more"},
          {"bindings[0].cost.currency", "pounds", "ISO 4217"},
          {"id", "With Capitals", "small letters"},
        }) {
      String before = field(wrong[0]).inputValue();
      fill(wrong[0], wrong[1]);
      assertThat(page.locator("#draft-answer .notes-list")).containsText(wrong[2]);
      assertThat(field(wrong[0])).hasValue(wrong[1]);
      page.reload();
      assertThat(field(wrong[0])).hasValue(wrong[1]);
      fill(wrong[0], before);
      assertThat(page.locator("#draft-answer .notes-list")).hasCount(0);
    }
    // decimal comma and digits of another script are read
    fill("bindings[0].cost.fixed", "1,05");
    assertThat(page.locator("#draft-answer .notes-list")).hasCount(0);
    fill("bindings[0].pages[0].most", "٨٤٢");
    assertThat(page.locator("#draft-answer .notes-list")).hasCount(0);
    fill("bindings[0].bleed", "0,125 in");
    assertThat(page.locator("#draft-answer .notes-list")).hasCount(0);
  }

  @DataProvider
  Object[][] noSheets() {
    return Extent.of(
        3,
        new Object[][] {
          {"this is no JSON", "This is not JSON"},
          {" ".repeat(10_000_000), "10 MB"},
          {"[1, 2, 3]", "an object in { }"},
          {" ".repeat(2_000_000) + "{}", "2,000,002 characters"},
          {"{\"format\": \"something-else\"}", "must be “reglet-rule-sheet/1”"},
          {"{".repeat(3000), "not JSON"},
          {"{\"format\": \"reglet-rule-sheet/1\", \"id\": \"a\", \"id\": \"b\"}", "not JSON"},
        });
  }

  @Test(dataProvider = "noSheets")
  public void whatIsNoSheetIsRefusedInASentence(String text, String said) {
    long before = Live.reglet().bean(HouseDrafts.class).count();
    importDocument(text);
    assertThat(page.locator(".sentence")).containsText(said);
    assertThat(Live.reglet().bean(HouseDrafts.class).count()).isEqualTo(before);
  }

  @Test
  public void anImportedSheetWithFaultsOpensOnItsForm() {
    importDocument(own("faulty").replace("\"bleed\": \"0.125 in\"", "\"bleeds\": 7"));
    assertThat(page.locator("#draft-answer")).containsText("Perfect bound, bleed is missing");
    assertThat(field("name")).hasValue("House faulty");
  }

  @Test
  public void whatIsExportedIsWhatWasPublished() throws IOException {
    importDocument(own("traveller"));
    publish();
    page.waitForURL(Pattern.compile(".*/houses/traveller"));
    Download download = page.waitForDownload(() -> page.getByText("Download as JSON").click());
    String text = Files.readString(download.path());
    assertThat(RuleSheetReader.read(text)).isEqualTo(RuleSheetReader.read(own("traveller")));
  }

  @Test(groups = Extent.LONG)
  public void anEditionKeepsItsVersionAndIsOfferedTheNewOne() {
    importDocument(own("moving"));
    publish();
    page.waitForURL(Pattern.compile(".*/houses/moving"));
    Desk desk = new Desk(page).makeTitle("Kept", "Nobody");
    desk.choose("house", "moving");
    desk.fill("6 x 9", "100", "");
    assertThat(page.locator("#m-spine")).hasText("0.2252 in");
    String docket = page.url();

    page.navigate("/houses/moving");
    page.getByText("Change this sheet").click();
    fill("bindings[0].spine[0].perPage", "0.0024 in");
    // the examples of the old paper no longer come out
    assertThat(page.locator("#draft-answer .mend").first()).hasText("disagrees");
    fill("examples[0].spine", "0.24 in");
    fill("examples[0].sheet", "12.49 x 9.25 in");
    fill("examples[2].spine", "0.0576 in");
    publish();
    page.waitForURL(Pattern.compile(".*/houses/moving"));
    assertThat(page.locator("main")).containsText("Version 2");

    page.navigate(docket);
    assertThat(page.locator("#m-spine")).hasText("0.2252 in");
    // 100 × (0.0024 − 0.002252) = 0.0148
    assertThat(page.locator(".newer")).containsText("keeps version 1. With it: spine +0.0148 in");
    page.getByText("Measure by version 2").click();
    assertThat(page.locator("#m-spine")).hasText("0.24 in");
    assertThat(page.locator(".newer")).hasCount(0);
    assertThat(page.locator("#changes")).containsText("Changed: spine +0.0148 in");
    assertThat(page.locator("#before-after")).isVisible();
    page.navigate("/houses/moving?v=1");
    assertThat(page.locator("main")).containsText("pages × 0.002252 in");
  }

  @Test
  public void twoWindowsDoNotOverwriteADraft() {
    importDocument(own("twice"));
    String draft = page.url();
    Page other = Live.reglet().page();
    other.navigate(draft);
    fill("about", "written in the first window");
    other.locator("[name=about]").fill("written in the second window");
    assertThat(other.locator("#message")).containsText("another window");
    assertThat(other.locator("[name=about]")).hasValue("written in the second window");
    page.reload();
    assertThat(field("about")).hasValue("written in the first window");
    other.close();
  }

  @Test
  public void aShippedSheetIsCopiedNotChanged() {
    page.navigate("/houses/osier-row");
    assertThat(page.getByText("Change this sheet")).hasCount(0);
    page.getByText("Copy it").click();
    page.waitForURL(Pattern.compile(".*/houses/drafts/\\d+"));
    assertThat(field("id")).hasValue(Pattern.compile("osier-row-copy.*"));
    assertThat(page.locator("#draft-answer .fits")).hasCount(3);
    fill("id", "osier-row");
    publish();
    assertThat(page.locator(".draft-side")).containsText("is taken by Osier Row Printing Works");
    page.onceDialog(d -> d.accept());
    page.getByText("Throw away").click();
    page.waitForURL(Pattern.compile(".*/houses"));
  }

  @Test
  public void rulesMoveUpAndRowsGoAway() {
    importDocument(own("ordered"));
    assertThat(field("bindings[0].spine[0].perPage")).hasValue("0.002252 in");
    saved(
        () ->
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Move up"))
                .first()
                .click());
    assertThat(field("bindings[0].spine[0].perPage")).hasValue("0.0025 in");
    int before = page.locator("[name^='bindings[0].pages[']").count();
    saved(() -> page.getByLabel("Take this limit away").first().click());
    assertThat(page.locator("[name^='bindings[0].pages[']").count()).isLessThan(before);
  }

  @Test
  public void theSchemaIsPublished() {
    var response = page.request().get("/houses/rule-sheet.schema.json");
    assertThat(response.status()).isEqualTo(200);
    assertThat(response.text()).contains("2020-12", "reglet-rule-sheet/1");
  }
}
