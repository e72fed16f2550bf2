package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.Random;
import org.testng.annotations.Test;

/** Turns and mirrors, against the JDK's affine transforms. */
public class TurnsTest {
  private static final Placement.Flip[] FLIPS = Placement.Flip.values();

  private static Placement placement(Random random) {
    double angle =
        random.nextInt(4) == 0 ? 90 * random.nextInt(5) - 180 : random.nextDouble() * 720 - 360;
    Placement upright = Placement.upright(Anchors.filling(Region.SHEET));
    return upright.withAngle(angle).withFlip(FLIPS[random.nextInt(FLIPS.length)]);
  }

  private static AffineTransform awt(Placement p) {
    AffineTransform t = AffineTransform.getRotateInstance(Math.toRadians(p.angle()));
    t.scale(p.flip().isAcross() ? -1 : 1, p.flip().isDown() ? -1 : 1);
    return t;
  }

  private static void same(Turns turns, AffineTransform t) {
    assertThat(turns.xx()).isCloseTo(t.getScaleX(), within(1e-12));
    assertThat(turns.yx()).isCloseTo(t.getShearY(), within(1e-12));
    assertThat(turns.xy()).isCloseTo(t.getShearX(), within(1e-12));
    assertThat(turns.yy()).isCloseTo(t.getScaleY(), within(1e-12));
  }

  @Test
  public void aPlacementTurnsAsAnAffineTransformDoesAndOneInAnotherTurnsByBoth() {
    Random random = new Random(7);
    for (int i = 0; i < 2000; i++) {
      Placement outer = placement(random);
      Placement inner = placement(random);
      same(Turns.of(outer), awt(outer));
      AffineTransform both = awt(outer);
      both.concatenate(awt(inner));
      same(Turns.of(outer).then(inner), both);
    }
  }

  @Test
  public void aStepOnTheSheetIsTheInverseStepInside() throws Exception {
    Random random = new Random(11);
    for (int i = 0; i < 500; i++) {
      Placement p = placement(random);
      double right = random.nextDouble() * 200 - 100;
      double down = random.nextDouble() * 200 - 100;
      Length[] in = Turns.of(p).inwards(Length.nearMm(right), Length.nearMm(down));
      Point2D expected = awt(p).inverseTransform(new Point2D.Double(right, down), null);
      assertThat(in[0].toMm()).isCloseTo(expected.getX(), within(2e-6));
      assertThat(in[1].toMm()).isCloseTo(expected.getY(), within(2e-6));
    }
  }

  @Test
  public void rightAnglesAreExactAndAnUprightStepStaysToTheQuantum() {
    Placement upright = Placement.upright(Anchors.filling(Region.SHEET));
    assertThat(Turns.of(upright).isNone()).isTrue();
    assertThat(Turns.of(upright.withAngle(90))).isEqualTo(new Turns(0, 1, -1, 0));
    assertThat(Turns.of(upright.withAngle(90)).isNone()).isFalse();
    Length odd = new Length(123_456_789_012_345L);
    assertThat(Turns.NONE.inwards(odd, odd.negate())).containsExactly(odd, odd.negate());
  }

  /** Above −180 up to 180, as many whole turns as there are taken off. */
  @Test
  public void anAngleIsTheSameTurnInItsShortestWay() {
    double[][] turns = {
      {180, 180},
      {-180, 180},
      {181, -179},
      {-181, 179},
      {359, -1},
      {-359, 1},
      {360, 0},
      {540, 180},
      {-540, 180},
      {90, 90},
      {-90, -90},
      {-0.0, 0},
      {725, 5},
    };
    for (double[] t : turns) {
      assertThat(Placement.turned(t[0])).as(t[0] + "°").isEqualTo(t[1]);
    }
    assertThatThrownBy(() -> Placement.turned(Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
