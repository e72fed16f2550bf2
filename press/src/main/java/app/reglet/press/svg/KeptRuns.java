package app.reglet.press.svg;

import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The runs of glyphs that a page shows already of a piece: those that are drawn alike, wherever
 * they stand, need not be sent again.
 */
final class KeptRuns {
  static final KeptRuns NONE = new KeptRuns(List.of());

  private final Map<String, List<Integer>> byText = new HashMap<>();
  private final List<Mark.Glyphs> runs = new ArrayList<>();

  private KeptRuns(List<Mark> marks) {
    marks.forEach(this::add);
  }

  /** Those of a piece, in the order in which its SVG names them. */
  static KeptRuns of(Mark.Group piece) {
    return new KeptRuns(piece.marks());
  }

  private void add(Mark mark) {
    if (mark instanceof Mark.Group g) {
      g.marks().forEach(this::add);
    } else if (mark instanceof Mark.Glyphs g) {
      byText.computeIfAbsent(g.text(), t -> new ArrayList<>()).add(runs.size());
      runs.add(g);
    }
  }

  /** The number of a run that is drawn alike, each given once; −1 for none. */
  int take(Mark.Glyphs g) {
    List<Integer> alike = byText.getOrDefault(g.text(), List.of());
    for (int i = 0; i < alike.size(); i++) {
      if (isAlike(runs.get(alike.get(i)), g)) {
        return alike.remove(i);
      }
    }
    return -1;
  }

  private static boolean isAlike(Mark.Glyphs a, Mark.Glyphs b) {
    return a.fill() instanceof Fill.Flat
        && a.fill().equals(b.fill())
        && a.outline() == null
        && b.outline() == null
        && a.face().id().equals(b.face().id())
        && a.size() == b.size()
        && Arrays.equals(a.glyphs(), b.glyphs())
        && Arrays.equals(a.x(), b.x())
        && Arrays.equals(a.y(), b.y())
        && Arrays.equals(a.turns(), b.turns());
  }
}
