package app.reglet.press.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Emphasised;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Setting.Breaks;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Words are set into lines as typography asks. */
public class SettingTest {
  private static final double WIDE = 96;
  private static final double HIGH = 150;
  private static final String BLURB =
      "When the customs office on the tidal flats of Ouse Hythe closes, its last clerk is told to"
          + " burn the books. She keeps one.\nIn it, in forty hands, stands everything the island"
          + " ever owed: salt, herring, a bell, a daughter. As the causeway floods and the buyers"
          + " come, Ida Wren begins to collect.";

  private static SetWords set(String text, UnaryOperator<Words> how) {
    return set(text, WIDE, HIGH, how);
  }

  private static SetWords set(String text, double width, double height, UnaryOperator<Words> how) {
    Words words = Words.of(null, "", "eb-garamond", Length.pt("11"), Colour.BLACK);
    return Setter.set(
        how.apply(words.withType(words.type().withFit(Type.Fit.SIZE))),
        Emphasised.of(text),
        Typefaces.shipped(),
        "en",
        width,
        height);
  }

  private static UnaryOperator<Words> setting(UnaryOperator<Setting> how) {
    return w -> w.withSetting(how.apply(w.setting()));
  }

  private static UnaryOperator<Words> type(UnaryOperator<Type> how) {
    return w -> w.withType(how.apply(w.type()));
  }

  private static UnaryOperator<Words> justified(boolean hyphens, boolean hangs) {
    return setting(
        s ->
            s.aligned(Setting.Align.JUSTIFIED, Setting.VerticalAlign.TOP)
                .breaking(Breaks.EVEN, hyphens, hangs));
  }

  private static List<String> lines(SetWords set) {
    return set.lines().stream().map(l -> l.line().text()).toList();
  }

  private static double right(SetWords.PlacedLine l) {
    return l.x() + l.line().advance() * l.size();
  }

  @Test
  public void justifiedLinesEndAtOneEdgeAndTheLastOfAParagraphDoesNot() {
    SetWords set = set(BLURB, justified(false, false));
    List<SetWords.PlacedLine> lines = set.lines();
    assertThat(lines).hasSizeGreaterThan(4);
    double edge = lines.stream().mapToDouble(SettingTest::right).max().orElseThrow();
    assertThat(edge).isBetween(WIDE - 0.5, WIDE);
    int short_ = 0;
    for (SetWords.PlacedLine line : lines) {
      assertThat(line.x()).isCloseTo(lines.get(0).x(), within(1e-9));
      if (line.line().text().endsWith("one.") || line.line().text().endsWith("collect.")) {
        short_++;
        assertThat(right(line)).isLessThan(edge - 1);
      } else {
        assertThat(right(line)).as(line.line().text()).isCloseTo(edge, within(1e-6));
      }
    }
    assertThat(short_).isEqualTo(2);
    assertThat(set.overflowing()).isFalse();
  }

  @Test
  public void spacesOfJustifiedLinesAreAlikeWithinALineAndNotBelowAFifthLess() {
    double space = Typefaces.shipped().get("eb-garamond").shape(" ", 0).advance();
    for (SetWords.PlacedLine line : set(BLURB, 60, HIGH, justified(true, false)).lines()) {
      ShapedLine run = line.line().parts().get(0).line();
      ShapedLine loose = Typefaces.shipped().get("eb-garamond").shape(run.text(), 0);
      int spaces = line.line().spaces();
      double more = spaces == 0 ? 0 : (run.advance() - loose.advance()) / spaces;
      assertThat(more).as(run.text()).isGreaterThanOrEqualTo(-0.21 * space);
      int seen = 0;
      for (int i = 0; i < run.glyphs().length && !run.text().contains("\u00ad"); i++) {
        assertThat(run.x()[i] - loose.x()[i]).isCloseTo(seen * more, within(1e-4));
        seen += run.text().charAt(run.chars()[i]) == ' ' ? 1 : 0;
      }
    }
  }

  @Test
  public void wordsArePartedWithAHyphenThatReadsAsASoftOne() {
    SetWords set = set(BLURB, 34, HIGH, justified(true, false));
    List<String> parted =
        lines(set).stream().filter(l -> l.endsWith("\u00ad")).collect(Collectors.toList());
    assertThat(parted).isNotEmpty();
    String whole = String.join(" ", lines(set)).replace("\u00ad ", "");
    assertThat(whole).isEqualTo(BLURB.replace('\n', ' '));
    SetLine line =
        set.lines().stream()
            .filter(l -> l.line().text().endsWith("\u00ad"))
            .findFirst()
            .get()
            .line();
    ShapedLine run = line.parts().get(0).line();
    int hyphen = Typefaces.shipped().get("eb-garamond").shape("-", 0).glyphs()[0];
    assertThat(run.glyphs()[run.glyphs().length - 1]).isEqualTo(hyphen);
    assertThat(lines(set(BLURB, 34, HIGH, justified(false, false))))
        .noneMatch(l -> l.endsWith("\u00ad"));
  }

  @Test
  public void anEvenParagraphLeavesNoShortWordAlone() {
    String text = "The tide took the road, and with it went the last of what the island had to be";
    for (double width = 30; width < 90; width += 0.5) {
      List<String> full = lines(set(text, width, HIGH, setting(s -> s)));
      List<String> even =
          lines(set(text, width, HIGH, setting(s -> s.breaking(Breaks.EVEN, false, false))));
      assertThat(String.join(" ", even)).isEqualTo(text);
      if (even.size() > 1) {
        assertThat(even.get(even.size() - 1)).as("at %s mm", width).contains(" ");
      }
      assertThat(even.size()).isLessThanOrEqualTo(full.size() + 1);
    }
  }

  @Test
  public void aHeadlineBreaksBySenseAndBalance() {
    assertThat(balanced("The Keeper of the Lantern Shelf", 78))
        .containsExactly("The Keeper", "of the Lantern Shelf");
    assertThat(balanced("Salt, Herring and a Bell", 52))
        .containsExactly("Salt, Herring", "and a Bell");
    assertThat(balanced("Der Leuchtturm und die Flut", 78))
        .containsExactly("Der Leuchtturm", "und die Flut");
    assertThat(balanced("One", 60)).containsExactly("One");
  }

  private static List<String> balanced(String text, double width) {
    UnaryOperator<Words> how =
        w ->
            w.withSize(Length.pt("28"))
                .withSetting(w.setting().breaking(Breaks.BALANCED, false, false));
    return lines(set(text, width, HIGH, how));
  }

  @Test
  public void balancedLinesAreAsManyAsFullOnesAndMoreAlike() {
    String text =
        "drowned villages ringing bells sunken harbours winter lanterns salt marsh keepers";
    for (double width = 40; width < 120; width += 3) {
      double room = width;
      List<SetWords.PlacedLine> full =
          set(text, room, HIGH, type(t -> t.withSize(Length.pt("20")))).lines();
      List<SetWords.PlacedLine> balanced =
          set(
                  text,
                  room,
                  HIGH,
                  w ->
                      w.withSize(Length.pt("20"))
                          .withSetting(w.setting().breaking(Breaks.BALANCED, false, false)))
              .lines();
      assertThat(balanced).hasSameSizeAs(full);
      assertThat(unlike(balanced)).isLessThanOrEqualTo(unlike(full) + 0.05);
      assertThat(balanced).allMatch(l -> right(l) <= room + 1e-6);
    }
  }

  /** The sum of the squares of what lines differ from their mean. */
  private static double unlike(List<SetWords.PlacedLine> lines) {
    double mean = lines.stream().mapToDouble(l -> l.line().advance()).average().orElse(0);
    return lines.stream().mapToDouble(l -> Math.pow(l.line().advance() - mean, 2)).sum();
  }

  @Test
  public void linesOfTheirOwnSizesAreAsWideAsTheFrameInTheirInk() {
    SetWords set =
        set(
            "The\nSalt Ledger\nof Ouse Hythe",
            100,
            200,
            w -> w.withType(w.type().withFit(Type.Fit.WIDTH).withLetters(Type.Letters.CAPITALS)));
    assertThat(lines(set)).containsExactly("THE", "SALT LEDGER", "OF OUSE HYTHE");
    double[] gaps = new double[2];
    for (int i = 0; i < 3; i++) {
      SetWords.PlacedLine l = set.lines().get(i);
      assertThat(l.x() + l.line().ink().getMinX() * l.size()).isCloseTo(0, within(1e-9));
      assertThat(l.x() + l.line().ink().getMaxX() * l.size()).isCloseTo(100, within(1e-9));
      if (i > 0) {
        double capitals = Typefaces.shipped().get("eb-garamond").capHeight() * l.size();
        gaps[i - 1] = l.baseline() - capitals - set.lines().get(i - 1).baseline();
      }
    }
    assertThat(gaps[0]).as("one distance between lines").isCloseTo(gaps[1], within(1e-9));
    assertThat(set.size()).isEqualTo(set.lines().get(2).size());
  }

  @Test
  public void aTitleToTheWidthTakesAsManyLinesAsFillTheHeight() {
    UnaryOperator<Words> how =
        w ->
            w.withType(w.type().withFit(Type.Fit.WIDTH).withLetters(Type.Letters.CAPITALS))
                .withSetting(w.setting().breaking(Breaks.BALANCED, false, false));
    assertThat(lines(set("The Salt Ledger", 100, 30, how))).hasSize(1);
    assertThat(lines(set("The Salt Ledger", 100, 120, how))).hasSizeGreaterThan(1);
    assertThat(set("The Salt Ledger", 100, 120, how).overflowing()).isFalse();
  }

  @Test
  public void theLargestSizeIsTheLast() {
    for (String text : new String[] {"Salt", "The Salt Ledger of Ouse Hythe", "A\nB\nC"}) {
      SetWords set = set(text, type(t -> t.withFit(Type.Fit.LARGEST)));
      assertThat(set.overflowing()).isFalse();
      Length more = Length.nearMm(set.size() + 0.1 * 25.4 / 72);
      assertThat(set(text, type(t -> t.withSize(more))).overflowing()).as(text).isTrue();
    }
  }

  @Test
  public void paragraphsStandApartAndBeginWithAnIndentButForTheFirst() {
    SetWords plain = set("One\nTwo\nThree", setting(s -> s));
    SetWords apart = set("One\nTwo\nThree", setting(s -> s.withParagraphs(0.5, 1.5)));
    double size = plain.size();
    for (int i = 1; i < 3; i++) {
      SetWords.PlacedLine line = apart.lines().get(i);
      assertThat(line.baseline() - apart.lines().get(i - 1).baseline())
          .isCloseTo(1.5 * 1.2 * size, within(1e-9));
      assertThat(line.x() - apart.lines().get(0).x()).isCloseTo(1.5 * size, within(1e-9));
    }
    assertThat(apart.lines().get(0)).usingRecursiveComparison().isEqualTo(plain.lines().get(0));
  }

  @Test
  public void aBlankLineBetweenParagraphsIsKeptHoweverTheyBreak() {
    for (Breaks breaks : Breaks.values()) {
      SetWords set = set("One\n\nTwo", setting(s -> s.breaking(breaks, true, true)));
      assertThat(lines(set)).containsExactly("One", "", "Two");
      assertThat(set.lines().get(2).baseline() - set.lines().get(0).baseline())
          .as("%s", breaks)
          .isCloseTo(2 * 1.2 * set.size(), within(1e-9));
    }
  }

  @Test
  public void marksHangOutAndTheLettersKeepTheEdge() {
    String text = "“Exact as a tide table, and as pitiless as one, too.”";
    SetWords in = set(text, 44, HIGH, setting(s -> s));
    SetWords out = set(text, 44, HIGH, setting(s -> s.breaking(Breaks.FULL, false, true)));
    Typeface face = Typefaces.shipped().get("eb-garamond");
    double quote = face.shape("“", 0).advance() * out.size();
    assertThat(in.lines().get(0).x() - out.lines().get(0).x()).isCloseTo(0.7 * quote, within(0.05));
    assertThat(out.lines().get(1).x()).isCloseTo(in.lines().get(1).x(), within(1e-9));
    SetWords right =
        set(
            "Salt,\nsalt",
            44,
            HIGH,
            setting(
                s ->
                    s.aligned(Setting.Align.RIGHT, Setting.VerticalAlign.TOP)
                        .breaking(Breaks.FULL, false, true)));
    double comma = face.shape(",", 0).advance() * right.size();
    assertThat(right(right.lines().get(0)) - right(right.lines().get(1)))
        .isCloseTo(0.7 * comma, within(0.02));
  }

  /** A line in the middle stands there by its letters, whatever hangs out of them. */
  @Test
  public void marksThatHangOutOfACentredLineDoNotMoveItsLetters() {
    UnaryOperator<Words> centred =
        setting(
            s ->
                s.aligned(Setting.Align.CENTRE, Setting.VerticalAlign.TOP)
                    .breaking(Breaks.FULL, false, true));
    double plain = set("salt", centred).lines().get(0).x();
    SetWords.PlacedLine stop = set("salt.", centred).lines().get(0);
    Typeface face = Typefaces.shipped().get("eb-garamond");
    double seen = 0.3 * face.shape(".", 0).advance() * stop.size();
    assertThat(stop.x()).isCloseTo(plain - seen / 2, within(0.03));
    SetWords.PlacedLine quoted = set("“salt", centred).lines().get(0);
    double quote = face.shape("“", 0).advance() * quoted.size();
    assertThat(quoted.x()).isCloseTo(plain - 0.85 * quote, within(0.03));
  }

  @Test
  public void emphasisIsSetInItalicsAndBoldOfTheFamily() {
    SetLine line = set("She read *The Long Field* **twice**.", w -> w).lines().get(0).line();
    assertThat(line.parts().stream().map(p -> p.face().name() + ": " + p.line().text()))
        .containsExactly(
            "EB Garamond: She read ",
            "EB Garamond Italic: The Long Field",
            "EB Garamond:  ",
            "EB Garamond Bold: twice",
            "EB Garamond: .");
    assertThat(line.text()).isEqualTo("She read The Long Field twice.");
    SetWords italic = set("So *not* so", w -> w.in("eb-garamond-italic"));
    assertThat(italic.lines().get(0).line().parts().get(1).face().id()).isEqualTo("eb-garamond");
    assertThat(set("So *not* **so**", w -> w.in("abril-fatface")).lacks())
        .containsExactlyInAnyOrder(Laid.Lack.ITALIC, Laid.Lack.BOLD);
  }

  @Test
  public void smallCapitalsAreTheFontsOwnOrDrawnAndSaidToBe() {
    SetWords own = set("Edda Marsh", type(t -> t.withLetters(Type.Letters.SMALL_CAPITALS)));
    assertThat(own.lacks()).isEmpty();
    assertThat(own.lines().get(0).line().parts()).allMatch(p -> p.scale() == 1);
    Typeface abril = Typefaces.shipped().get("abril-fatface");
    SetWords drawn =
        set(
            "Edda Marsh",
            w ->
                w.in("abril-fatface")
                    .withType(
                        w.in("abril-fatface").type().withLetters(Type.Letters.SMALL_CAPITALS)));
    assertThat(drawn.lacks()).containsExactly(Laid.Lack.SMALL_CAPITALS);
    SetLine.Part small = drawn.lines().get(0).line().parts().get(1);
    assertThat(small.line().text()).as("what it says").isEqualTo("dda");
    assertThat(small.line().glyphs()[0]).isEqualTo(abril.shape("D", 0).glyphs()[0]);
    assertThat(small.scale()).isBetween(0.62, 0.85);
    SetWords all = set("Edda", type(t -> t.withLetters(Type.Letters.ALL_SMALL_CAPITALS)));
    assertThat(all.lines().get(0).line().ink().getHeight())
        .isLessThan(own.lines().get(0).line().ink().getHeight() - 0.1);
  }

  @Test
  public void oddTextIsSetAndNothingOfItLost() {
    for (String text :
        new String[] {
          "\u200b\u200d\ufeff",
          "a\u0007b\u0001c",
          "😀 and 🐟",
          "אבג abc دفتر 12",
          "\u202eabc\u202c",
          "x".repeat(3000),
          "­­­",
        }) {
      SetWords set = set(text, 40, 20, justified(true, true));
      assertThat(String.join("", lines(set)).replaceAll("[\\s\u00ad]", ""))
          .isEqualTo(text.replaceAll("[\\s\u00ad]", ""));
    }
    assertThat(set("Unpartable" + "x".repeat(60), 30, 20, justified(true, true)).overflowing())
        .isTrue();
    String many = "A line.\n".repeat(200);
    SetWords flap = set(many, 60, 120, w -> w.withType(w.type().withFit(Type.Fit.AT_MOST)));
    assertThat(flap.lines()).hasSize(200);
    assertThat(flap.overflowing()).isTrue();
  }

  @Test
  public void leftwardParagraphsAreJustifiedToTheRight() {
    String arabic =
        Arrays.stream("دفتر الملح والبحر ".repeat(9).split("\n")).collect(Collectors.joining());
    SetWords set = set(arabic, 60, HIGH, w -> justified(false, false).apply(w.in("amiri")));
    List<SetWords.PlacedLine> lines = set.lines();
    double edge = right(lines.get(0));
    assertThat(lines).hasSizeGreaterThan(2).allMatch(l -> Math.abs(right(l) - edge) < 1e-6);
    assertThat(lines.get(lines.size() - 1).x()).isGreaterThan(lines.get(0).x() + 1);
  }

  @Test
  public void theHullOfALineIsThatOfAllItsPoints() {
    for (String text : new String[] {"Hythe", "aeox", "The Quay, *at dusk*: jay", ".", "ÅÇ"}) {
      SetLine line = set(text, w -> w).lines().get(0).line();
      List<double[]> all = new ArrayList<>();
      for (SetLine.Part part : line.parts()) {
        for (int i = 0; i < part.line().glyphs().length; i++) {
          double[] g = part.face().hull(part.line().glyphs()[i], 3);
          for (int p = 0; p < g.length; p += 2) {
            all.add(
                new double[] {
                  (g[p] + part.line().x()[i]) * part.scale() + part.x(),
                  (g[p + 1] + part.line().y()[i]) * part.scale()
                });
          }
        }
      }
      assertThat(LineHull.of(line, 3)).as(text).containsExactly(Hull.of(all), within(1e-12));
    }
  }

  private static UnaryOperator<Words> aligned(Setting.Align along, Setting.VerticalAlign down) {
    return setting(s -> s.aligned(along, down));
  }

  @DataProvider
  Object[][] blocks() {
    return new Object[][] {{"Salt"}, {"Salt\nmarsh"}, {"Salt\nmarsh\nand sea"}};
  }

  /** Type takes from the ascender of its first line to the descender of its last. */
  @Test(dataProvider = "blocks")
  public void aBlockStandsAtTheTopInTheMiddleOrAtTheFootOfItsFrame(String text) {
    Typeface face = Typefaces.shipped().get("eb-garamond");
    int lines = text.split("\n").length;
    double high = 60;
    for (Setting.VerticalAlign down :
        List.of(
            Setting.VerticalAlign.TOP,
            Setting.VerticalAlign.MIDDLE,
            Setting.VerticalAlign.BOTTOM)) {
      SetWords set = set(text, WIDE, high, aligned(Setting.Align.LEFT, down));
      double size = set.size();
      double above = set.lines().get(0).baseline() - face.ascent() * size;
      double below = high - set.lines().get(lines - 1).baseline() - face.descent() * size;
      double room = high - (face.ascent() + face.descent() + 1.2 * (lines - 1)) * size;
      assertThat(above + below).isCloseTo(room, within(1e-9));
      assertThat(above)
          .as("%s", down)
          .isCloseTo(
              switch (down) {
                case TOP -> 0;
                case MIDDLE -> room / 2;
                default -> room;
              },
              within(1e-9));
    }
  }

  @Test(dataProvider = "blocks")
  public void aLineStandsAtTheLeftInTheMiddleOrAtTheRightOfItsFrame(String text) {
    for (SetWords.PlacedLine l :
        set(text, aligned(Setting.Align.LEFT, Setting.VerticalAlign.TOP)).lines()) {
      assertThat(l.x()).isCloseTo(0, within(1e-9));
    }
    for (SetWords.PlacedLine l :
        set(text, aligned(Setting.Align.CENTRE, Setting.VerticalAlign.TOP)).lines()) {
      assertThat(l.x()).isCloseTo(WIDE - right(l), within(1e-9));
    }
    for (SetWords.PlacedLine l :
        set(text, aligned(Setting.Align.RIGHT, Setting.VerticalAlign.TOP)).lines()) {
      assertThat(right(l)).isCloseTo(WIDE, within(1e-9));
    }
  }

  /** Accents on capitals, tails and overhanging italics reach out of what lines measure. */
  @Test
  public void inkThatReachesOutOfItsLineIsMovedIntoTheFrameWhereThereIsRoom() {
    UnaryOperator<Words> capitals = w -> w.withType(w.type().withLetters(Type.Letters.CAPITALS));
    for (String text : List.of("Ůř", "Qj", "*fjord of*", "*j*", "Ǻ\nJ")) {
      for (Setting.VerticalAlign down :
          List.of(Setting.VerticalAlign.TOP, Setting.VerticalAlign.BOTTOM)) {
        for (Setting.Align along : List.of(Setting.Align.LEFT, Setting.Align.RIGHT)) {
          for (UnaryOperator<Words> letters :
              List.<UnaryOperator<Words>>of(UnaryOperator.identity(), capitals)) {
            SetWords set = set(text, 40, 30, w -> aligned(along, down).apply(letters.apply(w)));
            assertThat(set.overflowing()).isFalse();
            for (SetWords.PlacedLine l : set.lines()) {
              String what = text + " " + down + " " + along;
              Rectangle2D ink = l.line().ink();
              assertThat(l.x() + ink.getMinX() * l.size()).as(what).isGreaterThan(-1e-6);
              assertThat(l.x() + ink.getMaxX() * l.size()).as(what).isLessThan(40 + 1e-6);
              assertThat(l.baseline() + ink.getMinY() * l.size()).as(what).isGreaterThan(-1e-6);
              assertThat(l.baseline() + ink.getMaxY() * l.size()).as(what).isLessThan(30 + 1e-6);
            }
          }
        }
      }
    }
  }

  /** What a block needs, and not a hundredth of a millimetre less. */
  @Test(dataProvider = "blocks")
  public void aBlockFitsTheSmallestFrameThatHoldsIt(String text) {
    Typeface face = Typefaces.shipped().get("eb-garamond");
    UnaryOperator<Words> apart =
        setting(
            s -> s.aligned(Setting.Align.LEFT, Setting.VerticalAlign.TOP).withParagraphs(0.5, 1.5));
    SetWords set = set(text, apart);
    int lines = set.lines().size();
    double high = (face.ascent() + face.descent() + 1.5 * 1.2 * (lines - 1)) * set.size();
    double wide = set.lines().stream().mapToDouble(SettingTest::right).max().orElseThrow();
    assertThat(set(text, wide + 0.01, high + 0.01, apart).overflowing()).isFalse();
    assertThat(set(text, wide + 0.01, high - 0.02, apart).overflowing()).isTrue();
  }

  @Test
  public void aHullHasTheOutermostPointsAlone() {
    List<double[]> points = new ArrayList<>();
    for (double[] p : new double[][] {{0, 0}, {2, 0}, {1, 0}, {2, 1}, {0, 1}, {1, 0.5}, {2, 0.5}}) {
      points.add(p);
    }
    assertThat(Hull.of(points)).hasSize(8).containsExactly(0, 0, 2, 0, 2, 1, 0, 1);
    assertThat(Hull.of(List.<double[]>of())).isEmpty();
    // a ring of two shapes far apart: the path's second start counts, its closing does not
    Path2D two = new Path2D.Double(new Rectangle2D.Double(3, 4, 1, 1));
    two.append(new Rectangle2D.Double(7, 4, 2, 3), false);
    assertThat(Hull.of(two, 0.01)).containsExactly(3, 4, 9, 4, 9, 7, 7, 7, 3, 5);
  }
}
