package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapChange;
import java.util.ArrayList;
import java.util.List;

/**
 * A version of a house's rule sheet that came after the one an edition is measured by.
 *
 * @param from the version the edition keeps
 * @param to the version in force
 * @param changes what would change in figures; empty when nothing would
 */
public record NewerRuleSheet(int from, int to, List<String> changes) {
  public NewerRuleSheet {
    changes = List.copyOf(changes);
  }

  /** The sheet's later version, with what it would change of a cover. */
  static NewerRuleSheet of(Cover cover, int version, RuleSheet newer) {
    EditionEntity e = cover.edition();
    List<String> changes = new ArrayList<>();
    e.specification()
        .ifPresent(
            spec -> {
              try {
                Wrap after = Measuring.measure(spec, newer);
                cover
                    .wrap()
                    .ifPresent(
                        before -> changes.addAll(WrapChange.between(before, after, cover.unit())));
                changes.addAll(
                    OfferCheck.run(spec, newer).stream()
                        .filter(f -> !cover.findings().contains(f))
                        .map(f -> f.sentence(cover.unit()).replaceAll("\\.$", ""))
                        .toList());
              } catch (Refusal r) {
                changes.add(r.getMessage().replaceAll("\\.$", ""));
              }
            });
    return new NewerRuleSheet(e.getHouseVersion(), version, changes);
  }

  public String sentence() {
    return changes.isEmpty()
        ? "Every figure stays as it is."
        : "With it: " + String.join("; ", changes) + ".";
  }
}
