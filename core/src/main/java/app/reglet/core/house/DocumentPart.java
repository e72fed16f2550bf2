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

  /** A text; empty when it may be absent and is. */
  String text(String key) {
    Kind.Text kind = kind(key, Kind.Text.class);
    if (!has(key)) {
      return otherwise(key);
    }
    String text = string(key);
    if (!kind.pattern().isEmpty() && !text.matches(kind.pattern())) {
      throw refuse(key, "is “" + text + "”: " + kind.said());
    }
    return text;
  }

  /** A short name that the sheet defines; whether it does is the caller's to see. */
  String name(String key) {
    kind(key, Kind.Name.class);
    return has(key) ? string(key) : otherwise(key);
  }

  private String string(String key) {
    JsonNode found = need(key);
    if (!found.isString() || found.stringValue().isBlank()) {
      throw refuse(key, "must be a text.");
    }
    if (found.stringValue().length() > Kind.Text.MOST) {
      throw refuse(key, "is longer than " + Kind.Text.MOST + " characters.");
    }
    return found.stringValue().strip();
  }

  boolean flag(String key) {
    kind(key, Kind.Flag.class);
    Optional<JsonNode> found = find(key);
    if (found.isEmpty()) {
      return Boolean.parseBoolean(otherwise(key));
    }
    if (!found.get().isBoolean()) {
      throw refuse(key, "must be true or false.");
    }
    return found.get().booleanValue();
  }

  int count(String key) {
    return optionalCount(key).orElseGet(() -> Integer.parseInt(otherwise(key)));
  }

  Optional<Integer> optionalCount(String key) {
    Kind.Count kind = kind(key, Kind.Count.class);
    Optional<JsonNode> found = find(key);
    if (found.isEmpty()) {
      return Optional.empty();
    }
    if (!found.get().isIntegralNumber() || !found.get().canConvertToInt()) {
      throw refuse(key, "must be a whole number.");
    }
    int value = found.get().intValue();
    if (value < kind.least() || value > kind.most()) {
      throw refuse(
          key, "is " + value + "; it must be from " + kind.least() + " to " + kind.most() + ".");
    }
    return Optional.of(value);
  }

  /** A bare number. */
  BigDecimal number(String key) {
    return number(need(key), key, kind(key, Kind.Decimal.class));
  }

  private BigDecimal number(JsonNode found, String key, Kind.Decimal kind) {
    if (!found.isNumber()) {
      throw refuse(key, kind.zero() ? "must be a number, such as 0.85." : "must be a number.");
    }
    BigDecimal value = found.decimalValue();
    if (value.signum() < (kind.zero() ? 0 : 1)
        || value.compareTo(BigDecimal.valueOf(Kind.Decimal.MOST)) > 0
        || value.scale() > kind.decimals()) {
      throw refuse(
          key,
          String.format(
              Locale.ROOT,
              "is %s; %s, at most %s, with at most %d decimals.",
              value.toPlainString(),
              kind.zero() ? "a price is 0 or more" : "it must be above 0",
              String.format(Locale.ROOT, "%,d", Kind.Decimal.MOST).replace(',', ' '),
              kind.decimals()));
    }
    return value;
  }

  /** A length; what the grammar takes when it may be absent and is. */
  Length length(String key) {
    return optionalLength(key).orElseGet(() -> Length.parse(otherwise(key), unit));
  }

  Optional<Length> optionalLength(String key) {
    Kind.LengthText kind = kind(key, Kind.LengthText.class);
    if (!has(key)) {
      return Optional.empty();
    }
    Length length = anyLength(key);
    switch (kind.least()) {
      case ANY -> {
        // above or below zero
      }
      case ZERO -> {
        if (length.isNegative()) {
          throw refuse(key, "is negative; it must be zero or more.");
        }
      }
      case ABOVE_ZERO -> {
        if (!length.isPositive()) {
          throw refuse(key, "is " + length.print(unit) + "; it must be above zero.");
        }
      }
    }
    return Optional.of(length);
  }

  private Length anyLength(String key) {
    JsonNode found = need(key);
    if (!found.isString()) {
      throw refuse(key, "must be a length in quotes with its unit, such as \"0.125 in\".");
    }
    Length length;
    try {
      length = Length.parse(found.stringValue(), unit);
    } catch (Refusal r) {
      throw refuse(key, "is no length. " + r.getMessage());
    }
    if (length.abs().isMoreThan(Kind.LengthText.LONGEST)) {
      throw refuse(
          key,
          "is "
              + length.print(unit)
              + "; no length on a cover is more than "
              + Kind.LengthText.LONGEST.print(unit)
              + ".");
    }
    return length;
  }

  Size size(String key) {
    kind(key, Kind.SizeText.class);
    return size(need(key), path(key));
  }

  private Size size(JsonNode found, String where) {
    if (!found.isString()) {
      throw new Refusal(where, named(where) + " must be a size in quotes, such as \"6 x 9 in\".");
    }
    try {
      Size size = Size.parse(found.stringValue(), unit);
      if (!size.width().isPositive() || !size.height().isPositive()) {
        throw new Refusal("both sides must be above zero.");
      }
      return size;
    } catch (Refusal r) {
      throw new Refusal(where, named(where) + " is no size. " + r.getMessage());
    }
  }

  List<Size> sizes(String key) {
    kind(key, Kind.Sizes.class);
    List<JsonNode> items = items(key, Kind.Sizes.MOST);
    List<Size> sizes = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      sizes.add(size(items.get(i), path(key) + "[" + i + "]"));
    }
    return sizes;
  }

  /** Some of the values that the grammar lists. */
  Set<String> several(String key) {
    List<String> known = kind(key, Kind.Several.class).values();
    Set<String> texts = texts(key);
    for (String text : texts) {
      if (!known.contains(text)) {
        throw refuse(key, "names “" + text + "”; it must be of " + String.join(", ", known) + ".");
      }
    }
    return texts;
  }

  /** Short names that the sheet defines; whether it does is the caller's to see. */
  Set<String> names(String key) {
    kind(key, Kind.Names.class);
    return texts(key);
  }

  private Set<String> texts(String key) {
    Set<String> texts = new HashSet<>();
    for (JsonNode item : items(key, Kind.Names.MOST)) {
      if (!item.isString()) {
        throw refuse(key, "must be a list of texts.");
      }
      texts.add(item.stringValue());
    }
    return texts;
  }

  /** One of the values that the grammar lists. */
  String choice(String key) {
    List<String> known = kind(key, Kind.Choice.class).values();
    if (!has(key)) {
      return otherwise(key);
    }
    String wanted = string(key);
    if (!known.contains(wanted)) {
      throw refuse(key, "is “" + wanted + "”; it must be one of " + String.join(", ", known) + ".");
    }
    return wanted;
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

  /** Prices by name, in a part of their own. */
  Prices prices(String key) {
    Kind.Prices kind = kind(key, Kind.Prices.class);
    return new Prices(kind.price(), new DocumentPart(NOTHING, "", need(key), path(key), unit));
  }

  private static final PartType NOTHING =
      new PartType("prices", "", List.of(), List.of(), List.of());

  /** An object of prices by name. */
  record Prices(Kind.Decimal price, DocumentPart part) {
    List<String> names() {
      return List.copyOf(part.node.propertyNames());
    }

    BigDecimal get(String name) {
      return part.number(part.node.get(name), name, price);
    }

    Refusal refuse(String name, String reason) {
      return part.refuse(name, reason);
    }
  }

  /** The items of a list; none when the field is absent. */
  private List<JsonNode> items(String key, int most) {
    Optional<JsonNode> found = find(key);
    if (found.isEmpty()) {
      return List.of();
    }
    if (!found.get().isArray()) {
      throw refuse(key, "must be a list in [ ].");
    }
    if (found.get().size() > most) {
      throw refuse(key, "has " + found.get().size() + " items; at most " + most + " are read.");
    }
    return List.copyOf(found.get().values());
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
