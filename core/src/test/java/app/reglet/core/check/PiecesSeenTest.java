package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.act.Act;
import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Words;
import app.reglet.core.edit.Edit;
import app.reglet.core.edit.Editing;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

public class PiecesSeenTest {
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final Box FRONT = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
  private static final Book BOOK = new Book("T", "", "A", "", "", java.util.Optional.empty(), "");
  private static final Content AREA =
      new Content.Shape(Figure.RECTANGLE, Paint.of(Colour.BLACK), null);
  private static final Content FRAME =
      new Content.Shape(
          Figure.RECTANGLE,
          null,
          new Stroke(Paint.of(Colour.BLACK), Length.pt("2"), List.of(), Stroke.Side.CENTRED));

  private static Length mm(String n) {
    return Length.mm(n);
  }

  private static Piece piece(Content content, Box box) {
    return new Piece(
        "a", "A", Anchors.hung(Region.SHEET, Span.Hold.START, Span.Hold.START, box, WRAP), content);
  }

  private static Design design(Piece piece) {
    return Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withPieces(List.of(piece)));
  }

  private static List<Finding> found(Design design) {
    return PiecesSeen.find(design.outside(), WRAP);
  }

  private static Remedy last(List<Remedy> all) {
    return all.get(all.size() - 1);
  }

  private static Design mended(Design design) {
    return Mending.apply((Remedy.OfDesign) last(found(design).get(0).remedies()), design, WRAP);
  }

  @Test
  public void aHiddenPieceWordsWithoutAnyAndAPieceBesideTheSheetAreToldAndTakenOff() {
    Box box = new Box(FRONT.left().plus(mm("20")), mm("40"), mm("50"), mm("20"));
    Piece hidden =
        new Piece(
            "a",
            "A",
            piece(AREA, box).placement(),
            piece(AREA, box).appearance(),
            AREA,
            false,
            true);
    Piece empty = piece(Words.of(null, "  ", "anton", Length.pt("12"), Colour.BLACK), box);
    Piece off = piece(AREA, new Box(mm("-90"), mm("40"), mm("50"), mm("20")));
    assertThat(found(design(piece(AREA, box)))).isEmpty();
    for (var one :
        List.of(
            List.of(hidden, "piece-hidden"),
            List.of(empty, "words-none"),
            List.of(off, "piece-off-sheet"))) {
      Design design = design((Piece) one.get(0));
      assertThat(found(design)).extracting(Finding::code).containsExactly((String) one.get(1));
      assertThat(mended(design).outside().pieces()).isEmpty();
    }
    Remedy show = found(design(hidden)).get(0).remedies().get(0);
    assertThat(Mending.apply((Remedy.OfDesign) show, design(hidden), WRAP))
        .isEqualTo(design(hidden.hidden(false)));
  }

  /** The sheet of 6 × 9 in drifts by 1/16 in: so far over the fold it is carried. */
  @Test
  public void anEdgeOnAFoldIsCarriedOverItByTheDrift() {
    Length fold = FRONT.left();
    Box box = new Box(fold, mm("-3"), mm("60"), mm("240"));
    Design design = design(piece(AREA, box));
    assertThat(found(design)).extracting(Finding::code).containsExactly("edge-on-fold");
    assertThat(found(design).get(0).sentence(Unit.IN))
        .isEqualTo(
            "An edge of “A” lies on the fold between spine and front; folds drift by up to 0.0625 in, and it would be seen on the wrong side.");
    Design mended = mended(design);
    assertThat(found(mended)).isEmpty();
    Box now = mended.piece("a").orElseThrow().anchors().on(WRAP).orElseThrow();
    assertThat(now.left()).isEqualTo(fold.minus(Length.parse("1/16", Unit.IN)));
    assertThat(now.right()).isEqualTo(box.right());
    // a hair beside it is not on it, and a line has no edge that is seen shifted
    Box beside = new Box(fold.plus(mm("0.5")), mm("-3"), mm("60"), mm("240"));
    assertThat(found(design(piece(AREA, beside)))).isEmpty();
    assertThat(found(design(piece(FRAME, box))).stream().map(Finding::code))
        .doesNotContain("edge-on-fold");
  }

  @Test
  public void aBorderBesideTheTrimIsToldAndMovedInward() {
    Box near =
        Box.between(
            FRONT.left().plus(mm("12")),
            FRONT.top().plus(mm("2")),
            FRONT.right().minus(mm("2")),
            FRONT.bottom().minus(mm("2")));
    Design design = design(piece(FRAME, near));
    assertThat(found(design)).extracting(Finding::code).containsExactly("border-near-trim");
    assertThat(found(design).get(0).sentence(Unit.MM))
        .startsWith("“A” runs 2 mm from the trim of the front; the knife drifts by up to 1.588 mm");
    assertThat(found(mended(design))).isEmpty();
    // one edge alone is no border, and one that is far enough in is even
    Box one = new Box(FRONT.left().plus(mm("20")), FRONT.top().plus(mm("2")), mm("60"), mm("60"));
    assertThat(found(design(piece(FRAME, one)))).isEmpty();
    Box inside =
        Box.between(
            FRONT.left().plus(mm("12")),
            FRONT.top().plus(mm("8")),
            FRONT.right().minus(mm("8")),
            FRONT.bottom().minus(mm("8")));
    assertThat(found(design(piece(FRAME, inside)))).isEmpty();
  }

  /** A border inside the trim is no art that stops short of the bleed; one on the trim is. */
  @Test
  public void aBorderIsNotAskedToReachTheBleedUnlessItLiesOnTheTrim() {
    Box trim = WRAP.trimmed();
    for (String in : List.of("0", "1")) {
      Box box =
          Box.between(
              trim.left().plus(mm(in)),
              trim.top().plus(mm(in)),
              trim.right().minus(mm(in)),
              trim.bottom().minus(mm(in)));
      for (boolean hollow : new boolean[] {true, false}) {
        Laid area = new Laid.Area("a", "A", Outline.of(box), mm("0.5"), hollow);
        assertThat(new BleedReached().find(new Subject(WRAP, BOOK, List.of(area))))
            .hasSize(in.equals("0") || !hollow ? 1 : 0);
      }
    }
  }

  @Test
  public void aLineThinnerThanAQuarterPointIsToldAndDrawnThicker() {
    Outline all = Outline.of(new Box(mm("20"), mm("20"), mm("60"), mm("60")));
    for (String width : List.of("0.1", "0.24", "0.25", "1")) {
      Laid.Area area = new Laid.Area("a", "A", all, Length.pt(width), true);
      List<Finding> found = new LinesThick().find(new Subject(WRAP, BOOK, List.of(area)));
      assertThat(found).hasSize(width.startsWith("0.1") || width.equals("0.24") ? 1 : 0);
      for (Finding f : found) {
        assertThat(f.mustMend()).isTrue();
        Content.Shape thin =
            new Content.Shape(
                Figure.RECTANGLE,
                null,
                new Stroke(
                    Paint.of(Colour.BLACK), Length.pt(width), List.of(), Stroke.Side.CENTRED));
        Design design = design(piece(thin, new Box(mm("20"), mm("20"), mm("60"), mm("60"))));
        Design mended = Mending.apply(f.safeRemedy().orElseThrow(), design, WRAP);
        assertThat(((Content.Shape) mended.piece("a").orElseThrow().content()).stroke().width())
            .isEqualTo(LinesThick.LEAST);
      }
    }
  }

  /**
   * That a ground is locked is meant; that a thing to mend is locked keeps it from being mended.
   */
  @Test
  public void aLockedPieceIsToldWhereARemedyWaitsForItAndUnlocked() {
    Length fold = FRONT.left();
    Piece edge = piece(AREA, new Box(fold, mm("-3"), mm("60"), mm("240")));
    Design open = design(edge);
    Design locked = design(edge.locked(true));
    assertThat(PiecesSeen.locked(open.outside(), found(open))).isEmpty();
    assertThat(PiecesSeen.locked(locked.outside(), List.of())).isEmpty();
    List<Finding> told = PiecesSeen.locked(locked.outside(), found(locked));
    assertThat(told).hasSize(1);
    assertThat(told.get(0).code()).isEqualTo("piece-locked");
    assertThat(told.get(0).sentence(Unit.IN)).contains("“A” is locked").contains("(1 note)");
    Remedy.OfDesign unlock = (Remedy.OfDesign) told.get(0).remedies().get(0);
    Design unlocked = Editing.apply(new Edit.Mend(unlock, ""), locked, WRAP, BOOK);
    assertThat(unlocked).isEqualTo(open);
    // what nothing mends is not kept from it by a lock
    Finding unmended =
        new Finding(
            new OfDrawing.WordsNone("A"),
            Finding.Severity.LOOK,
            java.util.Optional.empty(),
            java.util.Optional.of("a"),
            List.of());
    assertThat(PiecesSeen.locked(locked.outside(), List.of(unmended))).isEmpty();
  }

  private static boolean kindOf(Class<?> found, Class<?> type) {
    return type.isEnum() && type.getEnclosingClass() == found.getEnclosingClass();
  }

  /** Every kind of finding there is, made without figures, for its code. */
  private static void codes(Class<?> kind, Set<String> into) throws Exception {
    if (kind.isRecord()) {
      Class<?>[] types =
          Arrays.stream(kind.getRecordComponents())
              .map(RecordComponent::getType)
              .toArray(Class<?>[]::new);
      Constructor<?> constructor = kind.getDeclaredConstructor(types);
      List<Object> none = new ArrayList<>();
      for (Class<?> t : types) {
        none.add(
            t == int.class
                ? 0
                : t == double.class
                    ? 0.0
                    : t == boolean.class ? false : t == List.class ? List.of() : null);
      }
      // of kinds that an enumeration tells apart, each
      int at =
          IntStream.range(0, types.length)
              .filter(i -> kindOf(kind, types[i]))
              .findFirst()
              .orElse(-1);
      Object[] each = at < 0 ? new Object[] {null} : types[at].getEnumConstants();
      for (Object one : each) {
        if (at >= 0) {
          none.set(at, one);
        }
        into.add(((Found) constructor.newInstance(none.toArray())).code());
      }
      return;
    }
    for (Class<?> c : kind.getPermittedSubclasses()) {
      codes(c, into);
    }
  }

  @Test
  public void everyFindingHasSomethingThatAPersonDoesAboutItAndNoCodeIsOfNone() throws Exception {
    Set<String> all = new HashSet<>();
    codes(Found.class, all);
    assertThat(Act.codes()).isEqualTo(all);
  }
}
