package app.reglet.press.ornament;

import java.awt.geom.AffineTransform;
import java.util.List;
import java.util.stream.Stream;

/** What a part of a drawing is filled with: numbers of the drawing's inks, in its coordinates. */
public sealed interface Tint {
  /** 0 to 1. */
  double opacity();

  /** The numbers of its inks. */
  Stream<Integer> inks();

  /** So many times as opaque. */
  Tint times(double factor);

  /** One ink. */
  record Flat(int ink, double opacity) implements Tint {
    @Override
    public Stream<Integer> inks() {
      return Stream.of(ink);
    }

    @Override
    public Tint times(double factor) {
      return new Flat(ink, opacity * factor);
    }
  }

  /** Inks along a line from one point to another, and the outer ones beyond. */
  record Linear(double x1, double y1, double x2, double y2, List<Stop> stops, double opacity)
      implements Tint {
    public Linear {
      stops = List.copyOf(stops);
    }

    @Override
    public Stream<Integer> inks() {
      return stops.stream().map(Stop::ink);
    }

    @Override
    public Tint times(double factor) {
      return new Linear(x1, y1, x2, y2, stops, opacity * factor);
    }
  }

  /**
   * Inks from a middle to the edge of an ellipse round it, and the last beyond.
   *
   * @param circle takes the circle of radius 1 round 0, 0 to that ellipse
   */
  record Radial(AffineTransform circle, List<Stop> stops, double opacity) implements Tint {
    public Radial {
      circle = new AffineTransform(circle);
      stops = List.copyOf(stops);
    }

    @Override
    public AffineTransform circle() {
      return new AffineTransform(circle);
    }

    @Override
    public Stream<Integer> inks() {
      return stops.stream().map(Stop::ink);
    }

    @Override
    public Tint times(double factor) {
      return new Radial(circle, stops, opacity * factor);
    }
  }

  /**
   * An ink of a gradient.
   *
   * @param at 0 at its start, 1 at its end
   * @param ink its number
   */
  record Stop(double at, int ink) {}
}
