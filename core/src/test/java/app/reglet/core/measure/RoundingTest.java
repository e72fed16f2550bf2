package app.reglet.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How houses state figures. A tie goes up (DIN 1333, from memory), not to the even digit. */
public class RoundingTest {
  @DataProvider
  Object[][] figures() {
    return new Object[][] {
      // the exact figure, then what it becomes to the nearest hundredth, up and down
      {"0.125", "0.13", "0.13", "0.12"},
      {"0.135", "0.14", "0.14", "0.13"},
      {"0.1249", "0.12", "0.13", "0.12"},
      {"0.1251", "0.13", "0.13", "0.12"},
      {"0.12", "0.12", "0.12", "0.12"},
      {"12.445", "12.45", "12.45", "12.44"},
    };
  }

  @Test(dataProvider = "figures")
  public void aTieGoesUpAndTheOtherWaysGoTheirs(
      String exact, String nearest, String up, String down) {
    String[] expected = {nearest, up, down};
    for (Rounding.Mode mode : Rounding.Mode.values()) {
      assertThat(Rounding.decimals(2, Unit.IN, mode).apply(Length.parse(exact, Unit.IN)))
          .as(mode.name())
          .isEqualTo(Length.parse(expected[mode.ordinal()], Unit.IN));
    }
  }
}
