package app.reglet.press.ornament;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import org.testng.annotations.Test;

public class OrnamentsTest {
  @Test
  public void sixtyAndMoreAreShippedEachInItsBoxWithInkOfEveryColour() {
    assertThat(Ornaments.shipped().all()).hasSizeGreaterThanOrEqualTo(60);
    for (Ornament o : Ornaments.shipped().all()) {
      Rectangle2D box = new Rectangle2D.Double(-0.5, -0.5, o.width() + 1, o.height() + 1);
      for (int colour = 0; colour < o.colours(); colour++) {
        Rectangle2D ink = o.shape(colour, new AffineTransform()).getBounds2D();
        assertThat(ink.isEmpty()).as(o.id() + ", colour " + colour).isFalse();
        assertThat(box.contains(ink)).as(o.id() + ": " + ink).isTrue();
      }
      assertThat(Ornaments.shipped().find(o.id())).contains(o);
    }
  }

  /** What is meant to meet its neighbour has ink of the same height on both of its edges. */
  @Test
  public void cellsOfPatternsMeet() {
    for (String id : new String[] {"chevron", "stripe", "ripple", "hatch", "check"}) {
      Ornament o = Ornaments.shipped().find(id).orElseThrow();
      Area all = new Area(o.shape(0, new AffineTransform()));
      for (double y = 1; y < o.height(); y += 2) {
        boolean left = all.contains(0.3, y);
        Area beside = new Area(all);
        beside.transform(AffineTransform.getTranslateInstance(o.width(), 0));
        boolean right = all.contains(o.width() - 0.3, y);
        if (id.equals("check")) {
          assertThat(left).as(id + " at " + y).isEqualTo(!right);
        } else if (Math.abs(y - 20) > 2 && Math.abs(y - 28) > 2) {
          assertThat(left).as(id + " at " + y).isEqualTo(right);
        }
      }
    }
  }
}
