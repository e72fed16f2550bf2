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

  /** As a label: {@code Title}. */
  public String title() {
    return name().charAt(0) + name().substring(1).toLowerCase(Locale.ROOT);
  }
}
