package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import java.util.List;

/** Whether spine words keep to the band between the safe distances from both folds. */
public final class SpineTypeFitsBand implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.wrap().panel(PanelKind.SPINE).stream()
        .flatMap(
            spine -> {
              Box band = spine.safe();
              return OnSpine.words(s)
                  .filter(w -> Tolerance.exceededBy(w.inked().width().minus(band.width())))
                  .map(
                      w ->
                          Finding.ofPiece(
                              new Found.SpineTypeTooBig(
                                  w.name(), w.inked().width(), w.size(), band.width(), w.largest()),
                              Finding.Severity.MEND,
                              w,
                              w.inked(),
                              new Remedy.FitWords(w.piece())));
            })
        .toList();
  }
}
