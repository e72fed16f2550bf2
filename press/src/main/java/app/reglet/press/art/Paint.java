package app.reglet.press.art;

import app.reglet.core.design.Colour;

/** What a mark is painted with. */
public sealed interface Paint {
  /** A colour of the design, sRGB. */
  record Rgb(Colour colour) implements Paint {}

  /** The black ink alone, for bars that a scanner must read. */
  record BlackOnly() implements Paint {}

  Paint BLACK_ONLY = new BlackOnly();
  Paint PAPER = new Rgb(Colour.WHITE);

  static Paint of(Colour colour) {
    return new Rgb(colour);
  }
}
