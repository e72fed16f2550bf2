package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Design;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Composer;
import app.reglet.press.art.Pictures;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.UnitInForce;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Works editions through, from their facts to what the checks say. */
@Service
public class Covers {
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final Composer composer;
  private final Pictures pictures;

  public Covers(
      Editions editions, Houses houses, Revisions revisions, Composer composer, Pictures pictures) {
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.composer = composer;
    this.pictures = pictures;
  }

  /**
   * An edition's record.
   *
   * @throws Gone when there is none
   */
  public EditionEntity edition(Long id) {
    return editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
  }

  /** An edition in the unit this browser reads. */
  public Cover of(Long id, HttpServletRequest request) {
    EditionEntity edition = edition(id);
    return of(edition, UnitInForce.of(request, houses.get(edition.getHouseId()).unit()));
  }

  /** The sheet of an edition alone, empty when it can't be measured. */
  public Optional<Wrap> wrap(EditionEntity edition) {
    try {
      return edition
          .specification()
          .map(spec -> Measuring.measure(spec, houses.get(edition.getHouseId())));
    } catch (Refusal r) {
      return Optional.empty();
    }
  }

  public Cover of(EditionEntity edition, Unit unit) {
    RuleSheet house = houses.get(edition.getHouseId());
    Book book = edition.getBook().facts();
    Design design = revisions.current(edition);
    Optional<Specification> spec = edition.specification();
    if (spec.isEmpty()) {
      return new Cover(
          edition,
          book,
          house,
          Optional.empty(),
          Optional.empty(),
          design,
          Optional.empty(),
          List.of(),
          unit);
    }
    try {
      Wrap wrap = Measuring.measure(spec.get(), house);
      Artwork art = composer.compose(design, wrap, book, pictures);
      boolean composed = !design.pieces().isEmpty() || design.background().hasPicture();
      List<Finding> findings =
          Check.run(new Subject(wrap, book, composed ? art.laid() : List.of(), unit));
      return new Cover(
          edition,
          book,
          house,
          Optional.of(wrap),
          Optional.empty(),
          design,
          Optional.of(art),
          findings,
          unit);
    } catch (Refusal r) {
      return new Cover(
          edition,
          book,
          house,
          Optional.empty(),
          Optional.of(r),
          design,
          Optional.empty(),
          List.of(),
          unit);
    }
  }
}
