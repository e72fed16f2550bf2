package app.reglet.press.inspect;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.InsidePage;
import java.util.List;
import java.util.Optional;

/**
 * What the PDF of a book block says of its pages, set against the facts of an edition; {@link
 * BlockFitText} makes the sentence.
 *
 * @param page size of a page: its trim box where one is written, else the media box
 * @param trim size without bleed
 * @param bleed of an inside page on its outer edges, nothing where the house takes none
 * @param others the pages that differ from the first in size, in order
 */
public record BlockFit(
    Size page, Size trim, Optional<Length> bleed, List<PdfFacts.OtherSize> others) {
  /** How the pages of a book block fit. */
  public enum Verdict {
    /** Trim size, without bleed. */
    TRIM,
    /** Trim size and bleed on the outer edges. */
    BLEED,
    /** Neither. */
    NEITHER,
    /** Not all pages have one size. */
    MIXED
  }

  /** A PDF counts as right to so much: writers round to whole or tenths of points. */
  static final Length TOLERANCE = Length.pt("0.5");

  /** Sets a book block against the facts of an edition and the rules of its binding. */
  public static BlockFit of(PdfFacts file, Specification spec, BindingRules rules) {
    return new BlockFit(
        file.first().size("TrimBox"),
        spec.trim(),
        Optional.of(rules.blockBleed()).filter(Length::isPositive),
        file.others());
  }

  /** How the pages fit. */
  public Verdict verdict() {
    if (!others.isEmpty()) {
      return Verdict.MIXED;
    }
    if (page.isWithin(TOLERANCE, trim)) {
      return Verdict.TRIM;
    }
    return bled().filter(b -> page.isWithin(TOLERANCE, b)).isPresent()
        ? Verdict.BLEED
        : Verdict.NEITHER;
  }

  /** Whether the pages can be printed as they are. */
  public boolean fits() {
    return verdict() == Verdict.TRIM || verdict() == Verdict.BLEED;
  }

  /** A page's size with bleed, where the house takes one. */
  public Optional<Size> bled() {
    return bleed.map(b -> InsidePage.withBleed(trim, b));
  }

  /** Whether the pages have the trim size, but lie on their side. */
  public boolean liesOnItsSide() {
    return page.isWithin(TOLERANCE, new Size(trim.height(), trim.width()));
  }
}
