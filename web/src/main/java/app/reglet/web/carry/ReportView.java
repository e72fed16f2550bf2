package app.reglet.web.carry;

import app.reglet.core.carry.FateText;
import app.reglet.core.carry.Report;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.util.ArrayList;
import java.util.List;
import org.springframework.ui.Model;

/** What became of a cover, as a page tells it: two pictures to one scale, and every piece. */
public final class ReportView {
  /** Room for both pictures, CSS pixels. */
  private static final long WIDE = 1120;

  private ReportView() {}

  /**
   * A piece in the report.
   *
   * @param change what became of it, in a word for the eye
   */
  public record Line(String piece, String name, String side, String change, String said) {}

  private static List<Line> lines(List<Report> reports, FateText text) {
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < reports.size(); i++) {
      String side = i == 0 ? "" : "inside";
      reports
          .get(i)
          .fates()
          .forEach(
              f ->
                  lines.add(
                      new Line(
                          f.piece(),
                          f.name(),
                          side,
                          f.found().isEmpty()
                              ? f.changes().stream().sorted().findFirst().orElseThrow().name()
                              : "UNFIT",
                          text.of(f))));
    }
    return lines;
  }

  /** A screen's figures are pixels; else those of the page it is told on. */
  private static Unit unit(Cover of, Cover page) {
    return of.house().isInPixels() ? Unit.PX : page.unit() == Unit.PX ? of.unit() : page.unit();
  }

  /** Widths of two sheets as pictures beside each other: to one scale, a screen's as high. */
  private static long[] widths(Cover before, Cover after) {
    Size a = before.sheet().sheet();
    Size b = after.sheet().sheet();
    boolean screen = before.house().isInPixels() || after.house().isInPixels();
    double share =
        screen
            ? a.width().toMm() / a.height().toMm() * b.height().toMm() / b.width().toMm()
            : a.width().toMm() / b.width().toMm();
    long first = Math.round(WIDE * share / (1 + share));
    return new long[] {first, WIDE - first};
  }

  /** The lines of a report alone, as {@link #add} gives them. */
  public static List<Line> lines(Covers covers, Cover before, Cover after, Cover page) {
    return lines(
        Carrying.reports(before, after, covers), new FateText(after.sheet(), unit(after, page)));
  }

  /**
   * Puts the report on a page.
   *
   * @param before the cover as it was
   * @param after as it is
   * @param page the cover whose page it is
   * @return the lines of the report
   */
  public static List<Line> add(Model model, Covers covers, Cover before, Cover after, Cover page) {
    List<Report> reports = Carrying.reports(before, after, covers);
    long[] widths = widths(before, after);
    model.addAttribute("widths", widths);
    model.addAttribute(
        "heights", new long[] {before.heightAt(widths[0]), after.heightAt(widths[1])});
    Unit unit = unit(after, page);
    FateText text = new FateText(after.sheet(), unit);
    model.addAttribute("unit", unit);
    List<Line> lines = lines(reports, text);
    model.addAttribute("lines", lines);
    model.addAttribute("said", text.line(reports.get(0)));
    model.addAttribute("whole", reports.stream().flatMap(r -> text.whole(r).stream()).toList());
    model.addAttribute("after", after);
    return lines;
  }
}
