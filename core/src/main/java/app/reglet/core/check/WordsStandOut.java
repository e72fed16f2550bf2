package app.reglet.core.check;

import app.reglet.core.measure.Box;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether words can be told from what lies behind them: half of their ink must have the contrast
 * that WCAG 2.2 asks for, and nearly all of it two thirds of that (our own judgement, since on
 * pictures no words have it everywhere). Words that can hardly be seen at all must be mended.
 */
public final class WordsStandOut {
  /** Under this, words are as good as not there. */
  private static final double HARDLY = 1.5;

  private static final double OF_WORST = 2 / 3.0;

  private WordsStandOut() {}

  /**
   * What is found.
   *
   * @param seen of each piece of words that was measured
   */
  public static List<Finding> find(List<Laid> laid, List<Seen> seen) {
    List<Finding> found = new ArrayList<>();
    for (Seen s : seen) {
      laid.stream()
          .filter(l -> l instanceof Laid.Words && l.piece().equals(s.piece()))
          .map(Laid.Words.class::cast)
          .filter(w -> !w.ink().isEmpty())
          .findFirst()
          .ifPresent(w -> find(w, s, found));
    }
    return found;
  }

  private static void find(Laid.Words w, Seen s, List<Finding> found) {
    double least = Contrast.least(w.size());
    if (s.median() >= least && s.worst() >= least * OF_WORST) {
      return;
    }
    List<Remedy> remedies = new ArrayList<>();
    Contrast.nearest(s.ink(), s.darkest(), s.lightest(), least)
        .ifPresent(c -> remedies.add(new Remedy.Recolour(w.piece(), c)));
    remedies.add(new Remedy.PutPanel(w.piece(), s.ink()));
    Box place = w.inked();
    found.add(
        Finding.ofPiece(
            new OfWords.Faint(w.name(), s.worst(), s.median(), least),
            s.median() < HARDLY ? Finding.Severity.MEND : Finding.Severity.LOOK,
            w,
            place,
            remedies.toArray(Remedy[]::new)));
  }
}
