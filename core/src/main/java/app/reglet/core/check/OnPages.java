package app.reglet.core.check;

import app.reglet.core.measure.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is drawn on placed pages and on finished files that were laid: the very checks that a whole
 * file goes through, made where it lies now. What is found is in the file, so nothing here mends
 * it.
 */
public final class OnPages implements Check {
  @Override
  public List<Finding> find(Subject s) {
    List<Finding> found = new ArrayList<>();
    for (int i = 0; i < s.laid().size(); i++) {
      if (s.laid().get(i) instanceof Laid.Page page) {
        List<Box> hidden = hidden(s.laid().subList(i + 1, s.laid().size()));
        List<Laid> on =
            page.on().stream()
                .filter(l -> hidden.stream().noneMatch(h -> h.contains(l.extent())))
                .toList();
        of(page, on, s).forEach(f -> found.add(without(f, page)));
        boolean paper = page.covers() || isPaper(s.laid().subList(0, i));
        page.inks().stream()
            .filter(f -> paper || !(f.found() instanceof OfFile.WhiteEdge))
            .filter(f -> hidden.stream().noneMatch(h -> h.contains(f.place().orElseThrow())))
            .forEach(f -> found.add(without(f, page)));
      }
    }
    return found;
  }

  /** Whether white paper is seen where a page has nothing, as it lies on these. */
  private static boolean isPaper(List<Laid> below) {
    return below.stream()
        .allMatch(l -> l instanceof Laid.Page || l instanceof Laid.Ground g && g.paper());
  }

  /** Where nothing is seen of what lies below, as below the spine of a file that is drawn out. */
  private static List<Box> hidden(List<Laid> above) {
    return above.stream()
        .filter(l -> l instanceof Laid.Page p && p.covers())
        .map(Laid::extent)
        .toList();
  }

  private static List<Finding> of(Laid.Page page, List<Laid> on, Subject s) {
    Subject drawn = new Subject(s.wrap(), s.book(), on);
    List<Finding> found = new ArrayList<>();
    for (Check check : Check.ofFile(s.wrap().page())) {
      found.addAll(check.find(drawn));
    }
    found.addAll(WordsStandOut.find(on, page.seen()));
    return found;
  }

  private static Finding without(Finding f, Laid.Page page) {
    return new Finding(f.found(), f.severity(), f.place(), Optional.of(page.piece()), List.of());
  }
}
