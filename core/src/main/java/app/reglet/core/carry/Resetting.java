package app.reglet.core.carry;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Rewriting;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import java.util.function.UnaryOperator;

/**
 * What a piece shows, as large as the other sheet's panel asks for: type, strokes, corners, shadows
 * by the lesser ratio of the panel's sides. Small type keeps within sizes that are read in print,
 * but for a front's, which goes with it; a motif repeats at its own size.
 */
record Resetting(Sheets sheets) {
  /** Words up to this size are read, not seen from afar: common practice, no single source. */
  private static final Length READ = Length.pt("13");

  private static final Length READ_LEAST = Length.pt("8");
  private static final Length READ_MOST = Length.pt("12.5");
  private static final Length LEAST = Length.pt("7");

  /** A stroke thinner than this may not print: common practice, no single source. */
  private static final Length HAIRLINE = Length.pt("0.25");

  /**
   * The same piece as its new panel asks for, where it lies unchanged.
   *
   * @param home the panel it lies on, null for several
   */
  Piece of(Piece piece, PanelKind home) {
    UnaryOperator<Length> rule = l -> sheets.in(home, l);
    if (rule.apply(Length.mm("100")).equals(Length.mm("100"))) {
      return piece;
    }
    Piece sized = Rewriting.sized(piece, rule);
    Content content = sized.content();
    if (content instanceof Words w && piece.content() instanceof Words was) {
      return sized.withContent(w.withSize(size(was.type().size(), w.type().size(), home)));
    }
    if (content instanceof Content.Shape s
        && s.stroke() != null
        && piece.content() instanceof Content.Shape was) {
      Length thin = was.stroke().width().min(HAIRLINE);
      return sized.withContent(
          new Content.Shape(
              s.figure(), s.fill(), s.stroke().withWidth(s.stroke().width().max(thin))));
    }
    if (content instanceof Content.Pattern p && sheets.onScreen()) {
      return sized.withContent(new Content.Pattern(p.motif(), tiling(p.tiling(), rule)));
    }
    return sized;
  }

  /** On a screen a motif goes with the cover. */
  static Tiling tiling(Tiling t, UnaryOperator<Length> rule) {
    return new Tiling(
        rule.apply(t.width()).max(Tiling.LEAST).min(Tiling.MOST),
        rule.apply(t.across()).min(Tiling.MOST),
        rule.apply(t.down()).min(Tiling.MOST),
        t.stagger(),
        t.angle());
  }

  private Length size(Length was, Length is, PanelKind home) {
    Length bounded = is;
    if (!sheets.onScreen()) {
      bounded =
          home == PanelKind.SPINE
              ? is.max(was.min(sheets.to().rules().spineType().leastSize()))
              : was.isMoreThan(READ)
                  ? is.max(was.min(LEAST))
                  : home == PanelKind.FRONT
                      ? is.max(was.min(READ_LEAST))
                      : is.max(was.min(READ_LEAST)).min(was.max(READ_MOST));
    }
    // figures a person would type
    return Length.of(bounded.in(Unit.PT, 1), Unit.PT);
  }
}
