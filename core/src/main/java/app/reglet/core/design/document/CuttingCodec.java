package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import tools.jackson.databind.node.ObjectNode;

/** Cuttings of finished sheets as JSON and back. */
final class CuttingCodec implements ContentCodec<Content.Cutting> {
  @Override
  public String kind() {
    return "cutting";
  }

  @Override
  public void write(Content.Cutting c, ObjectNode out) {
    out.put("file", c.sha()).put("page", c.page());
    out.put("left", c.left()).put("top", c.top()).put("right", c.right()).put("bottom", c.bottom());
  }

  @Override
  public Content.Cutting read(Fields in) {
    return new Content.Cutting(
        in.text("file"),
        (int) in.number("page"),
        in.number("left"),
        in.number("top"),
        in.number("right"),
        in.number("bottom"));
  }
}
