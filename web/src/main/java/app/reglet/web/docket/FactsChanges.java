package app.reglet.web.docket;

import app.reglet.core.check.Remedy;
import app.reglet.core.facts.FactsReader;
import app.reglet.core.facts.PageCount;
import app.reglet.core.house.RuleSheet;
import app.reglet.web.carry.Refitting;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes of an edition's facts by a button, and the way back from any change of them. */
@Service
public class FactsChanges {
  private final Editions editions;
  private final Houses houses;
  private final Covers covers;
  private final Refitting refitting;
  private final FactsHistory history;

  FactsChanges(
      Editions editions, Houses houses, Covers covers, Refitting refitting, FactsHistory history) {
    this.editions = editions;
    this.houses = houses;
    this.covers = covers;
    this.refitting = refitting;
    this.history = history;
  }

  /** Carries a remedy of the docket out. */
  @Transactional
  public void apply(Long id, Remedy.OfFacts remedy) {
    EditionEntity edition = edition(id);
    changing(edition, () -> remedy.accept(new MendingFacts(edition)));
  }

  /** Takes the page count of the finished inside: nothing about it is provisional any more. */
  @Transactional
  public void useFinalPages(Long id, int pages) {
    EditionEntity edition = edition(id);
    changing(
        edition,
        () -> {
          pages(edition, pages);
          edition.setSpread("", 0);
        });
  }

  /** Takes a page count; how far it may still go stays, unless it would go below a page. */
  @Transactional
  public void usePages(Long id, int pages) {
    EditionEntity edition = edition(id);
    changing(edition, () -> pages(edition, pages));
  }

  /** Takes facts over as they stand in columns. */
  @Transactional
  public void take(Long id, Map<String, String> facts) {
    EditionEntity edition = edition(id);
    changing(edition, () -> edition.take(facts));
  }

  private void changing(EditionEntity edition, Runnable change) {
    Map<String, String> was = history.state(edition);
    EditionEntity before = refitting.before(edition);
    change.run();
    editions.saveAndFlush(edition);
    history.record(edition, was);
    refitting.follow(edition, before);
  }

  private void pages(EditionEntity edition, int pages) {
    edition.setPages(String.valueOf(pages), PageCount.parse(String.valueOf(pages)));
    if (edition.getSpread() >= pages) {
      edition.setSpread("", 0);
    }
  }

  private EditionEntity edition(Long id) {
    return editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
  }

  /** What undo would take back of the facts, empty for nothing. */
  public Optional<String> undoable(Long id) {
    return history.undoable(id);
  }

  /** What redo would do again, empty for nothing. */
  public Optional<String> redoable(Long id) {
    return history.redoable(id);
  }

  /**
   * Takes the newest change of the facts back, or does the one again that was taken back last.
   *
   * @throws Conflict when another window saved first
   */
  @Transactional
  public void walk(Long id, String version, boolean back) {
    EditionEntity edition = edition(id);
    if (!DocketService.version(edition).equals(version)) {
      throw new Conflict(
          "This docket was changed in another window. Nothing was overwritten: reload the page to go on from there.");
    }
    EditionEntity before = refitting.before(edition);
    if (back) {
      history.undo(edition);
    } else {
      history.redo(edition);
    }
    refitting.follow(edition, before);
  }

  /** Measures an edition by the version of its house's sheet that is in force. */
  @Transactional
  public void useNewerSheet(Long id) {
    EditionEntity edition = edition(id);
    changing(
        edition,
        () -> {
          edition.setHouse(edition.getHouseId(), houses.version(edition.getHouseId()));
          RuleSheet house = covers.sheet(edition);
          edition.setChoices(
              house.bindings().containsKey(edition.getBinding())
                  ? edition.getBinding()
                  : house.bindings().keySet().stream().sorted().findFirst().orElseThrow(),
              FactsReader.listed(house.stocks(), edition.getStock()),
              FactsReader.listed(house.inks(), edition.getInk()),
              edition.getTurn());
        });
  }
}
