package app.reglet.press.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.testng.annotations.Test;

/** Every answer of Inspect word for word, on either side of its limit. */
public class ComparedTextTest {
  private static final Length TOLERANCE = Length.mm("1");
  private static final Size TRIMMED = Size.parse("306.8 x 210", Unit.MM);
  private static final Size SHEET = Size.parse("312.8 x 216", Unit.MM);

  private static ComparedText.Line told(Compared compared) {
    return ComparedText.of(List.of(compared), Unit.MM).get(0);
  }

  private static Compared sheet(String found) {
    return new Compared.SheetSize(
        SHEET, Size.parse(found, Unit.MM), TRIMMED, TOLERANCE, "Sandling & Daughters");
  }

  @Test
  public void aSheetAtItsToleranceFitsAndEachSideBeyondItIsTold() {
    assertThat(told(sheet("313.8 x 215")))
        .isEqualTo(
            new ComparedText.Line(
                "Sheet",
                true,
                "312.8 × 216 mm (12.315 × 8.5039 in) ±1 mm",
                "313.8 × 215 mm (12.3543 × 8.4646 in)",
                ""));
    assertThat(told(sheet("313.81 x 216")).sentence())
        .isEqualTo("The page is 1.01 mm too wide; Sandling & Daughters takes ±1 mm.");
    assertThat(told(sheet("312.8 x 214.9")).sentence())
        .isEqualTo("The page is 1.1 mm too low; Sandling & Daughters takes ±1 mm.");
    assertThat(told(sheet("306.8 x 210.5")).sentence())
        .isEqualTo(
            "The page is 6 mm too narrow and 5.5 mm too low; Sandling & Daughters takes ±1 mm."
                + " It has the trimmed size: the bleed is missing.");
  }

  @Test
  public void aTrimBoxIsJudgedBySizeThenByPlaceAndOnATurnedPageBySizeAlone() {
    Compared.TrimBox.Placed wanted =
        new Compared.TrimBox.Placed(TRIMMED, Length.mm("3"), Length.mm("3"));
    assertThat(told(box(wanted, TRIMMED, "4", "2", false)).fits()).isTrue();
    assertThat(told(box(wanted, TRIMMED, "4.01", "3", false)).sentence())
        .isEqualTo(
            "The trim box begins 4.01 mm from the left and 3 mm from the foot of the page; the"
                + " trimmed cover begins 3 mm and 3 mm from them: the cover would be cut off its"
                + " place.");
    assertThat(told(box(wanted, TRIMMED, "3", "1.9", false)).fits()).isFalse();
    assertThat(told(box(wanted, TRIMMED, "0", "0", true)).fits()).isTrue();
    assertThat(told(box(wanted, SHEET, "3", "3", true)).sentence())
        .isEqualTo(
            "The trim box marks another size than the trimmed cover: set it to 306.8 × 210 mm.");
  }

  private static Compared box(
      Compared.TrimBox.Placed wanted, Size size, String left, String foot, boolean turned) {
    return new Compared.TrimBox(
        wanted,
        new Compared.TrimBox.Placed(size, Length.mm(left), Length.mm(foot)),
        turned,
        TOLERANCE);
  }

  @Test
  public void pagesAreOneOrTwoWithTheInside() {
    assertThat(told(new Compared.PageCount(1, false)).fits()).isTrue();
    assertThat(told(new Compared.PageCount(2, true)))
        .isEqualTo(new ComparedText.Line("Pages", true, "1, or 2 with the inside", "2", ""));
    assertThat(told(new Compared.PageCount(2, false)))
        .isEqualTo(
            new ComparedText.Line(
                "Pages", false, "1", "2", "A cover is one page; this file has 2."));
    assertThat(told(new Compared.PageCount(3, true)).fits()).isFalse();
    assertThat(told(new Compared.PageCount(0, true)).fits()).isFalse();
    assertThat(told(new Compared.InsideSize(true)).sentence()).isEmpty();
    assertThat(told(new Compared.InsideSize(false)).sentence())
        .isEqualTo("The second page, the inside, must have the size of the first.");
  }

  @Test
  public void fontsAreCountedThatAreNotInTheFile() {
    assertThat(told(new Compared.Fonts(0, 0)).found()).isEqualTo("no fonts");
    assertThat(told(new Compared.Fonts(3, 0)).found()).isEqualTo("all embedded");
    assertThat(told(new Compared.Fonts(3, 2)))
        .isEqualTo(
            new ComparedText.Line(
                "Fonts",
                false,
                "all embedded",
                "2 not embedded",
                "Embed every font, or turn its words into outlines."));
  }

  @Test
  public void anEbookCoverMayBeRoundedToWholePixelsAndHasALargestFile() {
    assertThat(
            told(
                new Compared.Pixels(
                    Size.parse("1600.4 x 2560 px", Unit.PX), Size.parse("1600 x 2560", Unit.PX))))
        .isEqualTo(new ComparedText.Line("Size", true, "1600.4 × 2560 px", "1600 × 2560 px", ""));
    assertThat(
            told(new Compared.Pixels(
                    Size.parse("1600 x 2560", Unit.PX), Size.parse("1601 x 2560", Unit.PX)))
                .sentence())
        .isEqualTo("The picture must be 1600 × 2560 px.");
    assertThat(told(new Compared.ImageFile(2_000_000, 92, 2)))
        .isEqualTo(
            new ComparedText.Line(
                "File", true, "JPEG up to 2 MB", "JPEG, 2.00 MB at quality 92", ""));
    assertThat(told(new Compared.ImageFile(2_010_000, 60, 2)).sentence())
        .isEqualTo("The file has 2.01 MB; the shop takes up to 2 MB: give the cover fewer pixels.");
    assertThat(told(new Compared.ImageFile(9_000_000, 92, 0)))
        .isEqualTo(new ComparedText.Line("File", true, "JPEG", "JPEG, 9.00 MB at quality 92", ""));
  }

  private static String count(int found, Integer typed, boolean allowed, Integer above, int below) {
    return BlockFitText.of(
        new BlockCount(
            found,
            Optional.ofNullable(typed),
            allowed,
            Optional.ofNullable(above),
            Optional.of(below),
            0));
  }

  private static String blank(int found, Integer typed, int blank) {
    return BlockFitText.of(
        new BlockCount(
            found,
            Optional.ofNullable(typed),
            true,
            Optional.of(found),
            Optional.of(found),
            blank));
  }

  @Test
  public void blankLastPagesAreToldWithTheCountWithoutThem() {
    assertThat(blank(322, 320, 2))
        .endsWith("Its last 2 pages are blank: without them there are 320, as the docket says.");
    assertThat(blank(320, 320, 1))
        .endsWith(
            "Its last page is blank: without it there are 319. If they are not meant, the last pages were moved.");
    assertThat(blank(320, null, 4))
        .endsWith("Its last 4 pages are blank: without them there are 316.");
  }

  @Test
  public void aBlocksCountIsSetBesideTheDocketsAndWhatIsBound() {
    assertThat(count(1, null, false, 2, 1))
        .isEqualTo(
            "The file has 1 page; the docket has no count yet. The house does not bind 1; with 1"
                + " blank page it is 2.");
    assertThat(count(320, 320, true, 320, 320))
        .isEqualTo("The file has 320 pages, as the docket says.");
    assertThat(count(318, 320, false, 320, 316))
        .isEqualTo(
            "The file has 318 pages; the docket says 320, 2 more. The house does not bind 318; with"
                + " 2 blank pages it is 320.");
    assertThat(count(900, 320, false, null, 828))
        .isEqualTo(
            "The file has 900 pages; the docket says 320, 580 fewer. The house does not bind 900;"
                + " the most it binds is 828.");
  }

  @Test
  public void theCountsOfferedAreTheBoundOneAndTheFilesOwnWithoutTheDockets() {
    assertThat(
            new BlockCount(318, Optional.of(316), false, Optional.of(320), Optional.of(316), 0)
                .choices())
        .containsExactly(320, 318);
    assertThat(
            new BlockCount(318, Optional.of(320), false, Optional.of(320), Optional.of(316), 0)
                .choices())
        .containsExactly(318);
    assertThat(
            new BlockCount(320, Optional.of(320), true, Optional.of(320), Optional.of(320), 0)
                .choices())
        .isEmpty();
  }

  private static BlockFit block(String page, String bleed, Integer... others) {
    return new BlockFit(
        Size.parse(page, Unit.IN),
        Size.parse("6 x 9", Unit.IN),
        Optional.of(Length.in(bleed)).filter(Length::isPositive),
        Stream.of(others)
            .map(n -> new PdfFacts.OtherSize(n, Size.parse(n < 10 ? "5 x 8" : "8.5 x 11", Unit.IN)))
            .toList());
  }

  @Test
  public void aBlocksPagesAreToldWithTheChangeThatMendsThem() {
    assertThat(BlockFitText.of(block("6 x 9", "0"), Unit.IN))
        .isEqualTo("The pages are 6 × 9 in, the trim size: right for an inside without bleed.");
    // 0.5 pt is 0.00694 in
    assertThat(block("6.0069 x 9", "0").fits()).isTrue();
    assertThat(block("6.007 x 9", "0").fits()).isFalse();
    assertThat(block("6 x 9.007", "0").fits()).isFalse();
    assertThat(BlockFitText.of(block("6.125 x 9.25", "0.125"), Unit.IN))
        .isEqualTo(
            "The pages are 6.125 × 9.25 in, the trim size and 0.125 in bleed on the outer edges:"
                + " right for an inside with bleed.");
    assertThat(BlockFitText.of(block("6.125 x 9.25", "0"), Unit.IN))
        .isEqualTo(
            "The pages are 6.125 × 9.25 in, which is neither the trim size nor the trim size with"
                + " bleed. Without bleed: make them 6 × 9 in (0.125 in narrower, 0.25 in lower).");
    assertThat(BlockFitText.of(block("5 x 9.25", "0.125"), Unit.IN))
        .endsWith(
            "With bleed on the outer edges: make them 6.125 × 9.25 in (1.125 in wider, the height"
                + " stays).");
    assertThat(BlockFitText.of(block("6 x 9", "0", 2), Unit.IN))
        .isEqualTo(
            "Not all pages have one size: page 1 is 6 × 9 in, but page 2 is 5 × 8 in. Set every page"
                + " to 6 × 9 in.");
    assertThat(BlockFitText.of(block("6 x 9", "0", 2, 3, 4, 5, 6, 7, 8), Unit.IN))
        .contains("but pages 2–8 are 5 × 8 in. Set");
    assertThat(BlockFitText.of(block("6 x 9", "0", 2, 4, 5, 9, 11, 12, 13), Unit.IN))
        .contains("but pages 2, 4, 5, 9 are 5 × 8 in; pages 11–13 are 8.5 × 11 in. Set");
    assertThat(BlockFitText.of(block("6 x 9", "0", 2, 3, 4, 5, 6), Unit.IN))
        .contains("pages 2–6 are 5 × 8 in. Set");
  }
}
