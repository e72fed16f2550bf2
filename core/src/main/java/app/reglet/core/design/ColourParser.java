package app.reglet.core.design;

import app.reglet.core.Refusal;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads colours as people type them. */
final class ColourParser {
  private static final String FIGURE = "(\\d{1,3}(?:[.]\\d{1,6})?)\\s*%?";
  private static final String SEP = "\\s*[,;/\\s]\\s*";
  private static final Pattern HEX = Pattern.compile("#?([0-9a-f]{3}|[0-9a-f]{6})");
  private static final Pattern RGB =
      Pattern.compile("rgb\\s*\\(?\\s*" + three("(\\d{1,3})") + "\\s*\\)?");
  private static final Pattern CMYK =
      Pattern.compile("(?:cmyk\\s*)?\\(?\\s*" + three(FIGURE) + SEP + FIGURE + "\\s*\\)?");
  private static final Pattern LETTERS =
      Pattern.compile(
          "c\\s*"
              + FIGURE
              + "[,;/\\s]*m\\s*"
              + FIGURE
              + "[,;/\\s]*y\\s*"
              + FIGURE
              + "[,;/\\s]*k\\s*"
              + FIGURE);
  private static final Pattern GRAY =
      Pattern.compile("(?:gr[ae]y|k)\\s*\\(?\\s*" + FIGURE + "\\s*\\)?");
  private static final Pattern SWATCH =
      Pattern.compile("swatch\\s*\\(\\s*([^()#]+?)\\s*\\)", Pattern.CASE_INSENSITIVE);

  private static final Pattern SPOT =
      Pattern.compile(
          "spot\\s*\\(\\s*([^(),#]+?)\\s*,\\s*"
              + three(FIGURE)
              + SEP
              + FIGURE
              + "(?:"
              + SEP
              + FIGURE
              + ")?\\s*\\)",
          Pattern.CASE_INSENSITIVE);

  private ColourParser() {}

  private static String three(String figure) {
    return figure + SEP + figure + SEP + figure;
  }

  static Colour parse(String typed) {
    String bare = typed == null ? "" : typed.strip();
    Matcher swatch = SWATCH.matcher(bare);
    if (swatch.matches()) {
      return new Colour.Swatch(swatch.group(1));
    }
    Matcher spot = SPOT.matcher(bare);
    if (spot.matches()) {
      return new Colour.Spot(
          spot.group(1),
          new Colour.Cmyk(figure(spot, 2), figure(spot, 3), figure(spot, 4), figure(spot, 5)),
          spot.group(6) == null ? 100 : figure(spot, 6));
    }
    String text = bare.toLowerCase(Locale.ROOT);
    Matcher m = HEX.matcher(text);
    if (m.matches()) {
      String hex = m.group(1);
      return new Colour.Rgb(
          Integer.parseInt(hex.length() == 3 ? hex.replaceAll("(.)", "$1$1") : hex, 16));
    }
    m = RGB.matcher(text);
    if (m.matches()) {
      return new Colour.Rgb(channel(m, 1) << 16 | channel(m, 2) << 8 | channel(m, 3));
    }
    m = LETTERS.matcher(text).matches() ? LETTERS.matcher(text) : CMYK.matcher(text);
    if (m.matches()) {
      return new Colour.Cmyk(figure(m, 1), figure(m, 2), figure(m, 3), figure(m, 4));
    }
    m = GRAY.matcher(text);
    if (m.matches()) {
      return new Colour.Gray(figure(m, 1));
    }
    throw new Refusal(
        "“"
            + shortened(bare)
            + "” is no colour: write # and six digits from 0 to f such as #2b3f4a, rgb(43, 63, 74), four percentages of ink such as cmyk(60, 40, 40, 100), gray(50), or an ink of its own such as spot(Sea green, 80, 10, 45, 0).");
  }

  private static String shortened(String typed) {
    return typed.length() > 60 ? typed.substring(0, 60) + "…" : typed;
  }

  private static int channel(Matcher m, int group) {
    int value = Integer.parseInt(m.group(group));
    if (value > 255) {
      throw new Refusal("A channel of sRGB is from 0 to 255; this would be " + value + ".");
    }
    return value;
  }

  private static double figure(Matcher m, int group) {
    return Double.parseDouble(m.group(group));
  }

  /** A figure without trailing zeros, {@code 12.5}. */
  static String plain(double figure) {
    return BigDecimal.valueOf(figure).stripTrailingZeros().toPlainString();
  }
}
