package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.web.houses.Houses;
import app.reglet.web.inspect.InspectController.Choice;
import app.reglet.web.inspect.InspectedFiles.Inspected;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.Latest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * What every edition says of a file. No request looks at more than a few that were not looked at
 * yet: the page asks again until all are.
 */
@Component
class EveryEdition {
  private static final int AT_ONCE = 12;
  private static final int MOST_KEPT = 2000;

  private final Editions editions;
  private final Covers covers;
  private final Houses houses;
  private final MeantFor meant;
  private final Inspections inspections;
  private final Latest<Optional<Told>> kept = new Latest<>(MOST_KEPT);

  EveryEdition(
      Editions editions, Covers covers, Houses houses, MeantFor meant, Inspections inspections) {
    this.editions = editions;
    this.covers = covers;
    this.houses = houses;
    this.meant = meant;
    this.inspections = inspections;
  }

  /** An edition and what it says of a file. */
  public record Told(Choice choice, long stops, long looks, List<String> first) {}

  /**
   * What editions say, those that the file fits first.
   *
   * @param lookedAt how many editions were looked at
   * @param all how many there are
   */
  public record Tally(List<Told> told, int lookedAt, int all) {
    public boolean isWhole() {
      return lookedAt == all;
    }
  }

  /**
   * Looks at some more of them.
   *
   * @param house against which all are held; empty for each edition's own
   */
  Tally more(Inspected file, String house, Viewer viewer, Function<EditionEntity, Choice> name) {
    List<EditionEntity> all = editions.findAllByOrderByIdAsc();
    List<Told> told = new ArrayList<>();
    int fresh = 0;
    int lookedAt = 0;
    for (EditionEntity e : all) {
      String key =
          String.join(
              " ",
              file.facts().sha(),
              Fronts.key(e),
              house,
              house.isEmpty() || !houses.has(house) ? "" : "" + houses.version(house),
              String.valueOf(viewer.unit()));
      Optional<Told> known = kept.get(key);
      if (known == null && fresh < AT_ONCE) {
        fresh++;
        known = kept.computeIfAbsent(key, k -> told(e, file, house, viewer, name));
      }
      if (known != null) {
        lookedAt++;
        known.ifPresent(told::add);
      }
    }
    told.sort(Comparator.comparingLong(Told::stops).thenComparingLong(Told::looks));
    return new Tally(told, lookedAt, all.size());
  }

  private Optional<Told> told(
      EditionEntity e,
      Inspected file,
      String house,
      Viewer viewer,
      Function<EditionEntity, Choice> name) {
    if (!covers.hasReadableFacts(e)) {
      return Optional.empty();
    }
    try {
      return inspections
          .ofMany(file, meant.of(e, house, viewer))
          .map(
              v ->
                  new Told(
                      name.apply(e),
                      v.stops(),
                      v.looks(),
                      v.lines().stream()
                          .limit(1)
                          .map(l -> l.finding().sentence(v.unit()))
                          .toList()));
    } catch (Refusal notThere) {
      return Optional.empty();
    }
  }
}
