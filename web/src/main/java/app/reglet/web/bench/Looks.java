package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.edit.Edit;
import app.reglet.core.edit.Look;
import app.reglet.core.edit.Starting;
import app.reglet.web.titles.Cover;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The looks that were saved from covers, and putting them on others. */
@Service
class Looks {
  private static final int LONGEST_NAME = 80;
  private static final int MOST = 60;

  private final LookRows rows;
  private final BenchStock stock;
  private final Clock clock;

  Looks(LookRows rows, BenchStock stock, Clock clock) {
    this.rows = rows;
    this.stock = stock;
    this.clock = clock;
  }

  List<LookEntity> all() {
    return rows.findAllByOrderByNameAsc();
  }

  /**
   * Saves the look of a cover.
   *
   * @throws Refusal when the name is none or taken, or there is nothing on the cover
   */
  @Transactional
  void save(Cover cover, String name) {
    String called = name.strip();
    if (called.isEmpty() || called.length() > LONGEST_NAME) {
      throw new Refusal(
          "name",
          called.isEmpty()
              ? "A look needs a name by which it is found again: “Long Shore novels”, say."
              : "That name has "
                  + called.length()
                  + " characters; a look’s has at most "
                  + LONGEST_NAME
                  + ".");
    }
    if (cover.design().isEmpty(PrintedSide.OUTSIDE)) {
      throw new Refusal("There is nothing on this cover yet whose look could be saved.");
    }
    Look look = Look.of(cover.design(), outer(cover).sheet());
    if (rows.findByName(called).isPresent()) {
      throw new Refusal(
          "name",
          "There is a look “"
              + called
              + "” already: take it away first, or give this one another name.");
    }
    if (rows.count() >= MOST) {
      throw new Refusal("There are " + MOST + " looks, which is the most: take one away first.");
    }
    rows.save(new LookEntity(called, look, clock.instant()));
  }

  private static Cover outer(Cover cover) {
    return cover.outer().orElse(cover);
  }

  @Transactional
  void remove(Long id) {
    rows.findById(id).ifPresent(rows::delete);
  }

  /**
   * Putting a look on a cover.
   *
   * @throws Refusal when the look or its picture is not here
   */
  Edit wearing(Cover cover, Map<String, String> fields) {
    LookEntity row = row(fields.getOrDefault("look", ""));
    return new Starting.Wear(row.getName(), worn(cover, row, fields.getOrDefault("picture", "")));
  }

  private LookEntity row(String id) {
    try {
      return rows.findById(Long.valueOf(id)).orElseThrow();
    } catch (NumberFormatException | java.util.NoSuchElementException e) {
      throw new Refusal("This look is not here any more: choose another.");
    }
  }

  Look.Worn worn(Cover cover, LookEntity row, String picture) {
    Optional<String> shown = Optional.of(picture).filter(s -> !s.isEmpty());
    if (shown.isPresent() && !stock.hasPicture(picture)) {
      throw new Refusal("picture", "This picture is not here: bring its file again.");
    }
    Cover outside = outer(cover);
    return row.look().on(outside.sheet(), cover.book(), cover.design(), shown, stock::hasFace);
  }

  Look.Worn worn(Cover cover, String id, String picture) {
    return worn(cover, row(id), picture);
  }
}
