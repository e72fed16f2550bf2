package app.reglet.core.edit;

import app.reglet.core.Choices;
import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a form or a script sent for one change, as typed.
 *
 * @param fields names and texts
 * @param unit of lengths that name none
 */
record Typed(Map<String, String> fields, Unit unit) {
  boolean has(String name) {
    return fields.containsKey(name);
  }

  String text(String name) {
    String text = fields.get(name);
    if (text == null) {
      throw new Refusal(
          name, "This change lacks its “" + name + "”: reload the page and try again.");
    }
    return text.replace("\u0000", "");
  }

  /** What follows a beginning in the names of fields, in no order. */
  List<String> after(String beginning) {
    return fields.keySet().stream()
        .filter(f -> f.startsWith(beginning))
        .map(f -> f.substring(beginning.length()))
        .toList();
  }

  String text(String name, String otherwise) {
    return has(name) ? text(name) : otherwise;
  }

  Length length(String name) {
    return Length.parse(text(name), unit);
  }

  /** The length typed, empty when the field was not sent. */
  Optional<Length> lengthIfAny(String name) {
    return has(name) ? Optional.of(length(name)) : Optional.empty();
  }

  /** Several lengths, parted by commas, or by spaces when there are none. */
  List<Length> lengths(String name, Unit ofNone) {
    String text = text(name).strip();
    if (text.isEmpty()) {
      return List.of();
    }
    String between = text.matches("(?s).*[,;].*") ? "\\s*[,;]\\s*" : "\\s+(?=[\\d.−-])";
    return Arrays.stream(text.split(between)).map(t -> Length.parse(t, ofNone)).toList();
  }

  /** A checkbox: a hidden {@code off} stands before its {@code on}. */
  boolean flag(String name, boolean otherwise) {
    return has(name) ? text(name).equals("on") : otherwise;
  }

  <E extends Enum<E>> E choice(String name, E otherwise) {
    return has(name) ? Choices.of(otherwise.getDeclaringClass(), text(name)) : otherwise;
  }

  <E extends Enum<E>> E choice(String name, Class<E> kind) {
    return Choices.of(kind, text(name));
  }

  /** A figure within limits; a percent sign or degree sign after it is no matter. */
  double figure(String name, String what, double least, double most, double otherwise) {
    if (!has(name)) {
      return otherwise;
    }
    String typed = text(name).strip();
    try {
      double d =
          new BigDecimal(typed.replaceAll("\\s*[%°×‰]$", "").replace(',', '.').replace('−', '-'))
              .doubleValue();
      if (d >= least && d <= most) {
        return d;
      }
    } catch (NumberFormatException e) {
      // told below
    }
    throw new Refusal(
        name,
        "“"
            + typed
            + "” is no "
            + what
            + ": a number from "
            + plain(least)
            + " to "
            + plain(most)
            + ".");
  }

  private static String plain(double d) {
    return BigDecimal.valueOf(d).stripTrailingZeros().toPlainString();
  }
}
