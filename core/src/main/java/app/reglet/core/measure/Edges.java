package app.reglet.core.measure;

/** Four distances from the sides of a box, each measured inwards or outwards as its user says. */
public record Edges(Length top, Length right, Length bottom, Length left) {
  public static final Edges NONE = all(Length.ZERO);

  public static Edges all(Length each) {
    return new Edges(each, each, each, each);
  }

  /** The same edges seen in a mirror: left and right exchanged. */
  public Edges mirrored() {
    return new Edges(top, left, bottom, right);
  }
}
