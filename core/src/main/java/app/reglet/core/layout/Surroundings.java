package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Line;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.SpineRoom;
import java.util.Optional;

/**
 * What lies round the front, by the same rules in every layout. A book with something said of it
 * and a front flap has the blurb on the flap and the praise on the back; else the blurb is on the
 * back. The note about the author is on the back flap.
 *
 * @param d the layout
 * @param ink of the words
 * @param panel behind words on the back and the spine, null for none
 * @param backing the role that lies under everything here
 * @param top where the back's words begin, a share of the front's height
 */
record Surroundings(Draft d, Colour ink, Panel panel, Role backing, double top) {
  private static final double TOP = 0.05;
  private static final Length LEAST_FLAP = Length.mm("40");
  private static final Length GAP = Length.mm("4");

  /** Words straight on a ground. */
  Surroundings(Draft d, Role ground) {
    this(d, d.on(ground), null, ground, TOP);
  }

  Surroundings(Draft d, Colour ink, Panel panel, Role backing) {
    this(d, ink, panel, backing, TOP);
  }

  /** With the back's words beginning lower. */
  Surroundings from(double share) {
    return new Surroundings(d, ink, panel, backing, share);
  }

  /** Words on a panel of a role, on whatever picture lies there. */
  static Surroundings onPanel(Draft d, Role role, double opacity) {
    return new Surroundings(
        d,
        d.on(role),
        new Panel(Paint.of(d.colour(role)), opacity, Length.ZERO, GAP, Length.mm("3")),
        role);
  }

  boolean hasFlap(PanelKind flap) {
    return d.wrap.panel(flap).filter(p -> !p.safe().width().isLessThan(LEAST_FLAP)).isPresent();
  }

  private boolean says(Fact fact) {
    return !d.book.text(fact).isBlank();
  }

  boolean blurbOnFlap() {
    return hasFlap(PanelKind.FRONT_FLAP) && says(Fact.QUOTE);
  }

  /** Prose on the back, in so much of the height at most, and ending above the barcode area. */
  void back(double share) {
    if (d.wrap.panel(PanelKind.BACK).isEmpty()) {
      return; // an ebook cover is the front alone
    }
    Length top = d.h(this.top);
    Length height = upTo(top, d.h(share));
    if (blurbOnFlap()) {
      prose(Fact.QUOTE, d.pair.italic(), top, height, huge());
    } else if (says(Fact.QUOTE) && panel != null) {
      Words both =
          Words.of(null, "{quote}\n\n{blurb}", d.pair.text(), small(), ink).withLeading(1.36);
      d.add(Fact.BLURB.id(), Fact.BLURB.title(), backBox(top, height), both.withPanel(panel));
    } else if (says(Fact.QUOTE)) {
      Length said = Draft.toTenth(height.dividedBy(4));
      prose(Fact.QUOTE, d.pair.italic(), top, said, large());
      Length under = top.plus(said).plus(d.h(0.03));
      prose(Fact.BLURB, d.pair.text(), under, height.minus(said).minus(d.h(0.03)), small());
    } else {
      prose(Fact.BLURB, d.pair.text(), top, height, small());
    }
  }

  Length small() {
    return d.keepsGround() ? type("9", 0.022, "12") : type("9", 0.0235, "16");
  }

  Length large() {
    return type("10", 0.033, "21");
  }

  private Length huge() {
    return type("12", 0.042, "26");
  }

  private Length type(String least, double share, String most) {
    return Draft.toTenth(Length.pt(most).min(d.h(share).max(Length.pt(least))));
  }

  /** How far words keep off the sides of the back's safe zone. */
  private Length side() {
    Length front = d.wrap.panel(PanelKind.FRONT).orElseThrow().safe().width();
    return d.keepsGround() ? front.dividedBy(18) : Draft.toTenth(front.dividedBy(11));
  }

  /** As high as wished, ending above the barcode area whatever its height. */
  private Length upTo(Length top, Length wished) {
    Box back = d.wrap.panel(PanelKind.BACK).orElseThrow().safe();
    Length barcode = d.wrap.box(Region.BARCODE).map(Box::top).orElse(back.bottom());
    return wished.min(barcode.minus(back.top()).minus(top).minus(GAP)).max(Length.of(10, Unit.MM));
  }

  private Anchors backBox(Length top, Length height) {
    Region safe = Region.safe(PanelKind.BACK);
    Length side = side();
    return new Anchors(Draft.across(safe, side, side), Anchors.fromTop(safe, top, height).down());
  }

  private void prose(Fact fact, String face, Length top, Length height, Length size) {
    d.add(
        fact.id(),
        fact.title(),
        backBox(top, height),
        Words.of(fact, "", face, size, ink)
            .withLeading(fact == Fact.QUOTE ? 1.3 : 1.36)
            .withPanel(panel));
  }

  /** The imprint at the foot of the back, beside the barcode area, where there is room for it. */
  void imprint() {
    imprint(null);
  }

  /**
   * @param sign an ornament over it, null for none
   */
  void imprint(String sign) {
    Optional<Box> back = d.wrap.panel(PanelKind.BACK).map(p -> p.safe());
    if (back.isEmpty()) {
      return;
    }
    Region safe = Region.safe(PanelKind.BACK);
    Length side = side();
    Length left = side;
    Length right = side;
    Optional<Box> barcode = d.wrap.box(Region.BARCODE);
    boolean atRight = true;
    if (barcode.isPresent()) {
      Length before = barcode.get().left().minus(back.get().left());
      Length after = back.get().right().minus(barcode.get().right());
      atRight = !before.isLessThan(after);
      if (atRight) {
        right = back.get().right().minus(barcode.get().left()).plus(GAP);
      } else {
        left = barcode.get().right().minus(back.get().left()).plus(GAP);
      }
    }
    if (back.get().width().minus(left).minus(right).isLessThan(Length.mm("28"))) {
      return;
    }
    Words words =
        Words.of(Fact.IMPRINT, "", d.pair.strong(), Draft.toTenth(small().max(Length.pt("9"))), ink)
            .aligned(
                atRight ? Setting.Align.LEFT : Setting.Align.RIGHT, Setting.VerticalAlign.BOTTOM)
            .withPanel(panel);
    d.add(
        Fact.IMPRINT.id(),
        Fact.IMPRINT.title(),
        new Anchors(
            Draft.across(safe, left, right), Anchors.fromBottom(safe, d.h(0.02), d.h(0.05)).down()),
        words);
    if (sign != null && panel == null) {
      Length high = d.h(0.08);
      Span across =
          atRight
              ? new Span.Hung(new Line(safe, Line.Edge.LEFT), Span.Part.START, left, high)
              : new Span.Hung(new Line(safe, Line.Edge.RIGHT), Span.Part.END, right.negate(), high);
      d.ornament(
          "sign-1",
          "Sign",
          sign,
          new Anchors(across, Anchors.fromBottom(safe, d.h(0.085), high).down()),
          d.large(Role.ACCENT, backing),
          d.large(Role.LIGHT, backing));
    }
  }

  /** Whether the spine takes words, of a face that is high too. */
  boolean hasSpineWords() {
    SpineRoom room = SpineRoom.of(d.wrap);
    return room.takesWords() && room.band().times(5).isMoreThan(room.least().times(6));
  }

  /** Title and author on the spine, all in the words' own colour. */
  void spine() {
    spine(0.58, 0.02, ink, ink);
  }

  /**
   * Title and author on the spine, where the house prints words there.
   *
   * @param titleLength share of the front's height
   * @param rise of the foot's words, likewise
   * @param head colour of the head's words
   * @param foot colour of the foot's words
   */
  void spine(double titleLength, double rise, Colour head, Colour foot) {
    if (!hasSpineWords()) {
      return;
    }
    Region safe = Region.safe(PanelKind.SPINE);
    Setting.Direction way = Setting.Direction.onSpines(d.wrap.rules());
    boolean down = way == Setting.Direction.DOWN;
    Length title = d.h(titleLength);
    Length author = d.h(0.34);
    Anchors top = Anchors.fromTop(safe, d.h(0.02), down ? title : author);
    Anchors bottom = Anchors.fromBottom(safe, d.h(rise), down ? author : title);
    spineWords(
        "title",
        Fact.TITLE,
        d.pair.display(),
        down ? top : bottom,
        down ? head : foot,
        way,
        Setting.Align.LEFT);
    spineWords(
        "author",
        Fact.AUTHOR,
        d.pair.strong(),
        down ? bottom : top,
        down ? foot : head,
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
    d.add(
        "spine-" + id,
        "Spine " + id,
        anchors,
        Words.of(fact, "", face, Length.pt("22"), colour)
            .aligned(align, Setting.VerticalAlign.CAPITALS)
            .withLeading(1.0)
            .running(way)
            .withPanel(colour.equals(ink) ? slim() : null));
  }

  /** The panel on a spine: no higher than the words need. */
  private Panel slim() {
    return panel == null
        ? null
        : new Panel(panel.paint(), panel.opacity(), Length.ZERO, Length.mm("2"), Length.ZERO);
  }

  /** Both flaps, where the binding has them, straight on the ground. */
  void flaps() {
    new FlapsLayout(this).lay();
  }

  /** Both flaps, covered by a colour, whatever runs across the sheet there. */
  void coveredFlaps() {
    new FlapsLayout(this).layCovered();
  }

  /** The inside, where it is printed: a colour, a motif tone on tone, a line of words. */
  void inside(Role role, String ornament) {
    if (d.isInsidePrinted()) {
      d.inside(new InsideLayout(d, role).with(ornament, says(Fact.QUOTE)));
    }
  }

  /** The barcode in its area, where the house wants it in the art or takes it there. */
  void barcode() {
    boolean wanted = d.wrap.rules().barcode().isPresent() && !d.wrap.rules().printsBarcode();
    if (wanted && d.book.isbn().isPresent()) {
      d.add(
          new Piece(
              "barcode-1", "Barcode", Anchors.filling(Region.BARCODE), Content.Barcode.usual()));
    }
  }

  /**
   * All of it, the usual way; the inside has an ornament all over, the back one over the imprint.
   */
  void all(double share, Role insideRole, String ornament, String sign) {
    back(share);
    imprint(sign);
    spine();
    if (panel == null) {
      flaps();
    } else {
      coveredFlaps();
    }
    barcode();
    inside(insideRole, ornament);
  }
}
