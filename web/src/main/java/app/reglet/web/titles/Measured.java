package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Specification;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.util.Optional;

/**
 * An edition measured: facts and rules, and the wrap they make.
 *
 * @param edition its record
 * @param book the book's facts
 * @param house the rule sheet it is measured by
 * @param spec the facts that are measured, empty while there is no page count
 * @param wrap the sheet, empty when it can't be measured
 * @param why why it can't be measured
 * @param unit of figures
 */
public record Measured(
    EditionEntity edition,
    Book book,
    RuleSheet house,
    Optional<Specification> spec,
    Optional<Wrap> wrap,
    Optional<Refusal> why,
    Unit unit) {

  static Measured of(
      EditionEntity edition, Book book, RuleSheet house, Optional<Specification> spec, Unit unit) {
    try {
      return new Measured(
          edition,
          book,
          house,
          spec,
          spec.map(s -> Measuring.measure(s, house)),
          Optional.empty(),
          unit);
    } catch (Refusal r) {
      return new Measured(edition, book, house, spec, Optional.empty(), Optional.of(r), unit);
    }
  }
}
