package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.check.Finding;
import app.reglet.core.design.Design;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.type.SpineType;
import java.util.List;
import java.util.Optional;

/**
 * An edition worked through: facts and rules, the wrap they make, the design laid on it, what the
 * checks say.
 *
 * @param edition its record
 * @param book the book's facts
 * @param house the rule sheet it is measured by
 * @param wrap the sheet, empty when it can't be measured
 * @param why why it can't be measured
 * @param design the design in force
 * @param art the design laid on the wrap
 * @param findings what the checks say
 * @param unit the unit in force
 * @param spineType room for words across the spine, empty when nothing is measured
 */
public record Cover(
    EditionEntity edition,
    Book book,
    RuleSheet house,
    Optional<Wrap> wrap,
    Optional<Refusal> why,
    Design design,
    Optional<Artwork> art,
    List<Finding> findings,
    Unit unit,
    Optional<SpineType> spineType) {

  /** How many findings must be mended. */
  public long toMend() {
    return findings.stream().filter(Finding::mustMend).count();
  }

  /**
   * The wrap.
   *
   * @throws Refusal with the reason when there is none
   */
  public Wrap measured() {
    return wrap.orElseThrow(
        () -> why.orElseGet(() -> new Refusal("pages", "Give a page count to measure the sheet.")));
  }
}
