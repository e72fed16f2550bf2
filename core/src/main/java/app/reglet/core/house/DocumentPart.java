package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * An object inside a rule sheet document, read field by field. Every complaint names the field by
 * its path ({@code bindings[1].spine[0].perPage}); fields that nobody asked for are refused at
 * {@link #end()}.
 */
final class DocumentPart {
  private static final Length LONGEST = Length.of(1500, Unit.MM);

  private final JsonNode node;
  private final String path;
  private final Unit unit;
  private final Set<String> read = new HashSet<>();

  DocumentPart(JsonNode node, String path, Unit unit) {
    if (!node.isObject()) {
      throw new Refusal(path, named(path) + " must be an object in { }.");
    }
    this.node = node;
    this.path = path;
    this.unit = unit;
  }

  private static String named(String path) {
    return path.isEmpty() ? "The document" : "“" + path + "”";
  }

  String path(String key) {
    return path.isEmpty() ? key : path + "." + key;
  }

  Refusal refuse(String key, String reason) {
    return new Refusal(path(key), named(path(key)) + " " + reason);
  }

  DocumentPart in(Unit newUnit) {
    DocumentPart other = new DocumentPart(node, path, newUnit);
    other.read.addAll(read);
    return other;
  }

  private Optional<JsonNode> find(String key) {
    read.add(key);
    JsonNode found = node.get(key);
    return found == null || found.isNull() ? Optional.empty() : Optional.of(found);
  }

  private JsonNode need(String key) {
    return find(key).orElseThrow(() -> refuse(key, "is missing."));
  }

  boolean has(String key) {
    return find(key).isPresent();
  }

  String text(String key) {
    JsonNode found = need(key);
    if (!found.isString() || found.stringValue().isBlank()) {
      throw refuse(key, "must be a text.");
    }
    if (found.stringValue().length() > 2000) {
      throw refuse(key, "is longer than 2000 characters.");
    }
    return found.stringValue().strip();
  }

  String text(String key, String otherwise) {
    return has(key) ? text(key) : otherwise;
  }

  /** A short name for documents and addresses: small letters, digits and hyphens. */
  String id(String key) {
    String id = text(key);
    if (!id.matches("[a-z0-9][a-z0-9-]{0,59}")) {
      throw refuse(
          key, "is “" + id + "”: an id has small letters, digits and hyphens, 60 at most.");
    }
    return id;
  }

  boolean flag(String key, boolean otherwise) {
    Optional<JsonNode> found = find(key);
    if (found.isEmpty()) {
      return otherwise;
    }
    if (!found.get().isBoolean()) {
      throw refuse(key, "must be true or false.");
    }
    return found.get().booleanValue();
  }

  int count(String key, int least, int most) {
    JsonNode found = need(key);
    if (!found.isIntegralNumber() || !found.canConvertToInt()) {
      throw refuse(key, "must be a whole number.");
    }
    int value = found.intValue();
    if (value < least || value > most) {
      throw refuse(key, "is " + value + "; it must be from " + least + " to " + most + ".");
    }
    return value;
  }

  int count(String key, int least, int most, int otherwise) {
    return has(key) ? count(key, least, most) : otherwise;
  }

  /** A bare number above zero. */
  BigDecimal number(String key) {
    JsonNode found = need(key);
    if (!found.isNumber()) {
      throw refuse(key, "must be a number.");
    }
    BigDecimal value = found.decimalValue();
    if (value.signum() <= 0
        || value.compareTo(BigDecimal.valueOf(100_000)) > 0
        || value.scale() > 10) {
      throw refuse(
          key,
          "is "
              + value.toPlainString()
              + "; it must be above 0, at most 100 000, with at most 10 decimals.");
    }
    return value;
  }

  /** A length as text; without a unit it is in the document's. Not negative. */
  Length length(String key) {
    Length length = signedLength(key);
    if (length.isNegative()) {
      throw refuse(key, "is negative; it must be zero or more.");
    }
    return length;
  }

  /** A length above zero. */
  Length positiveLength(String key) {
    Length length = signedLength(key);
    if (!length.isPositive()) {
      throw refuse(key, "is " + length.print(unit) + "; it must be above zero.");
    }
    return length;
  }

  Length length(String key, Length otherwise) {
    return has(key) ? length(key) : otherwise;
  }

  Length signedLength(String key) {
    JsonNode found = need(key);
    try {
      if (found.isString()) {
        Length length = Length.parse(found.stringValue(), unit);
        if (length.abs().isMoreThan(LONGEST)) {
          throw refuse(
              key,
              "is "
                  + length.print(unit)
                  + "; no length on a cover is more than "
                  + LONGEST.print(unit)
                  + ".");
        }
        return length;
      }
    } catch (Refusal r) {
      throw r.field().isEmpty() ? refuse(key, "is no length. " + r.getMessage()) : r;
    }
    throw refuse(key, "must be a length in quotes with its unit, such as \"0.125 in\".");
  }

  Length signedLength(String key, Length otherwise) {
    return has(key) ? signedLength(key) : otherwise;
  }

  Size size(String key) {
    JsonNode found = need(key);
    return size(found, path(key));
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
    List<JsonNode> items = items(key, 500);
    List<Size> sizes = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      sizes.add(size(items.get(i), path(key) + "[" + i + "]"));
    }
    return sizes;
  }

  Unit unit() {
    return unit;
  }

  /** The names of the fields. */
  List<String> keys() {
    return List.copyOf(node.propertyNames());
  }

  /** A price, zero or more. */
  BigDecimal price(String key) {
    JsonNode found = need(key);
    if (!found.isNumber()) {
      throw refuse(key, "must be a number, such as 0.85.");
    }
    BigDecimal value = found.decimalValue();
    if (value.signum() < 0
        || value.compareTo(BigDecimal.valueOf(100_000)) > 0
        || value.scale() > 6) {
      throw refuse(
          key,
          "is "
              + value.toPlainString()
              + "; a price is 0 or more, at most 100 000, with at most 6 decimals.");
    }
    return value;
  }

  /** Texts out of a list of known ones. */
  Set<String> texts(String key, List<String> known) {
    Set<String> texts = texts(key);
    for (String text : texts) {
      if (!known.contains(text)) {
        throw refuse(key, "names “" + text + "”; it must be of " + String.join(", ", known) + ".");
      }
    }
    return texts;
  }

  Set<String> texts(String key) {
    Set<String> texts = new HashSet<>();
    for (JsonNode item : items(key, 200)) {
      if (!item.isString()) {
        throw refuse(key, "must be a list of texts.");
      }
      texts.add(item.stringValue());
    }
    return texts;
  }

  <E extends Enum<E>> E choice(String key, E[] all, E otherwise) {
    if (otherwise != null && !has(key)) {
      return otherwise;
    }
    String wanted = text(key);
    return Stream.of(all)
        .filter(e -> documentName(e).equals(wanted))
        .findFirst()
        .orElseThrow(
            () ->
                refuse(
                    key,
                    "is “"
                        + wanted
                        + "”; it must be one of "
                        + Stream.of(all)
                            .map(DocumentPart::documentName)
                            .collect(Collectors.joining(", "))
                        + "."));
  }

  private static String documentName(Enum<?> e) {
    return e.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
  }

  DocumentPart part(String key) {
    return new DocumentPart(need(key), path(key), unit);
  }

  Optional<DocumentPart> optionalPart(String key) {
    return find(key).map(n -> new DocumentPart(n, path(key), unit));
  }

  List<DocumentPart> parts(String key) {
    List<JsonNode> items = items(key, RuleSheetReader.MOST_ITEMS);
    List<DocumentPart> parts = new ArrayList<>();
    for (int i = 0; i < items.size(); i++) {
      parts.add(new DocumentPart(items.get(i), path(key) + "[" + i + "]", unit));
    }
    return parts;
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

  /** Refuses fields that were not asked for: a mistyped name must not be passed over. */
  void end() {
    for (String key : node.propertyNames()) {
      if (!read.contains(key)) {
        throw refuse(
            key,
            "is not a field of a rule sheet here. Known: "
                + read.stream().sorted().collect(Collectors.joining(", "))
                + ".");
      }
    }
  }
}
