package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.ArrayList;
import java.util.List;

/** A slope across the whole sheet; the title runs up along it. */
record SlipwayLayout(Draft d) {
  private static final double ANGLE = 11;
  private static final double NEAR = 0.06;
  private static final double MIDDLE = 0.42;

  void lay() {
    boolean pictured = d.photo().isPresent();
    d.ground(Ground.plain(d.colour(Role.LIGHT)).withPicture(d.photo().orElse(null)));
    if (!pictured) {
      d.tone("chevron", Role.LIGHT, 0.09, 0, Tiling.Stagger.NONE);
    }
    slope("slope-2", -0.035, d.colour(Role.QUIET));
    slope("slope-1", 0, d.colour(Role.INK));
    Piece title =
        new Piece(
            Fact.TITLE.id(),
            Fact.TITLE.title(),
            new Anchors(d.middle(0.05), Draft.down(d.h(0.51), d.h(0.27))),
            d.titled(d.on(Role.INK), Align.LEFT, VerticalAlign.MIDDLE));
    d.add(title.withPlacement(title.placement().withAngle(-ANGLE)));
    d.words(
        Fact.SUBTITLE,
        d.foot(0.3, 0.1, 0.02, 0.06),
        d.pair.italic(),
        0.032,
        d.small(Role.LIGHT, Role.INK),
        Align.RIGHT,
        VerticalAlign.BOTTOM);
    d.words(
        Fact.AUTHOR,
        d.foot(0.1, 0.01, 0.02, 0.06),
        d.pair.strong(),
        0.04,
        d.on(Role.INK),
        Align.RIGHT,
        VerticalAlign.BOTTOM);
    Surroundings around = Surroundings.onPanel(d, Role.PAPER, pictured ? 0.9 : 1);
    around.back(0.5);
    around.coveredFlaps();
    around.spine(0.58, 0.02, around.ink(), around.ink());
    around.barcode();
    around.inside(Role.QUIET, "chevron");
  }

  /** What lies under a slope that passes the middle of the front, so far lower or higher. */
  private void slope(String id, double shift, Colour colour) {
    Box sheet = d.wrap.sheetBox();
    Box front = d.wrap.panel(PanelKind.FRONT).orElseThrow().safe();
    double wide = sheet.width().toMm();
    double high = sheet.height().toMm();
    double x = front.centreX().toMm() / wide;
    double y = (front.top().toMm() + front.height().toMm() * (MIDDLE + shift)) / high;
    double rise = Math.tan(Math.toRadians(ANGLE)) * wide / high;
    d.add(
        id,
        "Slope",
        Anchors.filling(Region.SHEET),
        new Content.Shape(
            new Figure.Free(under(notNearCorner(y + rise * x), notNearCorner(y - rise * (1 - x)))),
            Paint.of(colour),
            null));
  }

  /** A slope that would end beside the corner ends in it: a sliver there looks like a mistake. */
  private static double notNearCorner(double end) {
    return Math.abs(end - 1) < NEAR ? 1 : Math.abs(end) < NEAR ? 0 : end;
  }

  /**
   * The part of a unit square under a falling or rising line, its corners clockwise.
   *
   * @param left where the line meets the left side, below it when over 1
   * @param right where it meets the right side
   */
  static List<Figure.Free.Corner> under(double left, double right) {
    List<Figure.Free.Corner> corners = new ArrayList<>();
    double[][] square = {{0, 1}, {0, 0}, {1, 0}, {1, 1}};
    for (int i = 0; i < square.length; i++) {
      double[] a = square[i];
      double[] b = square[(i + 1) % square.length];
      double da = a[1] - (left + (right - left) * a[0]);
      double db = b[1] - (left + (right - left) * b[0]);
      if (da >= 0) {
        corners.add(new Figure.Free.Corner(a[0], a[1]));
      }
      if (da * db < 0) {
        double t = da / (da - db);
        corners.add(new Figure.Free.Corner(a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])));
      }
    }
    return corners;
  }
}
