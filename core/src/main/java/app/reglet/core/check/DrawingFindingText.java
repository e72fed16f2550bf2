package app.reglet.core.check;

import app.reglet.core.measure.Unit;
import java.util.Locale;

/** Sentences of what is drawn. */
final class DrawingFindingText implements OfDrawing.Teller<String> {
  private final Unit unit;

  /**
   * @param unit of figures; lines are told in points
   */
  DrawingFindingText(Unit unit) {
    this.unit = unit;
  }

  private static String low(String title) {
    return title.toLowerCase(Locale.ROOT);
  }

  @Override
  public String lineThin(OfDrawing.LineThin f) {
    return "The line of "
        + FindingText.quoted(f.name())
        + " is "
        + f.width().brief(Unit.PT)
        + " thick; under "
        + f.least().brief(Unit.PT)
        + " a press prints it with breaks.";
  }

  @Override
  public String edgeOnFold(OfDrawing.EdgeOnFold f) {
    return "An edge of "
        + FindingText.quoted(f.name())
        + " lies on the fold between "
        + low(f.between().title())
        + " and "
        + low(f.and().title())
        + "; folds drift by up to "
        + f.drift().brief(unit)
        + ", and it would be seen on the wrong side.";
  }

  @Override
  public String borderNearTrim(OfDrawing.BorderNearTrim f) {
    return FindingText.quoted(f.name())
        + " runs "
        + f.from().brief(unit)
        + " from the trim of the "
        + low(f.panel().title())
        + "; the knife drifts by up to "
        + f.safe().drift().brief(unit)
        + ", and a border is even from "
        + f.safe().trim().brief(unit)
        + " on.";
  }

  @Override
  public String pieceHidden(OfDrawing.PieceHidden f) {
    return FindingText.quoted(f.name())
        + " is hidden and will not be printed: show it, or take it off.";
  }

  @Override
  public String pieceOffSheet(OfDrawing.PieceOffSheet f) {
    return FindingText.quoted(f.name()) + " lies beside the sheet, where nothing is printed.";
  }

  @Override
  public String wordsNone(OfDrawing.WordsNone f) {
    return FindingText.quoted(f.name()) + " has no words.";
  }

  @Override
  public String pieceLocked(OfDrawing.PieceLocked f) {
    return FindingText.quoted(f.name())
        + " is locked, and what is found of it ("
        + f.findings()
        + (f.findings() == 1 ? " note" : " notes")
        + ") can’t be mended before it is unlocked.";
  }
}
