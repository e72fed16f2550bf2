package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.house.BarcodeRule;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A layout to start from. Positions and type sizes are shares of the front's safe box on the wrap
 * at hand (proportions: our own); the pieces it makes are pinned, so they follow the wrap
 * afterwards.
 */
public enum StartingLayout {
  /** Title at the head, author at the foot, ranged left. */
  LEDGER("Ledger", "Title at the head, author at the foot, ranged left"),
  /** Everything on the middle axis, title on the upper third. */
  AXIS("Axis", "On the middle axis, title on the upper third"),
  /** A band of colour across the whole sheet carries title and author. */
  TIDEMARK("Tidemark", "A band of colour round the whole cover carries the title");

  private final String title;
  private final String about;

  StartingLayout(String title, String about) {
    this.title = title;
    this.about = about;
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  public String title() {
    return title;
  }

  public String about() {
    return about;
  }

  /** Lays the book's words out on a wrap, in front of a background. */
  public Design on(Wrap wrap, Book book, Background background) {
    return new Draft(this, wrap, book).design(background);
  }

  /** The working state of one layout. */
  private static final class Draft {
    private static final Colour INK = new Colour(0x1d2327);
    private static final Colour PAPER = new Colour(0xfbf8f1);

    private final StartingLayout layout;
    private final Wrap wrap;
    private final Book book;
    private final Box front;
    private final List<Piece> pieces = new ArrayList<>();

    Draft(StartingLayout layout, Wrap wrap, Book book) {
      this.layout = layout;
      this.wrap = wrap;
      this.book = book;
      this.front = wrap.panel(PanelKind.FRONT).orElseThrow().safe();
    }

    Design design(Background background) {
      switch (layout) {
        case LEDGER -> ledger(background);
        case AXIS -> axis(background);
        case TIDEMARK -> tidemark();
      }
      back(background);
      spine(background);
      barcode();
      return new Design(background, pieces);
    }

    private void ledger(Background background) {
      Colour ink = on(background);
      Region safe = Region.safe(PanelKind.FRONT);
      words(
          "title",
          "Title",
          Fact.TITLE,
          "spectral-bold",
          airy(Pins.fromTop(safe, down("0.02"), down("0.34"))),
          down("0.15"),
          ink,
          Content.Align.LEFT,
          Content.Stand.TOP);
      words(
          "subtitle",
          "Subtitle",
          Fact.SUBTITLE,
          "spectral-italic",
          airy(Pins.fromTop(safe, down("0.38"), down("0.12"))),
          down("0.042"),
          ink,
          Content.Align.LEFT,
          Content.Stand.TOP);
      words(
          "author",
          "Author",
          Fact.AUTHOR,
          "spectral",
          airy(Pins.fromBottom(safe, down("0.02"), down("0.1"))),
          down("0.055"),
          ink,
          Content.Align.LEFT,
          Content.Stand.BOTTOM);
    }

    private void axis(Background background) {
      Colour ink = on(background);
      Region safe = Region.safe(PanelKind.FRONT);
      words(
          "author",
          "Author",
          Fact.AUTHOR,
          "cormorant-garamond-semibold",
          airy(Pins.fromTop(safe, down("0.05"), down("0.08"))),
          down("0.05"),
          ink,
          Content.Align.CENTRE,
          Content.Stand.TOP);
      words(
          "title",
          "Title",
          Fact.TITLE,
          "cormorant-garamond-bold",
          airy(Pins.fromTop(safe, down("0.2"), down("0.3"))),
          down("0.14"),
          ink,
          Content.Align.CENTRE,
          Content.Stand.MIDDLE);
      words(
          "subtitle",
          "Subtitle",
          Fact.SUBTITLE,
          "cormorant-garamond-italic",
          airy(Pins.fromTop(safe, down("0.52"), down("0.12"))),
          down("0.042"),
          ink,
          Content.Align.CENTRE,
          Content.Stand.TOP);
    }

    private void tidemark() {
      Region safe = Region.safe(PanelKind.FRONT);
      Length height = down("0.36");
      Length rise = down("0.1");
      Pins band =
          new Pins(
              Pins.filling(Region.SHEET).across(),
              Pins.fromBottom(safe, rise.minus(down("0.03")), height.plus(down("0.06"))).down());
      pieces.add(new Piece("band-1", "Band", band, new Content.Band(PAPER)));
      words(
          "title",
          "Title",
          Fact.TITLE,
          "alegreya-bold",
          airy(Pins.fromBottom(safe, rise.plus(down("0.15")), down("0.21"))),
          down("0.12"),
          INK,
          Content.Align.LEFT,
          Content.Stand.BOTTOM);
      words(
          "subtitle",
          "Subtitle",
          Fact.SUBTITLE,
          "alegreya-italic",
          airy(Pins.fromBottom(safe, rise.plus(down("0.075")), down("0.07"))),
          down("0.036"),
          INK,
          Content.Align.LEFT,
          Content.Stand.MIDDLE);
      words(
          "author",
          "Author",
          Fact.AUTHOR,
          "alegreya",
          airy(Pins.fromBottom(safe, rise, down("0.06"))),
          down("0.042"),
          INK,
          Content.Align.LEFT,
          Content.Stand.BOTTOM);
    }

    private void back(Background background) {
      if (wrap.panel(PanelKind.BACK).isEmpty()) {
        return; // an ebook cover is the front alone
      }
      Region safe = Region.safe(PanelKind.BACK);
      String face =
          switch (layout) {
            case LEDGER -> "spectral";
            case AXIS -> "cormorant-garamond";
            case TIDEMARK -> "alegreya";
          };
      Length side = front.width().dividedBy(18);
      Box back = wrap.panel(PanelKind.BACK).orElseThrow().safe();
      Length top = down("0.05");
      Length height = layout == TIDEMARK ? down("0.44") : down("0.6");
      // the blurb ends above the barcode area whatever its height
      Length barcodeTop = wrap.box(Region.BARCODE).map(Box::top).orElse(back.bottom());
      height =
          height
              .min(barcodeTop.minus(back.top()).minus(top).minus(Length.of(4, Unit.MM)))
              .max(Length.of(10, Unit.MM));
      Pins pins =
          new Pins(
              Pins.stretched(safe, side, Length.ZERO, side, Length.ZERO).across(),
              Pins.fromTop(safe, top, height).down());
      Length size = Length.pt("12").min(down("0.022").max(Length.pt("9")));
      words(
          "blurb",
          "Blurb",
          Fact.BLURB,
          face,
          pins,
          size,
          on(background),
          Content.Align.LEFT,
          Content.Stand.TOP);
    }

    private void spine(Background background) {
      SpineTypeRule rule = wrap.rules().spineType();
      Region safe = Region.safe(PanelKind.SPINE);
      Length band = wrap.box(safe).map(Box::width).orElse(Length.ZERO);
      // ascender to descender is about one em: a narrower band holds no type the house prints
      if (!rule.allows(wrap.spec().pages(), wrap.spine().stated())
          || band.isLessThan(rule.leastSize())) {
        return;
      }
      Content.Turn turn =
          rule.direction() == SpineTypeRule.Direction.TOP_TO_BOTTOM
              ? Content.Turn.DOWN
              : Content.Turn.UP;
      boolean down = turn == Content.Turn.DOWN;
      String face =
          switch (layout) {
            case LEDGER -> "spectral-bold";
            case AXIS -> "cormorant-garamond-bold";
            case TIDEMARK -> "alegreya-bold";
          };
      boolean onBand = layout == TIDEMARK;
      Length titleLength = onBand ? down("0.44") : down("0.58");
      Length authorLength = onBand ? down("0.34") : down("0.34");
      Pins head = Pins.fromTop(safe, down("0.02"), down ? titleLength : authorLength);
      Pins foot =
          Pins.fromBottom(
              safe, onBand ? down("0.11") : down("0.02"), down ? authorLength : titleLength);
      Colour ink = on(background);
      spineWords(
          "spine-title",
          "Spine title",
          Fact.TITLE,
          face,
          down ? head : foot,
          onBand && !down ? INK : ink,
          turn,
          Content.Align.LEFT);
      spineWords(
          "spine-author",
          "Spine author",
          Fact.AUTHOR,
          face.replace("-bold", ""),
          down ? foot : head,
          onBand && down ? INK : ink,
          turn,
          Content.Align.RIGHT);
    }

    private void barcode() {
      boolean wanted =
          wrap.rules().barcode().map(b -> b.supplier() != BarcodeRule.Supplier.HOUSE).orElse(false);
      if (wanted && book.isbn().isPresent()) {
        pieces.add(
            new Piece("barcode-1", "Barcode", Pins.filling(Region.BARCODE), new Content.Barcode()));
      }
    }

    /** Held a little inside the safe zone's sides: words that touch it look cramped. */
    private Pins airy(Pins pins) {
      Length air = toTenth(front.width().dividedBy(22));
      return new Pins(
          Pins.stretched(Region.safe(PanelKind.FRONT), air, Length.ZERO, air, Length.ZERO).across(),
          pins.down());
    }

    private void words(
        String id,
        String name,
        Fact fact,
        String face,
        Pins pins,
        Length size,
        Colour colour,
        Content.Align align,
        Content.Stand stand) {
      double leading = fact == Fact.BLURB ? 1.36 : 1.08;
      pieces.add(
          new Piece(
              id,
              name,
              pins,
              new Content.Words(
                  fact,
                  "",
                  face,
                  toTenth(size),
                  true,
                  colour,
                  align,
                  stand,
                  leading,
                  false,
                  0,
                  Content.Turn.LEVEL)));
    }

    private void spineWords(
        String id,
        String name,
        Fact fact,
        String face,
        Pins pins,
        Colour colour,
        Content.Turn turn,
        Content.Align align) {
      pieces.add(
          new Piece(
              id,
              name,
              pins,
              new Content.Words(
                  fact,
                  "",
                  face,
                  Length.pt("22"),
                  true,
                  colour,
                  align,
                  Content.Stand.MIDDLE,
                  1.0,
                  false,
                  0,
                  turn)));
    }

    /**
     * Dark words on a light ground, light words on a dark one; a picture brings its mean colour.
     */
    private static Colour on(Background background) {
      Colour c = background.colour();
      double light = 0.2126 * c.red() + 0.7152 * c.green() + 0.0722 * c.blue();
      return light > 0.5 ? INK : PAPER;
    }

    private Length down(String share) {
      BigDecimal mm = BigDecimal.valueOf(front.height().quanta()).multiply(new BigDecimal(share));
      return toTenth(new Length(mm.setScale(0, RoundingMode.HALF_EVEN).longValueExact()));
    }

    /** To a tenth of a point: figures a person would type. */
    private static Length toTenth(Length l) {
      return Length.of(l.in(Unit.PT, 1), Unit.PT);
    }
  }
}
