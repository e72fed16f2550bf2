package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.house.grammar.Field;
import app.reglet.core.house.grammar.Kind;
import app.reglet.core.house.grammar.PartType;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * An object inside a rule sheet document, read field by field within the limits that the grammar
 * sets. Every complaint names the field by its path ({@code bindings[1].spine[0].perPage}); fields
 * that the grammar doesn't know here are refused at {@link #end()}.
 */
final class DocumentPart {
  private final PartType type;
  private final String variant;
  private final JsonNode node;
  private final String path;
  private final Unit unit;
  private final Set<String> read = new HashSet<>();

  /** A whole document, its lengths in a unit. */
  DocumentPart(PartType type, JsonNode root, Unit unit) {
    this(type, "", root, "", unit);
  }

  private DocumentPart(PartType type, String variant, JsonNode node, String path, Unit unit) {
    if (!node.isObject()) {
      throw new Refusal(path, named(path) + " must be an object in { }.");
    }
    this.type = type;
    this.variant = type.variantBy().isEmpty() ? variant : variant(type, node);
    this.node = node;
    this.path = path;
    this.unit = unit;
  }

  private static String variant(PartType type, JsonNode node) {
    JsonNode by = node.get(type.variantBy());
    return by != null && by.isString() ? by.stringValue().strip() : "";
  }

  private static String named(String path) {
    return path.isEmpty() ? "The document" : "“" + path + "”";
  }

  private String path(String key) {
    return path.isEmpty() ? key : path + "." + key;
  }

  Refusal refuse(String key, String reason) {
    return new Refusal(path(key), named(path(key)) + " " + reason);
  }

  /** The same part, its lengths in another unit. */
  DocumentPart in(Unit newUnit) {
    DocumentPart other = new DocumentPart(type, variant, node, path, newUnit);
    other.read.addAll(read);
    return other;
  }

  Unit unit() {
    return unit;
  }

  private Field field(String key) {
    read.add(key);
    return type.field(key)
        .orElseThrow(() -> new IllegalStateException(type.name() + " has no field " + key));
  }

  private <K extends Kind> K kind(String key, Class<K> wanted) {
    return wanted.cast(field(key).kind());
  }

  private Optional<JsonNode> find(String key) {
    field(key);
    JsonNode found = node.get(key);
    return found == null || found.isNull() ? Optional.empty() : Optional.of(found);
  }

  private JsonNode need(String key) {
    return find(key).orElseThrow(() -> refuse(key, "is missing."));
  }

  boolean has(String key) {
    return find(key).isPresent();
  }

  /** What stands in a field, else what the grammar takes when it is absent. */
  private String otherwise(String key) {
    Field field = field(key);
    if (field.required()) {
      throw refuse(key, "is missing.");
    }
    return field.otherwise();
  }

  /** Reads a value; what is wrong with it is told with the field's name. */
  private <T> T value(JsonNode found, String where, Function<JsonNode, T> reading) {
    try {
      return reading.apply(found);
    } catch (Refusal r) {
      throw new Refusal(where, named(where) + " " + r.getMessage());
    }
  }

  private <T> T value(String key, Function<JsonNode, T> reading) {
    return value(need(key), path(key), reading);
  }

  /** A text; empty when it may be absent and is. */
  String text(String key) {
    Kind.Text kind = kind(key, Kind.Text.class);
    return has(key) ? value(key, n -> FieldValues.text(n, kind)) : otherwise(key);
  }

  /** A text that says something else; what is wrong with it is told with the field's name. */
  <T> T reading(String key, Function<String, T> reading) {
    String text = text(key);
    try {
      return reading.apply(text);
    } catch (Refusal r) {
      throw refuse(key, "is “" + text + "”: " + r.getMessage());
    }
  }

  /** A short name that the sheet defines; whether it does is the caller's to see. */
  String name(String key) {
    kind(key, Kind.Name.class);
    return has(key) ? value(key, FieldValues::string) : otherwise(key);
  }

  boolean flag(String key) {
    kind(key, Kind.Flag.class);
    return has(key) ? value(key, FieldValues::flag) : Boolean.parseBoolean(otherwise(key));
  }

  int count(String key) {
    return optionalCount(key).orElseGet(() -> Integer.parseInt(otherwise(key)));
  }

  Optional<Integer> optionalCount(String key) {
    Kind.Count kind = kind(key, Kind.Count.class);
    return has(key) ? Optional.of(value(key, n -> FieldValues.count(n, kind))) : Optional.empty();
  }

  /** A bare number. */
  BigDecimal number(String key) {
    Kind.Decimal kind = kind(key, Kind.Decimal.class);
    return value(key, n -> FieldValues.number(n, kind));
  }

  /** A length; what the grammar takes when it may be absent and is. */
  Length length(String key) {
    return optionalLength(key).orElseGet(() -> Length.parse(otherwise(key), unit));
  }

  Optional<Length> optionalLength(String key) {
    Kind.LengthText kind = kind(key, Kind.LengthText.class);
    return has(key)
        ? Optional.of(value(key, n -> FieldValues.length(n, kind, unit)))
        : Optional.empty();
  }

  Size size(String key) {
    kind(key, Kind.SizeText.class);
    return value(key, n -> FieldValues.size(n, unit));
  }

  List<Size> sizes(String key) {
    kind(key, Kind.Sizes.class);
    List<JsonNode> items = items(key, Kind.Sizes.MOST);
    List<Size> sizes = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      sizes.add(value(items.get(i), path(key) + "[" + i + "]", n -> FieldValues.size(n, unit)));
    }
    return sizes;
  }

  /** Some of the values that the grammar lists. */
  Set<String> several(String key) {
    Kind.Several kind = kind(key, Kind.Several.class);
    List<JsonNode> items = items(key, Kind.Names.MOST);
    return items.isEmpty() ? Set.of() : value(key, n -> FieldValues.several(items, kind));
  }

  /** Short names that the sheet defines; whether it does is the caller's to see. */
  Set<String> names(String key) {
    kind(key, Kind.Names.class);
    List<JsonNode> items = items(key, Kind.Names.MOST);
    return items.isEmpty() ? Set.of() : value(key, n -> FieldValues.texts(items));
  }

  /** One of the values that the grammar lists. */
  String choice(String key) {
    Kind.Choice kind = kind(key, Kind.Choice.class);
    return has(key) ? value(key, n -> FieldValues.choice(n, kind)) : otherwise(key);
  }

  /** One of the values that the grammar lists, as the constant it is the document's name of. */
  <E extends Enum<E>> E choice(String key, E[] all) {
    String wanted = choice(key);
    return Stream.of(all)
        .filter(e -> e.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(wanted))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("nothing is called " + wanted));
  }

  DocumentPart part(String key) {
    return new DocumentPart(kind(key, Kind.One.class).type(), variant, need(key), path(key), unit);
  }

  Optional<DocumentPart> optionalPart(String key) {
    return has(key) ? Optional.of(part(key)) : Optional.empty();
  }

  List<DocumentPart> parts(String key) {
    Kind.Many kind = kind(key, Kind.Many.class);
    List<JsonNode> items = items(key, kind.most());
    if (items.size() < kind.least()) {
      throw refuse(key, "must list at least one.");
    }
    List<DocumentPart> parts = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      parts.add(
          new DocumentPart(kind.type(), variant, items.get(i), path(key) + "[" + i + "]", unit));
    }
    return parts;
  }

  /** The names of an object of prices. */
  List<String> priced(String key) {
    kind(key, Kind.Prices.class);
    JsonNode found = need(key);
    if (!found.isObject()) {
      throw refuse(key, "must be an object in { }.");
    }
    return List.copyOf(found.propertyNames());
  }

  /** One of an object of prices. */
  BigDecimal price(String key, String name) {
    Kind.Prices kind = kind(key, Kind.Prices.class);
    return value(
        need(key).get(name), path(key) + "." + name, n -> FieldValues.number(n, kind.price()));
  }

  /** The items of a list; none when the field is absent. */
  private List<JsonNode> items(String key, int most) {
    return has(key) ? value(key, n -> FieldValues.items(n, most)) : List.of();
  }

  /**
   * Refuses fields that the grammar doesn't have here: a mistyped name must not be passed over.
   *
   * @throws IllegalStateException when the grammar has one that nobody asked for
   */
  void end() {
    List<Field> here = type.fields().stream().filter(f -> f.fits(variant)).toList();
    for (String key : node.propertyNames()) {
      if (here.stream().noneMatch(f -> f.name().equals(key))) {
        String known = here.stream().map(Field::name).sorted().collect(Collectors.joining(", "));
        throw refuse(
            key,
            type.field(key).isPresent()
                ? "does not go with “" + variant + "”. Known here: " + known + "."
                : "is not a field of a rule sheet here. Known: " + known + ".");
      }
    }
    for (Field field : here) {
      if (!read.contains(field.name())) {
        throw new IllegalStateException("Nobody reads " + path(field.name()) + ".");
      }
    }
  }
}
