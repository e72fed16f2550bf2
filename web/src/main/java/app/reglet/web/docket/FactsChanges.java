package app.reglet.web.docket;

import app.reglet.core.check.Remedy;
import app.reglet.core.facts.FactsReader;
import app.reglet.core.facts.PageCount;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
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
  private final Rescaling rescaling;
  private final FactsHistory history;

  FactsChanges(
      Editions editions, Houses houses, Covers covers, Rescaling rescaling, FactsHistory history) {
    this.editions = editions;
    this.houses = houses;
    this.covers = covers;
    this.rescaling = rescaling;
    this.history = history;
  }

  /** Carries a remedy of the docket out. */
  @Transactional
  public void apply(Long id, Remedy.OfFacts remedy) {
    EditionEntity edition = edition(id);
    Map<String, String> was = history.state(edition);
    remedy.accept(new MendingFacts(edition));
    editions.saveAndFlush(edition);
    history.record(edition, was);
  }

  /** Takes the page count of the finished inside: nothing about it is provisional any more. */
  @Transactional
  public void useFinalPages(Long id, int pages) {
    EditionEntity edition = edition(id);
    Map<String, String> was = history.state(edition);
    pages(edition, pages);
    edition.setSpread("", 0);
    history.record(edition, was);
  }

  /** Takes a page count; how far it may still go stays, unless it would go below a page. */
  @Transactional
  public void usePages(Long id, int pages) {
    EditionEntity edition = edition(id);
    Map<String, String> was = history.state(edition);
    pages(edition, pages);
    history.record(edition, was);
  }

  private void pages(EditionEntity edition, int pages) {
    edition.setPages(String.valueOf(pages), PageCount.parse(String.valueOf(pages)));
    if (edition.getSpread() >= pages) {
      edition.setSpread("", 0);
    }
    editions.save(edition);
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
    Size before = edition.getTrim();
    if (back) {
      history.undo(edition);
    } else {
      history.redo(edition);
    }
    rescaling.of(edition, before, edition.getTrim());
  }

  /** Measures an edition by the version of its house's sheet that is in force. */
  @Transactional
  public void useNewerSheet(Long id) {
    EditionEntity edition = edition(id);
    Map<String, String> was = history.state(edition);
    edition.setHouse(edition.getHouseId(), houses.version(edition.getHouseId()));
    RuleSheet house = covers.sheet(edition);
    edition.setChoices(
        house.bindings().containsKey(edition.getBinding())
            ? edition.getBinding()
            : house.bindings().keySet().stream().sorted().findFirst().orElseThrow(),
        FactsReader.listed(house.stocks(), edition.getStock()),
        FactsReader.listed(house.inks(), edition.getInk()),
        edition.getTurn());
    editions.saveAndFlush(edition);
    history.record(edition, was);
  }
}
