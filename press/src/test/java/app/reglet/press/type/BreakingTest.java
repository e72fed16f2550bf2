package app.reglet.press.type;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Setting;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Lines may break where the standard and the published patterns have it. */
public class BreakingTest {
  /** A hyphen at the beginning before a letter; a stop or comma before a figure. */
  private static final String KEPT_TOGETHER =
      "× 002D (× 0308 )?÷ .*|(.* )?00(2C|2E) (× 0308 )?÷ 003\\d .*";

  private static final Typeface FACE = Typefaces.shipped().get("spectral");

  private static Paragraph paragraph(String text, Optional<Hyphenation> parting) {
    List<Style> styles = Collections.nCopies(text.length(), Style.plain(FACE));
    return new Paragraph(text, styles, 0, parting, "en");
  }

  /**
   * Unicode 15.0, auxiliary/LineBreakTest.txt, as Debian's unicode-data has it: every line of it
   * but those with a character after which a line must break, which ends a paragraph here. The
   * library keeps together what the standard's default parts in two cases, as its part 8.2 allows:
   * a hyphen that begins a word and its letters, a stop or comma and the figure after it.
   */
  @Test
  public void linesMayBreakWhereTheStandardsOwnTestHasIt() throws IOException {
    Path file = Path.of("/usr/share/unicode/auxiliary/LineBreakTest.txt");
    assertThat(file).as("./reglet test installs it").exists();
    List<String> wrong = new ArrayList<>();
    int judged = 0;
    int kept = 0;
    for (String line : Files.readAllLines(file, StandardCharsets.UTF_8)) {
      String sample = line.replaceFirst("#.*", "").strip();
      if (sample.isEmpty() || sample.matches(".*\\b(000A|000B|000C|000D|0085|2028|2029)\\b.*")) {
        continue;
      }
      StringBuilder text = new StringBuilder();
      List<Integer> breaks = new ArrayList<>();
      for (String token : sample.split("\\s+")) {
        if (token.equals("÷")) {
          breaks.add(text.length());
        } else if (!token.equals("×")) {
          text.appendCodePoint(Integer.parseInt(token, 16));
        }
      }
      judged++;
      List<Integer> found = new ArrayList<>(paragraph(text.toString(), Optional.empty()).starts());
      found.remove(0); // a paragraph begins at its beginning
      kept += !found.equals(breaks) && sample.matches(KEPT_TOGETHER) ? 1 : 0;
      if (!found.equals(breaks) && !sample.matches(KEPT_TOGETHER)) {
        wrong.add(sample + " → " + found);
      }
    }
    assertThat(judged).isGreaterThan(6000);
    assertThat(kept).isLessThan(25);
    assertThat(wrong).isEmpty();
  }

  private static final double NARROW = 8.63;

  private static final String FLATS =
      "When the office on the flats closes, its last clerk keeps the ledger open. Fifty officials offer "
          + "difficult affidavits; she files them all, and walks the harbour wall every evening with a "
          + "lantern that nobody has asked her to carry. Then a letter arrives from the other side of the "
          + "estuary, where a company of surveyors has measured the water and found it wanting.";

  /**
   * At this width, in ems, the least bad lines by themselves would have two hyphens in a row;
   * others are nearly as good. That they count more in a row: D. E. Knuth and M. F. Plass, Breaking
   * Paragraphs into Lines, 1981.
   */
  @Test
  public void aLineThatIsALittleLooserIsRatherTakenThanTwoHyphensInARow() {
    Paragraph paragraph = paragraph(FLATS, Hyphenation.of("en-US"));
    Setting p = Setting.PLAIN;
    Setting even =
        new Setting(
            Setting.Align.JUSTIFIED,
            p.vertical(),
            p.direction(),
            p.leading(),
            0,
            0,
            Setting.Breaks.EVEN,
            true,
            false,
            "en-US");
    List<Integer> breaks = new Breaking(paragraph, even, NARROW, NARROW, 0.25).lines();
    List<Boolean> parted = breaks.stream().map(paragraph::parts).toList();
    assertThat(parted).as("hyphens there are").contains(true);
    for (int i = 1; i < parted.size(); i++) {
      assertThat(parted.get(i) && parted.get(i - 1)).as("lines " + (i - 1) + " and " + i).isFalse();
    }
  }

  @DataProvider
  Object[][] parted() throws IOException {
    try (InputStream in = getClass().getResourceAsStream("/type/hyphenations.txt")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
              .lines()
              .filter(l -> !l.startsWith("#"))
              .collect(Collectors.groupingBy(l -> l.split("\t")[0]))
              .entrySet()
              .stream()
              .map(e -> new Object[] {e.getKey(), e.getValue()})
              .toArray(Object[][]::new);
    }
  }

  @Test(dataProvider = "parted")
  public void wordsArePartedAsAnotherProgramPartsThem(String language, List<String> words) {
    Hyphenation rules = Hyphenation.of(language).orElseThrow();
    List<String> found =
        words.stream()
            .map(w -> w.split("\t")[1].replace("-", ""))
            .map(w -> language + "\t" + shown(rules, w))
            .toList();
    assertThat(found).isEqualTo(words);
  }

  private static String shown(Hyphenation rules, String word) {
    StringBuilder out = new StringBuilder(word);
    int[] parts = rules.parts(word);
    IntStream.range(0, parts.length).forEach(i -> out.insert(parts[i] + i, '-'));
    return out.toString();
  }

  /** D. E. Knuth, The TeXbook, appendix H, and F. M. Liang's thesis, from memory. */
  @Test
  public void knownExamplesOfThePatternsComeOut() {
    Hyphenation rules = Hyphenation.of("en-US").orElseThrow();
    assertThat(shown(rules, "hyphenation")).isEqualTo("hy-phen-ation");
    assertThat(shown(rules, "concatenation")).isEqualTo("con-cate-na-tion");
    assertThat(shown(rules, "supercalifragilisticexpialidocious"))
        .isEqualTo("su-per-cal-ifrag-ilis-tic-ex-pi-ali-do-cious");
    assertThat(shown(rules, "project")).as("an exception").isEqualTo("project");
    assertThat(shown(rules, "the")).isEqualTo("the");
  }

  @Test
  public void aRegionWithoutPatternsHasThoseOfItsLanguageAndAnUnknownLanguageNone() {
    assertThat(Hyphenation.of("de-CH")).isPresent();
    assertThat(Hyphenation.of("en-us")).isEqualTo(Hyphenation.of("en-US")).isPresent();
    assertThat(Hyphenation.of("en-NZ")).isEqualTo(Hyphenation.of("en"));
    assertThat(Hyphenation.of("xx")).isEmpty();
    assertThat(Hyphenation.of("")).isEmpty();
    assertThat(Hyphenation.of("no such")).isEmpty();
  }

  @Test
  public void wordsArePartedWithinAParagraphAndAtHyphensThatAreWrittenIn() {
    Paragraph p = paragraph("customs co\u00adoperative salt-marsh", Hyphenation.of("en-US"));
    List<String> lines =
        IntStream.range(1, p.places())
            .mapToObj(i -> p.line(i - 1, i).text().replace('\u00ad', '~'))
            .toList();
    assertThat(lines)
        .containsExactly("cus~", "toms", "co~", "op~", "er~", "a~", "tive", "salt-", "marsh");
  }
}
