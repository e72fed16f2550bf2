package app.reglet.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What two designs of one cover differ in, in sentences a person would say. */
public final class DesignChange {
  private DesignChange() {}

  /**
   * What two designs differ in, a line for each piece or ground that is not the same.
   *
   * @return names of pieces and what happened to them from the first to the second
   */
  public static List<String> between(Design first, Design second) {
    List<String> lines = new ArrayList<>();
    for (PrintedSide side : PrintedSide.values()) {
      String on = side == PrintedSide.INSIDE ? ", inside" : "";
      Map<String, Piece> before = pieces(first, side);
      Map<String, Piece> after = pieces(second, side);
      after.forEach(
          (id, p) -> {
            Piece was = before.get(id);
            if (was == null) {
              lines.add("“" + p.name() + "” was put on" + on);
            } else if (!was.equals(p)) {
              lines.add("“" + p.name() + "” " + changed(was, p) + on);
            }
          });
      before.forEach(
          (id, p) -> {
            if (!after.containsKey(id)) {
              lines.add("“" + p.name() + "” was taken off" + on);
            }
          });
      if (!first.side(side).grounds().toList().equals(second.side(side).grounds().toList())) {
        lines.add("The ground is another" + on);
      }
    }
    if (!first.palette().equals(second.palette())) {
      lines.add("The palette is another");
    }
    return lines;
  }

  private static Map<String, Piece> pieces(Design d, PrintedSide side) {
    Map<String, Piece> all = new LinkedHashMap<>();
    d.side(side).pieces().forEach(p -> all.put(p.id(), p));
    return all;
  }

  private static String changed(Piece was, Piece now) {
    boolean place = !was.placement().equals(now.placement());
    boolean content = !was.content().equals(now.content());
    return place && content
        ? "lies elsewhere and shows something else"
        : place ? "lies elsewhere" : content ? "shows something else" : "looks otherwise";
  }
}
