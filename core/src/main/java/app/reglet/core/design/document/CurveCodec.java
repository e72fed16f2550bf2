package app.reglet.core.design.document;

import app.reglet.core.design.Curve;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Panel;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The lines words stand on and the panels behind them, as JSON and back. */
final class CurveCodec {
  private CurveCodec() {}

  static ObjectNode write(Curve curve) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    return curve.accept(
        new Curve.Visitor<>() {
          @Override
          public ObjectNode arc(Curve.Arc arc) {
            return out.put("edge", arc.edge().name())
                .put("side", arc.side().name())
                .put("by", arc.by().name())
                .put("measure", arc.measure().toString());
          }

          @Override
          public ObjectNode along(Curve.Along along) {
            ArrayNode points = out.putArray("points");
            along.points().forEach(p -> points.addObject().put("x", p.x()).put("y", p.y()));
            return out;
          }
        });
  }

  static Curve curve(Fields in) {
    if (in.has("points")) {
      return new Curve.Along(
          in.parts("points", p -> new Figure.Free.Corner(p.number("x"), p.number("y"))));
    }
    return new Curve.Arc(
        in.choice("edge", Curve.Edge.class),
        in.choice("side", Curve.Side.class),
        in.choice("by", Curve.By.class),
        in.length("measure"));
  }

  static ObjectNode write(Panel panel) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.set("paint", PaintCodec.write(panel.paint()));
    return out.put("opacity", panel.opacity())
        .put("radius", panel.radius().toString())
        .put("across", panel.across().toString())
        .put("down", panel.down().toString());
  }

  static Panel panel(Fields in) {
    return new Panel(
        in.part("paint", PaintCodec::read),
        in.number("opacity"),
        in.length("radius"),
        in.length("across"),
        in.length("down"));
  }
}
