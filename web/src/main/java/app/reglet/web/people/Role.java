package app.reglet.web.people;

import java.util.Locale;

/** What a person may do; each may what those before it may. */
public enum Role {
  /** Looks and comments. */
  READER,
  /** Makes titles, editions, covers and files. */
  DESIGNER,
  /** Looks after people, houses and the data. */
  OWNER;

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What the role is for, in a few words. */
  public String about() {
    return switch (this) {
      case READER -> "looks on";
      case DESIGNER -> "makes titles and covers";
      case OWNER -> "looks after people, houses and backups too";
    };
  }

  public boolean atLeast(Role other) {
    return compareTo(other) >= 0;
  }

  /** The role of this name; null when there is none. */
  public static Role byId(String id) {
    for (Role r : values()) {
      if (r.id().equals(id)) {
        return r;
      }
    }
    return null;
  }
}
