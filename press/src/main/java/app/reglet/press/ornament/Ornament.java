package app.reglet.press.ornament;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.List;
import java.util.stream.Stream;

/**
 * A drawing for covers, in vectors, whose inks a design chooses.
 *
 * @param id stays the same for ever: designs name it
 * @param name in words
 * @param family that it is listed in, empty for one that somebody brought
 * @param width of its box; origin top left, y down
 * @param height of its box
 * @param parts from back to front
 * @param inks the colours it came with, 0xRRGGBB; empty when it has none of its own
 */
public record Ornament(
    String id,
    String name,
    String family,
    double width,
    double height,
    List<Part> parts,
    List<Integer> inks) {
  /** Something drawn. */
  public sealed interface Part {
    /** The areas it is made of, from back to front. */
    Stream<Area> areas();
  }

  /**
   * One area.
   *
   * @param shape its form
   * @param tint what it is filled with
   * @param clip what of it is seen, null for all
   */
  public record Area(Shape shape, Tint tint, Shape clip) implements Part {
    /** An area of one ink. */
    public Area(Shape shape, int ink) {
      this(shape, new Tint.Flat(ink, 1), null);
    }

    @Override
    public Stream<Area> areas() {
      return Stream.of(this);
    }
  }

  /** Parts that are laid over what is under them as one, so that much opaque. */
  public record Faded(double opacity, List<Part> parts) implements Part {
    public Faded {
      parts = List.copyOf(parts);
    }

    @Override
    public Stream<Area> areas() {
      return parts.stream().flatMap(Part::areas);
    }
  }

  public Ornament {
    parts = List.copyOf(parts);
    inks = List.copyOf(inks);
  }

  /** A drawing without colours of its own. */
  public Ornament(
      String id, String name, String family, double width, double height, List<Part> parts) {
    this(id, name, family, width, height, parts, List.of());
  }

  /** All of its areas, from back to front. */
  public Stream<Area> areas() {
    return parts.stream().flatMap(Part::areas);
  }

  /** How many inks it has. */
  public int colours() {
    return areas().flatMap(p -> p.tint().inks()).mapToInt(i -> i).max().orElse(0) + 1;
  }

  /** All of its areas of one flat ink as one shape, in a box of its own proportion. */
  public Shape shape(int colour, AffineTransform to) {
    Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
    areas()
        .filter(p -> p.tint() instanceof Tint.Flat f && f.ink() == colour)
        .forEach(p -> all.append(p.shape(), false));
    return all.createTransformedShape(to);
  }
}
