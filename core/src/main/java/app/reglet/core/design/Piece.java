package app.reglet.core.design;

/**
 * One thing on the cover.
 *
 * @param id unique in the design, stays the same through changes
 * @param name what people call it
 * @param pins what holds it in place
 * @param content what it shows
 */
public record Piece(String id, String name, Pins pins, Content content) {
  public Piece withPins(Pins newPins) {
    return new Piece(id, name, newPins, content);
  }

  public Piece withContent(Content newContent) {
    return new Piece(id, name, pins, newContent);
  }
}
