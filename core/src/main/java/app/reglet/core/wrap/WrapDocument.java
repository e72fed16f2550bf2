package app.reglet.core.wrap;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A measured wrap as JSON, format {@code reglet-wrap/1}. Every length is an object with {@code mm}
 * and {@code in} as decimal strings, exact where the decimal ends, else to 15 decimals. Boxes have
 * x and y from the top left of the sheet.
 */
public final class WrapDocument {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private WrapDocument() {}

  /** The document, indented. */
  public static String write(Wrap wrap) {
    ObjectNode root = JSON.createObjectNode();
    root.put("format", "reglet-wrap/1");
    root.put("house", wrap.house().id());
    ObjectNode facts = root.putObject("facts");
    facts.put("binding", wrap.spec().binding().id());
    facts.set("trim", size(wrap.spec().trim()));
    facts.put("pages", wrap.spec().pages());
    facts.put("stock", wrap.spec().stock());
    facts.put("ink", wrap.spec().ink());
    facts.put("turn", wrap.spec().turn().id());
    ObjectNode spine = root.putObject("spine");
    spine.set("exact", length(wrap.spine().exact()));
    spine.set("stated", length(wrap.spine().stated()));
    spine.put("rule", wrap.spine().by().rule().kind());
    spine.put("sum", wrap.spine().print(wrap.house().unit()));
    ObjectNode sheet = root.putObject("sheet");
    sheet.set("exact", size(wrap.sheet()));
    sheet.set("stated", size(wrap.stated()));
    sheet.put("widthSum", wrap.width().print(wrap.house().unit()));
    sheet.put("heightSum", wrap.height().print(wrap.house().unit()));
    root.set("trimmed", box(wrap.trimmed()));
    ObjectNode margin = root.putObject("margin");
    margin.put("kind", wrap.turnIn() ? "turn-in" : "bleed");
    margin.set("top", length(wrap.margin().top()));
    margin.set("right", length(wrap.margin().right()));
    margin.set("bottom", length(wrap.margin().bottom()));
    margin.set("left", length(wrap.margin().left()));
    ArrayNode panels = root.putArray("panels");
    for (Panel p : wrap.panels()) {
      ObjectNode panel = panels.addObject();
      panel.put("panel", p.kind().id());
      panel.set("trim", box(p.trim()));
      panel.set("withMargin", box(p.art()));
      if (!p.safe().isEmpty()) {
        panel.set("safe", box(p.safe()));
      }
    }
    ArrayNode folds = root.putArray("folds");
    for (Fold f : wrap.folds()) {
      ObjectNode fold = folds.addObject();
      fold.set("x", length(f.x()));
      fold.put("left", f.between().id());
      fold.put("right", f.and().id());
    }
    ArrayNode zones = root.putArray("zones");
    for (Zone z : wrap.zones()) {
      ObjectNode zone = zones.addObject();
      zone.put("zone", z.kind().name().toLowerCase(java.util.Locale.ROOT));
      zone.put("panel", z.panel().id());
      zone.set("box", box(z.box()));
    }
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  private static ObjectNode length(Length l) {
    return JSON.createObjectNode().put("mm", l.exact(Unit.MM)).put("in", l.exact(Unit.IN));
  }

  private static ObjectNode size(Size s) {
    ObjectNode node = JSON.createObjectNode();
    node.set("width", length(s.width()));
    node.set("height", length(s.height()));
    return node;
  }

  private static ObjectNode box(Box b) {
    ObjectNode node = JSON.createObjectNode();
    node.set("x", length(b.x()));
    node.set("y", length(b.y()));
    node.set("width", length(b.width()));
    node.set("height", length(b.height()));
    return node;
  }
}
