package app.reglet.web.titles;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Gone;
import java.time.Clock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins titles. */
@Service
public class Titles {
  private final Books books;
  private final Editions editions;
  private final Houses houses;
  private final Clock clock;

  public Titles(Books books, Editions editions, Houses houses, Clock clock) {
    this.books = books;
    this.editions = editions;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * Makes a title with its first edition: both or neither.
   *
   * @return the edition's id
   */
  @Transactional
  public Long make(String title, String author) {
    BookEntity book = books.save(new BookEntity(title, author, clock.instant()));
    RuleSheet house =
        houses.all().stream()
            .filter(h -> h.bindings().containsKey(Binding.PERFECT_BOUND))
            .findFirst()
            .orElseGet(() -> houses.all().get(0));
    BindingRules rules =
        house
            .bindings()
            .getOrDefault(Binding.PERFECT_BOUND, house.bindings().values().iterator().next());
    return editions
        .save(
            new EditionEntity(
                book,
                house.id(),
                houses.version(house.id()),
                Specification.of(
                    rules.binding(),
                    rules.trims().nearest(Size.USUAL_TRIM),
                    0,
                    house.stocks().get(0).id(),
                    house.inks().get(0).id(),
                    PageTurn.LTR),
                clock.instant()))
        .getId();
  }

  /** Takes an edition away; nothing of it is lost. */
  @Transactional
  public void takeAway(Long id) {
    EditionEntity e = edition(id);
    if (e.getTakenAway() == null) {
      e.setTakenAway(clock.instant());
      editions.saveAndFlush(e);
    }
  }

  /** Puts an edition back as it was. */
  @Transactional
  public void putBack(Long id) {
    EditionEntity e = edition(id);
    e.setTakenAway(null);
    editions.saveAndFlush(e);
  }

  private EditionEntity edition(Long id) {
    return editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
  }
}
