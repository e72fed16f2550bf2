package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;

/** Bars of all five colours round the cover, words in three of them. */
record StrataLayout(Draft d) {
  void lay() {
    d.ground(Role.PAPER);
    d.area("bar-1", "Bar", new Anchors(Draft.sheet(), d.toTop(0.34)), d.colour(Role.INK));
    bar("bar-2", 0.34, 0.1, Role.ACCENT);
    if (d.photo().isPresent()) {
      d.add(
          "picture-1",
          "Picture",
          new Anchors(Draft.sheet(), Draft.down(d.h(0.44), d.h(0.38))),
          d.photo().get());
    } else {
      bar("bar-3", 0.44, 0.16, Role.LIGHT);
      bar("bar-4", 0.6, 0.06, Role.QUIET);
      bar("bar-5", 0.66, 0.03, Role.ACCENT);
      bar("bar-6", 0.69, 0.13, Role.LIGHT);
    }
    d.title(d.front(0.02, 0.05, 0.02, 0.26), d.on(Role.INK), Align.LEFT, VerticalAlign.BOTTOM);
    d.words(
        Fact.SUBTITLE,
        d.front(0.02, 0.36, 0.02, 0.06),
        d.pair.strong(),
        0.032,
        d.on(Role.ACCENT),
        Align.LEFT,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.AUTHOR,
        d.foot(0.02, 0.03, 0.02, 0.1),
        d.pair.display(),
        0.05,
        d.on(Role.PAPER),
        Align.LEFT,
        VerticalAlign.MIDDLE);
    Surroundings around = Surroundings.onPanel(d, Role.PAPER, 1);
    around.back(0.6);
    around.imprint();
    around.spine();
    around.coveredFlaps();
    around.barcode();
    around.inside(Role.LIGHT, "hatch");
  }

  private void bar(String id, double top, double height, Role role) {
    d.area(
        id, "Bar", new Anchors(Draft.sheet(), Draft.down(d.h(top), d.h(height))), d.colour(role));
  }
}
