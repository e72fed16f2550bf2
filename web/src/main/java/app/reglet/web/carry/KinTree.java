package app.reglet.web.carry;

import app.reglet.core.carry.Offer;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The editions of a title as a drawing: each to the right of the one it was carried from. Lengths
 * are CSS pixels from the upper left corner.
 *
 * @param boxes the editions
 * @param lines from each to those that were carried from it
 */
public record KinTree(List<Box> boxes, List<Line> lines, int width, int height) {
  private static final int WIDE = 250;
  private static final int HIGH = 92;
  private static final int GAP = 120;
  private static final int ROW = 116;
  private static final int LONGEST = 46;

  /** An edition. */
  public record Box(int x, int y, int width, int height, Kin.Node node, String own) {}

  /**
   * What goes from an origin to what was carried from it.
   *
   * @param path of an SVG
   * @param x where its words begin
   * @param said {@code 2 to take}
   * @param even whether there is nothing to take
   */
  public record Line(String path, int x, int y, String said, boolean even) {}

  /** Draws them. */
  static KinTree of(List<Kin.Node> nodes) {
    Laying laying = new Laying(nodes);
    Set<Long> here = nodes.stream().map(n -> n.edition().getId()).collect(Collectors.toSet());
    nodes.stream()
        .filter(n -> n.origin() == null || !here.contains(n.origin()))
        .forEach(n -> laying.lay(n, 0));
    nodes.forEach(n -> laying.lay(n, 0)); // what goes round in a circle has no beginning
    int width = laying.boxes.stream().mapToInt(b -> b.x() + WIDE).max().orElse(0);
    return new KinTree(laying.boxes, laying.lines, width + 2, laying.row * ROW - (ROW - HIGH) + 2);
  }

  private static final class Laying {
    private final List<Kin.Node> nodes;
    private final List<Box> boxes = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();
    private final Set<Long> laid = new LinkedHashSet<>();
    private int row;

    Laying(List<Kin.Node> nodes) {
      this.nodes = nodes;
    }

    void lay(Kin.Node node, int depth) {
      if (!laid.add(node.edition().getId())) {
        return;
      }
      int x = 1 + depth * (WIDE + GAP);
      int y = 1 + row * ROW;
      boxes.add(new Box(x, y, WIDE, HIGH, node, own(node)));
      int first = row;
      for (Kin.Node child : nodes) {
        if (node.edition().getId().equals(child.origin())
            && !laid.contains(child.edition().getId())) {
          int to = 1 + row * ROW + HIGH / 2;
          int from = x + WIDE;
          int bend = from + 14;
          lines.add(
              new Line(
                  "M" + from + " " + (y + HIGH / 2) + "H" + bend + "V" + to + "H" + (from + GAP),
                  bend + 6,
                  to - 6,
                  said(child),
                  child.offered() == 0));
          lay(child, depth + 1);
        }
      }
      if (row == first) {
        row++;
      }
    }

    private static String said(Kin.Node node) {
      return node.trouble() != null
          ? node.trouble()
          : node.offered() == 0 ? "follows" : node.offered() + " to take";
    }

    private static String own(Kin.Node node) {
      List<Offer> own = node.own();
      if (own.isEmpty()) {
        return "";
      }
      String all =
          own.stream().map(o -> o.name() + " " + o.said()).collect(Collectors.joining(", "));
      return "own: "
          + (all.length() <= LONGEST
              ? all
              : own.get(0).name() + " " + own.get(0).said() + ", " + (own.size() - 1) + " more");
    }
  }
}
