package app.reglet.web.titles;

import app.reglet.press.art.Rect;

/**
 * A line of the list of titles, as it is shown: an edition as it is measured, or why its facts are
 * broken. Plain texts, since a press with five hundred titles has five hundred of these on a page.
 *
 * @param at address of the edition
 * @param front address of the picture of its front; null when it isn't measured
 * @param frontHeight of that picture as the list shows it, {@value #FRONT_WIDTH} CSS pixels wide:
 *     with it the list keeps its place while pictures come, and nothing slips away under a hand
 * @param title of the book; empty in all but the first line of a book
 * @param edition what it is
 * @param named what it is, with title and house, for those who only hear it
 * @param spine width; a dash for none
 * @param sheet size; a dash when it isn't measured
 * @param broken why its facts can't be read; null when they can
 */
public record ShelfLine(
    String at,
    String front,
    int frontHeight,
    String title,
    String author,
    String edition,
    String house,
    String named,
    String spine,
    String sheet,
    BrokenCover broken) {
  private static final String NONE = "–";

  /** Of the picture of a front, CSS pixels. */
  public static final int FRONT_WIDTH = 54;

  static ShelfLine of(Measured m, boolean first) {
    EditionEntity e = m.edition();
    String at = at(e);
    String binding = e.getBinding().title();
    boolean counted = e.getBinding().hasPages() && e.getPages() != null;
    return new ShelfLine(
        at,
        m.wrap().isPresent() ? at + "/front?v=" + Fronts.key(e) : null,
        m.wrap().map(w -> height(Rect.of(Fronts.front(w)))).orElse(0),
        first ? m.book().title() : "",
        first ? m.book().author() : "",
        binding + ", " + e.getTrim().print(m.unit()) + (counted ? ", " + e.getPages() + " pp" : ""),
        m.house().name(),
        m.book().title() + ", " + binding + ", " + m.house().name(),
        m.wrap()
            .filter(w -> e.getBinding().hasSpine())
            .map(w -> w.spine().stated().column(m.unit()))
            .orElse(NONE),
        m.wrap().map(w -> w.sheet().column(m.unit())).orElse(NONE),
        null);
  }

  static ShelfLine of(EditionEntity e, BrokenCover why, boolean first) {
    return new ShelfLine(
        at(e),
        null,
        0,
        first ? e.getBook().getTitle() : "",
        first ? e.getBook().getAuthor() : "",
        "",
        "",
        "",
        NONE,
        NONE,
        why);
  }

  private static int height(Rect front) {
    return (int) Math.round(FRONT_WIDTH * front.height() / front.width());
  }

  private static String at(EditionEntity e) {
    return "/editions/" + e.getId();
  }
}
