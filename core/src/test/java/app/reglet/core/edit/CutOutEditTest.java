package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class CutOutEditTest {
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final Book BOOK =
      new Book("The Salt Ledger", "", "Maren Aldous", "", "", Optional.empty(), "");
  private static final CutOut.Contour SQUARE =
      new CutOut.Contour(
          List.of(
              new Figure.Free.Corner(0.1, 0.2),
              new Figure.Free.Corner(0.9, 0.2),
              new Figure.Free.Corner(0.9, 0.8)));
  private static final CutOut CUT = new CutOut(List.of(SQUARE), Length.mm("0.5"));

  /** A bench where every picture is there and every proposal is one triangle. */
  private static final Stock STOCK =
      new Stock() {
        @Override
        public boolean hasFace(String id) {
          return true;
        }

        @Override
        public boolean hasPicture(String sha) {
          return true;
        }

        @Override
        public List<CutOut.Contour> proposed(String sha, CutMarks marks) {
          return List.of(SQUARE);
        }
      };

  private static Design with(Content.Picture picture) {
    Piece piece =
        new Piece(
            "picture-1",
            "Wader",
            Anchors.fromTop(Region.safe(PanelKind.FRONT), Length.mm("10"), Length.mm("60")),
            picture);
    return Design.EMPTY.changed(
        PrintedSide.OUTSIDE,
        c ->
            c.plus(
                piece.withAppearance(
                    Appearance.PLAIN.withMask(
                        new Appearance.Mask(new Figure.Ellipse(), Length.ZERO)))));
  }

  private static Design apply(Design design, Map<String, String> fields) {
    Edit edit = EditReader.read(fields, Unit.MM, design, List.of(), STOCK);
    return Editing.apply(edit, design, WRAP, BOOK);
  }

  private static Content.Picture picture(Design design, String id) {
    return (Content.Picture) design.piece(id).orElseThrow().content();
  }

  @Test
  public void aProposalIsKeptWithThePictureSoftenedAndTakenBack() {
    Design plain = with(Content.Picture.of("ab12"));
    Design cut =
        apply(
            plain,
            Map.of("edit", "set", "piece", "picture-1", "cutOut", "proposed", "cutSoft", "0.5 mm"));
    assertThat(picture(cut, "picture-1").cutOut()).contains(CUT);
    assertThat(DesignDocument.read(DesignDocument.write(cut))).isEqualTo(cut);
    Design softer = apply(cut, Map.of("edit", "set", "piece", "picture-1", "cutSoft", "2"));
    assertThat(picture(softer, "picture-1").cutOut()).contains(CUT.withSoft(Length.mm("2")));
    Design brighter = apply(cut, Map.of("edit", "set", "piece", "picture-1", "brightness", "20"));
    assertThat(picture(brighter, "picture-1").cutOut()).contains(CUT);
    Design whole = apply(cut, Map.of("edit", "set", "piece", "picture-1", "cutOut", "off"));
    assertThat(whole).isEqualTo(plain);
  }

  /** Another picture has another subject. */
  @Test
  public void theCutGoesWithItsPicture() {
    Design cut = with(Content.Picture.of("ab12").withCutOut(CUT));
    Design other = apply(cut, Map.of("edit", "set", "piece", "picture-1", "picture", "cd34"));
    assertThat(picture(other, "picture-1").cutOut()).isEmpty();
  }

  /** The subject is in front, out of the form that cuts the whole; the whole stays behind. */
  @Test
  public void aSubjectIsSetApartFromAPiece() {
    Design apart =
        apply(
            with(Content.Picture.of("ab12").withCutOut(CUT)),
            Map.of("edit", "add", "what", "subject", "piece", "picture-1"));
    List<Piece> pieces = apart.outside().pieces();
    assertThat(pieces).hasSize(2);
    assertThat(picture(apart, "picture-1").cutOut()).isEmpty();
    Piece subject = pieces.get(1);
    assertThat(((Content.Picture) subject.content()).cutOut()).contains(CUT);
    assertThat(subject.anchors()).isEqualTo(pieces.get(0).anchors());
    assertThat(subject.appearance().mask()).isEmpty();
    assertThat(pieces.get(0).appearance().mask()).isPresent();
  }

  @Test
  public void aSubjectIsSetApartFromTheGroundWhereItLies() {
    Content.Picture cut = Content.Picture.of("ab12").withCutOut(CUT);
    Design ground =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c ->
                c.withGround(
                    Ground.plain(new app.reglet.core.design.Colour.Rgb(0xb5482a))
                        .withPicture(cut)));
    Design apart = apply(ground, Map.of("edit", "add", "what", "subject", "piece", ""));
    assertThat(apart.outside().ground().picture()).contains(Content.Picture.of("ab12"));
    Piece subject = apart.outside().pieces().get(0);
    assertThat(subject.content()).isEqualTo(cut);
    assertThat(subject.anchors()).isEqualTo(Anchors.filling(Region.SHEET));
  }

  /** A ground's picture may lie on the front alone, or be that of one part. */
  @Test
  public void aSubjectOfAPartStandsOnThatPart() {
    Content.Picture cut = Content.Picture.of("ab12").withCutOut(CUT);
    Ground front = Ground.plain(Colour.BLACK).withPicture(cut).withExtent(Ground.Extent.FRONT);
    Anchors bled = Anchors.filling(new Region(Region.Bounds.BLEED, PanelKind.FRONT));
    Design whole = Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withGround(front));
    Design apart = apply(whole, Map.of("edit", "add", "what", "subject", "piece", ""));
    assertThat(apart.outside().pieces().get(0).anchors()).isEqualTo(bled);
    Design part =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c ->
                c.withGround(
                    Optional.of(PanelKind.BACK), Ground.plain(Colour.BLACK).withPicture(cut)));
    Design ofBack =
        apply(part, Map.of("edit", "add", "what", "subject", "piece", "", "part", "back"));
    assertThat(ofBack.outside().pieces().get(0).anchors())
        .isEqualTo(Anchors.filling(new Region(Region.Bounds.BLEED, PanelKind.BACK)));
    assertThat(ofBack.outside().ground(Optional.of(PanelKind.BACK)).orElseThrow().picture())
        .contains(Content.Picture.of("ab12"));
  }

  @Test
  public void nothingIsSetApartWhereNothingIsCutOut() {
    assertThatThrownBy(
            () ->
                apply(
                    with(Content.Picture.of("ab12")),
                    Map.of("edit", "add", "what", "subject", "piece", "picture-1")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Nothing of this picture is cut out");
  }

  @DataProvider
  Object[][] bad() {
    return new Object[][] {
      {"+"}, {"+ 0.1"}, {"* 0.1 0,0"}, {"+ 9 0,0"}, {"+ 0.1 0;0"}, {"+ x 0,0"}, {"- 0.1 a,b"}
    };
  }

  @Test(dataProvider = "bad")
  public void marksThatCantBeReadAreRefused(String marks) {
    assertThatThrownBy(() -> CutMarks.parse(marks))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("can't be read");
  }

  @Test
  public void marksAreReadInTheirOrder() {
    CutMarks marks = CutMarks.parse("+ 0.02 0.1,0.2 0.3,0.4; - 0 0,0 1,0 1,1;");
    assertThat(marks.marks()).hasSize(2);
    assertThat(marks.marks().get(0).stays()).isTrue();
    assertThat(marks.marks().get(1))
        .isEqualTo(
            new CutMarks.Mark(
                false,
                0,
                List.of(
                    new Figure.Free.Corner(0, 0),
                    new Figure.Free.Corner(1, 0),
                    new Figure.Free.Corner(1, 1))));
  }

  @Test
  public void anOutlineOfNothingIsRefused() {
    assertThatThrownBy(() -> new CutOut(List.of(), Length.ZERO))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("nothing of the picture");
  }
}
