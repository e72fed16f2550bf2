package app.reglet.press.ornament;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;

/** Leaves, shells, reeds, birds and boats. */
final class Shore {
  private static final String FAMILY = "Leaves and shore";

  private Shore() {}

  static List<Ornament> all() {
    List<Ornament> all = new ArrayList<>();
    for (int pairs : new int[] {3, 5, 7}) {
      all.add(sprig(pairs));
    }
    all.add(laurel());
    all.add(
        new Pencil()
            .fill(Pencil.leaf(50, 92, 84, 34))
            .in(1)
            .line(1.6, Pencil.path("M 50 98 L 50 16"))
            .done("leaf", "Leaf", FAMILY, 100, 100));
    all.add(samphire());
    all.add(sedge());
    all.add(shell());
    all.add(gull());
    all.add(boat());
    all.add(fish());
    all.add(
        new Pencil()
            .fill(
                Pencil.path(
                    "M 50 4 C 54 26 84 44 84 66 C 84 86 68 97 50 97 C 32 97 16 86 16 66 C 16 44 46 26 50 4 Z"))
            .done("drop", "Drop", FAMILY, 100, 100));
    all.add(lighthouse());
    all.add(
        new Pencil()
            .line(5, Pencil.path("M 50 22 L 50 92"))
            .line(5, Pencil.path("M 30 36 L 70 36"))
            .line(5, Pencil.path("M 14 62 C 16 84 34 94 50 94 C 66 94 84 84 86 62"))
            .fill(Pencil.path("M 14 54 L 6 70 L 24 68 Z"))
            .fill(Pencil.path("M 86 54 L 94 70 L 76 68 Z"))
            .ring(50, 14, 8, 4)
            .done("anchor", "Anchor", FAMILY, 100, 100));
    return all;
  }

  private static Ornament sprig(int pairs) {
    Pencil p = new Pencil().line(2.4, Pencil.path("M 50 98 L 50 12"));
    double step = 76.0 / pairs;
    for (int i = 0; i < pairs; i++) {
      double y = 94 - i * step;
      double long1 = 34 * (1 - 0.4 * i / pairs);
      for (int side : new int[] {-1, 1}) {
        p.at(AffineTransform.getRotateInstance(side * Math.toRadians(52), 50, y))
            .fill(Pencil.leaf(50, y, long1, step * 0.55));
      }
    }
    p.at(new AffineTransform()).fill(Pencil.leaf(50, 20, 18, step * 0.4));
    return p.done("sprig-" + pairs, "Sprig of " + pairs + " pairs", FAMILY, 100, 100);
  }

  private static Ornament laurel() {
    Pencil p = new Pencil();
    for (int side : new int[] {-1, 1}) {
      for (int i = 0; i < 9; i++) {
        double a = Math.toRadians(172 - i * 17) * side;
        double x = 50 + 38 * Math.sin(a);
        double y = 52 - 38 * Math.cos(a);
        for (int out : new int[] {-1, 1}) {
          AffineTransform t =
              AffineTransform.getRotateInstance(
                  a - side * Math.toRadians(90) + out * Math.toRadians(28), x, y);
          p.at(t).fill(Pencil.leaf(x, y, 15, 5));
        }
      }
    }
    return p.at(new AffineTransform()).done("laurel", "Laurel", FAMILY, 100, 100);
  }

  /** A stem of fleshy joints with arms. */
  private static Ornament samphire() {
    Pencil p = new Pencil();
    for (int i = 0; i < 6; i++) {
      p.fill(Pencil.leaf(50, 98 - i * 15, 18, 5.5));
    }
    for (int i = 0; i < 4; i++) {
      for (int side : new int[] {-1, 1}) {
        double y = 84 - i * 15;
        AffineTransform t = AffineTransform.getRotateInstance(side * Math.toRadians(44), 50, y);
        for (int k = 0; k < 3 - i / 2; k++) {
          p.at(t).fill(Pencil.leaf(50, y - k * 12, 14, 4.4));
        }
      }
    }
    return p.at(new AffineTransform()).done("samphire", "Samphire", FAMILY, 100, 100);
  }

  private static Ornament sedge() {
    Pencil p = new Pencil();
    String[] blades = {
      "M 48 98 C 46 70 40 40 22 10 C 44 38 51 70 51 98 Z",
      "M 50 98 C 50 66 54 34 60 4 C 60 36 55 68 53 98 Z",
      "M 52 98 C 56 74 66 50 88 26 C 74 52 60 74 55 98 Z",
      "M 47 98 C 42 80 32 62 10 46 C 34 56 47 76 50 98 Z",
      "M 53 98 C 60 86 72 74 94 62 C 76 76 62 86 56 98 Z"
    };
    for (String b : blades) {
      p.fill(Pencil.path(b));
    }
    p.in(1).fill(Pencil.leaf(61, 14, 12, 5)).fill(Pencil.leaf(23, 18, 12, 5));
    return p.done("sedge", "Sedge", FAMILY, 100, 100);
  }

  private static Ornament shell() {
    Pencil p = new Pencil();
    int ribs = 9;
    for (int i = 0; i < ribs; i++) {
      double a = Math.toRadians(-47 + 94.0 * i / (ribs - 1));
      p.at(AffineTransform.getRotateInstance(a, 50, 88))
          .fill(Pencil.leaf(50, 84, 56 + 24 * Math.cos(a * 1.5), 10));
    }
    return p.at(new AffineTransform())
        .fill(Pencil.path("M 38 86 L 62 86 L 68 98 L 32 98 Z"))
        .done("shell", "Shell", FAMILY, 100, 100);
  }

  private static Ornament gull() {
    return new Pencil()
        .fill(
            Pencil.path(
                "M 2 34 C 20 22 38 26 50 44 C 62 26 80 22 98 34 C 82 30 66 36 54 56 L 46 56 C 34 36 18 30 2 34 Z"))
        .done("gull", "Gull", FAMILY, 100, 70);
  }

  private static Ornament boat() {
    return new Pencil()
        .fill(Pencil.path("M 8 72 L 92 72 C 86 86 78 92 70 92 L 28 92 C 18 92 12 84 8 72 Z"))
        .line(2.4, Pencil.path("M 48 70 L 48 6"))
        .in(1)
        .fill(Pencil.path("M 52 10 C 72 28 82 48 84 64 L 52 64 Z"))
        .fill(Pencil.path("M 44 22 C 32 38 22 52 18 64 L 44 64 Z"))
        .done("boat", "Boat", FAMILY, 100, 100);
  }

  private static Ornament fish() {
    Path2D body =
        Pencil.path(
            "M 4 30 C 22 6 56 4 76 30 L 98 12 C 92 26 92 34 98 48 L 76 30 C 56 56 22 54 4 30 Z");
    return new Pencil().fill(body).in(1).dot(20, 26, 3).done("fish", "Fish", FAMILY, 100, 60);
  }

  private static Ornament lighthouse() {
    return new Pencil()
        .fill(Pencil.path("M 40 34 L 60 34 L 68 96 L 32 96 Z"))
        .fill(Pencil.path("M 36 12 L 50 4 L 64 12 Z"))
        .fill(Pencil.path("M 42 14 L 58 14 L 58 28 L 42 28 Z"))
        .fill(Pencil.path("M 34 29 L 66 29 L 66 33 L 34 33 Z"))
        .in(1)
        .fill(Pencil.path("M 38.1 49 L 61.9 49 L 63.7 63 L 36.3 63 Z"))
        .fill(Pencil.path("M 34.5 77 L 65.5 77 L 67.3 91 L 32.7 91 Z"))
        .fill(Pencil.path("M 62 17 L 98 8 L 98 30 L 62 23 Z"))
        .done("lighthouse", "Lighthouse", FAMILY, 100, 100);
  }
}
