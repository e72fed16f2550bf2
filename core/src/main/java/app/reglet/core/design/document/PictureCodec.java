package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import app.reglet.core.design.Focus;
import tools.jackson.databind.node.ObjectNode;

/** Pictures as JSON and back. */
final class PictureCodec implements ContentCodec<Content.Picture> {
  @Override
  public String kind() {
    return "picture";
  }

  @Override
  public void write(Content.Picture picture, ObjectNode out) {
    out.put("picture", picture.sha());
    focus(picture.focus(), out);
  }

  static void focus(Focus focus, ObjectNode out) {
    out.put("focusX", focus.x()).put("focusY", focus.y());
  }

  static Focus focus(Fields in) {
    return new Focus(in.number("focusX"), in.number("focusY"));
  }

  @Override
  public Content.Picture read(Fields in) {
    return new Content.Picture(in.text("picture"), focus(in));
  }
}
