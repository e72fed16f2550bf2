package app.reglet.press.art;

import app.reglet.core.design.Colour;
import java.util.List;

/** What a mark is filled with, in sheet coordinates (or those of the groups it is in). */
public sealed interface Fill {
  /** Bars and figures that a scanner must read. */
  Fill BLACK_INK = new Flat(Colour.BLACK_INK);

  Fill WHITE = new Flat(Colour.WHITE);

  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R flat(Flat flat);

    R linear(Linear linear);

    R radial(Radial radial);
  }

  /** One colour. */
  record Flat(Colour.Solid colour) implements Fill {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.flat(this);
    }
  }

  /** Colours along a line from one point to another, and the outer ones beyond. */
  record Linear(double x1, double y1, double x2, double y2, List<Stop> stops) implements Fill {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.linear(this);
    }
  }

  /** Colours from a middle to a circle round it, and the last beyond. */
  record Radial(double x, double y, double radius, List<Stop> stops) implements Fill {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.radial(this);
    }
  }

  /**
   * A colour of a gradient.
   *
   * @param at 0 at its start, 1 at its end
   */
  record Stop(double at, Colour.Solid colour) {}

  static Fill of(Colour.Solid colour) {
    return new Flat(colour);
  }
}
