package app.reglet.core.check;

import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;

/**
 * Whether a cover for screens has an edge on a white page: a near-white one vanishes there (common
 * practice, no single source).
 */
public final class EdgeSeen {
  /** Of the edge that may be nearly white. */
  private static final double MOST = 0.5;

  private EdgeSeen() {}

  /**
   * What is found.
   *
   * @param pale share of the edge that is nearly white, 0 to 1
   */
  public static List<Finding> find(double pale, Wrap wrap) {
    return pale <= MOST
        ? List.of()
        : List.of(
            new Finding(
                new Found.PaleEdge(pale),
                Finding.Severity.LOOK,
                Optional.of(wrap.sheetBox()),
                Optional.empty(),
                List.of(new Remedy.Hairline())));
  }
}
