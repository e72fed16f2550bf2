package app.reglet.core.edit;

import app.reglet.core.Choices;
import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.design.Oklab;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Reads changes of the palette. */
final class PaletteReader {
  private final Typed typed;
  private final Design design;
  private final Stock stock;

  PaletteReader(Typed typed, Design design, Stock stock) {
    this.typed = typed;
    this.design = design;
    this.stock = stock;
  }

  Edit read() {
    return switch (typed.text("edit")) {
      case "swatch-off" -> new Edit.RemoveSwatch(typed.text("name"));
      case "swatch-of" -> {
        Colour.Solid colour = Colour.parseSolid(typed.text("colour"));
        yield new Edit.NameColour(free(name(colour), Map.of()), colour);
      }
      case "swatches" ->
          typed.has("genre")
              ? new Edit.AddSwatches(
                  Choices.of(GenrePalette.class, typed.text("genre")).named(),
                  "Colours of the shelf")
              : new Edit.AddSwatches(
                  of(stock.colours(typed.text("picture"))), "Colours of a picture");
      default -> {
        Colour.Solid colour = Colour.parseSolid(typed.text("colour"));
        yield new Edit.SetSwatch(
            typed.has("name") ? typed.text("name") : free(name(colour), Map.of()), colour);
      }
    };
  }

  private Map<String, Colour.Solid> of(List<Colour.Rgb> colours) {
    if (colours.isEmpty()) {
      throw new Refusal("picture", "This picture is not here: bring its file again.");
    }
    Map<String, Colour.Solid> named = new LinkedHashMap<>();
    for (Colour.Rgb c : colours) {
      if (!design.palette().containsValue(c) && !named.containsValue(c)) {
        named.put(free(name(c), named), c);
      }
    }
    return named;
  }

  private static String name(Colour.Solid colour) {
    return Oklab.of(colour.onScreen()).name();
  }

  /** A name that no colour has yet. */
  private String free(String name, Map<String, ?> besides) {
    String free = name;
    for (int i = 2; design.palette().containsKey(free) || besides.containsKey(free); i++) {
      free = name + " " + i;
    }
    return free;
  }
}
