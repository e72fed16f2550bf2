package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Design;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.Turns;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Wrap;
import java.util.List;

/** Resizes and turns several loose pieces as if they were one. */
final class Together {
  private final Design design;
  private final Wrap wrap;
  private final Placing placing;

  Together(Design design, Wrap wrap) {
    this.design = design;
    this.wrap = wrap;
    this.placing = new Placing(design, wrap);
  }

  /** The upright box round a piece as it is turned. */
  static Box extent(Piece p, Wrap wrap) {
    Box box = p.anchors().on(wrap).orElseThrow();
    Turns t = Turns.of(p.placement());
    if (t.isNone()) {
      return box;
    }
    double w = box.width().toMm();
    double h = box.height().toMm();
    Length width = Length.nearMm(Math.abs(t.xx()) * w + Math.abs(t.xy()) * h);
    Length height = Length.nearMm(Math.abs(t.yx()) * w + Math.abs(t.yy()) * h);
    return new Box(
        box.centreX().minus(width.half()), box.centreY().minus(height.half()), width, height);
  }

  static Box round(Box a, Box b) {
    return Box.between(
        a.left().min(b.left()),
        a.top().min(b.top()),
        a.right().max(b.right()),
        a.bottom().max(b.bottom()));
  }

  private Box round(List<Piece> pieces) {
    return pieces.stream().map(p -> extent(p, wrap)).reduce(Together::round).orElseThrow();
  }

  Design stretched(List<Piece> pieces, Arrangement.Stretch e) {
    Box from = round(pieces);
    Length left = from.left().plus(e.left());
    Length top = from.top().plus(e.top());
    Length right = from.right().plus(e.right());
    Length bottom = from.bottom().plus(e.bottom());
    if (!left.isLessThan(right) || !top.isLessThan(bottom)) {
      throw new Refusal("So resized, the pieces would be turned inside out.");
    }
    Box to = Box.between(left, top, right, bottom);
    double across = to.width().toMm() / from.width().toMm();
    double down = to.height().toMm() / from.height().toMm();
    Design after = design;
    for (Piece p : pieces) {
      Piece there = stretched(p, from, to, across, down);
      after = after.changed(p.id(), q -> there);
    }
    return after;
  }

  private Piece stretched(Piece p, Box from, Box to, double across, double down) {
    Box box = p.anchors().on(wrap).orElseThrow();
    double angle = Math.abs(p.placement().angle() % 180);
    boolean lies = angle == 90;
    double least = Math.min(across, down);
    double wider = angle == 0 ? across : lies ? down : least;
    double higher = angle == 0 ? down : lies ? across : least;
    Length width = Length.nearMm(box.width().toMm() * wider);
    Length height = Length.nearMm(box.height().toMm() * higher);
    double x = to.left().toMm() + (box.centreX().toMm() - from.left().toMm()) * across;
    double y = to.top().toMm() + (box.centreY().toMm() - from.top().toMm()) * down;
    Piece sized =
        p.content() instanceof Words w && w.type().fit() == Type.Fit.SIZE
            ? p.withContent(w.withSize(typeSize(w.type().size(), least)))
            : p;
    return placing.laid(
        sized,
        placing.scopeOf(p),
        new Box(
            Length.nearMm(x).minus(width.half()),
            Length.nearMm(y).minus(height.half()),
            width,
            height));
  }

  private static Length typeSize(Length size, double factor) {
    return Length.nearMm(size.toMm() * factor)
        .max(DesignLimits.LEAST_TYPE)
        .min(DesignLimits.MOST_TYPE);
  }

  Design swung(List<Piece> pieces, double by) {
    Box all = round(pieces);
    double mx = all.centreX().toMm();
    double my = all.centreY().toMm();
    double c = Math.cos(Math.toRadians(by));
    double s = Math.sin(Math.toRadians(by));
    Design after = design;
    for (Piece p : pieces) {
      Box box = p.anchors().on(wrap).orElseThrow();
      double dx = box.centreX().toMm() - mx;
      double dy = box.centreY().toMm() - my;
      Piece moved =
          placing.moved(
              p, Length.nearMm(c * dx - s * dy - dx), Length.nearMm(s * dx + c * dy - dy));
      Placement of = moved.placement();
      Piece there = moved.withPlacement(of.withAngle(turned(of.angle() + by)));
      after = after.changed(p.id(), q -> there);
    }
    return after;
  }

  /** The same angle between −180 and 180. */
  private static double turned(double angle) {
    double a = ((angle + 180) % 360 + 360) % 360 - 180;
    return Math.rint(a * 1e6) / 1e6;
  }
}
