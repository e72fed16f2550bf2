package app.reglet.press.drawing;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Fold;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * The guides of a wrap as a technical drawing has them: line types carry the meaning, in one ink
 * tone.
 *
 * <p>Trim: thin continuous with corner ticks. Fold: long dash and dot. Safe line: fine dots. Panel
 * centre: thin chain, a group of its own. Bleed: sparse 45° hatching. Turn-in: hatched the other
 * way. Hinge: close upright lines. Glue strip: close level lines. Barcode area: a box with a corner
 * mark and its size.
 */
public final class Guides {
  private final Wrap wrap;
  private final Unit unit;
  private final double px;
  private final Layers layers;

  private Guides(Wrap wrap, Unit unit, double px, Layers layers) {
    this.wrap = wrap;
    this.unit = unit;
    this.px = px;
    this.layers = layers;
  }

  /**
   * The guides, from back to front.
   *
   * @param unit for the barcode area's size
   * @param px how many mm one pixel of the screen stands for, about: line weights are in it
   * @param halo whether they are to be read over any art
   */
  public static List<Mark.Group> of(Wrap wrap, Unit unit, double px, boolean halo) {
    Layers layers = new Layers(halo);
    on(wrap, unit, px, layers);
    return layers.groups();
  }

  /** Draws the guides on layers. */
  static void on(Wrap wrap, Unit unit, double px, Layers layers) {
    new Guides(wrap, unit, px, layers).draw();
  }

  private void draw() {
    margin();
    zones(Zone.Kind.HINGE, "hinge", 3, 0);
    zones(Zone.Kind.GLUE, "glue", 4, 90);
    safe();
    barcode();
    folds();
    trim();
    centres();
  }

  private void margin() {
    Rect s = Rect.of(wrap.sheetBox());
    Rect t = Rect.of(wrap.trimmed());
    if (!s.equals(t)) {
      boolean in = wrap.turnIn();
      layers.hatch(in ? "turn-in" : "bleed", s, t, (in ? 6 : 7) * px, in ? -45 : 45, 0.8 * px);
    }
  }

  private void zones(Zone.Kind kind, String layer, double step, int angle) {
    for (Zone z : wrap.zones()) {
      if (z.kind() == kind) {
        layers.hatch(layer, Rect.of(z.box()), null, step * px, angle, 0.6 * px);
      }
    }
  }

  private void safe() {
    for (Panel p : wrap.panels()) {
      if (!p.safe().isEmpty()) {
        line("safe", List.of(corners(Rect.of(p.safe()))), true, 1, 1.2, 3.2);
      }
    }
  }

  private void barcode() {
    for (Zone z : wrap.zones()) {
      if (z.kind() == Zone.Kind.BARCODE) {
        Rect f = Rect.of(z.box());
        double m = Math.min(9 * px, f.height() / 3);
        line("barcode", List.of(corners(f)), true, 1);
        layers.area(
            "barcode",
            Layers.path(
                List.of(new double[] {f.x(), f.y(), f.x() + m, f.y(), f.x(), f.y() + m}), true));
        Rect panel = Rect.of(wrap.panel(z.panel()).orElseThrow().trim());
        boolean rightHalf = f.x() + f.width() / 2 > panel.x() + panel.width() / 2;
        layers.label(
            "barcode",
            new Mark.Label(
                name(z),
                rightHalf ? f.right() : f.x(),
                f.y() - 3 * px,
                rightHalf ? Mark.Label.Anchor.END : Mark.Label.Anchor.START,
                9.5 * px,
                0,
                true,
                "guide-label"));
      }
    }
  }

  /** The house's own barcode is shown by its area alone: guides never reach a file. */
  private String name(Zone z) {
    return (wrap.rules().printsBarcode() ? "The house prints its barcode here, " : "Barcode area ")
        + z.box().size().brief(unit);
  }

  private void folds() {
    double top = -7 * px;
    double bottom = wrap.sheet().height().toMm() + 7 * px;
    for (Fold f : wrap.folds()) {
      double x = f.x().toMm();
      line("fold", List.of(new double[] {x, top, x, bottom}), false, 1, 13, 3, 1.5, 3);
    }
  }

  private void trim() {
    Rect t = Rect.of(wrap.trimmed());
    line("trim", List.of(corners(t)), true, 1);
    Rect s = Rect.of(wrap.sheetBox());
    double near = 2 * px;
    double far = 9 * px;
    List<double[]> ticks = new ArrayList<>();
    for (double x : new double[] {t.x(), t.right()}) {
      ticks.add(new double[] {x, s.y() - far, x, s.y() - near});
      ticks.add(new double[] {x, s.bottom() + near, x, s.bottom() + far});
    }
    for (double y : new double[] {t.y(), t.bottom()}) {
      ticks.add(new double[] {s.x() - far, y, s.x() - near, y});
      ticks.add(new double[] {s.right() + near, y, s.right() + far, y});
    }
    line("trim", ticks, false, 1);
  }

  private void centres() {
    List<double[]> lines = new ArrayList<>();
    for (Panel p : wrap.panels()) {
      if (!p.kind().isHinge()) {
        double x = p.trim().centreX().toMm();
        lines.add(new double[] {x, p.trim().top().toMm(), x, p.trim().bottom().toMm()});
      }
    }
    double y = wrap.trimmed().centreY().toMm();
    lines.add(new double[] {wrap.trimmed().left().toMm(), y, wrap.trimmed().right().toMm(), y});
    line("centres", lines, false, 0.7, 9, 2.5, 2.5, 2.5);
  }

  static double[] corners(Rect f) {
    return new double[] {f.x(), f.y(), f.right(), f.y(), f.right(), f.bottom(), f.x(), f.bottom()};
  }

  private void line(
      String layer, List<double[]> shapes, boolean closed, double weight, double... dashes) {
    layers.line(
        layer,
        Layers.path(shapes, closed),
        0.9 * weight * px,
        DoubleStream.of(dashes).map(d -> d * px).boxed().toList(),
        true);
  }
}
