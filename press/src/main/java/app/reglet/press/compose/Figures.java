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
    return figure.accept(
        new Figure.Visitor<>() {
          @Override
          public Shape rectangle(Figure.Rectangle r) {
            double round = Math.min(2 * r.radius().toMm(), Math.min(box.width(), box.height()));
            return round == 0
                ? box.shape()
                : new RoundRectangle2D.Double(
                    box.x(), box.y(), box.width(), box.height(), round, round);
          }

          @Override
          public Shape ellipse(Figure.Ellipse e) {
            return new Ellipse2D.Double(box.x(), box.y(), box.width(), box.height());
          }
        });
  }
}
