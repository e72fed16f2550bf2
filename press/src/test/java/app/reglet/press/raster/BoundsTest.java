package app.reglet.press.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What marks are said to cover, beside what is drawn of them. */
public class BoundsTest {
  private static final Fill INK = Fill.of(Colour.BLACK);
  private static final double PER_MM = 10;
  private static final Rect AREA = new Rect(-20, -20, 100, 100);

  private static Mark.Glyphs word() {
    Typeface face = Typefaces.shipped().get("eb-garamond-italic");
    var line = face.shape("fjord", 0);
    double size = 12;
    double[] x = new double[line.glyphs().length];
    for (int i = 0; i < x.length; i++) {
      x[i] = line.x()[i] * size;
    }
    return new Mark.Glyphs(
        face,
        size,
        line.glyphs(),
        x,
        new double[x.length],
        Mark.Glyphs.UPRIGHT,
        line.chars(),
        AffineTransform.getTranslateInstance(6, 24),
        INK,
        null,
        "fjord");
  }

  private static Mark turned(Mark... marks) {
    AffineTransform t = AffineTransform.getRotateInstance(Math.toRadians(30), 20, 20);
    t.scale(1.5, 1.5);
    return new Mark.Group("turned", Effects.NONE.withTransform(t), List.of(marks));
  }

  /** Three times as large, its line too. */
  private static Mark grown(Mark mark) {
    AffineTransform t = AffineTransform.getScaleInstance(3, 3);
    t.translate(-8, -8);
    return new Mark.Group("grown", Effects.NONE.withTransform(t), List.of(mark));
  }

  private static Mark spike() {
    Path2D spike = new Path2D.Double();
    spike.moveTo(10, 40);
    spike.lineTo(15, 10);
    spike.lineTo(20, 40);
    spike.closePath();
    return new Mark.Path(spike, null, Pen.plain(INK, 2));
  }

  private static Mark path() {
    return new Mark.Path(new Rectangle2D.Double(3, 4, 20, 9), INK, null);
  }

  /** The mark, and how far beyond its ink its bounds may reach, mm. */
  @DataProvider
  Object[][] marks() {
    Mark drawn = new Mark.Path(new Ellipse2D.Double(10, 10, 20, 6), null, Pen.plain(INK, 2));
    Mark line = new Mark.Path(new Line2D.Double(5, 30, 40, 30), null, Pen.plain(INK, 1));
    return new Object[][] {
      {path(), 0.0},
      {drawn, 1.0},
      {line, 1.0},
      {spike(), 2.0}, // its mitred tip reaches out by more than the line is wide
      {grown(drawn), 1.0},
      {turned(path()), 0.0},
      {word(), 0.0},
      {turned(word()), 6.0}, // a box round the box of each letter
      {new Mark.Group("two", Effects.NONE, List.of(turned(path()), path())), 0.0}
    };
  }

  @Test(dataProvider = "marks")
  public void theBoundsHoldAllThatIsDrawnAndNotMuchMore(Mark mark, double more) {
    BufferedImage image = ArtworkRaster.clear(List.of(mark), AREA, PER_MM);
    Rectangle2D ink = null;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        if (image.getRGB(x, y) >>> 24 > 127) {
          Rectangle2D pixel =
              new Rectangle2D.Double(
                  AREA.x() + x / PER_MM, AREA.y() + y / PER_MM, 1 / PER_MM, 1 / PER_MM);
          ink = ink == null ? pixel : ink.createUnion(pixel);
        }
      }
    }
    Rectangle2D bounds = ArtworkRaster.bounds(List.of(mark));
    double pixel = 1.2 / PER_MM;
    double[][] sides = {
      {ink.getMinX() - bounds.getMinX(), bounds.getMaxX() - ink.getMaxX()},
      {ink.getMinY() - bounds.getMinY(), bounds.getMaxY() - ink.getMaxY()}
    };
    for (double[] side : sides) {
      for (double beyond : side) {
        assertThat(beyond).isBetween(-pixel, more + pixel);
      }
    }
  }

  @Test
  public void marksThatDrawNothingHaveNoBounds() {
    assertThat(ArtworkRaster.bounds(List.of()).getWidth()).isCloseTo(0, within(1e-12));
  }
}
