package app.reglet.press.art;

import app.reglet.core.design.Tiling;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Where motifs stand that repeat, in mm.
 *
 * @param width of a motif
 * @param height of a motif
 * @param stepX from one to the next beside it
 * @param stepY from one to the next below it
 * @param stagger how rows or columns are set off
 * @param toSheet from the lattice, whose first motif has its middle at 0, 0, to the sheet
 */
public record Lattice(
    double width,
    double height,
    double stepX,
    double stepY,
    Tiling.Stagger stagger,
    AffineTransform toSheet) {
  /** What only touches an edge is not in: some renderers would draw a line of it. */
  private static final double TOUCH = 1e-6;

  public Lattice {
    toSheet = new AffineTransform(toSheet);
  }

  @Override
  public AffineTransform toSheet() {
    return new AffineTransform(toSheet);
  }

  /** How far the pattern goes across before it is the same again. */
  public double periodX() {
    return stagger == Tiling.Stagger.HALF_DROP ? 2 * stepX : stepX;
  }

  /** How far it goes down. */
  public double periodY() {
    return stagger == Tiling.Stagger.BRICK ? 2 * stepY : stepY;
  }

  /** Top left corners of the motifs whose boxes touch a box; all in the lattice's coordinates. */
  private List<Point2D> within(Rectangle2D box) {
    List<Point2D> places = new ArrayList<>();
    boolean brick = stagger == Tiling.Stagger.BRICK;
    boolean drop = stagger == Tiling.Stagger.HALF_DROP;
    int top = (int) Math.floor((box.getMinY() - height) / stepY) - 1;
    int bottom = (int) Math.ceil((box.getMaxY() + height) / stepY);
    int left = (int) Math.floor((box.getMinX() - width) / stepX) - 1;
    int right = (int) Math.ceil((box.getMaxX() + width) / stepX);
    for (int row = top; row <= bottom; row++) {
      for (int column = left; column <= right; column++) {
        double x = column * stepX - width / 2 + (brick && row % 2 != 0 ? stepX / 2 : 0);
        double y = row * stepY - height / 2 + (drop && column % 2 != 0 ? stepY / 2 : 0);
        if (x < box.getMaxX() - TOUCH
            && x + width > box.getMinX() + TOUCH
            && y < box.getMaxY() - TOUCH
            && y + height > box.getMinY() + TOUCH) {
          places.add(new Point2D.Double(x, y));
        }
      }
    }
    return places;
  }

  /** Top left corners of the motifs that show in an area, in the lattice's coordinates. */
  public List<Point2D> places(Shape area) {
    try {
      return within(toSheet.createInverse().createTransformedShape(area).getBounds2D());
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // a turn can always be undone
    }
  }

  /**
   * Top left corners of those that come so near one period of the lattice, which begins at 0, 0.
   */
  List<Point2D> period(double near) {
    return within(new Rectangle2D.Double(-near, -near, periodX() + 2 * near, periodY() + 2 * near));
  }
}
