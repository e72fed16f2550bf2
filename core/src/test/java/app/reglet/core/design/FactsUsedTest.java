package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.Further;
import app.reglet.core.book.Isbn;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import java.util.Optional;
import org.testng.annotations.Test;

/** Facts that are stated and stand nowhere are found, and no others. */
public class FactsUsedTest {
  private static final Book BOOK =
      new Book("Title", "Subtitle", "Author", "", "", Optional.of(new Isbn("9781402894626")), "£9");

  private static Design with(Content content) {
    return Design.EMPTY.changed(
        PrintedSide.OUTSIDE,
        c ->
            c.plus(
                new Piece("p" + c.pieces().size(), "P", Anchors.filling(Region.TRIMMED), content)));
  }

  private static Words own(String text) {
    return Words.of(null, text, "spectral", Length.pt("12"), Colour.BLACK);
  }

  @Test
  public void wordsOfAFactAndFactsNamedInWordsStandOnTheCover() {
    assertThat(FactsUsed.missing(Design.EMPTY, BOOK))
        .containsExactly(Fact.TITLE, Fact.SUBTITLE, Fact.AUTHOR, Fact.PRICE, Fact.ISBN);
    assertThat(FactsUsed.missing(with(own("{ Title } by {AUTHOR}, Subtitle")), BOOK))
        .containsExactly(Fact.SUBTITLE, Fact.PRICE, Fact.ISBN);
    Words price = Words.of(Fact.PRICE, "{title}", "spectral", Length.pt("12"), Colour.BLACK);
    assertThat(FactsUsed.missing(with(price), BOOK))
        .as("words of a fact say that fact alone")
        .contains(Fact.TITLE)
        .doesNotContain(Fact.PRICE);
  }

  @Test
  public void aBarcodeSaysTheIsbnAndWordsOnTheInsideCount() {
    assertThat(FactsUsed.missing(with(Content.Barcode.usual()), BOOK)).doesNotContain(Fact.ISBN);
    Design inside =
        Design.EMPTY.changed(
            PrintedSide.INSIDE,
            c -> c.plus(new Piece("p", "P", Anchors.filling(Region.TRIMMED), own("{subtitle}"))));
    assertThat(FactsUsed.missing(inside, BOOK)).doesNotContain(Fact.SUBTITLE);
  }

  /** A jacket has the beginning of the blurb on one flap and the rest on the other. */
  @Test
  public void bothHalvesOfTheBlurbAreTheBlurbAndOneLacksTheOther() {
    Book parted =
        new Book("T", "", "", "", "One.\nTwo.\nThree.", Optional.empty(), "", Further.NONE);
    Design first = with(own("{Beginning of the blurb}"));
    assertThat(FactsUsed.nowhere(first, parted)).containsExactly("title", "rest of the blurb");
    Design both =
        first.changed(
            PrintedSide.OUTSIDE,
            c ->
                c.plus(
                    new Piece(
                        "q", "Q", Anchors.filling(Region.TRIMMED), own("{rest of the blurb}"))));
    assertThat(FactsUsed.nowhere(both, parted)).containsExactly("title");
    assertThat(FactsUsed.missing(both, parted)).containsExactly(Fact.TITLE);
    assertThat(FactsUsed.nowhere(Design.EMPTY, parted)).containsExactly("title", "blurb");
    Book brief = new Book("T", "", "", "", "One.", Optional.empty(), "", Further.NONE);
    assertThat(FactsUsed.nowhere(first, brief)).containsExactly("title");
    assertThat(FactsUsed.nowhere(Design.EMPTY, brief)).containsExactly("title", "blurb");
  }
}
