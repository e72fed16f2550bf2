package app.reglet.web.carry;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.compare.SideBySide;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What a cover is to be carried to, as a page asks for it.
 *
 * @param house its id
 * @param binding its id
 * @param trim the number of a trim in the house's list, from 0, or a size that it offers, as it is
 *     typed; empty for the nearest it offers
 * @param turn {@code ltr} or {@code rtl}; empty for as it is
 */
public record Target(String house, String binding, String trim, String turn) {
  boolean isOf(SideBySide.Row row) {
    return row.house().id().equals(house) && row.binding().equals(Binding.byId(binding));
  }

  /** The trims that can be chosen for a row: those listed, and the one it takes. */
  static List<Size> trims(SideBySide.Row row) {
    List<Size> trims = new ArrayList<>(row.rules().trims().listed());
    if (!trims.contains(row.taken().trim())) {
      trims.add(0, row.taken().trim());
    }
    return trims;
  }

  /** The facts of a row with what was chosen otherwise. */
  Specification spec(SideBySide.Row row) {
    Specification spec = row.taken();
    if (!trim.isBlank()) {
      spec = spec.withTrim(chosen(row));
    }
    PageTurn way = PageTurn.byId(turn);
    if (!turn.isBlank() && way == null) {
      throw new Refusal("Pages turn “ltr” or “rtl”; this is “" + turn + "”.");
    }
    return way == null ? spec : spec.withTurn(way);
  }

  private Size chosen(SideBySide.Row row) {
    List<Size> trims = trims(row);
    if (trim.matches("\\d{1,3}") && Integer.parseInt(trim) < trims.size()) {
      return trims.get(Integer.parseInt(trim));
    }
    Unit unit = row.house().isInPixels() ? Unit.PX : row.house().unit();
    try {
      Size typed = Size.parse(trim, unit);
      if (row.rules().trims().offers(typed)) {
        return typed;
      }
    } catch (Refusal r) {
      // is said below
    }
    throw new Refusal(
        "“"
            + (trim.length() > 40 ? trim.substring(0, 40) + "…" : trim)
            + "” is none of the trims here: "
            + trims.stream()
                .limit(12)
                .map(t -> said(t, row, unit))
                .collect(Collectors.joining("; "))
            + (trims.size() > 12 ? " and more" : "")
            + ".");
  }

  /** What it is called where pictures are kept. */
  String key() {
    return house + "." + binding + "." + trim + "." + turn;
  }

  /** A trim as its list shows it. */
  static String said(Size trim, SideBySide.Row row, Unit unit) {
    return trim.print(row.house().isInPixels() ? Unit.PX : unit == Unit.PX ? Unit.MM : unit);
  }
}
