package app.reglet.core.book;

import java.util.Locale;

/** A fact of the book that words on the cover can refer to. */
public enum Fact {
  TITLE,
  SUBTITLE,
  AUTHOR,
  IMPRINT,
  BLURB,
  PRICE;

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Whether it is prose, in which stars mark emphasis; in the others they are stars. */
  public boolean isProse() {
    return this == BLURB;
  }

  /** A text of this fact, as it is written where stars mark emphasis. */
  public String marked(String text) {
    return isProse() ? text : Emphasised.escaped(text);
  }

  /** As a label: {@code Title}. */
  public String title() {
    return name().charAt(0) + name().substring(1).toLowerCase(Locale.ROOT);
  }
}
