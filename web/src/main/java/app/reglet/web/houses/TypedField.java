package app.reglet.web.houses;

import app.reglet.core.house.grammar.Kind;
import java.math.BigDecimal;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was typed into a field of a rule sheet, as its document writes it; null for nothing. */
final class TypedField implements Kind.Visitor<JsonNode> {
  private final ObjectNode root;
  private final RuleSheetPath path;
  private final String[] values;
  private final String text;

  TypedField(ObjectNode root, RuleSheetPath path, String[] values) {
    this.root = root;
    this.path = path;
    this.values = values;
    this.text = values[0].replace("\u0000", "").strip();
  }

  private JsonNode asText() {
    return text.isEmpty() ? null : root.stringNode(text);
  }

  private JsonNode asNumber(String form) {
    return text.isEmpty() ? null : number(text, form);
  }

  @Override
  public JsonNode text(Kind.Text kind) {
    return asText();
  }

  @Override
  public JsonNode count(Kind.Count kind) {
    return asNumber("-?\\d{1,20}");
  }

  @Override
  public JsonNode decimal(Kind.Decimal kind) {
    return asNumber("-?\\d{1,20}(\\.\\d{1,20})?");
  }

  @Override
  public JsonNode length(Kind.LengthText kind) {
    return asText();
  }

  @Override
  public JsonNode size(Kind.SizeText kind) {
    return asText();
  }

  @Override
  public JsonNode sizes(Kind.Sizes kind) {
    return texts(text.lines().flatMap(l -> List.of(l.split(";")).stream()).toList());
  }

  @Override
  public JsonNode choice(Kind.Choice kind) {
    return asText();
  }

  @Override
  public JsonNode several(Kind.Several kind) {
    return texts(List.of(values));
  }

  @Override
  public JsonNode flag(Kind.Flag kind) {
    return root.booleanNode(true);
  }

  @Override
  public JsonNode name(Kind.Name kind) {
    return asText();
  }

  @Override
  public JsonNode names(Kind.Names kind) {
    return texts(List.of(values));
  }

  /** One of the prices: the place names which. */
  @Override
  public JsonNode prices(Kind.Prices kind) {
    return decimal(kind.price());
  }

  /** A ticked box makes the object; one that is there stays. */
  @Override
  public JsonNode part(Kind.One kind) {
    JsonNode there = path.in(root);
    return there == null && kind.says() ? root.objectNode() : there;
  }

  /** A list is changed by its rows. */
  @Override
  public JsonNode parts(Kind.Many kind) {
    return path.in(root);
  }

  private ArrayNode texts(List<String> values) {
    ArrayNode list = root.arrayNode();
    values.stream().map(String::strip).filter(v -> !v.isEmpty()).forEach(list::add);
    return list.isEmpty() ? null : list;
  }

  /** A number, with a decimal comma and digits of any script; else the text as typed. */
  private JsonNode number(String text, String form) {
    StringBuilder plain = new StringBuilder();
    text.codePoints()
        .filter(c -> c != ' ' && c != '\u00a0' && c != '\u202f')
        .forEach(
            c ->
                plain.appendCodePoint(
                    Character.isDigit(c) ? '0' + Character.digit(c, 10) : c == ',' ? '.' : c));
    return plain.toString().matches(form)
        ? root.numberNode(new BigDecimal(plain.toString()))
        : root.stringNode(text);
  }
}
