package app.reglet.core.edit;

import app.reglet.core.Choices;
import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.Scheme;
import app.reglet.core.layout.TypePair;
import java.util.List;

/** Reads what a layout is to be dressed in. */
final class DressReader {
  private static final String OWN = "own";

  private final Typed typed;
  private final Design design;
  private final Stock stock;

  DressReader(Typed typed, Design design, Stock stock) {
    this.typed = typed;
    this.design = design;
    this.stock = stock;
  }

  Dress read() {
    if (!typed.has("colours") && !typed.has("pair") && !typed.has("picture")) {
      return Dress.KEPT;
    }
    String pair = typed.text("pair", OWN);
    String sha = typed.text("picture", "");
    Dress.Shown picture =
        sha.isEmpty()
            ? null
            : stock
                .shown(sha)
                .orElseThrow(
                    () ->
                        new Refusal("picture", "This picture is not here: bring its file again."));
    return Dress.of(
        scheme(typed.text("colours", OWN), sha),
        pair.equals(OWN) ? null : Choices.of(TypePair.class, pair),
        picture);
  }

  /** Null for the layout's own. */
  private Scheme scheme(String colours, String sha) {
    return switch (colours) {
      case OWN -> null;
      case "cover" -> design.palette().isEmpty() ? null : Scheme.of(design.palette().values());
      case "picture" -> {
        List<Colour.Rgb> of = sha.isEmpty() ? List.of() : stock.colours(sha);
        yield of.isEmpty() ? null : Scheme.of(of);
      }
      default -> Scheme.of(Choices.of(GenrePalette.class, colours));
    };
  }
}
