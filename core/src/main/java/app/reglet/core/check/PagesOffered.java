package app.reglet.core.check;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.OddCount;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.PageLimit;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Optional;

/**
 * Whether the house binds so many pages: within its limits, a multiple of what it needs, and a row
 * of its spine table where it has one.
 */
public final class PagesOffered implements OfferCheck {
  @Override
  public List<Finding> find(Specification spec, BindingRules rules, RuleSheet house, Unit unit) {
    PageCounts counts = PageCounts.of(spec, rules);
    int pages = spec.pages();
    if (counts.allows(pages)) {
      return List.of();
    }
    Optional<Integer> below = counts.below(pages);
    Optional<Integer> above = counts.above(pages);
    List<Integer> nearest =
        above.stream().toList().equals(below.stream().toList())
            ? above.stream().toList()
            : java.util.stream.Stream.concat(below.stream(), above.stream()).toList();
    String what =
        nearest.isEmpty()
            ? ""
            : nearest.size() == 1
                ? " The nearest that works is " + nearest.get(0) + "."
                : " The nearest that work are " + nearest.get(0) + " and " + nearest.get(1) + ".";
    // the larger count first: pages can be added without taking any away
    List<Remedy> remedies =
        java.util.stream.Stream.concat(above.stream(), below.stream())
            .distinct()
            .map(n -> (Remedy) new Remedy.UsePages(n))
            .toList();
    return List.of(
        Finding.ofEdition(
            "pages-not-offered",
            why(pages, spec, counts, house) + what,
            pages + " pages",
            counts.limit().map(PageLimit::print).orElse("a row of the spine table"),
            remedies));
  }

  private static String why(int pages, Specification spec, PageCounts counts, RuleSheet house) {
    String binds = house.name() + " binds " + spec.binding().title().toLowerCase();
    Optional<PageLimit> limit = counts.limit();
    if (counts.odd() == OddCount.REFUSE && pages % 2 != 0) {
      return house.name() + " binds no odd counts, and this has " + pages + " pages.";
    }
    if (limit.isPresent() && pages < limit.get().least()) {
      return binds + " from " + limit.get().least() + " pages; this has " + pages + ".";
    }
    if (limit.isPresent() && pages > limit.get().most()) {
      return binds
          + " up to "
          + limit.get().most()
          + " pages in this trim and paper; this has "
          + pages
          + ".";
    }
    if (limit.isPresent() && counts.odd().bound(pages) % limit.get().multiple() != 0) {
      return pages
          + " pages can't be bound: the count must be "
          + (limit.get().multiple() == 2 ? "even" : "a multiple of " + limit.get().multiple())
          + ".";
    }
    return house.name() + "'s spine table has no row for " + pages + " pages.";
  }
}
