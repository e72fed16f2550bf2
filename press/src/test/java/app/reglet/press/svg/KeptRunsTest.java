package app.reglet.press.svg;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Lines that a page shows already are named, and with them the piece is whole again. */
public class KeptRunsTest {
  private static final Pattern RUN =
      Pattern.compile("<g transform=\"([^\"]*)\"([^>]*data-text=.*?)</g>");
  private static final Pattern KEPT =
      Pattern.compile("<g data-keep=\"(\\d+)\" transform=\"([^\"]*)\"/>");
  private static final String TEXT =
      "The office on the flats closes and its last clerk files every affidavit of the drowned shore. ";

  private static Mark.Group drawn(String text, Colour colour, String face) {
    return drawn(text, colour, face, Setting.Align.JUSTIFIED);
  }

  private static Mark.Group drawn(String text, Colour colour, String face, Setting.Align align) {
    Words words =
        Words.of(null, text, face, Length.pt("11"), colour)
            .withSetting(
                Setting.PLAIN
                    .aligned(align, Setting.VerticalAlign.TOP)
                    .breaking(Setting.Breaks.FULL, false, false));
    Piece piece = new Piece("w", "w", Anchors.filling(Region.safe(PanelKind.FRONT)), words);
    Artwork art =
        new Composer(Specimen.TYPEFACES)
            .compose(
                Specimen.on(Ground.plain(Colour.WHITE))
                    .changed(PrintedSide.OUTSIDE, c -> c.plus(piece)),
                Specimen.wrap(320),
                Specimen.BOOK,
                Pictures.NONE);
    return art.marks().get(art.marks().size() - 1);
  }

  private static Mark.Group drawn(String text) {
    return drawn(text, Colour.BLACK, "spectral");
  }

  /** What a page makes of an answer. */
  private static String whole(String answer, String shown) {
    List<String> runs = new ArrayList<>();
    Matcher m = RUN.matcher(shown);
    while (m.find()) {
      runs.add(m.group(2));
    }
    return KEPT.matcher(answer)
        .replaceAll(
            (MatchResult k) ->
                Matcher.quoteReplacement(
                    "<g transform=\""
                        + k.group(2)
                        + "\""
                        + runs.get(Integer.parseInt(k.group(1)))
                        + "</g>"));
  }

  @DataProvider
  Object[][] changes() {
    String long5 = TEXT.repeat(5);
    return new Object[][] {
      {long5, long5 + "x", 0.4},
      {long5 + "\n" + long5, long5 + "\nA line between.\n" + long5, 0.4},
      {long5, TEXT.repeat(4) + "More than " + TEXT, 0.5},
      {"same\nsame\nsame", "same\nother\nsame\nsame", 0.7},
    };
  }

  @Test(dataProvider = "changes")
  public void aChangedTextIsAnsweredWithTheLinesThatAreOthers(
      String before, String after, double share) {
    Mark.Group shown = drawn(before);
    Mark.Group now = drawn(after);
    String answer = ArtworkSvg.piece(now, null, shown);
    String full = ArtworkSvg.piece(now, null);
    assertThat(KEPT.matcher(answer).find()).isTrue();
    assertThat(answer.length()).isLessThan((int) (full.length() * share));
    assertThat(whole(answer, ArtworkSvg.piece(shown, null))).isEqualTo(full);
  }

  /** Lines of the same words whose spaces are others are other lines; the last is the same. */
  @Test
  public void linesThatAreNoLongerSpreadAreSentAnew() {
    Mark.Group shown = drawn(TEXT.repeat(3));
    Mark.Group now = drawn(TEXT.repeat(3), Colour.BLACK, "spectral", Setting.Align.LEFT);
    String answer = ArtworkSvg.piece(now, null, shown);
    assertThat(whole(answer, ArtworkSvg.piece(shown, null))).isEqualTo(ArtworkSvg.piece(now, null));
    assertThat(KEPT.matcher(answer).results().count()).isEqualTo(1);
  }

  @Test
  public void linesInAnotherColourOrFaceAreSentAnew() {
    Mark.Group shown = drawn("One line");
    for (Mark.Group now :
        List.of(
            drawn("One line", new Colour.Rgb(0x336699), "spectral"),
            drawn("One line", Colour.BLACK, "spectral-bold"))) {
      assertThat(ArtworkSvg.piece(now, null, shown)).doesNotContain("data-keep");
    }
    assertThat(ArtworkSvg.piece(drawn("One line"), null, shown)).contains("data-keep=\"0\"");
  }
}
