package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Line;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;

/** Title at the head, author at the foot, ranged left; dressed, on the lines of an account book. */
record LedgerLayout(Draft d) {
  private static final double AIR = 1 / 22.0;
  private static final int LINES = 9;
  private static final Length HIGH = Length.mm("2");

  void lay() {
    boolean kept = d.keepsGround();
    Colour ink = kept ? d.onKept() : d.on(Role.PAPER);
    if (!kept) {
      d.ground(Role.PAPER);
      lines();
    }
    d.words(
        Fact.TITLE,
        d.front(AIR, 0.02, AIR, 0.34),
        d.pair.display(),
        0.15,
        kept ? ink : d.large(Role.ACCENT, Role.PAPER),
        Align.LEFT,
        VerticalAlign.TOP);
    d.words(
        Fact.SUBTITLE,
        d.front(AIR, 0.38, AIR, 0.12),
        d.pair.italic(),
        0.042,
        ink,
        Align.LEFT,
        VerticalAlign.TOP);
    d.words(
        Fact.AUTHOR,
        d.foot(AIR, 0.02, AIR, 0.1),
        d.pair.strong(),
        0.055,
        ink,
        Align.LEFT,
        VerticalAlign.BOTTOM);
    Surroundings around =
        kept ? new Surroundings(d, ink, null, Role.INK) : new Surroundings(d, Role.PAPER);
    around.back(0.6);
    if (!kept) {
      around.imprint("samphire");
    }
    around.spine();
    around.flaps();
    around.barcode();
    if (!kept) {
      around.inside(Role.ACCENT, "rule-dots");
    }
  }

  /** A picture, or ruled lines, in the empty middle of the front. */
  private void lines() {
    if (d.photo().isPresent()) {
      d.add(
          "picture-1",
          "Picture",
          new Anchors(Draft.bled(), Draft.down(d.h(0.5), d.h(0.34))),
          d.photo().get());
      return;
    }
    Colour quiet = d.colour(Role.QUIET);
    for (int i = 0; i < LINES; i++) {
      d.rule(
          "line-" + (i + 1),
          new Anchors(Draft.bled(), Draft.down(d.h(0.5 + i * 0.04), HIGH)),
          quiet,
          "0.6");
    }
    Span column =
        new Span.Hung(
            new Line(Region.safe(PanelKind.FRONT), Line.Edge.RIGHT),
            Span.Part.END,
            d.w(0.2).negate(),
            HIGH);
    d.line(
        "column-1",
        Figure.Line.Way.UPRIGHT,
        new Anchors(column, Draft.down(d.h(0.46), d.h(0.4))),
        d.large(Role.ACCENT, Role.PAPER),
        "0.9");
  }
}
