package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.Isbn;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Scope;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;

public class EditingTest {
  private static final Book BOOK =
      new Book(
          "The Salt Ledger",
          "A novel",
          "Maren Aldous",
          "",
          "Words.",
          Optional.of(Isbn.parse("9780306406157")),
          "");
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final Design LEDGER = StartingLayout.LEDGER.on(WRAP, BOOK, Design.EMPTY);

  private static Design apply(Design design, Edit edit) {
    return Editing.apply(edit, design, WRAP, BOOK);
  }

  private static Box box(Design design, String id) {
    return design.piece(id).orElseThrow().anchors().on(WRAP).orElseThrow();
  }

  private static Edit read(Design design, String... fields) {
    Map<String, String> map = new java.util.LinkedHashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      map.put(fields[i], fields[i + 1]);
    }
    return EditReader.read(map, Unit.MM, design, List.of(), f -> f.startsWith("spectral"));
  }

  @Test
  public void aThousandMovesThereAndBackEndExactlyWhereTheyBegan() {
    Design d = LEDGER;
    for (int i = 0; i < 500; i++) {
      d = apply(d, new Edit.Move(List.of("title"), Length.mm("0.0333"), Length.mm("-0.0071")));
    }
    for (int i = 0; i < 500; i++) {
      d = apply(d, new Edit.Move(List.of("title"), Length.mm("-0.0333"), Length.mm("0.0071")));
    }
    assertThat(d).isEqualTo(LEDGER);
  }

  @Test
  public void aBandDraggedStraightDownStaysOnBothBleedEdges() {
    Design d = apply(LEDGER, new Addition.AddBand(PanelKind.FRONT));
    Box art = WRAP.panel(PanelKind.FRONT).orElseThrow().art();
    for (int i = 1; i <= 151; i++) {
      d = apply(d, new Edit.Move(List.of("band-1"), Length.ZERO, Length.nearMm(0.2345678)));
      assertThat(box(d, "band-1").left()).isEqualTo(art.left());
      assertThat(box(d, "band-1").right()).isEqualTo(art.right());
    }
  }

  @Test
  public void aTypedFigureIsKeptAsTypedAndTheOthersAsExactAsTheyWere() {
    Box before = box(LEDGER, "title");
    Design d =
        apply(
            LEDGER,
            read(LEDGER, "edit", "place", "piece", "title", "from", "front.trim", "top", "1/3 in"));
    Box trim = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
    assertThat(box(d, "title").top().minus(trim.top())).isEqualTo(Length.parse("1/3 in", Unit.MM));
    assertThat(box(d, "title").left()).isEqualTo(before.left());
    assertThat(box(d, "title").size()).isEqualTo(before.size());
  }

  @Test
  public void whatIsMovedOntoAnotherPanelHangsThere() {
    Length over = Length.in("-6.8");
    Design d = apply(LEDGER, new Edit.Move(List.of("title"), over, Length.ZERO));
    Piece title = d.piece("title").orElseThrow();
    assertThat(title.anchors().across().region().panel()).isEqualTo(PanelKind.BACK);
    assertThat(box(d, "title")).isEqualTo(box(LEDGER, "title").moved(over, Length.ZERO));
  }

  @Test
  public void hungOnAnotherPanelAPieceGoesThere() {
    Design d =
        apply(
            LEDGER,
            new Edit.Hang("title", Region.safe(PanelKind.BACK), Span.Hold.START, Span.Hold.START));
    assertThat(WRAP.panelUnder(box(d, "title")).orElseThrow().kind()).isEqualTo(PanelKind.BACK);
    assertThat(box(d, "title").top()).isEqualTo(box(LEDGER, "title").top());
    // other lines of the same panel leave it where it is
    Design same =
        apply(
            LEDGER,
            new Edit.Hang("title", Region.trim(PanelKind.FRONT), Span.Hold.END, Span.Hold.END));
    assertThat(box(same, "title")).isEqualTo(box(LEDGER, "title"));
  }

  @Test
  public void wordsAddedStandInTheMiddleOfTheTrimmedFrontAndNeverExactlyOnEachOther() {
    Design d = Design.EMPTY;
    for (int i = 0; i < 3; i++) {
      d = apply(d, new Addition.AddWords(PanelKind.FRONT, Fact.TITLE));
    }
    Length middle = WRAP.panel(PanelKind.FRONT).orElseThrow().trim().centreX();
    List<Box> boxes =
        d.outside().pieces().stream().map(p -> p.anchors().on(WRAP).orElseThrow()).toList();
    assertThat(boxes).doesNotHaveDuplicates();
    for (Box b : boxes) {
      assertThat(b.centreX().minus(middle).abs().quanta()).isLessThanOrEqualTo(1);
      assertThat(WRAP.panel(PanelKind.FRONT).orElseThrow().safe().contains(b)).isTrue();
    }
  }

  @Test
  public void aLockedPieceIsLeftAloneUntilItIsUnlocked() {
    Design locked = apply(LEDGER, new Edit.Lock("title", true));
    assertThatThrownBy(
            () -> apply(locked, new Edit.Move(List.of("title"), Length.mm("1"), Length.ZERO)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("locked");
    assertThatThrownBy(() -> apply(locked, new Edit.Remove(List.of("author", "title"))))
        .isInstanceOf(Refusal.class);
    assertThat(apply(locked, new Edit.Lock("title", false))).isEqualTo(LEDGER);
  }

  @Test
  public void whatIsImpossibleIsRefusedAndSaysTheFigure() {
    assertThatThrownBy(
            () -> apply(LEDGER, new Edit.Move(List.of("title"), Length.mm("5000"), Length.ZERO)))
        .hasMessageContaining("off the sheet");
    assertThatThrownBy(
            () ->
                apply(
                    LEDGER,
                    new Edit.Resize(
                        "title", Length.ZERO, Length.ZERO, Length.mm("-4000"), Length.ZERO)))
        .hasMessageContaining("inside out");
    assertThatThrownBy(
            () -> apply(LEDGER, new Edit.Move(List.of("gone"), Length.ZERO, Length.ZERO)))
        .hasMessageContaining("taken off");
    assertThatThrownBy(() -> read(LEDGER, "edit", "turn", "piece", "title", "angle", "steep"))
        .hasMessageContaining("“steep” is no angle");
    assertThatThrownBy(() -> read(LEDGER, "edit", "set", "piece", "title", "face", "nonsense"))
        .hasMessageContaining("no typeface “nonsense”");
    assertThatThrownBy(
            () -> apply(LEDGER, read(LEDGER, "edit", "set", "piece", "title", "size", "2 pt")))
        .hasMessageContaining("from 3 to 800 pt");
    assertThatThrownBy(() -> read(LEDGER, "edit", "fly", "piece", "title"))
        .hasMessageContaining("no change of a cover");
    assertThatThrownBy(() -> read(LEDGER, "edit", "move", "piece", "title"))
        .hasMessageContaining("lacks its “right”");
  }

  @Test
  public void onlyTheFieldThatIsSentChanges() {
    Words before = (Words) LEDGER.piece("title").orElseThrow().content();
    Design d =
        apply(LEDGER, read(LEDGER, "edit", "set", "piece", "title", "colour", "C0 M100 Y100 K0"));
    assertThat(d.piece("title").orElseThrow().content())
        .isEqualTo(before.withPaint(Paint.of(new Colour.Cmyk(0, 100, 100, 0))));
  }

  private static Design grouped() {
    return apply(LEDGER, new Edit.Group(List.of("title", "subtitle")));
  }

  @Test
  public void aGroupTakesItsPiecesAndGivesThemBackWhereTheyWere() {
    Design g = grouped();
    Piece group =
        g.outside().pieces().stream()
            .filter(p -> p.id().equals("group-1"))
            .findFirst()
            .orElseThrow();
    assertThat(((Content.Group) group.content()).pieces())
        .extracting(Piece::id)
        .containsExactly("title", "subtitle");
    Scope scope = Scope.of(WRAP).inside(group, (Content.Group) group.content(), box(g, "group-1"));
    for (String id : new String[] {"title", "subtitle"}) {
      assertThat(scope.place(g.piece(id).orElseThrow())).contains(box(LEDGER, id));
    }
    Design again = apply(g, new Edit.Ungroup("group-1"));
    assertThat(box(again, "title")).isEqualTo(box(LEDGER, "title"));
    assertThat(box(again, "subtitle")).isEqualTo(box(LEDGER, "subtitle"));
    assertThatThrownBy(() -> apply(LEDGER, new Edit.Group(List.of("title"))))
        .hasMessageContaining("two pieces or more");
  }

  @Test
  public void aGroupMadeHalfAsWideAndHighHasPiecesHalfAsLarge() {
    Design g = grouped();
    Box b = box(g, "group-1");
    Design half =
        apply(
            g,
            new Edit.Resize(
                "group-1",
                Length.ZERO,
                Length.ZERO,
                b.width().half().negate(),
                b.height().half().negate()));
    Piece group = half.piece("group-1").orElseThrow();
    Content.Group content = (Content.Group) group.content();
    Scope scope = Scope.of(WRAP).inside(group, content, box(half, "group-1"));
    Box title = scope.place(content.pieces().get(0)).orElseThrow();
    Box was = box(LEDGER, "title");
    assertThat(title.width().toMm()).isCloseTo(was.width().toMm() / 2, within());
    assertThat(title.height().toMm()).isCloseTo(was.height().toMm() / 2, within());
    assertThat(scope.scale()).isCloseTo(0.5, within());
  }

  @Test
  public void aTurnedGroupLeavesItsPiecesTurnedWhereTheyWere() {
    Design turned = apply(grouped(), new Edit.Turn("group-1", 90));
    Box g = box(turned, "group-1");
    Design loose = apply(turned, new Edit.Ungroup("group-1"));
    Piece title = loose.piece("title").orElseThrow();
    assertThat(title.placement().angle()).isEqualTo(90);
    // a quarter clockwise: what lay above the middle lies right of it
    Box was = box(LEDGER, "title");
    Box now = box(loose, "title");
    assertThat(now.centreX().toMm() - g.centreX().toMm())
        .isCloseTo(g.centreY().toMm() - was.centreY().toMm(), within());
    assertThat(now.size()).isEqualTo(was.size());
  }

  @Test
  public void aPieceInATurnedGroupMovesTheWayItIsDraggedOnTheSheet() {
    Design turned = apply(grouped(), new Edit.Turn("group-1", 90));
    Design moved = apply(turned, new Edit.Move(List.of("title"), Length.mm("3"), Length.ZERO));
    // in the group, right on the sheet is up
    Anchors before = turned.piece("title").orElseThrow().anchors();
    Anchors after = moved.piece("title").orElseThrow().anchors();
    assertThat(after).isEqualTo(before.movedBy(Length.ZERO, Length.mm("-3")));
  }

  @Test
  public void aSwatchTakenOutOfThePaletteStandsDirectlyWhereItWasUsed() {
    Colour.Cmyk ink = new Colour.Cmyk(60, 40, 40, 100);
    Design d = apply(LEDGER, new Edit.SetSwatch("Ink", ink));
    d = apply(d, read(d, "edit", "set", "piece", "title", "colour", "swatch(Ink)"));
    d = apply(d, read(d, "edit", "ground", "colour", "swatch(Ink)"));
    Design lighter = apply(d, new Edit.SetSwatch("Ink", new Colour.Gray(20)));
    assertThat(lighter.solid(new Colour.Swatch("Ink"))).isEqualTo(new Colour.Gray(20));
    Design without = apply(d, new Edit.RemoveSwatch("Ink"));
    assertThat(without.palette()).isEmpty();
    assertThat(((Words) without.piece("title").orElseThrow().content()).paint())
        .isEqualTo(Paint.of(ink));
    assertThat(without.outside().ground().paint()).isEqualTo(Paint.of(ink));
  }

  @Test
  public void orderAndHidingAndMirroring() {
    Design d = apply(LEDGER, new Edit.Reorder("title", 2));
    assertThat(d.outside().pieces().indexOf(d.piece("title").orElseThrow())).isEqualTo(2);
    assertThat(apply(d, new Edit.Reorder("title", -50)).outside().pieces().get(0).id())
        .isEqualTo("title");
    d = apply(LEDGER, new Edit.Flip("title", true));
    assertThat(d.piece("title").orElseThrow().placement().flip()).isEqualTo(Placement.Flip.ACROSS);
    assertThat(apply(d, new Edit.Flip("title", true))).isEqualTo(LEDGER);
    assertThat(apply(LEDGER, new Edit.Hide("title", true)).piece("title").orElseThrow().hidden())
        .isTrue();
    assertThat(LEDGER.isEmpty(PrintedSide.INSIDE)).isTrue();
  }

  @Test
  public void aCoverInPixelsScaledThereAndBackIsTheSameAndItsTypeGoesWithIt() {
    Size small = Size.parse("1000 x 1600 px", Unit.PX);
    Size large = Size.parse("1600 x 2560 px", Unit.PX);
    Design twice = Scaling.of(LEDGER, small, large);
    Words before = (Words) LEDGER.piece("title").orElseThrow().content();
    Words after = (Words) twice.piece("title").orElseThrow().content();
    assertThat(after.type().size().toMm()).isCloseTo(before.type().size().toMm() * 1.6, within());
    assertThat(Scaling.of(twice, large, small)).isEqualTo(LEDGER);
    // what is in a group goes with the group's box, once
    Design group = Scaling.of(grouped(), small, large);
    assertThat(group.piece("group-1").orElseThrow().content())
        .isEqualTo(grouped().piece("group-1").orElseThrow().content());
    assertThat(box(group, "group-1").width().toMm())
        .isCloseTo(box(grouped(), "group-1").width().toMm() * 1.6, within());
    // by the lesser ratio where the form changes
    Design wide = Scaling.of(LEDGER, small, Size.parse("3000 x 1600 px", Unit.PX));
    assertThat(wide).isEqualTo(LEDGER);
  }

  @Test
  public void aPieceInAGroupInAGroupIsTakenOff() {
    Design inner = grouped();
    Design outer = apply(inner, new Edit.Group(List.of("group-1", "author")));
    Design left = apply(outer, new Edit.Remove(List.of("subtitle")));
    assertThat(left.piece("subtitle")).isEmpty();
    assertThat(left.piece("title")).isPresent();
    Design empty = apply(left, new Edit.Remove(List.of("title", "author")));
    assertThat(empty.outside().all().map(Piece::id)).noneMatch(id -> id.startsWith("group"));
  }

  @Test
  public void aTurnedPieceMadeLargerKeepsTheCornerThatIsNotPulled() {
    for (double angle : new double[] {30, 90, -135}) {
      Design turned = apply(LEDGER, new Edit.Turn("title", angle));
      Design larger =
          apply(
              turned,
              new Edit.Resize(
                  "title", Length.ZERO, Length.ZERO, Length.mm("-20"), Length.mm("-9")));
      double[] before = topLeft(turned, "title");
      double[] after = topLeft(larger, "title");
      assertThat(after[0]).as(angle + "°, x").isCloseTo(before[0], within());
      assertThat(after[1]).as(angle + "°, y").isCloseTo(before[1], within());
      assertThat(box(larger, "title").width())
          .isEqualTo(box(turned, "title").width().minus(Length.mm("20")));
    }
  }

  /** The corner of a turned piece on the sheet, by plain trigonometry. */
  private static double[] topLeft(Design design, String id) {
    Box b = box(design, id);
    double a = Math.toRadians(design.piece(id).orElseThrow().placement().angle());
    double dx = b.left().toMm() - b.centreX().toMm();
    double dy = b.top().toMm() - b.centreY().toMm();
    return new double[] {
      b.centreX().toMm() + dx * Math.cos(a) - dy * Math.sin(a),
      b.centreY().toMm() + dx * Math.sin(a) + dy * Math.cos(a)
    };
  }

  @Test
  public void aRemedyOfWordsInAGroupMovesTheGroupAndLosesNothing() {
    Design out = apply(grouped(), new Edit.Move(List.of("group-1"), Length.ZERO, Length.mm("-14")));
    Design mended = apply(out, new Edit.Mend(new Remedy.IntoSafe("title"), "Move"));
    Box safe = WRAP.panel(PanelKind.FRONT).orElseThrow().safe();
    assertThat(safe.contains(box(mended, "group-1"))).isTrue();
    Content.Group group = (Content.Group) mended.piece("group-1").orElseThrow().content();
    assertThat(group.pieces())
        .hasSize(2)
        .allMatch(p -> p.anchors().across().region().equals(Region.GROUP));
  }

  @Test
  public void aLockHoldsForRemediesAndForWhatIsInALockedGroup() {
    Design locked = apply(LEDGER, new Edit.Lock("title", true));
    assertThatThrownBy(
            () -> apply(locked, new Edit.Mend(new Remedy.TakeOff("title", "Title"), "Take off")))
        .hasMessageContaining("“Title” is locked");
    Design group = apply(grouped(), new Edit.Lock("group-1", true));
    assertThatThrownBy(
            () -> apply(group, new Edit.Move(List.of("title"), Length.mm("1"), Length.ZERO)))
        .hasMessageContaining("“Group 1” is locked");
  }

  @Test
  public void aBarcodeIsNeverMirrored() {
    assertThatThrownBy(() -> apply(LEDGER, new Edit.Flip("barcode-1", true)))
        .hasMessageContaining("no scanner");
    Design group = apply(LEDGER, new Edit.Group(List.of("blurb", "barcode-1")));
    assertThatThrownBy(() -> apply(group, new Edit.Flip("group-1", false)))
        .hasMessageContaining("no scanner");
  }

  @Test
  public void aSentenceTellsWhatWasDone() {
    assertThat(
            EditSentence.of(
                new Edit.Move(List.of("title"), Length.mm("0.5"), Length.mm("-5")),
                LEDGER,
                Unit.MM))
        .isEqualTo("Title moved 0.5 mm right, 5 mm up");
    assertThat(EditSentence.of(new Edit.Turn("title", -12.5), LEDGER, Unit.MM))
        .isEqualTo("Title turned to −12.5°");
    assertThat(
            EditSentence.of(
                read(LEDGER, "edit", "set", "piece", "title", "size", "40"), LEDGER, Unit.MM))
        .isEqualTo("Title at 40 pt");
    assertThat(EditSentence.of(new Edit.Remove(List.of("title", "author")), LEDGER, Unit.MM))
        .isEqualTo("Title, Author taken off");
  }

  private static org.assertj.core.data.Offset<Double> within() {
    return org.assertj.core.data.Offset.offset(1e-6);
  }
}
