package app.reglet.press.inks;

import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;

/** Letters as the outlines they have, for houses that take no fonts. */
public final class Outlining {
  private Outlining() {}

  /** The marks without letters. */
  public static List<Mark> of(List<? extends Mark> marks) {
    List<Mark> out = new ArrayList<>();
    for (Mark mark : marks) {
      if (mark instanceof Mark.Glyphs g) {
        out.addAll(paths(g));
      } else if (mark instanceof Mark.Group g) {
        out.add(new Mark.Group(g.name(), g.effects(), of(g.marks())));
      } else if (mark instanceof Mark.Tiled t) {
        out.add(new Mark.Tiled(t.area(), t.lattice(), of(t.motif()), t.closed()));
      } else {
        out.add(mark);
      }
    }
    return out;
  }

  /** Each letter with its line, as they are painted; nothing for letters that are only read. */
  private static List<Mark> paths(Mark.Glyphs g) {
    List<Mark> out = new ArrayList<>();
    if (g.fill() == null) {
      return out;
    }
    if (g.outline() == null) {
      Path2D all = outline(g);
      return all.getCurrentPoint() == null ? out : List.of(new Mark.Path(all, g.fill(), null));
    }
    Pen pen = g.outline();
    for (int i = 0; i < g.glyphs().length; i++) {
      out.add(new Mark.Path(letter(g, i), g.fill(), pen));
    }
    return out;
  }

  /** All letters of a run as one path, where they lie. */
  static Path2D outline(Mark.Glyphs g) {
    Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
    for (int i = 0; i < g.glyphs().length; i++) {
      all.append(letter(g, i), false);
    }
    return all;
  }

  private static Shape letter(Mark.Glyphs g, int i) {
    AffineTransform at = new AffineTransform(g.place());
    at.concatenate(g.glyph(i));
    return at.createTransformedShape(g.face().outline(g.glyphs()[i]));
  }
}
