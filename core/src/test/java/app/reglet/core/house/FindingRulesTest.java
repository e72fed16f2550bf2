package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.check.Subject;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A house that minds what others advise, and the other way. */
public class FindingRulesTest {
  private static final Book BOOK = new Book("T", "", "A", "", "", Optional.empty(), "");

  private static RuleSheet sheet(String fields) {
    return RuleSheetReader.read(
        Houses.text("gannet-and-gauge").replace("\"press\":", fields + " \"press\":"));
  }

  /** A picture of 250 ppi over a sheet at a house that wants 300 and takes 200. */
  private static Finding soft(RuleSheet house) {
    Wrap wrap =
        Measuring.measure(
            Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("6 x 9", Unit.IN),
                320,
                "cream",
                "black",
                PageTurn.LTR),
            house);
    Laid picture = new Laid.Picture("p", "Sea", Outline.of(wrap.sheetBox()), 250, "");
    return Check.run(new Subject(wrap, BOOK, List.of(picture))).stream()
        .filter(f -> f.code().equals("picture-soft"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void aHouseStopsWhatElsewhereOnlyAdvises() {
    assertThat(soft(sheet("")).mustMend()).isFalse();
    RuleSheet strict = sheet("\"stops\": \"words-faint picture-soft\",");
    assertThat(soft(strict).mustMend()).isTrue();
    assertThat(strict.files().findings().print())
        .isEqualTo("Stops here: picture-soft, words-faint.");
  }

  @Test
  public void aHouseOnlyAdvisesWhatElsewhereStops() {
    RuleSheet easy = sheet("\"advises\": \"barcode-missing\",");
    assertThat(easy.files().findings().print()).isEqualTo("Only advises here: barcode-missing.");
    Wrap wrap =
        Measuring.measure(
            Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("6 x 9", Unit.IN),
                320,
                "cream",
                "black",
                PageTurn.LTR),
            easy);
    assertThat(Check.run(new Subject(wrap, BOOK, List.of())))
        .filteredOn(f -> f.code().equals("barcode-missing"))
        .allMatch(f -> !f.mustMend());
  }

  @DataProvider
  Object[][] wrong() {
    return new Object[][] {
      {
        "\"stops\": \"no-such\",", "no finding is called “no-such”. There are: barcode-area-covered"
      },
      {
        "\"stops\": \"picture-soft\", \"advises\": \"picture-soft\",",
        "has “picture-soft”, which “stops” has too"
      }
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsNoFindingOrStandsInBothIsRefusedWithItsPlace(String fields, String sentence) {
    assertThatThrownBy(() -> sheet(fields))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(sentence);
  }
}
