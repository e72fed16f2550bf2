package app.reglet.core.book;

/** How a cover is joined to the book block, in the trade's words. */
public enum Binding {
  PERFECT_BOUND("perfect-bound", "Perfect bound"),
  SADDLE_STITCHED("saddle-stitched", "Saddle stitched"),
  FLAPPED("flapped", "Flapped paperback"),
  CASE_LAMINATE("case-laminate", "Case laminate"),
  DUST_JACKET("dust-jacket", "Dust jacket"),
  /** No binding at all: the front alone, on a screen. */
  EBOOK("ebook", "Ebook cover");

  private final String id;
  private final String title;

  Binding(String id, String title) {
    this.id = id;
    this.title = title;
  }

  /** The name used in documents and addresses. */
  public String id() {
    return id;
  }

  /** The name people read. */
  public String title() {
    return title;
  }

  /** The binding with this id, or null when there is none. */
  public static Binding byId(String id) {
    for (Binding b : values()) {
      if (b.id.equals(id)) {
        return b;
      }
    }
    return null;
  }
}
