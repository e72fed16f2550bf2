package app.reglet.core.check;

import app.reglet.core.measure.Length;
import java.util.List;

/**
 * Whether lines are thick enough to be printed without breaks: common practice, no single source.
 */
public final class LinesThick implements Check {
  /** The thinnest, 0.25 pt. */
  public static final Length LEAST = Length.pt("0.25");

  @Override
  public List<Finding> find(Subject s) {
    if (s.wrap().spec().binding().isInPixels()) {
      return List.of();
    }
    return s.laid().stream()
        .filter(Laid.Area.class::isInstance)
        .map(Laid.Area.class::cast)
        .filter(a -> a.line().isPositive() && a.line().isLessThan(LEAST))
        .map(
            a ->
                Finding.ofPiece(
                    new OfDrawing.LineThin(a.name(), a.line(), LEAST),
                    Finding.Severity.MEND,
                    a,
                    a.extent(),
                    new Remedy.Thicken(a.piece(), LEAST)))
        .toList();
  }
}
