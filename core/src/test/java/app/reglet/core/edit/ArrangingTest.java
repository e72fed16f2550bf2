package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Copies, aligning and spreading, by figures worked out by hand. */
public class ArrangingTest {
  private static final Book BOOK = new Book("Title", "", "Author", "", "", Optional.empty(), "");
  private static final Wrap WRAP = wrap(320);
  private static final Box FRONT = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
  private static final Box BACK = WRAP.panel(PanelKind.BACK).orElseThrow().trim();

  private static Wrap wrap(int pages) {
    return Wraps.sixByNine(pages);
  }

  /** A band on the front, so far from the trim's top left. */
  private static Piece piece(String id, double x, double y, double w, double h) {
    Box box =
        new Box(
            FRONT.left().plus(Length.nearMm(x)),
            FRONT.top().plus(Length.nearMm(y)),
            Length.nearMm(w),
            Length.nearMm(h));
    return new Piece(
        id,
        id,
        Anchors.hung(Region.safe(PanelKind.FRONT), Span.Hold.START, Span.Hold.START, box, WRAP),
        Content.Shape.band(Colour.BLACK));
  }

  private static Design of(Piece... pieces) {
    return Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withPieces(List.of(pieces)));
  }

  private static Design apply(Design design, String... fields) {
    Map<String, String> map = new LinkedHashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      map.put(fields[i], fields[i + 1]);
    }
    Edit edit = EditReader.read(map, Unit.MM, design, List.of(), f -> true);
    assertThat(EditSentence.of(edit, design, Unit.MM)).isNotBlank();
    return Editing.apply(edit, design, WRAP, BOOK);
  }

  private static Box box(Design d, String id) {
    return d.piece(id).orElseThrow().anchors().on(WRAP).orElseThrow();
  }

  private static double x(Design d, String id) {
    return box(d, id).left().minus(FRONT.left()).toMm();
  }

  private static double y(Design d, String id) {
    return box(d, id).top().minus(FRONT.top()).toMm();
  }

  @DataProvider
  Object[][] edges() {
    // the trimmed front is 152.4 × 228.6 mm
    return new Object[][] {
      {"left", 0.0, 20.0},
      {"centre", 61.2, 20.0},
      {"right", 122.4, 20.0},
      {"top", 10.0, 0.0},
      {"middle", 10.0, 106.8},
      {"bottom", 10.0, 213.6},
    };
  }

  @Test(dataProvider = "edges")
  public void aPieceIsAlignedWithTheTrimmedPanelAndStaysSoOnAnySpine(
      String edge, double x, double y) {
    Design d = of(piece("a", 10, 20, 30, 15));
    d = apply(d, "edit", "align", "piece", "a", "edge", edge);
    assertThat(x(d, "a")).isCloseTo(x, within(1e-6));
    assertThat(y(d, "a")).isCloseTo(y, within(1e-6));
    Wrap thick = wrap(700);
    Box there = d.piece("a").orElseThrow().anchors().on(thick).orElseThrow();
    Box front = thick.panel(PanelKind.FRONT).orElseThrow().trim();
    assertThat(there.left().minus(front.left()).toMm()).isCloseTo(x, within(1e-6));
  }

  /** Against the part, that is its safe zone here: 3.175 mm inside the trim on the fore-edge. */
  @Test
  public void aPieceIsAlignedWithThePartItHangsOnAndStillHangsOnIt() {
    Design d = of(piece("a", 10, 20, 30, 15));
    Box safe = WRAP.panel(PanelKind.FRONT).orElseThrow().safe();
    assertThat(safe.right()).isNotEqualTo(FRONT.right());
    d = apply(d, "edit", "align", "piece", "a", "edge", "right", "against", "part");
    assertThat(box(d, "a").right()).isEqualTo(safe.right());
    assertThat(d.piece("a").orElseThrow().anchors().across().region())
        .isEqualTo(Region.safe(PanelKind.FRONT));
  }

  /** A bar of 40 × 10 turned a quarter takes 10 × 40. */
  @Test
  public void aTurnedPieceIsAlignedByWhatItTakesTurned() {
    Piece bar = piece("a", 50, 50, 40, 10);
    Design d = of(bar.withPlacement(bar.placement().withAngle(90)));
    d = apply(d, "edit", "align", "piece", "a", "edge", "left");
    assertThat(x(d, "a")).isCloseTo(-15, within(1e-6)); // middle 5 from the edge, box 40 wide
  }

  @Test
  public void piecesAreAlignedWithEachOtherAndSpreadWithEqualGaps() {
    Design d =
        of(piece("a", 10, 20, 30, 15), piece("b", 60, 40, 10, 10), piece("c", 100, 90, 20, 30));
    Design left =
        apply(d, "edit", "align", "piece", "a,b,c", "edge", "left", "against", "selection");
    assertThat(List.of(x(left, "a"), x(left, "b"), x(left, "c")))
        .allSatisfy(v -> assertThat(v).isCloseTo(10, within(1e-6)));
    assertThat(y(left, "b")).isCloseTo(40, within(1e-6));
    // from 10 to 120 are 110, less 60 of pieces: two gaps of 25
    Design even = apply(d, "edit", "spread", "piece", "c,a,b", "way", "across");
    assertThat(x(even, "a")).isCloseTo(10, within(1e-6));
    assertThat(x(even, "b")).isCloseTo(65, within(1e-6));
    assertThat(x(even, "c")).isCloseTo(100, within(1e-6));
    // on the whole trimmed front: 228.6 less 55, two gaps of 86.8
    Design down = apply(d, "edit", "spread", "piece", "a,b,c", "way", "down", "against", "panel");
    assertThat(y(down, "a")).isCloseTo(0, within(1e-6));
    assertThat(y(down, "b")).isCloseTo(15 + 86.8, within(1e-6));
    assertThat(y(down, "c")).isCloseTo(198.6, within(1e-6));
    assertThatThrownBy(() -> apply(d, "edit", "spread", "piece", "a,b", "way", "across"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("takes 3 or more; chosen is 2");
    assertThatThrownBy(
            () -> apply(d, "edit", "align", "piece", "a", "edge", "left", "against", "selection"))
        .hasMessageContaining("two or more");
  }

  @Test
  public void aCopyLiesALittleBesideWithAnIdOfItsOwnAndOneAtTheEdgeTheOtherWay() {
    Design d = of(piece("a", 10, 20, 30, 15), piece("z", 120, 213, 30, 15));
    Design copied = apply(d, "edit", "copy", "piece", "a,z");
    assertThat(copied.outside().pieces())
        .extracting(Piece::id)
        .containsExactly("a", "z", "a-1", "z-1");
    assertThat(x(copied, "a-1")).isCloseTo(14, within(1e-6));
    assertThat(y(copied, "a-1")).isCloseTo(24, within(1e-6));
    assertThat(y(copied, "z-1")).isCloseTo(209, within(1e-6));
    Design again = apply(copied, "edit", "copy", "piece", "a-1");
    assertThat(again.outside().pieces()).extracting(Piece::id).contains("a-2");
  }

  @Test
  public void aCopyOnTheBackLiesAtTheSamePlaceOrMirroredAndWordsStayReadable() {
    Piece bar = piece("a", 10, 20, 30, 15);
    Piece turned = bar.withPlacement(bar.placement().withAngle(30));
    Piece words =
        bar.withId("w")
            .withContent(Words.of(null, "So", "spectral", Length.pt("20"), Colour.BLACK));
    Design d = of(turned, words);
    Design same = apply(d, "edit", "copy", "piece", "a", "to", "back");
    assertThat(box(same, "a-1").left().minus(BACK.left()).toMm()).isCloseTo(10, within(1e-6));
    assertThat(same.piece("a-1").orElseThrow().placement().angle()).isEqualTo(30);
    Design mirrored = apply(d, "edit", "copy", "piece", "a,w", "to", "back", "mirrored", "on");
    assertThat(BACK.right().minus(box(mirrored, "a-1").right()).toMm()).isCloseTo(10, within(1e-6));
    Piece there = mirrored.piece("a-1").orElseThrow();
    assertThat(there.placement().angle()).isEqualTo(-30);
    assertThat(there.placement().flip()).isEqualTo(Placement.Flip.ACROSS);
    assertThat(there.anchors().across().hold()).isEqualTo(Span.Hold.END);
    assertThat(there.anchors().across().region()).isEqualTo(Region.safe(PanelKind.BACK));
    assertThat(mirrored.piece("w-1").orElseThrow().placement().flip())
        .isEqualTo(Placement.Flip.NONE);
    assertThatThrownBy(() -> apply(d, "edit", "copy", "piece", "a", "to", "front-flap"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no front flap");
  }

  @Test
  public void aCopiedGroupHasNoIdTwiceAndACopyOfALockedPieceIsNotLocked() {
    Design d = of(piece("a", 10, 20, 30, 15), piece("b", 60, 40, 10, 10));
    d = apply(d, "edit", "group", "piece", "a,b");
    d = apply(d, "edit", "lock", "piece", "group-1", "on", "on");
    d = apply(d, "edit", "copy", "piece", "group-1");
    List<String> ids = d.outside().all().map(Piece::id).toList();
    assertThat(ids).doesNotHaveDuplicates().hasSize(6);
    assertThat(d.piece("group-2").orElseThrow().locked()).isFalse();
    Design e = d;
    assertThatThrownBy(() -> apply(e, "edit", "align", "piece", "a", "edge", "left"))
        .isInstanceOf(Refusal.class);
  }
}
