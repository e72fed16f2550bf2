package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import tools.jackson.databind.node.ObjectNode;

/** Placed pages as JSON and back. */
final class PageCodec implements ContentCodec<Content.Page> {
  @Override
  public String kind() {
    return "page";
  }

  @Override
  public void write(Content.Page page, ObjectNode out) {
    out.put("file", page.sha()).put("page", page.number());
  }

  @Override
  public Content.Page read(Fields in) {
    return new Content.Page(in.text("file"), (int) in.number("page"));
  }
}
