package app.reglet.press.pdf;

import app.reglet.press.art.Mark;
import java.io.IOException;
import java.util.Arrays;

/**
 * What the glyphs of a run say where the font's own table doesn't: a glyph that stands for several
 * letters, a small capital, a hyphen that only the end of a line shows (U+00AD; ISO 32000-1,
 * 14.8.2.2.3), and every glyph of a line that reads from the right, where a letter has other forms
 * at other places. Neighbours that stand for the same characters are a cluster: a letter with its
 * marks.
 */
final class Clusters {
  /** A glyph's width. */
  interface Width {
    double of(int index) throws IOException;
  }

  private Clusters() {}

  /** For each glyph its words, empty where a neighbour says them, null where the font does. */
  static String[] said(Mark.Glyphs g, Width width) throws IOException {
    int[] chars = g.chars();
    int[] starts = Arrays.stream(chars).sorted().distinct().toArray();
    boolean rightwards = Arrays.equals(chars, Arrays.stream(chars).sorted().toArray());
    String[] said = new String[chars.length];
    for (int from = 0, to; from < chars.length; from = to) {
      to = from + 1;
      while (to < chars.length && chars[to] == chars[from]) {
        to++;
      }
      int next = Arrays.binarySearch(starts, chars[from]) + 1;
      int end = next < starts.length ? starts[next] : g.text().length();
      String text = g.text().substring(chars[from], end);
      if (rightwards) {
        if (to == from + 1 && !g.face().says(g.glyphs()[from], text)) {
          said[from] = text;
        }
      } else {
        Arrays.fill(said, from, to, "");
        said[widest(from, to, width)] = text;
      }
    }
    return said;
  }

  private static int widest(int from, int to, Width width) throws IOException {
    int widest = from;
    for (int i = from; i < to; i++) {
      if (width.of(i) > width.of(widest)) {
        widest = i;
      }
    }
    return widest;
  }
}
