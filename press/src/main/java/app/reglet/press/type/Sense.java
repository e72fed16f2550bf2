package app.reglet.press.type;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;

/**
 * Whether a headline breaks well after a word. Common practice, no single source: an article, a
 * preposition, a conjunction goes with the word after it, and a break after a stop or a comma is
 * where a reader pauses. The words are those of English, French, German, Italian and Spanish.
 */
final class Sense {
  private static final double LEANING = 220;
  private static final double PAUSE = -80;
  private static final double COMPOUND = 150;

  private static final Set<String> LEANS_ON =
      Set.copyOf(
          Arrays.asList(
              ("a an the of in on at to by for from with and or nor but as into over under is my"
                      + " our your his her its their no der die das dem den des ein eine einer"
                      + " einem einen und oder von vom zu zum zur im am auf mit aus für bei über"
                      + " unter le la les un une du et ou à au aux en dans sur par pour avec l d el"
                      + " los las una y o del al con por para il lo gli i uno e di da nel nella sul"
                      + " sulla tra fra che que qui")
                  .split(" ")));

  private Sense() {}

  /**
   * What it costs to break after a line.
   *
   * @param line as it reads
   * @param language a BCP 47 tag, may be empty
   */
  static double ofBreakAfter(String line, String language) {
    if (line.isEmpty()) {
      return 0;
    }
    char end = line.charAt(line.length() - 1);
    if (".,;:!?…—–".indexOf(end) >= 0) {
      return PAUSE;
    }
    if (end == '-') {
      return COMPOUND;
    }
    String last = line.substring(line.lastIndexOf(' ') + 1);
    return LEANS_ON.contains(last.toLowerCase(Locale.forLanguageTag(language)).replace("'", ""))
        ? LEANING
        : 0;
  }
}
