package app.reglet.core.design;

import app.reglet.core.Refusal;
import java.util.List;
import java.util.stream.Stream;

/** What an area, a line or letters are filled with. */
public sealed interface Paint {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R flat(Flat paint);

    R linear(Linear paint);

    R radial(Radial paint);
  }

  /** Every colour in it. */
  Stream<Colour> colours();

  /** One colour. */
  record Flat(Colour colour) implements Paint {
    @Override
    public Stream<Colour> colours() {
      return Stream.of(colour);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.flat(this);
    }
  }

  /**
   * Colours that run along a line through the middle of the box, long enough that its corners have
   * the first and the last colour (the construction of W3C CSS Images 3, 3.1.1).
   *
   * @param angle of the line, degrees clockwise; 0 runs from left to right
   * @param stops at least two, in order
   */
  record Linear(double angle, List<Stop> stops) implements Paint {
    public Linear {
      stops = Stop.checked(stops);
    }

    /** As it is seen in a mirror that exchanges left and right. */
    public Linear mirrored() {
      return new Linear(HALF_TURN - angle, stops);
    }

    private static final double HALF_TURN = 180;

    @Override
    public Stream<Colour> colours() {
      return stops.stream().map(Stop::colour);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.linear(this);
    }
  }

  /**
   * Colours that run from the middle of the box to its corners.
   *
   * @param stops at least two, in order
   */
  record Radial(List<Stop> stops) implements Paint {
    public Radial {
      stops = Stop.checked(stops);
    }

    @Override
    public Stream<Colour> colours() {
      return stops.stream().map(Stop::colour);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.radial(this);
    }
  }

  /**
   * A colour at a place along a gradient.
   *
   * @param at 0 at the start, 1 at the end
   */
  record Stop(double at, Colour colour) {
    /** More than any gradient needs; a guard against runaway documents. */
    static final int MOST = 32;

    static List<Stop> checked(List<Stop> stops) {
      if (stops.size() < 2 || stops.size() > MOST) {
        throw new Refusal(
            "A gradient has 2 to " + MOST + " colours; this one has " + stops.size() + ".");
      }
      double last = 0;
      for (Stop s : stops) {
        if (!(s.at() >= last && s.at() <= 1)) {
          throw new Refusal(
              "The colours of a gradient stand in order from 0 to 1; one stands at "
                  + s.at()
                  + " after "
                  + last
                  + ".");
        }
        last = s.at();
      }
      return List.copyOf(stops);
    }
  }

  static Paint of(Colour colour) {
    return new Flat(colour);
  }
}
