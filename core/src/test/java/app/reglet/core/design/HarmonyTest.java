package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class HarmonyTest {
  /**
   * Lightness, a and b of the primaries: published with the space, to three places; from memory.
   */
  @DataProvider
  Object[][] published() {
    return new Object[][] {
      {0xffffff, 1.0, 0.0, 0.0},
      {0x000000, 0.0, 0.0, 0.0},
      {0xff0000, 0.628, 0.225, 0.126},
      {0x00ff00, 0.866, -0.234, 0.179},
      {0x0000ff, 0.452, -0.032, -0.312},
    };
  }

  @Test(dataProvider = "published")
  public void theSpaceIsTheOneThatWasPublished(int rgb, double l, double a, double b) {
    double[] lab = Oklab.lab(rgb);
    assertThat(lab[0]).isCloseTo(l, within(0.001));
    assertThat(lab[1]).isCloseTo(a, within(0.001));
    assertThat(lab[2]).isCloseTo(b, within(0.001));
  }

  @Test
  public void everyColourComesBackAsItWas() {
    Random random = new Random(2);
    for (int i = 0; i < 20_000; i++) {
      int rgb = random.nextInt(0x1000000);
      int back = Oklab.of(rgb).rgb();
      for (int shift = 0; shift < 24; shift += 8) {
        assertThat(Math.abs((rgb >> shift & 0xff) - (back >> shift & 0xff)))
            .as(Integer.toHexString(rgb))
            .isLessThanOrEqualTo(1);
      }
    }
  }

  @Test
  public void harmoniesKeepLightnessAndTurnTheHue() {
    Colour.Rgb base = new Colour.Rgb(0xb5482a);
    Oklab from = Oklab.of(base.rgb());
    int[][] turns = {{180}, {-30, 30}, {150, 210}, {120, 240}, {90, 180, 270}};
    for (int h = 0; h < turns.length; h++) {
      var found = Harmony.values()[h].of(base);
      assertThat(found).hasSize(turns[h].length);
      for (int i = 0; i < found.size(); i++) {
        Oklab o = Oklab.of(found.get(i).rgb());
        assertThat(o.lightness()).isCloseTo(from.lightness(), within(0.01));
        double off = Math.abs(o.hue() - (from.hue() + turns[h][i] + 720) % 360);
        assertThat(Math.min(off, 360 - off)).isLessThan(3);
        assertThat(o.chroma()).isLessThanOrEqualTo(from.chroma() + 0.005);
      }
    }
  }

  @Test
  public void shadesHaveTheSameHueAndGrayStaysGray() {
    for (Colour.Rgb c : Harmony.SHADES.of(new Colour.Rgb(0x1f8fb0))) {
      double off = Math.abs(Oklab.of(c.rgb()).hue() - Oklab.of(0x1f8fb0).hue());
      assertThat(off).as(c.text()).isLessThan(4);
    }
    for (Harmony h : Harmony.values()) {
      for (Colour.Rgb c : h.of(new Colour.Rgb(0x808080))) {
        assertThat(Oklab.of(c.rgb()).chroma()).isLessThan(0.004);
      }
    }
  }

  @Test
  public void coloursAreNamedPlainly() {
    assertThat(Oklab.of(0x202b2e).name()).isEqualTo("Dark gray");
    assertThat(Oklab.of(0x6e604e).name()).isEqualTo("Brown");
    assertThat(Oklab.of(0xf2e6cf).name()).isEqualTo("Cream");
    assertThat(Oklab.of(0x2050c0).name()).isEqualTo("Blue");
    assertThat(Oklab.of(0xffffff).name()).isEqualTo("White");
    assertThat(Oklab.of(0x000000).name()).isEqualTo("Black");
  }
}
