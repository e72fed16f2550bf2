package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.house.grammar.Kind;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * Values of a document, each read within the limits of its kind. What is wrong with one is refused
 * in words that follow the field's name: {@code must be a text.}
 */
final class FieldValues {
  private FieldValues() {}

  static String string(JsonNode found) {
    if (!found.isString() || found.stringValue().isBlank()) {
      throw new Refusal("must be a text.");
    }
    if (found.stringValue().length() > Kind.Text.MOST) {
      throw new Refusal("is longer than " + Kind.Text.MOST + " characters.");
    }
    return found.stringValue().strip();
  }

  static String text(JsonNode found, Kind.Text kind) {
    String text = string(found);
    if (!kind.pattern().isEmpty() && !text.matches(kind.pattern())) {
      throw new Refusal("is “" + text + "”: " + kind.said());
    }
    return text;
  }

  static String choice(JsonNode found, Kind.Choice kind) {
    String wanted = string(found);
    if (!kind.values().contains(wanted)) {
      throw new Refusal(
          "is “" + wanted + "”; it must be one of " + String.join(", ", kind.values()) + ".");
    }
    return wanted;
  }

  static boolean flag(JsonNode found) {
    if (!found.isBoolean()) {
      throw new Refusal("must be true or false.");
    }
    return found.booleanValue();
  }

  static int count(JsonNode found, Kind.Count kind) {
    if (!found.isIntegralNumber() || !found.canConvertToInt()) {
      throw new Refusal("must be a whole number.");
    }
    int value = found.intValue();
    if (value < kind.least() || value > kind.most()) {
      throw new Refusal(
          "is " + value + "; it must be from " + kind.least() + " to " + kind.most() + ".");
    }
    return value;
  }

  static BigDecimal number(JsonNode found, Kind.Decimal kind) {
    if (!found.isNumber()) {
      throw new Refusal(kind.zero() ? "must be a number, such as 0.85." : "must be a number.");
    }
    BigDecimal value = found.decimalValue();
    if (value.signum() < (kind.zero() ? 0 : 1)
        || value.compareTo(BigDecimal.valueOf(Kind.Decimal.MOST)) > 0
        || value.scale() > kind.decimals()) {
      throw new Refusal(
          "is "
              + value.toPlainString()
              + (kind.zero() ? "; a price is 0 or more" : "; it must be above 0")
              + ", at most "
              + String.format(Locale.ROOT, "%,d", Kind.Decimal.MOST).replace(',', ' ')
              + ", with at most "
              + kind.decimals()
              + " decimals.");
    }
    return value;
  }

  static Length length(JsonNode found, Kind.LengthText kind, Unit unit) {
    if (!found.isString()) {
      throw new Refusal("must be a length in quotes with its unit, such as \"0.125 in\".");
    }
    Length length;
    try {
      length = Length.parse(found.stringValue(), unit);
    } catch (Refusal r) {
      throw new Refusal("is no length. " + r.getMessage());
    }
    if (length.abs().isMoreThan(Kind.LengthText.LONGEST)) {
      throw new Refusal(
          "is "
              + length.print(unit)
              + "; no length on a cover is more than "
              + Kind.LengthText.LONGEST.print(unit)
              + ".");
    }
    if (kind.least() == Kind.LengthText.Least.ZERO && length.isNegative()) {
      throw new Refusal("is negative; it must be zero or more.");
    }
    if (kind.least() == Kind.LengthText.Least.ABOVE_ZERO && !length.isPositive()) {
      throw new Refusal("is " + length.print(unit) + "; it must be above zero.");
    }
    return length;
  }

  static Size size(JsonNode found, Unit unit) {
    if (!found.isString()) {
      throw new Refusal("must be a size in quotes, such as \"6 x 9 in\".");
    }
    Size size;
    try {
      size = Size.parse(found.stringValue(), unit);
    } catch (Refusal r) {
      throw new Refusal("is no size. " + r.getMessage());
    }
    if (!size.width().isPositive() || !size.height().isPositive()) {
      throw new Refusal("is no size. both sides must be above zero.");
    }
    return size;
  }

  /** The items of a list. */
  static List<JsonNode> items(JsonNode found, int most) {
    if (!found.isArray()) {
      throw new Refusal("must be a list in [ ].");
    }
    if (found.size() > most) {
      throw new Refusal("has " + found.size() + " items; at most " + most + " are read.");
    }
    return List.copyOf(found.values());
  }

  static Set<String> texts(List<JsonNode> items) {
    Set<String> texts = new HashSet<>();
    for (JsonNode item : items) {
      if (!item.isString()) {
        throw new Refusal("must be a list of texts.");
      }
      texts.add(item.stringValue());
    }
    return texts;
  }

  static Set<String> several(List<JsonNode> items, Kind.Several kind) {
    Set<String> texts = texts(items);
    for (String text : texts) {
      if (!kind.values().contains(text)) {
        throw new Refusal(
            "names “" + text + "”; it must be of " + String.join(", ", kind.values()) + ".");
      }
    }
    return texts;
  }
}
