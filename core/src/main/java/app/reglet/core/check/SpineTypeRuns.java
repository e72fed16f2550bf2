package app.reglet.core.check;

import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.wrap.PanelKind;
import java.util.List;

/**
 * Whether spine words run the way the house's market reads them: top to bottom in English-language
 * books, readable when the book lies face up, bottom to top in much of continental Europe (common
 * practice, no single source). Level words on a thick spine run neither way.
 */
public final class SpineTypeRuns implements Check {
  private static final double SLANT = 45;

  @Override
  public List<Finding> find(Subject s) {
    SpineTypeRule.Direction wanted = s.wrap().rules().spineType().direction();
    double other = wanted == SpineTypeRule.Direction.TOP_TO_BOTTOM ? 270 : 90;
    return s.wrap().panel(PanelKind.SPINE).stream()
        .flatMap(spine -> OnSpine.words(s))
        .filter(w -> Math.abs(w.said().angle() - other) < SLANT)
        .map(
            w ->
                Finding.ofPiece(
                    new OfWords.OtherWay(w.name(), wanted.other(), s.wrap().house().name()),
                    Finding.Severity.LOOK,
                    w,
                    w.inked(),
                    new Remedy.RunOtherWay(w.piece(), wanted)))
        .toList();
  }
}
