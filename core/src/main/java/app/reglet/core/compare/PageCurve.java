package app.reglet.core.compare;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.SpineRule;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FactLimits;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Spine and sheet of one edition over a range of page counts, and the counts at which something
 * changes.
 *
 * @param spec the facts; its page count is the present one
 * @param from the first count looked at
 * @param to the last
 * @param points a measured point for each count that can be measured, ascending
 * @param thresholds where something changes, ascending
 */
public record PageCurve(
    Specification spec, int from, int to, List<Point> points, List<Threshold> thresholds) {

  /** The most counts that are measured in one curve; wider ranges are thinned out. */
  public static final int MOST_POINTS = 1000;

  /**
   * One count, measured.
   *
   * @param spine as the house states it
   * @param sheet width of the full sheet, exact
   */
  public record Point(int pages, Length spine, Length sheet) {}

  /**
   * A count from which something is otherwise.
   *
   * @param binding the other binding that is meant, empty for none
   * @param spine the spine's width that it comes with, empty where that is not the reason
   */
  public record Threshold(int pages, Kind kind, Optional<Binding> binding, Optional<Length> spine) {
    static Threshold of(int pages, Kind kind) {
      return new Threshold(pages, kind, Optional.empty(), Optional.empty());
    }

    /** What changes, as a person says it. */
    public String sentence(Unit unit) {
      String other = binding.map(b -> b.title().toLowerCase(Locale.ROOT)).orElse("");
      String width = spine.map(s -> s.brief(unit)).orElse("");
      return switch (kind) {
        case LEAST -> "bound from " + pages + " pages";
        case MOST -> "bound up to " + pages + " pages";
        case SPINE_TYPE ->
            "words on the spine from "
                + pages
                + " pages"
                + (width.isEmpty() ? "" : " (spine of " + width + ")");
        case BINDING_FROM -> other + " possible from " + pages + " pages";
        case BINDING_UP_TO -> other + " possible up to " + pages + " pages";
        case STEP -> "spine " + width + " from " + pages + " pages";
      };
    }
  }

  /** What changes at a threshold. */
  public enum Kind {
    /** The smallest count the house binds. */
    LEAST,
    /** The largest count the house binds. */
    MOST,
    /** Words may stand on the spine from here. */
    SPINE_TYPE,
    /** Another binding begins to be possible. */
    BINDING_FROM,
    /** Another binding ends to be possible. */
    BINDING_UP_TO,
    /** The spine makes a step. */
    STEP
  }

  public PageCurve {
    points = List.copyOf(points);
    thresholds = List.copyOf(thresholds);
  }

  /** The curve over all counts that the house binds, made wide enough to show the present one. */
  public static PageCurve of(Specification spec, RuleSheet house) {
    PageCounts counts = PageCounts.of(spec, house.rules(spec.binding()));
    int from = Math.min(counts.least().orElse(1), spec.pages());
    int to = Math.max(counts.most().orElse(Math.max(400, spec.pages() * 2)), spec.pages());
    // a little to either side, so that both ends are seen as ends
    int air = Math.max(4, (to - from) / 16);
    return over(spec, house, Math.max(1, from - air), Math.min(FactLimits.MOST_PAGES, to + air));
  }

  /**
   * The curve over a range of counts.
   *
   * @param from the first count, 1 or more
   * @param to the last count, not before it
   */
  public static PageCurve over(Specification spec, RuleSheet house, int from, int to) {
    if (from < 1 || to < from) {
      throw new Refusal("pages", "A range of page counts goes from 1 or more upwards.");
    }
    PageCounts counts = PageCounts.of(spec, house.rules(spec.binding()));
    List<Point> points = new ArrayList<>();
    int stride = (to - from) / MOST_POINTS + 1;
    for (int n = from; n <= to; n += stride) {
      measured(spec, house, n).ifPresent(points::add);
    }
    List<Threshold> thresholds = new ArrayList<>();
    limits(counts, thresholds);
    spineType(spec, house, counts, thresholds);
    bindings(spec, house, thresholds);
    steps(spec, house, thresholds);
    thresholds.removeIf(t -> t.pages() < from || t.pages() > to);
    thresholds.sort(Comparator.comparingInt(Threshold::pages).thenComparing(Threshold::kind));
    return new PageCurve(spec, from, to, points, thresholds);
  }

  private static Optional<Point> measured(Specification spec, RuleSheet house, int pages) {
    try {
      Wrap w = Measuring.measure(spec.withPages(pages), house);
      return Optional.of(new Point(pages, w.spine().stated(), w.sheet().width()));
    } catch (Refusal r) {
      return Optional.empty();
    }
  }

  private static void limits(PageCounts counts, List<Threshold> found) {
    counts.least().ifPresent(n -> found.add(Threshold.of(n, Kind.LEAST)));
    counts.most().ifPresent(n -> found.add(Threshold.of(n, Kind.MOST)));
  }

  /** The first count the house binds whose spine may carry words. */
  private static void spineType(
      Specification spec, RuleSheet house, PageCounts counts, List<Threshold> found) {
    SpineTypeRule rule = house.rules(spec.binding()).spineType();
    if (rule.leastPages() == Integer.MAX_VALUE) {
      return;
    }
    int low = counts.least().orElse(1);
    int high = counts.most().orElse(FactLimits.MOST_PAGES);
    // spines never get narrower with more pages, so the first is found by halving
    if (!spineType(spec, house, rule, high)) {
      return;
    }
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (spineType(spec, house, rule, middle)) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    int first = counts.above(high).orElse(high);
    boolean byWidth = rule.leastWidth().isPositive() && first > rule.leastPages() + 1;
    found.add(
        new Threshold(
            first,
            Kind.SPINE_TYPE,
            Optional.empty(),
            byWidth ? Optional.of(rule.leastWidth()) : Optional.empty()));
  }

  private static boolean spineType(
      Specification spec, RuleSheet house, SpineTypeRule rule, int pages) {
    try {
      return Measuring.measure(spec.withPages(pages), house).printsOnSpine();
    } catch (Refusal r) {
      return pages >= rule.leastPages() && rule.leastWidth().isZero();
    }
  }

  private static void bindings(Specification spec, RuleSheet house, List<Threshold> found) {
    for (Binding other : house.bindings().keySet().stream().sorted().toList()) {
      if (other == spec.binding() || other == Binding.EBOOK) {
        continue;
      }
      BindingRules rules = house.rules(other);
      PageCounts counts =
          PageCounts.of(
              spec.withBinding(other).withTrim(rules.trims().nearest(spec.trim())), rules);
      counts.least().ifPresent(n -> found.add(other(n, Kind.BINDING_FROM, other)));
      counts.most().ifPresent(n -> found.add(other(n, Kind.BINDING_UP_TO, other)));
    }
  }

  private static Threshold other(int pages, Kind kind, Binding binding) {
    return new Threshold(pages, kind, Optional.of(binding), Optional.empty());
  }

  private static void steps(Specification spec, RuleSheet house, List<Threshold> found) {
    if (house.rules(spec.binding()).spineFor(spec).rule() instanceof SpineRule.Steps steps) {
      for (SpineRule.Steps.Row row : steps.rows()) {
        found.add(new Threshold(row.from(), Kind.STEP, Optional.empty(), Optional.of(row.width())));
      }
    }
  }
}
