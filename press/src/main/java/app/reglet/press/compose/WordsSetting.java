package app.reglet.press.compose;

import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import app.reglet.press.type.Hull;
import app.reglet.press.type.SetWords;
import app.reglet.press.type.Setter;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/**
 * Words set in their box.
 *
 * @param marks the lines
 * @param set how they came out
 * @param ink what their lines cover
 */
record WordsSetting(List<Mark> marks, SetWords set, Outline ink) {
  /**
   * Sets words.
   *
   * @param toSheet from the words' coordinates to the sheet, for the ink
   */
  static WordsSetting of(
      Words words,
      String text,
      Typeface face,
      Rect box,
      Fill fill,
      Pen outline,
      AffineTransform toSheet) {
    boolean level = words.direction() == Words.Direction.LEVEL;
    SetWords set =
        Setter.set(
            words,
            text,
            face,
            level ? box.width() : box.height(),
            level ? box.height() : box.width());
    AffineTransform direction = direction(words.direction(), box);
    List<Mark> marks = new ArrayList<>();
    List<List<Point>> ink = new ArrayList<>();
    for (SetWords.PlacedLine placed : set.lines()) {
      AffineTransform place = new AffineTransform(direction);
      place.translate(placed.x(), placed.baseline());
      ShapedLine line = placed.line();
      marks.add(
          new Mark.Glyphs(
              face,
              set.size(),
              line.glyphs(),
              line.x(set.size()),
              line.y(set.size()),
              line.chars(),
              place,
              fill,
              outline,
              line.text()));
      AffineTransform there = new AffineTransform(toSheet);
      there.concatenate(place);
      line(hull(line, face), set.size(), there, ink);
    }
    return new WordsSetting(marks, set, new Outline(ink));
  }

  /** The hull of a line's ink in ems, x and y in turn: its bounds are the ink's, however turned. */
  private static double[] hull(ShapedLine line, Typeface face) {
    List<double[]> points = new ArrayList<>();
    for (int i = 0; i < line.glyphs().length; i++) {
      double[] glyph = face.hull(line.glyphs()[i]);
      for (int p = 0; p < glyph.length; p += 2) {
        points.add(new double[] {glyph[p] + line.x()[i], glyph[p + 1] + line.y()[i]});
      }
    }
    return Hull.of(points);
  }

  private static void line(
      double[] hull, double size, AffineTransform there, List<List<Point>> ink) {
    if (hull.length < 6) {
      return;
    }
    AffineTransform t = new AffineTransform(there);
    t.scale(size, size);
    double[] at = new double[hull.length];
    t.transform(hull, 0, at, 0, hull.length / 2);
    List<Point> points = new ArrayList<>(hull.length / 2);
    for (int i = 0; i < at.length; i += 2) {
      points.add(new Point(Length.nearMm(at[i]), Length.nearMm(at[i + 1])));
    }
    ink.add(points);
  }

  /** From the words' own box, in which lines run level, to the one they are in. */
  private static AffineTransform direction(Words.Direction direction, Rect box) {
    return switch (direction) {
      case LEVEL -> AffineTransform.getTranslateInstance(box.x(), box.y());
      case DOWN -> new AffineTransform(0, 1, -1, 0, box.right(), box.y());
      case UP -> new AffineTransform(0, -1, 1, 0, box.x(), box.bottom());
    };
  }
}
