package app.reglet.core.design.document;

import app.reglet.core.design.Figure;
import app.reglet.core.measure.Length;
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
            return r.radius().isZero() ? out : out.put("radius", r.radius().toString());
          }

          @Override
          public ObjectNode ellipse(Figure.Ellipse e) {
            return out.put("form", "ellipse");
          }
        });
  }

  static Figure read(Fields in) {
    return switch (in.text("form")) {
      case "rectangle" -> new Figure.Rectangle(in.length("radius", Length.ZERO));
      case "ellipse" -> new Figure.Ellipse();
      default ->
          throw new app.reglet.core.Refusal("“" + in.text("form") + "” is no form known here.");
    };
  }
}
