package app.reglet.press.ornament;

import java.awt.geom.Ellipse2D;
import java.util.ArrayList;
import java.util.List;

/** Stars, suns, rosettes and flakes: what is the same all round. */
final class Stars {
  private static final String FAMILY = "Stars and rosettes";

  private Stars() {}

  static List<Ornament> all() {
    List<Ornament> all = new ArrayList<>();
    for (int n : new int[] {4, 5, 6, 8, 12}) {
      all.add(
          new Pencil()
              .fill(Pencil.star(n, 50, 50, 48, n < 6 ? 19 : 28))
              .done("star-" + n, "Star of " + n, FAMILY, 100, 100));
    }
    all.add(compass());
    for (int n : new int[] {5, 6, 8, 12}) {
      all.add(rosette(n));
    }
    for (int n : new int[] {12, 16, 24}) {
      all.add(sun(n));
    }
    all.add(flake("flake-plain", "Flake, plain", 1));
    all.add(flake("flake-fern", "Flake, ferned", 3));
    all.add(petals("quatrefoil", "Quatrefoil", 4));
    all.add(petals("trefoil", "Trefoil", 3));
    all.add(
        new Pencil()
            .ring(50, 50, 45, 4)
            .ring(50, 50, 37, 1.5)
            .fill(Pencil.star(8, 50, 50, 30, 12))
            .done("medal", "Medal", FAMILY, 100, 100));
    return all;
  }

  /** Long and short points, each half in the second colour. */
  private static Ornament compass() {
    Pencil p = new Pencil();
    p.round(4, 50, 50, q -> q.in(0).fill(Pencil.path("M 50 50 L 66 34 L 78 22 L 50 42 Z")));
    p.round(4, 50, 50, q -> q.in(1).fill(Pencil.path("M 50 50 L 78 22 L 58 50 Z")));
    p.round(4, 50, 50, q -> q.in(0).fill(Pencil.path("M 50 50 L 50 2 L 41 41 Z")));
    p.round(4, 50, 50, q -> q.in(1).fill(Pencil.path("M 50 50 L 50 2 L 59 41 Z")));
    return p.done("compass", "Compass", FAMILY, 100, 100);
  }

  private static Ornament rosette(int n) {
    double wide = n < 8 ? 15 : 120.0 / n;
    return new Pencil()
        .round(n, 50, 50, q -> q.in(0).fill(Pencil.leaf(50, 42, 40, wide)))
        .in(1)
        .dot(50, 50, 8)
        .done("rosette-" + n, "Rosette of " + n, FAMILY, 100, 100);
  }

  private static Ornament sun(int n) {
    double half = 42.0 / n;
    return new Pencil()
        .dot(50, 50, 22)
        .round(
            n,
            50,
            50,
            q -> q.fill(Pencil.path("M " + (50 - half) + " 24 L 50 2 L " + (50 + half) + " 24 Z")))
        .done("sun-" + n, "Sun of " + n + " rays", FAMILY, 100, 100);
  }

  private static Ornament flake(String id, String name, int branches) {
    return new Pencil()
        .round(
            6,
            50,
            50,
            q -> {
              q.line(3, Pencil.path("M 50 50 L 50 4"));
              for (int i = 0; i < branches; i++) {
                double y = 14 + 10 * i;
                double l = 9 + 1.5 * i;
                q.line(
                    2.4,
                    Pencil.path(
                        "M "
                            + (50 - l)
                            + " "
                            + (y - l * 0.6)
                            + " L 50 "
                            + y
                            + " L "
                            + (50 + l)
                            + " "
                            + (y - l * 0.6)));
              }
            })
        .done(id, name, FAMILY, 100, 100);
  }

  private static Ornament petals(String id, String name, int n) {
    return new Pencil()
        .round(n, 50, 50, q -> q.in(0).fill(new Ellipse2D.Double(32, 6, 36, 40)))
        .in(1)
        .dot(50, 50, 7)
        .done(id, name, FAMILY, 100, 100);
  }
}
