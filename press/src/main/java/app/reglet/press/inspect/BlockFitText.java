package app.reglet.press.inspect;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;

/** Tells how a book block fits in sentences, with the figures to mend it. */
public final class BlockFitText {
  private final Unit unit;

  private BlockFitText(Unit unit) {
    this.unit = unit;
  }

  /**
   * The sentence.
   *
   * @param unit of its figures
   */
  public static String of(BlockFit fit, Unit unit) {
    BlockFitText text = new BlockFitText(unit);
    return switch (fit.verdict()) {
      case MIXED -> text.mixed(fit);
      case TRIM ->
          "The pages are "
              + fit.page().brief(unit)
              + ", the trim size: right for an inside without bleed.";
      case BLEED ->
          "The pages are "
              + fit.page().brief(unit)
              + ", the trim size and "
              + fit.bleed().orElseThrow().print(unit)
              + " bleed on the outer edges: right for an inside with bleed.";
      case NEITHER -> text.neither(fit);
    };
  }

  /** How the count differs from what was typed, and what the house binds instead. */
  public static String of(BlockCount count) {
    int found = count.found();
    String has = "The file has " + pages(found, "page");
    return has
        + count
            .typed()
            .map(
                typed ->
                    typed == found
                        ? ", as the docket says."
                        : "; the docket says "
                            + typed
                            + ", "
                            + Math.abs(typed - found)
                            + (typed > found ? " more." : " fewer."))
            .orElse("; the docket has no count yet.")
        + (count.allowed() ? "" : " The house does not bind " + found + instead(count))
        + blank(count);
  }

  private static String blank(BlockCount count) {
    int blank = count.blankAtEnd();
    if (blank == 0) {
      return "";
    }
    if (blank >= BlockFacts.MOST_BLANK) {
      return " Its last " + blank + " pages at least are blank.";
    }
    int without = count.found() - blank;
    return (blank == 1 ? " Its last page is blank" : " Its last " + blank + " pages are blank")
        + ": without "
        + (blank == 1 ? "it" : "them")
        + " there are "
        + without
        + (count.typed().filter(t -> t == without).isPresent() ? ", as the docket says" : "")
        + (count.typed().filter(t -> t == count.found()).isPresent()
            ? ". If they are not meant, the last pages were moved."
            : ".");
  }

  /** How near the words come to the spine. */
  public static String of(BlockGutter gutter, Unit unit) {
    return "Words on page "
        + gutter.page()
        + " come as near as "
        + gutter.nearest().brief(unit)
        + " to the spine; a book so thick wants "
        + gutter.wanted().brief(unit)
        + ". Of "
        + gutter.looked()
        + " pages that were looked at, "
        + gutter.nearer()
        + (gutter.nearer() == 1 ? " is" : " are")
        + " nearer than that: make the inner margin "
        + gutter.wanted().minus(gutter.nearest()).brief(unit)
        + " wider.";
  }

  private static String instead(BlockCount count) {
    int found = count.found();
    if (count.above().isPresent()) {
      int above = count.above().get();
      return "; with " + pages(above - found, "blank page") + " it is " + above + ".";
    }
    return count.below().map(n -> "; the most it binds is " + n + ".").orElse(".");
  }

  private static String pages(int count, String one) {
    return count + " " + one + (count == 1 ? "" : "s");
  }

  private String mixed(BlockFit fit) {
    return "Not all pages have one size: page 1 is "
        + fit.page().print(unit)
        + ", but "
        + SizesText.of(fit.others(), unit)
        + ". Set every page to "
        + fit.trim().print(unit)
        + ".";
  }

  private String neither(BlockFit fit) {
    return "The pages are "
        + fit.page().brief(unit)
        + ", which is neither the trim size nor the trim size with bleed. Without bleed: "
        + mend(fit.page(), fit.trim())
        + fit.bled().map(b -> " With bleed on the outer edges: " + mend(fit.page(), b)).orElse("")
        + (fit.liesOnItsSide() ? " They lie on their side: turn them upright." : "");
  }

  private String mend(Size found, Size wanted) {
    Length dw = wanted.width().minus(found.width());
    Length dh = wanted.height().minus(found.height());
    return "make them "
        + wanted.print(unit)
        + " ("
        + change(dw, "wider", "narrower", "the width stays")
        + ", "
        + change(dh, "higher", "lower", "the height stays")
        + ").";
  }

  private String change(Length by, String more, String less, String none) {
    if (!by.abs().isMoreThan(BlockFit.TOLERANCE)) {
      return none;
    }
    return by.abs().brief(unit) + " " + (by.isPositive() ? more : less);
  }
}
