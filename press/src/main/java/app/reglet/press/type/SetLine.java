package app.reglet.press.type;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * A line of type in one or several faces, in ems of its type size, origin at the start of the
 * baseline, y down.
 *
 * @param text what it says, in the order it is read
 * @param parts from left to right as they are seen
 * @param advance its width, without space after its last glyph
 * @param ink what its glyphs cover
 */
public record SetLine(String text, List<Part> parts, double advance, Rectangle2D ink) {
  /**
   * A part in one face.
   *
   * @param from index in the line's text of the part's first character
   * @param scale of its ems to the line's
   * @param x where it starts, in ems of the line
   * @param line its glyphs, in ems of its own
   */
  public record Part(Typeface face, int from, double scale, double x, ShapedLine line) {}

  /** Where a caret stands before each character and after the last, in ems. */
  public double[] stops() {
    return Stops.of(this);
  }

  /** How many spaces between words it has. */
  int spaces() {
    int spaces = 0;
    for (Part part : parts) {
      for (int c : part.line().chars()) {
        spaces += isSpace(part.line().text().charAt(c)) ? 1 : 0;
      }
    }
    return spaces;
  }

  static boolean isSpace(char c) {
    return c == ' ' || c == '\u00a0';
  }

  /** The same with its spaces widened, or narrowed, by so many ems each. */
  SetLine widened(double more) {
    List<Part> widened = new ArrayList<>();
    double shift = 0;
    Rectangle2D all = null;
    for (Part part : parts) {
      ShapedLine line = part.line();
      double[] x = line.x().clone();
      double start = part.x() + shift;
      double before = shift;
      for (int i = 0; i < x.length; i++) {
        x[i] += (shift - before) / part.scale();
        if (isSpace(line.text().charAt(line.chars()[i]))) {
          shift += more;
        }
      }
      ShapedLine moved =
          new ShapedLine(
              line.text(),
              line.glyphs(),
              x,
              line.y(),
              line.chars(),
              line.advance() + (shift - before) / part.scale(),
              Shaping.ink(part.face(), line.glyphs(), x, line.y()));
      widened.add(new Part(part.face(), part.from(), part.scale(), start, moved));
      all = union(all, part.scale(), start, moved.ink());
    }
    return new SetLine(
        text, List.copyOf(widened), advance + shift, all == null ? new Rectangle2D.Double() : all);
  }

  /** The union of an area, null for none, with the ink of a part, in ems of the line. */
  static Rectangle2D union(Rectangle2D all, double scale, double x, Rectangle2D ink) {
    if (ink.isEmpty()) {
      return all;
    }
    Rectangle2D there =
        new Rectangle2D.Double(
            ink.getX() * scale + x,
            ink.getY() * scale,
            ink.getWidth() * scale,
            ink.getHeight() * scale);
    return all == null ? there : all.createUnion(there);
  }
}
