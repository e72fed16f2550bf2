package app.reglet.core.check;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.List;

/** Whether the house offers the trim size in this binding. */
public final class TrimOffered implements OfferCheck {
  @Override
  public List<Finding> find(Specification spec, BindingRules rules, RuleSheet house, Unit unit) {
    Size trim = spec.trim();
    if (rules.trims().offers(trim)) {
      return List.of();
    }
    Size nearest = rules.trims().nearest(trim);
    return List.of(
        Finding.ofEdition(
            "trim-not-offered",
            house.name()
                + " does not offer "
                + trim.brief(unit)
                + " in "
                + spec.binding().title().toLowerCase()
                + "; the nearest it offers is "
                + nearest.brief(unit)
                + (house.isInPixels() ? "." : ", for which the inside must be re-set."),
            trim.print(unit),
            nearest.print(unit),
            List.of(new Remedy.UseTrim(nearest))));
  }
}
