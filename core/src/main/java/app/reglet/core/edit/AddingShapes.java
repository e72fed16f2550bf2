package app.reglet.core.edit;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Point;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** New forms, frames, ornaments and patterns. */
final class AddingShapes {
  static final Colour PALE = new Colour.Rgb(0xb9c4c6);

  private final Design design;
  private final Wrap wrap;
  private final Room room;

  AddingShapes(Design design, Wrap wrap, Room room) {
    this.design = design;
    this.wrap = wrap;
    this.room = room;
  }

  Piece pattern(Addition.AddPattern e) {
    return new Piece(
        design.freeId("pattern"),
        "Pattern",
        Anchors.filling(new Region(Region.Bounds.BLEED, room.panel(e.panel()).kind())),
        pattern(e.ornament(), room.ink()));
  }

  static Motif.Drawn motif(String ornament) {
    return new Motif.Drawn(ornament, List.of(PALE));
  }

  static Content.Pattern pattern(String ornament, Colour colour) {
    return new Content.Pattern(
        new Motif.Drawn(ornament, List.of(colour)),
        new Tiling(Length.mm("8"), Length.mm("4"), Length.mm("4"), Tiling.Stagger.BRICK, 0));
  }

  Piece ornament(Addition.AddOrnament e) {
    Box trim = room.panel(e.panel()).trim();
    Length width = trim.width().dividedBy(e.proportion() > 2 ? 2 : 4);
    Length height = Length.nearMm(width.toMm() / e.proportion());
    Box box = room.round(trim, e.at(), width, height);
    return new Piece(
        design.freeId("ornament"),
        e.name(),
        Anchors.hung(Region.trim(e.panel()), Span.Hold.MIDDLE, Span.Hold.START, box, wrap),
        new Content.Ornament(
            new Motif.Drawn(e.ornament(), e.inks().isEmpty() ? List.of(room.ink()) : e.inks())));
  }

  /** A page is as large as it was made, on whatever panel: to be smaller is its owner's choice. */
  Piece page(Addition.AddPage e) {
    Box trim = room.panel(e.panel()).trim();
    Point middle = e.at().orElse(new Point(trim.centreX(), trim.centreY()));
    Box box = room.round(trim, Optional.of(middle), e.size().width(), e.size().height());
    return new Piece(
        design.freeId("page"),
        e.name(),
        Anchors.hung(Region.trim(e.panel()), Span.Hold.MIDDLE, Span.Hold.MIDDLE, box, wrap),
        new Content.Page(e.sha(), e.number()));
  }

  Piece shape(Addition.AddShape e) {
    Box trim = room.panel(e.panel()).trim();
    boolean line = !e.figure().isClosed();
    Length width = trim.width().dividedBy(line ? 2 : 3);
    Length height = line ? Length.mm("4") : width.min(trim.height().dividedBy(3));
    Box box =
        room.free(
            new Box(
                trim.centreX().minus(width.half()),
                trim.centreY().minus(height.half()),
                width,
                height),
            trim);
    Stroke edge =
        line
            ? new Stroke(Paint.of(room.ink()), Length.mm("0.5"), List.of(), Stroke.Side.CENTRED)
            : null;
    return new Piece(
        design.freeId("shape"),
        e.name(),
        Anchors.hung(Region.trim(e.panel()), Span.Hold.MIDDLE, Span.Hold.START, box, wrap),
        new Content.Shape(e.figure(), line ? null : Paint.of(room.ink()), edge));
  }

  /** It follows the edges it is stretched between: on any wrap it is as far from them as here. */
  Piece frame(Addition.AddFrame e) {
    Panel front = room.panel(e.panel() == null ? PanelKind.FRONT : e.panel());
    Length in = front.safe().top().minus(front.trim().top());
    Anchors anchors =
        e.panel() == null
            ? Anchors.stretched(Region.TRIMMED, in, in, in, in)
            : Anchors.filling(Region.safe(e.panel()));
    String of =
        e.panel() == null ? "the whole" : "the " + e.panel().title().toLowerCase(Locale.ROOT);
    return new Piece(
        design.freeId("frame"),
        "Frame round " + of,
        anchors,
        new Content.Shape(
            Figure.RECTANGLE,
            null,
            new Stroke(Paint.of(room.ink()), Length.mm("0.5"), List.of(), Stroke.Side.INSIDE)));
  }
}
