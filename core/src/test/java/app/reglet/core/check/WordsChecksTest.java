package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is told of words by what they say and what prints them. */
public class WordsChecksTest {
  private static final Book BOOK =
      new Book("The Salt Ledger", "", "Maren Aldous", "", "", Optional.empty(), "");
  private static final Wrap WRAP = Wraps.sixByNine(320);

  private static Laid.Words words(
      String text, Fact fact, int inks, String pt, Set<Laid.Lack> lacks) {
    return words(text, fact, inks, pt, lacks, new Laid.Face("anton", "Anton", "Anton", false));
  }

  private static Laid.Words words(
      String text, Fact fact, int inks, String pt, Set<Laid.Lack> lacks, Laid.Face face) {
    Box front = WRAP.panel(PanelKind.FRONT).orElseThrow().safe();
    Box ink = new Box(front.left(), front.top(), Length.in("3"), Length.in("0.5"));
    return new Laid.Words(
        "w",
        "Words",
        Outline.of(ink),
        Outline.of(ink),
        Length.pt(pt),
        false,
        "",
        face,
        Optional.empty(),
        List.of(),
        List.of(),
        lacks,
        new Laid.Said(text, fact, inks),
        Length.pt("20"));
  }

  /** Words as they say it, in a place. */
  static Laid.Words words(String text, Box ink) {
    Laid.Words w = words(text, null, 1, "12", Set.of());
    return new Laid.Words(
        w.piece(),
        w.name(),
        Outline.of(ink),
        Outline.of(ink),
        w.size(),
        false,
        "",
        w.face(),
        w.instead(),
        w.empty(),
        w.unknown(),
        w.lacks(),
        w.said(),
        w.largest());
  }

  private static List<String> told(Check check, Laid... laid) {
    return check.find(new Subject(WRAP, BOOK, List.of(laid))).stream()
        .map(f -> f.sentence(Unit.MM))
        .toList();
  }

  @DataProvider
  Object[][] sizes() {
    String print = "; 7 pt and more print well.";
    return new Object[][] {
      {1, "5", null},
      {1, "4.9", "“Words” comes out at 4.9 pt; 5 pt and more print well."},
      {3, "7", null},
      {3, "6.9", "“Words” comes out at 6.9 pt, in several inks" + print},
      {0, "8", null},
      {
        0,
        "7.9",
        "“Words” comes out at 7.9 pt, left out of what is printed round it; 8 pt and more print well."
      },
    };
  }

  @Test(dataProvider = "sizes")
  public void smallTypeIsToldByTheInksThatPrintIt(int inks, String pt, String sentence) {
    assertThat(told(new TypeLargeEnough(), words("x", null, inks, pt, Set.of())))
        .isEqualTo(sentence == null ? List.of() : List.of(sentence));
  }

  @Test
  public void fineLettersLeftOutOfTheInkAreToBeLarger() {
    Laid.Words fine =
        words("x", null, 0, "9.9", Set.of(), new Laid.Face("lora", "Lora", "Lora", true));
    assertThat(told(new TypeLargeEnough(), fine))
        .containsExactly(
            "“Words” comes out at 9.9 pt, left out of what is printed round it; 10 pt and more print well.");
  }

  @Test
  public void whatAFamilyLacksIsTold() {
    assertThat(
            told(
                new FormsThere(),
                words("x", null, 1, "12", EnumSet.allOf(Laid.Lack.class)),
                words("x", null, 1, "12", Set.of())))
        .containsExactly(
            "“Words” has drawn small capitals: Anton has none of its own, so smaller capitals stand for them, thinner than the rest.",
            "“Words” has emphasis that is not seen: Anton has no italics beside it.",
            "“Words” has strong emphasis that is not seen: Anton has no bolder face beside it.",
            "The typeface of “Words” is not here: Anton stands for it. Bring the font again, or choose another typeface.");
  }

  /** A front of 9 in shown 160 pixels high: 6 pixels are 8.57 mm, two thirds of 36.45 pt. */
  @Test
  public void aTitleTooSmallForAShopsPictureIsToldAndOtherWordsAreNot() {
    Check check = new TitleReadSmall();
    assertThat(told(check, words("x", Fact.TITLE, 1, "36.4", Set.of())))
        .containsExactly(
            "“Words” comes out at 36.4 pt: where a shop shows the cover 160 pixels high it can't be read. From 36.45 pt it can.");
    assertThat(told(check, words("x", Fact.TITLE, 1, "36.5", Set.of()))).isEmpty();
    assertThat(told(check, words("x", Fact.AUTHOR, 1, "9", Set.of()))).isEmpty();
    assertThat(
            told(
                check,
                words("x", Fact.TITLE, 1, "9", Set.of()),
                words("x", Fact.TITLE, 1, "60", Set.of())))
        .as("the largest counts")
        .isEmpty();
  }

  @Test
  public void wordsNearlyTheTitleAreTold() {
    assertThat(nearly("The Salt Ledgers"))
        .containsExactly(
            "“Words” says “The Salt Ledgers”, and the docket’s title, which shops list, is “The Salt Ledger”.");
    assertThat(nearly("the\nsalt lodger".toUpperCase(Locale.ROOT))).hasSize(1);
    for (String other :
        new String[] {
          "The Salt Ledger", "THE SALT LEDGER!", "Salt", "Something else", "", "x".repeat(20_000)
        }) {
      assertThat(nearly(other)).as(other).isEmpty();
    }
  }

  private static List<String> nearly(String text) {
    return told(new TitleAsListed(), words(text, null, 1, "40", Set.of()));
  }

  /** Half a millimetre inside the trim: art there is meant to reach the bleed. */
  @Test
  public void whatLettersCutNeedsNoBleedAndAPanelOfWordsIsNotStretched() {
    Box front = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
    Outline near =
        Outline.of(
            new Box(
                front.left(), front.top().plus(Length.mm("0.5")), Length.in("3"), Length.in("1")));
    Laid.Words words = words("x", null, 1, "40", Set.of());
    assertThat(told(new BleedReached(), new Laid.Picture("w", "Words", near, 300, ""), words))
        .isEmpty();
    assertThat(told(new BleedReached(), new Laid.Picture("p", "Sea", near, 300, ""), words))
        .hasSize(1);
    List<Finding> panel =
        new BleedReached()
            .find(new Subject(WRAP, BOOK, List.of(new Laid.Area("w", "Words", near), words)));
    assertThat(panel).hasSize(1);
    assertThat(panel.get(0).remedies()).isEmpty();
  }
}
