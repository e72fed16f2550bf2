package app.reglet.core.check;

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
    for (Laid l : s.laid()) {
      if (l instanceof Laid.Page page) {
        of(page, s).forEach(f -> found.add(without(f, page)));
      }
    }
    return found;
  }

  private static List<Finding> of(Laid.Page page, Subject s) {
    Subject drawn = new Subject(s.wrap(), s.book(), page.on());
    List<Finding> found = new ArrayList<>();
    for (Check check : Check.ofFile(s.wrap().page())) {
      found.addAll(check.find(drawn));
    }
    found.addAll(WordsStandOut.find(page.on(), page.seen()));
    return found;
  }

  private static Finding without(Finding f, Laid.Page page) {
    return new Finding(f.found(), f.severity(), f.place(), Optional.of(page.piece()), List.of());
  }
}
