package app.reglet.press.art;

/**
 * Draws marks on something: a screen, pixels, a press file. It is walked through them from back to
 * front; a kind of mark that a painter does not handle does not compile.
 */
public interface Painter {
  void path(Mark.Path path);

  void glyphs(Mark.Glyphs glyphs);

  void label(Mark.Label label);

  void image(Mark.Image image);

  void page(Mark.Page page);

  void tiled(Mark.Tiled tiled);

  /** The marks that come until {@link #end} belong to this group. */
  void begin(Mark.Group group);

  void end(Mark.Group group);

  /** Walks it through marks. */
  default void paint(Iterable<? extends Mark> marks) {
    marks.forEach(m -> m.paint(this));
  }
}
