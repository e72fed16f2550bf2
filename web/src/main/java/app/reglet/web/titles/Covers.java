package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.type.SpineType;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
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

  /** What was drawn last: an edition is asked for again and again while it is worked on. */
  private static final int MOST_KEPT = 16;

  /** A design and what it looks like on its wrap. */
  private record Drawn(Design design, Artwork art) {}

  private final Latest<Drawn> latest = new Latest<>(MOST_KEPT);
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
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    if (edition.getTakenAway() != null) {
      throw new Gone(
          "This edition of “"
              + edition.getBook().getTitle()
              + "” was taken away. It can be put back at the foot of Titles.");
    }
    return edition;
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
    return design
        .outside()
        .all()
        .filter(p -> p.anchors().across().region().panel() == PanelKind.SPINE)
        .map(Piece::content)
        .filter(Words.class::isInstance)
        .map(w -> ((Words) w).face())
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
  public Optional<NewerRuleSheet> newerSheet(Cover cover) {
    EditionEntity e = cover.edition();
    int current = houses.version(e.getHouseId());
    if (current <= e.getHouseVersion()) {
      return Optional.empty();
    }
    return Optional.of(NewerRuleSheet.of(cover, current, houses.get(e.getHouseId(), current)));
  }

  /**
   * An edition worked through, as somebody reads it.
   *
   * @throws BrokenCover when something of it can't be read
   */
  public Cover of(Long id, Viewer viewer) {
    return of(edition(id), viewer);
  }

  /** An edition worked through, as somebody reads it. */
  public Cover of(EditionEntity edition, Viewer viewer) {
    return of(edition, viewer.unitFor(sheet(edition)));
  }

  /** An edition worked through. */
  public Cover of(EditionEntity edition, Unit unit) {
    return of(measured(edition, unit));
  }

  /**
   * An edition measured, and no more: its design is not read.
   *
   * @throws BrokenCover when something of its facts can't be read
   */
  public Measured measured(EditionEntity edition, Viewer viewer) {
    return measured(edition, viewer.unitFor(sheet(edition)));
  }

  private Measured measured(EditionEntity edition, Unit unit) {
    return Measured.of(edition, edition.getBook().facts(), sheet(edition), facts(edition), unit);
  }

  /** The sheet of an edition alone, empty when it can't be measured. */
  public Optional<Wrap> wrap(EditionEntity edition) {
    return measured(edition, Unit.MM).wrap();
  }

  /**
   * A measured edition with its design laid on the wrap and checked.
   *
   * @throws BrokenCover when its design can't be read or drawn
   */
  public Cover of(Measured m) {
    String key = Fronts.key(m.edition());
    Drawn drawn = latest.get(key);
    if (drawn != null && m.wrap().isPresent()) {
      return cover(m, drawn.design(), drawn.art());
    }
    Cover cover = of(m, design(m.edition()), Optional.empty());
    keep(cover);
    return cover;
  }

  /** Keeps what was drawn of the design that is in force now. */
  public void keep(Cover drawn) {
    Cover cover = drawn.outer().orElse(drawn);
    cover
        .art()
        .ifPresent(art -> latest.put(Fronts.key(cover.edition()), new Drawn(cover.design(), art)));
  }

  /** A cover with a design that is not in force yet, laid on the wrap and checked. */
  public Cover of(Cover before, Design design) {
    if (before.outer().isPresent()) {
      return turned(of(before.outer().get(), design), before.art());
    }
    return of(before.measured(), design, before.art());
  }

  /**
   * The inside of a cover, laid on its page and checked.
   *
   * @throws Refusal when it isn't printed
   */
  public Cover turned(Cover outside) {
    return turned(outside, Optional.empty());
  }

  private Cover turned(Cover outside, Optional<Artwork> near) {
    Measured m = outside.measured();
    Wrap inside =
        m.wrap()
            .flatMap(FilePages::inside)
            .orElseThrow(
                () ->
                    new Refusal(
                        "The inside of this cover isn't printed: choose that on the docket, where the house offers it."));
    Measured turned =
        new Measured(
            m.edition(), m.book(), m.house(), m.spec(), Optional.of(inside), m.why(), m.unit());
    Artwork art = composed(m.edition(), outside.design(), inside, m.book(), near);
    return new Cover(
        turned,
        outside.design(),
        Optional.of(art),
        found(turned, outside.design(), art),
        outside.findings(),
        outside.spineType(),
        Optional.of(outside));
  }

  private static List<Finding> found(Measured m, Design design, Artwork art) {
    Wrap wrap = m.wrap().orElseThrow();
    List<Laid> laid = design.isEmpty(PrintedSide.of(wrap)) ? List.of() : art.laid();
    return Check.run(new Subject(wrap, m.book(), laid));
  }

  /** What is found on the inside, where it is printed and something is on it. */
  private List<Finding> foundInside(Measured m, Design design) {
    return design.isUntouched(PrintedSide.INSIDE)
        ? List.of()
        : m.wrap()
            .flatMap(FilePages::inside)
            .map(
                inside ->
                    Check.run(
                        new Subject(
                            inside,
                            m.book(),
                            composed(m.edition(), design, inside, m.book(), Optional.empty())
                                .laid())))
            .orElse(List.of());
  }

  /** A measured edition with a design, the art of a similar one used where it is the same. */
  private Cover of(Measured m, Design design, Optional<Artwork> near) {
    if (m.wrap().isEmpty()) {
      return new Cover(
          m,
          design,
          Optional.empty(),
          m.spec().map(s -> offers(s, m.house(), m.unit())).orElseGet(List::of),
          List.of(),
          Optional.empty(),
          Optional.empty());
    }
    Wrap wrap = m.wrap().get();
    try {
      return cover(m, design, composed(m.edition(), design, wrap, m.book(), near));
    } catch (Refusal r) {
      // a face of it is gone: measured, but not drawn
      Measured undrawn =
          new Measured(
              m.edition(),
              m.book(),
              m.house(),
              m.spec(),
              Optional.empty(),
              Optional.of(r),
              m.unit());
      return of(undrawn, design, near);
    }
  }

  private Cover cover(Measured m, Design design, Artwork art) {
    Wrap wrap = m.wrap().orElseThrow();
    return new Cover(
        m,
        design,
        Optional.of(art),
        found(m, design, art),
        foundInside(m, design),
        Optional.of(SpineType.of(wrap, spineFace(design))),
        Optional.empty());
  }

  private Artwork composed(
      EditionEntity edition, Design design, Wrap wrap, Book book, Optional<Artwork> near) {
    try {
      return near.isPresent()
          ? composer.compose(design, wrap, book, pictures, near.get())
          : composer.compose(design, wrap, book, pictures);
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

  /** The cover as it is after its edition was moved to another of its designs. */
  public Cover moved(Cover before) {
    return of(before, design(before.edition()));
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
    return house.bindings().containsKey(spec.binding()) ? OfferCheck.run(spec, house) : List.of();
  }
}
