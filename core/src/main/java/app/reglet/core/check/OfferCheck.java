package app.reglet.core.check;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import java.util.ArrayList;
import java.util.List;

/**
 * One thing a house may not offer. Looks at the facts alone, so it works where they can't be
 * measured.
 */
public interface OfferCheck {
  /**
   * What isn't offered, nothing when all is.
   *
   * @param rules what the house says of the edition's binding
   */
  List<Finding> find(Specification spec, BindingRules rules, RuleSheet house);

  /** Every such check, in the order in which findings are told. */
  static List<OfferCheck> all() {
    return List.of(new TrimOffered(), new PagesOffered(), new FlapsOffered(), new InsideOffered());
  }

  /**
   * Runs every check of what the house offers.
   *
   * @throws app.reglet.core.Refusal when it doesn't offer the binding at all
   */
  static List<Finding> run(Specification spec, RuleSheet house) {
    BindingRules rules = house.rules(spec.binding());
    List<Finding> findings = new ArrayList<>();
    for (OfferCheck check : all()) {
      findings.addAll(check.find(spec, rules, house));
    }
    return findings;
  }
}
