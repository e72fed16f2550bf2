package app.reglet.core.check;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import java.util.List;

/** Whether the house prints the inside of a cover in this binding. */
public final class InsideOffered implements OfferCheck {
  @Override
  public List<Finding> find(Specification spec, BindingRules rules, RuleSheet house) {
    if (!spec.insidePrinted() || rules.inside().isPresent()) {
      return List.of();
    }
    return List.of(
        Finding.ofEdition(
            new Unoffered.InsideNotOffered(house.name(), spec.binding()),
            List.of(new Remedy.OutsideOnly())));
  }
}
