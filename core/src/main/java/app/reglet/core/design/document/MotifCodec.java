package app.reglet.core.design.document;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Length;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Ornaments and patterns, as JSON and back. */
final class MotifCodec {
  private MotifCodec() {}

  static void write(Motif.Drawn drawn, ObjectNode out) {
    out.put("ornament", drawn.ornament());
    ArrayNode inks = out.putArray("colours");
    drawn.inks().forEach(c -> inks.add(c.text()));
  }

  static Motif.Drawn drawn(Fields in) {
    return new Motif.Drawn(
        in.text("ornament"), in.texts("colours").stream().map(Colour::parse).toList());
  }

  private static Motif motif(Fields in) {
    return in.has("picture") ? new Motif.Pictured(in.text("picture")) : drawn(in);
  }

  static void write(Content.Pattern pattern, ObjectNode out) {
    pattern
        .motif()
        .accept(
            new Motif.Visitor<Void>() {
              @Override
              public Void drawn(Motif.Drawn drawn) {
                write(drawn, out);
                return null;
              }

              @Override
              public Void pictured(Motif.Pictured pictured) {
                out.put("picture", pictured.sha());
                return null;
              }
            });
    Tiling t = pattern.tiling();
    out.put("width", t.width().toString());
    if (!t.across().isZero()) {
      out.put("across", t.across().toString());
    }
    if (!t.down().isZero()) {
      out.put("down", t.down().toString());
    }
    if (t.stagger() != Tiling.Stagger.NONE) {
      out.put("stagger", t.stagger().name());
    }
    if (t.angle() != 0) {
      out.put("angle", t.angle());
    }
  }

  static ObjectNode write(Content.Pattern pattern) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    write(pattern, out);
    return out;
  }

  static Content.Pattern pattern(Fields in) {
    return new Content.Pattern(
        motif(in),
        new Tiling(
            in.length("width"),
            in.length("across", Length.ZERO),
            in.length("down", Length.ZERO),
            in.choice("stagger", Tiling.Stagger.NONE),
            in.number("angle", 0)));
  }

  /** The codec of ornaments. */
  static final class Ornaments implements ContentCodec<Content.Ornament> {
    @Override
    public String kind() {
      return "ornament";
    }

    @Override
    public void write(Content.Ornament ornament, ObjectNode out) {
      MotifCodec.write(ornament.drawn(), out);
    }

    @Override
    public Content.Ornament read(Fields in) {
      return new Content.Ornament(drawn(in));
    }
  }

  /** The codec of patterns. */
  static final class Patterns implements ContentCodec<Content.Pattern> {
    @Override
    public String kind() {
      return "pattern";
    }

    @Override
    public void write(Content.Pattern pattern, ObjectNode out) {
      MotifCodec.write(pattern, out);
    }

    @Override
    public Content.Pattern read(Fields in) {
      return pattern(in);
    }
  }
}
