package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Figure;
import app.reglet.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Reads what is typed about a form: {@code figure} says which, other fields its measures. */
final class FigureReader {
  private static final int USUAL_POLYGON = 6;
  private static final int USUAL_STAR = 5;
  private static final double USUAL_NOTCH = 0.5;

  private final Typed typed;

  FigureReader(Typed typed) {
    this.typed = typed;
  }

  Figure changed(Figure old) {
    Figure figure = typed.has("figure") ? ofKind(typed.text("figure"), old) : old;
    return figure.accept(
        new Figure.Visitor<>() {
          @Override
          public Figure rectangle(Figure.Rectangle r) {
            return typed.has("radius") ? radii() : r;
          }

          @Override
          public Figure ellipse(Figure.Ellipse e) {
            return e;
          }

          @Override
          public Figure regular(Figure.Regular g) {
            double corners =
                typed.figure(
                    "corners",
                    "number of corners",
                    Figure.Regular.FEWEST,
                    Figure.Regular.MOST,
                    g.corners());
            double notch =
                typed.figure(
                    "notch",
                    "depth of notches in percent",
                    0,
                    Figure.Regular.DEEPEST * 100,
                    g.notch() * 100);
            return new Figure.Regular((int) Math.round(corners), notch / 100);
          }

          @Override
          public Figure free(Figure.Free g) {
            return typed.has("points") ? points() : g;
          }

          @Override
          public Figure line(Figure.Line g) {
            return g;
          }
        });
  }

  static Figure ofKind(String kind, Figure old) {
    return switch (kind.toLowerCase(Locale.ROOT)) {
      case "rectangle" -> old instanceof Figure.Rectangle ? old : Figure.RECTANGLE;
      case "ellipse" -> new Figure.Ellipse();
      case "polygon" ->
          new Figure.Regular(old instanceof Figure.Regular g ? g.corners() : USUAL_POLYGON, 0);
      case "star" ->
          new Figure.Regular(
              old instanceof Figure.Regular g ? g.corners() : USUAL_STAR, USUAL_NOTCH);
      case "free" -> old instanceof Figure.Free ? old : cornersOf(old);
      case "level" -> new Figure.Line(Figure.Line.Way.LEVEL);
      case "upright" -> new Figure.Line(Figure.Line.Way.UPRIGHT);
      case "falling" -> new Figure.Line(Figure.Line.Way.FALLING);
      case "rising" -> new Figure.Line(Figure.Line.Way.RISING);
      default -> throw new Refusal("figure", "“" + kind + "” is no form known here.");
    };
  }

  /** A free polygon to begin with: the corners of a regular one, else a kite. */
  private static Figure cornersOf(Figure old) {
    List<Figure.Free.Corner> corners = new ArrayList<>();
    int n = old instanceof Figure.Regular g ? g.corners() : 4;
    for (int i = 0; i < n; i++) {
      double a = 2 * Math.PI * i / n;
      corners.add(
          new Figure.Free.Corner(share(0.5 + Math.sin(a) / 2), share(0.5 - Math.cos(a) / 2)));
    }
    return new Figure.Free(corners);
  }

  private static double share(double d) {
    return Math.max(0, Math.min(1, Math.rint(d * 1e4) / 1e4));
  }

  /** One radius for all corners, or four, clockwise from the top left. */
  private Figure radii() {
    List<Length> radii = typed.lengths("radius", typed.unit());
    return switch (radii.size()) {
      case 1 -> new Figure.Rectangle(radii.get(0));
      case 4 -> new Figure.Rectangle(radii.get(0), radii.get(1), radii.get(2), radii.get(3));
      default ->
          throw new Refusal(
              "radius",
              "Corners have one radius, or four, clockwise from the top left; these are "
                  + radii.size()
                  + ".");
    };
  }

  /** {@code 50 0, 100 100, 0 100}: percent across and down. */
  private Figure points() {
    return new Figure.Free(corners("points"));
  }

  /** Points as percent across and down their box. */
  List<Figure.Free.Corner> corners(String field) {
    List<Figure.Free.Corner> corners = new ArrayList<>();
    for (String pair : typed.text(field).strip().split("\\s*[,;\\n]\\s*")) {
      String[] xy = pair.strip().split("\\s+");
      if (xy.length != 2) {
        throw new Refusal(
            field,
            "“"
                + pair
                + "” is no corner: write each as percent across and down, 50 0, 100 100, 0 100.");
      }
      corners.add(new Figure.Free.Corner(percent(xy[0]), percent(xy[1])));
    }
    return corners;
  }

  private static double percent(String text) {
    try {
      return Double.parseDouble(text.replace("%", "").replace(',', '.')) / 100;
    } catch (NumberFormatException e) {
      throw new Refusal("points", "“" + text + "” is no percentage: a number from 0 to 100.");
    }
  }
}
