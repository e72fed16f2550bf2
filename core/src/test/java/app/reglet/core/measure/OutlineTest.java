package app.reglet.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;

public class OutlineTest {
  private static final Length NO_TOLERANCE = Length.ZERO;

  private static Outline turned(Rectangle2D r, double degrees) {
    AffineTransform t =
        AffineTransform.getRotateInstance(Math.toRadians(degrees), r.getCenterX(), r.getCenterY());
    double[] c = {
      r.getMinX(),
      r.getMinY(),
      r.getMaxX(),
      r.getMinY(),
      r.getMaxX(),
      r.getMaxY(),
      r.getMinX(),
      r.getMaxY()
    };
    t.transform(c, 0, c, 0, 4);
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 8; i += 2) {
      points.add(new Point(Length.nearMm(c[i]), Length.nearMm(c[i + 1])));
    }
    return new Outline(List.of(points));
  }

  private static Area area(Outline o) {
    Path2D path = new Path2D.Double();
    List<Point> points = o.parts().get(0);
    path.moveTo(points.get(0).x().toMm(), points.get(0).y().toMm());
    points.stream().skip(1).forEach(p -> path.lineTo(p.x().toMm(), p.y().toMm()));
    path.closePath();
    return new Area(path);
  }

  /** Against the JDK's own constructive geometry. */
  @Test
  public void twoTurnedBoxesOverlapJustWhenTheJdkFindsAnAreaInCommon() {
    Random random = new Random(7);
    int overlapping = 0;
    for (int i = 0; i < 4000; i++) {
      Outline a = random(random);
      Outline b = random(random);
      Area common = area(a);
      common.intersect(area(b));
      Rectangle2D bounds = common.getBounds2D();
      if (!common.isEmpty() && Math.min(bounds.getWidth(), bounds.getHeight()) < 1e-6) {
        continue; // they touch
      }
      assertThat(a.overlaps(b, NO_TOLERANCE)).isEqualTo(!common.isEmpty());
      overlapping += common.isEmpty() ? 0 : 1;
    }
    assertThat(overlapping).isBetween(500, 3500);
  }

  private static Outline random(Random r) {
    return turned(
        new Rectangle2D.Double(
            r.nextDouble() * 60,
            r.nextDouble() * 60,
            1 + r.nextDouble() * 30,
            1 + r.nextDouble() * 30),
        r.nextDouble() * 360);
  }

  @Test
  public void anUprightBoxIsItsOwnBoundsToTheQuantum() {
    Box box =
        new Box(new Length(1), new Length(-7), Length.parse("1/3 in", Unit.MM), new Length(5));
    assertThat(Outline.of(box).bounds()).isEqualTo(box);
  }

  @Test
  public void aSharedStripNarrowerThanTheToleranceIsNone() {
    Box a = new Box(Length.ZERO, Length.ZERO, Length.mm("10"), Length.mm("10"));
    Outline beside = Outline.of(a.moved(Length.mm("9.99"), Length.ZERO));
    assertThat(beside.overlaps(a, Length.mm("0.01"))).isFalse();
    assertThat(beside.overlaps(a, Length.mm("0.0099"))).isTrue();
  }
}
