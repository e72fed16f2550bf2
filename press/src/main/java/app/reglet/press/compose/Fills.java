package app.reglet.press.compose;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Stroke;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import java.util.List;

/** Paints of a design as fills on the sheet: swatches looked up, gradients laid in their box. */
final class Fills {
  private final Design design;

  Fills(Design design) {
    this.design = design;
  }

  Colour.Solid solid(Colour colour) {
    return design.solid(colour);
  }

  Fill of(Paint paint, Rect box) {
    double x = box.x() + box.width() / 2;
    double y = box.y() + box.height() / 2;
    return paint.accept(
        new Paint.Visitor<>() {
          @Override
          public Fill flat(Paint.Flat flat) {
            return Fill.of(solid(flat.colour()));
          }

          /** The line's ends are where a square to it through the corners falls. */
          @Override
          public Fill linear(Paint.Linear linear) {
            double a = Math.toRadians(linear.angle());
            double half =
                (Math.abs(box.width() * Math.cos(a)) + Math.abs(box.height() * Math.sin(a))) / 2;
            double dx = Math.cos(a) * half;
            double dy = Math.sin(a) * half;
            return new Fill.Linear(x - dx, y - dy, x + dx, y + dy, stops(linear.stops()));
          }

          @Override
          public Fill radial(Paint.Radial radial) {
            return new Fill.Radial(
                x, y, Math.hypot(box.width(), box.height()) / 2, stops(radial.stops()));
          }
        });
  }

  private List<Fill.Stop> stops(List<Paint.Stop> stops) {
    return stops.stream().map(s -> new Fill.Stop(s.at(), solid(s.colour()))).toList();
  }

  /** A pen so many times as wide as the stroke. */
  Pen pen(Stroke stroke, Rect box, double times) {
    return new Pen(
        of(stroke.paint(), box),
        stroke.width().toMm() * times,
        stroke.dashes().stream().map(d -> d.toMm() * times).toList());
  }
}
