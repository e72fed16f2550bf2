package app.reglet.core.check;

import app.reglet.core.measure.Length;
import java.util.List;

/**
 * Whether type is large enough to print well: from 5 pt in one ink, from 7 pt in several, whose
 * drift would blur it; left out of the ink round it, which would fill it, from 8 pt, and from 10 pt
 * where its letters have fine strokes (common practice, no single source). What a house says of its
 * spine is judged by itself.
 */
public final class TypeLargeEnough implements Check {
  /** A size is kept to the nearest of Reglet's own small units. */
  private static final Length ROUNDING = Length.mm("0.001");

  private static final Length ONE_INK = Length.pt("5");
  static final Length SEVERAL = Length.pt("7");
  private static final Length LEFT_OUT = Length.pt("8");
  private static final Length LEFT_OUT_FINE = Length.pt("10");

  @Override
  public List<Finding> find(Subject s) {
    return s.words()
        .filter(w -> w.size().plus(ROUNDING).isLessThan(least(w)))
        .map(
            w ->
                Finding.ofPiece(
                    new OfWords.TypeSmall(w.name(), w.size(), least(w), w.said().inks()),
                    Finding.Severity.LOOK,
                    w,
                    w.inked()))
        .toList();
  }

  private static Length least(Laid.Words w) {
    return switch (w.said().inks()) {
      case 0 -> w.face().fine() ? LEFT_OUT_FINE : LEFT_OUT;
      case 1 -> ONE_INK;
      default -> SEVERAL;
    };
  }
}
