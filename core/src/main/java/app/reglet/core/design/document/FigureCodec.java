package app.reglet.core.design.document;

import app.reglet.core.Refusal;
import app.reglet.core.design.Figure;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Figures as JSON and back. */
final class FigureCodec {
  private FigureCodec() {}

  static ObjectNode write(Figure figure) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    return figure.accept(
        new Figure.Visitor<>() {
          @Override
          public ObjectNode rectangle(Figure.Rectangle r) {
            out.put("form", "rectangle");
            if (!r.isEven()) {
              ArrayNode radii = out.putArray("radii");
              r.radii().forEach(l -> radii.add(l.toString()));
            } else if (!r.topLeft().isZero()) {
              out.put("radius", r.topLeft().toString());
            }
            return out;
          }

          @Override
          public ObjectNode regular(Figure.Regular r) {
            out.put("form", "regular").put("corners", r.corners());
            return r.notch() == 0 ? out : out.put("notch", r.notch());
          }

          @Override
          public ObjectNode free(Figure.Free f) {
            out.put("form", "free");
            ArrayNode corners = out.putArray("corners");
            f.corners().forEach(c -> corners.addObject().put("x", c.x()).put("y", c.y()));
            return out;
          }

          @Override
          public ObjectNode line(Figure.Line l) {
            return out.put("form", "line").put("way", l.way().name());
          }

          @Override
          public ObjectNode ellipse(Figure.Ellipse e) {
            return out.put("form", "ellipse");
          }
        });
  }

  static Figure read(Fields in) {
    return switch (in.text("form")) {
      case "rectangle" -> rectangle(in);
      case "regular" -> new Figure.Regular(in.whole("corners", 0), in.number("notch", 0));
      case "free" ->
          new Figure.Free(
              in.parts("corners", c -> new Figure.Free.Corner(c.number("x"), c.number("y"))));
      case "line" -> new Figure.Line(in.choice("way", Figure.Line.Way.class));
      case "ellipse" -> new Figure.Ellipse();
      default -> throw new Refusal("“" + in.text("form") + "” is no form known here.");
    };
  }

  private static Figure rectangle(Fields in) {
    if (!in.has("radii")) {
      return new Figure.Rectangle(in.length("radius", Length.ZERO));
    }
    List<Length> radii = in.texts("radii").stream().map(r -> Length.parse(r, Unit.MM)).toList();
    if (radii.size() != 4) {
      throw new Refusal("A rectangle has 4 corners, not " + radii.size() + ".");
    }
    return new Figure.Rectangle(radii.get(0), radii.get(1), radii.get(2), radii.get(3));
  }
}
