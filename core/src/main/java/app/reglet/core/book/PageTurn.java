package app.reglet.core.book;

/** The direction in which pages turn; it says on which side of the spine the front is. */
public enum PageTurn {
  /** Left to right: the front is right of the spine, seen from outside. */
  LTR("ltr", "Left to right"),
  /** Right to left: the front is left of the spine. */
  RTL("rtl", "Right to left");

  private final String id;
  private final String title;

  PageTurn(String id, String title) {
    this.id = id;
    this.title = title;
  }

  public String id() {
    return id;
  }

  public String title() {
    return title;
  }

  /** The direction with this id, or null when there is none. */
  public static PageTurn byId(String id) {
    for (PageTurn t : values()) {
      if (t.id.equals(id)) {
        return t;
      }
    }
    return null;
  }
}
