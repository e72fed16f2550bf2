package app.reglet.press.ornament;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.List;

/**
 * A drawing for covers, in vectors, without colours of its own.
 *
 * @param id stays the same for ever: designs name it
 * @param name in words
 * @param family that it is listed in
 * @param width of its box; origin top left, y down
 * @param height of its box
 * @param parts from back to front
 */
public record Ornament(
    String id, String name, String family, double width, double height, List<Part> parts) {
  /**
   * One area of one colour.
   *
   * @param shape its form
   * @param colour which of the ornament's colours, from 0
   */
  public record Part(Shape shape, int colour) {}

  public Ornament {
    parts = List.copyOf(parts);
  }

  /** How many colours it has. */
  public int colours() {
    return parts.stream().mapToInt(Part::colour).max().orElse(0) + 1;
  }

  /** All of its areas of one colour as one shape, in a box of its own proportion. */
  public Shape shape(int colour, AffineTransform to) {
    Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
    parts.stream().filter(p -> p.colour() == colour).forEach(p -> all.append(p.shape(), false));
    return all.createTransformedShape(to);
  }
}
