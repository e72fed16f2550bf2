package app.reglet.press.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Tool;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Features are put to use as the reference program of the shaping library does it. */
public class FeaturesTest {
  private static final Pattern GLYPH = Pattern.compile("(\\d+)=\\d+(?:@-?\\d+,-?\\d+)?\\+(-?\\d+)");

  @DataProvider
  Object[][] lines() {
    return new Object[][] {
      {"eb-garamond", "maren aldous, official 1984", List.of("smcp")},
      {"eb-garamond", "Maren Aldous & 1984", List.of("c2sc", "smcp", "onum")},
      {"alegreya", "To Edda Marsh 2026", List.of("smcp", "lnum")},
      {"eb-garamond-italic", "Quay & The Act", List.of("swsh", "hlig")},
      {"inter", "0123 a1 Illegal", List.of("zero", "ss01", "tnum")},
      {"great-vibes", "Hythe and Fleet", List.of("ss01")},
      {"bitter", "pale sand", List.of("smcp")},
      {
        "cormorant-garamond",
        "Quick zero 0123 acts a g",
        List.of("dlig", "hlig", "onum", "smcp", "ss01", "ss03", "zero")
      },
      {"cormorant-garamond", "The ocean acts", List.of("dlig", "onum", "ss01", "smcp")},
    };
  }

  @Test(dataProvider = "lines")
  public void glyphsAreThoseOfTheReferenceProgram(String id, String text, List<String> tags) {
    Typeface face = Typefaces.shipped().get(id);
    assertThat(face.features()).containsKeys(tags.toArray(String[]::new));
    Path font = Tool.file("face.ttf", face.file());
    Path words = Tool.file("words.txt", text.getBytes(StandardCharsets.UTF_8));
    String said =
        Tool.ok(
            "hb-shape",
            "--no-glyph-names",
            "--font-size=1000",
            "--features=" + String.join(",", tags),
            "--font-file=" + font,
            "--text-file=" + words);
    List<Integer> ids = new ArrayList<>();
    double pen = 0;
    for (Matcher m = GLYPH.matcher(said); m.find(); pen += Integer.parseInt(m.group(2))) {
      ids.add(Integer.parseInt(m.group(1)));
    }
    Style with = new Style(face, 1, tags, Style.Drawn.AS_WRITTEN);
    SetLine line = Shaping.line(text, Collections.nCopies(text.length(), with), 0, false);
    assertThat(Arrays.stream(line.parts().get(0).line().glyphs()).boxed().toList()).isEqualTo(ids);
    assertThat(line.advance()).isCloseTo(pen / 1000, within(0.001 * (ids.size() + 1)));
    ShapedLine plain = face.shape(text, 0);
    assertThat(plain.glyphs())
        .as("it is not what comes of itself")
        .isNotEqualTo(line.parts().get(0).line().glyphs());
  }

  @Test
  public void aStylisticSetIsCalledWhatTheFontCallsIt() {
    assertThat(Typefaces.shipped().get("alegreya").features())
        .containsEntry("ss01", "Stylistic set 1: Roman numerals")
        .containsEntry("smcp", "Small capitals");
    assertThat(Typefaces.shipped().get("oswald").features()).doesNotContainKey("smcp");
  }

  @Test
  public void aFeatureThatAFaceHasNotIsWithoutEffect() {
    Typeface face = Typefaces.shipped().get("abril-fatface");
    Style with = new Style(face, 1, List.of("smcp", "zzzz"), Style.Drawn.AS_WRITTEN);
    SetLine line = Shaping.line("Salt", Collections.nCopies(4, with), 0, false);
    assertThat(line.parts().get(0).line().glyphs()).isEqualTo(face.shape("Salt", 0).glyphs());
  }
}
