package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
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
                              "spine-type-too-big",
                              Finding.Severity.MEND,
                              w,
                              w.inked(),
                              "“"
                                  + w.name()
                                  + "” is "
                                  + s.say(w.inked().width())
                                  + " across at "
                                  + w.size().brief(Unit.PT)
                                  + "; the spine leaves "
                                  + s.say(band.width())
                                  + " between its safe lines"
                                  + (w.largest().isPositive()
                                      ? ", room for " + w.largest().brief(Unit.PT) + "."
                                      : "."),
                              s.say(w.inked().width()),
                              "at most " + s.say(band.width()),
                              new Remedy.FitWords(w.piece())));
            })
        .toList();
  }
}
