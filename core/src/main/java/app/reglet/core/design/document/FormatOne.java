package app.reglet.core.design.document;

import app.reglet.core.Refusal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Documents of the first format, which said no number: a background and pieces of three kinds
 * (words, band, barcode) on the outside, every colour an sRGB one. Brought into the second.
 */
final class FormatOne {
  private FormatOne() {}

  /**
   * The same design as a document of the second format.
   *
   * @throws Refusal when it isn't one of the first
   */
  static ObjectNode migrated(JsonNode one) {
    JsonNode background = need(one, "background");
    ObjectNode ground = JsonNodeFactory.instance.objectNode();
    ground.set("paint", flat(background));
    copy(background, ground, "picture", "focusX", "focusY", "extent");
    ObjectNode two = JsonNodeFactory.instance.objectNode();
    two.put("format", 2);
    ObjectNode outside = two.putObject("outside");
    outside.set("ground", ground);
    var pieces = outside.putArray("pieces");
    for (JsonNode piece : need(one, "pieces")) {
      pieces.add(piece(piece));
    }
    return two;
  }

  private static ObjectNode piece(JsonNode one) {
    ObjectNode two = JsonNodeFactory.instance.objectNode();
    copy(one, two, "id", "name");
    ObjectNode anchors = two.putObject("anchors");
    JsonNode pins = need(one, "pins");
    anchors.set("across", span(need(pins, "across")));
    anchors.set("down", span(need(pins, "down")));
    two.set("content", content(need(one, "content")));
    return two;
  }

  private static ObjectNode span(JsonNode one) {
    ObjectNode two = JsonNodeFactory.instance.objectNode();
    copy(one, two, "kind", "line", "offset", "size", "from", "fromOffset", "to", "toOffset");
    if (one.has("side")) {
      two.set("part", one.get("side"));
    }
    return two;
  }

  private static ObjectNode content(JsonNode one) {
    ObjectNode two = JsonNodeFactory.instance.objectNode();
    String kind = need(one, "kind").asString();
    switch (kind) {
      case "words" -> {
        two.put("kind", "words");
        copy(
            one,
            two,
            "fact",
            "text",
            "face",
            "size",
            "fit",
            "align",
            "leading",
            "capitals",
            "tracking");
        two.set("paint", flat(one));
        two.set("vertical", need(one, "stand"));
        two.set("direction", need(one, "turn"));
      }
      case "band" -> {
        two.put("kind", "shape");
        two.putObject("figure").put("form", "rectangle");
        two.set("fill", flat(one));
      }
      case "barcode" -> two.put("kind", "barcode");
      default -> throw new Refusal("“" + kind + "” is no kind of piece known here.");
    }
    return two;
  }

  private static ObjectNode flat(JsonNode one) {
    ObjectNode paint = JsonNodeFactory.instance.objectNode();
    paint.set("flat", need(one, "colour"));
    return paint;
  }

  private static JsonNode need(JsonNode node, String name) {
    JsonNode found = node.get(name);
    if (found == null || found.isNull()) {
      throw new Refusal("“" + name + "” is missing.");
    }
    return found;
  }

  private static void copy(JsonNode from, ObjectNode to, String... names) {
    for (String name : names) {
      if (from.has(name)) {
        to.set(name, from.get(name));
      }
    }
  }
}
