package app.reglet.core.check;

import app.reglet.core.book.Fact;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Whether the title on the front is read where a shop shows the cover small: its capitals 6 pixels
 * high where the front is 160 (common practice, no single source). Advice, until the thumbnail is
 * measured itself. The largest of the words that say the title counts, and capitals are taken as
 * two thirds of the type size.
 */
public final class TitleReadSmall implements Check {
  private static final int FRONT = 160;
  private static final double CAPITALS = 6;
  private static final double OF_SIZE = 2 / 3.0;

  @Override
  public List<Finding> find(Subject s) {
    Optional<Panel> front = s.wrap().panel(PanelKind.FRONT);
    if (front.isEmpty()) {
      return List.of();
    }
    // the least type size, whose capitals are so high
    Length least = Length.nearMm(front.get().trim().height().toMm() * CAPITALS / FRONT / OF_SIZE);
    return s.words()
        .filter(w -> w.said().fact() == Fact.TITLE)
        .filter(w -> front.get().trim().overlaps(w.inked()))
        .max(Comparator.comparing(w -> w.size().toMm()))
        .map(w -> faint(w, least))
        .orElse(Stream.empty())
        .toList();
  }

  private static Stream<Finding> faint(Laid.Words w, Length least) {
    return w.size().isLessThan(least)
        ? Stream.of(
            Finding.ofPiece(
                new OfWords.TitleFaint(w.name(), w.size(), least, FRONT),
                Finding.Severity.LOOK,
                w,
                w.inked()))
        : Stream.empty();
  }
}
