package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Stroke;
import app.reglet.core.measure.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Reads what is typed about what an area is filled with, and about the line along its edge. */
final class PaintReader {
  private static final Colour INK = new Colour.Rgb(0x1d2327);
  private static final Length USUAL_EDGE = Length.mm("0.5");
  private static final Length WIDEST_EDGE = Length.mm("100");
  private static final int MOST_DASHES = 8;

  private final Typed typed;

  PaintReader(Typed typed) {
    this.typed = typed;
  }

  /**
   * The paint after what was sent: {@code fill} says its kind, {@code colour} makes it flat, {@code
   * fillAngle}, {@code stop.N.at}, {@code stop.N.colour}, {@code stopAdd}, {@code stopOff} change a
   * gradient.
   *
   * @param old null for none
   * @return null for none
   */
  Paint paint(Paint old) {
    if (typed.has("colour")) {
      return Paint.of(Colour.parse(typed.text("colour")));
    }
    Paint paint = typed.has("fill") ? ofKind(typed.text("fill"), old) : old;
    if (paint == null) {
      return null;
    }
    return paint.accept(
        new Paint.Visitor<>() {
          @Override
          public Paint flat(Paint.Flat flat) {
            return flat;
          }

          @Override
          public Paint linear(Paint.Linear linear) {
            double angle = typed.figure("fillAngle", "angle", -360, 360, linear.angle());
            return new Paint.Linear(angle, stops(linear.stops()));
          }

          @Override
          public Paint radial(Paint.Radial radial) {
            return new Paint.Radial(stops(radial.stops()));
          }
        });
  }

  private static Paint ofKind(String kind, Paint old) {
    return switch (kind.toLowerCase(Locale.ROOT)) {
      case "none" -> null;
      case "flat" -> Paint.of(stopsOf(old).get(0).colour());
      case "linear" -> old instanceof Paint.Linear ? old : new Paint.Linear(90, stopsOf(old));
      case "radial" -> new Paint.Radial(stopsOf(old));
      default -> throw new Refusal("fill", "“" + kind + "” is no way to fill an area.");
    };
  }

  /** The colours of a paint as those of a gradient; one colour runs out into white. */
  private static List<Paint.Stop> stopsOf(Paint old) {
    if (old instanceof Paint.Linear l) {
      return l.stops();
    }
    if (old instanceof Paint.Radial r) {
      return r.stops();
    }
    Colour first = old instanceof Paint.Flat f ? f.colour() : INK;
    Colour last = first.equals(Colour.WHITE) ? INK : Colour.WHITE;
    return List.of(new Paint.Stop(0, first), new Paint.Stop(1, last));
  }

  private List<Paint.Stop> stops(List<Paint.Stop> old) {
    List<Paint.Stop> stops = new ArrayList<>();
    for (int i = 0; i < old.size(); i++) {
      Paint.Stop s = old.get(i);
      double at =
          typed.figure("stop." + i + ".at", "place of a colour in percent", 0, 100, s.at() * 100);
      String colour = "stop." + i + ".colour";
      stops.add(
          new Paint.Stop(
              at / 100, typed.has(colour) ? Colour.parse(typed.text(colour)) : s.colour()));
    }
    if (typed.has("stopOff")) {
      if (stops.size() == 2) {
        throw new Refusal("A gradient has two colours at least: make it one colour instead.");
      }
      stops.remove((int) typed.figure("stopOff", "colour", 0, stops.size() - 1, 0));
    }
    if (typed.has("stopAdd")) {
      Paint.Stop before = stops.get(stops.size() - 2);
      double middle = (before.at() + stops.get(stops.size() - 1).at()) / 2;
      stops.add(stops.size() - 1, new Paint.Stop(middle, before.colour()));
    }
    // who moves a colour past another means their order to change
    stops.sort(Comparator.comparingDouble(Paint.Stop::at));
    return stops;
  }

  /**
   * The line along an edge after what was sent: {@code edge} takes it off or puts it on, {@code
   * edgeWidth}, {@code edgeColour}, {@code edgeDashes} and {@code edgeSide} change it.
   *
   * @param old null for none
   * @return null for none
   */
  Stroke edge(Stroke old) {
    boolean none = old == null;
    if (typed.has("edge")) {
      none = typed.text("edge").equals("none");
    } else if (Stream.of("edgeWidth", "edgeColour", "edgeDashes", "edgeSide")
        .anyMatch(typed::has)) {
      none = false;
    }
    if (none) {
      return null;
    }
    Stroke s =
        old == null ? new Stroke(Paint.of(INK), USUAL_EDGE, List.of(), Stroke.Side.INSIDE) : old;
    Length width = typed.has("edgeWidth") ? width() : s.width();
    Paint paint =
        typed.has("edgeColour") ? Paint.of(Colour.parse(typed.text("edgeColour"))) : s.paint();
    List<Length> dashes = typed.has("edgeDashes") ? dashes() : s.dashes();
    return new Stroke(paint, width, dashes, typed.choice("edgeSide", s.side()));
  }

  private Length width() {
    Length width = typed.length("edgeWidth");
    if (!width.isPositive() || width.isMoreThan(WIDEST_EDGE)) {
      throw new Refusal(
          "edgeWidth",
          "A line is wider than 0 and at most "
              + WIDEST_EDGE.print(typed.unit())
              + " wide; typed was "
              + width.print(typed.unit())
              + ".");
    }
    return width;
  }

  private List<Length> dashes() {
    List<Length> dashes = typed.lengths("edgeDashes", typed.unit());
    if (dashes.size() > MOST_DASHES) {
      throw new Refusal(
          "edgeDashes",
          "A line has up to " + MOST_DASHES + " dashes and gaps; these are " + dashes.size() + ".");
    }
    return dashes;
  }
}
