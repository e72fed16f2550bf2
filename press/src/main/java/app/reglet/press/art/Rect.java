package app.reglet.press.art;

import app.reglet.core.measure.Box;
import java.awt.geom.Rectangle2D;

/**
 * A rectangle in mm, origin top left of the sheet, x right, y down: a {@link Box} for renderers.
 */
public record Rect(double x, double y, double width, double height) {
  public static Rect of(Box box) {
    return new Rect(box.x().toMm(), box.y().toMm(), box.width().toMm(), box.height().toMm());
  }

  public Rectangle2D shape() {
    return new Rectangle2D.Double(x, y, width, height);
  }

  public double right() {
    return x + width;
  }

  public double bottom() {
    return y + height;
  }

  /** The smallest one round this and another. */
  public Rect round(Rect other) {
    double left = Math.min(x, other.x);
    double top = Math.min(y, other.y);
    return new Rect(
        left,
        top,
        Math.max(right(), other.right()) - left,
        Math.max(bottom(), other.bottom()) - top);
  }
}
