package app.reglet.core.check;

import app.reglet.core.measure.Unit;
import java.util.List;

/** Whether words have room in the box they were given. */
public final class WordsFitBox implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.words()
        .filter(Laid.Words::overflowing)
        .map(
            w ->
                Finding.ofPiece(
                    "words-overflow",
                    Finding.Severity.LOOK,
                    w,
                    w.extent(),
                    "“"
                        + w.name()
                        + "” at "
                        + w.size().brief(Unit.PT)
                        + " needs more room than its box of "
                        + w.extent().size().brief(s.unit())
                        + ".",
                    w.size().brief(Unit.PT),
                    "smaller type or a larger box",
                    new Remedy.FitWords(w.piece())))
        .toList();
  }
}
