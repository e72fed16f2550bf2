package app.reglet.press.ornament;

import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/** Dividers, 200 wide. */
final class Rules {
  private static final String FAMILY = "Rules";
  private static final double WIDE = 200;

  private Rules() {}

  static List<Ornament> all() {
    List<Ornament> all = new ArrayList<>();
    all.add(
        rule(
            "rule-swelled",
            "Swelled rule",
            10,
            new Pencil().fill(Pencil.path("M 0 5 Q 100 1 200 5 Q 100 9 0 5 Z"))));
    all.add(
        rule(
            "rule-diamond",
            "Rule with a lozenge",
            16,
            new Pencil()
                .fill(bar(0, 7.2, 86, 1.6))
                .fill(bar(114, 7.2, 86, 1.6))
                .fill(Pencil.path("M 100 1 L 109 8 L 100 15 L 91 8 Z"))));
    all.add(
        rule(
            "rule-dots",
            "Three dots",
            12,
            new Pencil().dot(80, 6, 4).dot(100, 6, 4).dot(120, 6, 4)));
    all.add(
        rule(
            "rule-asterism",
            "Three stars",
            20,
            new Pencil()
                .fill(Pencil.star(6, 76, 10, 9, 3))
                .fill(Pencil.star(6, 100, 10, 9, 3))
                .fill(Pencil.star(6, 124, 10, 9, 3))));
    all.add(rule("rule-wave", "Wave", 16, new Pencil().line(2.4, wave(8, 8, 5))));
    all.add(
        rule(
            "rule-waves",
            "Three waves",
            30,
            new Pencil().line(2, wave(8, 6, 4)).line(2, wave(8, 15, 4)).line(2, wave(8, 24, 4))));
    all.add(
        rule(
            "rule-double",
            "Double rule",
            10,
            new Pencil().fill(bar(0, 1, 200, 3)).fill(bar(0, 7, 200, 1))));
    all.add(
        rule(
            "rule-arrows",
            "Rule with arrowheads",
            16,
            new Pencil()
                .fill(bar(14, 7.2, 172, 1.6))
                .fill(Pencil.path("M 0 8 L 18 2 L 13 8 L 18 14 Z"))
                .fill(Pencil.path("M 200 8 L 182 2 L 187 8 L 182 14 Z"))));
    all.add(rule("rule-zigzag", "Zigzag", 16, zigzag()));
    all.add(rule("rule-chain", "Chain", 16, chain()));
    all.add(rule("rule-leaves", "Rule of leaves", 24, leaves()));
    all.add(rule("rule-rope", "Rope", 14, rope()));
    all.add(
        rule(
            "rule-scroll",
            "Scroll",
            30,
            new Pencil()
                .line(2, Pencil.path("M 100 15 C 112 2 128 2 132 13 C 134 22 122 24 120 17"))
                .line(2, Pencil.path("M 100 15 C 88 28 72 28 68 17 C 66 8 78 6 80 13"))
                .line(1.6, Pencil.path("M 132 15 C 150 22 170 15 198 15"))
                .line(1.6, Pencil.path("M 68 15 C 50 8 30 15 2 15"))
                .dot(100, 15, 3)));
    return all;
  }

  private static Ornament rule(String id, String name, double height, Pencil drawn) {
    return drawn.done(id, name, FAMILY, WIDE, height);
  }

  private static Rectangle2D bar(double x, double y, double w, double h) {
    return new Rectangle2D.Double(x, y, w, h);
  }

  private static Path2D wave(int times, double y, double high) {
    Path2D p = new Path2D.Double();
    double half = (WIDE - 4) / times / 2;
    p.moveTo(2, y);
    for (int i = 0; i < 2 * times; i++) {
      double x = 2 + i * half;
      double to = i % 2 == 0 ? y - 2 * high : y + 2 * high;
      p.quadTo(x + half / 2, to, x + half, y);
    }
    return p;
  }

  private static Pencil zigzag() {
    Path2D p = new Path2D.Double();
    p.moveTo(3, 13);
    for (int i = 1; i <= 20; i++) {
      p.lineTo(3 + i * 9.7, i % 2 == 0 ? 13 : 3);
    }
    return new Pencil().line(2.4, p);
  }

  private static Pencil chain() {
    Pencil p = new Pencil();
    for (int i = 0; i < 13; i++) {
      p.ring(10 + i * 15, 8, 6.2, 2);
    }
    return p;
  }

  private static Pencil leaves() {
    Pencil p = new Pencil().line(1.4, Pencil.path("M 8 12 L 192 12"));
    for (int i = 0; i < 10; i++) {
      for (int side : new int[] {-1, 1}) {
        double x = i < 5 ? 92 - i * 19 : 108 + (i - 5) * 19;
        double turn = (i < 5 ? -1 : 1) * (side > 0 ? 118 : 62);
        p.at(java.awt.geom.AffineTransform.getRotateInstance(Math.toRadians(turn), x, 12))
            .fill(Pencil.leaf(x, 12, 17, 5.5));
      }
    }
    return p.at(new java.awt.geom.AffineTransform()).in(1).dot(100, 12, 3.4).in(0);
  }

  private static Pencil rope() {
    Pencil p = new Pencil();
    for (int i = 0; i < 20; i++) {
      double x = i * 9.6;
      p.fill(
          Pencil.path(
              "M "
                  + x
                  + " 11 C "
                  + (x + 4)
                  + " 13 "
                  + (x + 10)
                  + " 8 "
                  + (x + 17.6)
                  + " 3 C "
                  + (x + 12)
                  + " 1 "
                  + (x + 6)
                  + " 6 "
                  + x
                  + " 11 Z"));
    }
    return p;
  }
}
