package app.reglet.core.design;

import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import java.util.Locale;

/** A side of the cover that can be printed. */
public enum PrintedSide {
  /** What one sees of the closed book, laid flat. */
  OUTSIDE,
  /** The other side of the same sheet, as it looks when the sheet is turned over. */
  INSIDE;

  /** The side that a page of the file shows. */
  public static PrintedSide of(Wrap page) {
    return page.page() == FilePage.INSIDE ? INSIDE : OUTSIDE;
  }

  /** What is on it as long as nobody composed it. */
  public Composition untouched() {
    return this == INSIDE ? Composition.BLANK : Composition.EMPTY;
  }

  /** The name used in documents. */
  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }
}
