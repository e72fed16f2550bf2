package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A print house's rules, read from its document by {@link RuleSheetReader}.
 *
 * @param id short name used in addresses and on the command line
 * @param name the house
 * @param unit the unit it states figures in
 * @param about a line for people
 * @param stocks inside papers
 * @param inks inside inks
 * @param bindings what it says of each binding it offers
 * @param files what it wants of the file
 * @param examples worked cases that the sheet must reproduce
 */
public record RuleSheet(
    String id,
    String name,
    Unit unit,
    String about,
    List<Stock> stocks,
    List<Ink> inks,
    Map<Binding, BindingRules> bindings,
    FileRules files,
    List<WorkedExample> examples) {
  public RuleSheet {
    stocks = List.copyOf(stocks);
    inks = List.copyOf(inks);
    bindings = Map.copyOf(bindings);
    examples = List.copyOf(examples);
  }

  /** Whether covers are measured in pixels here: a shop for screens. */
  public boolean isInPixels() {
    return unit == Unit.PX;
  }

  /**
   * What the house says of a binding.
   *
   * @throws Refusal naming the bindings it does offer
   */
  public BindingRules rules(Binding binding) {
    BindingRules rules = bindings.get(binding);
    if (rules == null) {
      String offered =
          bindings.keySet().stream()
              .sorted()
              .map(b -> b.title().toLowerCase(Locale.ROOT))
              .collect(Collectors.joining(", "));
      throw new Refusal(
          "binding",
          name
              + " does not offer "
              + binding.title().toLowerCase(Locale.ROOT)
              + ". It offers: "
              + offered
              + ".");
    }
    return rules;
  }

  /**
   * A paper by its id.
   *
   * @throws Refusal naming the papers there are
   */
  public Stock stock(String id) {
    return byId(name, stocks, id, "stock", "paper");
  }

  /**
   * An inside ink by its id.
   *
   * @throws Refusal naming the inks there are
   */
  public Ink ink(String id) {
    return byId(name, inks, id, "ink", "inside ink");
  }

  private static <C extends Choice> C byId(
      String name, List<C> all, String wanted, String field, String what) {
    return all.stream()
        .filter(s -> s.id().equals(wanted))
        .findFirst()
        .orElseThrow(
            () ->
                new Refusal(
                    field,
                    name
                        + " has no "
                        + what
                        + " “"
                        + wanted
                        + "”. It has: "
                        + all.stream().map(Choice::id).collect(Collectors.joining(", "))
                        + "."));
  }
}
