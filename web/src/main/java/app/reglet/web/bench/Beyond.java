package app.reglet.web.bench;

import app.reglet.core.design.Colour;
import app.reglet.press.colour.PressInks;
import app.reglet.web.titles.Cover;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A colour of a cover that comes out as another.
 *
 * @param name of the swatch; empty for one without a name
 * @param hex as it is meant
 * @param printed as it comes out, the nearest that can be printed
 * @param apart how far that is, ΔE2000
 */
public record Beyond(String name, String hex, String printed, String apart) {
  static List<Beyond> of(Cover cover, PressInks inks) {
    List<Beyond> found = new ArrayList<>();
    cover.design().palette().forEach((name, c) -> look(name, c, inks, found));
    cover.design().direct().forEach(c -> look("", c, inks, found));
    return found;
  }

  private static void look(String name, Colour.Solid colour, PressInks inks, List<Beyond> found) {
    if (colour instanceof Colour.Rgb rgb) {
      PressInks.Reach reach = inks.reach(rgb.rgb());
      if (!reach.isWithin()) {
        found.add(
            new Beyond(
                name,
                rgb.hex(),
                new Colour.Rgb(reach.rgb()).hex(),
                String.format(Locale.ROOT, "%.0f", reach.apart())));
      }
    }
  }
}
