package app.reglet.core.house;

import app.reglet.core.Refusal;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What one copy costs: fixed + pages × a price per page, by inside ink.
 *
 * @param currency ISO 4217 code, {@code GBP}
 * @param fixed for the cover and the binding
 * @param perPage by ink id
 */
public record CostRule(String currency, BigDecimal fixed, Map<String, BigDecimal> perPage) {
  public CostRule {
    perPage = Map.copyOf(perPage);
  }

  /**
   * The price of one copy, to two decimals, half up.
   *
   * @throws Refusal when the ink has no price
   */
  public BigDecimal unit(int pages, String ink) {
    BigDecimal each = perPage.get(ink);
    if (each == null) {
      throw new Refusal("ink", "The house gives no price per page for the ink “" + ink + "”.");
    }
    return fixed.add(each.multiply(BigDecimal.valueOf(pages))).setScale(2, RoundingMode.HALF_UP);
  }

  /** Whether there is a price for this ink. */
  public boolean has(String ink) {
    return perPage.containsKey(ink);
  }

  /** {@code GBP 0.92 a copy, and a page 0.0064 black}. */
  public String print() {
    return currency
        + " "
        + fixed.toPlainString()
        + " a copy, and a page "
        + new TreeMap<>(perPage)
            .entrySet().stream()
                .map(e -> e.getValue().toPlainString() + " " + e.getKey())
                .collect(Collectors.joining(", "));
  }
}
