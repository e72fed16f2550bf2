package app.reglet.web.bench;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Pictures;
import app.reglet.web.titles.Cover;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The chosen piece as the title block shows it.
 *
 * @param piece the piece
 * @param kind words, shape, picture, barcode or group
 * @param words its words, null when it has none
 * @param picture its picture as its leaves show it, null when it has none
 * @param colour what it is painted with, empty when that is no one colour
 * @param onScreen about how that looks, {@code #rrggbb}
 * @param barcode the barcode, null for other pieces
 * @param motif its ornament or pattern, null for other pieces
 * @param page the page of a PDF that it shows, null for other pieces
 * @param fill what it is filled with, null for pieces that are not filled
 * @param edge the line along its edge, null for pieces without one
 * @param form its form, null for pieces without one
 * @param from id of the region that figures are measured from: the one it hangs on
 * @param fromName that region in words
 * @param left from there
 * @param top from there
 * @param angle degrees clockwise
 * @param opacity percent
 * @param cameOut the type size it was set at, in words; empty where that is the size wanted
 * @param loose whether it is in no group
 */
public record TitleBlock(
    Piece piece,
    String kind,
    Words words,
    PictureView picture,
    String colour,
    String onScreen,
    BarcodeView barcode,
    MotifView motif,
    PageView page,
    FillView fill,
    EdgeView edge,
    FormView form,
    String from,
    String fromName,
    String left,
    String top,
    String width,
    String height,
    String angle,
    String opacity,
    String cameOut,
    boolean loose) {

  /**
   * Whether this is what another block was but for its figures: where its piece lies, how large,
   * how it is turned, the size its words came out at.
   */
  boolean isOtherFiguresOf(TitleBlock before) {
    return hangsAlike(before.piece, piece)
        && piece.withPlacement(before.piece.placement()).equals(before.piece)
        && before.with(this).equals(this);
  }

  private static boolean hangsAlike(Piece a, Piece b) {
    return a.anchors().down().hold() == b.anchors().down().hold()
        && a.anchors().across().hold() == b.anchors().across().hold()
        && a.anchors().down().region().equals(b.anchors().down().region())
        && a.anchors().across().region().equals(b.anchors().across().region());
  }

  private TitleBlock with(TitleBlock now) {
    return new TitleBlock(
        now.piece,
        kind,
        words,
        picture,
        colour,
        onScreen,
        barcode,
        motif,
        page,
        fill,
        edge,
        form,
        from,
        fromName,
        now.left,
        now.top,
        now.width,
        now.height,
        now.angle,
        opacity,
        now.cameOut,
        loose);
  }

  /**
   * Whether it can be made to fill its panel in one act: what has no proportion that is its use.
   */
  public boolean fillable() {
    return loose && List.of("picture", "shape", "pattern", "page").contains(kind);
  }

  /** What it would fill: the panel it hangs on, or all of the sheet. */
  public String fillsName() {
    PanelKind on = piece.anchors().across().region().panel();
    return on == null ? "sheet" : on.title().toLowerCase(Locale.ROOT);
  }

  /** The figures that a move changes, by the fields they stand in. */
  String figures() {
    return String.join("|", left, top, width, height, angle);
  }

  /** Length of the id of a drawing that was brought: a SHA-256 in hex. */
  private static final int SHA = 64;

  /** The block of a piece; null when there is none. */
  static TitleBlock of(Piece piece, Cover cover, Pictures files) {
    if (piece == null || cover.wrap().isEmpty()) {
      return null;
    }
    Wrap wrap = cover.sheet();
    Unit unit = cover.unit();
    Artwork art = cover.art().orElseThrow();
    Box box =
        art.placed().stream()
            .filter(p -> p.piece().equals(piece.id()))
            .map(Artwork.Placed::box)
            .findFirst()
            .or(() -> piece.anchors().on(wrap))
            .orElse(wrap.trimmed());
    Region from = from(piece, box, wrap);
    Box origin = wrap.box(from).orElseThrow();
    Colour colour = colour(piece.content());
    Content.Shape shape = piece.content() instanceof Content.Shape s ? s : null;
    return new TitleBlock(
        piece,
        kind(piece.content()),
        piece.content() instanceof Words w ? w : null,
        PictureView.of(
            piece.content() instanceof Content.Picture p ? p : null,
            box,
            cover.design(),
            unit,
            files),
        colour == null ? "" : colour.text(),
        colour == null ? "#ffffff" : cover.design().solid(colour).hex(),
        piece.content() instanceof Content.Barcode b ? BarcodeView.of(b, cover) : null,
        motif(piece.content(), cover.design(), unit, files),
        PageView.of(piece, art.laid(), files, unit),
        piece.content() instanceof Words w
            ? FillView.of(w.paint(), cover.design())
            : shape == null ? null : FillView.of(shape.fill(), cover.design()),
        shape == null ? null : EdgeView.of(shape.stroke(), cover.design(), unit),
        shape == null ? null : FormView.of(shape.figure(), unit),
        from.id(),
        RegionName.of(from, wrap),
        box.left().minus(origin.left()).figure(unit, unit.decimals()),
        box.top().minus(origin.top()).figure(unit, unit.decimals()),
        box.width().figure(unit, unit.decimals()),
        box.height().figure(unit, unit.decimals()),
        plain(piece.placement().angle(), 3),
        plain(piece.appearance().opacity() * 100, 1),
        cameOut(piece, art),
        cover.composition().isLoose(piece.id()));
  }

  /**
   * What figures are counted from: what the piece hangs on, where that is one region of the sheet;
   * else the trim of its panel.
   */
  private static Region from(Piece piece, Box box, Wrap wrap) {
    Region hangs = piece.anchors().across().region();
    if (hangs.equals(piece.anchors().down().region()) && wrap.box(hangs).isPresent()) {
      return hangs;
    }
    var on = hangs.panel();
    return Optional.ofNullable(on)
        .flatMap(wrap::panel)
        .or(() -> wrap.panelUnder(box))
        .map(p -> Region.trim(p.kind()))
        .orElse(Region.TRIMMED);
  }

  static String plain(double figure, int decimals) {
    return BigDecimal.valueOf(figure)
        .setScale(decimals, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static String cameOut(Piece piece, Artwork art) {
    if (piece.content() instanceof Content.Barcode b) {
      return art.laid().stream()
          .filter(l -> l.piece().equals(piece.id()) && l instanceof Laid.Barcode)
          .map(l -> ((Laid.Barcode) l).magnification())
          .filter(m -> Math.abs(m - b.magnification()) > 0.0005)
          .map(m -> "→ " + plain(m * 100, 1) + " %")
          .findFirst()
          .orElse("");
    }
    if (!(piece.content() instanceof Words words)) {
      return "";
    }
    return art.laid().stream()
        .filter(l -> l.piece().equals(piece.id()) && l instanceof Laid.Words)
        .map(l -> ((Laid.Words) l).size())
        .filter(s -> !s.figure(Unit.PT, 1).equals(words.type().size().figure(Unit.PT, 1)))
        .map(s -> "→ " + s.figure(Unit.PT, 1) + " pt")
        .findFirst()
        .orElse("");
  }

  private static String kind(Content content) {
    return content.accept(
        new Content.Visitor<>() {
          @Override
          public String words(Words words) {
            return "words";
          }

          @Override
          public String shape(Content.Shape shape) {
            return "shape";
          }

          @Override
          public String picture(Content.Picture picture) {
            return "picture";
          }

          @Override
          public String ornament(Content.Ornament ornament) {
            return ornament.drawn().ornament().length() == SHA ? "drawing" : "ornament";
          }

          @Override
          public String pattern(Content.Pattern pattern) {
            return "pattern";
          }

          @Override
          public String page(Content.Page page) {
            return "page";
          }

          @Override
          public String cutting(Content.Cutting cutting) {
            return "cutting";
          }

          @Override
          public String barcode(Content.Barcode barcode) {
            return "barcode";
          }

          @Override
          public String group(Content.Group group) {
            return "group";
          }
        });
  }

  private static MotifView motif(Content content, Design design, Unit unit, Pictures files) {
    return content instanceof Content.Ornament o
        ? MotifView.of(o, design, files)
        : content instanceof Content.Pattern p ? MotifView.of(p, design, unit, files) : null;
  }

  private static Colour colour(Content content) {
    Paint paint =
        content instanceof Words w
            ? w.paint()
            : content instanceof Content.Shape s ? s.fill() : null;
    return paint instanceof Paint.Flat flat ? flat.colour() : null;
  }
}
