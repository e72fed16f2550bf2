package app.reglet.core.design.document;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.wrap.PanelKind;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A design as JSON, and back. Lengths are texts in mm that read back to the same quanta; what is as
 * usual is left out. The document says its format; older ones are brought into this one, newer ones
 * are refused.
 */
public final class DesignDocument {
  /** The format that is written; what format 2 could say is said alike in it. */
  public static final int FORMAT = 3;

  private static final JsonMapper JSON =
      JsonMapper.builder().enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS).build();

  private static final PictureCodec PICTURES = new PictureCodec();

  private DesignDocument() {}

  public static String write(Design design) {
    ObjectNode out = JSON.createObjectNode();
    out.put("format", FORMAT);
    if (!design.palette().isEmpty()) {
      ObjectNode palette = out.putObject("palette");
      design.palette().forEach((name, colour) -> palette.put(name, colour.text()));
    }
    for (PrintedSide side : PrintedSide.values()) {
      Composition c = design.side(side);
      if (!c.equals(side.untouched())) {
        ObjectNode part = out.putObject(side.id());
        part.set("ground", write(c.ground()));
        if (!c.parts().isEmpty()) {
          ObjectNode parts = part.putObject("grounds");
          c.parts().forEach((panel, g) -> parts.set(panel.id(), write(g)));
        }
        ArrayNode pieces = part.putArray("pieces");
        c.pieces().forEach(p -> pieces.add(PieceCodec.write(p)));
      }
    }
    return JSON.writeValueAsString(out);
  }

  /**
   * Reads what {@link #write} wrote, or an older Reglet.
   *
   * @throws Refusal when it is no design, or of a newer format
   */
  public static Design read(String json) {
    try {
      JsonNode document = JSON.readTree(json);
      JsonNode format = document.get("format");
      if (format == null) {
        document = FormatOne.migrated(document);
      } else if (format.asInt() > FORMAT) {
        throw new Refusal(
            "it is of format "
                + format.asInt()
                + ", written by a newer Reglet; this one reads up to "
                + FORMAT
                + ".");
      }
      return Fields.of(document, "the design", DesignDocument::design);
    } catch (JacksonException e) {
      throw new Refusal("This design can't be read: " + e.getOriginalMessage());
    } catch (IllegalArgumentException e) {
      throw new Refusal("This design can't be read: " + e.getMessage() + ".");
    } catch (Refusal r) {
      throw new Refusal("This design can't be read: " + r.getMessage());
    }
  }

  private static Design design(Fields in) {
    in.whole("format", FORMAT);
    Map<String, Colour.Solid> palette = new LinkedHashMap<>();
    in.partIfAny(
        "palette",
        p -> {
          p.eachText((name, colour) -> palette.put(name, Colour.parseSolid(colour)));
          return p;
        });
    return new Design(
        palette,
        in.partIfAny(PrintedSide.OUTSIDE.id(), DesignDocument::side)
            .orElse(PrintedSide.OUTSIDE.untouched()),
        in.partIfAny(PrintedSide.INSIDE.id(), DesignDocument::side)
            .orElse(PrintedSide.INSIDE.untouched()));
  }

  private static Composition side(Fields in) {
    return new Composition(
        in.part("ground", DesignDocument::ground),
        in.partIfAny("grounds", DesignDocument::grounds).orElse(Map.of()),
        in.parts("pieces", PieceCodec::read));
  }

  private static Map<PanelKind, Ground> grounds(Fields in) {
    Map<PanelKind, Ground> grounds = new EnumMap<>(PanelKind.class);
    for (PanelKind panel : PanelKind.values()) {
      if (!panel.isHinge()) {
        in.partIfAny(panel.id(), DesignDocument::ground).ifPresent(g -> grounds.put(panel, g));
      }
    }
    return grounds;
  }

  private static ObjectNode write(Ground ground) {
    ObjectNode out = JSON.createObjectNode();
    out.set("paint", PaintCodec.write(ground.paint()));
    ground.picture().ifPresent(p -> PICTURES.write(p, out));
    if (ground.extent() != Ground.Extent.SHEET) {
      out.put("extent", ground.extent().name());
    }
    ground.pattern().ifPresent(p -> out.set("pattern", MotifCodec.write(p)));
    return out;
  }

  /** Earlier grounds without a picture might still say where its focus was. */
  private static Optional<Content.Picture> pictureless(Fields in) {
    in.number("focusX", 0);
    in.number("focusY", 0);
    return Optional.empty();
  }

  private static Ground ground(Fields in) {
    return new Ground(
        in.part("paint", PaintCodec::read),
        in.text("picture", "").isEmpty() ? pictureless(in) : Optional.of(PICTURES.read(in)),
        in.choice("extent", Ground.Extent.SHEET),
        in.partIfAny("pattern", MotifCodec::pattern));
  }
}
