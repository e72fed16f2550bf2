package app.reglet.press.vector;

import app.reglet.core.Refusal;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.ornament.Tint;
import app.reglet.press.reading.Budget;
import java.awt.Color;
import java.awt.LinearGradientPaint;
import java.awt.MultipleGradientPaint;
import java.awt.Paint;
import java.awt.RadialGradientPaint;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.PathIterator;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** What an SVG draws: areas with numbered inks, in layers, no more than a cover can carry. */
final class Recording {
  private static final int MOST_POINTS = 200_000;
  private static final int MOST_PARTS = 5_000;

  /** What is laid down as one: areas and other layers. */
  private static final class Layer {
    final double opacity;
    final List<Object> laid = new ArrayList<>();

    Layer(double opacity) {
      this.opacity = opacity;
    }

    List<Ornament.Part> parts() {
      return laid.stream().flatMap(Layer::parts).toList();
    }

    private static Stream<Ornament.Part> parts(Object laid) {
      return laid instanceof Layer layer ? layer.made() : Stream.of((Ornament.Area) laid);
    }

    /** A single area fades by itself. */
    private Stream<Ornament.Part> made() {
      List<Ornament.Part> parts = parts();
      if (parts.size() == 1 && parts.get(0) instanceof Ornament.Area a) {
        return Stream.of(new Ornament.Area(a.shape(), a.tint().times(opacity), a.clip()));
      }
      return parts.isEmpty() ? Stream.empty() : Stream.of(new Ornament.Faded(opacity, parts));
    }
  }

  private final Map<Integer, Integer> inks = new LinkedHashMap<>();
  private final Map<String, Integer> lost;
  private final Budget budget;
  private final Deque<Layer> open = new ArrayDeque<>(List.of(new Layer(1)));
  private int points;
  private int areas;

  Recording(Map<String, Integer> lost, Budget budget) {
    this.lost = lost;
    this.budget = budget;
  }

  void open(double opacity) {
    Layer inner = new Layer(opacity);
    open.peek().laid.add(inner);
    open.push(inner);
  }

  void close() {
    if (open.size() > 1) {
      open.pop();
    }
  }

  List<Ornament.Part> parts() {
    return open.getLast().parts();
  }

  List<Integer> inks() {
    return List.copyOf(inks.keySet());
  }

  /** Something of the file that is not in the drawing. */
  void leftOut(String what) {
    lost.merge(what, 1, Integer::sum);
  }

  void expectTime() {
    budget.expectTime();
  }

  /** Lays an area down. */
  void add(Shape shape, Paint paint, double opacity, AffineTransform transform, Area clip) {
    count(shape);
    Rectangle2D bounds = shape.getBounds2D();
    if (bounds.isEmpty() || clip != null && !clip.intersects(bounds)) {
      return;
    }
    Tint tint = tint(paint, opacity, transform);
    if (tint != null && tint.opacity() > 0) {
      boolean whole = clip == null || clip.contains(bounds);
      areas++;
      open.peek().laid.add(new Ornament.Area(shape, tint, whole ? null : new Area(clip)));
    }
  }

  private void count(Shape shape) {
    budget.object();
    for (PathIterator i = shape.getPathIterator(null); !i.isDone(); i.next()) {
      points++;
    }
    if (points > MOST_POINTS || areas >= MOST_PARTS) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "This drawing has more than %s, more than a cover can carry: simplify it, or save it as a picture of 300 ppi.",
              points > MOST_POINTS
                  ? String.format(Locale.ROOT, "%,d points", MOST_POINTS)
                  : String.format(Locale.ROOT, "%,d areas", MOST_PARTS)));
    }
  }

  private Tint tint(Paint paint, double opacity, AffineTransform transform) {
    Paint unwrapped = Paints.unwrapped(paint);
    if (unwrapped instanceof Color c) {
      return new Tint.Flat(ink(c), opacity * c.getAlpha() / 255.0);
    }
    if (unwrapped instanceof MultipleGradientPaint g) {
      return gradient(g, opacity, transform);
    }
    lost.merge("fill of a pattern", 1, Integer::sum);
    return null;
  }

  private int ink(Color c) {
    return inks.computeIfAbsent(c.getRGB() & 0xffffff, k -> inks.size());
  }

  private Tint gradient(MultipleGradientPaint g, double opacity, AffineTransform transform) {
    List<Tint.Stop> stops = new ArrayList<>();
    double sum = 0;
    boolean fades = false;
    for (int i = 0; i < g.getColors().length; i++) {
      Color c = g.getColors()[i];
      stops.add(new Tint.Stop(g.getFractions()[i], ink(c)));
      sum += c.getAlpha() / 255.0;
      fades |= c.getAlpha() != g.getColors()[0].getAlpha();
    }
    if (fades) {
      lost.merge("fading of a gradient", 1, Integer::sum);
    }
    if (g.getCycleMethod() != MultipleGradientPaint.CycleMethod.NO_CYCLE) {
      lost.merge("repeating of a gradient", 1, Integer::sum);
    }
    double alpha = opacity * sum / stops.size();
    AffineTransform to = new AffineTransform(transform);
    to.concatenate(g.getTransform());
    if (g instanceof LinearGradientPaint l) {
      return Paints.linear(l.getStartPoint(), l.getEndPoint(), to, stops, alpha);
    }
    RadialGradientPaint r = (RadialGradientPaint) g;
    Point2D middle = r.getCenterPoint();
    to.translate(middle.getX(), middle.getY());
    to.scale(r.getRadius(), r.getRadius());
    if (r.getFocusPoint().distance(middle) > r.getRadius() / 100) {
      lost.merge("focus of a round gradient", 1, Integer::sum);
    }
    return new Tint.Radial(to, stops, alpha);
  }
}
