package app.reglet.core.wrap;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What changed between two measurings of a cover, in sentences a person would say. */
public final class WrapChange {
  private WrapChange() {}

  /** The changes, nothing when the sheet is the same. */
  public static List<String> between(Wrap before, Wrap after, Unit unit) {
    List<String> said = new ArrayList<>();
    Length spine = after.spine().stated().minus(before.spine().stated());
    if (!spine.isZero()) {
      said.add("spine " + signed(spine, unit));
    }
    boolean turned = before.spec().turn() != after.spec().turn();
    if (turned) {
      said.add("front and back changed sides");
    }
    boolean sameTrim = before.spec().trim().equals(after.spec().trim());
    if (sameTrim && !turned) {
      said.addAll(moves(before, after, spine, unit));
    }
    Length width = after.sheet().width().minus(before.sheet().width());
    Length height = after.sheet().height().minus(before.sheet().height());
    if (!width.isZero()) {
      said.add("sheet " + signed(width, unit) + " wide");
    }
    if (!height.isZero()) {
      said.add("sheet " + signed(height, unit) + " high");
    }
    return said;
  }

  private static List<String> moves(Wrap before, Wrap after, Length spine, Unit unit) {
    List<String> said = new ArrayList<>();
    for (PanelKind kind : new PanelKind[] {PanelKind.FRONT, PanelKind.BACK}) {
      Optional<Box> a = before.panel(kind).map(Panel::trim);
      Optional<Box> b = after.panel(kind).map(Panel::trim);
      if (a.isPresent() && b.isPresent()) {
        Length by = b.get().left().minus(a.get().left());
        if (!by.isZero()) {
          String way = by.isPositive() ? " moved right" : " moved left";
          boolean same = by.abs().equals(spine.abs());
          said.add(
              kind.title().toLowerCase(Locale.ROOT)
                  + way
                  + (same ? " by the same" : " by " + by.abs().brief(unit)));
        }
      }
    }
    return said;
  }

  private static String signed(Length l, Unit unit) {
    return (l.isNegative() ? "−" : "+") + l.abs().brief(unit);
  }
}
