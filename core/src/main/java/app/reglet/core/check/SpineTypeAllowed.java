package app.reglet.core.check;

import app.reglet.core.wrap.Wrap;
import java.util.List;

/** Whether the house prints words on a spine of this width in a book of this many pages. */
public final class SpineTypeAllowed implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Wrap wrap = s.wrap();
    if (wrap.printsOnSpine()) {
      return List.of();
    }
    return OnSpine.words(s)
        .map(
            w ->
                Finding.ofPiece(
                    new Found.SpineTypeNotAllowed(
                        w.name(),
                        wrap.house().name(),
                        wrap.boundPages(),
                        wrap.spine().stated(),
                        wrap.rules().spineType()),
                    Finding.Severity.MEND,
                    w,
                    w.inked(),
                    new Remedy.TakeOff(w.piece(), w.name())))
        .toList();
  }
}
