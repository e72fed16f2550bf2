package app.reglet.core.wrap;

/** A page of what is handed over to the house; a page of the book is always a count. */
public enum FilePage {
  /** The whole outside in one piece. */
  OUTSIDE("wrap", "Outside"),
  /** The inside of the cover, as it looks when one turns the outside over. */
  INSIDE("inside", "Inside"),
  /** Front alone, with its flap if it has one. */
  FRONT("front", "Front"),
  /** Spine alone. */
  SPINE("spine", "Spine"),
  /** Back alone, with its flap if it has one. */
  BACK("back", "Back");

  private final String id;
  private final String title;

  FilePage(String id, String title) {
    this.id = id;
    this.title = title;
  }

  public String id() {
    return id;
  }

  public String title() {
    return title;
  }
}
