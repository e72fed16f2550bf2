package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Treatment;
import app.reglet.core.measure.Length;

/** A picture over the whole cover, darker towards the head, all words of the front there. */
record ShorelineLayout(Draft d) {
  private static final int SHADE = -70;
  private static final int REACH = 75;
  private static final double DARK_ENOUGH = 0.3;
  private static final int PER_LIGHT = 90;
  private static final int MOST = 50;

  void lay() {
    Colour words = d.photo().isPresent() ? d.colour(Role.PAPER) : d.on(Role.INK);
    if (d.photo().isPresent()) {
      Treatment dark =
          new Treatment(
              Treatment.Levels.NONE,
              darker(),
              0,
              0,
              Treatment.Toning.NONE,
              new Treatment.Shade(Treatment.Shade.Side.TOP, SHADE, REACH));
      d.ground(Ground.plain(d.colour(Role.INK)).withPicture(d.photo().get().withTreatment(dark)));
    } else {
      d.ground(Role.INK);
      shore();
    }
    d.words(
        Fact.AUTHOR,
        new Anchors(d.middle(0.04), Draft.down(d.h(0.03), d.h(0.06))),
        d.pair.strong(),
        0.04,
        words,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.title(
        new Anchors(d.middle(0.03), Draft.down(d.h(0.11), d.h(0.25))),
        words,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.SUBTITLE,
        new Anchors(d.middle(0.06), Draft.down(d.h(0.375), d.h(0.07))),
        d.pair.italic(),
        0.032,
        words,
        Align.CENTRE,
        VerticalAlign.TOP);
    if (d.photo().isPresent()) {
      Surroundings.onPanel(d, Role.INK, 0.75).all(0.6, Role.INK, "ripple", "gull");
    } else {
      Surroundings around = new Surroundings(d, Role.INK);
      around.back(0.46);
      around.spine(0.5, 0.02, around.ink(), d.on(Role.QUIET));
      around.coveredFlaps();
      around.barcode();
      around.inside(Role.INK, "ripple");
    }
  }

  /** A dark picture stays as it is, a light one is darkened as far as pale words need. */
  private int darker() {
    return -(int) Math.max(0, Math.min(MOST, (d.lightness() - DARK_ENOUGH) * PER_LIGHT));
  }

  /** Where there is no picture: a low sun over the water's edge. */
  private void shore() {
    Length wide = d.w(0.62).min(d.h(0.4));
    d.add(
        "sun-1",
        "Sun",
        new Anchors(d.wide(wide), Draft.down(d.h(0.74).minus(wide.half()), wide)),
        new Content.Shape(new Figure.Ellipse(), Paint.of(d.colour(Role.ACCENT)), null));
    d.area("water-1", "Water", new Anchors(Draft.sheet(), d.toBottom(0.72)), d.colour(Role.QUIET));
    d.add(
        d.tone(
            "water-pattern",
            new Anchors(Draft.sheet(), d.toBottom(0.72)),
            "ripple",
            Role.QUIET,
            0.14,
            0.02,
            Tiling.Stagger.BRICK));
  }
}
