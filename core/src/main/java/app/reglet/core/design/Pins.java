package app.reglet.core.design;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.Optional;

/**
 * What holds a piece in place on any wrap.
 *
 * @param across along the width
 * @param down along the height
 */
public record Pins(Span across, Span down) {
  /** Filling a region, from edge to edge. */
  public static Pins filling(Region region) {
    return stretched(region, Length.ZERO, Length.ZERO, Length.ZERO, Length.ZERO);
  }

  /** Stretched inside a region with distances from its edges. */
  public static Pins stretched(Region r, Length left, Length top, Length right, Length bottom) {
    return new Pins(
        new Span.Stretched(
            new Line(r, Line.Edge.LEFT), left, new Line(r, Line.Edge.RIGHT), right.negate()),
        new Span.Stretched(
            new Line(r, Line.Edge.TOP), top, new Line(r, Line.Edge.BOTTOM), bottom.negate()));
  }

  /** Stretched across a region, hung from its top edge. */
  public static Pins fromTop(Region r, Length top, Length height) {
    return new Pins(
        filling(r).across(),
        new Span.Hung(new Line(r, Line.Edge.TOP), Span.Side.START, top, height));
  }

  /** Stretched across a region, standing on its bottom edge. */
  public static Pins fromBottom(Region r, Length bottom, Length height) {
    return new Pins(
        filling(r).across(),
        new Span.Hung(new Line(r, Line.Edge.BOTTOM), Span.Side.END, bottom.negate(), height));
  }

  /** Where the piece lies on this wrap, empty when the wrap lacks the part it hangs on. */
  public Optional<Box> on(Wrap wrap) {
    return across
        .on(wrap)
        .flatMap(x -> down.on(wrap).map(y -> Box.between(x.from(), y.from(), x.to(), y.to())));
  }

  public Pins movedBy(Length dx, Length dy) {
    return new Pins(across.movedBy(dx), down.movedBy(dy));
  }

  /** Held by the same lines, but so that on this wrap the piece lies in this box. */
  public Pins placed(Wrap wrap, Box there) {
    return new Pins(
        across.placed(wrap, new Span.Range(there.left(), there.right())),
        down.placed(wrap, new Span.Range(there.top(), there.bottom())));
  }

  /** Holds a piece where it lies, by lines of one region. */
  public static Pins hung(Region region, Span.Hold across, Span.Hold down, Box there, Wrap wrap) {
    return new Pins(
        Span.hung(region, true, across, new Span.Range(there.left(), there.right()), wrap),
        Span.hung(region, false, down, new Span.Range(there.top(), there.bottom()), wrap));
  }
}
