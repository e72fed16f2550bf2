package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.check.Finding;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.type.SpineType;
import java.util.List;
import java.util.Optional;

/**
 * An edition worked through: measured, its design laid on the wrap, and what the checks say.
 *
 * @param measured facts, rules and the wrap
 * @param design the design in force
 * @param art the design laid on the wrap
 * @param findings what the checks say
 * @param spineType room for words across the spine, empty when nothing is measured
 */
public record Cover(
    Measured measured,
    Design design,
    Optional<Artwork> art,
    List<Finding> findings,
    Optional<SpineType> spineType) {
  public EditionEntity edition() {
    return measured.edition();
  }

  public Book book() {
    return measured.book();
  }

  public RuleSheet house() {
    return measured.house();
  }

  public Unit unit() {
    return measured.unit();
  }

  public Optional<Wrap> wrap() {
    return measured.wrap();
  }

  public Optional<Refusal> why() {
    return measured.why();
  }

  /** What is on the outside. */
  public Composition outside() {
    return design.outside();
  }

  /** How many findings must be mended. */
  public long toMend() {
    return findings.stream().filter(Finding::mustMend).count();
  }

  /**
   * The wrap.
   *
   * @throws Refusal with the reason when there is none
   */
  public Wrap sheet() {
    return wrap()
        .orElseThrow(
            () ->
                why()
                    .orElseGet(
                        () -> new Refusal("pages", "Give a page count to measure the sheet.")));
  }
}
