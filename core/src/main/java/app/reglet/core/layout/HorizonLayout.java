package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;

/** Split by a line round the whole cover: a picture above, words on a dark ground below. */
record HorizonLayout(Draft d) {
  private static final double LINE = 0.55;

  void lay() {
    d.ground(Role.INK);
    Anchors above = new Anchors(Draft.sheet(), d.toTop(LINE));
    d.pictured("picture-1", above, Role.ACCENT, "hatch", 0.05);
    d.area(
        "line-1",
        "Horizon",
        new Anchors(Draft.sheet(), Draft.down(d.h(LINE), d.h(0.012))),
        d.colour(Role.LIGHT));
    d.title(d.front(0.03, LINE + 0.05, 0.03, 0.22), d.on(Role.INK), Align.LEFT, VerticalAlign.TOP);
    d.words(
        Fact.SUBTITLE,
        d.front(0.03, LINE + 0.285, 0.03, 0.05),
        d.pair.italic(),
        0.032,
        d.small(Role.LIGHT, Role.INK),
        Align.LEFT,
        VerticalAlign.TOP);
    d.words(
        Fact.AUTHOR,
        d.foot(0.03, 0.01, 0.03, 0.06),
        d.pair.strong(),
        0.036,
        d.on(Role.INK),
        Align.LEFT,
        VerticalAlign.BOTTOM);
    Surroundings around = Surroundings.onPanel(d, Role.PAPER, d.photo().isPresent() ? 0.9 : 1);
    around.back(0.44);
    around.coveredFlaps();
    new Surroundings(d, Role.INK).imprint();
    around.spine(0.5, 0.01, around.ink(), d.on(Role.INK));
    around.barcode();
    around.inside(Role.ACCENT, "hatch");
  }
}
