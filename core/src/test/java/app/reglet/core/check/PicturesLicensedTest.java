package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Asset;
import app.reglet.core.book.Book;
import app.reglet.core.book.FactsInText;
import app.reglet.core.book.Licence;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Mending;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PicturesLicensedTest {
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final String CREDIT = "Photograph: Ines Roe, CC BY 4.0";
  private static final Laid SEA =
      new Laid.Picture("p", "Sea", Outline.of(WRAP.sheetBox()), 300, "abcdef01");

  private static Book book(Licence licence, String credit) {
    return new Book("The Salt Ledger", "", "Maren Aldous", "", "", Optional.empty(), "")
        .with(List.of(new Asset("abcdef01", "sea.jpg", licence, "", credit)));
  }

  private static List<Finding> found(Book book, Laid... laid) {
    return new PicturesLicensed().find(new Subject(WRAP, book, List.of(laid)));
  }

  @DataProvider
  Object[][] licences() {
    return new Object[][] {
      {Licence.OWN, null},
      {Licence.PUBLIC_DOMAIN, null},
      {Licence.FOR_GOODS, null},
      {
        Licence.UNKNOWN,
        "By what right the picture “sea.jpg” is used is not known: say it among the pictures before the book is sold."
      },
      {
        Licence.FOR_ONE_USE,
        "The picture “sea.jpg” was bought for one use, and a book is goods for sale: get a licence for goods, or use another."
      },
    };
  }

  @Test(dataProvider = "licences")
  public void aLicenceThatDoesNotCoverGoodsIsToldOnce(Licence licence, String sentence) {
    assertThat(found(book(licence, ""), SEA, SEA).stream().map(f -> f.sentence(Unit.MM)))
        .isEqualTo(sentence == null ? List.of() : List.of(sentence));
  }

  @Test
  public void aCreditThatIsOwedMustBeSaidAndPlaced() {
    assertThat(found(book(Licence.OPEN_WITH_CREDIT, " "), SEA))
        .extracting(Finding::code)
        .containsExactly("credit-unsaid");
    List<Finding> unplaced = found(book(Licence.OPEN_WITH_CREDIT, CREDIT), SEA);
    assertThat(unplaced).extracting(Finding::code).containsExactly("credit-not-placed");
    assertThat(unplaced.get(0).mustMend()).isTrue();
    assertThat(unplaced.get(0).remedies()).containsExactly(new Remedy.PlaceCredits());
    Box back = WRAP.panel(PanelKind.BACK).orElseThrow().safe();
    Laid words = WordsChecksTest.words("By " + CREDIT.replace(" ", "\n") + ".", back);
    assertThat(found(book(Licence.OPEN_WITH_CREDIT, CREDIT), SEA, words)).isEmpty();
  }

  @Test
  public void aCreditMayStandOnTheSheetsOtherSide() {
    Book owing = book(Licence.OPEN_WITH_CREDIT, CREDIT);
    Laid words = WordsChecksTest.words(CREDIT, WRAP.panel(PanelKind.BACK).orElseThrow().safe());
    List<Laid> sea = List.of(SEA);
    assertThat(new PicturesLicensed().find(new Subject(WRAP, owing, sea, List.of(words))))
        .isEmpty();
    assertThat(new PicturesLicensed().find(new Subject(WRAP, owing, sea, sea))).hasSize(1);
  }

  @Test
  public void aPictureThatIsNotOnTheCoverIsNotToldOf() {
    assertThat(found(book(Licence.UNKNOWN, ""))).isEmpty();
  }

  @Test
  public void theCreditsInATextAreThoseOfThePicturesShown() {
    Book book =
        book(Licence.OPEN_WITH_CREDIT, CREDIT)
            .with(
                List.of(
                    new Asset("a1b2c3d4", "a", Licence.OPEN_WITH_CREDIT, "", "One *star*"),
                    new Asset("b1b2c3d4", "b", Licence.OPEN_WITH_CREDIT, "", CREDIT),
                    new Asset("c1b2c3d4", "c", Licence.OPEN_WITH_CREDIT, "", CREDIT),
                    new Asset("d1b2c3d4", "d", Licence.OWN, "", "not owed")));
    assertThat(FactsInText.of("{credits}", book.showing(Set.of("b1b2c3d4", "c1b2c3d4"))).text())
        .isEqualTo(CREDIT);
    assertThat(FactsInText.of("{Credits}", book.showing(Set.of("a1b2c3d4"))).text())
        .isEqualTo("One \\*star\\*");
    assertThat(book.showing(Set.of("e")).pictures())
        .extracting(Asset::licence)
        .containsExactly(Licence.UNKNOWN);
  }

  @Test
  public void aLineOfCreditsThatNobodyIsOwedIsTold() {
    Laid.Words line = WordsChecksTest.words("", WRAP.panel(PanelKind.BACK).orElseThrow().safe());
    OfWords.FactEmpty found = new OfWords.FactEmpty(line.name(), "{credits}");
    assertThat(FindingText.of(found, Unit.MM))
        .isEqualTo(
            "“Words” has {credits}, and no picture on the cover owes a credit that is said.");
  }

  @Test
  public void placingTheCreditsPutsABoundLineClearOfTheBarcode() {
    Design design =
        Mending.apply(
            new Remedy.PlaceCredits(),
            Design.EMPTY.changed(
                PrintedSide.OUTSIDE,
                c -> c.withGround(Ground.plain(app.reglet.core.design.Colour.WHITE))),
            WRAP);
    var line = design.outside().pieces().get(0);
    assertThat(((app.reglet.core.design.Words) line.content()).text()).isEqualTo("{credits}");
    Box box = line.anchors().on(WRAP).orElseThrow();
    Box back = WRAP.panel(PanelKind.BACK).orElseThrow().safe();
    assertThat(box.bottom()).isEqualTo(back.bottom());
    assertThat(box.left()).isEqualTo(back.left());
    Box barcode = WRAP.box(app.reglet.core.wrap.Region.BARCODE).orElseThrow();
    assertThat(box.right().isMoreThan(barcode.left().minus(Length.mm("0.9")))).isFalse();
  }
}
