package app.reglet.core.check;

import java.util.List;
import java.util.Optional;

/**
 * Whether words stand in few families of type: two, and a third for an accent, hold a cover
 * together (common practice, no single source). Advice, never a fault.
 */
public final class FamiliesFew implements Check {
  /** More families than these are told. */
  static final int MOST = 3;

  @Override
  public List<Finding> find(Subject s) {
    List<String> families =
        s.laid().stream()
            .filter(Laid.Words.class::isInstance)
            .map(w -> ((Laid.Words) w).face().family())
            .distinct()
            .toList();
    return families.size() <= MOST
        ? List.of()
        : List.of(
            new Finding(
                new OfWords.FamiliesMany(families, MOST),
                Finding.Severity.LOOK,
                Optional.empty(),
                Optional.empty(),
                List.of()));
  }
}
