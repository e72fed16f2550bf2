package app.reglet.press.compose;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.util.List;

/** The area behind words, as large as they are and its margins more. */
final class WordsPanel {
  private WordsPanel() {}

  /** Its area in the coordinates of the words' box. */
  static Shape area(Words words, Shape extent) {
    Panel panel = words.panel();
    boolean level = words.curve() != null || words.setting().direction() == Setting.Direction.LEVEL;
    Rectangle2D r = extent.getBounds2D();
    double across = (level ? panel.across() : panel.down()).toMm();
    double down = (level ? panel.down() : panel.across()).toMm();
    double w = r.getWidth() + 2 * across;
    double h = r.getHeight() + 2 * down;
    double round = Math.min(2 * panel.radius().toMm(), Math.min(w, h));
    return round == 0
        ? new Rectangle2D.Double(r.getX() - across, r.getY() - down, w, h)
        : new RoundRectangle2D.Double(r.getX() - across, r.getY() - down, w, h, round, round);
  }

  static Mark of(Words words, Shape extent, Fills fills) {
    Panel panel = words.panel();
    Shape area = area(words, extent);
    Rectangle2D r = area.getBounds2D();
    Mark path =
        new Mark.Path(
            area,
            fills.of(panel.paint(), new Rect(r.getX(), r.getY(), r.getWidth(), r.getHeight())),
            null);
    return panel.opacity() == 1
        ? path
        : new Mark.Group(
            "",
            new Effects(
                new AffineTransform(), panel.opacity(), Appearance.Blend.NORMAL, null, List.of()),
            List.of(path));
  }
}
