package app.reglet.core.check;

import app.reglet.core.book.Flaps;
import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Make;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import java.util.List;
import java.util.Optional;

/** Whether the house folds flaps so wide, and whether a flap fits behind its panel. */
public final class FlapsOffered implements OfferCheck {
  @Override
  public List<Finding> find(Specification spec, BindingRules rules, RuleSheet house) {
    Optional<Make.FlapRange> range = rules.make().flaps();
    if (range.isEmpty() || spec.flaps().isEmpty()) {
      return List.of();
    }
    Make.FlapRange r = range.get();
    Flaps wished = spec.flaps().get();
    Flaps nearest = new Flaps(r.nearest(wished.front()), r.nearest(wished.back()));
    if (wished.front().isZero() && wished.back().isZero()) {
      return List.of(
          Finding.ofEdition(
              new Unoffered.NoFlap(spec.binding(), r.least(), r.most()),
              List.of(new Remedy.UseFlaps(new Flaps(r.usual(), r.usual())))));
    }
    if (nearest.equals(wished)) {
      return List.of();
    }
    Length wrong = nearest.front().equals(wished.front()) ? wished.back() : wished.front();
    return List.of(
        Finding.ofEdition(
            new Unoffered.FlapNotOffered(house.name(), wrong, r.least(), r.most()),
            List.of(new Remedy.UseFlaps(nearest))));
  }
}
