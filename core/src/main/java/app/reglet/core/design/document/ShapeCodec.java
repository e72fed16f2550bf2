package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import tools.jackson.databind.node.ObjectNode;

/** Shapes as JSON and back. */
final class ShapeCodec implements ContentCodec<Content.Shape> {
  @Override
  public String kind() {
    return "shape";
  }

  @Override
  public void write(Content.Shape shape, ObjectNode out) {
    out.set("figure", FigureCodec.write(shape.figure()));
    if (shape.fill() != null) {
      out.set("fill", PaintCodec.write(shape.fill()));
    }
    if (shape.stroke() != null) {
      out.set("stroke", PaintCodec.write(shape.stroke()));
    }
  }

  @Override
  public Content.Shape read(Fields in) {
    return new Content.Shape(
        in.part("figure", FigureCodec::read),
        in.partIfAny("fill", PaintCodec::read).orElse(null),
        in.partIfAny("stroke", PaintCodec::stroke).orElse(null));
  }
}
