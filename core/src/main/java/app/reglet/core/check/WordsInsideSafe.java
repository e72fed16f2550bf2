package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import java.util.ArrayList;
import java.util.List;

/** Whether words keep to the safe zone of the panel they stand on. */
public final class WordsInsideSafe implements Check {
  @Override
  public List<Finding> find(Subject s) {
    List<Finding> findings = new ArrayList<>();
    s.words()
        .forEach(
            w -> {
              Box ink = w.inked();
              if (s.wrap().folds().stream().anyMatch(f -> WordsAcrossFold.crosses(f, ink))) {
                return; // told by WordsAcrossFold
              }
              var panel = s.wrap().panelUnder(ink);
              if (panel.isEmpty()) {
                findings.add(off(w));
                return;
              }
              Box safe = panel.get().safe();
              boolean spine = panel.get().kind() == PanelKind.SPINE;
              Length out = outside(ink, safe, spine);
              if (Tolerance.exceededBy(out)) {
                boolean cut = !panel.get().trim().contains(ink, Tolerance.OF_PLACE);
                findings.add(
                    Finding.ofPiece(
                        new Found.WordsOutsideSafe(w.name(), out, panel.get().kind(), cut),
                        Finding.Severity.MEND,
                        w,
                        ink,
                        new Remedy.IntoSafe(w.piece())));
              }
            });
    return findings;
  }

  private static Finding off(Laid.Words w) {
    return Finding.ofPiece(
        new Found.WordsOffCover(w.name()),
        Finding.Severity.MEND,
        w,
        w.inked(),
        new Remedy.IntoSafe(w.piece()));
  }

  /** How far the ink reaches out, at its worst side; on the spine the band is another check's. */
  private static Length outside(Box ink, Box safe, boolean spine) {
    Length across =
        spine && ink.width().isMoreThan(safe.width())
            ? Length.ZERO
            : safe.left().minus(ink.left()).max(ink.right().minus(safe.right()));
    Length down = safe.top().minus(ink.top()).max(ink.bottom().minus(safe.bottom()));
    return across.max(down).max(Length.ZERO);
  }
}
