package app.reglet.core.check;

import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Length;
import java.util.List;

/** Whether the house prints words on a spine of this width in a book of this many pages. */
public final class SpineTypeAllowed implements Check {
  @Override
  public List<Finding> find(Subject s) {
    SpineTypeRule rule = s.wrap().rules().spineType();
    int pages = s.wrap().boundPages();
    Length spine = s.wrap().spine().stated();
    if (s.wrap().printsOnSpine()) {
      return List.of();
    }
    boolean tooFew = pages < rule.leastPages();
    String measured = tooFew ? pages + " pages" : s.say(spine);
    String required =
        rule.leastPages() == Integer.MAX_VALUE
            ? "no words on the spine"
            : tooFew ? "from " + rule.leastPages() + " pages" : "from " + s.say(rule.leastWidth());
    return OnSpine.words(s)
        .map(
            w ->
                Finding.ofPiece(
                    "spine-type-not-allowed",
                    Finding.Severity.MEND,
                    w,
                    w.inked(),
                    "“"
                        + w.name()
                        + "” stands on the spine, where "
                        + s.wrap().house().name()
                        + " prints words "
                        + (rule.leastPages() == Integer.MAX_VALUE
                            ? "in no book"
                            : required + " only")
                        + "; this one has "
                        + measured
                        + ".",
                    measured,
                    required,
                    new Remedy.TakeOff(w.piece(), w.name())))
        .toList();
  }
}
