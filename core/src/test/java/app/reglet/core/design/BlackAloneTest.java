package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import org.testng.annotations.Test;

/** What is printed with black alone. */
public class BlackAloneTest {
  private static final Length NINE = Length.pt("9");
  private static final Length DISPLAY = Length.pt("60");

  @Test
  public void neutralsOfAnySizeAndNearlyBlackSmallLetters() {
    assertThat(BlackAlone.ofLetters(Colour.BLACK, DISPLAY)).isTrue();
    assertThat(BlackAlone.ofLetters(new Colour.Rgb(0x808080), DISPLAY)).isTrue();
    Colour.Rgb navy = new Colour.Rgb(0x1a2530);
    assertThat(BlackAlone.ofLetters(navy, NINE)).isTrue();
    assertThat(BlackAlone.ofLetters(navy, Length.pt("14"))).isFalse();
    assertThat(BlackAlone.ofLine(navy)).isFalse();
    for (int colour : new int[] {0x1f4b4d, 0x5a2a7a, 0xc23b22, 0x4a1020}) {
      assertThat(BlackAlone.ofLetters(new Colour.Rgb(colour), NINE)).as("%06x", colour).isFalse();
    }
    // inks are what was typed
    assertThat(BlackAlone.ofLetters(new Colour.Cmyk(20, 10, 10, 90), NINE)).isFalse();
  }

  @Test
  public void lettersInBlackAloneAreOfOneInk() {
    assertThat(BlackAlone.inks(new Colour.Rgb(0x1a2530), NINE)).isEqualTo(1);
    assertThat(BlackAlone.inks(new Colour.Rgb(0x1a2530), DISPLAY)).isEqualTo(3);
    assertThat(BlackAlone.inks(Colour.WHITE, NINE)).isZero();
  }

  @Test
  public void aThinBandIsNoGround() {
    assertThat(BlackAlone.isGround(Size.parse("200 x 9 mm", Unit.MM))).isFalse();
    assertThat(BlackAlone.isGround(Size.parse("200 x 10 mm", Unit.MM))).isTrue();
  }
}
