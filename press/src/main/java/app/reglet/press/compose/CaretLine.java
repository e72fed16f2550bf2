package app.reglet.press.compose;

import app.reglet.press.art.Mark;
import app.reglet.press.type.SetWords;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/**
 * A line of words on the sheet as a caret goes along it.
 *
 * @param place from the line's coordinates, mm, origin at the start of its baseline, to the
 *     sheet's: the six figures of a matrix
 * @param up from the baseline to the caret's top
 * @param down from the baseline to its foot
 * @param at the places in what is written, in the order it is read
 * @param x where each of them is along the line
 */
public record CaretLine(double[] place, double up, double down, int[] at, double[] x) {
  /**
   * The lines of words.
   *
   * @param set as they came out
   * @param direction from the words' coordinates to those of their box
   * @param toSheet from there to the sheet
   * @param source where each character of the words stands in what is written
   */
  static List<CaretLine> straight(
      SetWords set,
      Typeface face,
      AffineTransform direction,
      AffineTransform toSheet,
      List<Integer> source) {
    List<CaretLine> lines = new ArrayList<>();
    for (SetWords.PlacedLine l : set.lines()) {
      AffineTransform t = new AffineTransform(toSheet);
      t.concatenate(direction);
      t.translate(l.x(), l.baseline());
      double[] stops = l.line().stops();
      int[] at = new int[l.at().length];
      double[] x = new double[at.length];
      for (int i = 0; i < at.length; i++) {
        at[i] = source.get(l.at()[i]);
        x[i] = stops[Math.min(i, stops.length - 1)] * l.size();
      }
      lines.add(line(t, face, l.size(), at, x));
    }
    return lines;
  }

  /** On a curve each letter is a line of its own. */
  static List<CaretLine> curved(
      SetWords set,
      List<Mark> marks,
      Typeface face,
      AffineTransform toSheet,
      List<Integer> source) {
    List<CaretLine> lines = new ArrayList<>();
    if (set.lines().isEmpty()) {
      return lines;
    }
    SetWords.PlacedLine line = set.lines().get(0);
    for (int p = 0; p < marks.size(); p++) {
      Mark.Glyphs g = (Mark.Glyphs) marks.get(p);
      int from = line.line().parts().get(p).from();
      for (int i = 0; i < g.glyphs().length; i++) {
        int c = from + g.chars()[i];
        AffineTransform t = new AffineTransform(toSheet);
        t.concatenate(g.place());
        t.concatenate(g.glyph(i));
        t.scale(1 / g.size(), 1 / g.size());
        int[] at = {source.get(line.at()[c]), source.get(line.at()[c + 1])};
        double[] x = {0, g.face().advance(g.glyphs()[i]) * g.size()};
        lines.add(line(t, face, g.size(), at, x));
      }
    }
    return lines;
  }

  private static CaretLine line(
      AffineTransform t, Typeface face, double size, int[] at, double[] x) {
    double[] place = new double[6];
    t.getMatrix(place);
    return new CaretLine(place, face.ascent() * size, face.descent() * size, at, x);
  }
}
