package app.reglet.web.bench;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import java.util.ArrayList;
import java.util.List;

/**
 * What something is filled with, as its leaf of the title block shows it.
 *
 * @param kind none, flat, linear or radial
 * @param angle of a linear gradient, degrees
 * @param stops its colours
 */
public record FillView(String kind, String angle, List<Stop> stops) {
  /**
   * A colour of it.
   *
   * @param at percent
   * @param colour as text
   * @param onScreen about how it looks, {@code #rrggbb}
   */
  public record Stop(String at, String colour, String onScreen) {}

  /**
   * The view of a paint.
   *
   * @param paint null for none
   */
  static FillView of(Paint paint, Design design) {
    if (paint == null) {
      return new FillView("none", "", List.of());
    }
    return paint.accept(
        new Paint.Visitor<>() {
          @Override
          public FillView flat(Paint.Flat flat) {
            return new FillView("flat", "", List.of(stop(0, flat.colour(), design)));
          }

          @Override
          public FillView linear(Paint.Linear linear) {
            return new FillView(
                "linear", TitleBlock.plain(linear.angle(), 3), stops(linear.stops(), design));
          }

          @Override
          public FillView radial(Paint.Radial radial) {
            return new FillView("radial", "", stops(radial.stops(), design));
          }
        });
  }

  private static List<Stop> stops(List<Paint.Stop> stops, Design design) {
    List<Stop> all = new ArrayList<>();
    stops.forEach(s -> all.add(stop(s.at(), s.colour(), design)));
    return all;
  }

  private static Stop stop(double at, Colour colour, Design design) {
    return new Stop(TitleBlock.plain(at * 100, 2), colour.text(), design.solid(colour).hex());
  }

  /** Whether it is one colour, which has a cell of its own. */
  public boolean isFlat() {
    return kind.equals("flat");
  }

  /** Whether its colours run into each other. */
  public boolean isGradient() {
    return stops.size() > 1;
  }

  /** In a few words. */
  public String said() {
    return switch (kind) {
      case "none" -> "nothing";
      case "flat" -> "one colour";
      default -> stops.size() + " colours, " + kind;
    };
  }
}
