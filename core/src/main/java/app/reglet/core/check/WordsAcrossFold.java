package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Fold;
import java.util.ArrayList;
import java.util.List;

/** Whether words run across a fold. */
public final class WordsAcrossFold implements Check {
  @Override
  public List<Finding> find(Subject s) {
    List<Finding> findings = new ArrayList<>();
    s.words()
        .forEach(
            w -> {
              for (Fold fold : s.wrap().folds()) {
                if (crosses(fold, w.inked())) {
                  findings.add(
                      Finding.ofPiece(
                          new Found.WordsAcrossFold(
                              w.name(),
                              fold.between(),
                              fold.and(),
                              fold.x()
                                  .minus(w.inked().left())
                                  .min(w.inked().right().minus(fold.x()))),
                          Finding.Severity.MEND,
                          w,
                          w.inked(),
                          new Remedy.IntoSafe(w.piece())));
                  break;
                }
              }
            });
    return findings;
  }

  /** Whether ink lies on both sides of a fold. */
  static boolean crosses(Fold fold, Box ink) {
    return Tolerance.exceededBy(fold.x().minus(ink.left()))
        && Tolerance.exceededBy(ink.right().minus(fold.x()));
  }
}
