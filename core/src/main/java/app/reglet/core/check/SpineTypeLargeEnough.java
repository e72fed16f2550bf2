package app.reglet.core.check;

import app.reglet.core.measure.Length;
import java.util.List;

/** Whether spine words are at least as large as the house prints. */
public final class SpineTypeLargeEnough implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Length least = s.wrap().rules().spineType().leastSize();
    return OnSpine.words(s)
        .filter(w -> w.size().isLessThan(least))
        .map(
            w ->
                Finding.ofPiece(
                    new Found.SpineTypeTooSmall(w.name(), s.wrap().house().name(), w.size(), least),
                    Finding.Severity.MEND,
                    w,
                    w.inked(),
                    new Remedy.TakeOff(w.piece(), w.name())))
        .toList();
  }
}
