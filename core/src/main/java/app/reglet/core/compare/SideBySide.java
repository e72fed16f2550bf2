package app.reglet.core.compare;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Choice;
import app.reglet.core.house.CostRule;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.SpineRule;
import app.reglet.core.house.Stock;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.SpineRoom;
import app.reglet.core.wrap.Wrap;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** One title at every house and in every binding, measured with the same facts. */
public final class SideBySide {
  private SideBySide() {}

  /**
   * A house and a binding.
   *
   * @param house the house
   * @param rules what it says of the binding
   * @param stock its paper that is most like the one asked for; empty at an ebook shop
   * @param asked the facts asked for, in this house's terms
   * @param taken the facts as this house would make them: trim and pages the nearest it offers
   * @param unmet what of the facts asked for it doesn't offer, nothing when it offers all
   * @param wrap the sheet of the facts taken; empty when it can't be measured
   * @param why why it can't be measured
   * @param unitCost of one copy, with the currency of the sheet's cost rule; empty without one
   */
  public record Row(
      RuleSheet house,
      BindingRules rules,
      Optional<Stock> stock,
      Specification asked,
      Specification taken,
      List<Finding> unmet,
      Optional<Wrap> wrap,
      Optional<Refusal> why,
      Optional<BigDecimal> unitCost) {
    public Row {
      unmet = List.copyOf(unmet);
    }

    public Binding binding() {
      return rules.binding();
    }

    /** Whether the house makes it just as asked for. */
    public boolean offered() {
      return unmet.isEmpty() && wrap.isPresent();
    }

    /** Whether the house states the spine on the order, and these facts don't have it yet. */
    public boolean waitsForSpine(Specification facts) {
      try {
        return facts.toldSpine().isEmpty()
            && rules.spineFor(facts).rule() instanceof SpineRule.Told;
      } catch (Refusal none) {
        return false; // no rule for this paper: said where it is measured
      }
    }

    public boolean spineTypeAllowed() {
      return wrap.map(w -> SpineRoom.of(w).printed()).orElse(false);
    }

    /** Room for words across the spine, zero where there is no spine. */
    public Length band() {
      return wrap.flatMap(w -> w.panel(PanelKind.SPINE))
          .map(p -> p.safe().width())
          .orElse(Length.ZERO);
    }

    /** {@code GBP 4.21}, empty without a cost rule. */
    public String cost() {
      return unitCost.isEmpty()
          ? ""
          : rules.cost().map(CostRule::currency).orElse("") + " " + unitCost.get().toPlainString();
    }
  }

  /**
   * Sets every house and binding against the facts of one edition.
   *
   * @param asked the facts
   * @param paper the paper they name, if the house they come from has it
   * @param houses the rule sheets
   * @param unit the unit sentences are told in
   */
  public static List<Row> of(
      Specification asked, Optional<Stock> paper, List<RuleSheet> houses, Unit unit) {
    List<Row> rows = new ArrayList<>();
    for (RuleSheet house : houses) {
      for (Binding binding : house.bindings().keySet().stream().sorted().toList()) {
        rows.add(row(asked, paper, house, house.rules(binding), unit));
      }
    }
    return rows;
  }

  private static Row row(
      Specification asked,
      Optional<Stock> paper,
      RuleSheet house,
      BindingRules rules,
      Unit unitInForce) {
    Unit unit = house.isInPixels() ? Unit.PX : unitInForce;
    Optional<Stock> stock = like(paper, house.stocks(), rules, asked, house);
    Specification plain =
        new Specification(
            rules.binding(),
            asked.trim(),
            asked.pages(),
            stock.map(Stock::id).orElse(""),
            ink(asked.ink(), house),
            asked.turn(),
            rules.make().flaps().isPresent() && asked.binding() == rules.binding()
                ? asked.flaps()
                : Optional.empty(),
            asked.toldSpine(),
            asked.insidePrinted());
    // a screen has no trim and no inside: between paper and screen only the shape is carried
    Specification wished =
        house.isInPixels()
            ? plain.withTrim(rules.trims().nearestShape(asked.trim())).withInsidePrinted(false)
            : asked.binding() == Binding.EBOOK
                ? plain.withTrim(rules.trims().nearestShape(asked.trim()))
                : plain;
    List<Finding> unmet = OfferCheck.run(wished, house);
    Specification taken = nearest(wished, rules);
    Optional<BigDecimal> cost =
        rules
            .cost()
            .filter(c -> c.has(taken.ink()))
            .map(c -> c.unit(rules.odd().bound(taken.pages()), taken.ink()));
    try {
      return new Row(
          house,
          rules,
          stock,
          wished,
          taken,
          unmet,
          Optional.of(Measuring.measure(taken, house)),
          Optional.empty(),
          cost);
    } catch (Refusal r) {
      return new Row(
          house, rules, stock, wished, taken, unmet, Optional.empty(), Optional.of(r), cost);
    }
  }

  /** The facts moved to the nearest that the house offers. */
  private static Specification nearest(Specification wished, BindingRules rules) {
    Specification taken = wished;
    if (!rules.trims().offers(taken.trim())) {
      taken = taken.withTrim(rules.trims().nearest(taken.trim()));
    }
    PageCounts counts = PageCounts.of(taken, rules);
    if (!counts.allows(taken.pages())) {
      taken = taken.withPages(counts.nearest(taken.pages()).orElse(taken.pages()));
    }
    if (taken.flaps().isPresent() && rules.make().flaps().isPresent()) {
      var range = rules.make().flaps().get();
      var f = taken.flaps().get();
      taken =
          taken.withFlaps(
              Optional.of(
                  new app.reglet.core.book.Flaps(
                      range.nearest(f.front()), range.nearest(f.back()))));
    }
    return taken.withInsidePrinted(taken.insidePrinted() && rules.inside().isPresent());
  }

  /** The house's paper with the same id, else of the same shade, else the first with a rule. */
  private static Optional<Stock> like(
      Optional<Stock> paper,
      List<Stock> stocks,
      BindingRules rules,
      Specification asked,
      RuleSheet house) {
    List<Stock> usable =
        stocks.stream().filter(s -> hasRule(rules, s, ink(asked.ink(), house))).toList();
    List<Stock> from = usable.isEmpty() ? stocks : usable;
    return from.stream()
        .filter(s -> paper.isPresent() && s.equals(paper.get()))
        .findFirst()
        .or(() -> from.stream().filter(s -> paper.isPresent() && s.isLike(paper.get())).findFirst())
        .or(() -> from.stream().findFirst());
  }

  private static boolean hasRule(BindingRules rules, Stock stock, String ink) {
    return rules.spine().stream()
        .anyMatch(
            c ->
                (c.stocks().isEmpty() || c.stocks().contains(stock.id()))
                    && (c.inks().isEmpty() || c.inks().contains(ink)));
  }

  private static String ink(String wanted, RuleSheet house) {
    return house.inks().stream()
        .map(Choice::id)
        .filter(wanted::equals)
        .findFirst()
        .or(() -> house.inks().stream().map(Choice::id).findFirst())
        .orElse("");
  }
}
