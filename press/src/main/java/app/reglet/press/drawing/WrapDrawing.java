package app.reglet.press.drawing;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Dimension;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import java.util.List;

/**
 * The measured sheet as a dimensioned drawing: guides, panel names, dimension lines with figures.
 *
 * @param wrap the page drawn
 * @param unit of the figures
 * @param view what is seen, mm; the sheet lies at 0, 0
 * @param marks its layers from back to front, over a white sheet
 */
public record WrapDrawing(Wrap wrap, Unit unit, Rect view, List<Mark.Group> marks) {
  private static final double TEXT = 11.5;
  private static final double ROW = 27;
  private static final double LEFT = 66;
  private static final double RIGHT = 24;
  private static final double ABOVE = 34;
  private static final double BELOW = 92;

  /** Width of one figure in pixels, at the size of {@link #TEXT}. */
  private static final double DIGIT = 7.2;

  /** The drawing is made to be seen about this wide, in pixels. */
  private static final double SEEN_WIDTH = 900;

  private static final double SEEN_HEIGHT = 560;

  public WrapDrawing {
    marks = List.copyOf(marks);
  }

  /** The drawing of a page, made for the room of a docket. */
  public static WrapDrawing of(Wrap wrap, Unit unit) {
    return seen(wrap, unit, SEEN_WIDTH, SEEN_HEIGHT);
  }

  /** The drawing of a page, made to be seen about so large on a screen, in pixels. */
  public static WrapDrawing seen(Wrap wrap, Unit unit, double width, double height) {
    return new Draft(wrap, unit, width, height, true).drawing();
  }

  /** The drawing of a page for paper: nothing lies under its lines. */
  public static WrapDrawing printed(Wrap wrap, Unit unit) {
    return new Draft(wrap, unit, SEEN_WIDTH, SEEN_HEIGHT, false).drawing();
  }

  /** The drawings of several pages, made to stand side by side in the room of one. */
  public static List<WrapDrawing> sideBySide(List<Wrap> pages, Unit unit) {
    double all = pages.stream().mapToDouble(p -> p.sheet().width().toMm()).sum();
    double room = SEEN_WIDTH - (pages.size() - 1) * (LEFT + RIGHT);
    return pages.stream()
        .map(
            p ->
                seen(
                    p,
                    unit,
                    LEFT + RIGHT + (room - LEFT - RIGHT) * p.sheet().width().toMm() / all,
                    SEEN_HEIGHT))
        .toList();
  }

  private static final class Draft {
    private final Wrap wrap;
    private final Unit unit;
    private final double w;
    private final double h;
    private final double px;
    private final Layers layers;

    /** Where the last figure below a narrow panel ended and how deep it stood. */
    private double figureEnd = Double.NEGATIVE_INFINITY;

    private int figureRow;
    private int deepest;

    Draft(Wrap wrap, Unit unit, double seenWidth, double seenHeight, boolean halo) {
      this.layers = new Layers(halo);
      this.wrap = wrap;
      this.unit = unit;
      this.w = wrap.sheet().width().toMm();
      this.h = wrap.sheet().height().toMm();
      this.px = Math.max(w / (seenWidth - LEFT - RIGHT), h / (seenHeight - ABOVE - BELOW));
    }

    WrapDrawing drawing() {
      Guides.on(wrap, unit, px, layers);
      names();
      for (Dimension d : wrap.dimensions()) {
        if (d.axis() == Dimension.Axis.ACROSS && d.row() == 0) {
          across(d, 20);
        } else if (d.axis() == Dimension.Axis.DOWN) {
          down(d);
        }
      }
      for (Dimension d : wrap.dimensions()) {
        if (d.axis() == Dimension.Axis.ACROSS && d.row() > 0) {
          across(d, 20 + d.row() * ROW + 13 * Math.max(1, deepest));
        }
      }
      double below = BELOW + 13 * Math.max(0, deepest - 1);
      // a page narrower than the note under it has the note under its left edge
      boolean wide = w / px > 180;
      label(
          "all figures in " + named(unit),
          wide ? w : -LEFT * px * 0.6,
          h + (below - 8) * px,
          wide ? Mark.Label.Anchor.END : Mark.Label.Anchor.START,
          10,
          0,
          "figure");
      double left = LEFT * px;
      double right = Math.max(RIGHT * px, wide ? 0 : 180 * px - w);
      Rect view = new Rect(-left, -ABOVE * px, w + left + right, h + (ABOVE + below) * px);
      return new WrapDrawing(wrap, unit, view, layers.groups());
    }

    private static String named(Unit unit) {
      return switch (unit) {
        case IN -> "inches";
        case PX -> "pixels";
        default -> "millimetres";
      };
    }

    private void names() {
      for (Panel p : wrap.panels()) {
        double width = p.trim().width().toMm() / px;
        String name = wrap.nameOf(p.kind());
        if (width > name.length() * 6.5 || p.kind() == PanelKind.SPINE) {
          label(
              name,
              p.trim().centreX().toMm(),
              -15 * px,
              Mark.Label.Anchor.MIDDLE,
              TEXT,
              0,
              "panel-name");
        }
      }
    }

    private void across(Dimension d, double depth) {
      double y = h + depth * px;
      double a = d.from().toMm();
      double b = d.to().toMm();
      extension(a, h + 3 * px, a, y + 4 * px);
      extension(b, h + 3 * px, b, y + 4 * px);
      String figure = d.length().figure(unit, unit.decimals());
      boolean narrow = narrow(figure, (b - a) / px);
      double middle = (a + b) / 2;
      if (!narrow) {
        arrows(a, y, b, y, false);
        figure(middle, y - 4 * px, figure, 0);
        return;
      }
      // the outermost stand beside their arrows, clear of the sheet's own line
      boolean first = d.from().isZero();
      if (first || d.to().equals(wrap.sheet().width())) {
        arrows(a, y, b, y, true);
        label(
            figure,
            first ? a - 17 * px : b + 17 * px,
            y + 4 * px,
            first ? Mark.Label.Anchor.END : Mark.Label.Anchor.START,
            TEXT,
            0,
            "figure");
        return;
      }
      // dots for arrowheads where parts leave no room for them (ISO 129-1), from memory
      line(a, y, b, y, 0.8);
      dot(a, y);
      dot(b, y);
      // figures of narrow parts side by side stand below each other
      double half = (figure.length() * DIGIT / 2 + 3) * px;
      figureRow = middle - half < figureEnd ? figureRow + 1 : 0;
      figureEnd = Math.max(figureEnd, middle + half);
      deepest = Math.max(deepest, figureRow + 1);
      double foot = y + (17 + 13 * figureRow) * px;
      if (figureRow > 0) {
        extension(middle, y + 3 * px, middle, foot - 11 * px);
      }
      figure(middle, foot, figure, 0);
    }

    private void down(Dimension d) {
      double x = -(18 + d.row() * ROW) * px;
      double a = d.from().toMm();
      double b = d.to().toMm();
      extension(-3 * px, a, x - 4 * px, a);
      extension(-3 * px, b, x - 4 * px, b);
      String figure = d.length().figure(unit, unit.decimals());
      boolean narrow = narrow(figure, (b - a) / px);
      arrows(x, a, x, b, narrow);
      if (narrow) {
        figure(x + 2 * px, -19 * px, figure, 0);
      } else {
        figure(x - 4 * px, (a + b) / 2, figure, -90);
      }
    }

    private static boolean narrow(String figure, double pixels) {
      return pixels < figure.length() * DIGIT + 22;
    }

    private void extension(double x1, double y1, double x2, double y2) {
      line(x1, y1, x2, y2, 0.5);
    }

    private void line(double x1, double y1, double x2, double y2, double weight) {
      layers.line(
          "dimensions",
          Layers.path(List.of(new double[] {x1, y1, x2, y2}), false),
          weight * px,
          List.of(),
          false);
    }

    private void figure(double x, double y, String text, int turn) {
      label(text, x, y, Mark.Label.Anchor.MIDDLE, TEXT, turn, "figure");
    }

    private void label(
        String text,
        double x,
        double y,
        Mark.Label.Anchor anchor,
        double size,
        int turn,
        String kind) {
      layers.label("dimensions", new Mark.Label(text, x, y, anchor, size * px, turn, false, kind));
    }

    /** A line with an arrowhead at each end; outside, pointing in, where there is no room. */
    private void arrows(double x1, double y1, double x2, double y2, boolean outside) {
      boolean level = y1 == y2;
      double tail = outside ? 13 * px : 0;
      line(
          level ? x1 - tail : x1,
          level ? y1 : y1 - tail,
          level ? x2 + tail : x2,
          level ? y2 : y2 + tail,
          0.8);
      head(x1, y1, level, outside ? -1 : 1);
      head(x2, y2, level, outside ? 1 : -1);
    }

    private void dot(double x, double y) {
      double r = 2 * px;
      double s = 0.7 * r;
      double[] shape = {
        x - r, y, x - s, y - s, x, y - r, x + s, y - s, x + r, y, x + s, y + s, x, y + r, x - s,
        y + s
      };
      layers.area("dimensions", Layers.path(List.of(shape), true));
    }

    /** An arrowhead with its point here and its body to the side the sign says. */
    private void head(double x, double y, boolean level, int side) {
      double l = 7 * px * side;
      double s = 2.1 * px;
      double[] shape =
          level
              ? new double[] {x, y, x + l, y - s, x + l, y + s}
              : new double[] {x, y, x - s, y + l, x + s, y + l};
      layers.area("dimensions", Layers.path(List.of(shape), true));
    }
  }
}
