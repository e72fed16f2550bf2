package app.reglet.core.wrap;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A measured cover as rows: every box of every page that is handed over, from the top left of its
 * page. As comma-separated values (RFC 4180) in exact mm and inches.
 */
public final class WrapTable {
  private static final String HEAD =
      "page,item,part,x_mm,y_mm,width_mm,height_mm,x_in,y_in,width_in,height_in";

  private WrapTable() {}

  /**
   * One box.
   *
   * @param page id of the page it lies on
   * @param item what it is: {@code sheet}, {@code trimmed}, {@code panel}, {@code fold}, a zone
   * @param part on which part of the cover; empty for the whole
   * @param box where; a fold has no width
   */
  public record Row(String page, String item, String part, Box box) {}

  /** The rows of a cover and the pages that go with it. */
  public static List<Row> rows(Wrap outside) {
    List<Row> rows = new ArrayList<>();
    for (Wrap w : FilePages.of(outside)) {
      String page = w.page().id();
      rows.add(new Row(page, "sheet", "", w.sheetBox()));
      rows.add(new Row(page, "trimmed", "", w.trimmed()));
      for (Panel p : w.panels()) {
        rows.add(new Row(page, "panel", p.kind().id(), p.trim()));
      }
      for (Fold f : w.folds()) {
        rows.add(
            new Row(
                page,
                "fold",
                f.between().id() + "/" + f.and().id(),
                new Box(f.x(), w.trimmed().top(), Length.ZERO, w.trimmed().height())));
      }
      for (Zone z : w.zones()) {
        rows.add(new Row(page, z.kind().name().toLowerCase(Locale.ROOT), z.panel().id(), z.box()));
      }
    }
    return rows;
  }

  /** As comma-separated values, with a head line and lines ended by CR LF. */
  public static String csv(Wrap outside) {
    StringBuilder out = new StringBuilder(HEAD).append("\r\n");
    for (Row r : rows(outside)) {
      out.append(r.page()).append(',').append(r.item()).append(',').append(r.part());
      for (Unit unit : new Unit[] {Unit.MM, Unit.IN}) {
        Box b = r.box();
        for (Length l : new Length[] {b.x(), b.y(), b.width(), b.height()}) {
          out.append(',').append(l.exact(unit));
        }
      }
      out.append("\r\n");
    }
    return out.toString();
  }
}
