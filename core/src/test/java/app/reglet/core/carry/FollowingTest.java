package app.reglet.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.testng.annotations.Test;

/** What an origin changed, what a cover changed by itself, and what is taken of the first. */
public class FollowingTest {
  private static final Piece TITLE =
      new Piece(
          "title",
          "Title",
          Anchors.fromTop(Region.safe(PanelKind.FRONT), Length.mm("20"), Length.mm("40")),
          Words.of(Fact.TITLE, "", "spectral", Length.pt("40"), new Colour.Swatch("Ink")));
  private static final Piece BAND =
      new Piece(
          "band-1",
          "Band",
          Anchors.filling(Region.SHEET),
          Content.Shape.band(new Colour.Rgb(0x336688)));
  private static final Design BASE =
      new Design(
          Map.of("Ink", new Colour.Rgb(0x102030)),
          new Composition(Ground.plain(Colour.WHITE), List.of(BAND, TITLE)),
          Composition.BLANK);

  private static Design changed(Design design, String id, UnaryOperator<Piece> how) {
    return design.changed(id, how);
  }

  private static Design sized(Design design, String points) {
    return changed(
        design, "title", p -> p.withContent(((Words) p.content()).withSize(Length.pt(points))));
  }

  private static Design coloured(Design design, int rgb) {
    return changed(
        design,
        "title",
        p -> p.withContent(((Words) p.content()).withPaint(Paint.of(new Colour.Rgb(rgb)))));
  }

  private static Design moved(Design design, String mm) {
    return changed(
        design, "title", p -> p.withAnchors(p.anchors().movedBy(Length.mm(mm), Length.ZERO)));
  }

  private static List<String> keys(List<Offer> offers) {
    return offers.stream().map(o -> o.key() + (o.own() ? " own" : "")).toList();
  }

  @Test
  public void whatTheOriginChangedIsOfferedAndTakenByItself() {
    Design theirs = coloured(sized(BASE, "50"), 0xaa0000);
    Design mine = moved(BASE, "3");
    Following f = new Following(BASE, theirs, mine);
    assertThat(keys(f.offers())).containsExactly("title/type", "title/colour");
    Design taken = f.taking(List.of("title/colour"));
    assertThat(taken).isEqualTo(moved(coloured(BASE, 0xaa0000), "3"));
    assertThat(keys(new Following(BASE, theirs, taken).offers())).containsExactly("title/type");
  }

  @Test
  public void whatTheCoverChangedByItselfIsToldAndNotOverwritten() {
    Design theirs = coloured(sized(BASE, "50"), 0xaa0000);
    Design mine = coloured(BASE, 0x00aa00);
    Following f = new Following(BASE, theirs, mine);
    assertThat(keys(f.offers())).containsExactly("title/type", "title/colour own");
    assertThat(f.taking(List.of("title/type"))).isEqualTo(coloured(sized(BASE, "50"), 0x00aa00));
    // asked for by name it is taken all the same
    assertThat(f.taking(List.of("title/colour"))).isEqualTo(coloured(BASE, 0xaa0000));
  }

  @Test
  public void whatBothChangedAlikeIsNoOffer() {
    Design theirs = coloured(BASE, 0xaa0000);
    assertThat(new Following(BASE, theirs, theirs).offers()).isEmpty();
    assertThat(new Following(BASE, BASE, coloured(BASE, 0x00aa00)).offers()).isEmpty();
  }

  @Test
  public void piecesThatCameAndWentAreOffered() {
    Piece disc = new Piece("disc-1", "Disc", BAND.anchors(), BAND.content());
    Design theirs =
        BASE.changed(PrintedSide.OUTSIDE, c -> c.inserted(1, disc).without(List.of("band-1")));
    Following f = new Following(BASE, theirs, moved(BASE, "3"));
    assertThat(keys(f.offers())).containsExactly("disc-1/all", "band-1/all");
    Design taken = f.taking(List.of("disc-1/all"));
    assertThat(taken.outside().pieces()).extracting(Piece::id).startsWith("disc-1");
    Design both = f.taking(List.of("disc-1/all", "band-1/all"));
    assertThat(both.outside().pieces()).extracting(Piece::id).containsExactly("disc-1", "title");
    // a band that was changed here is the cover's own
    Design own =
        changed(BASE, "band-1", p -> p.withContent(Content.Shape.band(new Colour.Rgb(0x111111))));
    assertThat(keys(new Following(BASE, theirs, own).offers()))
        .containsExactly("disc-1/all", "band-1/all own");
    // what was taken off here is not put back by itself
    Design without = BASE.changed(PrintedSide.OUTSIDE, c -> c.without(List.of("title")));
    assertThat(keys(new Following(BASE, coloured(BASE, 0xaa0000), without).offers()))
        .containsExactly("title/all own");
  }

  @Test
  public void groundAndPaletteAreOffered() {
    Design theirs =
        new Design(
            Map.of("Ink", new Colour.Rgb(0x400000)),
            BASE.outside().withGround(Ground.plain(new Colour.Rgb(0xf0e0d0))),
            Composition.BLANK);
    Following f = new Following(BASE, theirs, BASE);
    assertThat(keys(f.offers())).containsExactly("palette:Ink", "ground/outside");
    assertThat(f.taking(List.of("palette:Ink", "ground/outside"))).isEqualTo(theirs);
  }

  @Test
  public void nothingTakenChangesNothingAndAColourThatIsLackingComesAlong() {
    Design theirs =
        changed(
            BASE.withPalette(
                Map.of("Ink", new Colour.Rgb(0x102030), "Rust", new Colour.Rgb(0x903010))),
            "title",
            p ->
                p.withContent(
                    ((Words) p.content()).withPaint(Paint.of(new Colour.Swatch("Rust")))));
    Following f = new Following(BASE, theirs, BASE);
    assertThat(f.taking(List.of())).isEqualTo(BASE);
    assertThat(f.taking(List.of("band-1/colour", "nothing"))).isEqualTo(BASE);
    assertThat(f.taking(List.of("title/colour"))).isEqualTo(theirs);
  }

  private static Piece disc(String id) {
    return new Piece(id, id, BAND.anchors(), BAND.content());
  }

  private static Design of(Piece... pieces) {
    return new Design(
        BASE.palette(),
        new Composition(Ground.plain(Colour.WHITE), List.of(pieces)),
        Composition.BLANK);
  }

  @Test
  public void theOrderOfThePiecesThatAllHaveIsFollowedAndOthersKeepTheirPlaces() {
    Piece own = disc("own");
    Piece theirsAlone = disc("theirs");
    Design base = of(BAND, TITLE, disc("c"));
    Design theirs = of(TITLE, theirsAlone, disc("c"), BAND);
    Design mine = of(BAND, own, TITLE, disc("c"));
    Following f = new Following(base, theirs, mine);
    assertThat(keys(f.offers())).containsExactly("order of pieces/outside", "theirs/all");
    assertThat(f.offers().get(0).piece()).isEmpty();
    Design taken = f.taking(List.of("order of pieces/outside"));
    assertThat(taken.outside().pieces())
        .extracting(Piece::id)
        .containsExactly("title", "own", "c", "band-1");
    assertThat(keys(new Following(base, theirs, taken).offers())).containsExactly("theirs/all");
    Design otherwise = of(disc("c"), BAND, TITLE);
    assertThat(keys(new Following(base, theirs, otherwise).offers()))
        .containsExactly("order of pieces/outside own", "theirs/all");
  }

  @Test
  public void whatIsStillAsItWasCarriedIsNotItsOwnThoughItWouldBeCarriedOtherwiseNow() {
    // the origin's spine grew: carried now, the title would be larger than it was carried then
    Design made = sized(BASE, "30");
    Design theirs = sized(BASE, "50");
    assertThat(keys(new Following(BASE, theirs, made, made).offers()))
        .containsExactly("title/type");
    assertThat(new Following(BASE, BASE, made, made).own()).isEmpty();
    Design mine = coloured(made, 0x00aa00);
    assertThat(keys(new Following(BASE, BASE, mine, made).own())).containsExactly("title/colour");
    assertThat(keys(new Following(BASE, theirs, sized(BASE, "12"), made).offers()))
        .containsExactly("title/type own");
  }
}
