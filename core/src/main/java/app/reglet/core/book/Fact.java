package app.reglet.core.book;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** A fact of the book that words on the cover can refer to. */
public enum Fact {
  TITLE,
  SUBTITLE,
  AUTHOR,
  IMPRINT,
  BLURB,
  PRICE,
  SERIES,
  /** In the series. */
  NUMBER,
  ISBN,
  /** What somebody said of the book. */
  QUOTE,
  ABOUT_THE_AUTHOR,
  EDITION,
  /** Of publication. */
  DATE;

  /** Its name in braces and in addresses: {@code about the author}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** The fact of a name, in any case. */
  public static Optional<Fact> named(String name) {
    String id = name.toLowerCase(Locale.ROOT);
    return Arrays.stream(values()).filter(f -> f.id().equals(id)).findFirst();
  }

  /** Whether it is prose, in which stars mark emphasis; in the others they are stars. */
  public boolean isProse() {
    return this == BLURB || this == QUOTE || this == ABOUT_THE_AUTHOR;
  }

  /** A text of this fact, as it is written where stars mark emphasis. */
  public String marked(String text) {
    return isProse() ? text : Emphasised.escaped(text);
  }

  /** As a label: {@code Title}. */
  public String title() {
    return this == ISBN ? "ISBN" : name().charAt(0) + id().substring(1);
  }
}
