package app.reglet.core.edit;

import app.reglet.core.Choices;
import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Point;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Reads a change from the fields of a form: {@code edit} says which, the others what. A field that
 * is not sent leaves what it is about as it is.
 */
public final class EditReader {
  private final Typed typed;
  private final Design design;
  private final List<Finding> findings;
  private final Stock stock;
  private final ContentReader contents;

  private EditReader(Typed typed, Design design, List<Finding> findings, Stock stock) {
    this.typed = typed;
    this.design = design;
    this.findings = findings;
    this.stock = stock;
    this.contents = new ContentReader(typed, stock);
  }

  /**
   * What a layout is to be dressed in. {@code colours}: {@code own}, the layout's; {@code cover},
   * the palette of the cover; {@code picture}, those of the picture; or a shelf. {@code pair}:
   * {@code own} or a pair of typefaces. {@code picture}: the SHA-256 of one, or nothing. Without
   * any of them the cover's ground stays.
   *
   * @throws Refusal where a field names what is not there
   */
  public static Dress dress(Map<String, String> fields, Design design, Stock stock) {
    return new DressReader(new Typed(fields, Unit.MM), design, stock).read();
  }

  /**
   * The change that was meant.
   *
   * @param fields names and texts as sent
   * @param unit of lengths that name none
   * @param design in force
   * @param findings told of it, each with its remedies
   * @throws Refusal with a sentence, and the field concerned
   */
  public static Edit read(
      Map<String, String> fields, Unit unit, Design design, List<Finding> findings, Stock stock) {
    return new EditReader(new Typed(fields, unit), design, findings, stock).read();
  }

  private Edit read() {
    return switch (typed.text("edit")) {
      case "move" -> new Edit.Move(ids(), typed.length("right"), typed.length("down"));
      case "resize" -> new Edit.Resize(id(), by("left"), by("top"), by("right"), by("bottom"));
      case "place" ->
          new Edit.Place(
              id(),
              Region.parse(typed.text("from")),
              typed.lengthIfAny("left"),
              typed.lengthIfAny("top"),
              typed.lengthIfAny("width"),
              typed.lengthIfAny("height"));
      case "turn" -> new Edit.Turn(id(), typed.figure("angle", "angle", -360, 360, 0));
      case "flip" -> new Edit.Flip(id(), typed.text("way").equals("across"));
      case "hang" -> hang();
      case "fill" -> new Edit.Fill(id());
      case "set" -> set();
      case "appear" -> new Edit.Appear(id(), contents.changed(piece().appearance()));
      case "rename" -> new Edit.Rename(id(), typed.text("name"));
      case "lock" -> new Edit.Lock(id(), typed.flag("on", true));
      case "hide" -> new Edit.Hide(id(), typed.flag("on", true));
      case "add" -> add();
      case "remove" -> new Edit.Remove(ids());
      case "reorder" ->
          new Edit.Reorder(id(), (int) typed.figure("by", "number of places", -200, 200, 0));
      case "group" -> new Edit.Group(ids());
      case "ungroup" -> new Edit.Ungroup(id());
      case "copy" ->
          new Arrangement.Copy(
              ids(),
              typed.text("to", "").isEmpty()
                  ? Optional.empty()
                  : Optional.of(typed.choice("to", PanelKind.FRONT)),
              typed.flag("mirrored", false));
      case "align" ->
          new Arrangement.Align(
              ids(),
              typed.choice("edge", Arrangement.Edge.class),
              typed.choice("against", Arrangement.Against.PANEL));
      case "spread" ->
          new Arrangement.Spread(
              ids(),
              typed.text("way").equals("across"),
              typed.choice("against", Arrangement.Against.SELECTION));
      case "stretch" ->
          new Arrangement.Stretch(ids(), by("left"), by("top"), by("right"), by("bottom"));
      case "swing" -> new Arrangement.Swing(ids(), typed.figure("angle", "angle", -360, 360, 0));
      case "snap" ->
          new Arrangement.Snap(
              id(),
              typed.length("right"),
              typed.length("down"),
              hanging("hangAcross"),
              hanging("hangDown"));
      case "ground" -> ground();
      case "swatch", "swatch-off", "swatches", "swatch-of" ->
          new PaletteReader(typed, design, stock).read();
      case "layout" ->
          new Starting.Lay(
              typed.choice("layout", StartingLayout.class), dress(typed.fields(), design, stock));
      case "credits" -> new Edit.Mend(new Remedy.PlaceCredits(), "Credits placed");
      case "mend" -> mend();
      default -> throw new Refusal("“" + typed.text("edit") + "” is no change of a cover.");
    };
  }

  /** An ornament that is called after what it shows is called after what it shows now. */
  private Edit set() {
    Piece piece = piece();
    Content content = contents.changed(piece);
    boolean ownName =
        piece.content() instanceof Content.Ornament o
            && stock
                .ornament(o.drawn().ornament())
                .map(n -> n.name().equals(piece.name()))
                .orElse(false);
    return new Edit.Set(
        id(), content, ownName && typed.has("ornament") ? contents.ornament().name() : null);
  }

  private String id() {
    return typed.text("piece");
  }

  private List<String> ids() {
    return List.of(id().split(","));
  }

  private Length by(String edge) {
    return typed.lengthIfAny(edge).orElse(Length.ZERO);
  }

  private Piece piece() {
    return design
        .piece(id())
        .orElseThrow(
            () ->
                new Refusal(
                    "That piece is not on the cover any more: it was taken off. Undo brings it back."));
  }

  private Edit hang() {
    Piece piece = piece();
    Region region =
        typed.has("region")
            ? Region.parse(typed.text("region"))
            : piece.anchors().across().region();
    Span.Hold across = typed.choice("across", piece.anchors().across().hold());
    Span.Hold down = typed.choice("holdDown", piece.anchors().down().hold());
    return new Edit.Hang(id(), region, across, down);
  }

  /** {@code front.safe:START}. */
  private Optional<Arrangement.Hanging> hanging(String field) {
    String said = typed.text(field, "");
    int colon = said.indexOf(':');
    return colon < 0
        ? Optional.empty()
        : Optional.of(
            new Arrangement.Hanging(
                Region.parse(said.substring(0, colon)),
                Choices.of(Span.Hold.class, said.substring(colon + 1))));
  }

  private Edit add() {
    String what = typed.text("what");
    return switch (what) {
      case "band" -> new Addition.AddBand(typed.choice("panel", PanelKind.FRONT));
      case "barcode" -> new Addition.AddBarcode();
      case "shape" -> shape();
      case "ornament" -> {
        Stock.Ornament ornament = contents.ornament();
        yield new Addition.AddOrnament(
            typed.choice("panel", PanelKind.FRONT),
            typed.text("ornament"),
            ornament.name(),
            ornament.width() / ornament.height());
      }
      case "pattern" -> {
        contents.ornament();
        yield new Addition.AddPattern(
            typed.choice("panel", PanelKind.FRONT), typed.text("ornament"));
      }
      case "picture" ->
          new Addition.AddPicture(
              typed.choice("panel", PanelKind.FRONT),
              new PictureReader(typed, stock).kept(typed.text("picture")),
              typed.text("name", "Picture"),
              stock.proportion(typed.text("picture")),
              at());
      case "line" -> new Addition.AddLine();
      case "subject" ->
          new Addition.AddSubject(
              Optional.of(typed.text("piece", "")).filter(p -> design.piece(p).isPresent()),
              Optional.of(typed.text("part", ""))
                  .filter(p -> !p.isEmpty())
                  .map(p -> typed.choice("part", PanelKind.class)));
      case "frame" ->
          new Addition.AddFrame(
              typed.text("panel", "").equals("whole")
                  ? null
                  : typed.choice("panel", PanelKind.FRONT));
      default -> {
        String[] parts = what.split(":", 2);
        Fact fact =
            parts.length < 2 || parts[1].equals("own") ? null : Choices.of(Fact.class, parts[1]);
        yield new Addition.AddWords(Choices.of(PanelKind.class, parts[0]), fact);
      }
    };
  }

  /** Where something was let go on the sheet. */
  private Optional<Point> at() {
    return typed.has("atX") && typed.has("atY")
        ? Optional.of(new Point(typed.length("atX"), typed.length("atY")))
        : Optional.empty();
  }

  private Edit shape() {
    String figure = typed.text("figure").toLowerCase(Locale.ROOT);
    Figure form = FigureReader.ofKind(figure, Figure.RECTANGLE);
    String name =
        switch (figure) {
          case "level", "upright", "falling", "rising" -> "Line";
          case "free" -> "Polygon";
          default -> Character.toUpperCase(figure.charAt(0)) + figure.substring(1);
        };
    return new Addition.AddShape(typed.choice("panel", PanelKind.FRONT), form, name);
  }

  private Edit ground() {
    PrintedSide side = typed.choice("side", PrintedSide.OUTSIDE);
    Optional<PanelKind> part =
        typed.text("part", "").isEmpty()
            ? Optional.empty()
            : Optional.of(typed.choice("part", PanelKind.FRONT));
    if (part.filter(PanelKind::isHinge).isPresent()) {
      throw new Refusal("part", "A hinge has the ground of its board.");
    }
    String what =
        part.map(p -> "Ground of the " + p.title().toLowerCase(Locale.ROOT)).orElse("Ground");
    String own = typed.text("own", "");
    if (part.isPresent() && own.equals("no")) {
      return new Edit.SetGround(side, part, null, what);
    }
    Composition now = design.side(side);
    // a part's own begins with the whole's colours: a picture or pattern of the whole is not cut up
    Ground begin = Ground.of(now.ground().paint());
    return new Edit.SetGround(side, part, contents.changed(now.ground(part).orElse(begin)), what);
  }

  private Edit mend() {
    String code = typed.text("code");
    String piece = typed.text("piece", "");
    int choice = (int) typed.figure("choice", "choice", 0, 20, 0);
    Remedy.OfDesign remedy =
        findings.stream()
            .filter(f -> f.code().equals(code) && f.piece().orElse("").equals(piece))
            .filter(f -> choice < f.remedies().size())
            .map(f -> f.remedies().get(choice))
            .filter(Remedy.OfDesign.class::isInstance)
            .map(Remedy.OfDesign.class::cast)
            .findFirst()
            .orElseThrow(
                () -> new Refusal("This finding is no longer there: the cover has changed since."));
    return new Edit.Mend(remedy, remedy.label(typed.unit()));
  }
}
