package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Emphasised;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Curve.By;
import app.reglet.core.design.Curve.Edge;
import app.reglet.core.design.Curve.Side;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Words on curves stand where plain geometry has them. */
public class CurvedWordsTest {
  private static final Rect BOX = new Rect(10, 20, 80, 60);
  private static final String TEXT = "HARBOUR LIGHTS";
  private static final Typeface FACE = Typefaces.shipped().get("spectral");

  private static Words words(Curve curve, Setting.Align align, Type.Fit fit, String pt) {
    Words w = Words.of(null, "", "spectral", Length.pt(pt), Colour.BLACK);
    w = w.withSetting(w.setting().aligned(align, Setting.VerticalAlign.TOP));
    w = w.withType(w.type().withFit(fit).withLetters(Type.Letters.CAPITALS));
    return new Words(null, "", w.type(), w.setting(), w.paint(), null, curve, null, null);
  }

  private static Mark.Glyphs set(Words words, String text) {
    CurvedWords curved =
        new CurvedWords(words, Emphasised.plain(text), Typefaces.shipped(), "en", BOX);
    List<Mark> marks = curved.marks(curved.set().size(), Fill.BLACK_INK, null);
    assertThat(marks).hasSize(1);
    return (Mark.Glyphs) marks.get(0);
  }

  @DataProvider
  Object[][] arcs() {
    double cap = FACE.capHeight() * 14 * 25.4 / 72;
    double sag = 8;
    double bySag = (80 * 80 / 4.0 + sag * sag) / (2 * sag);
    // edge, side, by, measure, radius of the baseline, y of its centre
    return new Object[][] {
      {Edge.UPPER, Side.INSIDE, By.BOX, "1", 30 - cap, 50.0},
      {Edge.UPPER, Side.OUTSIDE, By.BOX, "1", 30 - cap, 50.0},
      {Edge.LOWER, Side.INSIDE, By.BOX, "1", 30.0, 50.0},
      {Edge.LOWER, Side.OUTSIDE, By.BOX, "1", 30.0, 50.0},
      {Edge.UPPER, Side.OUTSIDE, By.RADIUS, "55", 55.0, 20 + cap + 55},
      {Edge.UPPER, Side.INSIDE, By.RADIUS, "55", 55 - cap, 20.0 + 55},
      {Edge.LOWER, Side.INSIDE, By.RADIUS, "55", 55.0, 80.0 - 55},
      {Edge.LOWER, Side.OUTSIDE, By.RADIUS, "55", 55 + cap, 80 - cap - 55},
      {Edge.UPPER, Side.OUTSIDE, By.SAG, "8", bySag, 20 + cap + bySag},
    };
  }

  @Test(dataProvider = "arcs")
  public void everyLettersBaselineTouchesTheCircleUnderItsMiddle(
      Edge edge, Side side, By by, String measure, double radius, double centre) {
    Curve arc = new Curve.Arc(edge, side, by, Length.mm(measure));
    Mark.Glyphs g = set(words(arc, Setting.Align.CENTRE, Type.Fit.SIZE, "14"), TEXT);
    ShapedLine straight = FACE.shape(TEXT, 0);
    double sumOfTurns = 0;
    for (int i = 0; i < g.glyphs().length; i++) {
      double half = FACE.advance(g.glyphs()[i]) / 2;
      Point2D foot = g.glyph(i).transform(new Point2D.Double(half, 0), null);
      Point2D head = g.glyph(i).transform(new Point2D.Double(half, -1), null);
      double dx = foot.getX() - 50;
      double dy = foot.getY() - centre;
      assertThat(Math.hypot(dx, dy)).as("glyph %d", i).isCloseTo(radius, within(1e-6));
      double out = head.distance(50, centre) - radius;
      assertThat(out)
          .as("stands %s", edge)
          .isCloseTo((edge == Edge.UPPER ? 1 : -1) * g.size(), within(1e-6));
      // as far along the circle as along the straight line
      double along = (straight.x()[i] + half - straight.advance() / 2) * g.size();
      double angle = Math.atan2(dx, edge == Edge.UPPER ? -dy : dy);
      assertThat(angle * radius).isCloseTo(along, within(1e-6));
      sumOfTurns += g.turns()[i];
    }
    assertThat(Math.abs(sumOfTurns / g.glyphs().length)).isLessThan(0.05);
  }

  @Test
  public void lettersInsideTheBoxesCircleStayInIt() {
    for (Edge edge : Edge.values()) {
      for (Side side : Side.values()) {
        Curve arc = new Curve.Arc(edge, side, By.BOX, Length.mm("1"));
        Mark.Glyphs g = set(words(arc, Setting.Align.CENTRE, Type.Fit.LARGEST, "14"), TEXT);
        Rectangle2D ink = WordsSetting.letters(List.of(g)).getBounds2D();
        assertThat(ink.getMinX()).isGreaterThan(19);
        assertThat(ink.getMaxX()).isLessThan(81);
        assertThat(ink.getMinY()).isGreaterThan(18.5);
        assertThat(ink.getMaxY()).isLessThan(81.5);
      }
    }
  }

  @Test
  public void wordsBeginEndOrMeetInTheMiddleOfTheirRoom() {
    Curve arc = new Curve.Arc(Edge.UPPER, Side.OUTSIDE, By.RADIUS, Length.mm("40"));
    double left = set(words(arc, Setting.Align.LEFT, Type.Fit.SIZE, "14"), TEXT).turns()[0];
    double middle = set(words(arc, Setting.Align.CENTRE, Type.Fit.SIZE, "14"), TEXT).turns()[0];
    double right = set(words(arc, Setting.Align.RIGHT, Type.Fit.SIZE, "14"), TEXT).turns()[0];
    assertThat(left).isCloseTo(-Math.PI / 2, within(0.06));
    assertThat(middle - left).isCloseTo(right - middle, within(1e-6));
  }

  @Test
  public void theLargestSizeFillsTheLineAndASizeTooLargeIsSaid() {
    Curve arc = new Curve.Arc(Edge.LOWER, Side.INSIDE, By.BOX, Length.mm("1"));
    CurvedWords largest =
        new CurvedWords(
            words(arc, Setting.Align.CENTRE, Type.Fit.LARGEST, "9"),
            Emphasised.plain(TEXT),
            Typefaces.shipped(),
            "en",
            BOX);
    double size = largest.set().size();
    double length = FACE.shape(TEXT, 0).advance() * size;
    assertThat(length).isLessThanOrEqualTo(30 * Math.PI).isGreaterThan(30 * Math.PI - 0.5);
    assertThat(largest.set().overflowing()).isFalse();
    CurvedWords huge =
        new CurvedWords(
            words(arc, Setting.Align.CENTRE, Type.Fit.SIZE, "200"),
            Emphasised.plain(TEXT),
            Typefaces.shipped(),
            "en",
            BOX);
    assertThat(huge.set().overflowing()).isTrue();
  }

  @Test
  public void aStraightLineThroughPointsIsAStraightLine() {
    Curve line =
        new Curve.Along(List.of(new Figure.Free.Corner(0, 0.5), new Figure.Free.Corner(1, 0.5)));
    Mark.Glyphs g = set(words(line, Setting.Align.LEFT, Type.Fit.SIZE, "14"), TEXT);
    ShapedLine straight = FACE.shape(TEXT, 0);
    for (int i = 0; i < g.glyphs().length; i++) {
      assertThat(g.x()[i]).isCloseTo(10 + straight.x()[i] * g.size(), within(1e-6));
      assertThat(g.y()[i]).isCloseTo(50, within(1e-6));
      assertThat(g.turns()[i]).isCloseTo(0, within(1e-9));
    }
  }

  /** A quarter of a circle by many points: the spline keeps to it, and so do the letters. */
  @Test
  public void lettersKeepToALineThroughManyPointsOfACircle() {
    List<Figure.Free.Corner> points =
        java.util.stream.IntStream.rangeClosed(0, 24)
            .mapToObj(i -> Math.PI * (1 + i / 24.0))
            .map(a -> new Figure.Free.Corner(0.5 + 0.375 * Math.cos(a), 0.75 + 0.5 * Math.sin(a)))
            .toList();
    Mark.Glyphs g =
        set(words(new Curve.Along(points), Setting.Align.CENTRE, Type.Fit.SIZE, "14"), TEXT);
    for (int i = 0; i < g.glyphs().length; i++) {
      double half = FACE.advance(g.glyphs()[i]) / 2;
      Point2D foot = g.glyph(i).transform(new Point2D.Double(half, 0), null);
      assertThat(foot.distance(50, 65)).isCloseTo(30, within(0.02));
    }
  }

  @Test
  public void nothingAndOddRadiusesAreBorne() {
    for (String measure : new String[] {"0.01", "5000"}) {
      for (By by : By.values()) {
        Curve arc = new Curve.Arc(Edge.UPPER, Side.INSIDE, by, Length.mm(measure));
        CurvedWords words =
            new CurvedWords(
                words(arc, Setting.Align.CENTRE, Type.Fit.AT_MOST, "14"),
                Emphasised.plain(TEXT + " " + TEXT),
                Typefaces.shipped(),
                "en",
                BOX);
        assertThat(words.set().size()).isPositive();
        assertThat(words.marks(words.set().size(), Fill.BLACK_INK, null)).isNotEmpty();
      }
    }
  }
}
