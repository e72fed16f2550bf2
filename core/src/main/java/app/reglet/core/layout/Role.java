package app.reglet.core.layout;

import app.reglet.core.design.Colour;

/** What a colour of a layout is for; it stands in the palette by its title. */
public enum Role {
  /** The darkest: grounds and words. */
  INK("Ink"),
  /** The lightest: grounds and words. */
  PAPER("Paper"),
  /** The one that is seen first. */
  ACCENT("Accent"),
  /** The one that stays behind. */
  QUIET("Quiet"),
  /** A second light. */
  LIGHT("Light");

  private final String title;

  Role(String title) {
    this.title = title;
  }

  /** Its name in the palette. */
  public String title() {
    return title;
  }

  Colour.Swatch swatch() {
    return new Colour.Swatch(title);
  }
}
