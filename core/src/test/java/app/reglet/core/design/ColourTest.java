package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
}
