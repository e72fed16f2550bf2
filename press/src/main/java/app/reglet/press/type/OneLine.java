package app.reglet.press.type;

import app.reglet.core.book.Emphasised;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Words;
import java.text.Bidi;
import java.util.Locale;
import java.util.Set;

/**
 * Words in one line, whatever lines they were written in.
 *
 * @param line in ems
 * @param missing characters that the faces have no glyphs for
 * @param lacks what the family lacks for these words
 * @param at as {@link SetWords.PlacedLine} has it
 */
public record OneLine(SetLine line, String missing, Set<Laid.Lack> lacks, int[] at) {
  /**
   * Sets words.
   *
   * @param language by whose rules letters become capitals, a BCP 47 tag
   */
  public static OneLine of(Words words, Emphasised text, Typefaces faces, String language) {
    Emphasised flat =
        new Emphasised(text.text().replaceAll("\\s", " "), text.stretches(), text.source());
    Lettering lettering = new Lettering(words.type(), flat, faces, Locale.forLanguageTag(language));
    String all = lettering.text();
    int end = all.stripTrailing().length();
    int start = Math.min(end, all.length() - all.stripLeading().length());
    String line = all.substring(start, end);
    boolean leftwards = !new Bidi(line, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight();
    return new OneLine(
        Shaping.line(
            line,
            lettering.styles().subList(start, end),
            words.type().tracking() / 1000.0,
            leftwards),
        lettering.missing(),
        lettering.lacks(),
        lettering.origins(start, end, 0));
  }
}
