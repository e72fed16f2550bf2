package app.reglet.press.type;

import java.util.List;
import java.util.Locale;

/**
 * How a stretch of text is drawn.
 *
 * @param face in which typeface
 * @param scale of its letters to the type size: drawn small capitals are smaller
 * @param features tags of OpenType features put to use
 * @param drawn what letters are drawn in the place of those that are written
 */
record Style(Typeface face, double scale, List<String> features, Drawn drawn) {
  /** Letters in the place of others. */
  enum Drawn {
    AS_WRITTEN,
    /** Capitals. */
    UPPER,
    /** Small letters, which a feature makes capitals. */
    LOWER;

    /** What is drawn for a character. */
    String of(int codePoint) {
      String written = Character.toString(codePoint);
      return switch (this) {
        case AS_WRITTEN -> written;
        case UPPER -> written.toUpperCase(Locale.ROOT);
        case LOWER -> written.toLowerCase(Locale.ROOT);
      };
    }
  }

  static Style plain(Typeface face) {
    return new Style(face, 1, List.of(), Drawn.AS_WRITTEN);
  }
}
