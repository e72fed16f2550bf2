package app.reglet.core.design.document;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.measure.Length;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Pieces as JSON and back; what is as usual is left out. */
final class PieceCodec {
  private PieceCodec() {}

  static ObjectNode write(Piece p) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("id", p.id()).put("name", p.name());
    out.set("anchors", AnchorsCodec.write(p.anchors()));
    if (p.placement().angle() != 0) {
      out.put("angle", p.placement().angle());
    }
    if (p.placement().flip() != Placement.Flip.NONE) {
      out.put("flip", p.placement().flip().name());
    }
    if (!p.appearance().equals(Appearance.PLAIN)) {
      out.set("appearance", write(p.appearance()));
    }
    if (p.locked()) {
      out.put("locked", true);
    }
    if (p.hidden()) {
      out.put("hidden", true);
    }
    out.set("content", ContentCodecs.write(p.content()));
    return out;
  }

  static Piece read(Fields in) {
    return new Piece(
        in.text("id"),
        in.text("name"),
        new Placement(
            in.part("anchors", AnchorsCodec::read),
            in.number("angle", 0),
            in.choice("flip", Placement.Flip.NONE)),
        in.partIfAny("appearance", PieceCodec::appearance).orElse(Appearance.PLAIN),
        in.part("content", ContentCodecs::read),
        in.flag("locked"),
        in.flag("hidden"));
  }

  private static ObjectNode write(Appearance a) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("opacity", a.opacity()).put("blend", a.blend().name());
    a.shadow()
        .ifPresent(
            s ->
                out.putObject("shadow")
                    .put("right", s.right().toString())
                    .put("down", s.down().toString())
                    .put("blur", s.blur().toString())
                    .put("colour", s.colour().text())
                    .put("opacity", s.opacity()));
    a.mask()
        .ifPresent(
            m -> {
              ObjectNode mask = out.putObject("mask");
              mask.set("figure", FigureCodec.write(m.figure()));
              mask.put("soft", m.soft().toString());
            });
    return out;
  }

  private static Appearance appearance(Fields in) {
    return new Appearance(
        in.number("opacity", 1),
        in.choice("blend", Appearance.Blend.NORMAL),
        in.partIfAny(
            "shadow",
            s ->
                new Appearance.Shadow(
                    s.length("right"),
                    s.length("down"),
                    s.length("blur"),
                    s.colour("colour"),
                    s.number("opacity"))),
        in.partIfAny(
            "mask",
            m ->
                new Appearance.Mask(
                    m.part("figure", FigureCodec::read), m.length("soft", Length.ZERO))));
  }
}
