package app.reglet.press.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Tiling;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LatticeTest {
  private static Lattice lattice(Tiling.Stagger stagger, double gap, double angle) {
    AffineTransform to = AffineTransform.getTranslateInstance(50, 40);
    to.rotate(Math.toRadians(angle));
    return new Lattice(10, 6, 10 + gap, 6 + gap, stagger, to);
  }

  @DataProvider
  Object[][] lattices() {
    return new Object[][] {
      {Tiling.Stagger.NONE, 0.0},
      {Tiling.Stagger.BRICK, 0.0},
      {Tiling.Stagger.HALF_DROP, 0.0},
      {Tiling.Stagger.BRICK, 33.0},
      {Tiling.Stagger.HALF_DROP, -80.0},
    };
  }

  /** Without gaps the boxes cover the area wholly, none twice. */
  @Test(dataProvider = "lattices")
  public void motifsWithoutGapsCoverTheAreaOnce(Tiling.Stagger stagger, double angle) {
    Lattice l = lattice(stagger, 0, angle);
    Rectangle2D area = new Rectangle2D.Double(0, 0, 120, 90);
    Area covered = new Area();
    double each = 0;
    for (Point2D p : l.places(area)) {
      Shape box =
          l.toSheet().createTransformedShape(new Rectangle2D.Double(p.getX(), p.getY(), 10, 6));
      Area part = new Area(box);
      part.intersect(new Area(area));
      each += size(part);
      covered.add(part);
    }
    assertThat(each).isCloseTo(120 * 90, within(0.5));
    assertThat(size(covered)).isCloseTo(120 * 90, within(0.5));
  }

  private static double size(Area area) {
    double sum = 0;
    double[] c = new double[6];
    double x = 0;
    double y = 0;
    double startX = 0;
    double startY = 0;
    for (var p = area.getPathIterator(null); !p.isDone(); p.next()) {
      int kind = p.currentSegment(c);
      double toX = kind == java.awt.geom.PathIterator.SEG_CLOSE ? startX : c[0];
      double toY = kind == java.awt.geom.PathIterator.SEG_CLOSE ? startY : c[1];
      if (kind == java.awt.geom.PathIterator.SEG_MOVETO) {
        startX = toX;
        startY = toY;
      } else {
        sum += x * toY - toX * y;
      }
      x = toX;
      y = toY;
    }
    return Math.abs(sum) / 2;
  }

  @Test
  public void everySecondRowOrColumnIsSetOffByHalfAStep() {
    Rectangle2D area = new Rectangle2D.Double(40, 30, 40, 40);
    List<Point2D> brick = lattice(Tiling.Stagger.BRICK, 2, 0).places(area);
    // steps of 12 and 8 from a motif whose middle is at 50, 40
    assertThat(brick).contains(new Point2D.Double(-5, -3), new Point2D.Double(1, 5));
    assertThat(brick).contains(new Point2D.Double(-5, 13)).doesNotContain(at(-5, 5));
    List<Point2D> drop = lattice(Tiling.Stagger.HALF_DROP, 2, 0).places(area);
    assertThat(drop).contains(at(-5, -3), at(7, 1), at(19, -3)).doesNotContain(at(7, -3));
  }

  private static Point2D at(double x, double y) {
    return new Point2D.Double(x, y);
  }

  @Test
  public void whatOnlyTouchesTheAreaIsNotDrawn() {
    Lattice l = lattice(Tiling.Stagger.NONE, 0, 0);
    assertThat(l.places(new Rectangle2D.Double(45, 37, 10, 6))).hasSize(1);
  }
}
