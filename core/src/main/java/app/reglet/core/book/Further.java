package app.reglet.core.book;

import app.reglet.core.Refusal;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a book says of itself beyond what every book does. Absent texts are empty strings.
 *
 * @param series it belongs to
 * @param number in the series, {@code 3} or {@code Book three}
 * @param quote what somebody said of it, with who did
 * @param about the author
 * @param edition {@code Second edition}
 * @param date of publication as printed
 * @param language a BCP 47 tag
 * @param own facts of the publisher's own, by their names in small letters
 */
public record Further(
    String series,
    String number,
    String quote,
    String about,
    String edition,
    String date,
    String language,
    Map<String, String> own) {
  /** Nothing of it. */
  public static final Further NONE = new Further("", "", "", "", "", "", "", Map.of());

  private static final Pattern LINE = Pattern.compile("(\\p{L}[\\p{L} ]{0,40}?)\\s*:(.*)");

  /**
   * Reads facts of the publisher's own.
   *
   * @param typed one on a line, {@code translator: Ines Roe}; empty lines are passed over
   * @throws Refusal naming the line that is none
   */
  public static Map<String, String> own(String typed) {
    Map<String, String> own = new LinkedHashMap<>();
    int number = 0;
    for (String line : typed.split("\\R", -1)) {
      number++;
      if (line.isBlank()) {
        continue;
      }
      Matcher m = LINE.matcher(line.strip());
      if (!m.matches()) {
        throw new Refusal(
            "ownFacts",
            "Line "
                + number
                + ", “"
                + (line.length() > 60 ? line.substring(0, 60) + "…" : line)
                + "”, is no fact: a name of letters, a colon, and what it says.");
      }
      String name = m.group(1).toLowerCase(Locale.ROOT);
      if (Fact.named(name).isPresent() || name.equals(Book.CREDITS) || own.containsKey(name)) {
        throw new Refusal(
            "ownFacts",
            "Line " + number + " says “" + name + "” again: every fact has one name of its own.");
      }
      own.put(name, m.group(2).strip());
    }
    return Map.copyOf(own);
  }
}
