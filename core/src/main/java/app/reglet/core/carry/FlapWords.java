package app.reglet.core.carry;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What flaps get that nobody has composed: the front flap the rest of the blurb under the title,
 * the back flap the note about the author under the name, in the type and the colours of the words
 * on the back.
 *
 * @param from the sheet it comes from: flaps that it had and that are bare are meant to be
 * @param wrap with the flaps
 */
record FlapWords(Wrap from, Wrap wrap, Book book) {
  private static final Length LEAST_FLAP = Length.mm("40");
  private static final Length AIR = Length.mm("2");
  private static final Length PAD = Length.mm("3");
  private static final Length READ = Length.pt("10.5");
  private static final double LEADING = 1.36;

  /** The ids of the pieces that {@link #on} lays end with these. */
  private static final String HEAD = "-head";

  private static final String PROSE = "-prose";

  /** The design with its flaps filled; the same where there are none, or something is on them. */
  Design on(Design design) {
    Design filled = design;
    for (PanelKind flap : new PanelKind[] {PanelKind.FRONT_FLAP, PanelKind.BACK_FLAP}) {
      boolean room =
          wrap.panel(flap).filter(p -> !p.safe().width().isLessThan(LEAST_FLAP)).isPresent();
      if (room && from.panel(flap).isEmpty() && isEmpty(design.outside(), flap)) {
        filled =
            flap == PanelKind.FRONT_FLAP
                ? frontFlap(filled)
                : fill(filled, flap, Fact.AUTHOR, said(Fact.ABOUT_THE_AUTHOR));
      }
    }
    return filled;
  }

  private static boolean isEmpty(Composition side, PanelKind flap) {
    return side.pieces().stream().noneMatch(p -> p.anchors().across().region().panel() == flap);
  }

  /**
   * The blurb goes on from the back; where it has one paragraph, what somebody said of the book.
   */
  private Design frontFlap(Design design) {
    Optional<Piece> blurb = onBack(design).filter(p -> isWhole(p.content())).findFirst();
    if (blurb.isEmpty() || book.rest().isBlank()) {
      boolean quoted = says(design, Fact.QUOTE);
      return fill(
          design,
          PanelKind.FRONT_FLAP,
          Fact.TITLE,
          said(blurb.isEmpty() ? Fact.BLURB : quoted ? Fact.SUBTITLE : Fact.QUOTE));
    }
    Design parted =
        design.changed(
            blurb.get().id(),
            p -> p.withContent(own((Words) p.content(), "{" + Book.BEGINNING + "}")));
    return fill(parted, PanelKind.FRONT_FLAP, Fact.TITLE, Optional.of("{" + Book.REST + "}"));
  }

  private static boolean isWhole(Content content) {
    return content instanceof Words w && w.fact() == Fact.BLURB;
  }

  private static boolean says(Design design, Fact fact) {
    return design
        .outside()
        .all()
        .anyMatch(
            p ->
                p.content() instanceof Words w
                    && (w.fact() == fact || w.text().contains("{" + fact.id() + "}")));
  }

  /** A fact in braces, empty where the book does not say it. */
  private Optional<String> said(Fact fact) {
    return book.text(fact).isBlank() ? Optional.empty() : Optional.of("{" + fact.id() + "}");
  }

  private static java.util.stream.Stream<Piece> onBack(Design design) {
    return design
        .outside()
        .all()
        .filter(p -> p.content() instanceof Words)
        .filter(p -> p.anchors().across().region().panel() == PanelKind.BACK);
  }

  /** The words that those on the flaps are like: prose on the back, else any there, else any. */
  private Optional<Words> like(Design design) {
    Comparator<Words> longest =
        Comparator.comparingInt(
            w -> w.on(book).text().codePointCount(0, w.on(book).text().length()));
    return onBack(design)
        .map(p -> (Words) p.content())
        .max(longest)
        .or(
            () ->
                design
                    .outside()
                    .all()
                    .filter(p -> p.content() instanceof Words)
                    .map(p -> (Words) p.content())
                    .findFirst());
  }

  private static Optional<Words> title(Design design) {
    return design
        .outside()
        .all()
        .filter(p -> p.anchors().across().region().panel() == PanelKind.FRONT)
        .filter(p -> p.content() instanceof Words w && w.fact() == Fact.TITLE)
        .map(p -> (Words) p.content())
        .findFirst();
  }

  private Design fill(Design design, PanelKind flap, Fact head, Optional<String> prose) {
    Optional<Words> like = like(design);
    if (like.isEmpty() || prose.isEmpty()) {
      return design;
    }
    boolean covered = like.get().panel() == null && design.outside().ground().hasPicture();
    Paint paint = like.get().paint();
    List<Piece> pieces = new ArrayList<>(design.outside().pieces());
    if (covered) {
      pieces.add(cover(flap, under(design, paint)));
    }
    Words read =
        own(like.get(), prose.get())
            .withSize(READ.min(like.get().type().size().max(Length.pt("9"))))
            .withLeading(LEADING)
            .aligned(like.get().setting().align(), Setting.VerticalAlign.TOP)
            .withPanel(panel(like.get()));
    Words large =
        Words.of(
                head,
                "",
                title(design).orElse(like.get()).type().face(),
                read.type().size().times(3).half(),
                Colour.BLACK)
            .withPaint(paint)
            .aligned(like.get().setting().align(), Setting.VerticalAlign.BOTTOM)
            .withLeading(1.05)
            .withPanel(panel(like.get()));
    Region safe = Region.safe(flap);
    Length height = wrap.panel(flap).orElseThrow().safe().height();
    pieces.add(
        new Piece(
            free(design, flap, HEAD),
            flap.title() + " head",
            Anchors.stretched(safe, AIR, height.dividedBy(20), AIR, height.times(17).dividedBy(20)),
            large));
    pieces.add(
        new Piece(
            free(design, flap, PROSE),
            flap.title() + " prose",
            Anchors.stretched(safe, AIR, height.dividedBy(5), AIR, height.dividedBy(10)),
            read));
    return design.changed(PrintedSide.OUTSIDE, c -> c.withPieces(pieces));
  }

  private static String free(Design design, PanelKind flap, String end) {
    String id = flap.id() + end;
    return design.piece(id).isEmpty() ? id : design.freeId(id);
  }

  private static Panel panel(Words like) {
    Panel p = like.panel();
    return p == null ? null : new Panel(p.paint(), p.opacity(), p.radius(), p.across(), p.down());
  }

  /** The colour of the palette furthest from what the words are painted with. */
  private static Colour under(Design design, Paint words) {
    double light =
        words.colours().mapToDouble(c -> design.solid(c).lightness()).average().orElse(0);
    return design.palette().entrySet().stream()
        .max(Comparator.comparingDouble(e -> Math.abs(e.getValue().lightness() - light)))
        .filter(e -> Math.abs(e.getValue().lightness() - light) > 0.5)
        .<Colour>map(e -> new Colour.Swatch(e.getKey()))
        .orElse(light > 0.5 ? new Colour.Rgb(0x1d2327) : new Colour.Rgb(0xfbf8f1));
  }

  /** It begins beyond the fold: a colour that ends on a fold shows how far that drifts. */
  private Piece cover(PanelKind flap, Colour colour) {
    boolean last = wrap.panels().get(wrap.panels().size() - 1).kind() == flap;
    Region bleed = new Region(Region.Bounds.BLEED, flap);
    Anchors across =
        Anchors.stretched(
            bleed, last ? PAD : Length.ZERO, Length.ZERO, last ? Length.ZERO : PAD, Length.ZERO);
    return new Piece(
        flap.id() + "-area",
        flap.title() + " area",
        new Anchors(across.across(), Anchors.filling(Region.SHEET).down()),
        Content.Shape.band(colour));
  }

  /** Words like others, of their own. */
  private static Words own(Words like, String text) {
    return new Words(
        null,
        text,
        like.type(),
        like.setting().running(Setting.Direction.LEVEL),
        like.paint(),
        like.outline(),
        null,
        like.panel(),
        null);
  }
}
