package app.reglet.core.layout;

import app.reglet.core.check.Contrast;
import app.reglet.core.design.Colour;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.design.LinearLight;
import app.reglet.core.design.Oklab;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A colour for every role. Ink and paper always differ enough for small words: ratio {@value
 * #APART} at least (WCAG 2.2, success criterion 1.4.6).
 *
 * @param colours one for each role
 */
public record Scheme(Map<Role, Colour.Solid> colours) {
  private static final double APART = 7;
  private static final double STEP = 0.05;

  public Scheme {
    colours = Map.copyOf(colours);
    if (colours.size() < Role.values().length) {
      throw new IllegalArgumentException("a role without a colour: " + colours.keySet());
    }
  }

  /** That of a shelf. */
  public static Scheme of(GenrePalette shelf) {
    return of(shelf.named().values());
  }

  /**
   * Roles for any colours: the darkest is ink, the lightest paper, the strongest of the others the
   * accent. Roles that no colour is left for are mixed; ink and paper are drawn apart where they
   * are too alike.
   *
   * @param any in any order, none at all too
   */
  public static Scheme of(Collection<? extends Colour.Solid> any) {
    List<Integer> left =
        new ArrayList<>(any.stream().map(Colour.Solid::onScreen).distinct().toList());
    left.sort(Comparator.comparingDouble(LinearLight::luminance));
    int ink = left.isEmpty() ? 0x1d2327 : left.remove(0);
    int paper = left.isEmpty() ? 0xfbf8f1 : left.remove(left.size() - 1);
    while (Contrast.ratio(ink, paper) < APART) {
      ink = LinearLight.mixed(ink, 0, STEP);
      paper = LinearLight.mixed(paper, 0xffffff, STEP);
    }
    left.sort(Comparator.comparingDouble((Integer c) -> -Oklab.of(c).chroma()));
    int accent = left.isEmpty() ? new Oklab(0.52, 0.12, Oklab.of(ink).hue()).rgb() : left.remove(0);
    left.sort(Comparator.comparingDouble(LinearLight::luminance));
    int light =
        left.isEmpty() ? LinearLight.mixed(accent, paper, 0.6) : left.remove(left.size() - 1);
    int quiet = left.isEmpty() ? LinearLight.mixed(ink, paper, 0.5) : left.get(left.size() / 2);
    Map<Role, Colour.Solid> all = new EnumMap<>(Role.class);
    all.put(Role.INK, new Colour.Rgb(ink));
    all.put(Role.PAPER, new Colour.Rgb(paper));
    all.put(Role.ACCENT, new Colour.Rgb(accent));
    all.put(Role.QUIET, new Colour.Rgb(quiet));
    all.put(Role.LIGHT, new Colour.Rgb(light));
    return new Scheme(all);
  }

  public Colour.Solid of(Role role) {
    return colours.get(role);
  }

  /** The ratio of two roles' colours. */
  double ratio(Role a, Role b) {
    return Contrast.ratio(of(a).onScreen(), of(b).onScreen());
  }
}
