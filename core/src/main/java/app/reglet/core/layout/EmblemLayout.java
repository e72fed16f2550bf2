package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Stroke;
import app.reglet.core.measure.Length;
import java.util.List;

/** A sign in rings on a dark ground, the title under it: a picture counts as the sign. */
record EmblemLayout(Draft d) {
  void lay() {
    d.ground(Role.INK);
    Colour line = d.large(Role.LIGHT, Role.INK);
    Length wide = d.w(0.62).min(d.h(0.42));
    Length top = d.h(0.07);
    ring("ring-1", top, wide, line, "1.6");
    ring("ring-2", top.plus(wide.dividedBy(20)), wide.minus(wide.dividedBy(10)), line, "0.5");
    Length inner = Draft.toTenth(wide.times(3).dividedBy(5));
    Length down = top.plus(wide.minus(inner).half());
    Anchors sign = new Anchors(d.wide(inner), Draft.down(down, inner));
    if (d.isClear()) {
      d.add("picture-1", "Sign", sign, d.picture().orElseThrow());
    } else if (d.picture().isPresent()) {
      Length round = wide.minus(wide.dividedBy(6));
      Piece disc =
          new Piece(
              "picture-1",
              "Picture",
              new Anchors(d.wide(round), Draft.down(top.plus(wide.dividedBy(12)), round)),
              d.picture().get());
      d.add(
          disc.withAppearance(
              Appearance.PLAIN.withMask(new Appearance.Mask(new Figure.Ellipse(), Length.ZERO))));
    } else {
      d.ornament("ornament-1", "Sign", "compass", sign, line, d.colour(Role.ACCENT));
    }
    d.title(
        new Anchors(d.middle(0.03), Draft.down(d.h(0.54), d.h(0.22))),
        d.on(Role.INK),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.ornament(
        "rule-1",
        "Rule",
        "rule-diamond",
        new Anchors(d.wide(d.w(0.4)), Draft.down(d.h(0.775), d.h(0.025))),
        d.large(Role.ACCENT, Role.INK));
    d.words(
        Fact.SUBTITLE,
        new Anchors(d.middle(0.06), Draft.down(d.h(0.81), d.h(0.06))),
        d.pair.italic(),
        0.032,
        d.on(Role.INK),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.AUTHOR,
        new Anchors(d.middle(0.06), Draft.up(d.h(0.02), d.h(0.06))),
        d.pair.strong(),
        0.038,
        line,
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    new Surroundings(d, Role.INK).all(0.6, Role.ACCENT, "compass", "compass");
  }

  private void ring(String id, Length top, Length wide, Colour colour, String points) {
    d.add(
        id,
        "Ring",
        new Anchors(d.wide(wide), Draft.down(top, wide)),
        new Content.Shape(
            new Figure.Ellipse(),
            null,
            new Stroke(Paint.of(colour), Length.pt(points), List.of(), Stroke.Side.INSIDE)));
  }
}
