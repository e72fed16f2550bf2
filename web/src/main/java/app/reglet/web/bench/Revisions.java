package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.design.Design;
import app.reglet.web.people.Who;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The designs of an edition as a list of revisions. Undo and redo move along it; a change after an
 * undo starts a new branch and the old one stays stored. Revision 0 is the empty cover.
 */
@Service
public class Revisions {
  private static final int MOST_CHANGES = 500;

  /**
   * A change as the history tells it.
   *
   * @param by who made it; empty when Reglet was open to its machine
   */
  public record Change(int number, int parent, String what, Instant made, String by) {}

  /** Typing that rests so long begins anew. */
  private static final Duration PAUSE = Duration.ofSeconds(3);

  /** The run of layouts that are tried one after the other: all of it is one undo. */
  static final String TRYING = "layouts";

  private static final Duration TRIED = Duration.ofMinutes(20);

  /** The last change of an edition, where it was typed. */
  private record Typing(int number, String run, String by, Instant at) {}

  private final Map<Long, Typing> typing = new ConcurrentHashMap<>();
  private final RevisionRows rows;
  private final Editions editions;
  private final Clock clock;
  private final Who who;
  private final List<RevisionKeeper> keepers;

  public Revisions(
      RevisionRows rows, Editions editions, Clock clock, Who who, List<RevisionKeeper> keepers) {
    this.keepers = keepers;
    this.who = who;
    this.rows = rows;
    this.editions = editions;
    this.clock = clock;
  }

  /**
   * The design in force.
   *
   * @throws Refusal when it can't be read
   */
  public Design current(EditionEntity edition) {
    if (edition.getRevision() == 0) {
      return Design.EMPTY;
    }
    RevisionEntity row =
        row(edition)
            .orElseThrow(
                () ->
                    new Refusal(
                        "Its design, revision "
                            + edition.getRevision()
                            + ", is not here any more."));
    try {
      return row.design();
    } catch (RuntimeException e) {
      throw new Refusal(
          "Its design, revision "
              + row.getNumber()
              + ", can't be read: it was written by another Reglet, or is damaged ("
              + e.getMessage().replaceAll("^This design can't be read: |\\.$", "")
              + ").");
    }
  }

  /**
   * The design of a revision.
   *
   * @throws Gone when there is none such
   */
  public Design at(EditionEntity edition, int number) {
    return number == 0
        ? Design.EMPTY
        : rows.findByEditionIdAndNumber(edition.getId(), number)
            .map(RevisionEntity::design)
            .orElseThrow(() -> new Gone("This cover has no revision " + number + "."));
  }

  /** The newest changes of an edition, without their designs, the newest first. */
  public List<Change> changes(Long editionId) {
    return rows.changes(editionId, Limit.of(MOST_CHANGES));
  }

  /**
   * Goes back along what the design in force was made from to one that can be read; to the empty
   * cover when none can. Nothing is deleted.
   */
  public void goBackToReadable(EditionEntity edition) {
    Set<Integer> seen = new HashSet<>();
    int number = edition.getRevision();
    while (number > 0 && seen.add(number)) {
      Optional<RevisionEntity> row = rows.findByEditionIdAndNumber(edition.getId(), number);
      if (row.isEmpty()) {
        number--;
        continue;
      }
      try {
        row.get().design();
        lay(edition, number);
        return;
      } catch (RuntimeException e) {
        number = row.get().getParent();
      }
    }
    lay(edition, 0);
  }

  /** One of two who do this at once waits for the other, and finds the revision moved. */
  private void lay(EditionEntity edition, int number) {
    if (editions.lay(edition.getId(), edition.getRevision(), number) == 0) {
      throw new Conflict(
          "This cover was changed in another window at the same moment. Nothing was overwritten: reload the page to go on from there.");
    }
    edition.laid(number);
  }

  private Optional<RevisionEntity> row(EditionEntity edition) {
    return edition.getRevision() == 0
        ? Optional.empty()
        : rows.findByEditionIdAndNumber(edition.getId(), edition.getRevision());
  }

  /** When the design in force was made; the edition's start for the empty cover. */
  public Instant made(EditionEntity edition) {
    return row(edition).map(RevisionEntity::getMade).orElse(Instant.EPOCH);
  }

  /** What undo would take back, empty at the start. */
  public Optional<String> undoable(EditionEntity edition) {
    return edition.getRevision() == 0
        ? Optional.empty()
        : rows.what(edition.getId(), edition.getRevision());
  }

  /** What redo would do again. */
  public Optional<String> redoable(EditionEntity edition) {
    return rows.whatOnTop(edition.getId(), edition.getRevision(), Limit.of(1)).stream().findFirst();
  }

  /**
   * Stores a change.
   *
   * @param base the revision the change was made on
   * @throws Conflict when another window has changed the design since
   */
  @Transactional
  public void save(Long editionId, int base, Design design, String what) {
    EditionEntity edition = edition(editionId);
    expect(edition, base);
    if (!design.equals(current(edition))) {
      add(edition, design, what);
    }
  }

  /** Stores a change of the design in force, which is another. */
  public void add(EditionEntity edition, Design design, String what) {
    add(edition, design, what, "");
  }

  /**
   * Stores a change of the design in force, which is another.
   *
   * @param run what is typed in, when it is: a change in a run that goes on takes the place of the
   *     one before, so that undo takes back what was typed in one go
   */
  public void add(EditionEntity edition, Design design, String what, String run) {
    int before = edition.getRevision();
    Instant now = clock.instant();
    Typing last = typing.get(edition.getId());
    boolean goesOn =
        !run.isEmpty()
            && last != null
            && last.equals(new Typing(before, run, who.name(), last.at()))
            && Duration.between(last.at(), now).compareTo(run.equals(TRYING) ? TRIED : PAUSE) < 0;
    int parent = goesOn ? row(edition).map(RevisionEntity::getParent).orElse(before) : before;
    int number = rows.newest(edition.getId()).orElse(0) + 1;
    lay(edition, number);
    rows.save(
        new RevisionEntity(
            edition.getId(),
            number,
            parent,
            what.length() > 200 ? what.substring(0, 200) : what,
            design,
            now,
            who.name()));
    if (goesOn) {
      forget(edition.getId(), before);
    }
    typing.put(edition.getId(), new Typing(number, run, who.name(), now));
  }

  /**
   * Stores a design that comes of another than the one in force.
   *
   * @param parent what undo goes back to
   */
  public void addOn(EditionEntity edition, int parent, Design design, String what) {
    lay(edition, parent);
    add(edition, design, what, "");
  }

  /** Takes out a step that the next one has taken the place of, unless something stands on it. */
  public void forget(Long edition, int number) {
    if (keepers.stream().noneMatch(k -> k.keeps(edition, number))) {
      rows.forget(edition, number);
    }
  }

  /**
   * A change as the history tells it.
   *
   * @throws Gone when there is none such
   */
  public Change change(EditionEntity edition, int number) {
    return rows.findByEditionIdAndNumber(edition.getId(), number)
        .map(r -> new Change(number, r.getParent(), r.getWhat(), r.getMade(), r.getBy()))
        .orElseThrow(() -> new Gone("This cover has no revision " + number + "."));
  }

  /** Whether a revision is not there; the empty cover always is. */
  public boolean isGone(EditionEntity edition, int number) {
    return number != 0 && rows.what(edition.getId(), number).isEmpty();
  }

  /** Keeps a design that was made elsewhere under its number; it is not in force yet. */
  public void put(
      EditionEntity edition, int number, int parent, String what, Design design, Instant made) {
    rows.save(
        new RevisionEntity(
            edition.getId(),
            number,
            parent,
            what.length() > 200 ? what.substring(0, 200) : what,
            design,
            made,
            who.name()));
  }

  /** Puts a design in force again that the one in force came of. */
  public void backTo(EditionEntity edition, int number) {
    lay(edition, number);
  }

  @Transactional
  public void undo(Long editionId, int base) {
    EditionEntity edition = edition(editionId);
    expect(edition, base);
    row(edition).ifPresent(r -> lay(edition, r.getParent()));
  }

  @Transactional
  public void redo(Long editionId, int base) {
    EditionEntity edition = edition(editionId);
    expect(edition, base);
    rows.findFirstByEditionIdAndParentOrderByNumberDesc(editionId, edition.getRevision())
        .ifPresent(r -> lay(edition, r.getNumber()));
  }

  /**
   * Sees that a change made on this revision could be stored now.
   *
   * @throws Conflict when another window has changed the design since
   */
  public void expect(Long editionId, int base) {
    expect(edition(editionId), base);
  }

  private EditionEntity edition(Long id) {
    return editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
  }

  /**
   * Sees that a change made on this revision could be stored now.
   *
   * @throws Conflict when another window has changed the design since
   */
  public static void expect(EditionEntity edition, int base) {
    if (edition.getRevision() != base) {
      throw new Conflict(
          "This cover was changed in another window (it is at revision "
              + edition.getRevision()
              + ", this window shows "
              + base
              + "). Nothing was overwritten: reload the page to go on from there.");
    }
  }
}
