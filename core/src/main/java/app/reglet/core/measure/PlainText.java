package app.reglet.core.measure;

import java.text.Normalizer;
import java.util.Locale;

/** Figures as people type them, in the letters that parsers read. */
final class PlainText {
  private PlainText() {}

  /** One script of digits, one kind of quotes and spaces, fractions as n/d. */
  static String of(String typed) {
    StringBuilder out = new StringBuilder();
    typed
        .codePoints()
        .forEach(
            c -> {
              if (c > 127 && Character.isDigit(c)) {
                out.append(Character.digit(c, 10));
              } else if (c > 127 && Character.getType(c) == Character.OTHER_NUMBER) {
                out.append(' ')
                    .append(
                        Normalizer.normalize(Character.toString(c), Normalizer.Form.NFKC)
                            .replace('⁄', '/'));
              } else {
                out.appendCodePoint(c);
              }
            });
    return out.toString()
        .replace('⁄', '/')
        .replace('″', '"')
        .replace('”', '"')
        .replace('“', '"')
        .replace("''", "\"")
        .replace('×', '*')
        .replace('·', '*')
        .replace('÷', '/')
        .replace('−', '-')
        .replace('\u00a0', ' ')
        .replace('\u202f', ' ')
        .replace('\u2009', ' ')
        .toLowerCase(Locale.ROOT);
  }
}
