package app.reglet.core.facts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.house.Houses;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Facts as typed, each field read and refused by itself. */
public class FactsReaderTest {
  private static TypedFacts typed(String binding, String trim, String pages, String stock) {
    return new TypedFacts(
        binding, trim, pages, null, stock, "black", "ltr", null, null, null, null, false);
  }

  @Test
  public void everyFieldIsReadInTheUnitInForce() {
    ReadFacts read =
        FactsReader.readWhole(
            new TypedFacts(
                "flapped",
                "148 x 210",
                "288 pp",
                "± 8",
                "bulky-80",
                "black",
                "rtl",
                "80",
                "none",
                "23.5",
                " by mail ",
                true),
            Houses.OSIER,
            Unit.MM);
    assertThat(read.problems()).isEmpty();
    assertThat(read.binding()).isEqualTo(Binding.FLAPPED);
    assertThat(read.trim()).isEqualTo(Size.parse("A5", Unit.MM));
    assertThat(read.pages()).isEqualTo(288);
    assertThat(read.spread()).isEqualTo(8);
    assertThat(read.turn()).isEqualTo(PageTurn.RTL);
    assertThat(read.flaps()).contains(new Flaps(Length.mm("80"), Length.ZERO));
    assertThat(read.told()).isEqualTo(Length.mm("23.5"));
    assertThat(read.toldSource()).isEqualTo("by mail");
    assertThat(read.specification().insidePrinted()).isTrue();
    assertThat(read.specification().toldSpine().orElseThrow().source()).isEqualTo("by mail");
  }

  @Test
  public void whatIsNotGivenIsTakenWhereThereIsOneAnswer() {
    ReadFacts read =
        FactsReader.read(
            new TypedFacts(
                null, "6 x 9", "320", null, null, null, null, null, null, null, null, false),
            Houses.GANNET,
            Unit.IN);
    assertThat(read.problems()).isEmpty();
    assertThat(read.binding()).isEqualTo(Binding.PERFECT_BOUND);
    assertThat(read.stock()).isEqualTo(Houses.GANNET.stocks().get(0).id());
    assertThat(read.turn()).isEqualTo(PageTurn.LTR);
    assertThat(read.flaps()).isEmpty();
    assertThat(read.spread()).isZero();
    assertThat(read.told()).isNull();
  }

  @Test
  public void anEmptyFlapBesideOneThatIsGivenIsTheHousesUsual() {
    ReadFacts read =
        FactsReader.read(
            new TypedFacts(
                "flapped",
                "A5",
                "288",
                null,
                "bulky-80",
                "black",
                "ltr",
                "90",
                "",
                null,
                null,
                false),
            Houses.OSIER,
            Unit.MM);
    Length usual = Houses.OSIER.rules(Binding.FLAPPED).make().flaps().orElseThrow().usual();
    assertThat(read.flaps()).contains(new Flaps(Length.mm("90"), usual));
  }

  @Test
  public void anEbookHasOnePageAndNoPaper() {
    ReadFacts read =
        FactsReader.readWhole(typed("ebook", "1000 x 1600", null, null), Houses.LANTERN, Unit.PX);
    assertThat(read.problems()).isEmpty();
    assertThat(read.pages()).isNull();
    assertThat(read.specification().pages()).isEqualTo(1);
    assertThat(read.stock()).isEmpty();
  }

  @Test
  public void everyWrongFieldHasItsOwnSentence() {
    ReadFacts read =
        FactsReader.read(
            new TypedFacts(
                "sewn", "wide", "many", "about", "vellum", "gold", "up", "x", "y", "z", null,
                false),
            Houses.GANNET,
            Unit.IN);
    assertThat(read.problems().keySet())
        .containsExactlyInAnyOrder(
            "binding",
            "trim",
            "pages",
            "spread",
            "stock",
            "ink",
            "turn",
            "frontFlap",
            "backFlap",
            "told");
    assertThat(read.problems().get("binding")).contains("“sewn” is no binding: perfect-bound");
    assertThat(read.problems().get("stock")).contains("taken: ");
    assertThat(read.problems().get("turn")).contains("ltr or rtl");
    assertThat(read.problems().get("pages")).contains("Here from 24 to").contains("even");
    assertThat(read.problems().values()).allMatch(s -> s.endsWith("."));
    assertThatThrownBy(read::specification).isInstanceOf(Refusal.class);
  }

  @DataProvider
  Object[][] counts() {
    return new Object[][] {
      {"", "Give the page count"},
      {"0", "at least 1 page"},
      {"-4", "below zero"},
      {"12.5", "not a whole number"},
      {"20001", "up to 20,000"},
      {"abc", "is no page count"},
    };
  }

  @Test(dataProvider = "counts")
  public void aCountThatCantBeTakenSaysWhyAndWhatIsBound(String count, String why) {
    Map<String, String> problems =
        FactsReader.read(typed("perfect-bound", "6 x 9", count, "white"), Houses.GANNET, Unit.IN)
            .problems();
    assertThat(problems.get("pages")).contains(why).contains("Here from 24 to 842, even.");
  }

  @Test
  public void wholeFactsNameThePaperWhereThereAreSeveral() {
    Map<String, String> problems =
        FactsReader.readWhole(typed("perfect-bound", "6 x 9", "320", null), Houses.GANNET, Unit.IN)
            .problems();
    assertThat(problems.get("stock")).contains("Give the paper").contains("white, cream");
    assertThat(
            FactsReader.readWhole(
                    typed("perfect-bound", "6 x 9", "320", "blue"), Houses.GANNET, Unit.IN)
                .problems()
                .get("stock"))
        .contains("has no “blue”");
    assertThat(
            FactsReader.readWhole(
                    typed("dust-jacket", "6 x 9", "320", "white"), Houses.GANNET, Unit.IN)
                .problems()
                .get("binding"))
        .isEqualTo("Gannet & Gauge does not offer dust jacket.");
  }

  @Test
  public void aListedChoiceIsTakenElseTheFirst() {
    RuleSheet house = Houses.GANNET;
    assertThat(FactsReader.listed(house.stocks(), "cream")).isEqualTo("cream");
    assertThat(FactsReader.listed(house.stocks(), "blue")).isEqualTo(house.stocks().get(0).id());
    assertThat(FactsReader.listed(java.util.List.of(), "blue")).isEmpty();
  }
}
