package app.reglet.core.layout;

import app.reglet.core.check.Contrast;
import app.reglet.core.design.Colour;
import app.reglet.core.design.LinearLight;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The colours of a layout, by what they are for and what lies under them. Ratios are those of WCAG
 * 2.2, success criterion 1.4.3: 4.5, and 3 for large words.
 */
final class Dyes {
  private static final double READABLE = 4.5;
  private static final double READABLE_LARGE = 3;

  private final Scheme scheme;
  private final Map<String, Colour.Solid> named = new LinkedHashMap<>();

  Dyes(Scheme scheme) {
    this.scheme = scheme;
  }

  /** Those that were used, by their names in the palette. */
  Map<String, Colour.Solid> named() {
    return named;
  }

  /** The colour of a role, by its name in the palette. */
  Colour colour(Role role) {
    named.put(role.title(), scheme.of(role));
    return role.swatch();
  }

  private Colour.Solid solid(Colour colour) {
    return colour instanceof Colour.Swatch s ? named.get(s.name()) : (Colour.Solid) colour;
  }

  /** The colour that words of any size are read in on a ground: paper or ink, or white or black. */
  Colour on(Role ground) {
    Role better =
        scheme.ratio(Role.PAPER, ground) >= scheme.ratio(Role.INK, ground) ? Role.PAPER : Role.INK;
    if (scheme.ratio(better, ground) >= READABLE) {
      return colour(better);
    }
    int under = scheme.of(ground).onScreen();
    return Contrast.ratio(0xffffff, under) >= Contrast.ratio(0, under)
        ? Colour.WHITE
        : Colour.BLACK;
  }

  /** Whether words on a ground are lighter than it. */
  boolean isDark(Role ground) {
    Colour words = on(ground);
    return LinearLight.luminance(solid(words).onScreen())
        > LinearLight.luminance(scheme.of(ground).onScreen());
  }

  /** The colour of a role for large words on a ground, where it is read there. */
  Colour large(Role wished, Role ground) {
    return scheme.ratio(wished, ground) >= READABLE_LARGE ? colour(wished) : large(ground);
  }

  /** The colour that large words are read in on a ground: paper or ink, where that is enough. */
  Colour large(Role ground) {
    Role better =
        scheme.ratio(Role.PAPER, ground) >= scheme.ratio(Role.INK, ground) ? Role.PAPER : Role.INK;
    return scheme.ratio(better, ground) >= READABLE_LARGE ? colour(better) : on(ground);
  }

  /** The colour of a role for small words on a ground, where it is read there. */
  Colour small(Role wished, Role ground) {
    return scheme.ratio(wished, ground) >= READABLE ? colour(wished) : on(ground);
  }
}
