package app.reglet.press.inspect;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.InsidePage;

/**
 * What the PDF of a book block says of its pages, set against the facts of an edition.
 *
 * @param pages how many there are
 * @param page size of a page: its trim box where one is written, else the media box
 * @param verdict how the pages fit
 * @param sentence the same for a person, with the figures to mend it
 */
public record BlockFit(int pages, Size page, Verdict verdict, String sentence) {
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
  private static final Length TOLERANCE = Length.pt("0.5");

  public boolean fits() {
    return verdict == Verdict.TRIM || verdict == Verdict.BLEED;
  }

  /** Sets a book block against the facts of an edition and the rules of its binding. */
  public static BlockFit of(PdfFacts file, Specification spec, BindingRules rules, Unit unit) {
    Size page = file.first().size("TrimBox");
    Size trim = spec.trim();
    Size bled = InsidePage.withBleed(trim, rules.blockBleed());
    if (!file.otherSizes().isEmpty()) {
      String numbers =
          String.join(", ", file.otherSizes().stream().limit(5).map(String::valueOf).toList());
      return new BlockFit(
          file.pages(),
          page,
          Verdict.MIXED,
          "Not all pages have one size: page 1 is "
              + page.print(unit)
              + ", otherwise "
              + (file.otherSizes().size() == 1 ? "is page " : "are pages ")
              + numbers
              + (file.otherSizes().size() > 5
                  ? " and " + (file.otherSizes().size() - 5) + " more"
                  : "")
              + ". Set every page to "
              + trim.print(unit)
              + ".");
    }
    if (near(page, trim)) {
      return new BlockFit(
          file.pages(),
          page,
          Verdict.TRIM,
          "The pages are "
              + page.brief(unit)
              + ", the trim size: right for an inside without bleed.");
    }
    if (rules.blockBleed().isPositive() && near(page, bled)) {
      return new BlockFit(
          file.pages(),
          page,
          Verdict.BLEED,
          "The pages are "
              + page.brief(unit)
              + ", the trim size and "
              + rules.blockBleed().print(unit)
              + " bleed on the outer edges: right for an inside with bleed.");
    }
    return new BlockFit(file.pages(), page, Verdict.NEITHER, mend(page, trim, bled, rules, unit));
  }

  private static String mend(Size page, Size trim, Size bled, BindingRules rules, Unit unit) {
    StringBuilder out =
        new StringBuilder("The pages are ")
            .append(page.brief(unit))
            .append(
                ", which is neither the trim size nor the trim size with bleed. Without bleed: ")
            .append(off(page, trim, unit));
    if (rules.blockBleed().isPositive()) {
      out.append(" With bleed on the outer edges: ").append(off(page, bled, unit));
    }
    if (near(page, new Size(trim.height(), trim.width()))) {
      out.append(" They lie on their side: turn them upright.");
    }
    return out.toString();
  }

  private static String off(Size found, Size wanted, Unit unit) {
    Length dw = wanted.width().minus(found.width());
    Length dh = wanted.height().minus(found.height());
    return "make them "
        + wanted.print(unit)
        + " ("
        + change(dw, "wider", "narrower", unit)
        + ", "
        + change(dh, "higher", "lower", unit)
        + ").";
  }

  private static String change(Length by, String more, String less, Unit unit) {
    if (!by.abs().isMoreThan(TOLERANCE)) {
      return "the " + (more.equals("wider") ? "width" : "height") + " stays";
    }
    return by.abs().brief(unit) + " " + (by.isPositive() ? more : less);
  }

  private static boolean near(Size a, Size b) {
    return !a.width().minus(b.width()).abs().isMoreThan(TOLERANCE)
        && !a.height().minus(b.height()).abs().isMoreThan(TOLERANCE);
  }
}
