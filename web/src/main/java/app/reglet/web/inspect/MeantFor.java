package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.compare.SideBySide;
import app.reglet.web.carry.Carrying;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Measured;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;

/** What a file is held against: an edition as it is, or as another house would make it. */
@Service
class MeantFor {
  private final Covers covers;
  private final Houses houses;
  private final Carrying carrying;
  private final Clock clock;

  MeantFor(Covers covers, Houses houses, Carrying carrying, Clock clock) {
    this.covers = covers;
    this.houses = houses;
    this.carrying = carrying;
    this.clock = clock;
  }

  /**
   * An edition measured.
   *
   * @param house the id of a house; empty for its own
   * @throws Refusal when that house doesn't bind such books
   */
  Measured of(EditionEntity e, String house, Viewer viewer) {
    if (house.isEmpty() || house.equals(e.getHouseId())) {
      return covers.measured(e, viewer);
    }
    if (houses.all().stream().noneMatch(h -> h.id().equals(house))) {
      throw new Refusal("house", "There is no house “" + house + "” here: choose one of the list.");
    }
    Cover cover = covers.of(e.getId(), viewer);
    SideBySide.Row row =
        carrying.rows(cover).stream()
            .filter(r -> r.house().id().equals(house) && r.binding() == e.getBinding())
            .findFirst()
            .orElseThrow(() -> notOffered(e, house));
    EditionEntity there =
        new EditionEntity(e.getBook(), house, houses.version(house), row.taken(), clock.instant());
    there.setIsbn(e.getIsbnTyped(), e.getIsbn().orElse(null));
    return covers.measured(there, viewer);
  }

  /** Houses that a file may be held against. */
  List<Choice> choices() {
    return houses.all().stream().map(h -> new Choice(h.id(), h.name())).toList();
  }

  /** A house as the list names it. */
  public record Choice(String id, String name) {}

  private Refusal notOffered(EditionEntity e, String house) {
    return new Refusal(
        "house",
        houses.get(house, houses.version(house)).name()
            + " makes no "
            + e.getBinding().title().toLowerCase(java.util.Locale.ROOT)
            + " covers: choose another house, or the edition’s own.");
  }
}
