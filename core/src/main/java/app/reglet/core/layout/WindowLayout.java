package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Centred;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;

/** A framed picture on plain paper, title over it, author under it. */
record WindowLayout(Draft d) {
  void lay() {
    d.ground(Role.PAPER);
    d.title(
        new Anchors(d.middle(0.02), Draft.down(d.h(0.02), d.h(0.2))),
        d.on(Role.PAPER),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.SUBTITLE,
        new Anchors(d.middle(0.06), Draft.down(d.h(0.235), d.h(0.05))),
        d.pair.italic(),
        0.032,
        d.on(Role.PAPER),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    Length out = d.w(0.025);
    Anchors window = new Anchors(d.middle(0.1), Draft.down(d.h(0.33), d.h(0.51)));
    d.pictured("picture-1", window, Role.ACCENT, "lozenge", 0.08);
    if (d.isClear()) {
      d.add(
          "sign-front",
          "Sign",
          new Anchors(d.wide(d.w(0.5)), Draft.down(d.h(0.4), d.h(0.37))),
          d.picture().orElseThrow());
    } else if (d.picture().isEmpty()) {
      d.ornament(
          "ornament-1",
          "Ornament",
          "boat",
          new Anchors(d.wide(d.w(0.5)), Draft.down(d.h(0.4), d.h(0.37))),
          d.on(Role.ACCENT),
          d.colour(Role.LIGHT));
    }
    d.frame(
        "frame-1",
        "Frame",
        new Anchors(
            Centred.across(d.wrap.panel(PanelKind.FRONT).orElseThrow(), d.w(0.1).minus(out)),
            Draft.down(d.h(0.33).minus(out), d.h(0.51).plus(out.times(2)))),
        d.large(Role.ACCENT, Role.PAPER),
        Length.pt("1.2"));
    d.words(
        Fact.AUTHOR,
        new Anchors(d.middle(0.06), Draft.up(d.h(0.02), d.h(0.07))),
        d.pair.strong(),
        0.038,
        d.on(Role.PAPER),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    new Surroundings(d, Role.PAPER).all(0.6, Role.ACCENT, "lozenge", "boat");
  }
}
