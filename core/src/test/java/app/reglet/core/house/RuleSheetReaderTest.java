package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.wrap.ExampleRun;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class RuleSheetReaderTest {
  @Test
  public void shippedSheetsAgreeWithTheirExamples() {
    for (String id :
        new String[] {
          "gannet-and-gauge",
          "osier-row",
          "dunlin-casebinders",
          "whimbrel-digital",
          "sandling-and-daughters"
        }) {
      RuleSheet sheet = ExampleRun.readAndProve(Houses.text(id));
      assertThat(sheet.id()).isEqualTo(id);
      assertThat(ExampleRun.runAll(sheet)).isNotEmpty().allMatch(ExampleRun::agrees);
    }
  }

  @Test
  public void aSheetThatDisagreesIsRefusedWithBothNumbers() {
    String wrong = Houses.text("gannet-and-gauge").replace("\"0.2252 in\"", "\"0.2352 in\"");
    assertThatThrownBy(() -> ExampleRun.readAndProve(wrong))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("0.2352 in")
        .hasMessageContaining("0.2252 in");
  }

  @DataProvider
  Object[][] broken() {
    return new Object[][] {
      // what is replaced, by what, the field or word the refusal must name
      {"\"unit\": \"in\"", "\"unit\": \"ell\"", "unit"},
      {"\"bleed\": \"0.125 in\"", "\"bleed\": 3", "bindings[0].bleed"},
      {"\"bleed\": \"0.125 in\"", "\"bleed\": \"-3 mm\"", "negative"},
      {"\"bleed\": \"0.125 in\"", "\"bleed\": \"wide\"", "bindings[0].bleed"},
      {"\"bleed\": \"0.125 in\"", "\"bled\": \"0.125 in\"", "bindings[0].bleed"},
      {"\"bleed\": \"0.125 in\"", "\"bleed\": \"0.125 in\", \"colour\": 1", "bindings[0].colour"},
      {"\"least\": 24, \"most\": 842", "\"least\": 24, \"most\": 12", "most"},
      {"\"kind\": \"caliper-per-page\"", "\"kind\": \"guesswork\"", "guesswork"},
      {"\"stocks\": [\"white\"], \"kind\"", "\"stocks\": [\"blue\"], \"kind\"", "blue"},
      {"\"id\": \"cream\"", "\"id\": \"white\"", "twice"},
      {"\"tolerance\": \"0.02 in\"", "\"tolerance\": null", "tolerance"},
      {"\"format\": \"reglet-rule-sheet/1\"", "\"format\": \"reglet-rule-sheet/9\"", "format"},
      {"\"id\": \"gannet-and-gauge\"", "\"id\": \"Gannet & Gauge\"", "id"},
      {
        "\"binding\": \"perfect-bound\",\n      \"spine\"",
        "\"binding\": \"sewn\",\n      \"spine\"",
        "sewn"
      },
      {"\"name\": \"Gannet & Gauge\"", "\"name\": \"a\", \"name\": \"b\"", "JSON"},
      {"\"pages\": 100", "\"pages\": 100.5", "whole number"},
      {"\"pages\": 100", "\"pages\": 1e30", "whole number"},
    };
  }

  @Test(dataProvider = "broken")
  public void refusesNamingTheField(String from, String to, String named) {
    String text = Houses.text("gannet-and-gauge");
    assertThat(text).contains(from);
    assertThatThrownBy(() -> RuleSheetReader.read(text.replace(from, to)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(named);
  }

  @Test
  public void refusesWhatIsNoDocument() {
    for (String bad : new String[] {"", "[]", "3", "{", "{} {}", "{}", "null", "\u0000"}) {
      assertThatThrownBy(() -> RuleSheetReader.read(bad)).isInstanceOf(Refusal.class);
    }
    String deep = "[".repeat(100_000);
    assertThatThrownBy(() -> RuleSheetReader.read(deep)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> RuleSheetReader.read(" ".repeat(10_000_000)))
        .hasMessageContaining("characters");
  }
}
