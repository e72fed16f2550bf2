package app.reglet.core.check;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
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
                    "spine-type-too-small",
                    Finding.Severity.MEND,
                    w,
                    w.inked(),
                    "“"
                        + w.name()
                        + "” comes out at "
                        + w.size().brief(Unit.PT)
                        + "; "
                        + s.wrap().house().name()
                        + " prints spine words from "
                        + least.brief(Unit.PT)
                        + ".",
                    w.size().brief(Unit.PT),
                    "at least " + least.brief(Unit.PT),
                    new Remedy.TakeOff(w.piece(), w.name())))
        .toList();
  }
}
