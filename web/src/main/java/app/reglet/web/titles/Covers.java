package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapChange;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Composer;
import app.reglet.press.art.Pictures;
import app.reglet.press.type.SpineType;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.UnitInForce;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;

/** Works editions through, from their facts to what the checks say. */
@Service
public class Covers {
  private static final Logger LOG = LoggerFactory.getLogger(Covers.class);
  private static final String USUAL_FACE = "spectral-bold";

  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final Composer composer;
  private final Pictures pictures;
  private final Typefaces typefaces;

  public Covers(
      Editions editions,
      Houses houses,
      Revisions revisions,
      Composer composer,
      Pictures pictures,
      Typefaces typefaces) {
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.composer = composer;
    this.pictures = pictures;
    this.typefaces = typefaces;
  }

  /**
   * An edition's record.
   *
   * @throws Gone when there is none
   */
  public EditionEntity edition(Long id) {
    return editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
  }

  /**
   * The version of the rule sheet that an edition is measured by.
   *
   * @throws BrokenCover when it isn't here
   */
  public RuleSheet sheet(EditionEntity edition) {
    if (!houses.has(edition.getHouseId(), edition.getHouseVersion())) {
      throw new BrokenCover(
          edition,
          BrokenCover.Way.SHEET,
          "The sheet it was measured by, version "
              + edition.getHouseVersion()
              + " of “"
              + edition.getHouseId()
              + "”, is not here or can't be read any more.");
    }
    return houses.get(edition.getHouseId(), edition.getHouseVersion());
  }

  /** The face of the words on a design's spine, else the one the layouts begin with. */
  private Typeface spineFace(Design design) {
    return design.pieces().stream()
        .filter(p -> p.pins().across().region().panel() == PanelKind.SPINE)
        .map(Piece::content)
        .filter(Content.Words.class::isInstance)
        .map(w -> ((Content.Words) w).face())
        .filter(typefaces::has)
        .findFirst()
        .map(typefaces::get)
        .orElseGet(() -> typefaces.get(USUAL_FACE));
  }

  /** The room for words across the spine of a wrap, in the face that a design uses there. */
  public SpineType spineType(Design design, Wrap wrap) {
    return SpineType.of(wrap, spineFace(design));
  }

  /** The version of its sheet that came after the one a cover is measured by, if one did. */
  public Optional<NewerSheet> newerSheet(Cover cover) {
    EditionEntity e = cover.edition();
    int current = houses.version(e.getHouseId());
    if (current <= e.getHouseVersion()) {
      return Optional.empty();
    }
    RuleSheet newer = houses.get(e.getHouseId(), current);
    List<String> changes = new ArrayList<>();
    e.specification()
        .ifPresent(
            spec -> {
              try {
                Wrap after = Measuring.measure(spec, newer);
                cover
                    .wrap()
                    .ifPresent(
                        before -> changes.addAll(WrapChange.between(before, after, cover.unit())));
                changes.addAll(
                    OfferCheck.run(spec, newer, cover.unit()).stream()
                        .filter(f -> !cover.findings().contains(f))
                        .map(f -> f.sentence().replaceAll("\\.$", ""))
                        .toList());
              } catch (Refusal r) {
                changes.add(r.getMessage().replaceAll("\\.$", ""));
              }
            });
    return Optional.of(new NewerSheet(e.getHouseVersion(), current, changes));
  }

  /**
   * An edition in the unit this browser reads.
   *
   * @throws BrokenCover when something of it can't be read
   */
  public Cover of(Long id, HttpServletRequest request) {
    return of(edition(id), request);
  }

  /** An edition in the unit this browser reads. */
  public Cover of(EditionEntity edition, HttpServletRequest request) {
    return of(edition, UnitInForce.of(request, sheet(edition)));
  }

  /** The sheet of an edition alone, empty when it can't be measured. */
  public Optional<Wrap> wrap(EditionEntity edition) {
    try {
      return edition.specification().map(spec -> Measuring.measure(spec, sheet(edition)));
    } catch (Refusal r) {
      return Optional.empty();
    }
  }

  /**
   * An edition worked through.
   *
   * @throws BrokenCover when something of it can't be read
   */
  public Cover of(EditionEntity edition, Unit unit) {
    RuleSheet house = sheet(edition);
    Optional<Specification> spec = facts(edition);
    Book book = edition.getBook().facts();
    Design design = design(edition);
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
          unit,
          Optional.empty());
    }
    try {
      Wrap wrap = Measuring.measure(spec.get(), house);
      Artwork art = composed(edition, design, wrap, book);
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
          unit,
          Optional.of(SpineType.of(wrap, spineFace(design))));
    } catch (Refusal r) {
      return new Cover(
          edition,
          book,
          house,
          Optional.empty(),
          Optional.of(r),
          design,
          Optional.empty(),
          offers(spec.get(), house, unit),
          unit,
          Optional.empty());
    }
  }

  private Artwork composed(EditionEntity edition, Design design, Wrap wrap, Book book) {
    try {
      return composer.compose(design, wrap, book, pictures);
    } catch (Refusal | DataAccessException e) {
      throw e;
    } catch (RuntimeException e) {
      LOG.error("edition {} can't be drawn", edition.getId(), e);
      throw new BrokenCover(
          edition,
          BrokenCover.Way.DESIGN,
          "Its design, revision " + edition.getRevision() + ", can't be drawn on this sheet.");
    }
  }

  private static Optional<Specification> facts(EditionEntity edition) {
    try {
      if (edition.getBinding() == null || edition.getTurn() == null) {
        throw new Refusal("binding or direction is none that is known");
      }
      edition.getTrim();
      return edition.specification();
    } catch (RuntimeException e) {
      throw new BrokenCover(
          edition,
          BrokenCover.Way.FACTS,
          "Its facts as kept can't be read: " + e.getMessage().replaceAll("\\.$", "") + ".");
    }
  }

  private Design design(EditionEntity edition) {
    try {
      return revisions.current(edition);
    } catch (Refusal r) {
      throw new BrokenCover(edition, BrokenCover.Way.DESIGN, r.getMessage());
    }
  }

  /** What the house doesn't offer of facts that can't be measured. */
  private static List<Finding> offers(Specification spec, RuleSheet house, Unit unit) {
    return house.bindings().containsKey(spec.binding())
        ? OfferCheck.run(spec, house, unit)
        : List.of();
  }
}
