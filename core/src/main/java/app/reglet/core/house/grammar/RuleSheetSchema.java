package app.reglet.core.house.grammar;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The JSON Schema (draft 2020-12) of a rule sheet, made from the {@link Grammar}. */
public final class RuleSheetSchema implements Kind.Visitor<ObjectNode> {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private RuleSheetSchema() {}

  /** The schema, indented. */
  public static String write() {
    ObjectNode root = JSON.createObjectNode();
    root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    root.put("$id", "urn:reglet:rule-sheet:1");
    root.put("title", "Rule sheet of a print house or an ebook shop, format " + Grammar.FORMAT);
    root.put(
        "description",
        "Lengths are texts with their unit (\"0.125 in\", \"3 mm\", \"60 px\"); without one they"
            + " are in the sheet's unit. What a schema can't say (papers and inks that are named"
            + " must be listed, table rows must ascend, worked examples must come out) is checked"
            + " when the sheet is read.");
    root.setAll(new RuleSheetSchema().object(Grammar.SHEET));
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  private ObjectNode object(PartType type) {
    ObjectNode out = node("object");
    out.put("additionalProperties", false);
    required(out, type.fields().stream().filter(f -> f.required() && f.of().isEmpty()).toList());
    ObjectNode properties = out.putObject("properties");
    for (Field field : type.fields()) {
      ObjectNode property = field.kind().accept(this);
      if (!field.help().isEmpty()) {
        property.put("description", field.help());
      } else if (!field.label().isEmpty()) {
        property.put("title", field.label());
      }
      properties.set(field.name(), property);
    }
    if (!type.anyOf().isEmpty()) {
      ArrayNode any = out.putArray("anyOf");
      type.anyOf().forEach(name -> required(any.addObject(), name));
    }
    if (!type.variantBy().isEmpty()) {
      variants(out, type);
    }
    return out;
  }

  /** What each variant must and must not have. */
  private void variants(ObjectNode out, PartType type) {
    Set<String> names = new LinkedHashSet<>();
    type.fields().forEach(f -> names.addAll(f.of()));
    if (type.field(type.variantBy()).orElseThrow().kind() instanceof Kind.Choice choice) {
      names.addAll(choice.values());
    }
    ArrayNode all = JSON.createArrayNode();
    for (String variant : names) {
      ObjectNode then = JSON.createObjectNode();
      required(
          then,
          type.fields().stream()
              .filter(f -> f.required() && !f.of().isEmpty() && f.fits(variant))
              .toList());
      List<Field> not = type.fields().stream().filter(f -> !f.fits(variant)).toList();
      if (!not.isEmpty()) {
        ObjectNode refused = then.putObject("properties");
        not.forEach(f -> refused.put(f.name(), false));
      }
      if (!type.oneOf().isEmpty()
          && type.oneOf().stream().allMatch(n -> type.field(n).orElseThrow().fits(variant))) {
        ArrayNode one = then.putArray("oneOf");
        type.oneOf().forEach(name -> required(one.addObject(), name));
      }
      if (!then.isEmpty()) {
        ObjectNode rule = all.addObject();
        rule.putObject("if")
            .putObject("properties")
            .putObject(type.variantBy())
            .put("const", variant);
        rule.set("then", then);
      }
    }
    out.set("allOf", all);
  }

  private static void required(ObjectNode out, List<Field> fields) {
    if (!fields.isEmpty()) {
      ArrayNode names = out.putArray("required");
      fields.forEach(f -> names.add(f.name()));
    }
  }

  private static void required(ObjectNode out, String name) {
    out.putArray("required").add(name);
  }

  private static ObjectNode node(String type) {
    return JSON.createObjectNode().put("type", type);
  }

  private static ObjectNode filled(int most) {
    return node("string").put("pattern", "\\S").put("maxLength", most);
  }

  private static ArrayNode values(ObjectNode out, List<String> values) {
    ArrayNode list = out.putArray("enum");
    values.forEach(list::add);
    return list;
  }

  @Override
  public ObjectNode text(Kind.Text kind) {
    return kind.pattern().isEmpty()
        ? filled(Kind.Text.MOST)
        : node("string").put("pattern", "^\\s*" + kind.pattern() + "\\s*$");
  }

  @Override
  public ObjectNode count(Kind.Count kind) {
    return node("integer").put("minimum", kind.least()).put("maximum", kind.most());
  }

  @Override
  public ObjectNode decimal(Kind.Decimal kind) {
    return node("number")
        .put(kind.zero() ? "minimum" : "exclusiveMinimum", 0)
        .put("maximum", Kind.Decimal.MOST);
  }

  @Override
  public ObjectNode length(Kind.LengthText kind) {
    return filled(80);
  }

  @Override
  public ObjectNode size(Kind.SizeText kind) {
    return filled(200);
  }

  @Override
  public ObjectNode sizes(Kind.Sizes kind) {
    ObjectNode out = node("array").put("maxItems", Kind.Sizes.MOST);
    out.set("items", filled(200));
    return out;
  }

  @Override
  public ObjectNode choice(Kind.Choice kind) {
    ObjectNode out = JSON.createObjectNode();
    values(out, kind.values());
    return out;
  }

  @Override
  public ObjectNode several(Kind.Several kind) {
    ObjectNode out = node("array").put("maxItems", Kind.Names.MOST);
    values(out.putObject("items"), kind.values());
    return out;
  }

  @Override
  public ObjectNode flag(Kind.Flag kind) {
    return node("boolean");
  }

  @Override
  public ObjectNode name(Kind.Name kind) {
    return filled(Kind.Text.MOST);
  }

  @Override
  public ObjectNode names(Kind.Names kind) {
    ObjectNode out = node("array").put("maxItems", Kind.Names.MOST);
    out.set("items", node("string"));
    return out;
  }

  @Override
  public ObjectNode prices(Kind.Prices kind) {
    ObjectNode out = node("object").put("minProperties", 1);
    out.set("additionalProperties", decimal(kind.price()));
    return out;
  }

  @Override
  public ObjectNode part(Kind.One kind) {
    return object(kind.type());
  }

  @Override
  public ObjectNode parts(Kind.Many kind) {
    ObjectNode out = node("array").put("maxItems", kind.most());
    if (kind.least() > 0) {
      out.put("minItems", kind.least());
    }
    out.set("items", object(kind.type()));
    return out;
  }
}
