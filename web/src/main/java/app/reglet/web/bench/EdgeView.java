package app.reglet.web.bench;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Stroke;
import app.reglet.core.measure.Unit;
import java.util.stream.Collectors;

/**
 * The line along an edge, as its leaf of the title block shows it.
 *
 * @param kind none or plain
 * @param width in the unit in force
 * @param colour as text, empty when it is no one colour
 * @param onScreen about how that looks, {@code #rrggbb}
 * @param dashes in mm
 * @param side inside, centred or outside
 * @param said in a few words
 */
public record EdgeView(
    String kind,
    String width,
    String colour,
    String onScreen,
    String dashes,
    String side,
    String said) {
  /**
   * The view of a stroke.
   *
   * @param stroke null for none
   */
  static EdgeView of(Stroke stroke, Design design, Unit unit) {
    if (stroke == null) {
      return new EdgeView("none", "", "", "#1d2327", "", Stroke.Side.INSIDE.name(), "none");
    }
    Colour colour = stroke.paint() instanceof Paint.Flat f ? f.colour() : null;
    return new EdgeView(
        "plain",
        stroke.width().figure(unit, unit.decimals()),
        colour == null ? "" : colour.text(),
        colour == null ? "#ffffff" : design.solid(colour).hex(),
        stroke.dashes().stream()
            .map(d -> d.figure(unit, unit.decimals()))
            .collect(Collectors.joining(" ")),
        stroke.side().name(),
        stroke.width().brief(unit) + (stroke.dashes().isEmpty() ? "" : ", dashed"));
  }
}
