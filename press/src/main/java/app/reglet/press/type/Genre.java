package app.reglet.press.type;

import java.util.Locale;

/** Kinds of books whose covers a family of type is at home on; our own choice. */
public enum Genre {
  LITERARY,
  CRIME,
  ROMANCE,
  FANTASY,
  HORROR,
  SCIENCE,
  HISTORY,
  WESTERN,
  POETRY,
  FAITH,
  CHILDREN,
  HANDBOOK,
  NOTEBOOK;

  /** As people read it. */
  public String title() {
    return name().toLowerCase(Locale.ROOT);
  }
}
