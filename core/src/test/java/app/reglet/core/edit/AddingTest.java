package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Point;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is put on a cover arrives whole, where it was put, and set as its kind is set there. */
public class AddingTest {
  private static final Book BOOK =
      new Book("Nine Herons", "", "Ida Brook", "", "One.\nTwo.", Optional.empty(), "");
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final Box FRONT = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
  private static final Box SAFE = WRAP.panel(PanelKind.FRONT).orElseThrow().safe();

  private static Design apply(Design design, Edit edit) {
    return Editing.apply(edit, design, WRAP, BOOK, Unit.IN);
  }

  private static Piece last(Design design) {
    List<Piece> all = design.outside().pieces();
    return all.get(all.size() - 1);
  }

  private static Box box(Piece piece) {
    return piece.anchors().on(WRAP).orElseThrow();
  }

  @DataProvider
  Object[][] proportions() {
    return new Object[][] {{0.2}, {0.66}, {1.0}, {1.5}, {8.0}};
  }

  @Test(dataProvider = "proportions")
  public void aPictureArrivesWholeAndInTheMiddleOfTheTrimmedPanel(double proportion) {
    Box b =
        box(
            last(
                apply(
                    Design.EMPTY,
                    new Addition.AddPicture(
                        PanelKind.FRONT, "ab12", "sea", proportion, Optional.empty()))));
    assertThat(b.width().toMm() / b.height().toMm())
        .isCloseTo(proportion, org.assertj.core.data.Percentage.withPercentage(0.1));
    assertThat(b.centreX().minus(FRONT.centreX()).abs().toMm()).isLessThan(0.001);
    assertThat(b.centreY().minus(FRONT.centreY()).abs().toMm()).isLessThan(0.001);
    assertThat(SAFE.contains(b)).isTrue();
  }

  @Test
  public void whatIsLetGoSomewhereStandsRoundThatPoint() {
    Point at = new Point(FRONT.left().plus(Length.mm("20")), FRONT.top().plus(Length.mm("30")));
    for (Edit e :
        List.of(
            new Addition.AddPicture(PanelKind.FRONT, "ab12", "sea", 1.5, Optional.of(at)),
            new Addition.AddOrnament(
                PanelKind.FRONT, "anchor", "Anchor", 1.5, List.of(), Optional.of(at)))) {
      Box b = box(last(apply(Design.EMPTY, e)));
      assertThat(b.centreX().minus(at.x()).abs().toMm()).isLessThan(0.001);
      assertThat(b.centreY().minus(at.y()).abs().toMm()).isLessThan(0.001);
    }
  }

  @Test
  public void onePressFillsThePanelToTheBleedAndOnAnyOtherCountToo() {
    Design put =
        apply(
            Design.EMPTY,
            new Addition.AddPicture(PanelKind.BACK, "ab12", "sea", 1.5, Optional.empty()));
    Design turned = apply(put, new Edit.Turn(last(put).id(), 30));
    Piece filled = last(apply(turned, new Edit.Fill(last(put).id())));
    assertThat(filled.placement().angle()).isZero();
    for (int pages : new int[] {320, 100, 600}) {
      Wrap wrap = Wraps.sixByNine(pages);
      assertThat(filled.anchors().on(wrap))
          .contains(wrap.panel(PanelKind.BACK).orElseThrow().art());
    }
  }

  @DataProvider
  Object[][] framings() {
    Object[][] all = new Object[8][];
    for (int i = 0; i < 8; i++) {
      all[i] = new Object[] {i / 2, i % 2 == 1};
    }
    return all;
  }

  /** To the right is to the right, however the picture is turned and mirrored. */
  @Test(dataProvider = "framings")
  public void theFocusIsMovedAsThePictureIsSeen(int quarters, boolean mirrored) {
    Framing framed = new Framing(Focus.MIDDLE, 2, Framing.Fit.COVER, quarters, mirrored);
    Design put =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c ->
                c.plus(
                    new Piece(
                        "p",
                        "P",
                        Anchors.filling(Region.trim(PanelKind.FRONT)),
                        Content.Picture.of("ab12").withFraming(framed))));
    Map<String, String> fields = new HashMap<>();
    fields.put("edit", "set");
    fields.put("piece", "p");
    fields.put("focusX", "0.9");
    Design across = apply(put, EditReader.read(fields, Unit.MM, put, List.of(), f -> true));
    Framing now = ((Content.Picture) across.piece("p").orElseThrow().content()).framing();
    assertThat(now.seenFocus().x()).isCloseTo(0.9, org.assertj.core.data.Offset.offset(1e-9));
    assertThat(now.seenFocus().y()).isEqualTo(0.5);
    // the corner of the file that is seen at the top right, turned clockwise and then mirrored
    double[][] corners = {{0, 0}, {0, 1}, {1, 1}, {1, 0}};
    double[][] otherwise = {{1, 0}, {0, 0}, {0, 1}, {1, 1}};
    double[] file = mirrored ? corners[quarters] : otherwise[quarters];
    assertThat(now.withSeenFocus(new Focus(1, 0)).focus()).isEqualTo(new Focus(file[0], file[1]));
  }

  private static Design with(Words... words) {
    Design d = Design.EMPTY;
    for (Words w : words) {
      Design before = d;
      d =
          d.changed(
              PrintedSide.OUTSIDE,
              c ->
                  c.plus(
                      new Piece(
                          "w" + before.outside().pieces().size(),
                          "W",
                          Anchors.fromTop(
                              Region.safe(PanelKind.FRONT),
                              Length.mm("10")
                                  .plus(Length.mm("50").times(before.outside().pieces().size())),
                              Length.mm("40")),
                          w)));
    }
    return d;
  }

  private static Words words(Fact fact, String face, String size) {
    return Words.of(fact, "Own", face, Length.pt(size), Colour.BLACK);
  }

  @Test
  public void newWordsAreSetAsTheirKindIsAndABlurbFollowsNoTitle() {
    Design script = with(words(Fact.TITLE, "script-face", "60"));
    Words blurb =
        (Words) last(apply(script, new Addition.AddWords(PanelKind.BACK, Fact.BLURB))).content();
    assertThat(blurb.type().face()).isEqualTo("spectral");
    Words spine =
        (Words) last(apply(script, new Addition.AddWords(PanelKind.SPINE, Fact.TITLE))).content();
    assertThat(spine.type().face()).isEqualTo("script-face");
    assertThat(spine.setting().vertical()).isEqualTo(Setting.VerticalAlign.CAPITALS);
    Design prose =
        with(words(Fact.TITLE, "script-face", "60"), words(Fact.QUOTE, "prose-face", "9"));
    Words about =
        (Words) last(apply(prose, new Addition.AddWords(PanelKind.BACK, Fact.BLURB))).content();
    assertThat(about.type().face()).isEqualTo("prose-face");
    assertThat(about.type().size()).isEqualTo(Length.pt("9"));
  }

  @Test
  public void newWordsLandWhereThereIsRoom() {
    Design d = with(words(Fact.TITLE, "a", "30"), words(Fact.AUTHOR, "a", "20"));
    for (Fact f : new Fact[] {Fact.SUBTITLE, Fact.BLURB}) {
      Design more = apply(d, new Addition.AddWords(PanelKind.FRONT, f));
      Box there = box(last(more));
      assertThat(SAFE.contains(there, Length.mm("0.01"))).as(f.id()).isTrue();
      for (Piece p : d.outside().pieces()) {
        assertThat(box(p).overlaps(there)).as(f.id() + " over " + p.id()).isFalse();
      }
    }
  }

  @Test
  public void whatIsTooSmallIsRefusedInTheUnitOfThePage() {
    Design d = with(words(Fact.TITLE, "a", "30"));
    assertThatThrownBy(
            () ->
                apply(
                    d,
                    new Edit.Place(
                        "w0",
                        Region.SHEET,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Length.mm("0.5")),
                        Optional.empty())))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("0.0394 in")
        .hasMessageNotContaining("mm");
  }
}
