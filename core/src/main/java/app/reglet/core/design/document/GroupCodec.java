package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import app.reglet.core.design.Row;
import app.reglet.core.measure.Size;
import java.util.Locale;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Groups as JSON and back. */
final class GroupCodec implements ContentCodec<Content.Group> {
  @Override
  public String kind() {
    return "group";
  }

  @Override
  public void write(Content.Group group, ObjectNode out) {
    out.put("width", group.natural().width().toString())
        .put("height", group.natural().height().toString());
    if (group.row() != null) {
      out.putObject("row")
          .put("run", group.row().run().name().toLowerCase(Locale.ROOT))
          .put("largest", group.row().largest());
    }
    ArrayNode pieces = out.putArray("pieces");
    group.pieces().forEach(p -> pieces.add(PieceCodec.write(p)));
  }

  private static Row row(Fields in) {
    return new Row(in.choice("run", Row.Run.class), in.flag("largest"));
  }

  @Override
  public Content.Group read(Fields in) {
    return new Content.Group(
        new Size(in.length("width"), in.length("height")),
        in.parts("pieces", PieceCodec::read),
        in.partIfAny("row", GroupCodec::row).orElse(null));
  }
}
