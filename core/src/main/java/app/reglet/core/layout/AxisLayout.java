package app.reglet.core.layout;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Words;

/** Everything on the middle axis, title on the upper third. */
record AxisLayout(Draft d) {
  private static final double AIR = 1 / 22.0;

  void lay() {
    boolean kept = d.keepsGround();
    Colour ink = kept ? d.onKept() : d.on(Role.LIGHT);
    if (!kept) {
      d.ground(Role.LIGHT);
    }
    words(Fact.AUTHOR, 0.05, 0.08, d.pair.strong(), 0.05, ink, VerticalAlign.TOP);
    words(Fact.TITLE, 0.2, 0.3, d.pair.display(), 0.14, ink, VerticalAlign.MIDDLE);
    words(Fact.SUBTITLE, 0.52, 0.12, d.pair.italic(), 0.042, ink, VerticalAlign.TOP);
    Surroundings around =
        kept ? new Surroundings(d, ink, null, Role.INK) : new Surroundings(d, Role.LIGHT);
    if (!kept) {
      middle();
      around.imprint("sprig-3");
      around.inside(Role.INK, "sprig-3");
    }
    around.back(0.6);
    around.spine();
    around.flaps();
    around.barcode();
  }

  private void middle() {
    if (d.picture().isPresent()) {
      d.add(
          "picture-1",
          "Picture",
          new Anchors(d.wide(d.w(0.5)), Draft.up(d.h(0.08), d.h(0.27))),
          d.picture().get());
    } else {
      d.ornament(
          "ornament-1",
          "Ornament",
          "laurel",
          new Anchors(d.wide(d.h(0.16)), Draft.up(d.h(0.14), d.h(0.16))),
          d.large(Role.ACCENT, Role.LIGHT));
      d.add(
          "initial-1",
          "Initial",
          new Anchors(d.wide(d.h(0.08)), Draft.up(d.h(0.18), d.h(0.08))),
          Words.of(null, "{" + Book.INITIAL + "}", d.pair.display(), d.size(0.06), d.on(Role.LIGHT))
              .aligned(Align.CENTRE, VerticalAlign.CAPITALS)
              .withLeading(1));
    }
  }

  private void words(
      Fact fact,
      double top,
      double height,
      String face,
      double size,
      Colour ink,
      VerticalAlign vertical) {
    d.words(
        fact,
        new Anchors(d.middle(AIR), Draft.down(d.h(top), d.h(height))),
        face,
        size,
        ink,
        Align.CENTRE,
        vertical);
  }
}
