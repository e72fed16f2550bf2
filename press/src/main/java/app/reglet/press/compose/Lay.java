package app.reglet.press.compose;

import app.reglet.core.book.Book;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Scope;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.type.Typefaces;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The laying of one loose piece, or of the ground. */
final class Lay {
  private static final Length UNDER = Length.mm("2");
  private static final AffineTransform STILL = new AffineTransform();

  final Wrap wrap;
  final Book book;
  final Fills fills;
  final Pictures pictures;
  final Typefaces typefaces;
  final List<Laid> laid = new ArrayList<>();
  final List<String> absent = new ArrayList<>();

  /** The piece whose caret is asked for, empty for none; and where it goes. */
  String caretOf = "";

  final List<CaretLine> carets = new ArrayList<>();
  private final Design design;
  private final List<Mark.Group> marks = new ArrayList<>();
  private final List<Artwork.Placed> placed = new ArrayList<>();

  Lay(Design design, Wrap wrap, Book book, Pictures pictures, Typefaces typefaces) {
    this.design = design;
    this.wrap = wrap;
    this.book = book;
    this.pictures = pictures;
    this.typefaces = typefaces;
    this.fills = new Fills(design);
  }

  /** The language that words are in: their own, or the book's. */
  String language(Words words) {
    String own = words.setting().language();
    return own.isEmpty() ? book.further().language() : own;
  }

  /** What was laid, as the part of a piece; of the ground when it is null. */
  Artwork.Part part(Piece piece) {
    return new Artwork.Part(piece, marks, laid, placed, absent);
  }

  /** The ground of the whole, and those of parts over it. */
  void ground(Composition side) {
    List<Mark> all = new ArrayList<>();
    Box sheet = wrap.sheetBox();
    laid.add(new Laid.Ground(Outlines.of(sheet, STILL), isPaper(side)));
    ground(side.ground(), sheet, wrap.box(side.ground().region()).orElse(sheet), all);
    for (Panel panel : wrap.panels()) {
      Ground own = side.parts().get(panel.kind());
      if (own != null) {
        Box area = withHinges(panel, side.parts().keySet());
        ground(own, area, area, all);
      }
    }
    marks.add(
        new Mark.Group(Artwork.GROUND, offGlue().map(Effects::clipped).orElse(Effects.NONE), all));
  }

  private static boolean isPaper(Composition side) {
    return side.parts().isEmpty() && side.ground().equals(Composition.BLANK.ground());
  }

  /** The sheet without the strip that is glued, from its top to its foot; empty without one. */
  private Optional<Shape> offGlue() {
    List<Zone> glue = wrap.zones().stream().filter(z -> z.kind() == Zone.Kind.GLUE).toList();
    if (glue.isEmpty()) {
      return Optional.empty();
    }
    Rect sheet = Rect.of(wrap.sheetBox());
    Area left = new Area(sheet.shape());
    for (Zone z : glue) {
      Rect strip = Rect.of(z.box());
      left.subtract(
          new Area(new Rect(strip.x(), sheet.y(), strip.width(), sheet.height()).shape()));
    }
    return Optional.of(left);
  }

  /**
   * What a part's ground covers: its hinge too, and a strip of its neighbour on the right, whose
   * own ground then lies over that: between the two no third colour shines through. The strip is
   * wider than a pixel of the smallest picture that is made of a cover.
   */
  private Box withHinges(Panel panel, Set<PanelKind> owned) {
    List<Panel> row = wrap.panels();
    int from = row.indexOf(panel);
    int to = from;
    while (from > 0 && row.get(from - 1).kind().board() == panel.kind()) {
      from--;
    }
    while (to + 1 < row.size() && row.get(to + 1).kind().board() == panel.kind()) {
      to++;
    }
    boolean next = to + 1 < row.size() && owned.contains(row.get(to + 1).kind().board());
    Length right = row.get(to).art().right();
    return Box.between(
        row.get(from).art().left(),
        panel.art().top(),
        next ? right.plus(UNDER.min(row.get(to + 1).art().width())) : right,
        panel.art().bottom());
  }

  /**
   * One ground.
   *
   * @param area what it covers
   * @param pictured what its picture covers
   */
  private void ground(Ground g, Box area, Box pictured, List<Mark> all) {
    Rect whole = Rect.of(area);
    all.add(new Mark.Path(whole.shape(), fills.of(g.paint(), whole), null));
    g.picture()
        .flatMap(p -> pictures.find(p.sha()).map(f -> new FramedPicture(f, p, Rect.of(pictured))))
        .ifPresent(
            p -> {
              boolean flat = g.paint() instanceof Paint.Flat && p.seen().equals(p.box());
              all.add(p.mark(fills, flat ? fills.solid(((Paint.Flat) g.paint()).colour()) : null));
              laid.add(p.laid(Artwork.GROUND, "Ground's picture", STILL));
            });
    g.pattern()
        .flatMap(p -> new MotifMarks(fills, pictures).pattern(p, whole.shape(), whole))
        .ifPresent(
            t -> {
              all.add(t.mark());
              t.ppi()
                  .ifPresent(
                      ppi ->
                          laid.add(
                              new Laid.Picture(
                                  Artwork.GROUND,
                                  "Ground's pattern",
                                  Outlines.of(area, STILL),
                                  ppi,
                                  t.sha(),
                                  t.quality())));
            });
  }

  void loose(Piece piece) {
    marks.addAll(pieces(List.of(piece), Scope.of(wrap), new AffineTransform(), ""));
  }

  /**
   * The pieces of a scope.
   *
   * @param toSheet how the groups they are in are turned
   * @param group the id of the group they are in
   */
  List<Mark.Group> pieces(List<Piece> pieces, Scope scope, AffineTransform toSheet, String group) {
    List<Mark.Group> all = new ArrayList<>();
    for (Piece piece : pieces) {
      Optional<Box> box = scope.place(piece);
      if (box.isEmpty()) {
        absent.add(piece.name());
      } else if (!piece.hidden()) {
        piece(piece, scope, box.get(), toSheet, group).ifPresent(all::add);
      }
    }
    return all;
  }

  private Optional<Mark.Group> piece(
      Piece made, Scope scope, Box box, AffineTransform toSheet, String group) {
    Piece piece = scope.sized(made);
    AffineTransform turn = Effecting.turn(piece.placement(), Rect.of(box));
    AffineTransform there = new AffineTransform(toSheet);
    there.concatenate(turn);
    placed.add(
        new Artwork.Placed(
            piece.id(),
            piece.name(),
            group,
            box,
            Outlines.corners(box, there),
            piece.placement().angle(),
            piece.locked()));
    List<Mark> content = piece.content().accept(new LayContent(this, piece, scope, box, there));
    return content.isEmpty() && !(piece.content() instanceof Content.Group)
        ? Optional.empty()
        : Optional.of(Effecting.group(piece, content, Rect.of(box), turn, design::solid));
  }
}
