package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.house.Houses;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How nearly a worked example of a rule sheet must come out: half of the last place it prints. */
public class ExampleRunTest {
  /** 100 pages of 0.002252 in are 0.2252 in; the sheet is 12.4752 × 9.25 in. */
  private static final String INCHES = "gannet-and-gauge";

  /** 320 pages are 23.5 mm, in steps of half a millimetre; the sheet is 325.5 × 216 mm. */
  private static final String METRIC = "osier-row";

  @DataProvider
  Object[][] examples() {
    return new Object[][] {
      {INCHES, "0.2252 in", "0.225 in", true}, // half of a thousandth off at most
      {INCHES, "0.2252 in", "0.226 in", false},
      {INCHES, "0.2252 in", "0.23 in", true}, // 0.0048 of half a hundredth
      {INCHES, "0.2252 in", "0.22 in", false}, // 0.0052
      {INCHES, "0.2252 in", "0.2 in", false}, // a tenth of an inch is no figure of a spine
      {INCHES, "0.2252 in", "0.225", true}, // the sheet's unit
      {INCHES, "0.2252 in", "0.23\\\"", true}, // written with the sign
      {INCHES, "0.2252 in", "5.72 mm", true}, // 5.72008
      {INCHES, "0.2252 in", "5.7 mm", true}, // half a tenth of a millimetre
      {INCHES, "0.2252 in", "5.6 mm", false},
      {INCHES, "0.2252 in", "6 mm", false}, // whole millimetres prove nothing
      {INCHES, "12.48 x 9.25 in", "12.47 x 9.25 in", false}, // 0.0052
      {INCHES, "12.48 x 9.25 in", "12.48 x 9.26 in", false},
      {INCHES, "12.48 x 9.25 in", "12.5 x 9.25 in", false},
      {METRIC, "\"23.5 mm\"", "\"23,5 mm\"", true}, // a comma for a point
      {METRIC, "\"23.5 mm\"", "\"23.4 mm\"", false},
      {METRIC, "\"23.5 mm\"", "\"24 mm\"", false},
      {METRIC, "325.5 x 216 mm", "325.5 x 217 mm", false},
      {METRIC, "325.5 x 216 mm", "326 x 216 mm", false},
    };
  }

  @Test(dataProvider = "examples")
  public void anExampleComesOutWithinHalfOfTheLastPlaceThatItPrints(
      String house, String printed, String other, boolean agrees) {
    String json = Houses.text(house);
    String changed = json.replaceFirst(java.util.regex.Pattern.quote(printed), quoted(other));
    assertThat(changed).isNotEqualTo(json);
    if (agrees) {
      assertThat(ExampleRun.readAndProve(changed).examples()).hasSize(3);
    } else {
      assertThatThrownBy(() -> ExampleRun.readAndProve(changed))
          .isInstanceOf(Refusal.class)
          .hasMessageStartingWith("Worked example 1 does not come out: ")
          .hasMessageContaining(" expected ");
    }
  }

  private static String quoted(String text) {
    return java.util.regex.Matcher.quoteReplacement(text);
  }

  @Test
  public void aDifferenceNamesWhatWasExpectedOfEachFigureAndWhatCameOut() {
    String json = Houses.text(INCHES);
    assertThatThrownBy(
            () ->
                ExampleRun.readAndProve(
                    json.replace("\"spine\": \"0.8 in\", ", "")
                        .replace("13.05 x 9.25", "13.5 x 9.25")))
        .hasMessage(
            "Worked example 2 does not come out: sheet expected 13.5 x 9.25 in, computed 13.05 × 9.25 in.");
    assertThatThrownBy(() -> ExampleRun.readAndProve(json.replace("0.054048", "0.054148")))
        .hasMessage(
            "Worked example 3 does not come out: spine expected 0.054148 in, computed 0.054048 in.");
    assertThatThrownBy(() -> ExampleRun.readAndProve(json.replace("0.8 in", "0.81 in")))
        .hasMessage(
            "Worked example 2 does not come out: spine expected 0.81 in, computed 0.8 in; sheet expected 13.05 x 9.25 in, computed 13.05 × 9.25 in.");
  }
}
