package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Line;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;

/** Both flaps, where the binding has them: a head, prose, and a foot. */
record FlapsLayout(Surroundings s) {
  private static final Length INWARDS = Length.mm("2");

  void lay() {
    flap(PanelKind.FRONT_FLAP, s.blurbOnFlap() ? Fact.BLURB : Fact.SUBTITLE);
    flap(PanelKind.BACK_FLAP, Fact.ABOUT_THE_AUTHOR);
  }

  /**
   * On a colour that covers what runs across the sheet. It begins beyond the fold: a colour that
   * ends on a fold shows how far that drifts.
   */
  void layCovered() {
    cover(PanelKind.FRONT_FLAP);
    cover(PanelKind.BACK_FLAP);
    lay();
  }

  private void cover(PanelKind flap) {
    if (!s.hasFlap(flap)) {
      return;
    }
    Region outer = new Region(Region.Bounds.BLEED, flap);
    Region inner = Region.safe(flap);
    Box front = s.d().wrap.panel(PanelKind.FRONT).orElseThrow().trim();
    Box back = s.d().wrap.panel(PanelKind.BACK).orElseThrow().trim();
    Box box = s.d().wrap.panel(flap).orElseThrow().trim();
    boolean last = box.left().isMoreThan(front.left()) && box.left().isMoreThan(back.left());
    Span across =
        new Span.Stretched(
            new Line(last ? inner : outer, Line.Edge.LEFT),
            last ? INWARDS.negate() : Length.ZERO,
            new Line(last ? outer : inner, Line.Edge.RIGHT),
            last ? Length.ZERO : INWARDS);
    s.d()
        .area(
            flap.id() + "-area",
            flap.title() + " area",
            new Anchors(across, Anchors.filling(Region.SHEET).down()),
            s.d().colour(s.backing()));
  }

  private void flap(PanelKind flap, Fact prose) {
    if (!s.hasFlap(flap)) {
      return;
    }
    Region safe = Region.safe(flap);
    boolean isFront = flap == PanelKind.FRONT_FLAP;
    Length air = Length.mm("2");
    Fact head = isFront ? Fact.TITLE : Fact.AUTHOR;
    s.d()
        .add(
            flap.id() + "-head",
            flap.title() + " head",
            new Anchors(
                Draft.across(safe, air, air),
                Anchors.fromTop(safe, s.d().h(0.05), s.d().h(0.1)).down()),
            Words.of(head, "", s.d().pair.display(), s.d().size(0.034), s.ink())
                .aligned(Setting.Align.LEFT, Setting.VerticalAlign.BOTTOM)
                .withLeading(1.05));
    s.d()
        .add(
            flap.id() + "-prose",
            flap.title() + " prose",
            new Anchors(
                Draft.across(safe, air, air),
                Anchors.fromTop(safe, s.d().h(0.18), s.d().h(0.62)).down()),
            Words.of(
                    prose,
                    "",
                    prose == Fact.SUBTITLE ? s.d().pair.italic() : s.d().pair.text(),
                    prose == Fact.SUBTITLE
                        ? s.large()
                        : Draft.toTenth(s.small().min(Length.pt("11"))),
                    s.ink())
                .withLeading(1.36));
    if (!isFront && s.d().has(Fact.IMPRINT.id())) {
      return;
    }
    Fact low = isFront ? Fact.PRICE : Fact.IMPRINT;
    s.d()
        .add(
            flap.id() + "-foot",
            flap.title() + " foot",
            new Anchors(
                Draft.across(safe, air, air),
                Anchors.fromBottom(safe, s.d().h(0.02), s.d().h(0.05)).down()),
            Words.of(low, "", s.d().pair.strong(), s.small(), s.ink())
                .aligned(
                    isFront ? Setting.Align.RIGHT : Setting.Align.LEFT,
                    Setting.VerticalAlign.BOTTOM));
  }
}
