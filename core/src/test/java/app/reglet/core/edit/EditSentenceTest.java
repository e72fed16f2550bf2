package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.house.Houses;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What history says of each kind of change, with its figures. */
public class EditSentenceTest {
  private static final Wrap WRAP =
      Measuring.measure(
          app.reglet.core.book.Specification.of(
              app.reglet.core.book.Binding.PERFECT_BOUND,
              Size.parse("6 x 9", Unit.IN),
              320,
              "white",
              "black",
              PageTurn.LTR),
          Houses.GANNET);
  private static final Book BOOK =
      new Book(
          "The Salt Ledger",
          "A novel of the flats",
          "Maren Aldous",
          "Sedge & Samphire",
          "Words.",
          Optional.of(Isbn.parse("9780306406157")),
          "");
  private static final Design LEDGER = StartingLayout.LEDGER.on(WRAP, BOOK, Design.EMPTY);

  private static Words title() {
    return (Words) LEDGER.piece("title").orElseThrow().content();
  }

  private static Length mm(String mm) {
    return Length.mm(mm);
  }

  @DataProvider
  Object[][] changes() {
    Optional<Length> none = Optional.empty();
    Colour.Solid red = new Colour.Rgb(0xcc2222);
    return new Object[][] {
      {new Edit.Move(List.of("title"), mm("3"), mm("-2.5")), "Title moved 3 mm right, 2.5 mm up"},
      {
        new Edit.Move(List.of("title", "author"), Length.ZERO, mm("1")),
        "Title, Author moved 1 mm down"
      },
      {new Edit.Move(List.of("title"), Length.ZERO, Length.ZERO), "Title moved"},
      {new Edit.Resize("title", Length.ZERO, Length.ZERO, mm("4"), Length.ZERO), "Title resized"},
      {
        new Edit.Place(
            "title",
            Region.trim(PanelKind.FRONT),
            Optional.of(mm("12")),
            none,
            none,
            Optional.of(mm("40"))),
        "Title left 12 mm, height 40 mm"
      },
      {new Edit.Turn("title", -12.5), "Title turned to −12.5°"},
      {new Edit.Flip("title", true), "Title mirrored across"},
      {new Edit.Flip("title", false), "Title mirrored down"},
      {
        new Edit.Hang("title", Region.safe(PanelKind.BACK), Span.Hold.START, Span.Hold.START),
        "Title hung anew"
      },
      {new Edit.Set("title", title().withSize(Length.pt("30"))), "Title at 30 pt"},
      {new Edit.Appear("title", Appearance.PLAIN), "Title given another look"},
      {new Edit.Rename("title", " Head "), "Title named “Head”"},
      {new Edit.Lock("title", true), "Title locked"},
      {new Edit.Lock("title", false), "Title unlocked"},
      {new Edit.Hide("title", true), "Title hidden"},
      {new Edit.Hide("title", false), "Title shown"},
      {new Edit.Remove(List.of("title")), "Title taken off"},
      {new Edit.Remove(List.of("title", "author", "blurb", "subtitle")), "4 pieces taken off"},
      {new Edit.Reorder("title", 1), "Title brought forward"},
      {new Edit.Reorder("title", -1), "Title sent back"},
      {new Edit.Group(List.of("title", "author")), "Title, Author grouped"},
      {new Edit.Ungroup("group-1"), "A piece ungrouped"},
      {new Edit.SetGround(PrintedSide.OUTSIDE, Ground.plain(red), "Ground"), "Ground"},
      {new Edit.SetSwatch(" Sea ", red), "Colour “Sea” of the palette"},
      {new Edit.RemoveSwatch("Sea"), "Colour “Sea” out of the palette"},
      {new Starting.Lay(StartingLayout.AXIS), "Layout Axis"},
      {
        new Edit.Mend(new Remedy.IntoSafe("title"), "Move into the safe zone"),
        "Move into the safe zone"
      },
      {new Addition.AddWords(PanelKind.BACK, Fact.BLURB), "Added words on the back: blurb"},
      {new Addition.AddWords(PanelKind.FRONT, null), "Added words on the front"},
      {new Addition.AddBand(PanelKind.FRONT), "Added band"},
      {
        new Addition.AddPicture(PanelKind.FRONT, "ab", "sea.png", 1.5, Optional.empty()),
        "Added picture sea.png"
      },
      {new Addition.AddBarcode(), "Added barcode"},
    };
  }

  @Test(dataProvider = "changes")
  public void everyChangeIsToldWithItsFigures(Edit edit, String sentence) {
    assertThat(EditSentence.of(edit, LEDGER, Unit.MM)).isEqualTo(sentence);
  }

  @Test
  public void whatOfTheContentIsAnotherIsSaid() {
    Words t = title();
    assertThat(set(t.withLeading(2))).isEqualTo("Title set otherwise");
    assertThat(set(new Content.Barcode())).isEqualTo("Title drawn otherwise");
    assertThat(EditSentence.of(new Edit.Turn("title", 90), LEDGER, Unit.IN)).endsWith("90°");
    assertThat(
            EditSentence.of(
                new Edit.Move(List.of("title"), Length.in("0.25"), Length.ZERO), LEDGER, Unit.IN))
        .isEqualTo("Title moved 0.25 in right");
  }

  private static String set(Content content) {
    return EditSentence.of(new Edit.Set("title", content), LEDGER, Unit.MM);
  }
}
