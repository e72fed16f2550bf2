package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.Arrays;
import java.util.List;
import java.util.function.UnaryOperator;
import org.testng.annotations.Test;

/** A caret stands between the letters that are drawn, and knows what was written there. */
public class CaretLineTest {
  private static final Wrap WRAP = Specimen.wrap(320);
  private static final double PT = 25.4 / 72;

  private static List<CaretLine> lines(Fact fact, String text, UnaryOperator<Words> how) {
    return lines(fact, text, how, 0);
  }

  private static List<CaretLine> lines(
      Fact fact, String text, UnaryOperator<Words> how, double angle) {
    Words w = Words.of(fact, text, "spectral", Length.pt("12"), Colour.BLACK);
    Piece piece = new Piece("w", "w", Anchors.filling(Region.safe(PanelKind.FRONT)), how.apply(w));
    Piece turned = piece.withPlacement(new Placement(piece.anchors(), angle, Placement.Flip.NONE));
    Design design =
        Specimen.on(Ground.plain(Colour.WHITE)).changed(PrintedSide.OUTSIDE, c -> c.plus(turned));
    return new Composer(Specimen.TYPEFACES).carets(design, WRAP, Specimen.BOOK, Pictures.NONE, "w");
  }

  private static Typeface face(String id) {
    return Specimen.TYPEFACES.get(id);
  }

  @Test
  public void itStandsWhereTheNextGlyphBegins() {
    CaretLine line = lines(null, "Hythe AVE", w -> w).get(0);
    double[] x = face("spectral").shape("Hythe AVE", 0).x();
    assertThat(line.at()).containsExactly(0, 1, 2, 3, 4, 5, 6, 7, 8, 9);
    for (int i = 0; i < x.length; i++) {
      assertThat(line.x()[i]).isCloseTo(x[i] * 12 * PT, within(1e-9));
    }
    assertThat(line.x()[9])
        .isCloseTo(face("spectral").shape("Hythe AVE", 0).advance() * 12 * PT, within(1e-9));
  }

  @Test
  public void lettersOfALigatureShareItsWidth() {
    CaretLine line = lines(null, "office", w -> w).get(0);
    assertThat(face("spectral").shape("office", 0).glyphs()).hasSizeLessThan(6);
    double one = line.x()[2] - line.x()[1];
    assertThat(line.x()[3] - line.x()[2]).isCloseTo(one, within(1e-9)).isGreaterThan(0.3);
  }

  @Test
  public void wordsThatReadFromTheRightAreGoneAlongFromTheRight() {
    CaretLine line = lines(null, "ספר המלח", w -> w.in("frank-ruhl-libre")).get(0);
    for (int i = 1; i < line.x().length; i++) {
      assertThat(line.x()[i]).isLessThan(line.x()[i - 1]);
    }
    assertThat(line.x()[line.x().length - 1]).isCloseTo(0, within(1e-9));
  }

  @Test
  public void starsOfEmphasisAndNamesOfFactsAreInWhatIsWrittenAndNotOnTheLine() {
    CaretLine line = lines(null, "by *{author}*, 1", w -> w).get(0);
    // "by Maren Aldous, 1"
    assertThat(line.at()).hasSize(19);
    assertThat(Arrays.copyOf(line.at(), 4)).containsExactly(0, 1, 2, 4);
    assertThat(line.at()[14]).isEqualTo(4);
    assertThat(Arrays.copyOfRange(line.at(), 15, 19)).containsExactly(13, 14, 15, 16);
  }

  @Test
  public void aShortFactsOwnStarsAreWrittenAsTheyAre() {
    Words title = Words.of(Fact.TITLE, "", "spectral", Length.pt("12"), Colour.BLACK);
    app.reglet.core.book.Book book =
        new app.reglet.core.book.Book("A*B*", "", "", "", "", java.util.Optional.empty(), "");
    assertThat(title.source(book)).containsExactly(0, 1, 2, 3, 4);
    assertThat(title.on(book).text()).isEqualTo("A*B*");
  }

  @Test
  public void aLetterThatIsTwoCapitalsIsOneLetterOfWhatIsWritten() {
    CaretLine line =
        lines(null, "Straße 1", w -> w.withType(w.type().withLetters(Type.Letters.CAPITALS)))
            .get(0);
    assertThat(line.at()).containsExactly(0, 1, 2, 3, 4, 4, 5, 6, 7, 8);
  }

  @Test
  public void everyPlaceOfALongTextIsOnOneOfItsLinesInOrder() {
    String text =
        "When the office on the flats closes, its last clerk keeps the ledger open.\n\n"
            + "Fifty affluent officials offer difficult affidavits; she files them all.";
    List<CaretLine> lines =
        lines(
            null,
            text,
            w ->
                w.withSize(Length.pt("30"))
                    .withSetting(
                        w.setting()
                            .aligned(Setting.Align.JUSTIFIED, Setting.VerticalAlign.TOP)
                            .breaking(Setting.Breaks.EVEN, true, true)));
    assertThat(lines).hasSizeGreaterThan(6);
    int last = -1;
    double below = Double.NEGATIVE_INFINITY;
    for (CaretLine l : lines) {
      assertThat(l.at()[0]).isGreaterThan(last).isLessThanOrEqualTo(last + 2);
      for (int i = 1; i < l.at().length; i++) {
        assertThat(l.at()[i]).isBetween(l.at()[i - 1], l.at()[i - 1] + 1);
      }
      last = l.at()[l.at().length - 1] - 1;
      assertThat(l.place()[5]).isGreaterThan(below);
      below = l.place()[5];
    }
    assertThat(last + 1).isEqualTo(text.length());
    assertThat(lines).anyMatch(l -> l.at().length == 1); // the blank one
  }

  @Test
  public void inTurnedWordsItGoesWithThem() {
    CaretLine upright = lines(null, "Hythe", w -> w).get(0);
    CaretLine turned = lines(null, "Hythe", w -> w, 30).get(0);
    var box = WRAP.panel(PanelKind.FRONT).orElseThrow().safe();
    AffineTransform about =
        AffineTransform.getRotateInstance(
            Math.toRadians(30), box.centreX().toMm(), box.centreY().toMm());
    Point2D expected =
        about.transform(new AffineTransform(upright.place()).transform(at(upright, 3), null), null);
    Point2D found = new AffineTransform(turned.place()).transform(at(turned, 3), null);
    assertThat(found.distance(expected)).isLessThan(1e-6);
  }

  private static Point2D at(CaretLine line, int i) {
    return new Point2D.Double(line.x()[i], 0);
  }

  @Test
  public void onACircleEachLetterHasAPlaceOfItsOwnOnIt() {
    Curve curve =
        new Curve.Arc(Curve.Edge.UPPER, Curve.Side.OUTSIDE, Curve.By.RADIUS, Length.mm("40"));
    List<CaretLine> lines =
        lines(
            null,
            "HARBOUR",
            w ->
                new Words(
                    null, w.text(), w.type(), w.setting(), w.paint(), null, curve, null, null));
    assertThat(lines).hasSize(7);
    double turned = -10;
    for (int i = 0; i < 7; i++) {
      assertThat(lines.get(i).at()).containsExactly(i, i + 1);
      double[] m = lines.get(i).place();
      assertThat(Math.atan2(m[1], m[0])).isGreaterThan(turned);
      turned = Math.atan2(m[1], m[0]);
    }
  }
}
