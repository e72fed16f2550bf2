package app.reglet.core.design;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import java.util.Optional;

/**
 * What holds a piece in place on any wrap.
 *
 * @param across along the width
 * @param down along the height
 */
public record Anchors(Span across, Span down) {
  /** Filling a region, from edge to edge. */
  public static Anchors filling(Region region) {
    return stretched(region, Length.ZERO, Length.ZERO, Length.ZERO, Length.ZERO);
  }

  /** Stretched inside a region with distances from its edges. */
  public static Anchors stretched(Region r, Length left, Length top, Length right, Length bottom) {
    return new Anchors(
        new Span.Stretched(
            new Line(r, Line.Edge.LEFT), left, new Line(r, Line.Edge.RIGHT), right.negate()),
        new Span.Stretched(
            new Line(r, Line.Edge.TOP), top, new Line(r, Line.Edge.BOTTOM), bottom.negate()));
  }

  /** Stretched across a region, hung from its top edge. */
  public static Anchors fromTop(Region r, Length top, Length height) {
    return new Anchors(
        filling(r).across(),
        new Span.Hung(new Line(r, Line.Edge.TOP), Span.Part.START, top, height));
  }

  /** Stretched across a region, standing on its bottom edge. */
  public static Anchors fromBottom(Region r, Length bottom, Length height) {
    return new Anchors(
        filling(r).across(),
        new Span.Hung(new Line(r, Line.Edge.BOTTOM), Span.Part.END, bottom.negate(), height));
  }

  /** Where the piece lies there, empty when the wrap lacks the part it hangs on. */
  public Optional<Box> on(Regions regions) {
    return across
        .on(regions)
        .flatMap(x -> down.on(regions).map(y -> Box.between(x.from(), y.from(), x.to(), y.to())));
  }

  public Anchors movedBy(Length dx, Length dy) {
    return new Anchors(across.movedBy(dx), down.movedBy(dy));
  }

  /** Held in the same way by the lines of another panel. */
  public Anchors onPanel(PanelKind panel) {
    return new Anchors(across.onPanel(panel), down.onPanel(panel));
  }

  /** Held by the same lines, but so that there the piece lies in this box. */
  public Anchors placed(Regions regions, Box there) {
    return new Anchors(
        across.placed(regions, new Span.Range(there.left(), there.right())),
        down.placed(regions, new Span.Range(there.top(), there.bottom())));
  }

  /** Holds a piece where it lies, by lines of one region. */
  public static Anchors hung(
      Region region, Span.Hold across, Span.Hold down, Box there, Regions regions) {
    return new Anchors(
        Span.hung(region, true, across, new Span.Range(there.left(), there.right()), regions),
        Span.hung(region, false, down, new Span.Range(there.top(), there.bottom()), regions));
  }
}
