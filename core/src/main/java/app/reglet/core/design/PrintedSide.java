package app.reglet.core.design;

import java.util.Locale;

/** A side of the cover that can be printed. */
public enum PrintedSide {
  /** What one sees of the closed book, laid flat. */
  OUTSIDE,
  /** The other side of the same sheet, as it looks when the sheet is turned over. */
  INSIDE;

  /** The name used in documents. */
  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }
}
