package app.reglet.press.drawing;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Labels;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The layers of a technical drawing while it is drawn: lines, hatching and labels in one ink. */
final class Layers {
  private static final Fill INK = Fill.of(Labels.INK);
  private static final Fill HALO = Fill.of(Colour.WHITE);

  private final boolean halo;
  private final Map<String, List<Mark>> layers = new LinkedHashMap<>();

  /**
   * @param halo whether light lines lie under what is drawn over art, to be read on any
   */
  Layers(boolean halo) {
    this.halo = halo;
  }

  List<Mark.Group> groups() {
    return layers.entrySet().stream().map(e -> Mark.Group.named(e.getKey(), e.getValue())).toList();
  }

  private void add(String layer, Mark mark) {
    layers.computeIfAbsent(layer, k -> new ArrayList<>()).add(mark);
  }

  /** Runs of points, x and y in turn. */
  static Shape path(List<double[]> runs, boolean closed) {
    Path2D path = new Path2D.Double();
    for (double[] run : runs) {
      path.moveTo(run[0], run[1]);
      for (int i = 2; i < run.length; i += 2) {
        path.lineTo(run[i], run[i + 1]);
      }
      if (closed) {
        path.closePath();
      }
    }
    return path;
  }

  void line(String layer, Shape path, double weight, List<Double> dashes, boolean overArt) {
    if (halo && overArt) {
      add(layer, faint(0.75, new Mark.Path(path, null, new Pen(HALO, weight / 0.9 * 2.6, dashes))));
    }
    add(layer, new Mark.Path(path, null, new Pen(INK, weight, dashes)));
  }

  void area(String layer, Shape path) {
    add(layer, new Mark.Path(path, INK, null));
  }

  /**
   * An area hatched with parallel lines.
   *
   * @param inner what is left out of it, null for nothing
   * @param angle of the lines: 0 upright, 90 level, turning clockwise
   */
  void hatch(String layer, Rect outer, Rect inner, double step, int angle, double weight) {
    Path2D area = new Path2D.Double(Path2D.WIND_EVEN_ODD);
    area.append(outer.shape(), false);
    if (inner != null) {
      area.append(inner.shape(), false);
    }
    Shape lines = path(HatchLines.of(outer, step, angle), false);
    List<Mark> drawn = new ArrayList<>();
    if (halo) {
      drawn.add(faint(0.55, new Mark.Path(lines, null, Pen.plain(HALO, 2.2 / 0.8 * weight))));
    }
    drawn.add(
        halo
            ? faint(0.7, new Mark.Path(lines, null, Pen.plain(INK, weight)))
            : new Mark.Path(lines, null, Pen.plain(INK, weight)));
    add(layer, new Mark.Group("", Effects.clipped(area), drawn));
  }

  void label(String layer, Mark.Label label) {
    add(
        layer,
        halo || !label.halo()
            ? label
            : new Mark.Label(
                label.text(),
                label.x(),
                label.y(),
                label.anchor(),
                label.size(),
                label.angle(),
                false,
                label.kind()));
  }

  private static Mark faint(double opacity, Mark mark) {
    return new Mark.Group(
        "",
        new Effects(new AffineTransform(), opacity, Appearance.Blend.NORMAL, null, List.of()),
        List.of(mark));
  }
}
