package app.reglet.core.check;

import app.reglet.core.measure.Length;
import java.util.List;

/**
 * Whether type is large enough to print well: from 5 pt in one ink, from 7 pt in several, whose
 * drift would blur it, or left out of the ink round it, which would fill it (common practice, no
 * single source). What a house says of its spine is judged by itself.
 */
public final class TypeLargeEnough implements Check {
  private static final Length ONE_INK = Length.pt("5");
  private static final Length SEVERAL = Length.pt("7");

  @Override
  public List<Finding> find(Subject s) {
    return s.words()
        .filter(w -> w.size().isLessThan(least(w)))
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
    return w.said().inks() == 1 ? ONE_INK : SEVERAL;
  }
}
