package app.reglet.press.type;

import java.text.Bidi;
import java.util.Arrays;
import java.util.TreeMap;

/** Where a caret stands before each character of a line, and after the last. */
final class Stops {
  private Stops() {}

  /** A cluster of letters as it is seen. */
  private record Cluster(double left, double right) {}

  /**
   * The places along a line, in ems. Letters of a ligature share its width; before a letter that
   * reads from the right the caret stands on its right.
   */
  static double[] of(SetLine line) {
    String text = line.text();
    double[] stops = new double[text.length() + 1];
    Arrays.fill(stops, Double.NaN);
    TreeMap<Integer, Cluster> clusters = clusters(line);
    Bidi bidi = new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    for (var e : clusters.entrySet()) {
      int from = e.getKey();
      Integer next = clusters.higherKey(from);
      int to = next == null ? text.length() : next;
      boolean leftwards = bidi.getLevelAt(from) % 2 == 1;
      for (int i = from; i <= to; i++) {
        double share = (double) (i - from) / (to - from);
        double width = e.getValue().right() - e.getValue().left();
        double at =
            leftwards ? e.getValue().right() - share * width : e.getValue().left() + share * width;
        if (i < to || to == text.length()) {
          stops[i] = at;
        }
      }
    }
    for (int i = 0; i < stops.length; i++) {
      if (Double.isNaN(stops[i])) {
        stops[i] = i == 0 ? 0 : stops[i - 1];
      }
    }
    return stops;
  }

  private static TreeMap<Integer, Cluster> clusters(SetLine line) {
    TreeMap<Integer, Cluster> clusters = new TreeMap<>();
    for (int p = 0; p < line.parts().size(); p++) {
      SetLine.Part part = line.parts().get(p);
      ShapedLine run = part.line();
      double end = p + 1 < line.parts().size() ? line.parts().get(p + 1).x() : line.advance();
      int n = run.glyphs().length;
      for (int i = 0, next; i < n; i = next) {
        next = i + 1;
        while (next < n && run.chars()[next] == run.chars()[i]) {
          next++;
        }
        double left = part.x() + run.x()[i] * part.scale();
        double right = next < n ? part.x() + run.x()[next] * part.scale() : end;
        clusters.put(part.from() + run.chars()[i], new Cluster(left, Math.max(left, right)));
      }
    }
    return clusters;
  }
}
