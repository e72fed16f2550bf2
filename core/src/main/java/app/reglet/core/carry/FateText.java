package app.reglet.core.carry;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What became of a piece, in words and figures.
 *
 * @param to the sheet it is on now
 * @param unit of the figures
 */
public record FateText(Wrap to, Unit unit) {
  /** A piece in another size that goes less far is where it was on its panel. */
  private static final Length FAR = Length.mm("6");

  /** As many pieces are named one by one. */
  private static final int NAMED = 2;

  private static final double SAME_SHAPE = 0.005;

  /** A sentence: {@code Moved 3.2 mm right, 0.92 times the size; type 55 → 50.6 pt.} */
  public String of(Fate fate) {
    String said = fate.is(Fate.Change.KEPT) ? "As it was." : sentence(fate);
    return fate.found().isEmpty()
        ? said
        : (fate.is(Fate.Change.UNFIT) && fate.changes().size() == 1 ? "" : said + " ")
            + fate.found().stream().map(f -> f.sentence(unit)).collect(Collectors.joining(" "));
  }

  private String sentence(Fate fate) {
    if (fate.is(Fate.Change.SET_ASIDE)) {
      return aside(fate);
    }
    List<String> parts = new ArrayList<>();
    if (fate.is(Fate.Change.ADDED)) {
      parts.add(
          "new"
              + fate.after().flatMap(Fate.Place::panel).map(p -> ", on the " + said(p)).orElse(""));
    }
    if (fate.is(Fate.Change.NEW_PANEL)) {
      parts.add(
          "from the "
              + named(fate.before().orElseThrow().panel())
              + " to the "
              + named(fate.after().orElseThrow().panel()));
    } else if (fate.is(Fate.Change.MOVED) && fate.after().orElseThrow().panel().isPresent()) {
      moved(fate).ifPresent(parts::add);
    }
    if (fate.is(Fate.Change.SCALED)) {
      parts.add(scaled(fate.before().orElseThrow().box(), fate.after().orElseThrow().box()));
    }
    if (fate.is(Fate.Change.RESET)) {
      parts.add(
          "type "
              + points(fate.before().orElseThrow())
              + " → "
              + points(fate.after().orElseThrow())
              + " pt");
    }
    if (fate.is(Fate.Change.RECROPPED)) {
      parts.add("its picture cut anew round what stays in sight");
    }
    if (fate.is(Fate.Change.MIRRORED)) {
      parts.add("mirrored with the sheet: see that nothing in it is read or known");
    }
    if (fate.is(Fate.Change.TURNED)) {
      parts.add(
          "runs from " + to.rules().spineType().direction().words() + ", as spines are read there");
    }
    if (fate.is(Fate.Change.REWORDED)) {
      parts.add("says a part of what it said");
    }
    if (parts.isEmpty()) {
      return "As it was.";
    }
    String whole = String.join(", ", parts);
    return whole.substring(0, 1).toUpperCase(Locale.ROOT) + whole.substring(1) + ".";
  }

  private String aside(Fate fate) {
    Optional<PanelKind> was = fate.before().flatMap(Fate.Place::panel);
    if (was.isPresent() && to.panel(was.get()).isEmpty()) {
      return "Set aside: this cover has no " + said(was.get()) + ". It is kept in the design.";
    }
    return was.filter(p -> p == PanelKind.SPINE).isPresent() && !to.printsOnSpine()
        ? "Set aside, hidden: "
            + to.house().name()
            + " prints no words on a spine of "
            + to.spine().stated().brief(unit)
            + "."
        : "Set aside: there is no place for it. It is kept in the design.";
  }

  private static String said(PanelKind panel) {
    return panel.title().toLowerCase(Locale.ROOT);
  }

  private static String named(Optional<PanelKind> panel) {
    return panel.map(FateText::said).orElse("whole sheet");
  }

  /** How far its middle went on its panel, from the panel's corner. */
  private Optional<String> moved(Fate fate) {
    Box a = fate.before().orElseThrow().box();
    Box b = fate.after().orElseThrow().box();
    Length right = b.left().minus(a.left());
    Length down = b.top().minus(a.top());
    if (fate.is(Fate.Change.SCALED) && right.abs().isLessThan(FAR) && down.abs().isLessThan(FAR)) {
      return Optional.empty(); // it went with its panel's size
    }
    List<String> ways = new ArrayList<>();
    way(right, "right", "left").ifPresent(ways::add);
    way(down, "down", "up").ifPresent(ways::add);
    return ways.isEmpty() ? Optional.empty() : Optional.of("moved " + String.join(" and ", ways));
  }

  private Optional<String> way(Length by, String on, String back) {
    String figure = by.abs().brief(unit);
    return figure.matches("0(\\.0*)? .*")
        ? Optional.empty()
        : Optional.of(figure + " " + (by.isNegative() ? back : on));
  }

  private String scaled(Box a, Box b) {
    double across = b.width().toMm() / a.width().toMm();
    double down = b.height().toMm() / a.height().toMm();
    String times = String.format(Locale.ROOT, "%.2f times the size", across);
    return Math.abs(across / down - 1) < SAME_SHAPE && !times.startsWith("1.00")
        ? times
        : "box " + a.size().brief(unit) + " → " + b.size().brief(unit);
  }

  private static String points(Fate.Place place) {
    return place.type().map(t -> t.figure(Unit.PT, 1)).orElse("–");
  }

  /** What is to be said of the whole cover: what was done to its ground, and new findings. */
  public List<String> whole(Report report) {
    List<String> said = new ArrayList<>();
    if (report.mirrored()) {
      said.add(
          "The picture over the whole sheet is mirrored, so that the front shows what it showed: see that nothing in it is read or known.");
    }
    report.found().forEach(f -> said.add(f.sentence(unit)));
    return said;
  }

  /** The whole in one line: {@code 12 pieces: 9 as they were, 3 in another size, 1 set aside}. */
  public String line(Report report) {
    List<String> parts = new ArrayList<>();
    int all = report.fates().size();
    count(report, Fate.Change.KEPT, "as they were", parts);
    count(report, Fate.Change.SCALED, "in another size", parts);
    count(report, Fate.Change.RESET, "set anew", parts);
    count(report, Fate.Change.RECROPPED, "cut anew", parts);
    count(report, Fate.Change.MIRRORED, "mirrored", parts);
    count(report, Fate.Change.TURNED, "running the other way", parts);
    count(report, Fate.Change.ADDED, "new", parts);
    count(report, Fate.Change.SET_ASIDE, "set aside", parts);
    long unfit = report.count(Fate.Change.UNFIT) + report.found().size();
    parts.add(unfit == 0 ? "nothing to look at that was not before" : unfit + " to look at");
    return all + (all == 1 ? " piece: " : " pieces: ") + String.join(", ", parts) + ".";
  }

  /**
   * What a change of the facts did to the pieces, in a few words: {@code 7 pieces kept their
   * places; “Spine title” 14 → 16 pt; nothing new to mend}.
   */
  public List<String> brief(Report report) {
    List<String> said = new ArrayList<>();
    long kept = report.count(Fate.Change.KEPT);
    if (kept > 0) {
      said.add(kept + (kept == 1 ? " piece kept its place" : " pieces kept their places"));
    }
    long sized =
        report.fates().stream()
            .filter(f -> f.is(Fate.Change.SCALED) && !f.is(Fate.Change.RESET))
            .count();
    if (sized > 0) {
      said.add(sized + " sized with the sheet");
    }
    List<Fate> reset = report.fates().stream().filter(f -> f.is(Fate.Change.RESET)).toList();
    if (reset.size() > NAMED) {
      said.add(reset.size() + " set anew");
    } else {
      reset.forEach(
          f ->
              said.add(
                  "“"
                      + f.name()
                      + "” "
                      + points(f.before().orElseThrow())
                      + " → "
                      + points(f.after().orElseThrow())
                      + " pt"));
    }
    count(report, Fate.Change.ADDED, "seen again", said);
    count(report, Fate.Change.SET_ASIDE, "set aside", said);
    long unfit =
        report.fates().stream().mapToLong(f -> f.found().size()).sum() + report.found().size();
    said.add(unfit == 0 ? "nothing new to mend" : unfit + " new to look at");
    return said;
  }

  private static void count(Report r, Fate.Change change, String said, List<String> parts) {
    long n = r.count(change);
    if (n > 0) {
      parts.add(n + " " + said);
    }
  }
}
