package app.reglet.core.design.document;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Line;
import app.reglet.core.design.Span;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What holds a piece, as JSON and back. */
final class AnchorsCodec {
  private AnchorsCodec() {}

  static ObjectNode write(Anchors anchors) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.set("across", write(anchors.across()));
    out.set("down", write(anchors.down()));
    return out;
  }

  private static ObjectNode write(Span span) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    return span.accept(
        new Span.Visitor<>() {
          @Override
          public ObjectNode hung(Span.Hung h) {
            return out.put("kind", "hung")
                .put("line", h.line().id())
                .put("part", h.part().name())
                .put("offset", h.offset().toString())
                .put("size", h.size().toString());
          }

          @Override
          public ObjectNode stretched(Span.Stretched s) {
            return out.put("kind", "stretched")
                .put("from", s.from().id())
                .put("fromOffset", s.fromOffset().toString())
                .put("to", s.to().id())
                .put("toOffset", s.toOffset().toString());
          }
        });
  }

  static Anchors read(Fields in) {
    return new Anchors(in.part("across", AnchorsCodec::span), in.part("down", AnchorsCodec::span));
  }

  private static Span span(Fields in) {
    return in.text("kind").equals("hung")
        ? new Span.Hung(
            Line.parse(in.text("line")),
            in.choice("part", Span.Part.class),
            in.length("offset"),
            in.length("size"))
        : new Span.Stretched(
            Line.parse(in.text("from")),
            in.length("fromOffset"),
            Line.parse(in.text("to")),
            in.length("toOffset"));
  }
}
