package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Line;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;

/** A series: a band round the head of every volume with its name and number. */
record FleetLayout(Draft d) {
  private static final double BAND = 0.11;

  void lay() {
    d.ground(Role.PAPER);
    d.area(
        "band-1", "Series band", new Anchors(Draft.sheet(), d.toTop(BAND)), d.colour(Role.ACCENT));
    boolean series = !d.book.text(Fact.SERIES).isBlank();
    boolean number = !d.book.text(Fact.NUMBER).isBlank();
    d.add(
        "series",
        "Series",
        d.front(0.02, 0.01, 0.24, BAND - 0.03),
        Words.of(
                series ? Fact.SERIES : Fact.IMPRINT,
                "",
                d.pair.strong(),
                d.size(0.032),
                d.on(Role.ACCENT))
            .aligned(Align.LEFT, VerticalAlign.MIDDLE));
    Anchors picture = new Anchors(Draft.bled(), Draft.down(d.h(BAND), d.h(0.47)));
    d.pictured("picture-1", picture, Role.LIGHT, "hexagon-open", 0.12);
    if (number) {
      number();
    }
    d.title(d.front(0.02, 0.62, 0.02, 0.2), d.on(Role.PAPER), Align.LEFT, VerticalAlign.TOP);
    d.words(
        Fact.SUBTITLE,
        d.front(0.02, 0.835, 0.02, 0.05),
        d.pair.italic(),
        0.03,
        d.on(Role.PAPER),
        Align.LEFT,
        VerticalAlign.TOP);
    d.words(
        Fact.AUTHOR,
        d.foot(0.02, 0.01, 0.02, 0.06),
        d.pair.strong(),
        0.036,
        d.small(Role.ACCENT, Role.PAPER),
        Align.LEFT,
        VerticalAlign.BOTTOM);
    Surroundings around = new Surroundings(d, Role.PAPER).from(BAND + 0.05);
    around.back(0.6);
    under(around);
    around.barcode();
    around.inside(Role.ACCENT, "hexagon-open");
  }

  /** The number in a disc on the band's edge. */
  private void number() {
    var disc =
        new Anchors(
            new Span.Hung(
                new Line(Region.safe(PanelKind.FRONT), Line.Edge.RIGHT),
                Span.Part.END,
                d.w(0.02).negate(),
                d.w(0.2)),
            Draft.down(d.h(BAND).minus(d.w(0.1)), d.w(0.2)));
    d.add(
        "disc-1",
        "Disc",
        disc,
        new Content.Shape(new Figure.Ellipse(), Paint.of(d.colour(Role.INK)), null));
    d.add(
        "number",
        "Number",
        disc,
        Words.of(Fact.NUMBER, "", d.pair.display(), d.size(0.07), d.on(Role.INK))
            .aligned(Align.CENTRE, VerticalAlign.CAPITALS)
            .withLeading(1));
  }

  /** Spine and flaps, all of it under the band. */
  private void under(Surroundings around) {
    around.imprint("anchor");
    around.coveredFlaps();
    if (!around.hasSpineWords()) {
      return;
    }
    Region safe = Region.safe(PanelKind.SPINE);
    Setting.Direction way = Setting.Direction.onSpines(d.wrap.rules());
    boolean down = way == Setting.Direction.DOWN;
    spine("title", Fact.TITLE, d.pair.display(), down ? 0.14 : 0.42, 0.54, safe, way);
    spine("author", Fact.AUTHOR, d.pair.strong(), down ? 0.7 : 0.14, 0.26, safe, way);
  }

  private void spine(
      String id,
      Fact fact,
      String face,
      double top,
      double length,
      Region safe,
      Setting.Direction way) {
    d.add(
        "spine-" + id,
        "Spine " + id,
        Anchors.fromTop(safe, d.h(top), d.h(length)),
        Words.of(fact, "", face, Length.pt("22"), d.on(Role.PAPER))
            .aligned(fact == Fact.TITLE ? Align.LEFT : Align.RIGHT, VerticalAlign.CAPITALS)
            .withLeading(1)
            .running(way));
  }
}
