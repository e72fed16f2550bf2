package app.reglet.press.colour;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How inks look, against LittleCMS (transicc) with the same profiles. */
public class ProofTableTest {
  @DataProvider
  Object[][] conditions() {
    return new Object[][] {
      {OutputCondition.COATED, false},
      {OutputCondition.COATED, true},
      {OutputCondition.UNCOATED, false},
      {OutputCondition.UNCOATED, true},
      {OutputCondition.WEB_COATED, true}
    };
  }

  /**
   * 200 colours of inks to sRGB: relative or absolute colorimetric. A colour out of the screen's
   * reach is clipped by both; LittleCMS clips in the profile, so those at an edge are left out.
   */
  @Test(dataProvider = "conditions")
  public void inksLookAsLittleCmsSaysTheyDo(OutputCondition condition, boolean paper)
      throws IOException {
    Path icc = Files.write(Scratch.file("c", ".icc"), condition.profile().bytes());
    ProofTable table = ProofTable.of(condition.profile(), paper);
    Random random = new Random(9);
    StringBuilder typed = new StringBuilder();
    int[][] inks = new int[200][4];
    for (int[] ink : inks) {
      for (int i = 0; i < 4; i++) {
        ink[i] = random.nextInt(i == 3 ? 180 : 256);
        typed.append(String.format(java.util.Locale.ROOT, "%.4f%n", ink[i] / 2.55));
      }
    }
    Path in = Files.writeString(Scratch.file("in", ".txt"), typed);
    String said =
        Tool.ok(
            "sh", "-c", "transicc -n -i " + icc + " -o *sRGB -t " + (paper ? 3 : 1) + " < " + in);
    String[] lines =
        said.lines().filter(l -> l.matches("[-\\d. e]*\\d[-\\d. e]*")).toArray(String[]::new);
    assertThat(lines).hasSize(200);
    double sum = 0;
    double most = 0;
    int judged = 0;
    for (int i = 0; i < 200; i++) {
      String[] w = lines[i].strip().split("\\s+");
      int theirs = 0;
      boolean edge = false;
      for (int b = 0; b < 3; b++) {
        int v = (int) Math.round(Double.parseDouble(w[b]));
        edge |= v <= 0 || v >= 255;
        theirs = theirs << 8 | v;
      }
      if (edge) {
        continue;
      }
      int ours = table.rgb(inks[i][0], inks[i][1], inks[i][2], inks[i][3]);
      double apart = Lab.ofScreen(ours).apart(Lab.ofScreen(theirs));
      sum += apart;
      most = Math.max(most, apart);
      judged++;
    }
    assertThat(judged).isGreaterThan(90);
    assertThat(sum / judged).as("mean ΔE2000").isLessThan(0.5);
    assertThat(most).as("largest ΔE2000").isLessThan(2);
  }

  @Test
  public void paperIsWhiteOrItself() {
    assertThat(ProofTable.of(OutputCondition.UNCOATED.profile(), false).rgb(0, 0, 0, 0))
        .isEqualTo(0xffffff);
    int paper = ProofTable.of(OutputCondition.WEB_COATED.profile(), true).rgb(0, 0, 0, 0);
    assertThat(paper).isNotEqualTo(0xffffff);
    assertThat(Lab.ofScreen(paper).l()).isBetween(85.0, 99.0);
  }

  @Test
  public void aColourOutOfReachIsToldFromOneWithin() {
    PressInks inks =
        PressInks.of(OutputCondition.COATED.profile(), app.reglet.core.house.PressRules.SCREEN);
    assertThat(inks.reach(0x00ff00).isWithin()).isFalse();
    assertThat(inks.reach(0x0000ff).isWithin()).isFalse();
    for (int within : new int[] {0x8a6d5b, 0x000000, 0xffffff, 0x333333, 0x1f4b4d, 0xd8b36a}) {
      assertThat(inks.reach(within).isWithin()).as("%06x", within).isTrue();
    }
    // the nearest is within reach itself
    int nearest = inks.reach(0x00ff00).rgb();
    assertThat(inks.reach(nearest).isWithin()).isTrue();
  }
}
