package app.reglet.core.edit;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Rewriting;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Changes of a design's palette, and of the colours that follow it. */
final class PaletteEditing {
  private PaletteEditing() {}

  /** With colours put in by their names, or changed. */
  static Design with(Design design, Map<String, Colour.Solid> colours) {
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(design.palette());
    colours.forEach((name, colour) -> palette.put(new Colour.Swatch(name).name(), colour));
    return design.withPalette(palette);
  }

  /** With a colour put in, which it follows wherever it stands directly. */
  static Design named(Design design, String name, Colour.Solid colour) {
    Design with = with(design, Map.of(name, colour));
    Colour swatch = new Colour.Swatch(name);
    return coloured(with, with.palette(), c -> c.equals(colour) ? swatch : c);
  }

  /** Without a colour: where it was used, it stands directly. */
  static Design without(Design design, String name) {
    Colour.Solid colour = design.palette().get(name);
    if (colour == null) {
      return design;
    }
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(design.palette());
    palette.remove(name);
    return coloured(design, palette, c -> c.equals(new Colour.Swatch(name)) ? colour : c);
  }

  private static Design coloured(
      Design design, Map<String, Colour.Solid> palette, UnaryOperator<Colour> rule) {
    return new Design(
        palette,
        Rewriting.coloured(design.outside(), rule),
        Rewriting.coloured(design.inside(), rule));
  }
}
