package app.reglet.core.house;

import java.util.Locale;

/**
 * An inside paper that a house offers.
 *
 * @param id its name in documents
 * @param name its name for people
 * @param shade what kind it is, so that papers of different houses can be set against each other
 */
public record Stock(String id, String name, Shade shade) implements Choice {
  /** The kind of a paper; {@code OTHER} is like no other paper. */
  public enum Shade {
    WHITE,
    CREAM,
    COATED,
    OTHER;

    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Whether both are of the same kind. */
  public boolean isLike(Stock other) {
    return shade != Shade.OTHER && shade == other.shade;
  }
}
