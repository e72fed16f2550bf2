package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Words;
import app.reglet.core.house.Houses;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.Scheme;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.layout.TypePair;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

public class LookTest {
  private static final Wrap ORIGIN = Wraps.sixByNine(320);
  private static final Book FIRST = book("The Salt Ledger");
  private static final Book OTHER = book("Eleven Tides");

  private static Book book(String title) {
    return new Book(title, "", "Maren Aldous", "", "Words.", Optional.empty(), "");
  }

  private static Wrap wrap(String trim) {
    return Measuring.measure(
        Specification.of(
            Binding.PERFECT_BOUND, Size.parse(trim, Unit.IN), 200, "white", "black", PageTurn.LTR),
        Houses.GANNET);
  }

  private static Design origin() {
    Dress dress =
        Dress.of(
            Scheme.of(GenrePalette.HISTORY),
            TypePair.CINZEL,
            new Dress.Shown("ab12", 0x808080, false));
    Design laid = StartingLayout.WINDOW.on(ORIGIN, FIRST, Design.EMPTY, dress);
    return laid.changed(
        PrintedSide.OUTSIDE,
        c -> c.plus(own("own-1", "Second printing")).plus(own("own-2", "{title}, by {author}")));
  }

  private static Piece own(String id, String text) {
    return new Piece(
        id,
        "Own words " + id,
        Anchors.fromTop(Region.safe(PanelKind.FRONT), Length.mm("40"), Length.mm("10")),
        Words.of(null, text, "cinzel", Length.pt("12"), Colour.BLACK));
  }

  private static Look.Worn worn(Wrap wrap, Optional<String> picture) {
    return Look.of(origin(), ORIGIN).on(wrap, OTHER, Design.EMPTY, picture, f -> true);
  }

  @Test
  public void palettesFacesAndOrnamentsComeAlongAndWordsSayTheOtherBook() {
    Look.Worn worn = worn(ORIGIN, Optional.of("cd34"));
    assertThat(worn.design().palette()).containsAllEntriesOf(origin().palette());
    Words title = (Words) worn.design().piece("title").orElseThrow().content();
    assertThat(title.fact()).isEqualTo(Fact.TITLE);
    assertThat(title.type().face()).isEqualTo("cinzel-bold");
    assertThat(title.on(OTHER).text()).isEqualTo("Eleven Tides");
    Words both = (Words) worn.design().piece("own-2").orElseThrow().content();
    assertThat(both.on(OTHER).text()).isEqualTo("Eleven Tides, by Maren Aldous");
    assertThat(worn.design().piece("frame-1")).isPresent();
    assertThat(worn.design().pictures()).containsExactly("cd34");
  }

  /** Another picture has its own focus; how it is treated is of the look. */
  @Test
  public void anotherPictureIsFramedAnewAndTreatedAlike() {
    Treatment gray =
        Treatment.NONE.withToning(
            new Treatment.Toning(Treatment.Toning.Kind.GRAY, Colour.BLACK, Colour.WHITE));
    Content.Picture first = new Content.Picture("ab12", Framing.of(new Focus(0.1, 0.9)), gray);
    Design design =
        Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withGround(c.ground().withPicture(first)));
    Design worn =
        Look.of(design, ORIGIN)
            .on(ORIGIN, OTHER, Design.EMPTY, Optional.of("cd34"), f -> true)
            .design();
    assertThat(worn.outside().ground().picture())
        .contains(Content.Picture.of("cd34").withTreatment(gray));
  }

  /** Words typed for the first book say nothing of another, and its pictures are its own. */
  @Test
  public void whatIsOfTheFirstBookIsLeftOutAndTold() {
    Look.Worn worn = worn(ORIGIN, Optional.empty());
    assertThat(worn.design().piece("own-1")).isEmpty();
    assertThat(worn.design().pictures()).isEmpty();
    assertThat(worn.leftOut()).contains("Own words own-1", "Picture");
    String told = EditSentence.of(new Starting.Wear("Quiet", worn), Design.EMPTY, Unit.MM);
    assertThat(told).startsWith("Look “Quiet”, without ").contains("Own words own-1");
  }

  /** A front three quarters as large has all of it three quarters as large. */
  @Test
  public void aSmallerFrontHasItSmaller() {
    Wrap small = wrap("4.5 x 6.75");
    Design on = worn(small, Optional.of("cd34")).design();
    Words was = (Words) origin().piece("subtitle").orElseThrow().content();
    Words is = (Words) on.piece("subtitle").orElseThrow().content();
    assertThat(is.type().size().toPoints() / was.type().size().toPoints()).isBetween(0.749, 0.751);
    for (Piece p : on.outside().pieces()) {
      assertThat(small.sheetBox().contains(p.anchors().on(small).orElseThrow(), Length.mm("0.1")))
          .as(p.name())
          .isTrue();
    }
  }

  /** An ebook cover has no back and no spine: what hangs there is left out. */
  @Test
  public void whatHangsOnAPartThatIsNotThereIsLeftOut() {
    List<String> gone =
        Look.of(origin(), ORIGIN)
            .on(onlyFront(), OTHER, Design.EMPTY, Optional.of("cd34"), f -> true)
            .leftOut();
    assertThat(gone).contains("Spine title", "Blurb");
  }

  private static Wrap onlyFront() {
    Wrap w = ORIGIN;
    return new Wrap(
        w.page(),
        w.place(),
        w.house(),
        w.rules(),
        w.spec(),
        w.spine(),
        w.sheet(),
        w.stated(),
        w.trimmed(),
        w.margin(),
        w.turnIn(),
        w.panels().stream().filter(p -> p.kind() == PanelKind.FRONT).toList(),
        w.folds(),
        w.zones(),
        w.dimensions(),
        w.width(),
        w.height());
  }

  /** A face that somebody took away. */
  @Test
  public void wordsInAFaceThatIsNotHereAreSetInOneThatIs() {
    Look.Worn worn =
        Look.of(origin(), ORIGIN)
            .on(ORIGIN, OTHER, Design.EMPTY, Optional.empty(), f -> !f.startsWith("cinzel"));
    Words title = (Words) worn.design().piece("title").orElseThrow().content();
    assertThat(title.type().face()).isEqualTo(TypePair.SPECTRAL.text());
    assertThat(
            worn.design()
                .outside()
                .all()
                .map(Piece::content)
                .filter(Content.Picture.class::isInstance))
        .isEmpty();
  }

  /**
   * What is on the inside keeps its names; a piece of the look that has one of them gets another.
   */
  @Test
  public void namesOnTheInsideAreNotTakenTwice() {
    Design before = Design.EMPTY.changed(PrintedSide.INSIDE, c -> c.plus(own("frame-1", "Inside")));
    Design worn =
        Look.of(origin(), ORIGIN).on(ORIGIN, OTHER, before, Optional.empty(), f -> true).design();
    assertThat(worn.inside().pieces()).extracting(Piece::id).containsExactly("frame-1");
    assertThat(worn.outside().pieces()).extracting(Piece::name).contains("Frame");
    Design laid = StartingLayout.WINDOW.on(ORIGIN, OTHER, before, Dress.OWN);
    assertThat(laid.inside()).isEqualTo(before.inside());
    assertThat(laid.outside().pieces()).extracting(Piece::name).contains("Frame");
  }
}
