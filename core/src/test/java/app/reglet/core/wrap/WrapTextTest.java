package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.PageTurn;
import app.reglet.core.measure.Unit;
import java.util.List;
import org.testng.annotations.Test;

/** The measurement sheet as text. The figures are those of MeasuringTest, added up by hand. */
public class WrapTextTest {
  @Test
  public void theWholeSheetIsTold() {
    Wrap w = MeasuringTest.gannet("6 x 9", 100, PageTurn.LTR);
    assertThat(WrapText.write(w, Unit.IN).strip())
        .isEqualTo(
            """
            Gannet & Gauge, perfect bound, 6 × 9 in, 100 pages, White, 60 lb

            Spine              100 × 0.002252 = 0.2252 in
            Keep words         0.125 in from trim, 0.0625 in from folds
            Trim drift         up to 0.0625 in either way
            Words on spine     at most 0.1002 in across, from 7 pt, top to bottom
            Barcode            you supply it, in its area

            Outside
            Sheet              12.4752 × 9.25 in
            Stated             12.48 × 9.25 in, to the nearest 0.01 in
            Width              2 × 6 + 0.2252 + 2 × 0.125 = 12.4752 in
                               2 × trim width + spine + 2 × bleed
            Height             9 + 2 × 0.125 = 9.25 in
                               trim height + 2 × bleed
            From the top left of this page, in: left, top, width × height
            Trimmed            0.125, 0.125, 12.2252 × 9
            Back               0.125, 0.125, 6 × 9
            Spine              6.125, 0.125, 0.2252 × 9
            Front              6.3502, 0.125, 6 × 9
            Fold               6.125
            Fold               6.3502
            Safe, back         0.25, 0.25, 5.8125 × 8.75
            Barcode, back      3.875, 7.675, 2 × 1.2
            Safe, spine        6.1875, 0.25, 0.1002 × 8.75
            Safe, front        6.4127, 0.25, 5.8125 × 8.75
            """
                .strip());
  }

  @Test
  public void theSummaryHasTheSumsAndNoCoordinates() {
    Wrap w = MeasuringTest.gannet("6 x 9", 100, PageTurn.LTR);
    List<String> lines = WrapText.summary(w, Unit.IN);
    assertThat(lines).noneMatch(String::isBlank).noneMatch(l -> l.startsWith("Trimmed"));
    assertThat(lines).anyMatch(l -> l.endsWith("2 × trim width + spine + 2 × bleed"));
  }

  @Test
  public void wordsOnASpineThatIsTooThinAreNotAllowed() {
    Wrap w = MeasuringTest.gannet("6 x 9", 40, PageTurn.LTR);
    assertThat(WrapText.write(w, Unit.IN)).contains("Words on spine     not allowed");
  }
}
