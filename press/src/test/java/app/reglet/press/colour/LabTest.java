package app.reglet.press.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LabTest {
  /**
   * Pairs of the test data that Sharma, Wu and Dalal published with their notes on CIEDE2000 (Color
   * Research and Application 30, 2005; from memory).
   */
  @DataProvider
  Object[][] published() {
    return new Object[][] {
      {new Lab(50, 2.6772, -79.7751), new Lab(50, 0, -82.7485), 2.0425},
      {new Lab(50, 3.1571, -77.2803), new Lab(50, 0, -82.7485), 2.8615},
      {new Lab(50, 2.8361, -74.0200), new Lab(50, 0, -82.7485), 3.4412},
      {new Lab(50, -1.3802, -84.2814), new Lab(50, 0, -82.7485), 1.0000},
      {new Lab(50, 0, 0), new Lab(50, -1, 2), 2.3669},
      {new Lab(50, 2.4900, -0.0010), new Lab(50, -2.4900, 0.0009), 7.1792},
      {new Lab(50, 2.4900, -0.0010), new Lab(50, -2.4900, 0.0011), 7.2195},
      {new Lab(50, -0.0010, 2.4900), new Lab(50, 0.0009, -2.4900), 4.8045},
      {new Lab(50, 2.5, 0), new Lab(50, 0, -2.5), 4.3065},
      {new Lab(50, 2.5, 0), new Lab(73, 25, -18), 27.1492},
      {new Lab(50, 2.5, 0), new Lab(61, -5, 29), 22.8977},
      {new Lab(60.2574, -34.0099, 36.2677), new Lab(60.4626, -34.1751, 39.4387), 1.2644},
      {new Lab(63.0109, -31.0961, -5.8663), new Lab(62.8187, -29.7946, -4.0864), 1.2630},
      {new Lab(2.0776, 0.0795, -1.1350), new Lab(0.9033, -0.0636, -0.5514), 0.9082},
    };
  }

  @Test(dataProvider = "published")
  public void differencesAreThosePublished(Lab a, Lab b, double apart) {
    assertThat(a.apart(b)).isCloseTo(apart, within(0.00006));
    assertThat(b.apart(a)).isCloseTo(apart, within(0.00006));
    assertThat(a.apart(a)).isZero();
  }

  /** IEC 61966-2-1's white is the connection space's; its gray of 119 is 50.03 light (from it). */
  @Test
  public void sRgbComesToTheConnectionSpaceAndBack() {
    double[] white = Srgb.xyz(0xffffff);
    for (int i = 0; i < 3; i++) {
      assertThat(white[i]).isCloseTo(Lab.WHITE[i], within(0.0005));
    }
    double[] gray = Srgb.xyz(0x777777);
    assertThat(Lab.of(gray[0], gray[1], gray[2]).l()).isCloseTo(50.03, within(0.02));
    for (int rgb : new int[] {0, 0xffffff, 0x1f4b4d, 0xff0000, 0x00ff00, 0x0000ff, 0x808080}) {
      assertThat(Srgb.rgb(Srgb.xyz(rgb))).isEqualTo(rgb);
      double[] xyz = Srgb.xyz(rgb);
      double[] back = Lab.of(xyz[0], xyz[1], xyz[2]).xyz();
      for (int i = 0; i < 3; i++) {
        assertThat(back[i]).isCloseTo(xyz[i], within(1e-12));
      }
    }
  }
}
