package app.reglet.press.raster;

import app.reglet.press.art.Mark;
import app.reglet.press.art.Painter;
import app.reglet.press.art.Pen;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.ArrayDeque;
import java.util.Deque;

/** Draws nothing: takes note of what marks cover. */
final class BoundsPainter implements Painter {
  private static final Rectangle2D UNIT = new Rectangle2D.Double(0, 0, 1, 1);

  private final Deque<AffineTransform> transforms = new ArrayDeque<>();
  private Rectangle2D all;

  BoundsPainter() {
    transforms.push(new AffineTransform());
  }

  Rectangle2D all() {
    return all == null ? new Rectangle2D.Double() : all;
  }

  private void add(Shape shape, double wider) {
    Rectangle2D b = transforms.peek().createTransformedShape(shape).getBounds2D();
    Rectangle2D r =
        new Rectangle2D.Double(
            b.getX() - wider,
            b.getY() - wider,
            b.getWidth() + 2 * wider,
            b.getHeight() + 2 * wider);
    all = all == null ? r : all.createUnion(r);
  }

  @Override
  public void path(Mark.Path p) {
    add(p.shape(), p.pen() == null ? 0 : p.pen().width());
    if (p.pen() != null) {
      // tips of corners reach farther, and so do lines of a group that is drawn larger
      add(Pen.plain(p.pen().fill(), p.pen().width()).stroke().createStrokedShape(p.shape()), 0);
    }
  }

  @Override
  public void glyphs(Mark.Glyphs g) {
    for (int i = 0; i < g.glyphs().length; i++) {
      AffineTransform at = new AffineTransform(g.place());
      at.concatenate(g.glyph(i));
      Shape outline = g.face().outline(g.glyphs()[i]);
      if (!outline.getBounds2D().isEmpty()) {
        add(at.createTransformedShape(outline), g.outline() == null ? 0 : g.outline().width());
      }
    }
  }

  @Override
  public void label(Mark.Label l) {
    double w = l.text().length() * l.size();
    add(new Rectangle2D.Double(l.x() - w, l.y() - w, 2 * w, 2 * w), 0);
  }

  @Override
  public void image(Mark.Image i) {
    add(i.place().createTransformedShape(UNIT), 0);
  }

  @Override
  public void page(Mark.Page p) {
    add(p.place().createTransformedShape(UNIT), 0);
  }

  @Override
  public void tiled(Mark.Tiled t) {
    add(t.area(), 0);
  }

  @Override
  public void begin(Mark.Group group) {
    AffineTransform t = new AffineTransform(transforms.peek());
    t.concatenate(group.effects().transform());
    transforms.push(t);
  }

  @Override
  public void end(Mark.Group group) {
    transforms.pop();
  }
}
