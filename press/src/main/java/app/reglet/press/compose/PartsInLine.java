package app.reglet.press.compose;

import app.reglet.core.book.PageTurn;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.Rewriting;
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
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Puts the pieces of a group in one line: from the beginning of the box to its end as its words are
 * read, with gaps of one length between their inks. What comes of it is a group whose pieces lie as
 * they hang.
 */
final class PartsInLine {
  private final Size box;
  private final Setting.Direction direction;
  private final boolean fromRight;
  private final double scale;
  private final Lay lay;

  private PartsInLine(Size box, Row row, Lay lay, double scale) {
    this.box = box;
    this.direction = row.direction(Setting.Direction.onSpines(lay.wrap.rules()));
    this.fromRight = lay.wrap.spec().turn() == PageTurn.RTL;
    this.scale = scale;
    this.lay = lay;
  }

  /**
   * The group as it lies in its box: itself where its pieces stand in no line.
   *
   * @param scale by which its type and strokes are larger than they were set
   */
  static Content.Group of(Content.Group group, Box box, Lay lay, double scale) {
    Row row = group.row();
    return row == null ? group : new PartsInLine(box.size(), row, lay, scale).laid(group, row);
  }

  /**
   * A piece of the line.
   *
   * @param size of its type, mm; zero for what is no words
   * @param ems length of its ink in ems of that
   * @param across what it takes across the line: in ems, or mm where it is no words
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
    Regions natural = Regions.ofGroup(group.natural());
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

  private Part part(Piece made, Regions natural) {
    Piece piece = Rewriting.scaled(made, scale);
    if (piece.content() instanceof Words w) {
      OneLine line = OneLine.of(w, w.on(lay.book), lay.typefaces, lay.language(w));
      Typeface face = lay.typefaces.orStandIn(w.type().face());
      double set = w.type().size().toMm();
      double across = across(w, face, line.line().ink());
      double size = w.type().fit() == Type.Fit.SIZE ? set : Math.min(set, breadth() / across);
      return new Part(piece, size, line.line().ink().getWidth(), across, 0);
    }
    Box own = piece.anchors().on(natural).orElseThrow();
    double along = (isLevel() ? own.width() : own.height()).toMm();
    double across = (isLevel() ? own.height() : own.width()).toMm();
    double narrower = Math.min(1, breadth() / across);
    return new Part(piece, 0, 0, across * narrower, along * narrower);
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

  /** By how much words are larger than they are set. */
  private double factor(List<Part> parts, boolean largest) {
    double words = parts.stream().mapToDouble(p -> p.ems() * p.size()).sum();
    double gaps =
        Math.max(0, parts.size() - 1)
            * Row.LEAST_GAP
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
    double across = words ? breadth() : part.across();
    Length near = Length.nearMm((breadth() - across) / 2);
    Length far = near.plus(Length.nearMm(across));
    Box there = isLevel() ? Box.between(from, near, to, far) : Box.between(near, from, far, to);
    Piece piece =
        part.piece()
            .withAnchors(
                Anchors.hung(
                    Region.GROUP, Span.Hold.START, Span.Hold.START, there, Regions.ofGroup(box)));
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
}
