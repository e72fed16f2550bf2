package app.reglet.core.check;

import app.reglet.core.book.Specification;
import app.reglet.core.check.Unoffered.PagesNotOffered.Why;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.OddCount;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.PageLimit;
import app.reglet.core.house.RuleSheet;
import java.util.List;
import java.util.Optional;

/**
 * Whether the house binds so many pages: within its limits, a multiple of what it needs, and a row
 * of its spine table where it has one.
 */
public final class PagesOffered implements OfferCheck {
  @Override
  public List<Finding> find(Specification spec, BindingRules rules, RuleSheet house) {
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
    // the larger count first: pages can be added without taking any away
    List<Remedy> remedies =
        java.util.stream.Stream.concat(above.stream(), below.stream())
            .distinct()
            .map(n -> (Remedy) new Remedy.UsePages(n))
            .toList();
    return List.of(Finding.ofEdition(found(pages, spec, counts, house, nearest), remedies));
  }

  private static Found found(
      int pages, Specification spec, PageCounts counts, RuleSheet house, List<Integer> nearest) {
    Why why = Why.NO_ROW;
    int bound = counts.odd().bound(pages);
    int limit = 0;
    Optional<PageLimit> stated = counts.limit();
    if (counts.odd() == OddCount.REFUSE && pages % 2 != 0) {
      why = Why.ODD;
    } else if (stated.isPresent() && bound < stated.get().least()) {
      why = Why.TOO_FEW;
      limit = stated.get().least();
    } else if (stated.isPresent() && bound > stated.get().most()) {
      why = Why.TOO_MANY;
      limit = stated.get().most();
    } else if (stated.isPresent() && bound % stated.get().multiple() != 0) {
      why = Why.NO_MULTIPLE;
      limit = stated.get().multiple();
    }
    return new Unoffered.PagesNotOffered(
        house.name(), spec.binding(), pages, bound, why, limit, nearest);
  }
}
