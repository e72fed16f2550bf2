package app.reglet.core.design;

import app.reglet.core.measure.Length;

/**
 * How directions inside turned and mirrored pieces lie on the sheet: a matrix of two by two, x
 * right, y down, angles clockwise.
 *
 * @param xx sheet x of one step right
 * @param yx sheet y of one step right
 * @param xy sheet x of one step down
 * @param yy sheet y of one step down
 */
public record Turns(double xx, double yx, double xy, double yy) {
  public static final Turns NONE = new Turns(1, 0, 0, 1);

  /** The turn and flip of a placement: mirrored first, then turned clockwise. */
  public static Turns of(Placement p) {
    if (p.isUpright()) {
      return NONE;
    }
    double fx = p.flip().isAcross() ? -1 : 1;
    double fy = p.flip().isDown() ? -1 : 1;
    double c = cos(p.angle());
    double s = cos(p.angle() - 90);
    return new Turns(c * fx, s * fx, -s * fy, c * fy);
  }

  /** The cosine of degrees, exact at right angles. */
  private static double cos(double degrees) {
    double d = Math.abs(degrees % 360);
    return d == 90 || d == 270 ? 0 : Math.cos(Math.toRadians(d));
  }

  /** These, with what a piece inside does. */
  public Turns then(Placement p) {
    Turns t = of(p);
    return new Turns(
        xx * t.xx + xy * t.yx, yx * t.xx + yy * t.yx, xx * t.xy + xy * t.yy, yx * t.xy + yy * t.yy);
  }

  public boolean isNone() {
    return equals(NONE);
  }

  /** What a step on the sheet is in here, right and down. */
  public Length[] inwards(Length right, Length down) {
    if (isNone()) {
      return new Length[] {right, down};
    }
    // turns and mirrors are orthogonal: the inverse is the transpose
    double r = right.toMm();
    double d = down.toMm();
    return new Length[] {Length.nearMm(xx * r + yx * d), Length.nearMm(xy * r + yy * d)};
  }
}
