package app.reglet.web.titles;

import app.reglet.web.shell.Broken;

/** An edition of which something that is kept can't be read any more. */
public final class BrokenCover extends Broken {
  private static final long serialVersionUID = 1L;

  /** What can't be read, and so what mends it. */
  public enum Way {
    /** The version of the rule sheet it is measured by. */
    SHEET("Measure by a sheet that is here"),
    /** The design. */
    DESIGN("Go back to the last design that can be read"),
    /** Binding, trim or direction. */
    FACTS("Set binding, trim and direction anew");

    private final String label;

    Way(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }

    /** The way of this name; null when there is none. */
    static Way byName(String name) {
      for (Way w : values()) {
        if (w.name().equalsIgnoreCase(name)) {
          return w;
        }
      }
      return null;
    }
  }

  BrokenCover(EditionEntity edition, Way way, String sentence) {
    super(sentence, "/editions/" + edition.getId() + "/repair", way.name(), way.label());
  }
}
