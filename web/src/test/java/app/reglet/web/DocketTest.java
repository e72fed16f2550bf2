package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

public class DocketTest {

  /** Field, what is typed, what the sentence beside it must say. */
  private static final String[][] WRONG = {
    {"pages", "abc", "whole number"},
    {"pages", "0", "at least 1 page"},
    {"pages", "-4", "below zero"},
    {"pages", "1000000000", "Here from 24 to 842"},
    {"pages", "12.5", "whole number"},
    {"pages", "", "page count"},
    {"trim", "abc", "width × height"},
    {"trim", "6 x", "width × height"},
    {"trim", "0 x 9", "zero"},
    {"trim", "6 x 9 furlongs", "no unit Reglet knows"},
    {"isbn", "978-0-306-40615-6", "check digit should be 7"},
    {"isbn", "12", "13 digits"},
  };

  @Test
  public void wrongInputGetsASentenceAndIsKept() {
    Map<String, String> right = Map.of("trim", "6 x 9", "pages", "100", "isbn", "9780306406157");
    Desk desk =
        Desk.open().makeTitle("Wrong inputs", "Nobody").fill("6 x 9", "100", "9780306406157");
    for (String[] wrong : Extent.of(4, List.of(WRONG))) {
      String field = wrong[0];
      // at once: on the way to 12.5 a slow hand would be at 1, which is a count
      desk.paste(field, wrong[1]);
      assertThat(desk.page.locator("#msg-" + field)).containsText(wrong[2]);
      assertThat(desk.page.locator("#" + field)).hasValue(wrong[1]);
      assertThat(desk.page.locator("#" + field)).hasAttribute("aria-invalid", "true");
      // the drawing stands on the last good facts
      assertThat(desk.page.locator("#m-spine")).hasText("0.2252 in");
      desk.page.reload();
      assertThat(desk.page.locator("#" + field)).hasValue(wrong[1]);
      assertThat(desk.page.locator("#msg-" + field)).containsText(wrong[2]);
      desk.paste(field, right.get(field));
      assertThat(desk.page.locator("#msg-" + field)).hasText("");
    }
  }

  @Test
  public void whatIsNotOfferedNamesTheNearestAndAButtonAppliesIt() {
    Desk desk = Desk.open().makeTitle("Odd pages", "Nobody").fill("6 x 9", "31", "");
    Page page = desk.page;
    assertThat(page.locator(".notes-list"))
        .containsText(
            "31 pages can't be bound: the count must be even. The nearest that work are 30 and 32.");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 32 pages")).click();
    assertThat(page.locator("#pages")).hasValue("32");
    assertThat(page.locator(".notes-list li")).hasCount(0);
    desk.type("trim", "4 x 50 in");
    assertThat(page.locator(".notes-list")).containsText("does not offer 4 × 50 in");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use 5 × 8 in")).click();
    assertThat(page.locator("#trim")).hasValue("5 × 8 in");
    desk.type("pages", "2000");
    assertThat(page.locator(".notes-list")).containsText("up to 828 pages");
  }

  /** Within the moment in which typing goes on, a cover is composed elsewhere. */
  @Test
  public void whatIsTypedAfterAVisitToTheBenchIsToldWithThePiecesLaidThere() {
    Desk desk = Desk.open().makeTitle("There and back", "Nobody").fill("6 x 9", "100", "");
    desk.type("pages", "120");
    desk.bench().layout("Ledger");
    desk.go("/editions/" + desk.id() + "/docket");
    desk.type("pages", "320");
    // 200 × 0.002252 in
    assertThat(desk.page.locator("#changes"))
        .hasText(
            Pattern.compile(
                "Changed: spine \\+0\\.4504 in;.* pieces kept their places;.* nothing new to mend\\."));
  }

  @Test
  public void anotherHouseBringsItsPapersAndItsUnit() {
    Desk desk = Desk.open().makeTitle("Two houses", "Nobody").fill("6 x 9", "320", "");
    desk.choose("house", "osier-row");
    assertThat(desk.page.locator("#msg-stock")).containsText("other papers");
    assertThat(desk.page.locator("#stock")).hasValue("bulky-80");
    // 320 × 80 × 1.8 ÷ 2000 = 23.04, up to the next 0.5 mm
    assertThat(desk.page.locator("#m-spine")).hasText("23.5 mm");
    // the unit is the house's at once, in the switch and beside the fields
    assertThat(desk.page.locator("#units [value=mm]")).hasAttribute("aria-pressed", "true");
    assertThat(desk.page.locator("#units [value=in]")).hasAttribute("aria-pressed", "false");
    assertThat(desk.page.locator("label[for=trim]")).containsText("mm");
    // the docket still saves after its lists were exchanged
    desk.type("pages", "160");
    assertThat(desk.page.locator("#m-spine")).hasText("12 mm"); // 11.52
    desk.page.reload();
    assertThat(desk.page.locator("#pages")).hasValue("160");
    assertThat(desk.page.locator("#house")).hasValue("osier-row");
  }

  @Test
  public void theUnitInForceIsShownAndTypedIn() {
    Desk desk = Desk.open().makeTitle("Units", "Nobody").fill("6 x 9", "100", "");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show millimetres"))
        .click();
    assertThat(desk.page.locator("#trim")).hasValue("152.4 × 228.6 mm");
    assertThat(desk.page.locator("#m-spine")).hasText("5.72008 mm");
    desk.type("trim", "127 x 203.2");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show inches"))
        .click();
    assertThat(desk.page.locator("#trim")).hasValue("5 × 8 in");
  }

  @Test
  public void rightToLeftPutsTheFrontOnTheLeft() {
    Desk desk = Desk.open().makeTitle("Turned", "Nobody").fill("6 x 9", "320", "");
    assertThat(desk.page.locator(".panel-name")).hasText(new String[] {"Back", "Spine", "Front"});
    desk.choose("turn", "rtl");
    assertThat(desk.page.locator(".panel-name")).hasText(new String[] {"Front", "Spine", "Back"});
    assertThat(desk.page.locator("#changes")).containsText("changed sides");
  }

  @Test
  public void twoWindowsDoNotOverwriteEachOther() {
    Desk one = Desk.open().makeTitle("Two windows", "Nobody").fill("6 x 9", "100", "");
    Desk two = Desk.open();
    two.go("/editions/" + one.id() + "/docket");
    one.type("pages", "200");
    two.page.locator("#pages").fill("300");
    assertThat(two.page.locator("#message")).containsText("another window");
    assertThat(two.page.locator("#pages")).hasValue("300");
    assertThat(two.page.locator("#saved")).containsText("Not saved");
    one.page.reload();
    assertThat(one.page.locator("#pages")).hasValue("200");
  }

  @Test
  public void aLostConnectionIsSaid() {
    Desk desk = Desk.open().makeTitle("Lost", "Nobody").fill("6 x 9", "100", "");
    desk.page.context().setOffline(true);
    desk.page.locator("#pages").fill("200");
    assertThat(desk.page.locator("#message")).containsText("connection to Reglet is lost");
    assertThat(desk.page.locator("#saved")).containsText("Not saved");
    desk.page.context().setOffline(false);
    desk.type("pages", "220");
    assertThat(desk.page.locator("#m-spine")).hasText("0.49544 in");
    assertThat(desk.page.locator("#message")).hasText("");
  }

  @Test
  public void hugeAndStrangeTextsAreKeptOrRefused() {
    Desk desk =
        Desk.open().makeTitle("<b>Bold & “quoted”</b>", "日本 \u202Eauthor").fill("6 x 9", "100", "");
    assertThat(desk.page.locator(".whereabouts .book")).hasText("<b>Bold & “quoted”</b>");
    desk.page.locator("#title").fill("x".repeat(501));
    assertThat(desk.page.locator("#msg-title")).containsText("501 characters");
    desk.page.locator("#title").fill("");
    assertThat(desk.page.locator("#msg-title")).containsText("can't be empty");
    desk.page.locator("#blurb").fill("y".repeat(20_001));
    assertThat(desk.page.locator("#msg-blurb")).containsText("20001 characters");
    desk.page.reload();
    assertThat(desk.page.locator("#title")).hasValue("<b>Bold & “quoted”</b>");
    desk.bench().layout("Axis");
    // no shipped face has these signs: a finding, not a failure
    assertThat(desk.page.locator("#notes")).containsText(Pattern.compile("which .* can't print"));
  }

  @Test
  public void aTitleNeedsAName() {
    Page page = Live.reglet().page();
    page.navigate("/titles");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make title")).click();
    assertThat(page.locator("#title-problem")).containsText("needs a name");
    assertThat(page.url()).endsWith("/titles");
  }

  @Test
  public void anotherHouseLeavesTheRowOfTrimAndPagesAndTheHeaderSaysIt() {
    java.util.List<String> errors = new java.util.ArrayList<>();
    Desk desk = Desk.open();
    desk.page.onConsoleMessage(
        m -> {
          if (m.type().equals("error")) {
            errors.add(m.text());
          }
        });
    desk.makeTitle("Rows", "Edda Marsh").fill("6 x 9", "320", "");
    desk.choose("house", "osier-row").choose("house", "dunlin-casebinders");
    desk.choose("binding", "dust-jacket").choose("house", "whimbrel-digital");
    assertThat(desk.page.locator("#whereabouts")).containsText("Whimbrel Digital");
    double trim = desk.page.locator("#trim").boundingBox().y;
    assertThat(desk.page.locator("#pages").boundingBox().y).isEqualTo(trim);
    assertThat(desk.page.locator("#spread").boundingBox().y).isEqualTo(trim);
    desk.type("title", "Rows renamed");
    assertThat(desk.page.locator("#whereabouts")).containsText("Rows renamed");
    assertThat(errors).isEmpty();
  }

  @Test
  public void aCountThatCantBeReadIsToldInTheMeasureLineAndUnderItsField() {
    Desk desk = Desk.open().makeTitle("Unread", "Edda Marsh").fill("6 x 9", "320", "");
    for (String wrong : new String[] {"abc", "0"}) {
      desk.type("pages", wrong);
      assertThat(desk.page.locator("#measure-line")).containsText("pages as typed can’t be read");
      assertThat(desk.page.locator("#measure-line")).not().containsText("nothing to mend");
      var message = desk.page.locator("#msg-pages").boundingBox();
      var field = desk.page.locator("#pages").boundingBox();
      assertThat(message.y).isBetween(field.y + field.height - 1, field.y + field.height + 30);
    }
    desk.type("pages", "300");
    assertThat(desk.page.locator("#measure-line")).containsText("nothing to mend");
  }

  @Test
  public void anEbookIsNotAskedForPagesAndItsTypeGoesWithItsSize() {
    Desk desk = Desk.open().makeTitle("On a screen", "Edda Marsh");
    desk.choose("house", "lantern-shelf");
    for (String field : new String[] {"pages", "spread", "stock", "turn"}) {
      assertThat(desk.page.locator("#" + field)).hasCount(0);
    }
    desk.type("trim", "1000 x 1600 px");
    desk.bench().layout("Ledger");
    assertThat(
            desk.page.locator(
                "#add-what option[value^=spine], #add-what option[value^=back], #add-what option[value=barcode]"))
        .hasCount(0);
    double[] before = desk.box("title");
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    desk.type("trim", "1600 x 2560 px");
    desk.bench();
    double[] after = desk.box("title");
    org.assertj.core.api.Assertions.assertThat(after[3])
        .isCloseTo(before[3] * 1.6, org.assertj.core.api.Assertions.within(0.001));
    assertThat(desk.page.locator("#undo")).hasAttribute("title", "Undo: Scaled to 1600 × 2560 px");
  }
}
