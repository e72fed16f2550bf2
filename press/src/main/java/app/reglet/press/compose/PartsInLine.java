package app.reglet.press.compose;

import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.Row;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import app.reglet.press.type.OneLine;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Puts the pieces of a group in one line: from the beginning of the box to its end as its words are
 * read, with gaps of one length between their inks. What comes of it is a group whose pieces lie as
 * they hang.
 */
final class PartsInLine {
  /** The least gap, in ems of the largest words: common practice, no single source. */
  private static final double LEAST_GAP = 0.5;

  private final Size box;
  private final Setting.Direction direction;
  private final boolean fromRight;
  private final double typeScale;
  private final Book book;
  private final Typefaces faces;

  private PartsInLine(
      Size box,
      Setting.Direction direction,
      boolean fromRight,
      double typeScale,
      Book book,
      Typefaces faces) {
    this.box = box;
    this.direction = direction;
    this.fromRight = fromRight;
    this.typeScale = typeScale;
    this.book = book;
    this.faces = faces;
  }

  /**
   * The group as it lies in its box: itself where its pieces stand in no line.
   *
   * @param typeScale by which its type is larger than it was set
   */
  static Content.Group of(Content.Group group, Box box, Lay lay, double typeScale) {
    Row row = group.row();
    if (row == null) {
      return group;
    }
    Setting.Direction way = row.direction(Setting.Direction.onSpines(lay.wrap.rules()));
    boolean fromRight = lay.wrap.spec().turn() == PageTurn.RTL;
    return new PartsInLine(box.size(), way, fromRight, typeScale, lay.book, lay.typefaces)
        .laid(group, row);
  }

  /**
   * A piece of the line.
   *
   * @param size of its type, mm; zero for what is no words
   * @param ems length of its ink in ems of that
   * @param across how many ems it takes across the line
   * @param along its own length, mm, where it is no words
   */
  private record Part(Piece piece, double size, double ems, double across, double along) {
    double length(double factor) {
      return along + ems * size * factor;
    }

    boolean isSeen() {
      return !piece.hidden() && (along > 0 || ems > 0);
    }
  }

  private boolean isLevel() {
    return direction == Setting.Direction.LEVEL;
  }

  private double length() {
    return (isLevel() ? box.width() : box.height()).toMm();
  }

  private double breadth() {
    return (isLevel() ? box.height() : box.width()).toMm();
  }

  private Content.Group laid(Content.Group group, Row row) {
    Regions natural = lines(group.natural());
    List<Part> all = group.pieces().stream().map(p -> part(p, natural)).toList();
    List<Part> seen = all.stream().filter(Part::isSeen).toList();
    double factor = factor(seen, row.largest());
    double taken = seen.stream().mapToDouble(p -> p.length(factor)).sum();
    double gap = seen.size() < 2 ? 0 : (length() - taken) / (seen.size() - 1);
    double at = seen.size() == 1 ? (length() - taken) / 2 : 0;
    List<Piece> pieces = new ArrayList<>();
    for (Part p : all) {
      double along = p.isSeen() ? p.length(factor) : 0;
      pieces.add(placed(p, at, along));
      at += p.isSeen() ? along + gap : 0;
    }
    return new Content.Group(box, pieces);
  }

  private Part part(Piece piece, Regions natural) {
    if (piece.content() instanceof Words w) {
      OneLine line = OneLine.of(w, w.on(book), faces, language(w));
      Typeface face = faces.orStandIn(w.type().face());
      double set = w.type().size().toMm() * typeScale;
      double across = across(w, face, line.line().ink());
      double size = w.type().fit() == Type.Fit.SIZE ? set : Math.min(set, breadth() / across);
      return new Part(piece, size, line.line().ink().getWidth(), across, 0);
    }
    Box own = piece.anchors().on(natural).orElse(whole(box));
    double along = (isLevel() ? own.width() : own.height()).toMm();
    double across = (isLevel() ? own.height() : own.width()).toMm();
    double narrower = Math.min(1, breadth() / across);
    return new Part(piece, 0, 0, 0, along * narrower);
  }

  /** How many ems across words need: as much on both sides of the middle they are centred by. */
  private static double across(Words w, Typeface face, Rectangle2D ink) {
    Setting.VerticalAlign by = w.setting().vertical();
    if (by.isOptical()) {
      boolean small =
          by == Setting.VerticalAlign.SMALL_LETTERS && !w.type().letters().areCapitals();
      double middle = small ? face.smallMiddle() : face.capMiddle();
      return 2 * Math.max(-ink.getMinY() - middle, ink.getMaxY() + middle);
    }
    double high =
        w.type().letters().areCapitals() ? face.capHeight() : face.ascent() + face.descent();
    return Math.max(high, ink.getHeight());
  }

  private String language(Words words) {
    return words.setting().language().isEmpty()
        ? book.further().language()
        : words.setting().language();
  }

  /** By how much words are larger than they are set. */
  private double factor(List<Part> parts, boolean largest) {
    double words = parts.stream().mapToDouble(p -> p.ems() * p.size()).sum();
    double gaps =
        Math.max(0, parts.size() - 1)
            * LEAST_GAP
            * parts.stream().mapToDouble(Part::size).max().orElse(0);
    double others = parts.stream().mapToDouble(Part::along).sum();
    if (words == 0) {
      return 1;
    }
    double along = Math.max(0.01, (length() - others) / (words + gaps));
    if (!largest) {
      return Math.min(1, along);
    }
    double across =
        parts.stream()
            .filter(p -> p.size() > 0)
            .mapToDouble(p -> breadth() / (p.across() * p.size()))
            .min()
            .orElse(1);
    return Math.min(along, across);
  }

  private Piece placed(Part part, double at, double along) {
    Length from =
        Length.nearMm(
            switch (direction) {
              case UP -> length() - at - along;
              case LEVEL -> fromRight ? length() - at - along : at;
              case DOWN -> at;
            });
    Length to = from.plus(Length.nearMm(Math.max(along, 0.001)));
    boolean words = part.piece().content() instanceof Words;
    Box there =
        isLevel()
            ? Box.between(from, Length.ZERO, to, box.height())
            : Box.between(Length.ZERO, from, box.width(), to);
    Piece piece =
        part.piece()
            .withAnchors(
                Anchors.hung(Region.GROUP, Span.Hold.START, Span.Hold.START, there, lines(box)));
    return words
        ? piece
            .withPlacement(Placement.upright(piece.anchors()))
            .withContent(inLine((Words) piece.content()))
        : piece;
  }

  /** In one line whose ink fills its box. */
  private Words inLine(Words w) {
    Words straight =
        new Words(
            w.fact(),
            w.text().replaceAll("[\\r\\n]", " "),
            w.type().withFit(Type.Fit.WIDTH),
            w.setting().running(direction).breaking(Setting.Breaks.FULL, false, false),
            w.paint(),
            w.outline(),
            null,
            w.panel(),
            w.through());
    return straight.aligned(Setting.Align.CENTRE, w.setting().vertical());
  }

  private static Box whole(Size size) {
    return new Box(Length.ZERO, Length.ZERO, size.width(), size.height());
  }

  private static Regions lines(Size size) {
    return r -> r.equals(Region.GROUP) ? Optional.of(whole(size)) : Optional.empty();
  }
}
