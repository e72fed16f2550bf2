package app.reglet.core.book;

import app.reglet.core.Refusal;

/**
 * An ISBN-13.
 *
 * <p>Check digit: weights 1 and 3 in turn, modulo 10 (ISO 2108; the GS1 General Specifications give
 * the same sum for every EAN-13). An ISBN-10 (weights 10 to 1, modulo 11, X for 10) converts by the
 * prefix 978 and a new check digit.
 *
 * @param digits thirteen ASCII digits with a right check digit
 */
public record Isbn(String digits) {
  public Isbn {
    if (!digits.matches("97[89]\\d{10}") || checkDigit13(digits) != digits.charAt(12)) {
      throw new IllegalArgumentException(digits + " is no ISBN-13");
    }
  }

  /**
   * Reads an ISBN-13 or ISBN-10, with or without hyphens and spaces.
   *
   * @throws Refusal naming the check digit that would be right, or what is missing
   */
  public static Isbn parse(String typed) {
    String text = typed.strip();
    StringBuilder kept = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              if (Character.isDigit(c)) {
                kept.append(Character.digit(c, 10));
              } else if (c == 'x' || c == 'X') {
                kept.append('X');
              } else if (!Character.isWhitespace(c)
                  && Character.getType(c) != Character.DASH_PUNCTUATION) {
                kept.append('?');
              }
            });
    String bare = kept.toString();
    if (bare.length() > 40) {
      throw new Refusal("That is " + bare.length() + " characters; an ISBN has 13 digits.");
    }
    if (bare.matches("\\d{9}[\\dX]")) {
      char right = checkDigit10(bare);
      if (bare.charAt(9) != right) {
        throw wrongCheck(text, bare.charAt(9), right);
      }
      String stem = "978" + bare.substring(0, 9);
      return new Isbn(stem + checkDigit13(stem));
    }
    if (bare.matches("\\d{13}")) {
      if (!bare.startsWith("978") && !bare.startsWith("979")) {
        throw new Refusal(
            "“"
                + text
                + "” starts with "
                + bare.substring(0, 3)
                + "; an ISBN starts with 978 or 979.");
      }
      char right = checkDigit13(bare);
      if (bare.charAt(12) != right) {
        throw wrongCheck(text, bare.charAt(12), right);
      }
      return new Isbn(bare);
    }
    if (bare.matches("97[89]\\d{9}")) {
      throw new Refusal(
          "“"
              + text
              + "” has 12 digits; with its check digit the ISBN would be "
              + bare
              + checkDigit13(bare)
              + ".");
    }
    throw new Refusal(
        "“"
            + text
            + "” has "
            + bare.length()
            + " characters; an ISBN has 13 digits, or 10 in its older form.");
  }

  private static Refusal wrongCheck(String text, char found, char right) {
    return new Refusal(
        "“"
            + text
            + "” ends in "
            + found
            + ", but its check digit should be "
            + right
            + ": one of the digits is mistyped, or the last should be "
            + right
            + ".");
  }

  static char checkDigit13(String digits) {
    int sum = 0;
    for (int i = 0; i < 12; i++) {
      sum += (digits.charAt(i) - '0') * (i % 2 == 0 ? 1 : 3);
    }
    return (char) ('0' + (10 - sum % 10) % 10);
  }

  static char checkDigit10(String digits) {
    int sum = 0;
    for (int i = 0; i < 9; i++) {
      sum += (digits.charAt(i) - '0') * (10 - i);
    }
    int check = (11 - sum % 11) % 11;
    return check == 10 ? 'X' : (char) ('0' + check);
  }

  /** Grouped for reading by the agency's ranges: {@code 978-0-306-40615-7}. */
  public String print() {
    return IsbnRanges.shipped().hyphenated(this);
  }
}
