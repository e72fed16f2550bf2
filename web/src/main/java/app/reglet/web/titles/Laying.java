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
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.type.SpineType;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Lays designs on measured sheets, either side, and has them checked. */
@Component
class Laying {
  private static final Logger LOG = LoggerFactory.getLogger(Laying.class);
  private static final String USUAL_FACE = "spectral-bold";

  private final Composer composer;
  private final Pictures pictures;
  private final Typefaces typefaces;

  private final Letting letting;

  Laying(Composer composer, Pictures pictures, Typefaces typefaces, Letting letting) {
    this.letting = letting;
    this.composer = composer;
    this.pictures = pictures;
    this.typefaces = typefaces;
  }

  /** The face of the words on a design's spine, else the one the layouts begin with. */
  private Typeface spineFace(Design design) {
    return design
        .outside()
        .all()
        .filter(p -> p.anchors().across().region().panel() == PanelKind.SPINE)
        .map(Piece::content)
        .filter(Words.class::isInstance)
        .map(w -> ((Words) w).type().face())
        .filter(typefaces::has)
        .findFirst()
        .map(typefaces::get)
        .orElseGet(() -> typefaces.get(USUAL_FACE));
  }

  /** The room for words across the spine of a wrap, in the face that a design uses there. */
  SpineType spineType(Design design, Wrap wrap) {
    return SpineType.of(wrap, spineFace(design));
  }

  /** The inside of a cover, the art of a similar one used where it is the same. */
  Cover turned(Cover outside, Optional<Artwork> near) {
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
    return letting.of(
        new Cover(
            turned,
            outside.design(),
            Optional.of(art),
            found(
                turned,
                outside.design(),
                art,
                new Overleaf(
                    m.wrap(),
                    outside
                        .art()
                        .map(a -> laid(outside.design(), m.wrap().orElseThrow(), a))
                        .orElse(List.of()))),
            outside.findings(),
            outside.spineType(),
            Optional.of(outside)));
  }

  private static List<Finding> found(Measured m, Design design, Artwork art, Overleaf other) {
    Wrap wrap = m.wrap().orElseThrow();
    return Check.run(
        new Subject(wrap, shown(m.book(), design), laid(design, wrap, art), other.laid()));
  }

  private static List<Laid> laid(Design design, Wrap wrap, Artwork art) {
    return design.isEmpty(PrintedSide.of(wrap)) ? List.of() : art.laid();
  }

  /** The book with those of its pictures that a design shows: their credits are owed. */
  private static Book shown(Book book, Design design) {
    return book.showing(design.pictures());
  }

  /** A side of the sheet and what is laid on it; nothing where it is not printed. */
  private record Overleaf(Optional<Wrap> wrap, List<Laid> laid) {
    static final Overleaf NOTHING = new Overleaf(Optional.empty(), List.of());
  }

  /** The inside, where it is printed and something is on it. */
  private Overleaf inside(Measured m, Design design) {
    return design.isUntouched(PrintedSide.INSIDE)
        ? Overleaf.NOTHING
        : m.wrap()
            .flatMap(FilePages::inside)
            .map(
                inside ->
                    new Overleaf(
                        Optional.of(inside),
                        composed(m.edition(), design, inside, m.book(), Optional.empty()).laid()))
            .orElse(Overleaf.NOTHING);
  }

  /** A cover whose outside was composed. */
  Cover cover(Measured m, Design design, Artwork art) {
    Wrap wrap = m.wrap().orElseThrow();
    Overleaf inside = inside(m, design);
    List<Laid> outside = laid(design, wrap, art);
    return letting.of(
        new Cover(
            m,
            design,
            Optional.of(art),
            found(m, design, art, inside),
            inside
                .wrap()
                .map(
                    w -> Check.run(new Subject(w, shown(m.book(), design), inside.laid(), outside)))
                .orElse(List.of()),
            Optional.of(SpineType.of(wrap, spineFace(design))),
            Optional.empty()));
  }

  /**
   * A design on a page, the art of a similar one used where it is the same.
   *
   * @throws BrokenCover when it can't be drawn
   */
  Artwork composed(
      EditionEntity edition, Design design, Wrap wrap, Book book, Optional<Artwork> near) {
    Book shown = shown(book, design);
    try {
      return near.isPresent()
          ? composer.compose(design, wrap, shown, pictures, near.get())
          : composer.compose(design, wrap, shown, pictures);
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

  /** A cover of which only what the house offers was looked at. */
  Cover unmeasured(Cover cover) {
    return letting.of(cover);
  }

  /** What the house doesn't offer of facts that can't be measured. */
  static List<Finding> offers(Specification spec, RuleSheet house) {
    return house.bindings().containsKey(spec.binding()) ? OfferCheck.run(spec, house) : List.of();
  }
}
