package app.reglet.press.type;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The scripts that a face has letters for, by their English names. A script is there when all of a
 * few of its most common letters are (the letters are our own choice from The Unicode Standard's
 * charts).
 */
public final class Scripts {
  private static final Map<String, String> LETTERS = new LinkedHashMap<>();

  static {
    LETTERS.put("latin", "AEIOaeionst");
    LETTERS.put(
        "greek", "\u0391\u0395\u039f\u03b1\u03b5\u03b9\u03bf\u03c2\u03c3\u03c9\u03ac\u03ae");
    LETTERS.put("cyrillic", "\u0410\u0416\u042f\u0430\u0436\u0438\u0439\u0448\u044b\u044f");
    LETTERS.put("hebrew", "\u05d0\u05d1\u05d4\u05d5\u05dc\u05de\u05dd\u05e9\u05ea");
    LETTERS.put("arabic", "\u0627\u0628\u062a\u0644\u0645\u0646\u064a");
    LETTERS.put("armenian", "\u0531\u0561\u0565\u0576\u0580");
    LETTERS.put("georgian", "\u10d0\u10d4\u10d8\u10dc\u10e0");
    LETTERS.put("devanagari", "\u0905\u0915\u0924\u0928\u0930\u093e\u0940");
    LETTERS.put("thai", "\u0e01\u0e19\u0e32\u0e23\u0e35");
    LETTERS.put("vietnamese", "\u0111\u01a1\u01b0\u1ea1\u1ebf\u1ed9\u1ef1");
  }

  /** What is known of faces that were asked for; a face never changes. */
  private static final Map<String, List<String>> KNOWN = new ConcurrentHashMap<>();

  private Scripts() {}

  /** Names of the scripts of a face, and {@code vietnamese} for Latin with its many accents. */
  public static List<String> of(Typeface face) {
    return KNOWN.computeIfAbsent(
        face.id(),
        id ->
            LETTERS.entrySet().stream()
                .filter(e -> face.missing(e.getValue()).isEmpty())
                .map(Map.Entry::getKey)
                .toList());
  }
}
