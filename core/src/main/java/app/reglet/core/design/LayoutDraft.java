package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.SpineRoom;
import app.reglet.core.wrap.Wrap;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/** A layout while it is being laid: what every layout does the same way. */
final class LayoutDraft {
  static final Colour INK = new Colour.Rgb(0x1d2327);
  static final Colour PAPER = new Colour.Rgb(0xfbf8f1);

  private final Wrap wrap;
  private final Book book;
  private final Colour ink;
  private final Box front;
  private final List<Piece> pieces = new ArrayList<>();

  /**
   * @param ink of words on the ground
   */
  LayoutDraft(Wrap wrap, Book book, Colour ink) {
    this.wrap = wrap;
    this.book = book;
    this.ink = ink;
    this.front = wrap.panel(PanelKind.FRONT).orElseThrow().safe();
  }

  /** Dark words on a light ground, light words on a dark one; a picture brings its mean colour. */
  static Colour inkOn(Design design, Ground ground) {
    double light =
        ground.paint().colours().mapToDouble(c -> design.solid(c).lightness()).average().orElse(1);
    return light > 0.5 ? INK : PAPER;
  }

  List<Piece> pieces() {
    return pieces;
  }

  Colour ink() {
    return ink;
  }

  void add(Piece piece) {
    pieces.add(piece);
  }

  /** Words on the front, held a little inside the safe zone's sides: touching it looks cramped. */
  void front(
      Fact fact,
      String face,
      Span down,
      String size,
      Colour colour,
      Setting.Align align,
      Setting.VerticalAlign vertical) {
    Length air = toTenth(front.width().dividedBy(22));
    Span across =
        align == Setting.Align.CENTRE
            ? Centred.across(wrap.panel(PanelKind.FRONT).orElseThrow(), air)
            : Anchors.stretched(Region.safe(PanelKind.FRONT), air, Length.ZERO, air, Length.ZERO)
                .across();
    add(
        new Piece(
            fact.id(),
            fact.title(),
            new Anchors(across, down),
            Words.of(fact, "", face, toTenth(down(size)), colour)
                .aligned(align, vertical)
                .withLeading(1.08)));
  }

  static Span fromTop(Length top, Length height) {
    return Anchors.fromTop(Region.safe(PanelKind.FRONT), top, height).down();
  }

  static Span fromBottom(Length rise, Length height) {
    return Anchors.fromBottom(Region.safe(PanelKind.FRONT), rise, height).down();
  }

  /** The blurb on the back, ending above the barcode area whatever its height. */
  void back(String face, String share) {
    if (wrap.panel(PanelKind.BACK).isEmpty()) {
      return; // an ebook cover is the front alone
    }
    Region safe = Region.safe(PanelKind.BACK);
    Length side = front.width().dividedBy(18);
    Box back = wrap.panel(PanelKind.BACK).orElseThrow().safe();
    Length top = down("0.05");
    Length barcodeTop = wrap.box(Region.BARCODE).map(Box::top).orElse(back.bottom());
    Length height =
        down(share)
            .min(barcodeTop.minus(back.top()).minus(top).minus(Length.of(4, Unit.MM)))
            .max(Length.of(10, Unit.MM));
    Length size = Length.pt("12").min(down("0.022").max(Length.pt("9")));
    add(
        new Piece(
            Fact.BLURB.id(),
            Fact.BLURB.title(),
            new Anchors(
                Anchors.stretched(safe, side, Length.ZERO, side, Length.ZERO).across(),
                Anchors.fromTop(safe, top, height).down()),
            Words.of(Fact.BLURB, "", face, toTenth(size), ink).withLeading(1.36)));
  }

  /**
   * Title and author on the spine, where the house prints words there.
   *
   * @param rise of the foot's words
   * @param footInk colour of the foot's words
   */
  void spine(String face, String titleLength, String rise, Colour footInk) {
    if (!SpineRoom.of(wrap).takesWords()) {
      return;
    }
    Region safe = Region.safe(PanelKind.SPINE);
    Setting.Direction way = Setting.Direction.onSpines(wrap.rules());
    boolean down = way == Setting.Direction.DOWN;
    Length title = down(titleLength);
    Length author = down("0.34");
    Anchors head = Anchors.fromTop(safe, down("0.02"), down ? title : author);
    Anchors foot = Anchors.fromBottom(safe, down(rise), down ? author : title);
    spineWords(
        "title",
        Fact.TITLE,
        face,
        down ? head : foot,
        down ? ink : footInk,
        way,
        Setting.Align.LEFT);
    spineWords(
        "author",
        Fact.AUTHOR,
        face.replace("-bold", ""),
        down ? foot : head,
        down ? footInk : ink,
        way,
        Setting.Align.RIGHT);
  }

  private void spineWords(
      String id,
      Fact fact,
      String face,
      Anchors anchors,
      Colour colour,
      Setting.Direction way,
      Setting.Align align) {
    add(
        new Piece(
            "spine-" + id,
            "Spine " + id,
            anchors,
            Words.of(fact, "", face, Length.pt("22"), colour)
                .aligned(align, Setting.VerticalAlign.MIDDLE)
                .withLeading(1.0)
                .running(way)));
  }

  /** The barcode in its area, where the house wants it in the art or takes it there. */
  void barcode() {
    boolean wanted = wrap.rules().barcode().isPresent() && !wrap.rules().printsBarcode();
    if (wanted && book.isbn().isPresent()) {
      add(
          new Piece(
              "barcode-1", "Barcode", Anchors.filling(Region.BARCODE), Content.Barcode.usual()));
    }
  }

  /** A share of the front's safe height. */
  Length down(String share) {
    BigDecimal quanta = BigDecimal.valueOf(front.height().quanta()).multiply(new BigDecimal(share));
    return toTenth(new Length(quanta.setScale(0, RoundingMode.HALF_EVEN).longValueExact()));
  }

  /** To a tenth of a point: figures a person would type. */
  private static Length toTenth(Length l) {
    return Length.of(l.in(Unit.PT, 1), Unit.PT);
  }
}
