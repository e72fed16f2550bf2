package app.reglet.core.wrap;

import app.reglet.core.house.BarcodeRule;
import app.reglet.core.house.SafeDistances;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A measured wrap as JSON, format {@code reglet-wrap/1}. Every length is an object with {@code mm}
 * and {@code in} as decimal strings, exact where the decimal ends, else to 15 decimals; an ebook's
 * has {@code px} too. Boxes have x and y from the top left of their page. The outside stands at the
 * root; {@code pages} has every page that is handed over, see {@link FilePages}.
 */
public final class WrapDocument {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final boolean pixels;

  private WrapDocument(Wrap wrap) {
    this.pixels = wrap.spec().binding().isInPixels();
  }

  /** The document, indented. */
  public static String write(Wrap wrap) {
    return JSON.writerWithDefaultPrettyPrinter()
        .writeValueAsString(new WrapDocument(wrap).document(wrap));
  }

  private ObjectNode document(Wrap wrap) {
    ObjectNode root = JSON.createObjectNode();
    root.put("format", "reglet-wrap/1");
    root.put("house", wrap.house().id());
    ObjectNode facts = root.putObject("facts");
    facts.put("binding", wrap.spec().binding().id());
    facts.set("trim", size(wrap.spec().trim()));
    facts.put("pages", wrap.spec().pages());
    facts.put("boundPages", wrap.boundPages());
    facts.put("stock", wrap.spec().stock());
    facts.put("ink", wrap.spec().ink());
    facts.put("turn", wrap.spec().turn().id());
    facts.put("insidePrinted", wrap.spec().insidePrinted());
    ObjectNode spine = root.putObject("spine");
    spine.set("exact", length(wrap.spine().exact()));
    spine.set("stated", length(wrap.spine().stated()));
    spine.put("rule", wrap.spine().by().rule().kind());
    spine.put("sum", wrap.spine().print(wrap.house().unit()));
    rules(root, wrap);
    page(root, wrap);
    ArrayNode pages = root.putArray("pages");
    for (Wrap p : FilePages.of(wrap)) {
      page(pages.addObject().put("page", p.page().id()), p);
    }
    return root;
  }

  private void rules(ObjectNode root, Wrap wrap) {
    SafeDistances s = wrap.rules().safe();
    ObjectNode safe = root.putObject("safeDistances");
    safe.set("trim", length(s.trim()));
    safe.set("fold", length(s.fold()));
    safe.set("hinge", length(s.hinge()));
    safe.set("drift", length(s.drift()));
    SpineTypeRule type = wrap.rules().spineType();
    ObjectNode spineType = root.putObject("spineType");
    spineType.put("allowed", wrap.printsOnSpine());
    wrap.panel(PanelKind.SPINE).ifPresent(p -> spineType.set("band", length(p.safe().width())));
    spineType.put("direction", type.direction().id());
    wrap.rules()
        .barcode()
        .map(BarcodeRule::supplier)
        .ifPresent(b -> root.putObject("barcode").put("supplier", b.id()));
  }

  private void page(ObjectNode node, Wrap wrap) {
    Unit unit = wrap.house().unit();
    ObjectNode sheet = node.putObject("sheet");
    sheet.set("exact", size(wrap.sheet()));
    sheet.set("stated", size(wrap.stated()));
    sheet.put("widthSum", wrap.width().print(unit));
    sheet.put("heightSum", wrap.height().print(unit));
    node.set("trimmed", box(wrap.trimmed()));
    ObjectNode margin = node.putObject("margin");
    Edges edges = wrap.margin();
    margin.put("kind", wrap.turnIn() ? "turn-in" : "bleed");
    margin.set("top", length(edges.top()));
    margin.set("right", length(edges.right()));
    margin.set("bottom", length(edges.bottom()));
    margin.set("left", length(edges.left()));
    ArrayNode panels = node.putArray("panels");
    for (Panel p : wrap.panels()) {
      ObjectNode panel = panels.addObject();
      panel.put("panel", p.kind().id());
      panel.set("trim", box(p.trim()));
      panel.set("withMargin", box(p.art()));
      if (!p.safe().isEmpty()) {
        panel.set("safe", box(p.safe()));
      }
    }
    ArrayNode folds = node.putArray("folds");
    for (Fold f : wrap.folds()) {
      ObjectNode fold = folds.addObject();
      fold.set("x", length(f.x()));
      fold.put("left", f.between().id());
      fold.put("right", f.and().id());
    }
    ArrayNode zones = node.putArray("zones");
    for (Zone z : wrap.zones()) {
      ObjectNode zone = zones.addObject();
      zone.put("zone", z.kind().name().toLowerCase(Locale.ROOT));
      zone.put("panel", z.panel().id());
      zone.set("box", box(z.box()));
    }
  }

  private ObjectNode length(Length l) {
    ObjectNode node =
        JSON.createObjectNode().put("mm", l.exact(Unit.MM)).put("in", l.exact(Unit.IN));
    return pixels ? node.put("px", l.exact(Unit.PX)) : node;
  }

  private ObjectNode size(Size s) {
    ObjectNode node = JSON.createObjectNode();
    node.set("width", length(s.width()));
    node.set("height", length(s.height()));
    return node;
  }

  private ObjectNode box(Box b) {
    ObjectNode node = JSON.createObjectNode();
    node.set("x", length(b.x()));
    node.set("y", length(b.y()));
    node.set("width", length(b.width()));
    node.set("height", length(b.height()));
    return node;
  }
}
