package app.reglet.core.design;

/**
 * Where a piece lies and which way round.
 *
 * @param anchors what holds its box
 * @param angle turned about the middle of its box, degrees clockwise, above −180 up to 180
 * @param flip mirrored before it is turned
 */
public record Placement(Anchors anchors, double angle, Flip flip) {
  /** How a piece is mirrored in its box. */
  public enum Flip {
    NONE,
    /** Left and right change places. */
    ACROSS,
    /** Top and bottom change places. */
    DOWN,
    BOTH;

    public boolean isAcross() {
      return this == ACROSS || this == BOTH;
    }

    public boolean isDown() {
      return this == DOWN || this == BOTH;
    }

    /** The opposite across. */
    public Flip across() {
      return of(!isAcross(), isDown());
    }

    /** The opposite down. */
    public Flip down() {
      return of(isAcross(), !isDown());
    }

    static Flip of(boolean across, boolean down) {
      return across ? down ? BOTH : ACROSS : down ? DOWN : NONE;
    }
  }

  public Placement {
    angle = turned(angle);
  }

  /** An angle above −180 up to 180 that is the same turn. */
  static double turned(double degrees) {
    if (!Double.isFinite(degrees)) {
      throw new IllegalArgumentException("no angle: " + degrees);
    }
    double rest = degrees % 360;
    return rest > 180 ? rest - 360 : rest <= -180 ? rest + 360 : rest + 0.0;
  }

  public static Placement upright(Anchors anchors) {
    return new Placement(anchors, 0, Flip.NONE);
  }

  public Placement withAnchors(Anchors a) {
    return new Placement(a, angle, flip);
  }

  public Placement withAngle(double degrees) {
    return new Placement(anchors, degrees, flip);
  }

  public Placement withFlip(Flip f) {
    return new Placement(anchors, angle, f);
  }

  /** Whether it stands as it is, neither turned nor mirrored. */
  public boolean isUpright() {
    return angle == 0 && flip == Flip.NONE;
  }
}
