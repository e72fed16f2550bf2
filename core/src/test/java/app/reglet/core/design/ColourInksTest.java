package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How many inks print a colour. */
public class ColourInksTest {
  @DataProvider
  Object[][] colours() {
    return new Object[][] {
      {new Colour.Rgb(0xffffff), 0},
      {new Colour.Rgb(0x000000), 1},
      {new Colour.Rgb(0x777777), 1},
      {new Colour.Rgb(0x777776), 3},
      {new Colour.Cmyk(0, 0, 0, 0), 0},
      {new Colour.Cmyk(0, 0, 0, 100), 1},
      {new Colour.Cmyk(60, 40, 0.5, 100), 4},
      {new Colour.Gray(0), 0},
      {new Colour.Gray(40), 1},
    };
  }

  @Test(dataProvider = "colours")
  public void inksAreCounted(Colour.Solid colour, int inks) {
    assertThat(colour.inks()).isEqualTo(inks);
  }
}
