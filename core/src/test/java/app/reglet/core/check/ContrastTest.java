package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Colour;
import app.reglet.core.design.LinearLight;
import app.reglet.core.measure.Length;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ContrastTest {
  /**
   * Published examples: W3C, Understanding SC 1.4.3 and its techniques G18 and G145; from memory.
   */
  @DataProvider
  Object[][] published() {
    return new Object[][] {
      {0x000000, 0xffffff, 21.0},
      {0x777777, 0xffffff, 4.48},
      {0x767676, 0xffffff, 4.54},
      {0x949494, 0xffffff, 3.03},
      {0xff0000, 0xffffff, 4.0},
      {0x0000ff, 0xffffff, 8.59},
      {0x00ff00, 0xffffff, 1.37},
      {0x123456, 0x123456, 1.0},
    };
  }

  @Test(dataProvider = "published")
  public void ratiosAreThoseThatArePublished(int a, int b, double ratio) {
    assertThat(Contrast.ratio(a, b)).isCloseTo(ratio, within(0.005));
    assertThat(Contrast.ratio(b, a)).isEqualTo(Contrast.ratio(a, b));
  }

  @Test
  public void largeTypeNeedsLess() {
    assertThat(Contrast.least(Length.pt("17.9"))).isEqualTo(4.5);
    assertThat(Contrast.least(Length.pt("18"))).isEqualTo(3);
  }

  @Test
  public void theNearestColourPassesAndOneStepLessDoesNot() {
    double grey = LinearLight.luminance(0xbbbbbb);
    Colour.Rgb found = Contrast.nearest(0x808080, grey, grey, 4.5).orElseThrow();
    assertThat(Contrast.ratio(found.rgb(), 0xbbbbbb)).isGreaterThanOrEqualTo(4.5);
    int lighter = found.rgb() + 0x030303;
    assertThat(Contrast.ratio(lighter, 0xbbbbbb)).isLessThan(4.5);
    assertThat(Contrast.nearest(0x804020, 0, 1, 4.6)).isEmpty();
    assertThat(Contrast.nearest(0xffffff, 0, 0, 4.5)).contains(Colour.WHITE);
  }
}
