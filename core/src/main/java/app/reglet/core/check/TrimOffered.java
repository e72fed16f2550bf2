package app.reglet.core.check;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import java.util.List;

/** Whether the house offers the trim size in this binding. */
public final class TrimOffered implements OfferCheck {
  @Override
  public List<Finding> find(Specification spec, BindingRules rules, RuleSheet house) {
    Size trim = spec.trim();
    if (rules.trims().offers(trim)) {
      return List.of();
    }
    Size nearest = rules.trims().nearest(trim);
    return List.of(
        Finding.ofEdition(
            new Unoffered.TrimNotOffered(
                house.name(), spec.binding(), trim, nearest, !house.isInPixels()),
            List.of(new Remedy.UseTrim(nearest))));
  }
}
