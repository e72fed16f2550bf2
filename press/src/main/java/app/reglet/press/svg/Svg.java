package app.reglet.press.svg;

import java.util.Locale;

/** Writes SVG text: elements, attributes, numbers. */
final class Svg {
  private final StringBuilder out = new StringBuilder();

  Svg raw(String text) {
    out.append(text);
    return this;
  }

  /** Opens an element: names and values in turn; a null value leaves the attribute out. */
  Svg open(String element, Object... attributes) {
    start(element, attributes);
    out.append('>');
    return this;
  }

  /** An element without content. */
  Svg empty(String element, Object... attributes) {
    start(element, attributes);
    out.append("/>");
    return this;
  }

  Svg close(String element) {
    out.append("</").append(element).append('>');
    return this;
  }

  /** An element with text in it. */
  Svg text(String element, String text, Object... attributes) {
    open(element, attributes);
    out.append(escape(text));
    return close(element);
  }

  private void start(String element, Object... attributes) {
    out.append('<').append(element);
    for (int i = 0; i < attributes.length; i += 2) {
      Object value = attributes[i + 1];
      if (value != null) {
        out.append(' ').append(attributes[i]).append("=\"");
        out.append(value instanceof Double d ? number(d) : escape(value.toString())).append('"');
      }
    }
  }

  /** A number with at most four decimals: a tenth of a micrometre. */
  static String number(double value) {
    if (!Double.isFinite(value)) {
      throw new IllegalArgumentException("not a number: " + value);
    }
    String text = String.format(Locale.ROOT, "%.4f", value);
    int end = text.length();
    while (text.charAt(end - 1) == '0') {
      end--;
    }
    if (text.charAt(end - 1) == '.') {
      end--;
    }
    String shortened = text.substring(0, end);
    return shortened.equals("-0") ? "0" : shortened;
  }

  /** Whether it stands for itself: numbers and letters of paths do, and they are long. */
  private static boolean isPlain(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c < ' ' || c > '~' || c == '&' || c == '<' || c == '>' || c == '"') {
        return false;
      }
    }
    return true;
  }

  static String escape(String text) {
    if (isPlain(text)) {
      return text;
    }
    StringBuilder safe = new StringBuilder(text.length());
    text.codePoints()
        .forEach(
            c -> {
              switch (c) {
                case '&' -> safe.append("&amp;");
                case '<' -> safe.append("&lt;");
                case '>' -> safe.append("&gt;");
                case '"' -> safe.append("&quot;");
                default -> {
                  boolean allowed =
                      c >= 0x20 && c != 0xfffe && c != 0xffff
                          || c == '\t'
                          || c == '\n'
                          || c == '\r';
                  safe.appendCodePoint(allowed ? c : ' ');
                }
              }
            });
    return safe.toString();
  }

  @Override
  public String toString() {
    return out.toString();
  }
}
