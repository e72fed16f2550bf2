package app.reglet.core.design.document;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Words;
import tools.jackson.databind.node.ObjectNode;

/** Words as JSON and back. */
final class WordsCodec implements ContentCodec<Words> {
  @Override
  public String kind() {
    return "words";
  }

  @Override
  public void write(Words w, ObjectNode out) {
    if (w.fact() != null) {
      out.put("fact", w.fact().name());
    }
    out.put("text", w.text())
        .put("face", w.face())
        .put("size", w.size().toString())
        .put("fit", w.fit());
    out.set("paint", PaintCodec.write(w.paint()));
    if (w.outline() != null) {
      out.set("outline", PaintCodec.write(w.outline()));
    }
    out.put("align", w.align().name())
        .put("vertical", w.vertical().name())
        .put("leading", w.leading())
        .put("capitals", w.capitals())
        .put("tracking", w.tracking())
        .put("direction", w.direction().name());
  }

  @Override
  public Words read(Fields in) {
    return new Words(
        in.has("fact") ? in.choice("fact", Fact.class) : null,
        in.text("text", ""),
        in.text("face"),
        in.length("size"),
        in.flag("fit"),
        in.part("paint", PaintCodec::read),
        in.partIfAny("outline", PaintCodec::stroke).orElse(null),
        in.choice("align", Words.Align.class),
        in.choice("vertical", Words.VerticalAlign.class),
        in.number("leading"),
        in.flag("capitals"),
        in.whole("tracking", 0),
        in.choice("direction", Words.Direction.class));
  }
}
