package app.reglet.press.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Emphasised;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import java.awt.geom.Rectangle2D;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Words stand by the middle of their letters, whatever hangs from them: measured in their ink. */
public class OpticalCentringTest {
  private static final double ACROSS = 12;

  @DataProvider
  Object[][] faces() {
    return Stream.of(
            "spectral-bold", "playfair-display", "oswald", "work-sans", "alegreya-italic", "rye")
        .map(f -> new Object[] {f})
        .toArray(Object[][]::new);
  }

  private static SetWords set(String face, String text, Setting.VerticalAlign by, String pt) {
    Words words =
        Words.of(null, text, face, Length.pt(pt), Colour.BLACK).aligned(Setting.Align.LEFT, by);
    return Setter.set(words, Emphasised.plain(text), Typefaces.shipped(), "en", 160, ACROSS);
  }

  /** The middle of the ink of some letters in the first line, mm from the top of the frame. */
  private static double middle(SetWords set, String face, String letters) {
    Rectangle2D ink = Typefaces.shipped().get(face).shape(letters, 0).ink();
    return set.lines().get(0).baseline() + ink.getCenterY() * set.size();
  }

  @Test(dataProvider = "faces")
  public void capitalsOrSmallLettersStandInTheMiddleWithinFiveHundredths(String face) {
    SetWords capitals = set(face, "Hythe Jetty", Setting.VerticalAlign.CAPITALS, "14");
    assertThat(middle(capitals, face, "HEI")).isCloseTo(ACROSS / 2, within(0.05));
    SetWords small = set(face, "Hythe Jetty", Setting.VerticalAlign.SMALL_LETTERS, "14");
    assertThat(middle(small, face, "xz")).isCloseTo(ACROSS / 2, within(0.05));
    assertThat(small.lines().get(0).baseline()).isLessThan(capitals.lines().get(0).baseline());
  }

  @Test(dataProvider = "faces")
  public void asLargeAsFitsIsAsLargeAsTheirInkLets(String face) {
    for (String text : new String[] {"HEIX", "Hythe Jetty", "axe"}) {
      SetWords set = set(face, text, Setting.VerticalAlign.CAPITALS, "200");
      Rectangle2D ink = set.lines().get(0).line().ink();
      double top = set.lines().get(0).baseline() + ink.getMinY() * set.size();
      double bottom = set.lines().get(0).baseline() + ink.getMaxY() * set.size();
      assertThat(set.overflowing()).isFalse();
      assertThat(top).isGreaterThanOrEqualTo(-1e-6);
      assertThat(bottom).isLessThanOrEqualTo(ACROSS + 1e-6);
      // a tenth of a point more would not fit: sizes are found in such steps
      assertThat(Math.min(top, ACROSS - bottom)).isLessThan(0.04);
    }
  }

  @Test
  public void twoLinesStandByTheMiddleOfBoth() {
    SetWords set = set("spectral", "HEI\nHEI", Setting.VerticalAlign.CAPITALS, "12");
    double above = middle(set, "spectral", "HEI");
    double below = above + set.lines().get(1).baseline() - set.lines().get(0).baseline();
    assertThat((above + below) / 2).isCloseTo(ACROSS / 2, within(1e-6));
  }
}
