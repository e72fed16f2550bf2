package app.reglet.press.compose;

import app.reglet.core.book.Emphasised;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import app.reglet.press.type.OneLine;
import app.reglet.press.type.SetLine;
import app.reglet.press.type.SetWords;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.TypeSizes;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Words in one line on a curve: each letter stands upright on the curve where its middle is, as far
 * along it as the straight line had it.
 */
final class CurvedWords {
  private static final double HAIR = 1e-6;

  private final Words words;
  private final OneLine line;
  private final Typeface face;
  private final Rect box;

  CurvedWords(Words words, Emphasised text, Typefaces faces, String language, Rect box) {
    this.words = words;
    this.line = OneLine.of(words, text, faces, language);
    this.face = faces.orStandIn(words.type().face());
    this.box = box;
  }

  private Track track(double size) {
    boolean capitals = words.type().letters().areCapitals();
    return Track.of(
        words.curve(),
        box,
        size * (capitals ? face.capHeight() : face.ascent()),
        capitals ? 0 : size * face.descent());
  }

  /** The size it comes out at: the words take no more of the line than there is room. */
  private double size() {
    double most = words.type().size().toMm();
    return switch (words.type().fit()) {
      case SIZE -> most;
      case AT_MOST -> TypeSizes.largest(most, this::hasRoom);
      case LARGEST, WIDTH -> TypeSizes.largest(TypeSizes.LARGEST, this::hasRoom);
    };
  }

  private boolean hasRoom(double size) {
    return line.line().advance() * size <= track(size).length() + HAIR;
  }

  /** How they came out; its lines are those of the straight line. */
  SetWords set() {
    double size = size();
    double room = words.type().fit() == Type.Fit.SIZE ? track(size).whole() : track(size).length();
    return new SetWords(
        size,
        line.line().text().isEmpty()
            ? List.of()
            : List.of(new SetWords.PlacedLine(line.line(), size, 0, 0, line.at())),
        line.line().advance() * size > room + HAIR,
        line.missing(),
        line.lacks());
  }

  /** The letters in the coordinates of the box. */
  List<Mark> marks(double size, Fill fill, Pen outline) {
    Track track = track(size);
    double start = start(track, size);
    List<Mark> marks = new ArrayList<>();
    for (SetLine.Part part : line.line().parts()) {
      marks.add(marks(part, size, start, track, fill, outline));
    }
    return marks;
  }

  private double start(Track track, double size) {
    double left = track.length() - line.line().advance() * size;
    return words.setting().align() == Setting.Align.LEFT
        ? 0
        : words.setting().align() == Setting.Align.RIGHT ? left : left / 2;
  }

  private static Mark marks(
      SetLine.Part part, double size, double start, Track track, Fill fill, Pen outline) {
    ShapedLine run = part.line();
    double own = size * part.scale();
    int n = run.glyphs().length;
    double[] x = new double[n];
    double[] y = new double[n];
    double[] turns = new double[n];
    AffineTransform at = new AffineTransform();
    double middle = 0;
    for (int i = 0; i < n; i++) {
      double from = part.x() * size + run.x()[i] * own;
      if (i == 0 || run.chars()[i] != run.chars()[i - 1]) { // marks go with their letter
        middle = from + part.face().advance(run.glyphs()[i]) * own / 2;
        at = track.at(start + middle);
      }
      Point2D there = at.transform(new Point2D.Double(from - middle, run.y()[i] * own), null);
      x[i] = there.getX();
      y[i] = there.getY();
      turns[i] = Math.atan2(at.getShearY(), at.getScaleX());
    }
    return new Mark.Glyphs(
        part.face(),
        own,
        run.glyphs(),
        x,
        y,
        turns,
        run.chars(),
        new AffineTransform(),
        fill,
        outline,
        run.text());
  }
}
