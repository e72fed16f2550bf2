package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.house.grammar.FileNamePattern;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a rule sheet says of the press file. */
public class PressRulesTest {
  private static RuleSheet sheet(String press) {
    String text = Houses.text("gannet-and-gauge");
    String own = text.substring(text.indexOf("\"press\""), text.indexOf("},\n  \"examples\""));
    return RuleSheetReader.read(text.replace(own, press + "\n  "));
  }

  @Test
  public void aSheetThatSaysNothingWantsAPlainPdfInSrgb() {
    PressRules rules = sheet("\"press\": {}").files().press();
    assertThat(rules).isEqualTo(PressRules.SCREEN);
    assertThat(rules.isInks()).isFalse();
  }

  @Test
  public void everyFieldIsRead() {
    PressRules rules =
        sheet(
                "\"press\": { \"standard\": \"x4\", \"colours\": \"cmyk\", \"condition\": \"our-paper\","
                    + " \"intent\": \"perceptual\", \"blackPoint\": \"off\", \"mostInk\": 260,"
                    + " \"richBlack\": \"50/30/30/100\", \"outlines\": true, \"mostPpi\": 500,"
                    + " \"asPicture\": 300, \"names\": \"{isbn}_{kind}\" }")
            .files()
            .press();
    assertThat(rules)
        .isEqualTo(
            new PressRules(
                PressRules.Standard.X4,
                PressRules.Colours.CMYK,
                "our-paper",
                PressRules.Intent.PERCEPTUAL,
                false,
                260,
                new Colour.Cmyk(50, 30, 30, 100),
                true,
                500,
                300,
                new FileNamePattern("{isbn}_{kind}")));
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"\"standard\": \"x1a\"", "in inks"},
      {"\"standard\": \"x4\", \"colours\": \"rgb\"", "in inks"},
      {"\"standard\": \"x3\"", "standard"},
      {"\"richBlack\": \"#000000\"", "cmyk(60, 40, 40, 100)"},
      {"\"richBlack\": \"60/40/40/400\"", "richBlack"},
      {"\"mostInk\": 500", "400"},
      {"\"names\": \"{isbn}_{shelf}\"", "{shelf}"},
      {"\"names\": \"../{title}\"", "character"},
      {"\"condition\": \"Coated Paper\"", "condition"},
      {"\"profile\": \"x\"", "profile"},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatCantBeIsRefusedByName(String press, String said) {
    assertThatThrownBy(() -> sheet("\"press\": { " + press + " }"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(said);
  }

  @Test
  public void aFileOfAStandardIsInInks() {
    assertThat(PressRules.SCREEN.in(PressRules.Standard.X1A).isInks()).isTrue();
    assertThat(PressRules.SCREEN.in(PressRules.Standard.X4).isInks()).isTrue();
    assertThat(PressRules.SCREEN.in(PressRules.Standard.PLAIN).isInks()).isFalse();
  }

  private static final Map<String, String> KNOWN =
      Map.of(
          "kind",
          "spine",
          "title",
          "knots",
          "isbn",
          "9780306406157",
          "date",
          "2026-11-27",
          "number",
          "4",
          "version",
          "12");

  @Test
  public void namesFollowThePatternAndTwoFilesNeverHaveOne() {
    assertThat(new FileNamePattern("{isbn}_{kind}_{date}").name(KNOWN))
        .isEqualTo("9780306406157_spine_2026-11-27_no4");
    assertThat(new FileNamePattern("{number} {title} {kind}").name(KNOWN))
        .isEqualTo("4 knots spine");
    // what is not known leaves no gap
    assertThat(new FileNamePattern("{pages}_{kind}_{trim}_{number}").name(KNOWN))
        .isEqualTo("spine_4");
  }

  @Test
  public void aLongNameIsCutBeforeWhatTellsFilesApart() {
    Map<String, String> known =
        Map.of("title", "𝔸".repeat(60), "author", "b".repeat(60), "number", "17");
    String name = new FileNamePattern("{title}_{author}_{title}").name(known);
    assertThat(name).hasSizeLessThanOrEqualTo(320).endsWith("_no17");
    assertThat(name.codePointCount(0, name.length())).isLessThanOrEqualTo(160);
  }
}
