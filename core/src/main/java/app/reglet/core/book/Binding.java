package app.reglet.core.book;

import java.util.Set;

/** How a cover is joined to the book block, in the trade's words. */
public enum Binding {
  PERFECT_BOUND(
      "perfect-bound", "Perfect bound", Has.PAGES, Has.SPINE, Has.BACK, Has.BLEED, Has.INSIDE),
  SADDLE_STITCHED("saddle-stitched", "Saddle stitched", Has.PAGES, Has.BACK, Has.BLEED, Has.INSIDE),
  FLAPPED(
      "flapped",
      "Flapped paperback",
      Has.PAGES,
      Has.SPINE,
      Has.BACK,
      Has.BLEED,
      Has.FLAPS,
      Has.INSIDE),
  CASE_LAMINATE("case-laminate", "Case laminate", Has.PAGES, Has.SPINE, Has.BACK, Has.BOARDS),
  DUST_JACKET(
      "dust-jacket",
      "Dust jacket",
      Has.PAGES,
      Has.SPINE,
      Has.BACK,
      Has.BLEED,
      Has.FLAPS,
      Has.BOARDS),
  /** No binding at all: the front alone, on a screen. */
  EBOOK("ebook", "Ebook cover", Has.PIXELS);

  /** What a cover of a binding has. */
  public enum Has {
    /** Pages and paper, which its measures depend on. */
    PAGES,
    /** A spine that words may stand on. */
    SPINE,
    /** A back, with a barcode on it. */
    BACK,
    /**
     * Art past the trim that is cut off; where it is missing a turn-in takes its place, or none.
     */
    BLEED,
    /** Boards in it or under it, and so hinges. */
    BOARDS,
    /** Flaps, if they are asked for. */
    FLAPS,
    /** An inside that may be printed. */
    INSIDE,
    /** Pixels for a measure instead of lengths on paper. */
    PIXELS
  }

  private final String id;
  private final String title;
  private final Set<Has> has;

  Binding(String id, String title, Has... has) {
    this.id = id;
    this.title = title;
    this.has = Set.of(has);
  }

  /** Whether a cover of this binding has something. */
  public boolean has(Has what) {
    return has.contains(what);
  }

  /**
   * Whether books of two bindings are one product form, a paperback, a hardback or an ebook: forms
   * have an ISBN each (ISBN Users' Manual of the International ISBN Agency, from memory). A jacket
   * and a case may be of one hardback, a paperback may have flaps at one printer and none at
   * another.
   */
  public boolean isOneFormWith(Binding other) {
    return isInPixels() == other.isInPixels() && has(Has.BOARDS) == other.has(Has.BOARDS);
  }

  /** Whether its measures depend on a page count and a paper. */
  public boolean hasPages() {
    return has(Has.PAGES);
  }

  public boolean hasSpine() {
    return has(Has.SPINE);
  }

  public boolean hasBack() {
    return has(Has.BACK);
  }

  public boolean hasFlaps() {
    return has(Has.FLAPS);
  }

  /** Whether its art runs past the trim. */
  public boolean isBled() {
    return has(Has.BLEED);
  }

  /** Whether there are boards in it or under it, and so hinges. */
  public boolean hasBoards() {
    return has(Has.BOARDS);
  }

  /** Whether it is measured in pixels. */
  public boolean isInPixels() {
    return has(Has.PIXELS);
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
