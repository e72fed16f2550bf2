package app.reglet.press.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Profiles that people bring: good ones are used, others get a sentence. */
public class PressProfileTest {
  private static byte[] good() {
    return OutputCondition.COATED.profile().bytes();
  }

  private static byte[] with(int at, String word) {
    byte[] bytes = good();
    System.arraycopy(word.getBytes(StandardCharsets.US_ASCII), 0, bytes, at, word.length());
    return bytes;
  }

  @DataProvider
  Object[][] wrong() {
    byte[] screen = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
    byte[] zeroed = good();
    Arrays.fill(zeroed, 132 + 12 * 12, zeroed.length, (byte) 0);
    return new Object[][] {
      {"nothing", new byte[0], "no ICC profile"},
      {"a text", "a book of salt".repeat(40).getBytes(StandardCharsets.UTF_8), "no ICC profile"},
      {"cut short", Arrays.copyOf(good(), good().length / 2), "cut short: it says it has"},
      {"of a screen", screen, "is of a screen in “RGB”"},
      {"of a scanner", with(12, "scnr"), "is of a scanner or camera in four inks"},
      {"of another space", with(16, "RGB "), "in “RGB”"},
      {"a link", with(12, "link"), "a link of two devices"},
      {"without its tables", zeroed, ""},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsNoPressProfileGetsASentence(String what, byte[] bytes, String sentence) {
    assertThatThrownBy(() -> PressProfile.of(bytes))
        .as(what)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(sentence);
  }

  /** Whatever bytes are spoiled, it is used or refused; nothing else happens. */
  @Test
  public void aSpoiledProfileIsUsedOrRefused() {
    Random random = new Random(5);
    int refused = 0;
    for (int i = 0; i < 60; i++) {
      byte[] bytes = good();
      for (int j = 0; j < 1 + i % 8; j++) {
        bytes[random.nextInt(i % 2 == 0 ? 400 : bytes.length)] = (byte) random.nextInt();
      }
      try {
        PressProfile.of(bytes);
      } catch (Refusal r) {
        refused++;
        assertThat(r.getMessage()).endsWith(".");
      }
    }
    assertThat(refused).isPositive();
  }

  @Test
  public void theShippedOnesPrintPaperWhiteAndBlackDarkAndUncoatedLessOfBoth() {
    double[] black = {0.6, 0.5, 0.5, 1};
    for (OutputCondition c : OutputCondition.values()) {
      PressProfile p = c.profile();
      assertThat(p.lab(new double[4]).apart(new Lab(100, 0, 0))).as(c + " paper").isLessThan(0.5);
      assertThat(p.lab(black).l()).as(c + " black").isLessThan(35);
      int white = InkTable.of(p, Rendering.USUAL, 4).packed(0xffffff);
      assertThat(white).as(c + " white is bare paper").isZero();
    }
    assertThat(OutputCondition.UNCOATED.profile().lab(black).l())
        .isGreaterThan(OutputCondition.COATED.profile().lab(black).l() + 5);
  }
}
