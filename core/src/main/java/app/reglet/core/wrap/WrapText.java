package app.reglet.core.wrap;

import app.reglet.core.house.BarcodeRule;
import app.reglet.core.house.SafeDistances;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A measured cover as plain text, to print in a terminal or to lay beside a template. */
public final class WrapText {
  private final StringBuilder out = new StringBuilder();
  private final Unit unit;

  private WrapText(Unit unit) {
    this.unit = unit;
  }

  /** The measurement sheet in the house's unit. */
  public static String write(Wrap wrap) {
    return write(wrap, wrap.house().unit());
  }

  /** The measurement sheet. */
  public static String write(Wrap wrap, Unit unit) {
    WrapText text = new WrapText(unit);
    text.head(wrap);
    text.rules(wrap);
    for (Wrap page : FilePages.of(wrap)) {
      text.page(page);
    }
    return text.out.toString();
  }

  /** The facts, rules and sums without the coordinates, one line each. */
  public static List<String> summary(Wrap wrap, Unit unit) {
    WrapText text = new WrapText(unit);
    text.head(wrap);
    text.rules(wrap);
    for (Wrap page : FilePages.of(wrap)) {
      text.sums(page);
    }
    return text.out.toString().lines().filter(l -> !l.isBlank()).toList();
  }

  private void head(Wrap w) {
    String paper =
        !w.spec().binding().hasPages() ? "" : ", " + w.house().stock(w.spec().stock()).name();
    String pages = !w.spec().binding().hasPages() ? "" : ", " + w.spec().pages() + " pages";
    line(
        w.house().name()
            + ", "
            + w.spec().binding().title().toLowerCase(Locale.ROOT)
            + ", "
            + w.spec().trim().print(unit)
            + pages
            + paper);
    line("");
    if (w.spec().binding().hasPages()) {
      row("Spine", w.spine().print(unit));
    }
  }

  private void rules(Wrap w) {
    SafeDistances s = w.rules().safe();
    row(
        "Keep words",
        s.trim().print(unit)
            + " from trim"
            + (w.folds().isEmpty() ? "" : ", " + s.fold().print(unit) + " from folds")
            + (hasHinge(w) ? ", " + s.hinge().print(unit) + " from hinges" : ""));
    if (s.drift().isPositive()) {
      row("Trim drift", "up to " + s.drift().print(unit) + " either way");
    }
    w.panel(PanelKind.SPINE).ifPresent(p -> row("Words on spine", spineType(w, p)));
    Optional<BarcodeRule> barcode = w.rules().barcode();
    barcode.ifPresent(b -> row("Barcode", b.supplier().sentence()));
  }

  private static boolean hasHinge(Wrap w) {
    return w.zones().stream().anyMatch(z -> z.kind() == Zone.Kind.HINGE);
  }

  private String spineType(Wrap w, Panel spine) {
    SpineTypeRule rule = w.rules().spineType();
    if (!w.printsOnSpine()) {
      return "not allowed";
    }
    return "at most "
        + spine.safe().width().print(unit)
        + " across"
        + (rule.leastSize().isPositive() ? ", from " + rule.leastSize().brief(Unit.PT) : "")
        + ", "
        + rule.direction().words();
  }

  private void sums(Wrap w) {
    line("");
    line(w.page().title());
    row("Sheet", w.sheet().print(unit));
    if (!w.stated().equals(w.sheet())) {
      row("Stated", w.stated().print(unit) + ", " + w.house().files().sheetRounding().print(unit));
    }
    row("Width", w.width().print(unit));
    row("", w.width().inWords());
    row("Height", w.height().print(unit));
    row("", w.height().inWords());
  }

  private void page(Wrap w) {
    sums(w);
    line("From the top left of this page, " + unit.symbol() + ": left, top, width × height");
    row("Trimmed", figures(w.trimmed()));
    for (Panel p : w.panels()) {
      row(w.nameOf(p.kind()), figures(p.trim()));
    }
    for (Fold f : w.folds()) {
      row("Fold", f.x().figure(unit));
    }
    for (Zone z : w.zones()) {
      String kind = z.kind().name();
      row(
          kind.charAt(0)
              + kind.substring(1).toLowerCase(Locale.ROOT)
              + ", "
              + z.panel().title().toLowerCase(Locale.ROOT),
          figures(z.box()));
    }
  }

  private String figures(Box b) {
    return figure(b.left())
        + ", "
        + figure(b.top())
        + ", "
        + figure(b.width())
        + " × "
        + figure(b.height());
  }

  private String figure(Length l) {
    return l.figure(unit);
  }

  private void row(String name, String text) {
    line(String.format(Locale.ROOT, "%-18s %s", name, text));
  }

  private void line(String text) {
    out.append(text.stripTrailing()).append('\n');
  }
}
