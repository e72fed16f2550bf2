package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Centred;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;

/** A quiet text book: frames and rules in one colour, everything on the axis, small. */
record CartoucheLayout(Draft d) {
  void lay() {
    d.ground(Role.PAPER);
    Colour line = d.large(Role.ACCENT, Role.PAPER);
    frame("frame-1", PanelKind.FRONT, 0.01, line, "2.2");
    frame("frame-2", PanelKind.FRONT, 0.03, line, "0.7");
    Colour words = d.on(Role.PAPER);
    d.words(
        Fact.AUTHOR,
        middle(0.1, 0.06),
        d.pair.strong(),
        0.036,
        words,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.title(
        new Anchors(d.middle(0.14), Draft.down(d.h(0.22), d.h(0.22))),
        line,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.ornament(
        "rule-1",
        "Rule",
        "rule-scroll",
        new Anchors(d.wide(d.w(0.4)), Draft.down(d.h(0.46), d.h(0.03))),
        line);
    d.words(
        Fact.SUBTITLE,
        middle(0.51, 0.09),
        d.pair.italic(),
        0.034,
        words,
        Align.CENTRE,
        VerticalAlign.TOP);
    Anchors vignette = new Anchors(d.wide(d.h(0.17)), Draft.down(d.h(0.63), d.h(0.17)));
    if (d.picture().isPresent()) {
      Piece oval =
          new Piece(
              "picture-1",
              "Vignette",
              new Anchors(d.wide(d.w(0.42)), Draft.down(d.h(0.61), d.h(0.21))),
              d.picture().get());
      d.add(
          d.isClear()
              ? oval
              : oval.withAppearance(
                  Appearance.PLAIN.withMask(new Appearance.Mask(new Figure.Ellipse(), d.w(0.03)))));
    } else {
      d.ornament("ornament-1", "Ornament", "shell", vignette, line, d.colour(Role.LIGHT));
    }
    Surroundings around = new Surroundings(d, Role.PAPER);
    around.back(0.6);
    around.imprint("shell");
    around.spine(0.58, 0.02, line, words);
    around.flaps();
    around.barcode();
    around.inside(Role.ACCENT, "shell");
  }

  private Anchors middle(double top, double height) {
    return new Anchors(d.middle(0.14), Draft.down(d.h(top), d.h(height)));
  }

  private void frame(String id, PanelKind panel, double in, Colour colour, String points) {
    Length air = d.w(in);
    d.frame(
        id,
        "Frame",
        new Anchors(
            Centred.across(d.wrap.panel(panel).orElseThrow(), air),
            Draft.down(air, d.h(1).minus(air.times(2)))),
        colour,
        Length.pt(points));
  }
}
