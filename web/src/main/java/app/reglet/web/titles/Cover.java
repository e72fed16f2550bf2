package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.check.Finding;
import app.reglet.core.check.PiecesSeen;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.type.SpineType;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An edition worked through: measured, its design laid on the wrap, and what the checks say.
 *
 * @param measured facts, rules and the wrap
 * @param design the design in force
 * @param art the design laid on the wrap
 * @param findings what the checks say
 * @param beyond what they say of the other side
 * @param letBe what they say and somebody lets be; no part of the others
 * @param spineType room for words across the spine, empty when nothing is measured
 * @param outer the outside of which this is the inside; empty for an outside
 */
public record Cover(
    Measured measured,
    Design design,
    Optional<Artwork> art,
    List<Finding> findings,
    List<Finding> beyond,
    List<LetBe> letBe,
    Optional<SpineType> spineType,
    Optional<Cover> outer) {
  /** A cover of which nothing is let be. */
  Cover(
      Measured measured,
      Design design,
      Optional<Artwork> art,
      List<Finding> findings,
      List<Finding> beyond,
      Optional<SpineType> spineType,
      Optional<Cover> outer) {
    this(measured, design, art, findings, beyond, List.of(), spineType, outer);
  }

  /** The same with other findings. */
  Cover with(List<Finding> own, List<Finding> otherSide, List<LetBe> let) {
    return new Cover(measured, design, art, own, otherSide, let, spineType, outer);
  }

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

  /** The side of the sheet that this is. */
  public PrintedSide side() {
    return outer.isPresent() ? PrintedSide.INSIDE : PrintedSide.OUTSIDE;
  }

  /** What is on this side. */
  public Composition composition() {
    return design.side(side());
  }

  /** Whether the sheet is printed on both sides. */
  public boolean isTwoSided() {
    return outer.isPresent() || wrap().flatMap(FilePages::inside).isPresent();
  }

  /** Whether the inside is printed and nobody has put anything on it. */
  public boolean hasBareInside() {
    return isTwoSided() && design.isUntouched(PrintedSide.INSIDE);
  }

  /** How many findings must be mended, on either side. */
  public long toMend() {
    return Stream.concat(findings.stream(), beyond.stream()).filter(Finding::mustMend).count();
  }

  /** Whether a finding of this side can be mended with nothing to judge and nothing to unlock. */
  public boolean isSafelyMended(Finding f) {
    return f.safeRemedy().isPresent()
        && f.piece().stream().noneMatch(p -> PiecesSeen.isLocked(composition(), p));
  }

  /** How many findings there are, on either side. */
  public int found() {
    return findings.size() + beyond.size();
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

  /**
   * How high a picture of its sheet is, in CSS pixels: a page that says so keeps what stands below
   * in its place while the picture comes.
   *
   * @param width of the picture, CSS pixels
   * @throws Refusal when there is no sheet
   */
  public long heightAt(long width) {
    Size size = sheet().sheet();
    return Math.round(width * size.height().toMm() / size.width().toMm());
  }
}
