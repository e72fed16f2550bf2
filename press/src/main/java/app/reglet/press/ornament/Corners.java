package app.reglet.press.ornament;

import java.awt.geom.AffineTransform;
import java.util.List;

/** For the top left corner of a frame; flipped and turned they serve the others. */
final class Corners {
  private static final String FAMILY = "Corners";

  private Corners() {}

  static List<Ornament> all() {
    return List.of(
        new Pencil()
            .line(4, Pencil.path("M 4 96 L 4 4 L 96 4"))
            .line(1.6, Pencil.path("M 12 96 L 12 12 L 96 12"))
            .done("corner-lines", "Corner of two lines", FAMILY, 100, 100),
        new Pencil()
            .line(3, Pencil.path("M 4 96 L 4 34 C 4 14 14 4 34 4 L 96 4"))
            .line(2, Pencil.path("M 14 60 C 14 30 30 14 60 14"))
            .dot(20, 20, 5)
            .done("corner-round", "Corner, round", FAMILY, 100, 100),
        new Pencil()
            .line(3, Pencil.path("M 4 96 L 4 22 L 22 22 L 22 4 L 96 4"))
            .line(1.6, Pencil.path("M 12 96 L 12 30 L 30 30 L 30 12 L 96 12"))
            .done("corner-step", "Corner, stepped", FAMILY, 100, 100),
        leaves(),
        new Pencil()
            .line(
                2.6,
                Pencil.path("M 4 96 C 4 60 8 40 26 40 C 40 40 40 22 28 22 C 20 22 18 32 26 34"))
            .line(
                2.6,
                Pencil.path("M 96 4 C 60 4 40 8 40 26 C 40 40 22 40 22 28 C 22 20 32 18 34 26"))
            .done("corner-curls", "Corner of curls", FAMILY, 100, 100));
  }

  private static Ornament leaves() {
    Pencil p = new Pencil().line(2, Pencil.path("M 12 94 C 12 52 52 12 94 12"));
    for (int i = 0; i < 7; i++) {
      double t = (i + 0.6) / 7.4;
      double x = 12 * (1 - t) * (1 - t) + 2 * t * (1 - t) * 18 + t * t * 90;
      double y = 90 * (1 - t) * (1 - t) + 2 * t * (1 - t) * 18 + t * t * 12;
      for (int side : new int[] {-1, 1}) {
        double turn = 10 + 75 * t + side * 46;
        p.at(AffineTransform.getRotateInstance(Math.toRadians(turn), x, y))
            .fill(Pencil.leaf(x, y, 14, 5));
      }
    }
    return p.at(new AffineTransform()).done("corner-leaves", "Corner of leaves", FAMILY, 100, 100);
  }
}
