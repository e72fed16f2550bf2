package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Background;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Pins;
import app.reglet.core.design.Span;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.type.Typefaces;
import org.springframework.stereotype.Service;

/** What the bench does to a design; each gives a new design and refuses with a sentence. */
@Service
public class BenchService {
  private static final Length SMALLEST = Length.of(1, Unit.MM);
  private static final Length LARGEST_TYPE = Length.of(800, Unit.PT);
  private static final Length SMALLEST_TYPE = Length.of(3, Unit.PT);
  private static final int LONGEST_TEXT = 20_000;

  private final Typefaces typefaces;

  public BenchService(Typefaces typefaces) {
    this.typefaces = typefaces;
  }

  /** A piece by its id. */
  static Piece piece(Design design, String id) {
    return design
        .piece(id)
        .orElseThrow(
            () ->
                new Refusal(
                    "That piece is not on the cover any more: it was taken off. Undo brings it back."));
  }

  /** Puts new words on a panel. */
  public Design addWords(Design design, Wrap wrap, PanelKind panel, Fact fact) {
    Panel on =
        wrap.panel(panel)
            .orElseThrow(
                () -> new Refusal("This cover has no " + panel.title().toLowerCase() + "."));
    Box safe = on.safe();
    boolean spine = panel == PanelKind.SPINE;
    Content.Turn turn =
        !spine
            ? Content.Turn.LEVEL
            : wrap.rules().spineType().direction() == SpineTypeRule.Direction.TOP_TO_BOTTOM
                ? Content.Turn.DOWN
                : Content.Turn.UP;
    Length size = spine ? Length.pt("22") : fact == Fact.BLURB ? Length.pt("11") : Length.pt("24");
    String face = faceOf(design);
    Content.Words words =
        new Content.Words(
            fact,
            fact == null ? "New words" : "",
            face,
            size,
            true,
            inkFor(design),
            Content.Align.CENTRE,
            Content.Stand.MIDDLE,
            1.2,
            false,
            0,
            turn);
    Length height = spine ? safe.height().dividedBy(2) : safe.height().dividedBy(6);
    Box box =
        new Box(safe.left(), safe.top().plus(safe.height().dividedBy(4)), safe.width(), height);
    String name =
        (spine ? "Spine " : panel == PanelKind.BACK ? "Back " : "")
            + (fact == null ? "words" : fact.title().toLowerCase());
    String capital = Character.toUpperCase(name.charAt(0)) + name.substring(1);
    Pins pins = Pins.hung(Region.safe(panel), Span.Hold.BOTH, Span.Hold.START, box, wrap);
    return design.plus(new Piece(design.freeId("words"), capital, pins, words));
  }

  private String faceOf(Design design) {
    return design.pieces().stream()
        .filter(p -> p.content() instanceof Content.Words)
        .map(p -> ((Content.Words) p.content()).face())
        .findFirst()
        .orElse("spectral");
  }

  private static Colour inkFor(Design design) {
    return design.pieces().stream()
        .filter(p -> p.content() instanceof Content.Words)
        .map(p -> ((Content.Words) p.content()).colour())
        .findFirst()
        .orElse(new Colour(0x1d2327));
  }

  /** Puts a band of colour behind the pieces, across the front. */
  public Design addBand(Design design, Wrap wrap) {
    Box front = wrap.panel(PanelKind.FRONT).orElseThrow().art();
    Box box =
        new Box(
            front.left(),
            front.top().plus(front.height().dividedBy(3)),
            front.width(),
            front.height().dividedBy(4));
    Pins pins =
        Pins.hung(
            new Region(Region.Frame.BLEED, PanelKind.FRONT),
            Span.Hold.BOTH,
            Span.Hold.START,
            box,
            wrap);
    Piece band =
        new Piece(design.freeId("band"), "Band", pins, new Content.Band(new Colour(0xfbf8f1)));
    java.util.List<Piece> pieces = new java.util.ArrayList<>();
    pieces.add(band);
    pieces.addAll(design.pieces());
    return new Design(design.background(), pieces);
  }

  /** Lays a piece in another box; moved onto another panel, it hangs on that one's lines. */
  public Design place(Design design, Wrap wrap, String id, Box box) {
    Piece piece = piece(design, id);
    if (box.width().isLessThan(SMALLEST) || box.height().isLessThan(SMALLEST)) {
      throw new Refusal(
          "A piece is at least 1 mm wide and high; this would be "
              + box.size().print(Unit.MM)
              + ".");
    }
    if (!box.overlaps(wrap.sheetBox())) {
      throw new Refusal(
          "There it would lie off the sheet of "
              + wrap.sheet().brief(wrap.house().unit())
              + ", where nobody could take hold of it again.");
    }
    Region region = piece.pins().across().region();
    PanelKind under = wrap.panelUnder(box).map(Panel::kind).orElse(null);
    boolean moved = region.panel() != null && under != null && under != region.panel();
    if (moved || piece.pins().on(wrap).isEmpty()) {
      Region.Frame frame =
          region.frame() == Region.Frame.BARCODE ? Region.Frame.SAFE : region.frame();
      Region there = new Region(frame, under == null || under.isHinge() ? PanelKind.FRONT : under);
      return design.with(
          piece.withPins(
              Pins.hung(
                  there, piece.pins().across().hold(), piece.pins().down().hold(), box, wrap)));
    }
    return design.with(piece.withPins(piece.pins().placed(wrap, box)));
  }

  /** Hangs a piece on other lines without moving it. */
  public Design hang(
      Design design, Wrap wrap, String id, Region region, Span.Hold across, Span.Hold down) {
    Piece piece = piece(design, id);
    if (wrap.box(region).isEmpty()) {
      throw new Refusal("This cover has no " + region.id().replace('.', ' ') + " to hang on.");
    }
    Box box = piece.pins().on(wrap).or(() -> wrap.box(region)).orElseThrow();
    return design.with(piece.withPins(Pins.hung(region, across, down, box, wrap)));
  }

  /** Words changed as the tray's form says. */
  public Design words(Design design, String id, WordsForm form) {
    Piece piece = piece(design, id);
    if (!(piece.content() instanceof Content.Words old)) {
      throw new Refusal("“" + piece.name() + "” holds no words.");
    }
    typefaces.get(form.face());
    Length size = Length.parse(form.size(), Unit.PT);
    if (size.isLessThan(SMALLEST_TYPE) || size.isMoreThan(LARGEST_TYPE)) {
      throw new Refusal(
          "A type size of " + size.brief(Unit.PT) + " can't be set: from 3 to 800 pt.");
    }
    Fact fact = "own".equals(form.source()) ? null : Choices.of(Fact.values(), form.source());
    String text =
        form.text() == null ? old.text() : form.text().replace("\r\n", "\n").replace("\u0000", "");
    if (text.length() > LONGEST_TEXT) {
      throw new Refusal(
          "These are "
              + text.length()
              + " characters; a piece holds at most "
              + LONGEST_TEXT
              + ".");
    }
    double leading = decimal(form.leading(), "leading", 0.6, 4);
    int tracking = (int) Math.round(decimal(form.tracking(), "letter spacing", -100, 1000));
    Content.Words words =
        new Content.Words(
            fact,
            text,
            form.face(),
            size,
            form.fit() != null,
            Colour.parse(form.colour()),
            Choices.of(Content.Align.values(), form.align()),
            Choices.of(Content.Stand.values(), form.stand()),
            leading,
            form.capitals() != null,
            tracking,
            Choices.of(Content.Turn.values(), form.turn()));
    return design.with(new Piece(id, name(form.name(), piece), piece.pins(), words));
  }

  private static double decimal(String text, String what, double least, double most) {
    try {
      double d = Double.parseDouble(text.strip().replace(',', '.'));
      if (d >= least && d <= most) {
        return d;
      }
    } catch (NumberFormatException | NullPointerException e) {
      // told below
    }
    throw new Refusal(
        "“"
            + text
            + "” is no "
            + what
            + ": a number from "
            + plain(least)
            + " to "
            + plain(most)
            + ".");
  }

  private static String plain(double d) {
    return d == Math.rint(d) ? String.valueOf((long) d) : String.valueOf(d);
  }

  private static String name(String typed, Piece piece) {
    String name = typed == null ? "" : typed.strip();
    return name.isEmpty() ? piece.name() : name.length() > 80 ? name.substring(0, 80) : name;
  }

  /** A band's name and colour. */
  public Design band(Design design, String id, String name, String colour) {
    Piece piece = piece(design, id);
    return design.with(
        new Piece(id, name(name, piece), piece.pins(), new Content.Band(Colour.parse(colour))));
  }

  /** The background's colour, and how much of the picture shows. */
  public Design background(
      Design design, String colour, String focusX, String focusY, String extent) {
    Background b = design.background().withColour(Colour.parse(colour));
    if (focusX != null && focusY != null) {
      b = b.withFocus(decimal(focusX, "focus", 0, 1), decimal(focusY, "focus", 0, 1));
    }
    if (extent != null) {
      b = b.withExtent(Choices.of(Background.Extent.values(), extent));
    }
    return design.withBackground(b);
  }
}
