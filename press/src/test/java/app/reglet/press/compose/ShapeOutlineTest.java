package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Stroke;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.press.art.Rect;
import app.reglet.testing.Extent;
import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What shapes and their lines cover, against the areas that AWT makes of them. */
public class ShapeOutlineTest {
  private static final Box BOX =
      new Box(Length.mm("10"), Length.mm("20"), Length.mm("60"), Length.mm("40"));
  private static final Rect RECT = Rect.of(BOX);
  private static final AffineTransform STILL = new AffineTransform();

  private static Area area(Outline outline) {
    Area all = new Area();
    for (List<Point> part : outline.parts()) {
      Path2D p = new Path2D.Double();
      p.moveTo(part.get(0).x().toMm(), part.get(0).y().toMm());
      part.forEach(q -> p.lineTo(q.x().toMm(), q.y().toMm()));
      p.closePath();
      all.add(new Area(p));
    }
    return all;
  }

  /** What one covers and the other does not, in square millimetres, by counting points. */
  private static double apart(Shape a, Shape b) {
    return apart(a, b, 0.25);
  }

  /** The same by points so many millimetres apart. */
  private static double apart(Shape a, Shape b, double step) {
    int points = 0;
    for (double y = 5; y < 75; y += step) {
      for (double x = -5; x < 85; x += step) {
        points += a.contains(x + 0.013, y + 0.017) == b.contains(x + 0.013, y + 0.017) ? 0 : 1;
      }
    }
    return points * step * step;
  }

  @DataProvider
  Object[][] polygons() {
    return new Object[][] {
      {new Figure.Regular(5, 0.5)},
      {new Figure.Regular(12, 0.9)},
      {
        new Figure.Free(
            List.of(
                new Figure.Free.Corner(0, 0),
                new Figure.Free.Corner(1, 1),
                new Figure.Free.Corner(1, 0),
                new Figure.Free.Corner(0, 1)))
      },
      {
        new Figure.Free(
            List.of(
                new Figure.Free.Corner(0, 0),
                new Figure.Free.Corner(1, 0),
                new Figure.Free.Corner(0.5, 0.2),
                new Figure.Free.Corner(1, 1),
                new Figure.Free.Corner(0, 1)))
      },
    };
  }

  @Test(dataProvider = "polygons")
  public void aHollowPolygonCoversWhatItShowsAndNoMore(Figure figure) {
    Shape shape = Figures.in(figure, RECT);
    assertThat(apart(area(Trapezes.of(shape, STILL)), shape)).isLessThan(1);
    AffineTransform turn = AffineTransform.getRotateInstance(0.4, 40, 40);
    assertThat(apart(area(Trapezes.of(shape, turn)), turn.createTransformedShape(shape)))
        .isLessThan(1);
  }

  @DataProvider
  Object[][] lines() {
    return new Object[][] {
      {Figure.RECTANGLE, Stroke.Side.INSIDE},
      {Figure.RECTANGLE, Stroke.Side.CENTRED},
      {Figure.RECTANGLE, Stroke.Side.OUTSIDE},
      {new Figure.Ellipse(), Stroke.Side.INSIDE},
      {new Figure.Ellipse(), Stroke.Side.CENTRED},
      {new Figure.Ellipse(), Stroke.Side.OUTSIDE},
      {new Figure.Rectangle(Length.mm("8")), Stroke.Side.INSIDE},
      {new Figure.Line(Figure.Line.Way.RISING), Stroke.Side.INSIDE},
    };
  }

  /** A line is hollow: what lies in the middle of a frame is not under it. */
  @Test(dataProvider = "lines")
  public void aLineCoversItsStripOnItsSideOfTheEdge(Figure figure, Stroke.Side side) {
    Shape path = Figures.in(figure, RECT);
    Area both = new Area(new BasicStroke(8, 0, 0, 10).createStrokedShape(path));
    Area wanted = new Area(new BasicStroke(4, 0, 0, 10).createStrokedShape(path));
    if (figure.isClosed() && side != Stroke.Side.CENTRED) {
      wanted = both;
      if (side == Stroke.Side.INSIDE) {
        wanted.intersect(new Area(path));
      } else {
        wanted.subtract(new Area(path));
      }
    }
    Stroke stroke =
        new Stroke(app.reglet.core.design.Paint.of(Colour.BLACK), Length.mm("4"), List.of(), side);
    Outline outline = new Strokes(path, figure.isClosed(), stroke).outline(BOX, STILL);
    // of some 700 square millimetres: the strips' ends
    assertThat(apart(area(outline), wanted, Extent.whole() ? 0.25 : 0.5)).isLessThan(8);
    assertThat(area(outline).contains(40, 40)).isEqualTo(!figure.isClosed());
  }

  @Test
  public void anUprightRectanglesLineIsMeasuredExactly() {
    Shape path = Figures.in(Figure.RECTANGLE, RECT);
    Stroke stroke = Stroke.plain(Colour.BLACK, Length.mm("0.333"));
    Box bounds = new Strokes(path, true, stroke).outline(BOX, STILL).bounds();
    assertThat(bounds.left()).isEqualTo(Length.mm("9.8335"));
    assertThat(bounds.bottom()).isEqualTo(Length.mm("60.1665"));
  }

  @Test
  public void cornersAreRoundAndThoseWithoutRoomAreMadeSmallerTogether() {
    Shape even = Figures.in(new Figure.Rectangle(Length.mm("8")), RECT);
    assertThat(apart(even, new RoundRectangle2D.Double(10, 20, 60, 40, 16, 16))).isLessThan(1);
    // 40 and 40 on a side of 40: all halved
    Shape full = Figures.in(new Figure.Rectangle(Length.mm("40")), RECT);
    assertThat(apart(full, new RoundRectangle2D.Double(10, 20, 60, 40, 40, 40))).isLessThan(1);
    Shape one =
        Figures.in(
            new Figure.Rectangle(Length.ZERO, Length.ZERO, Length.mm("20"), Length.ZERO), RECT);
    assertThat(one.contains(10.1, 20.1)).isTrue();
    assertThat(one.contains(69.9, 59.9)).isFalse();
    assertThat(one.contains(69.9, 20.1)).isTrue();
    assertThat(one.contains(10.1, 59.9)).isTrue();
  }

  /** Corners of a regular polygon lie on the ellipse; a hexagon's side is as long as its radius. */
  @Test
  public void aRegularPolygonStandsInTheEllipse() {
    Rect square = new Rect(0, 0, 20, 20);
    Area six = new Area(Figures.in(new Figure.Regular(6, 0), square));
    assertThat(six.getBounds2D().getHeight()).isCloseTo(20, within(1e-9));
    assertThat(six.getBounds2D().getWidth()).isCloseTo(20 * Math.sqrt(3) / 2, within(1e-9));
    Area inEllipse = new Area(six);
    inEllipse.subtract(new Area(new Ellipse2D.Double(-1e-3, -1e-3, 20.002, 20.002)));
    assertThat(inEllipse.isEmpty()).isTrue();
  }
}
