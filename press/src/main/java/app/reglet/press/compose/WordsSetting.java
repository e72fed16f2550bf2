package app.reglet.press.compose;

import app.reglet.core.book.Emphasised;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import app.reglet.press.type.LineHull;
import app.reglet.press.type.SetLine;
import app.reglet.press.type.SetWords;
import app.reglet.press.type.Setter;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Words set in their box.
 *
 * @param marks the lines
 * @param set how they came out
 * @param ink what their lines cover
 * @param extent what they take in their box's coordinates, for a panel behind them
 */
record WordsSetting(List<Mark> marks, SetWords set, Outline ink, Shape extent) {
  /**
   * Sets words.
   *
   * @param toSheet from the words' coordinates to the sheet, for the ink
   */
  static WordsSetting of(
      Words words,
      Emphasised text,
      Typefaces faces,
      String language,
      Rect box,
      Fill fill,
      Pen outline,
      AffineTransform toSheet) {
    if (words.curve() != null) {
      return curved(words, text, faces, language, box, fill, outline, toSheet);
    }
    boolean level = words.setting().direction() == Setting.Direction.LEVEL;
    SetWords set =
        Setter.set(
            words,
            text,
            faces,
            language,
            level ? box.width() : box.height(),
            level ? box.height() : box.width());
    AffineTransform direction = direction(words.setting().direction(), box);
    List<Mark> marks = new ArrayList<>();
    List<List<Point>> ink = new ArrayList<>();
    for (SetWords.PlacedLine placed : set.lines()) {
      AffineTransform place = new AffineTransform(direction);
      place.translate(placed.x(), placed.baseline());
      for (SetLine.Part part : placed.line().parts()) {
        marks.add(glyphs(part, placed.size(), place, fill, outline));
      }
      AffineTransform there = new AffineTransform(toSheet);
      there.concatenate(place);
      line(LineHull.of(placed.line(), placed.size()), placed.size(), there, ink);
    }
    return new WordsSetting(
        marks, set, new Outline(ink), direction.createTransformedShape(extent(words, set, faces)));
  }

  /**
   * The lines as a caret goes along them.
   *
   * @param box the words'
   * @param toSheet from there to the sheet
   * @param source where each character stands in what is written
   */
  List<CaretLine> carets(
      Words words, Typeface face, Rect box, AffineTransform toSheet, List<Integer> source) {
    return words.curve() != null
        ? CaretLine.curved(set, marks, face, toSheet, source)
        : CaretLine.straight(
            set, face, direction(words.setting().direction(), box), toSheet, source);
  }

  /** What lines take, from the first one's ascenders to the last one's descenders. */
  private static Rectangle2D extent(Words words, SetWords set, Typefaces faces) {
    Typeface face = faces.orStandIn(words.type().face());
    Rectangle2D all = new Rectangle2D.Double();
    for (SetWords.PlacedLine l : set.lines()) {
      boolean capitals = words.type().letters().areCapitals();
      double over = l.size() * (capitals ? face.capHeight() : face.ascent());
      double under = capitals ? 0 : l.size() * face.descent();
      Rectangle2D line =
          new Rectangle2D.Double(
              l.x(), l.baseline() - over, l.line().advance() * l.size(), over + under);
      all = all.isEmpty() ? line : all.createUnion(line);
    }
    return all;
  }

  private static WordsSetting curved(
      Words words,
      Emphasised text,
      Typefaces faces,
      String language,
      Rect box,
      Fill fill,
      Pen outline,
      AffineTransform toSheet) {
    CurvedWords curved = new CurvedWords(words, text, faces, language, box);
    SetWords set = curved.set();
    List<Mark> marks = curved.marks(set.size(), fill, outline);
    List<List<Point>> ink = new ArrayList<>();
    for (Mark mark : marks) {
      Mark.Glyphs g = (Mark.Glyphs) mark;
      for (int i = 0; i < g.glyphs().length; i++) {
        AffineTransform there = new AffineTransform(toSheet);
        there.concatenate(g.glyph(i));
        line(g.face().hull(g.glyphs()[i], g.size()), 1, there, ink);
      }
    }
    return new WordsSetting(marks, set, new Outline(ink), letters(marks).getBounds2D());
  }

  /** The outlines of letters as one path. */
  static Shape letters(List<Mark> marks) {
    Path2D letters = new Path2D.Double();
    for (Mark mark : marks) {
      Mark.Glyphs g = (Mark.Glyphs) mark;
      for (int i = 0; i < g.glyphs().length; i++) {
        AffineTransform there = new AffineTransform(g.place());
        there.concatenate(g.glyph(i));
        letters.append(there.createTransformedShape(g.face().outline(g.glyphs()[i])), false);
      }
    }
    return letters;
  }

  private static Mark.Glyphs glyphs(
      SetLine.Part part, double size, AffineTransform line, Fill fill, Pen outline) {
    AffineTransform place = new AffineTransform(line);
    place.translate(part.x() * size, 0);
    double own = size * part.scale();
    ShapedLine run = part.line();
    return new Mark.Glyphs(
        part.face(),
        own,
        run.glyphs(),
        run.x(own),
        run.y(own),
        Mark.Glyphs.UPRIGHT,
        run.chars(),
        place,
        fill,
        outline,
        run.text());
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
  private static AffineTransform direction(Setting.Direction direction, Rect box) {
    return switch (direction) {
      case LEVEL -> AffineTransform.getTranslateInstance(box.x(), box.y());
      case DOWN -> new AffineTransform(0, 1, -1, 0, box.right(), box.y());
      case UP -> new AffineTransform(0, -1, 1, 0, box.x(), box.bottom());
    };
  }
}
