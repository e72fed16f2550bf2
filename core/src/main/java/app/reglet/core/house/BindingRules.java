package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Specification;
import app.reglet.core.measure.Length;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Everything a house says of one binding.
 *
 * @param binding which
 * @param make what the cover is made of
 * @param spine the spine rules, first that applies
 * @param trims sizes offered
 * @param pages page counts, first limit that applies
 * @param odd what an odd count becomes
 * @param bleed art past the trim on each outer edge; zero where the turn-in takes its place
 * @param safe distances to keep
 * @param spineType words on the spine
 * @param barcode the barcode's place
 * @param inside printing of the inside, where it is offered
 * @param parts whether front, spine and back are wanted as files of their own
 * @param blockBleed bleed of the book block's pages, zero where the house takes none
 * @param cost of one copy, where the sheet says
 */
public record BindingRules(
    Binding binding,
    Make make,
    List<SpineCase> spine,
    Trims trims,
    List<PageLimit> pages,
    OddCount odd,
    Length bleed,
    SafeDistances safe,
    SpineTypeRule spineType,
    Optional<BarcodeRule> barcode,
    Optional<InsideRule> inside,
    Optional<PartsRule> parts,
    Length blockBleed,
    Optional<CostRule> cost) {
  public BindingRules {
    spine = List.copyOf(spine);
    pages = List.copyOf(pages);
  }

  /**
   * The spine rule for this edition.
   *
   * @throws Refusal when the house has none for its paper and ink
   */
  public SpineCase spineFor(Specification spec) {
    for (SpineCase c : spine) {
      if (c.appliesTo(spec)) {
        return c;
      }
    }
    throw new Refusal(
        "stock",
        "The house gives no spine rule for "
            + binding.title().toLowerCase(Locale.ROOT)
            + " on this paper and ink: choose another paper.");
  }

  /** The page limit for this edition, if the house states one. */
  public Optional<PageLimit> pagesFor(Specification spec) {
    for (PageLimit limit : pages) {
      if (limit.appliesTo(spec)) {
        return Optional.of(limit);
      }
    }
    return Optional.empty();
  }

  /** Whether the house prints its own barcode over the art, so that one in it would be covered. */
  public boolean printsBarcode() {
    return barcode.map(b -> b.supplier() == BarcodeRule.Supplier.HOUSE).orElse(false);
  }
}
