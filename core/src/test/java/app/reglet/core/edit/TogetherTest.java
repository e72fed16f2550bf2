package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Line;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.design.Turns;
import app.reglet.core.design.Words;
import app.reglet.core.house.Houses;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import app.reglet.core.wrap.Zone;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;

/** Several pieces as one, groups in groups, snapping, pasting and the inside; figures by hand. */
public class TogetherTest {
  private static final Book BOOK = new Book("Title", "", "Author", "", "", Optional.empty(), "");
  private static final Wrap WRAP = wrap();
  private static final Box FRONT = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();

  private static Wrap wrap() {
    return Wraps.sixByNine(320);
  }

  private static Box box(double x, double y, double w, double h) {
    return new Box(
        FRONT.left().plus(Length.nearMm(x)),
        FRONT.top().plus(Length.nearMm(y)),
        Length.nearMm(w),
        Length.nearMm(h));
  }

  private static Piece piece(String id, double x, double y, double w, double h) {
    return new Piece(
        id,
        id,
        Anchors.hung(
            Region.safe(PanelKind.FRONT), Span.Hold.START, Span.Hold.START, box(x, y, w, h), WRAP),
        Content.Shape.band(Colour.BLACK));
  }

  private static Design design(Piece... pieces) {
    return Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withPieces(List.of(pieces)));
  }

  private static Design after(Design design, String... fields) {
    Map<String, String> sent = new LinkedHashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      sent.put(fields[i], fields[i + 1]);
    }
    return Editing.apply(
        EditReader.read(sent, Unit.MM, design, List.of(), id -> true), design, WRAP, BOOK);
  }

  /** x, y, width, height from the front's trim, mm. */
  private static double[] place(Design design, String id) {
    Box b = design.piece(id).orElseThrow().anchors().on(WRAP).orElseThrow();
    return new double[] {
      b.left().minus(FRONT.left()).toMm(),
      b.top().minus(FRONT.top()).toMm(),
      b.width().toMm(),
      b.height().toMm()
    };
  }

  @Test
  public void twoAreStretchedAsOneBoxRoundThem() {
    Design two = design(piece("a", 10, 10, 20, 10), piece("b", 50, 30, 10, 20));
    // round them: 10…60 across, 10…50 down; twice as wide, half as high, from the top left
    Design after =
        after(two, "edit", "stretch", "piece", "a,b", "right", "50 mm", "bottom", "-20 mm");
    assertThat(place(after, "a")).containsExactly(new double[] {10, 10, 40, 5}, within(1e-6));
    assertThat(place(after, "b")).containsExactly(new double[] {90, 20, 20, 10}, within(1e-6));
  }

  @Test
  public void typeGoesWithTheLesserWayAndWhatStandsAskewKeepsItsProportion() {
    Words words = Words.of(null, "Salt", "spectral", Length.pt("20"), Colour.BLACK);
    Piece type = piece("a", 10, 10, 20, 10).withContent(words);
    Piece askew = piece("b", 50, 30, 10, 20);
    Design two = design(type, askew.withPlacement(askew.placement().withAngle(30)));
    Box round = Together.extent(two.piece("b").orElseThrow(), WRAP);
    Design after = after(two, "edit", "stretch", "piece", "a,b", "right", "30 mm");
    double across =
        (round.right().toMm() - FRONT.left().toMm() - 10 + 30)
            / (round.right().toMm() - FRONT.left().toMm() - 10);
    assertThat(((Words) after.piece("a").orElseThrow().content()).type().size())
        .isEqualTo(Length.pt("20"));
    assertThat(place(after, "a")[2]).isCloseTo(20 * across, within(1e-6));
    assertThat(place(after, "b")[2]).isCloseTo(10, within(1e-6));
    assertThat(place(after, "b")[3]).isCloseTo(20, within(1e-6));
  }

  @Test
  public void stretchedInsideOutIsRefused() {
    Design two = design(piece("a", 10, 10, 20, 10), piece("b", 50, 30, 10, 20));
    assertThatThrownBy(() -> after(two, "edit", "stretch", "piece", "a,b", "right", "-50 mm"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("inside out");
  }

  @Test
  public void aQuarterTurnSwingsThemRoundTheirMiddle() {
    Design two = design(piece("a", 10, 10, 20, 10), piece("b", 50, 30, 10, 20));
    Design after = after(two, "edit", "swing", "piece", "a,b", "angle", "90");
    // middle 35, 30; a's middle 20, 15 is at −15, −15 of it: turned clockwise +15, −15: 50, 15
    assertThat(place(after, "a")).containsExactly(new double[] {40, 10, 20, 10}, within(1e-6));
    assertThat(after.piece("a").orElseThrow().placement().angle()).isEqualTo(90);
    // b's middle 55, 40 is at 20, 10: turned −10, 20: 25, 50
    assertThat(place(after, "b")).containsExactly(new double[] {20, 40, 10, 20}, within(1e-6));
    Design back = after(after, "edit", "swing", "piece", "a,b", "angle", "-90");
    assertThat(place(back, "a")).containsExactly(new double[] {10, 10, 20, 10}, within(1e-6));
    assertThat(back.piece("a").orElseThrow().placement().angle()).isZero();
  }

  @Test
  public void groupsTenDeepAreMadeAndUnmadeWithoutMovingAnything() {
    Design now = design(piece("a", 10, 10, 20, 10), piece("b", 50, 30, 10, 20));
    List<String> groups = new ArrayList<>();
    String outer = "a";
    for (int i = 0; i < 10; i++) {
      String more = "p" + i;
      Piece p = piece(more, 5 * i, 60 + 5 * i, 8, 8);
      now = now.changed(PrintedSide.OUTSIDE, c -> c.plus(p));
      now = after(now, "edit", "group", "piece", outer + "," + more);
      outer = now.outside().looseOf("a");
      groups.add(outer);
    }
    assertThat(groups).doesNotHaveDuplicates();
    // an inner group is unmade where it is: its pieces go into the group round it
    int before = (int) now.outside().all().count();
    now = after(now, "edit", "ungroup", "piece", groups.get(4));
    assertThat(now.outside().all().count()).isEqualTo(before - 1);
    assertThat(now.outside().looseOf("a")).isEqualTo(groups.get(9));
    // two in that group are made one again
    now = after(now, "edit", "group", "piece", groups.get(3) + ",p4");
    assertThat(now.outside().all().count()).isEqualTo(before);
    for (int i = 0; i < 20 && !now.outside().isLoose("a"); i++) {
      now = after(now, "edit", "ungroup", "piece", now.outside().looseOf("a"));
    }
    assertThat(place(now, "a")).containsExactly(new double[] {10, 10, 20, 10}, within(1e-5));
    assertThat(place(now, "p9")).containsExactly(new double[] {45, 105, 8, 8}, within(1e-5));
  }

  @Test
  public void piecesThatDoNotLieTogetherAreNotGrouped() {
    Design now =
        design(piece("a", 10, 10, 20, 10), piece("b", 50, 30, 10, 20), piece("c", 9, 9, 9, 9));
    Design grouped = after(now, "edit", "group", "piece", "a,b");
    assertThatThrownBy(() -> after(grouped, "edit", "group", "piece", "a,c"))
        .hasMessageContaining("lie together");
    assertThatThrownBy(() -> after(grouped, "edit", "group", "piece", "c"))
        .hasMessageContaining("two pieces or more");
  }

  @Test
  public void whatIsSnappedOntoALineHangsOnItFromThen() {
    Design one = design(piece("a", 10, 10, 20, 10));
    double middle = FRONT.width().toMm() / 2 - 20;
    Design after =
        after(
            one,
            "edit",
            "snap",
            "piece",
            "a",
            "right",
            middle + " mm",
            "down",
            "5 mm",
            "hangAcross",
            "front.trim:MIDDLE");
    Anchors a = after.piece("a").orElseThrow().anchors();
    assertThat(a.across().hold()).isEqualTo(Span.Hold.MIDDLE);
    assertThat(((Span.Hung) a.across()).line())
        .isEqualTo(new Line(Region.trim(PanelKind.FRONT), Line.Edge.CENTRE));
    assertThat(((Span.Hung) a.across()).offset().toMm()).isCloseTo(0, within(1e-6));
    assertThat(a.down().hold()).isEqualTo(Span.Hold.START);
    assertThat(a.down().region()).isEqualTo(Region.safe(PanelKind.FRONT));
  }

  @Test
  public void pastedPiecesBringTheirColoursAndFindAPlace() {
    Piece named =
        piece("a", 10, 10, 20, 10).withContent(Content.Shape.band(new Colour.Swatch("Ink")));
    Piece flap =
        new Piece(
            "f",
            "flap",
            Anchors.filling(Region.safe(PanelKind.FRONT_FLAP)),
            Content.Shape.band(Colour.BLACK));
    Arrangement.Paste paste =
        new Arrangement.Paste(
            List.of(named, flap), Map.of("Ink", (Colour.Solid) new Colour.Rgb(0x123456)));
    Design after = Editing.apply(paste, design(piece("a", 1, 1, 5, 5)), WRAP, BOOK);
    assertThat(after.outside().pieces()).hasSize(3).extracting(Piece::id).doesNotHaveDuplicates();
    Piece first = after.outside().pieces().get(1);
    assertThat(((Content.Shape) first.content()).fill().colours())
        .containsExactly(new Colour.Rgb(0x123456));
    assertThat(after.outside().pieces().get(2).anchors().across().region())
        .isEqualTo(Region.safe(PanelKind.FRONT));
  }

  // ---- the inside

  private static Wrap inside() {
    Wrap outside =
        Measuring.measure(
            Specification.of(
                    Binding.PERFECT_BOUND,
                    Size.parse("A5", Unit.MM),
                    288,
                    Houses.OSIER.stocks().get(0).id(),
                    Houses.OSIER.inks().get(0).id(),
                    PageTurn.LTR)
                .withInsidePrinted(true),
            Houses.OSIER);
    return FilePages.inside(outside).orElseThrow();
  }

  @Test
  public void whatIsAddedOnTheInsideLiesThereAndNowhereElse() {
    Wrap in = inside();
    Design after =
        Editing.apply(new Addition.AddWords(PanelKind.FRONT, null), Design.EMPTY, in, BOOK);
    assertThat(after.outside().pieces()).isEmpty();
    Box words = after.inside().pieces().get(0).anchors().on(in).orElseThrow();
    // the inside front lies on the left of a book whose pages turn left to right
    assertThat(words.centreX().toMm()).isLessThan(in.sheet().width().toMm() / 2);
    assertThat(after.isUntouched(PrintedSide.INSIDE)).isFalse();
    assertThat(Design.EMPTY.isUntouched(PrintedSide.INSIDE)).isTrue();
  }

  @Test
  public void wordsAreNotPutWhereTheInsideIsGlued() {
    assertThatThrownBy(
            () ->
                Editing.apply(
                    new Addition.AddWords(PanelKind.SPINE, null), Design.EMPTY, inside(), BOOK))
        .isInstanceOf(Refusal.class)
        .hasMessage("The inside of the spine is glued: no words can stand there.");
  }

  @Test
  public void aPieceOnTheGlueIsFoundAndTheGroundIsNot() {
    Wrap in = inside();
    Box strip =
        in.zones().stream().filter(z -> z.kind() == Zone.Kind.GLUE).findFirst().orElseThrow().box();
    Laid ground = new Laid.Area(Laid.GROUND, "Ground", outline(in.sheetBox()));
    Laid beside =
        new Laid.Area(
            "p",
            "Panel",
            outline(new Box(Length.ZERO, Length.ZERO, strip.left(), in.sheet().height())));
    assertThat(found(in, ground, beside)).isEmpty();
    Laid over =
        new Laid.Area(
            "p",
            "Panel",
            outline(
                Box.between(
                    Length.ZERO,
                    Length.ZERO,
                    strip.left().plus(Length.mm("1.5")),
                    in.sheet().height())));
    assertThat(found(in, ground, over))
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.sentence(Unit.MM))
                    .startsWith("“Panel” lies 1.5 mm wide on the strip of "));
  }

  private static Outline outline(Box b) {
    return Outline.of(b);
  }

  private static List<Finding> found(Wrap in, Laid... laid) {
    return Check.run(new Subject(in, BOOK, List.of(laid)));
  }

  /** Clockwise, by an angle at which a sine of the wrong sign shows. */
  @Test
  public void anyTurnSwingsThemClockwise() {
    Design two = design(piece("a", 10, 10, 20, 10), piece("b", 50, 30, 10, 20));
    Design after = after(two, "edit", "swing", "piece", "a,b", "angle", "30");
    double c = Math.cos(Math.PI / 6);
    // a's middle lies −15, −15 of the whole's, 35, 30; x' = cx − sy, y' = sx + cy, y down
    assertThat(place(after, "a")[0] + 10).isCloseTo(35 - 15 * c + 7.5, within(1e-4));
    assertThat(place(after, "a")[1] + 5).isCloseTo(30 - 7.5 - 15 * c, within(1e-4));
    assertThat(after.piece("b").orElseThrow().placement().angle()).isEqualTo(30);
  }

  /** Where a point of a piece comes to lie, mm on the sheet: its middle, then a step each way. */
  private static double[] lies(double x, double y, Turns turns) {
    return new double[] {x, y, turns.xx(), turns.yx(), turns.xy(), turns.yy()};
  }

  /** Against the group's own turn: what was in a group lies as it lay when it is taken out. */
  @Test
  public void whatIsTakenOutOfATurnedAndMirroredGroupLiesAsItLay() {
    Random random = new Random(5);
    double[] angles = {0, 30, 90, -135, 180};
    for (Placement.Flip flip : Placement.Flip.values()) {
      for (Placement.Flip own : Placement.Flip.values()) {
        for (double angle : angles) {
          Piece a = piece("a", 10, 10, 20, 10);
          Piece b = piece("b", 50, 30, 10, 20);
          double turn = random.nextInt(360) - 179;
          Piece turned = a.withPlacement(new Placement(a.placement().anchors(), turn, own));
          Design grouped = after(design(turned, b), "edit", "group", "piece", "a,b");
          String id = grouped.outside().pieces().get(0).id();
          Design d =
              grouped.changed(
                  id, g -> g.withPlacement(new Placement(g.placement().anchors(), angle, flip)));
          Piece group = d.piece(id).orElseThrow();
          Box all = group.anchors().on(WRAP).orElseThrow();
          Turns t = Turns.of(group.placement());
          Design loose = after(d, "edit", "ungroup", "piece", id);
          for (String member : List.of("a", "b")) {
            Piece in = member.equals("a") ? turned : b;
            Box was = in.anchors().on(WRAP).orElseThrow();
            double x = was.centreX().minus(all.centreX()).toMm();
            double y = was.centreY().minus(all.centreY()).toMm();
            double[] before =
                lies(
                    all.centreX().toMm() + t.xx() * x + t.xy() * y,
                    all.centreY().toMm() + t.yx() * x + t.yy() * y,
                    t.then(in.placement()));
            Piece out = loose.piece(member).orElseThrow();
            Box is = out.anchors().on(WRAP).orElseThrow();
            assertThat(lies(is.centreX().toMm(), is.centreY().toMm(), Turns.of(out.placement())))
                .as(member + " with " + own + " by " + turn + " in " + flip + " by " + angle)
                .containsExactly(before, within(1e-5));
            assertThat(is.size().width().minus(was.size().width()).abs().toMm()).isLessThan(1e-6);
          }
        }
      }
    }
  }

  /** A turn goes on past the half turn and comes out between −180 and 180. */
  @Test
  public void whatIsSwungPastHalfATurnHasTheSameTurnCountedTheOtherWay() {
    Piece a = piece("a", 10, 10, 20, 10);
    Design two = design(a.withPlacement(a.placement().withAngle(150)), piece("b", 50, 30, 10, 20));
    Design there = after(two, "edit", "swing", "piece", "a,b", "angle", "70");
    assertThat(there.piece("a").orElseThrow().placement().angle()).isEqualTo(-140);
    assertThat(there.piece("b").orElseThrow().placement().angle()).isEqualTo(70);
    Design back = after(there, "edit", "swing", "piece", "a,b", "angle", "-70");
    assertThat(back.piece("a").orElseThrow().placement().angle()).isEqualTo(150);
    assertThat(back.piece("b").orElseThrow().placement().angle()).isZero();
  }
}
