package app.reglet.core.design.document;

import app.reglet.core.design.Paint;
import app.reglet.core.design.Stroke;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Paints and strokes, as JSON and back. */
final class PaintCodec {
  private PaintCodec() {}

  static ObjectNode write(Paint paint) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    return paint.accept(
        new Paint.Visitor<>() {
          @Override
          public ObjectNode flat(Paint.Flat flat) {
            return out.put("flat", flat.colour().text());
          }

          @Override
          public ObjectNode linear(Paint.Linear linear) {
            out.put("linear", linear.angle());
            stops(out, linear.stops());
            return out;
          }

          @Override
          public ObjectNode radial(Paint.Radial radial) {
            out.put("radial", true);
            stops(out, radial.stops());
            return out;
          }
        });
  }

  private static void stops(ObjectNode out, List<Paint.Stop> stops) {
    ArrayNode list = out.putArray("stops");
    stops.forEach(s -> list.addObject().put("at", s.at()).put("colour", s.colour().text()));
  }

  static Paint read(Fields in) {
    if (in.has("flat")) {
      return new Paint.Flat(in.colour("flat"));
    }
    List<Paint.Stop> stops =
        in.parts("stops", s -> new Paint.Stop(s.number("at"), s.colour("colour")));
    return in.flag("radial")
        ? new Paint.Radial(stops)
        : new Paint.Linear(in.number("linear"), stops);
  }

  static ObjectNode write(Stroke stroke) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.set("paint", write(stroke.paint()));
    out.put("width", stroke.width().toString());
    if (!stroke.dashes().isEmpty()) {
      ArrayNode dashes = out.putArray("dashes");
      stroke.dashes().forEach(d -> dashes.add(d.toString()));
    }
    return out.put("side", stroke.side().name());
  }

  static Stroke stroke(Fields in) {
    List<Length> dashes = in.texts("dashes").stream().map(d -> Length.parse(d, Unit.MM)).toList();
    return new Stroke(
        in.part("paint", PaintCodec::read),
        in.length("width"),
        dashes,
        in.choice("side", Stroke.Side.class));
  }
}
