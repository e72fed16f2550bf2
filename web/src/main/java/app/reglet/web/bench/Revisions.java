package app.reglet.web.bench;

import app.reglet.core.design.Background;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The designs of an edition as a list of revisions. Undo and redo move along it; a change after an
 * undo starts a new branch and the old one stays stored. Revision 0 is the empty cover.
 */
@Service
public class Revisions {
  private static final Design EMPTY = new Design(Background.plain(new Colour(0xf4efe4)), List.of());

  private final RevisionRows rows;
  private final Editions editions;
  private final Clock clock;

  public Revisions(RevisionRows rows, Editions editions, Clock clock) {
    this.rows = rows;
    this.editions = editions;
    this.clock = clock;
  }

  /** The design in force. */
  public Design current(EditionEntity edition) {
    return row(edition).map(RevisionEntity::design).orElse(EMPTY);
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
    return row(edition).map(RevisionEntity::getWhat);
  }

  /** What redo would do again. */
  public Optional<String> redoable(EditionEntity edition) {
    return rows.findFirstByEditionIdAndParentOrderByNumberDesc(
            edition.getId(), edition.getRevision())
        .map(RevisionEntity::getWhat);
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
    if (design.equals(current(edition))) {
      return;
    }
    int number =
        rows.findFirstByEditionIdOrderByNumberDesc(editionId)
                .map(RevisionEntity::getNumber)
                .orElse(0)
            + 1;
    rows.save(
        new RevisionEntity(
            editionId,
            number,
            edition.getRevision(),
            what.length() > 200 ? what.substring(0, 200) : what,
            design,
            clock.instant()));
    edition.setRevision(number);
    editions.saveAndFlush(edition);
  }

  @Transactional
  public void undo(Long editionId, int base) {
    EditionEntity edition = edition(editionId);
    expect(edition, base);
    row(edition)
        .ifPresent(
            r -> {
              edition.setRevision(r.getParent());
              editions.saveAndFlush(edition);
            });
  }

  @Transactional
  public void redo(Long editionId, int base) {
    EditionEntity edition = edition(editionId);
    expect(edition, base);
    rows.findFirstByEditionIdAndParentOrderByNumberDesc(editionId, edition.getRevision())
        .ifPresent(
            r -> {
              edition.setRevision(r.getNumber());
              editions.saveAndFlush(edition);
            });
  }

  private EditionEntity edition(Long id) {
    return editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
  }

  private static void expect(EditionEntity edition, int base) {
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
