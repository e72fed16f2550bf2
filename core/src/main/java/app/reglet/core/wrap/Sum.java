package app.reglet.core.wrap;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A sum shown so that a person can check it: {@code 2 × 6 + 0.2252 + 2 × 0.125 = 12.4752 in}.
 *
 * @param what what is computed
 * @param terms the terms in order; terms of zero are left out when printed
 * @param result their sum
 */
public record Sum(String what, List<Term> terms, Length result) {
  /**
   * So many times a length.
   *
   * @param what what the length is, {@code bleed}
   */
  public record Term(int count, Length each, String what) {}

  public Sum {
    terms = List.copyOf(terms);
  }

  /** Adds the terms up. */
  public static Sum of(String what, List<Term> terms) {
    Length result = Length.ZERO;
    for (Term t : terms) {
      result = result.plus(t.each().times(t.count()));
    }
    return new Sum(what, terms, result);
  }

  /** In figures; {@code ≈} where six decimals can't hold a figure exactly. */
  public String print(Unit unit) {
    boolean exact =
        result.isExactIn(unit, 6) && terms.stream().allMatch(t -> t.each().isExactIn(unit, 6));
    return joined(t -> (t.count() == 1 ? "" : t.count() + " × ") + t.each().abs().figure(unit))
        + (exact ? " = " : " ≈ ")
        + result.print(unit);
  }

  /** In words: {@code 2 × trim width + spine + 2 × bleed}. */
  public String inWords() {
    return joined(t -> (t.count() == 1 ? "" : t.count() + " × ") + t.what());
  }

  private String joined(java.util.function.Function<Term, String> text) {
    StringBuilder out = new StringBuilder();
    for (Term t : terms.stream().filter(t -> !t.each().isZero()).collect(Collectors.toList())) {
      if (!out.isEmpty()) {
        out.append(t.each().isNegative() ? " − " : " + ");
      }
      out.append(text.apply(t));
    }
    return out.isEmpty() ? "0" : out.toString();
  }
}
