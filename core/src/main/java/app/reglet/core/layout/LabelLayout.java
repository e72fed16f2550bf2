package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Centred;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;

/** A pattern or a picture all over, and a label pasted on it. */
record LabelLayout(Draft d) {
  void lay() {
    boolean pictured = d.photo().isPresent();
    Ground plain = Ground.plain(d.colour(Role.ACCENT));
    d.ground(pictured ? plain.withPicture(d.photo().get()) : plain);
    if (!pictured) {
      d.tone("samphire", Role.ACCENT, 0.13, 0.03, Tiling.Stagger.HALF_DROP);
    }
    Anchors label = new Anchors(d.middle(0.12), Draft.down(d.h(0.16), d.h(0.46)));
    d.area("label-1", "Label", label, d.colour(Role.PAPER));
    Length in = d.w(0.022);
    Colour line = d.large(Role.ACCENT, Role.PAPER);
    frame("frame-1", in, line, Length.pt("1.8"));
    frame("frame-2", in.plus(d.w(0.016)), line, Length.pt("0.6"));
    Colour words = d.on(Role.PAPER);
    d.title(
        new Anchors(d.middle(0.2), Draft.down(d.h(0.22), d.h(0.2))),
        words,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.ornament(
        "rule-1",
        "Rule",
        "rule-swelled",
        new Anchors(d.wide(d.w(0.3)), Draft.down(d.h(0.43), d.h(0.02))),
        line);
    d.words(
        Fact.SUBTITLE,
        new Anchors(d.middle(0.2), Draft.down(d.h(0.455), d.h(0.06))),
        d.pair.italic(),
        0.03,
        words,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.AUTHOR,
        new Anchors(d.middle(0.2), Draft.down(d.h(0.53), d.h(0.045))),
        d.pair.strong(),
        0.032,
        words,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    Surroundings.onPanel(d, Role.PAPER, 1).all(0.5, Role.ACCENT, "samphire", "samphire");
  }

  private void frame(String id, Length in, Colour colour, Length line) {
    d.frame(
        id,
        "Frame",
        new Anchors(
            Centred.across(d.wrap.panel(PanelKind.FRONT).orElseThrow(), d.w(0.12).plus(in)),
            Draft.down(d.h(0.16).plus(in), d.h(0.46).minus(in.times(2)))),
        colour,
        line);
  }
}
