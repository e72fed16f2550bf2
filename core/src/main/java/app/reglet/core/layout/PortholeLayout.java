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

/** A picture in a circle that nearly fills the front, words over and under it. */
record PortholeLayout(Draft d) {
  void lay() {
    d.ground(Role.ACCENT);
    Length wide = d.w(0.92).min(d.h(0.54));
    Length middle = d.h(0.54);
    Colour line = d.large(Role.LIGHT, Role.ACCENT);
    if (d.picture().isPresent()) {
      Piece disc = new Piece("picture-1", "Picture", circle(middle, wide), d.picture().get());
      d.add(
          d.isClear()
              ? disc
              : disc.withAppearance(
                  Appearance.PLAIN.withMask(
                      new Appearance.Mask(new Figure.Ellipse(), Length.ZERO))));
    } else {
      Role[] roles = {Role.LIGHT, Role.QUIET, Role.INK, Role.PAPER};
      for (int i = 0; i < roles.length; i++) {
        d.add(
            "disc-" + (i + 1),
            "Disc",
            circle(middle, Draft.toTenth(wide.times(roles.length - i).dividedBy(roles.length))),
            new Content.Shape(new Figure.Ellipse(), Paint.of(d.colour(roles[i])), null));
      }
    }
    ring("ring-1", middle, wide.plus(d.w(0.05)), line, "2.4");
    d.title(
        new Anchors(d.middle(0.02), Draft.down(d.h(0.01), d.h(0.2))),
        d.large(Role.ACCENT),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.SUBTITLE,
        new Anchors(d.middle(0.06), Draft.up(d.h(0.09), d.h(0.06))),
        d.pair.italic(),
        0.032,
        d.on(Role.ACCENT),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    d.words(
        Fact.AUTHOR,
        new Anchors(d.middle(0.06), Draft.up(d.h(0.01), d.h(0.06))),
        d.pair.strong(),
        0.038,
        d.on(Role.ACCENT),
        Align.CENTRE,
        VerticalAlign.MIDDLE);
    new Surroundings(d, Role.ACCENT).all(0.6, Role.INK, "rings", "lighthouse");
  }

  private Anchors circle(Length middle, Length wide) {
    return new Anchors(d.wide(wide), Draft.down(middle.minus(wide.half()), wide));
  }

  private void ring(String id, Length middle, Length wide, Colour colour, String points) {
    d.add(
        id,
        "Ring",
        circle(middle, wide),
        new Content.Shape(
            new Figure.Ellipse(),
            null,
            new Stroke(Paint.of(colour), Length.pt(points), List.of(), Stroke.Side.INSIDE)));
  }
}
