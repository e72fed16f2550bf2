package app.reglet.press.font;

/** The glyphs of a font, by their ids. */
interface Outlines {
  int count();

  /**
   * A glyph with its parts in place.
   *
   * @throws app.reglet.core.Refusal when the font is damaged there
   */
  Outline glyph(int id);
}
