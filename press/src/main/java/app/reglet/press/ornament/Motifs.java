package app.reglet.press.ornament;

import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.List;

/** What repeats well: small forms, and cells whose edges meet. */
final class Motifs {
  private static final String FAMILY = "For patterns";

  private Motifs() {}

  private static Ornament of(String id, String name, double width, double height, Pencil drawn) {
    return drawn.done(id, name, FAMILY, width, height);
  }

  static List<Ornament> all() {
    return List.of(
        of("dot", "Dot", 100, 100, new Pencil().dot(50, 50, 40)),
        of("ring", "Ring", 100, 100, new Pencil().ring(50, 50, 40, 10)),
        of(
            "rings",
            "Rings",
            100,
            100,
            new Pencil().ring(50, 50, 42, 5).ring(50, 50, 28, 5).dot(50, 50, 14)),
        of(
            "plus",
            "Plus",
            100,
            100,
            new Pencil()
                .fill(new Rectangle2D.Double(42, 15, 16, 70))
                .fill(new Rectangle2D.Double(15, 42, 70, 16))),
        of(
            "saltire",
            "Saltire",
            100,
            100,
            new Pencil()
                .line(12, Pencil.path("M 20 20 L 80 80"))
                .line(12, Pencil.path("M 80 20 L 20 80"))),
        of(
            "lozenge",
            "Lozenge",
            100,
            140,
            new Pencil().fill(Pencil.path("M 50 5 L 95 70 L 50 135 L 5 70 Z"))),
        of(
            "lozenge-open",
            "Lozenge, open",
            100,
            140,
            new Pencil().line(7, Pencil.path("M 50 8 L 92 70 L 50 132 L 8 70 Z")).dot(50, 70, 8)),
        of(
            "chevron",
            "Chevron",
            100,
            60,
            new Pencil().fill(Pencil.path("M 0 30 L 50 0 L 100 30 L 100 50 L 50 20 L 0 50 Z"))),
        of("stripe", "Stripe", 100, 20, new Pencil().fill(new Rectangle2D.Double(0, 0, 100, 20))),
        of(
            "check",
            "Check",
            100,
            100,
            new Pencil()
                .fill(new Rectangle2D.Double(0, 0, 50, 50))
                .fill(new Rectangle2D.Double(50, 50, 50, 50))),
        of(
            "hatch",
            "Hatching",
            100,
            100,
            new Pencil()
                .fill(Pencil.path("M 0 100 L 100 0 L 100 20 L 20 100 Z"))
                .fill(Pencil.path("M 0 0 L 20 0 L 0 20 Z"))),
        of(
            "ripple",
            "Ripple",
            100,
            48,
            new Pencil()
                .fill(
                    Pencil.path(
                        "M 0 20 C 25 0 25 0 50 20 C 75 40 75 40 100 20 L 100 28 C 75 48 75 48 50 28 C 25 8 25 8 0 28 Z"))),
        of("scale", "Scale", 100, 60, scale()),
        of("brickwork", "Brick", 100, 50, new Pencil().fill(new Rectangle2D.Double(4, 4, 92, 42))),
        of("reed", "Reed", 40, 100, new Pencil().fill(Pencil.leaf(20, 96, 90, 12))),
        of("tick", "Tick", 100, 100, new Pencil().line(10, Pencil.path("M 50 22 L 50 78"))),
        of(
            "triangle",
            "Triangle",
            100,
            88,
            new Pencil().fill(Pencil.path("M 50 6 L 94 82 L 6 82 Z"))),
        of(
            "hexagon-open",
            "Hexagon, open",
            100,
            112,
            new Pencil().line(6, Pencil.path("M 50 5 L 94 30 L 94 82 L 50 107 L 6 82 L 6 30 Z"))));
  }

  private static Pencil scale() {
    Pencil p = new Pencil();
    for (double r : new double[] {48, 34, 20}) {
      Area half = new Area(new Ellipse2D.Double(50 - r, 54 - r, 2 * r, 2 * r));
      half.subtract(new Area(new Ellipse2D.Double(50 - r + 6, 54 - r + 6, 2 * r - 12, 2 * r - 12)));
      half.intersect(new Area(new Rectangle2D.Double(0, 0, 100, 54)));
      p.fill(half);
    }
    return p;
  }
}
