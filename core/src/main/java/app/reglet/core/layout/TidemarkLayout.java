package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;

/** A band of colour across the whole sheet carries title and author. */
record TidemarkLayout(Draft d) {
  private static final double AIR = 1 / 22.0;

  void lay() {
    boolean kept = d.keepsGround();
    Colour onBand = kept ? d.onKeptBand() : d.on(Role.PAPER);
    if (!kept) {
      d.ground(Ground.plain(d.colour(Role.INK)).withPicture(d.photo().orElse(null)));
      if (d.photo().isEmpty()) {
        d.tone("ripple", Role.INK, 0.12, 0.02, Tiling.Stagger.BRICK);
      }
    }
    Length rise = d.h(0.1);
    d.area(
        "band-1",
        "Band",
        new Anchors(Draft.sheet(), Draft.up(rise.minus(d.h(0.03)), d.h(0.36).plus(d.h(0.06)))),
        kept ? d.keptBand() : d.colour(Role.PAPER));
    words(Fact.TITLE, 0.15, 0.21, d.pair.display(), 0.12, onBand, VerticalAlign.BOTTOM);
    words(Fact.SUBTITLE, 0.075, 0.07, d.pair.italic(), 0.036, onBand, VerticalAlign.MIDDLE);
    words(Fact.AUTHOR, 0, 0.06, d.pair.strong(), 0.042, onBand, VerticalAlign.BOTTOM);
    Surroundings around = surroundings(kept);
    around.back(kept ? 0.44 : 0.46);
    around.spine(0.44, 0.11, around.ink(), onBand);
    around.coveredFlaps();
    around.barcode();
    if (!kept) {
      around.inside(Role.ACCENT, "ripple");
    }
  }

  private Surroundings surroundings(boolean kept) {
    return kept
        ? new Surroundings(d, d.onKept(), null, Role.INK)
        : d.photo().isPresent()
            ? Surroundings.onPanel(d, Role.INK, 0.72)
            : new Surroundings(d, Role.INK);
  }

  private void words(
      Fact fact,
      double over,
      double height,
      String face,
      double size,
      Colour ink,
      VerticalAlign vertical) {
    d.words(
        fact,
        new Anchors(
            Draft.across(Region.safe(PanelKind.FRONT), d.w(AIR), d.w(AIR)),
            Draft.up(d.h(0.1).plus(d.h(over)), d.h(height))),
        face,
        size,
        ink,
        Align.LEFT,
        vertical);
  }
}
