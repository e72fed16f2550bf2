package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Centred;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.Locale;
import java.util.Optional;

/** Puts new pieces on the side at hand, in their panel's middle and never exactly on another. */
final class Adding implements Addition.Kinds<Design> {

  private static final String UNCUT =
      "Nothing of this picture is cut out yet: say first what its subject is.";

  private final Design design;
  private final PrintedSide side;
  private final Wrap wrap;
  private final Book book;
  private final Room room;
  private final AddingShapes shapes;

  Adding(Design design, Wrap wrap, Book book) {
    this.design = design;
    this.wrap = wrap;
    this.side = PrintedSide.of(wrap);
    this.book = book;
    this.room = new Room(design, wrap);
    this.shapes = new AddingShapes(design, wrap, room);
  }

  @Override
  public Design words(Addition.AddWords e) {
    return inFront(wordsOf(e));
  }

  @Override
  public Design band(Addition.AddBand e) {
    return design.changed(side, c -> c.inserted(0, bandOf(e)));
  }

  @Override
  public Design shape(Addition.AddShape e) {
    return inFront(shapes.shape(e));
  }

  @Override
  public Design frame(Addition.AddFrame e) {
    return inFront(shapes.frame(e));
  }

  @Override
  public Design ornament(Addition.AddOrnament e) {
    return inFront(shapes.ornament(e));
  }

  @Override
  public Design pattern(Addition.AddPattern e) {
    Piece pattern = shapes.pattern(e);
    return design.changed(side, c -> c.inserted(0, pattern));
  }

  @Override
  public Design line(Addition.AddLine e) {
    return new AddingLine(design, wrap, book, room).line();
  }

  @Override
  public Design picture(Addition.AddPicture e) {
    return inFront(pictureOf(e));
  }

  @Override
  public Design subject(Addition.AddSubject e) {
    return e.piece().isPresent() ? ofPiece(e.piece().get()) : ofGround(e.part());
  }

  private Design ofPiece(String id) {
    Piece whole =
        design.side(side).pieces().stream()
            .filter(p -> p.id().equals(id))
            .findFirst()
            .orElseThrow(
                () ->
                    new Refusal(
                        "A picture in a group can't be parted: take the group apart first."));
    if (!(whole.content() instanceof Content.Picture p) || p.cutOut().isEmpty()) {
      throw new Refusal(UNCUT);
    }
    Piece subject =
        new Piece(
            design.freeId("subject"),
            named(whole.name()),
            whole.placement(),
            // it breaks out of the form that cuts the whole
            whole.appearance().withMask(null),
            p,
            false,
            false);
    Design behind = design.changed(id, q -> q.withContent(p.withCutOut(null)));
    return behind.changed(side, c -> c.plus(subject));
  }

  private Design ofGround(Optional<PanelKind> part) {
    Ground ground = design.side(side).ground(part).orElse(design.side(side).ground());
    Content.Picture p =
        ground.picture().filter(q -> q.cutOut().isPresent()).orElseThrow(() -> new Refusal(UNCUT));
    Region region =
        part.filter(k -> design.side(side).ground(part).isPresent())
            .map(k -> new Region(Region.Bounds.BLEED, k))
            .orElse(ground.region());
    Piece subject = new Piece(design.freeId("subject"), "Subject", Anchors.filling(region), p);
    return design.changed(
        side, c -> c.withGround(part, ground.withPicture(p.withCutOut(null))).plus(subject));
  }

  private static String named(String of) {
    String name = "Subject of " + of;
    return name.length() > Piece.LONGEST_NAME ? name.substring(0, Piece.LONGEST_NAME) : name;
  }

  @Override
  public Design page(Addition.AddPage e) {
    return inFront(shapes.page(e));
  }

  @Override
  public Design barcode(Addition.AddBarcode e) {
    if (book.isbn().isEmpty()) {
      throw new Refusal(
          "The book has no ISBN yet: give it on the docket, then the barcode can be drawn.");
    }
    if (wrap.box(Region.BARCODE).isEmpty()) {
      throw new Refusal(wrap.house().name() + " keeps no barcode area on this cover.");
    }
    if (wrap.rules().printsBarcode()) {
      throw new Refusal(
          wrap.house().name()
              + " prints the barcode itself, over its area of the back: one of yours would be covered.");
    }
    return Mending.placeBarcode(design);
  }

  private Design inFront(Piece piece) {
    return design.changed(side, c -> c.plus(piece));
  }

  /** Prose from the left and the top, its paragraphs even. */
  private static final Setting PROSE =
      Setting.PLAIN.withLeading(1.36).breaking(Setting.Breaks.EVEN, false, false);

  /** A headline in the middle, its lines alike. */
  private static final Setting HEADLINE =
      Setting.PLAIN
          .aligned(Setting.Align.CENTRE, Setting.VerticalAlign.MIDDLE)
          .breaking(Setting.Breaks.BALANCED, false, false);

  /** A line down the spine: its capitals in the middle of the spine, as an eye takes it. */
  private static final Setting SPINE =
      HEADLINE.aligned(Setting.Align.CENTRE, Setting.VerticalAlign.CAPITALS);

  private Piece wordsOf(Addition.AddWords e) {
    Panel on = room.panel(e.panel());
    Box safe = on.safe();
    if (side == PrintedSide.INSIDE && safe.isEmpty()) {
      throw new Refusal(
          "The inside of the "
              + e.panel().title().toLowerCase(Locale.ROOT)
              + " is glued: no words can stand there.");
    }
    boolean spine = e.panel() == PanelKind.SPINE;
    Setting.Direction way =
        !spine ? Setting.Direction.LEVEL : Setting.Direction.onSpines(wrap.rules());
    boolean prose = e.fact() != null && e.fact().isProse();
    Optional<Words> like = room.like(e.fact());
    Length size =
        spine
            ? Length.pt("22")
            : prose ? like.map(w -> w.type().size()).orElse(Length.pt("11")) : Length.pt("24");
    String face = like.map(w -> w.type().face()).orElse(prose ? Room.TEXT_FACE : room.face());
    Words words =
        Words.of(e.fact(), e.fact() == null ? "New words" : "", face, size, room.ink())
            .withSetting(prose ? PROSE : spine ? SPINE : HEADLINE)
            .running(way);
    Length height = spine ? safe.height().dividedBy(2) : safe.height().dividedBy(6);
    Box usual =
        new Box(safe.left(), safe.top().plus(safe.height().dividedBy(4)), safe.width(), height);
    Box box =
        prose
            ? room.gap(safe)
                .filter(g -> !g.height().isLessThan(height))
                .map(g -> high(g, safe.height().dividedBy(2)))
                .orElseGet(() -> room.free(usual, safe))
            : room.clear(usual, safe);
    String name =
        (spine
                ? "spine "
                : e.panel() == PanelKind.FRONT
                    ? ""
                    : e.panel().title().toLowerCase(Locale.ROOT) + " ")
            + (e.fact() == null ? "words" : e.fact().title().toLowerCase(Locale.ROOT));
    return new Piece(
        design.freeId("words"),
        Character.toUpperCase(name.charAt(0)) + name.substring(1),
        spine
            ? Anchors.hung(Region.safe(e.panel()), Span.Hold.BOTH, Span.Hold.START, box, wrap)
            : new Anchors(
                Centred.across(on),
                Anchors.hung(Region.safe(e.panel()), Span.Hold.BOTH, Span.Hold.START, box, wrap)
                    .down()),
        words);
  }

  /** The upper part of a strip that is higher than prose needs. */
  private static Box high(Box strip, Length most) {
    return new Box(strip.left(), strip.top(), strip.width(), strip.height().min(most));
  }

  private Piece bandOf(Addition.AddBand e) {
    Box art = room.panel(e.panel()).art();
    Box box =
        room.free(
            new Box(
                art.left(),
                art.top().plus(art.height().dividedBy(3)),
                art.width(),
                art.height().dividedBy(4)),
            art);
    return new Piece(
        design.freeId("band"),
        "Band",
        Anchors.hung(
            new Region(Region.Bounds.BLEED, e.panel()), Span.Hold.BOTH, Span.Hold.START, box, wrap),
        Content.Shape.band(new Colour.Rgb(0xfbf8f1)));
  }

  /** All of it, as large as half the panel holds, round where it was let go. */
  private Piece pictureOf(Addition.AddPicture e) {
    Box trim = room.panel(e.panel()).trim();
    double width = Math.min(trim.width().toMm() / 2, trim.height().toMm() / 2 * e.proportion());
    Box box = room.round(trim, e.at(), Length.nearMm(width), Length.nearMm(width / e.proportion()));
    return new Piece(
        design.freeId("picture"),
        e.name(),
        Anchors.hung(Region.trim(e.panel()), Span.Hold.MIDDLE, Span.Hold.MIDDLE, box, wrap),
        Content.Picture.of(e.sha()));
  }
}
