package app.reglet.press.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Tool;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Lines are shaped as the reference program of the shaping library does it, glyph by glyph, and
 * stand in the order of Unicode Standard Annex #9.
 */
public class ShapingTest {
  /** One glyph of {@code hb-shape}: id, cluster, offsets where they aren't nought, advances. */
  private static final Pattern GLYPH =
      Pattern.compile("(\\d+)=(\\d+)(?:@(-?\\d+),(-?\\d+))?\\+(-?\\d+)(?:,-?\\d+)?");

  @DataProvider
  Object[][] lines() {
    return new Object[][] {
      {"spectral", "The office of affluent fishermen: AVTo Thrift"},
      {"eb-garamond-italic", "Quay fjord, official affidavit"},
      {"vollkorn", "Η θάλασσα και ο άνεμος, Ωρίων"},
      {"literata", "Солёная вода и ветер, Ёлка"},
      {"amiri", "الملح والبحر ولا إله"},
      {"amiri", "البَحْرُ المَالِحُ"},
      {"noto-naskh-arabic", "دفتر الملح"},
      {"reem-kufi-bold", "مكتبة الشاطئ"},
      {"frank-ruhl-libre", "ספר המלח והים"},
      {"david-libre", "שָׁלוֹם יָם"},
    };
  }

  @Test(dataProvider = "lines")
  public void glyphsStandWhereTheReferenceProgramPutsThem(String id, String text) {
    Typeface face = Typefaces.shipped().get(id);
    Path font = Tool.file("face.ttf", face.file());
    Path words = Tool.file("words.txt", text.getBytes(StandardCharsets.UTF_8));
    String said =
        Tool.ok(
            "hb-shape",
            "--no-glyph-names",
            "--font-size=1000",
            "--font-file=" + font,
            "--text-file=" + words);
    boolean leftwards = new java.text.Bidi(text, -2).isRightToLeft();
    ShapedLine line = face.shape(text, 0, leftwards);
    List<Integer> ids = new ArrayList<>();
    List<double[]> places = new ArrayList<>();
    double pen = 0;
    for (Matcher m = GLYPH.matcher(said); m.find(); pen += Integer.parseInt(m.group(5))) {
      ids.add(Integer.parseInt(m.group(1)));
      double dx = m.group(3) == null ? 0 : Integer.parseInt(m.group(3));
      double dy = m.group(4) == null ? 0 : Integer.parseInt(m.group(4));
      places.add(new double[] {(pen + dx) / 1000, -dy / 1000});
    }
    assertThat(ids).hasSizeGreaterThan(7);
    assertThat(Arrays.stream(line.glyphs()).boxed().toList()).isEqualTo(ids);
    for (int i = 0; i < ids.size(); i++) {
      // the program rounds each figure to a thousandth
      assertThat(line.x()[i]).as("x of %d", i).isCloseTo(places.get(i)[0], within(0.001 * (i + 2)));
      assertThat(line.y()[i]).as("y of %d", i).isCloseTo(places.get(i)[1], within(0.002));
    }
    assertThat(line.advance()).isCloseTo(pen / 1000, within(0.001 * (ids.size() + 1)));
  }

  /** The letters of a line as they are seen from left to right. */
  private static String seen(String face, String text, boolean leftwards) {
    ShapedLine line = Typefaces.shipped().get(face).shape(text, 0, leftwards);
    return Arrays.stream(line.chars())
        .mapToObj(i -> text.substring(i, i + 1))
        .collect(Collectors.joining());
  }

  /**
   * Unicode Standard Annex #9, 3.4 "Reordering Resolved Levels", its examples of rule L2, with
   * Hebrew letters where the annex writes capitals.
   */
  @Test
  public void stretchesStandInTheOrderOfTheAnnexsExamples() {
    // "car means CAR." in a paragraph from left to right: car means RAC.
    assertThat(seen("frank-ruhl-libre", "car means רכב.", false)).isEqualTo("car means בכר.");
    // "<car MEANS CAR.=" in a paragraph from right to left: .RAC SNAEM car
    assertThat(seen("frank-ruhl-libre", "car פירוש רכב.", true)).isEqualTo(".בכר שוריפ car");
    // numbers run from left to right within words that run from right to left
    assertThat(seen("frank-ruhl-libre", "דף 123 מתוך", true)).isEqualTo("ךותמ 123 ףד");
  }

  @Test
  public void joinedLettersStayJoinedHoweverWideOthersAreSpaced() {
    Typeface amiri = Typefaces.shipped().get("amiri");
    assertThat(amiri.shape("البحر", 0.2, true).advance())
        .isCloseTo(amiri.shape("البحر", 0, true).advance(), within(1e-9));
    Typeface david = Typefaces.shipped().get("david-libre");
    assertThat(david.shape("ימים", 0.2, true).advance())
        .isCloseTo(david.shape("ימים", 0, true).advance() + 3 * 0.2, within(1e-6));
  }
}
