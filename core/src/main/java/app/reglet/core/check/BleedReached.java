package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether art that reaches the trim goes on to the bleed edge. Art that ends within the trim drift
 * of the edge counts as meant to reach it: the knife would leave a white line.
 */
public final class BleedReached implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Set<String> words =
        s.laid().stream()
            .filter(Laid.Words.class::isInstance)
            .map(Laid::piece)
            .collect(Collectors.toSet());
    return s.laid().stream()
        .filter(l -> !(l instanceof Laid.Words) && !(l instanceof Laid.Barcode))
        .filter(l -> !(l instanceof Laid.Picture && words.contains(l.piece()))) // cut by letters
        .flatMap(
            l ->
                shortOf(s.wrap(), l)
                    .map(gap -> finding(s, l, gap, words.contains(l.piece())))
                    .stream())
        .toList();
  }

  private static Finding finding(Subject s, Laid l, Length gap, boolean ofWords) {
    return Finding.ofPiece(
        new Found.BleedNotReached(l.name(), gap, s.wrap().turnIn()),
        Finding.Severity.MEND,
        l,
        l.extent(),
        ofWords ? new Remedy[0] : remedies(l)); // a panel grows with words, not with a box
  }

  /** A page keeps its proportion: to make its box larger would not make it reach further. */
  private static Remedy[] remedies(Laid l) {
    return l instanceof Laid.Page ? new Remedy[0] : new Remedy[] {new Remedy.ToBleed(l.piece())};
  }

  /**
   * The largest gap between the art and a sheet edge that it should have reached: what ends within
   * the drift of the trim should. A border that stays inside the trim is meant to; {@link
   * PiecesSeen} tells whether it stays far enough.
   */
  private static Optional<Length> shortOf(Wrap wrap, Laid laid) {
    Box art = laid.extent();
    boolean border = laid instanceof Laid.Area a && a.hollow();
    Length drift = border ? Tolerance.OF_PLACE : wrap.rules().safe().drift();
    Box trim = wrap.trimmed();
    Box sheet = wrap.sheetBox();
    Length worst = Length.ZERO;
    worst = worst.max(gap(art.left(), trim.left(), sheet.left(), drift));
    worst = worst.max(gap(art.top(), trim.top(), sheet.top(), drift));
    worst =
        worst.max(gap(art.right().negate(), trim.right().negate(), sheet.right().negate(), drift));
    worst =
        worst.max(
            gap(art.bottom().negate(), trim.bottom().negate(), sheet.bottom().negate(), drift));
    return Tolerance.exceededBy(worst) ? Optional.of(worst) : Optional.empty();
  }

  private static Length gap(Length art, Length trim, Length sheet, Length drift) {
    boolean meantToReach = !art.isMoreThan(trim.plus(drift));
    return meantToReach ? art.minus(sheet) : Length.ZERO;
  }
}
