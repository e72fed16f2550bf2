package app.reglet.core.check;

import app.reglet.core.design.BlackAlone;
import java.util.List;

/**
 * Whether small black letters are printed with black alone: common practice, no single source. What
 * is too small for several inks at all is told by {@link TypeLargeEnough}.
 */
public final class TypeInOneBlack implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.words()
        .filter(w -> w.said().richBlack() && w.size().isLessThan(BlackAlone.SMALL))
        .filter(w -> !w.size().isLessThan(TypeLargeEnough.SEVERAL))
        .map(
            w ->
                Finding.ofPiece(
                    new OfWords.RichBlack(w.name(), w.size(), BlackAlone.SMALL),
                    Finding.Severity.LOOK,
                    w,
                    w.inked()))
        .toList();
  }
}
