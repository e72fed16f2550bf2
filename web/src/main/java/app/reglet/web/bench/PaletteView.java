package app.reglet.web.bench;

import app.reglet.core.design.Colour;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.design.Harmony;
import app.reglet.core.design.Oklab;
import app.reglet.web.titles.Cover;
import java.util.ArrayList;
import java.util.List;

/**
 * What the leaf of the palette offers beside the palette itself.
 *
 * @param direct colours of the cover that have no name yet
 * @param bases what harmonies can be made of: the palette, then those
 * @param base the one they are made of, as text; empty when there is none
 * @param harmonies of it
 * @param shelves colours to begin with
 * @param picture the SHA-256 of the picture in the hand or of the ground, empty for none
 */
public record PaletteView(
    List<Chip> direct,
    List<Chip> bases,
    String base,
    List<Row> harmonies,
    List<GenrePalette> shelves,
    String picture) {
  private static final int MOST_DIRECT = 12;

  /** A colour: as text, on a screen, and by a plain name. */
  public record Chip(String text, String hex, String name) {
    static Chip of(Colour.Solid colour) {
      return new Chip(colour.text(), colour.hex(), Oklab.of(colour.onScreen()).name());
    }
  }

  /** Colours that go together. */
  public record Row(String title, List<Chip> chips) {}

  static PaletteView of(Cover cover, String base, String picture) {
    List<Chip> direct = cover.design().direct().stream().limit(MOST_DIRECT).map(Chip::of).toList();
    List<Chip> bases = new ArrayList<>();
    cover.design().palette().forEach((name, c) -> bases.add(new Chip(c.text(), c.hex(), name)));
    bases.addAll(direct);
    String from = base.isEmpty() && !bases.isEmpty() ? bases.get(0).text() : base;
    List<Row> harmonies = new ArrayList<>();
    if (!from.isEmpty()) {
      Colour.Solid colour = Colour.parseSolid(from);
      for (Harmony h : Harmony.values()) {
        harmonies.add(new Row(h.title(), h.of(colour).stream().map(Chip::of).toList()));
      }
    }
    return new PaletteView(direct, bases, from, harmonies, List.of(GenrePalette.values()), picture);
  }
}
