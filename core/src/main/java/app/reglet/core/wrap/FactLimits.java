package app.reglet.core.wrap;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;

/** The smallest and largest facts that are measured, for every house alike. */
public final class FactLimits {
  /** Above this no book is bound in one piece; such a count is a slip of the hand. */
  public static final int MOST_PAGES = Grammar.MOST_PAGES;

  /** Longest side of a page, and widest flap, that is measured. */
  public static final Length LARGEST_TRIM = Length.of(1500, Unit.MM);

  /** Widest spine that a house may tell. */
  public static final Length WIDEST_SPINE = Length.of(300, Unit.MM);

  private static final Length SMALLEST_TRIM = Length.of(20, Unit.MM);

  private FactLimits() {}

  /**
   * Refuses facts that can't be measured.
   *
   * @throws Refusal naming the field
   */
  static void check(Specification spec) {
    spec.flaps().ifPresent(f -> List.of(f.front(), f.back()).forEach(FactLimits::checkFlap));
    spec.toldSpine()
        .filter(t -> t.width().isNegative() || t.width().isMoreThan(WIDEST_SPINE))
        .ifPresent(
            t -> {
              throw new Refusal(
                  "spine",
                  "A spine of "
                      + t.width().print(Unit.MM)
                      + " can't be: from 0 to "
                      + both(WIDEST_SPINE)
                      + ".");
            });
    if (spec.pages() < 1) {
      throw new Refusal(
          "pages", "A book has at least 1 page; " + spec.pages() + " can't be measured.");
    }
    if (spec.pages() > MOST_PAGES) {
      throw new Refusal(
          "pages",
          String.format(
              java.util.Locale.ROOT,
              "%,d pages can't be bound in one piece; Reglet measures up to %,d.",
              spec.pages(),
              MOST_PAGES));
    }
    for (Length side : List.of(spec.trim().width(), spec.trim().height())) {
      if (side.isLessThan(SMALLEST_TRIM) || side.isMoreThan(LARGEST_TRIM)) {
        throw new Refusal(
            "trim",
            "A side of "
                + side.print(Unit.MM)
                + " is outside what Reglet measures: each side from "
                + both(SMALLEST_TRIM)
                + " to "
                + both(LARGEST_TRIM)
                + ".");
      }
    }
  }

  private static void checkFlap(Length flap) {
    if (flap.isNegative() || flap.isMoreThan(LARGEST_TRIM)) {
      throw new Refusal(
          "flaps",
          "A flap of " + flap.print(Unit.MM) + " can't be: from 0 to " + both(LARGEST_TRIM) + ".");
    }
  }

  /** In millimetres, and in inches for those who think in them. */
  private static String both(Length length) {
    return length.brief(Unit.MM) + " (" + length.figure(Unit.IN, 4) + " in)";
  }
}
