package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.web.people.Who;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Revisions that have a name: kept, come back to, and set side by side. */
@Service
public class Versions {
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_NOTE = 2000;
  private static final int MOST = 200;

  private final NamedVersionRows rows;
  private final Revisions revisions;
  private final Covers covers;
  private final Clock clock;
  private final Who who;

  Versions(NamedVersionRows rows, Revisions revisions, Covers covers, Clock clock, Who who) {
    this.rows = rows;
    this.revisions = revisions;
    this.covers = covers;
    this.clock = clock;
    this.who = who;
  }

  /** Those of an edition, the newest first. */
  public List<NamedVersionEntity> of(Long edition) {
    return rows.findByEditionIdOrderByIdDesc(edition);
  }

  /**
   * Gives a revision a name.
   *
   * @throws Refusal when there is no such revision, or the name is none
   */
  @Transactional
  public void name(Long id, int number, String name, String note) {
    EditionEntity edition = covers.edition(id);
    revisions.at(edition, number);
    String called = name.strip();
    if (called.isEmpty() || called.length() > LONGEST_NAME) {
      throw new Refusal(
          "name",
          called.isEmpty()
              ? "A version needs a name by which it is found again: “to the printer”, say."
              : "That name has "
                  + called.length()
                  + " characters; a version’s has at most "
                  + LONGEST_NAME
                  + ".");
    }
    if (note.length() > LONGEST_NOTE) {
      throw new Refusal(
          "note",
          "That note has " + note.length() + " characters; at most " + LONGEST_NOTE + " are kept.");
    }
    if (of(id).size() >= MOST) {
      throw new Refusal(
          "This cover has "
              + MOST
              + " named versions, which is the most: its history keeps every revision without a name, too.");
    }
    rows.save(
        new NamedVersionEntity(id, number, called, note.strip(), clock.instant(), who.name()));
  }

  /** The cover as it was at a revision, on the sheet as it is measured now. */
  @Transactional(readOnly = true)
  public Cover cover(Long id, int number, Viewer viewer) {
    Cover now = covers.of(id, viewer);
    return number == now.edition().getRevision()
        ? now
        : covers.of(now, revisions.at(now.edition(), number));
  }

  /** Puts an earlier revision in force again, as a change that undo takes back. */
  @Transactional
  public void goBack(Long id, int base, int number) {
    EditionEntity edition = covers.edition(id);
    revisions.save(id, base, revisions.at(edition, number), "Back to revision " + number);
  }
}
