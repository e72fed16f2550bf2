package app.reglet.core.house.grammar;

import app.reglet.core.Refusal;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a house wants files named: words in braces stand for what is known of the file, {@code
 * {isbn}_{kind}_{date}}. Intakes sort files by such words (common practice, no single source).
 *
 * @param text the pattern
 */
public record FileNamePattern(String text) {
  /** What can stand in braces. */
  public static final List<String> WORDS =
      List.of(
          "kind", "title", "author", "isbn", "house", "binding", "trim", "pages", "date", "version",
          "number");

  private static final Pattern BRACED = Pattern.compile("\\{([^{}]*)}");
  private static final int MOST = 120;
  private static final int MOST_NAME = 160;

  /** Title, binding, kind, house, trim, pages, version, number. */
  public static final FileNamePattern USUAL =
      new FileNamePattern("{title}_{binding}_{kind}_{house}_{trim}_{pages}_r{version}_no{number}");

  public FileNamePattern {
    if (text.isBlank() || text.length() > MOST) {
      throw new Refusal("names", "A pattern of file names has 1 to " + MOST + " characters.");
    }
    Matcher m = BRACED.matcher(text);
    while (m.find()) {
      if (!WORDS.contains(m.group(1))) {
        throw new Refusal(
            "names",
            "“{"
                + m.group(1)
                + "}” stands for nothing that is known of a file: {"
                + String.join("}, {", WORDS)
                + "} do.");
      }
    }
    if (!m.replaceAll("").matches("[\\p{L}\\p{N} ._-]*")) {
      throw new Refusal(
          "names",
          "“"
              + text
              + "” has a character that file names can't have everywhere: letters, digits, spaces, . _ - and words in braces.");
    }
  }

  /**
   * A name, without its ending. What is empty leaves no doubled separator behind. A pattern without
   * number gets it at its end: the number is the edition's and the file's own, so that two files
   * that differ never have one name, whichever editions they are of.
   *
   * @param known what each of {@link #WORDS} is, as files are named; empty where it is not known
   */
  public String name(Map<String, String> known) {
    String pattern = text.contains("{number}") ? text : text + "_no{number}";
    String named =
        BRACED
            .matcher(pattern)
            .replaceAll(m -> Matcher.quoteReplacement(known.getOrDefault(m.group(1), "")));
    String tidy = named.replaceAll("([_ -])[_ -]*(?=[_ -])", "").replaceAll("^[_ .-]+", "");
    if (tidy.length() <= MOST_NAME) {
      return tidy;
    }
    // the end tells files apart
    String end = "_no" + known.getOrDefault("number", "");
    return tidy.substring(0, tidy.offsetByCodePoints(0, tidy.codePointCount(0, MOST_NAME - 20)))
        + (tidy.endsWith(end) ? end : "_no" + known.getOrDefault("number", ""));
  }
}
