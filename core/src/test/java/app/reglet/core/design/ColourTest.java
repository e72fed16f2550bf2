package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ColourTest {
  @DataProvider
  public Object[][] typed() {
    return new Object[][] {
      {"#1f4b4d", new Colour.Rgb(0x1f4b4d)},
      {" 1F4B4D ", new Colour.Rgb(0x1f4b4d)},
      {"#fff", new Colour.Rgb(0xffffff)},
      {"rgb(31, 75, 77)", new Colour.Rgb(0x1f4b4d)},
      {"RGB 31 75 77", new Colour.Rgb(0x1f4b4d)},
      {"cmyk(60, 40, 40, 100)", new Colour.Cmyk(60, 40, 40, 100)},
      {"C60 M40 Y40 K100", new Colour.Cmyk(60, 40, 40, 100)},
      {"c60m40y40k100", new Colour.Cmyk(60, 40, 40, 100)},
      {"60/40/40/100", new Colour.Cmyk(60, 40, 40, 100)},
      {"60 % 40 % 40.5 % 100 %", new Colour.Cmyk(60, 40, 40.5, 100)},
      {"gray(50)", new Colour.Gray(50)},
      {"grey 12.5%", new Colour.Gray(12.5)},
      {"K 100", new Colour.Gray(100)},
      {"swatch(Sea at dusk)", new Colour.Swatch("Sea at dusk")}
    };
  }

  @Test(dataProvider = "typed")
  public void aColourIsReadAsPeopleTypeItAndReadsBackFromItsText(String typed, Colour colour) {
    assertThat(Colour.parse(typed)).isEqualTo(colour);
    assertThat(Colour.parse(colour.text())).isEqualTo(colour);
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {""},
      {"#12"},
      {"#ggg"},
      {"rgb(256, 0, 0)"},
      {"cmyk(101, 0, 0, 0)"},
      {"cmyk(1, 2, 3)"},
      {"10 20 30"},
      {"gray(-1)"},
      {"swatch()"},
      {"blue"},
      {"x".repeat(5000)}
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsNoColourIsRefusedInASentence(String typed) {
    assertThatThrownBy(() -> Colour.parse(typed))
        .isInstanceOf(Refusal.class)
        .hasMessageEndingWith(".")
        .satisfies(e -> assertThat(e.getMessage().length()).isLessThan(300));
  }

  @Test
  public void anInkOfItsOwnIsReadAsItIsWritten() {
    Colour.Spot sea = new Colour.Spot("Sea green 3", new Colour.Cmyk(80, 10, 45.5, 0), 100);
    assertThat(sea.text()).isEqualTo("spot(Sea green 3, 80, 10, 45.5, 0)");
    assertThat(Colour.parse(sea.text())).isEqualTo(sea);
    Colour.Spot half = new Colour.Spot("Sea green 3", sea.alternate(), 50);
    assertThat(Colour.parse(half.text())).isEqualTo(half);
    assertThat(half.inFour()).isEqualTo(new Colour.Cmyk(40, 5, 22.75, 0));
    assertThat(half.inks()).isEqualTo(1);
    assertThat(Colour.parse("SPOT( Rust ,0 80 90 10 )"))
        .isEqualTo(new Colour.Spot("Rust", new Colour.Cmyk(0, 80, 90, 10), 100));
    for (String wrong :
        new String[] {
          "spot(Cyan, 100, 0, 0, 0)", "spot(all, 0, 0, 0, 100)", "spot(, 1, 2, 3, 4)",
          "spot(Rust, 1, 2, 3)", "spot(Rust, 1, 2, 3, 400)", "spot(Rust, 1, 2, 3, 4, 101)"
        }) {
      assertThatThrownBy(() -> Colour.parse(wrong)).as(wrong).isInstanceOf(Refusal.class);
    }
  }

  /** The weights of red, green and blue are those of Rec. 709, which IEC 61966-2-1 takes over. */
  @Test
  public void greenIsTheLightestOfTheThreeAndWhiteIsAllOfThem() {
    assertThat(new Colour.Rgb(0xff0000).lightness()).isCloseTo(0.2126, within(1e-9));
    assertThat(new Colour.Rgb(0x00ff00).lightness()).isCloseTo(0.7152, within(1e-9));
    assertThat(new Colour.Rgb(0x0000ff).lightness()).isCloseTo(0.0722, within(1e-9));
    assertThat(new Colour.Rgb(0xffffff).lightness()).isCloseTo(1, within(1e-9));
    assertThat(new Colour.Rgb(0x804020).lightness())
        .isCloseTo((0.2126 * 128 + 0.7152 * 64 + 0.0722 * 32) / 255, within(1e-9));
  }

  @Test
  public void aShareOfAnotherColourIsMixedInValueByValue() {
    assertThat(LinearLight.mixed(0x204060, 0xffffff, 0)).isEqualTo(0x204060);
    assertThat(LinearLight.mixed(0x204060, 0xf0e0d0, 1)).isEqualTo(0xf0e0d0);
    assertThat(LinearLight.mixed(0x204060, 0x60c020, 0.25)).isEqualTo(0x306050);
    assertThat(LinearLight.mixed(0x000000, 0xffffff, 0.5)).isEqualTo(0x808080);
  }

  /** The curve of sRGB has a straight piece near black (IEC 61966-2-1). */
  @Test
  public void lightAndValueAreEachOthersInverse() {
    for (int v = 0; v < 256; v++) {
      assertThat(LinearLight.value(LinearLight.of(v))).isEqualTo(v);
    }
    assertThat(LinearLight.value(0.002)).isEqualTo((int) Math.round(255 * 12.92 * 0.002));
    assertThat(LinearLight.value(-1)).isZero();
    assertThat(LinearLight.value(7)).isEqualTo(255);
  }
}
