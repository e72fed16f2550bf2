package app.reglet.core.design;

/**
 * One thing on the cover.
 *
 * @param id unique in the design, stays the same through changes
 * @param name what people call it
 * @param placement where it lies
 * @param appearance how it is laid over what is under it
 * @param content what it shows
 * @param locked whether it is left alone by what changes pieces
 * @param hidden whether it is left out, on screen and in the press file
 */
public record Piece(
    String id,
    String name,
    Placement placement,
    Appearance appearance,
    Content content,
    boolean locked,
    boolean hidden) {
  /** Longest name. */
  public static final int LONGEST_NAME = 80;

  /** An upright piece that covers what is under it. */
  public Piece(String id, String name, Anchors anchors, Content content) {
    this(id, name, Placement.upright(anchors), Appearance.PLAIN, content, false, false);
  }

  /** What holds its box. */
  public Anchors anchors() {
    return placement.anchors();
  }

  public Piece withAnchors(Anchors anchors) {
    return withPlacement(placement.withAnchors(anchors));
  }

  public Piece withPlacement(Placement p) {
    return new Piece(id, name, p, appearance, content, locked, hidden);
  }

  public Piece withAppearance(Appearance a) {
    return new Piece(id, name, placement, a, content, locked, hidden);
  }

  public Piece withContent(Content c) {
    return new Piece(id, name, placement, appearance, c, locked, hidden);
  }

  public Piece withName(String n) {
    return new Piece(id, n, placement, appearance, content, locked, hidden);
  }

  public Piece withId(String other) {
    return new Piece(other, name, placement, appearance, content, locked, hidden);
  }

  public Piece locked(boolean yes) {
    return new Piece(id, name, placement, appearance, content, yes, hidden);
  }

  public Piece hidden(boolean yes) {
    return new Piece(id, name, placement, appearance, content, locked, yes);
  }
}
