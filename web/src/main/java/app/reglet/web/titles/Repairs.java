package app.reglet.web.titles;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.facts.FactsReader;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Gone;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ways out for editions of which something can't be read any more. */
@Service
public class Repairs {
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;

  public Repairs(Editions editions, Houses houses, Revisions revisions) {
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
  }

  /** Makes an edition usable again; what can be read of it stays. */
  @Transactional
  public void repair(Long id, BrokenCover.Way way) {
    EditionEntity e =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    switch (way) {
      case SHEET -> measurable(e);
      case DESIGN -> revisions.goBackToReadable(e);
      case FACTS -> facts(e);
    }
    editions.saveAndFlush(e);
  }

  private void measurable(EditionEntity e) {
    if (houses.has(e.getHouseId())) {
      e.setHouse(e.getHouseId(), houses.version(e.getHouseId()));
    } else {
      RuleSheet other =
          houses.all().stream()
              .filter(h -> h.bindings().containsKey(e.getBinding()))
              .findFirst()
              .orElseGet(() -> houses.all().get(0));
      e.setHouse(other.id(), houses.version(other.id()));
    }
    offered(e);
  }

  private void facts(EditionEntity e) {
    if (!houses.has(e.getHouseId(), e.getHouseVersion())) {
      measurable(e);
    }
    BindingRules rules = offered(e);
    e.setTrim("", rules.trims().nearest(Size.USUAL_TRIM));
  }

  /** Binding, paper and ink that the house has; those that it has stay. */
  private BindingRules offered(EditionEntity e) {
    RuleSheet house = houses.get(e.getHouseId(), e.getHouseVersion());
    Binding binding = e.getBinding();
    if (binding == null || !house.bindings().containsKey(binding)) {
      binding = house.bindings().keySet().stream().sorted().findFirst().orElseThrow();
    }
    e.setChoices(
        binding,
        FactsReader.listed(house.stocks(), e.getStock()),
        FactsReader.listed(house.inks(), e.getInk()),
        e.getTurn() == null ? PageTurn.LTR : e.getTurn());
    return house.rules(binding);
  }
}
