package app.reglet.core.carry;

import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;

/**
 * Carries a design from one measured cover to another: to another binding, trim, house, count or
 * direction of pages. A panel goes to the same panel; proportions are kept; what the new cover has
 * no place for stays in the design and is set aside: it hangs on a part that is not there, or is
 * hidden. The rules are our own; common practice, no single source.
 *
 * @param book whose cover it is
 * @param proportions of its pictures
 */
public record Carry(Book book, Proportions proportions) {
  /**
   * The design for the other cover.
   *
   * @param from the outside it was designed on
   * @param to the outside it is to be on
   */
  public Design of(Design design, Wrap from, Wrap to) {
    if (from.equals(to)) {
      return design;
    }
    Design facing = facing(design, from, to);
    Wrap begun =
        turns(from, to)
            ? Measuring.measure(from.spec().withTurn(to.spec().turn()), from.house())
            : from;
    Composition outside = side(facing.outside(), new Sheets(begun, to));
    Optional<Wrap> insideFrom = FilePages.inside(begun);
    Optional<Wrap> insideTo = FilePages.inside(to);
    Composition inside =
        insideFrom.isPresent() && insideTo.isPresent()
            ? side(facing.inside(), new Sheets(insideFrom.get(), insideTo.get()))
            : facing.inside();
    Design carried = new Design(design.palette(), outside, inside);
    return new FlapWords(from, to, book).on(carried);
  }

  private static boolean turns(Wrap from, Wrap to) {
    return from.spec().turn() != to.spec().turn() && from.panels().size() > 1;
  }

  /** The design as it is, but mirrored where the pages of the other cover turn the other way. */
  public Design facing(Design design, Wrap from, Wrap to) {
    return turns(from, to) ? new Mirror(book, from).of(design) : design;
  }

  private Composition side(Composition side, Sheets sheets) {
    List<Piece> pieces = side.pieces().stream().map(p -> piece(p, sheets)).toList();
    return side.withGrounds(g -> ground(g, sheets)).withPieces(pieces);
  }

  private Piece piece(Piece piece, Sheets sheets) {
    Optional<Box> was = piece.anchors().on(sheets.from());
    if (was.isEmpty()) {
      return piece; // it was set aside before
    }
    Optional<Anchors> hung = new Rehanging(sheets).of(piece.anchors(), was.get());
    if (hung.isEmpty()) {
      Piece aside = piece.withAnchors(new Rehanging(sheets).aside(piece.anchors(), was.get()));
      return aside.anchors().on(sheets.to()).isPresent() ? aside.hidden(true) : aside;
    }
    Optional<PanelKind> home = sheets.home(was.get());
    if (home.filter(h -> h == PanelKind.SPINE).isPresent()
        && !sheets.to().printsOnSpine()
        && hasWords(piece.content())) {
      return piece.hidden(true);
    }
    Box box = new Fitting(sheets, piece, was.get()).box(hung.get().on(sheets.to()).orElseThrow());
    Piece laid = piece.withAnchors(hung.get().placed(sheets.to(), box));
    Piece set = new Resetting(sheets).of(laid, home.orElse(null));
    return new SpineWay(sheets).of(set, home.orElse(null));
  }

  private static boolean hasWords(Content content) {
    return content instanceof Words
        || content instanceof Content.Group g
            && g.pieces().stream().anyMatch(p -> hasWords(p.content()));
  }

  /** A ground goes from edge to edge of any sheet; the front alone shows what the front showed. */
  private Ground ground(Ground g, Sheets sheets) {
    Ground ground = g;
    boolean frontAlone =
        sheets.to().panels().size() == 1
            && sheets.from().panels().size() > 1
            && g.extent() == Ground.Extent.SHEET;
    if (frontAlone && g.hasPicture()) {
      Box part = sheets.from().panel(PanelKind.FRONT).orElseThrow().trim();
      Content.Picture shown =
          new Recropping(proportions)
              .of(
                  g.picture().orElseThrow(),
                  sheets.from().box(g.region()).orElseThrow(),
                  part,
                  sheets.to().box(Region.SHEET).orElseThrow());
      ground = ground.withPicture(shown);
    }
    if (sheets.onScreen() && g.pattern().isPresent()) {
      Content.Pattern p = g.pattern().get();
      ground =
          ground.withPattern(
              new Content.Pattern(
                  p.motif(),
                  Resetting.tiling(p.tiling(), (Length l) -> sheets.in(PanelKind.FRONT, l))));
    }
    return ground;
  }

  /** Whether a piece of a design is on a sheet at all: neither hidden nor hung on what it lacks. */
  public static boolean isThere(Piece piece, Wrap wrap) {
    return !piece.hidden() && piece.anchors().on(wrap).isPresent();
  }
}
