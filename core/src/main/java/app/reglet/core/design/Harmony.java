package app.reglet.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Colours that go with one, by their places on the wheel of hues (common practice, no single
 * source).
 */
public enum Harmony {
  /** Across the wheel. */
  OPPOSITE("opposite", 180),
  /** On both sides. */
  NEIGHBOURS("neighbours", -30, 30),
  /** On both sides of the opposite. */
  SPLIT("split opposite", 150, 210),
  /** Thirds of the wheel. */
  THIRDS("thirds", 120, 240),
  /** Quarters of the wheel. */
  QUARTERS("quarters", 90, 180, 270),
  /** The same hue, lighter and darker. */
  SHADES("shades");

  private static final double[] LIGHTNESSES = {0.25, 0.45, 0.75, 0.92};

  private final String title;
  private final int[] turns;

  Harmony(String title, int... turns) {
    this.title = title;
    this.turns = turns;
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** As people read it. */
  public String title() {
    return title;
  }

  /** The colours that go with a base, which is not among them. */
  public List<Colour.Rgb> of(Colour.Solid base) {
    Oklab from = Oklab.of(base.onScreen());
    List<Colour.Rgb> all = new ArrayList<>();
    for (int turn : turns) {
      all.add(new Colour.Rgb(from.turned(turn).rgb()));
    }
    if (turns.length == 0) {
      for (double l : LIGHTNESSES) {
        all.add(new Colour.Rgb(from.withLightness(l).rgb()));
      }
    }
    return all;
  }
}
