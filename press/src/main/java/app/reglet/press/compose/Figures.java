package app.reglet.press.compose;

import app.reglet.core.design.Figure;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.RoundRectangle2D;

/** Figures of a design as shapes in their box. */
final class Figures {
  private Figures() {}

  static Shape in(Figure figure, Rect box) {
    if (figure instanceof Figure.Rectangle r) {
      double d = 2 * r.radius().toMm();
      return d == 0
          ? box.shape()
          : new RoundRectangle2D.Double(
              box.x(),
              box.y(),
              box.width(),
              box.height(),
              Math.min(d, Math.min(box.width(), box.height())),
              Math.min(d, Math.min(box.width(), box.height())));
    }
    return new Ellipse2D.Double(box.x(), box.y(), box.width(), box.height());
  }
}
