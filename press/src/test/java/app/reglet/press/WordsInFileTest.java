package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.golden.Golden;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.svg.ArtworkSvg;
import app.reglet.testing.Tool;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/** Words of a press file, as others find and copy them. */
public class WordsInFileTest {
  private static Path pdf(Artwork art) {
    Instant noon = Instant.parse("2026-03-01T12:00:00Z");
    return Tool.file("wrap.pdf", PressFile.make(art, Specimen.BOOK, noon));
  }

  @Test
  public void linesThatReadFromTheRightAreCopiedOutAsTheyAreWritten() {
    Artwork art = golden("scripts");
    // marks of direction that the tool puts round such lines are no text
    String words =
        Tool.ok("pdftotext", "-enc", "UTF-8", pdf(art).toString(), "-")
            .replaceAll("[\\u200e\\u200f\\u202a-\\u202e\\u2066-\\u2069]", "");
    assertThat(words)
        .contains(
            "دفتر الملح",
            "المكتب على السبخة يبقى كاتبه الأخير والدفتر",
            "حكاية من السبخة",
            "Το βιβλίο του αλατιού",
            "Соляная книга");
    // the tool sees gaps where raised marks stand: letters and marks in their order count
    assertThat(words.replace(" ", "")).contains("دَفْتَرُ", "סֵפֶר");
    assertThat(words.replaceAll("[\\p{M} ]", "")).contains("دفترالملح", "ספרהמלח");
  }

  private static Artwork golden(String name) {
    return Golden.all().stream()
        .filter(g -> g.name().equals(name))
        .findFirst()
        .orElseThrow()
        .artwork();
  }

  /** Ligatures, small capitals, parted words and emphasis come out as their letters. */
  @Test
  public void wordsAreCopiedOutAsTheyAreWrittenHoweverTheyAreSet() {
    String words =
        Tool.ok("pdftotext", "-enc", "UTF-8", pdf(golden("typesetting")).toString(), "-");
    String whole = words.replace("\u00ad\n", "").replaceAll("\\s+", " ");
    assertThat(words).as("a parted word has a soft hyphen").contains("\u00ad");
    assertThat(whole)
        .contains(
            "When the customs office on the tidal flats closes, its last clerk",
            "The Salt Ledger, begun",
            "and twice as pitiless,” said The Hythe Lantern.",
            "Maren Aldous 1984",
            "Quay & The Act",
            "THE SALT");
  }

  @Test
  public void wordsOnCurvesAreCopiedOutInOnePiece() {
    String words =
        Tool.ok("pdftotext", "-raw", "-enc", "UTF-8", pdf(golden("curves")).toString(), "-");
    assertThat(words.replaceAll("\\s+", " "))
        .contains(
            "TWO HUNDRED AFFLUENT WORDS",
            "The Salt Ledger",
            "Along the tide line and back",
            "SALT MARSH"); // seen as a picture
  }

  /**
   * Where poppler finds the words of the file: within 0.02 mm of where the display list has them.
   */
  @Test
  public void wordsStandInTheFileWhereTheDisplayListHasThem() {
    Artwork art = golden("typesetting");
    List<double[]> at = new ArrayList<>();
    List<String> texts = new ArrayList<>();
    found(art, at, texts);
    int judged = 0;
    String before = " ";
    for (Mark mark : Specimen.flat(art)) {
      if (!(mark instanceof Mark.Glyphs g)) {
        continue;
      }
      for (Matcher w = Pattern.compile("[\\p{L}\\p{N}]{3,}").matcher(g.text()); w.find(); ) {
        boolean starts = (before + g.text()).charAt(w.start()) == ' '; // else a part of a word
        boolean ends = w.end() == g.text().length() || g.text().charAt(w.end()) == ' ';
        int first = at(g, w.start());
        if (!starts || !ends || first < 0) {
          continue;
        }
        double x = g.place().getTranslateX() + g.x()[first];
        double y = g.place().getTranslateY();
        assertThat(IntStream.range(0, at.size()).boxed().toList())
            .as("%s at %.3f, %.3f mm", w.group(), x, y)
            .anyMatch(
                i ->
                    texts.get(i).startsWith(w.group())
                        && Math.abs(at.get(i)[0] - x) < 0.02
                        && at.get(i)[1] < y
                        && y < at.get(i)[3] + 0.02);
        judged++;
      }
      before = g.text().length() < 8 ? g.text().substring(g.text().length() - 1) : " ";
    }
    assertThat(judged).isGreaterThan(70);
  }

  /** The words that poppler finds, and where: left, top, right, bottom, mm. */
  private static void found(Artwork art, List<double[]> at, List<String> texts) {
    String found = Tool.ok("pdftotext", "-bbox", "-enc", "UTF-8", pdf(art).toString(), "-");
    Matcher m =
        Pattern.compile(
                "<word xMin=\"([\\d.]+)\" yMin=\"([\\d.]+)\" xMax=\"([\\d.]+)\" yMax=\"([\\d.]+)\">(.*?)</word>")
            .matcher(found);
    while (m.find()) {
      at.add(
          new double[] {
            Double.parseDouble(m.group(1)) * 25.4 / 72,
            Double.parseDouble(m.group(2)) * 25.4 / 72,
            Double.parseDouble(m.group(3)) * 25.4 / 72,
            Double.parseDouble(m.group(4)) * 25.4 / 72
          });
      texts.add(m.group(5).replace("&amp;", "&"));
    }
  }

  /** The SVG that the screen shows names each line's place and what it says. */
  @Test
  public void linesBeginInTheFileWhereTheScreensSvgHasThem() {
    Artwork art = golden("typesetting");
    List<double[]> at = new ArrayList<>();
    List<String> texts = new ArrayList<>();
    found(art, at, texts);
    Matcher line =
        Pattern.compile(
                "transform=\"matrix\\(([\\d.-]+) 0\\.0+ -?0\\.0+ [\\d.-]+ ([\\d.-]+) ([\\d.-]+)\\)\"[^>]*data-text=\"([^\"]*)\"")
            .matcher(ArtworkSvg.document(art, null));
    int judged = 0;
    String before = " ";
    while (line.find()) {
      double x = Double.parseDouble(line.group(2));
      double y = Double.parseDouble(line.group(3));
      String word = line.group(4).replaceAll("\\P{L}.*", "");
      boolean begins = !Character.isLetter(before.charAt(before.length() - 1));
      before = " " + line.group(4);
      if (word.length() < 3 || !begins) {
        continue; // small letters after a capital begin no word
      }
      assertThat(IntStream.range(0, at.size()).boxed().toList())
          .as("%s at %.3f, %.3f mm", word, x, y)
          .anyMatch(
              i ->
                  texts.get(i).startsWith(word)
                      && Math.abs(at.get(i)[0] - x) < 0.02
                      && at.get(i)[1] < y
                      && y < at.get(i)[3] + 0.02);
      judged++;
    }
    assertThat(judged).isGreaterThan(10);
  }

  private static int at(Mark.Glyphs g, int character) {
    return IntStream.range(0, g.chars().length)
        .filter(i -> g.chars()[i] == character)
        .findFirst()
        .orElse(-1);
  }
}
