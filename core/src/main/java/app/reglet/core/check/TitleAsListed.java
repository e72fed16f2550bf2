package app.reglet.core.check;

import java.util.List;
import java.util.Locale;

/**
 * Whether words of their own that are nearly the title are the title: a shop lists the docket's,
 * and readers look for what they saw. Words are nearly the title when a fifth of its letters, at
 * most, must be changed (V. I. Levenshtein, 1966).
 */
public final class TitleAsListed implements Check {
  private static final int SHORTEST = 4;
  private static final int LONGEST = 200;

  @Override
  public List<Finding> find(Subject s) {
    String title = letters(s.book().title());
    return s.words()
        .filter(w -> w.said().fact() == null && isNearly(letters(w.said().text()), title))
        .map(
            w ->
                Finding.ofPiece(
                    new OfWords.TitleOther(
                        w.name(),
                        w.said().text().strip().replaceAll("\\s+", " "),
                        s.book().title()),
                    Finding.Severity.LOOK,
                    w,
                    w.inked()))
        .toList();
  }

  private static String letters(String text) {
    return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
  }

  private static boolean isNearly(String said, String title) {
    if (said.equals(title)
        || title.length() < SHORTEST
        || Math.max(said.length(), title.length()) > LONGEST) {
      return false;
    }
    return distance(said, title) <= Math.max(1, title.length() / 5);
  }

  private static int distance(String a, String b) {
    int[] row = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      row[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int corner = row[0];
      row[0] = i;
      for (int j = 1; j <= b.length(); j++) {
        int change = corner + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
        corner = row[j];
        row[j] = Math.min(change, Math.min(row[j], row[j - 1]) + 1);
      }
    }
    return row[b.length()];
  }
}
