package app.reglet.core.measure;

import app.reglet.core.Refusal;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;

/**
 * Reads lengths as people type them: {@code 152.4mm}, {@code 6"}, {@code 6 1/8 in}, {@code 49p6}
 * (picas and points), {@code 8.25in * 2 + 3 mm}, decimal comma, digits of any script.
 *
 * <p>A number without a unit takes the unit in force, except as a factor or divisor. All arithmetic
 * is on exact fractions; the result is rounded once, to {@link Length}'s quantum.
 */
final class LengthParser {
  private static final int LONGEST_INPUT = 80;

  /** What is printed must be read again: picas as pixels have fifteen decimals. */
  private static final int LONGEST_NUMBER = 28;

  private final String typed;
  private final String text;
  private final Unit unitInForce;
  private Unit unitSeen;
  private int at;

  private LengthParser(String typed, Unit unitInForce) {
    this.typed = typed;
    this.unitInForce = unitInForce;
    this.text = PlainText.of(typed);
  }

  static Length length(String typed, Unit unitInForce) {
    return new LengthParser(checked(typed), unitInForce).read();
  }

  /** The unit that was written with the length, or null when it was a bare number. */
  static Unit unitIn(String typed, Unit unitInForce) {
    LengthParser parser = new LengthParser(checked(typed), unitInForce);
    parser.read();
    return parser.unitSeen;
  }

  private static String checked(String typed) {
    if (typed == null || typed.isBlank()) {
      throw new Refusal("Nothing is typed here: give a length such as 6 in or 152.4 mm.");
    }
    if (typed.length() > LONGEST_INPUT) {
      throw new Refusal(
          "That is "
              + typed.length()
              + " characters; a length needs no more than "
              + LONGEST_INPUT
              + ".");
    }
    return typed;
  }

  private Length read() {
    Fraction value = sum();
    skipSpace();
    if (at < text.length()) {
      throw unreadable();
    }
    Fraction length = asLength(value);
    BigDecimal mm =
        new BigDecimal(length.n()).divide(new BigDecimal(length.d()), 30, RoundingMode.HALF_EVEN);
    return Length.of(mm, Unit.MM);
  }

  private Fraction sum() {
    Fraction left = product();
    while (true) {
      char c = peek();
      if (c != '+' && c != '-') {
        return left;
      }
      at++;
      Fraction right = product();
      if (left.length() != right.length()) {
        left = asLength(left);
        right = asLength(right);
      }
      left = left.add(right, c == '+' ? 1 : -1);
    }
  }

  private Fraction product() {
    Fraction left = factor();
    while (true) {
      char c = peek();
      if (c != '*' && c != '/') {
        return left;
      }
      at++;
      Fraction right = factor();
      if (c == '*') {
        if (left.length() && right.length()) {
          throw new Refusal(
              "“" + typed.strip() + "” multiplies two lengths, which makes an area, not a length.");
        }
        left =
            new Fraction(
                left.n().multiply(right.n()),
                left.d().multiply(right.d()),
                left.length() || right.length());
      } else {
        if (right.length()) {
          throw new Refusal(
              "“" + typed.strip() + "” divides by a length: divide by a plain number.");
        }
        if (right.n().signum() == 0) {
          throw new Refusal("“" + typed.strip() + "” divides by zero.");
        }
        left =
            new Fraction(left.n().multiply(right.d()), left.d().multiply(right.n()), left.length());
        if (left.d().signum() < 0) {
          left = new Fraction(left.n().negate(), left.d().negate(), left.length());
        }
      }
    }
  }

  private Fraction factor() {
    char c = peek();
    if (c == '-' || c == '+') {
      at++;
      Fraction v = factor();
      return c == '-' ? new Fraction(v.n().negate(), v.d(), v.length()) : v;
    }
    if (c == '(') {
      at++;
      Fraction v = sum();
      if (peek() != ')') {
        throw new Refusal("“" + typed.strip() + "” opens a bracket that is not closed.");
      }
      at++;
      return v;
    }
    return quantity();
  }

  private Fraction quantity() {
    Fraction number = Fraction.number(number());
    int mark = at;
    // 6 1/8 and 1/8: a whole number and a fraction of whole numbers, no unit between
    if (peek() == '/' || Character.isDigit(peek())) {
      boolean mixed = peek() != '/';
      String numerator = mixed ? wholeNumber() : null;
      if (!mixed || (numerator != null && peek() == '/')) {
        at++;
        String denominator = wholeNumber();
        if (denominator != null
            && !denominator.matches("0+")
            && peek() != '.'
            && number.d().equals(BigInteger.ONE)) {
          BigInteger d = new BigInteger(denominator);
          number =
              mixed
                  ? new Fraction(number.n().multiply(d).add(new BigInteger(numerator)), d, false)
                  : new Fraction(number.n(), d, false);
          mark = at;
        }
      }
    }
    at = mark;
    Unit unit = unit();
    if (unit == null) {
      return number;
    }
    unitSeen = unit;
    Fraction value = number.in(unit);
    if (unit == Unit.PICA && at < text.length() && Character.isDigit(text.charAt(at))) {
      value = value.add(Fraction.number(number()).in(Unit.PT), 1);
    }
    return value;
  }

  private BigDecimal number() {
    skipSpace();
    int from = at;
    while (at < text.length()
        && (Character.isDigit(text.charAt(at))
            || text.charAt(at) == '.'
            || text.charAt(at) == ',')) {
      at++;
    }
    String digits = text.substring(from, at);
    if (digits.isEmpty()) {
      throw unreadable();
    }
    if (digits.length() > LONGEST_NUMBER) {
      throw new Refusal("“" + digits + "” has more digits than a length can need.");
    }
    // a nought before the comma can only be a decimal: no group of thousands begins so
    if (digits.matches("[1-9]\\d{0,2}(,\\d{3})+")) {
      String other = digits.replace(",", "");
      throw new Refusal(
          "“"
              + digits
              + "” may mean "
              + digits.replace(',', '.')
              + " or "
              + other
              + ": write it without the comma.");
    }
    String decimal = digits.replace(',', '.');
    if (!decimal.matches("\\d+\\.?\\d*|\\.\\d+")) {
      throw unreadable();
    }
    return new BigDecimal(decimal.endsWith(".") ? decimal + "0" : decimal).stripTrailingZeros();
  }

  private String wholeNumber() {
    skipSpace();
    int from = at;
    while (at < text.length() && Character.isDigit(text.charAt(at)) && at - from < 6) {
      at++;
    }
    return at == from ? null : text.substring(from, at);
  }

  private Unit unit() {
    skipSpace();
    if (at < text.length() && text.charAt(at) == '"') {
      at++;
      return Unit.IN;
    }
    int from = at;
    while (at < text.length() && Character.isLetter(text.charAt(at))) {
      at++;
    }
    String word = text.substring(from, at);
    Unit unit =
        switch (word) {
          case "mm", "millimetre", "millimetres", "millimeter", "millimeters" -> Unit.MM;
          case "cm", "centimetre", "centimetres", "centimeter", "centimeters" -> Unit.CM;
          case "in", "inch", "inches", "ins" -> Unit.IN;
          case "pt", "pts", "point", "points" -> Unit.PT;
          case "p", "pc", "pica", "picas" -> Unit.PICA;
          case "px", "pixel", "pixels" -> pixels(word);
          case "" -> null;
          default ->
              throw new Refusal(
                  "“" + word + "” is no unit Reglet knows: use mm, cm, in, pt or p for picas.");
        };
    if (unit != null && at < text.length() && text.charAt(at) == '.') {
      at++; // "in."
    }
    return unit;
  }

  /** Pixels are a length only where a screen is measured: on paper they need a resolution. */
  private Unit pixels(String word) {
    if (unitInForce != Unit.PX) {
      throw new Refusal(
          "“"
              + word
              + "” has no length on paper without a resolution: give mm or in. Pixels measure ebook covers only.");
    }
    return Unit.PX;
  }

  private Fraction asLength(Fraction v) {
    return v.length() ? v : v.in(unitInForce);
  }

  private char peek() {
    skipSpace();
    return at < text.length() ? text.charAt(at) : '\0';
  }

  private void skipSpace() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
  }

  private Refusal unreadable() {
    return new Refusal(
        "“"
            + typed.strip()
            + "” can't be read as a length: write it as 6 in, 152.4 mm, 6 1/8 in or 49p6.");
  }
}
