package app.reglet.web.docket;

import app.reglet.core.carry.FateText;
import app.reglet.core.carry.Report;
import app.reglet.core.carry.Seen;
import app.reglet.core.wrap.WrapChange;
import app.reglet.web.carry.Carrying;
import app.reglet.web.carry.Refitting;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What a change of the facts did to a cover. */
@Service
public class Changed {
  private final FactsHistory history;
  private final Covers covers;
  private final Refitting refitting;

  Changed(FactsHistory history, Covers covers, Refitting refitting) {
    this.history = history;
    this.covers = covers;
    this.refitting = refitting;
  }

  /**
   * The cover with the facts it had before they were changed last.
   *
   * @param what the change
   * @param cover as it was
   */
  public record Before(String what, Cover cover) {}

  /** The cover before the last change of its edition's facts; empty where there was none. */
  public Optional<Before> before(EditionEntity edition, Viewer viewer) {
    return history
        .last(edition.getId())
        .filter(l -> !l.facts().isEmpty())
        .map(l -> new Before(l.what(), with(edition, l.facts(), viewer)));
  }

  /** A cover with other facts, its design as it would be with them. */
  Cover with(EditionEntity edition, Map<String, String> facts, Viewer viewer) {
    EditionEntity other = edition.as(facts);
    return covers.proposed(covers.measured(other, viewer), refitting.designed(edition, other));
  }

  /** What a change did to the sheet, and what became of the pieces on it. */
  static List<String> said(Cover before, Cover after) {
    Optional<Seen> was = Carrying.seen(before);
    List<String> said = new ArrayList<>();
    before
        .wrap()
        .flatMap(b -> after.wrap().map(a -> WrapChange.between(b, a, after.unit())))
        .ifPresent(said::addAll);
    Optional<Seen> is = Carrying.seen(after);
    if (!said.isEmpty() && was.isPresent() && is.isPresent()) {
      said.addAll(new FateText(after.sheet(), after.unit()).brief(Report.of(was.get(), is.get())));
    }
    return said;
  }
}
