package app.reglet.core.facts;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Facts as they were read, field by field. What could not be read is null, and {@code problems}
 * says why; a choice that the house doesn't have was replaced by its first, and that is said too.
 *
 * @param spread zero when the count is final
 * @param frontFlap null takes the usual one
 * @param backFlap null takes the usual one
 * @param told null when no spine was told
 * @param problems sentences by field, in the order of the fields
 */
public record ReadFacts(
    Binding binding,
    Size trim,
    Integer pages,
    int spread,
    String stock,
    String ink,
    PageTurn turn,
    Length frontFlap,
    Length backFlap,
    Length told,
    String toldSource,
    boolean inside,
    Map<String, String> problems) {
  public ReadFacts {
    problems = Collections.unmodifiableMap(new LinkedHashMap<>(problems));
  }

  /** The flaps asked for; empty takes the house's usual ones. */
  public Optional<Flaps> flaps() {
    return frontFlap == null || backFlap == null
        ? Optional.empty()
        : Optional.of(new Flaps(frontFlap, backFlap));
  }

  /**
   * The facts to measure.
   *
   * @throws Refusal of the first field that has a problem
   */
  public Specification specification() {
    problems.forEach(
        (field, sentence) -> {
          throw new Refusal(field, sentence);
        });
    return new Specification(
        binding,
        trim,
        binding.hasPages() ? pages : 1,
        stock,
        ink,
        turn,
        flaps(),
        Optional.ofNullable(told).map(t -> new ToldSpine(t, toldSource)),
        inside);
  }
}
