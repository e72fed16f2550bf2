package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.check.Remedy;
import app.reglet.core.compare.SideBySide;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.house.grammar.Kind;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapText;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * What a sheet says of odd counts and of the page's size. Both facts: common practice, no single
 * source; the figures are worked out by hand beside each.
 */
public class RuleFieldsTest {
  private static final String ODD = "\"odd\": \"%s\", \"spine\": [";

  /** Gannet's sheet: 0.002252 in a page, even counts only, sheets stated to 0.01 in. */
  private static RuleSheet gannet(String odd, String multiple) {
    return RuleSheetReader.read(
        Houses.text("gannet-and-gauge")
            .replaceFirst("\"spine\": \\[", ODD.formatted(odd))
            .replace(", \"multiple\": 2 }", multiple + " }"));
  }

  private static RuleSheet stated(String id) {
    return RuleSheetReader.read(
        Houses.text(id)
            .replace("\"pageSize\": \"stated\",", "")
            .replace("\"tolerance\":", "\"pageSize\": \"stated\", \"tolerance\":"));
  }

  private static Specification pages(int pages) {
    return Specification.of(
        Binding.PERFECT_BOUND, Size.parse("6 x 9", Unit.IN), pages, "white", "black", PageTurn.LTR);
  }

  @Test
  public void aRefusedOddCountOffersItsNeighboursEvenWhereAnyMultipleIsBound() {
    RuleSheet house = gannet("refuse", ", \"multiple\": 1");
    List<Finding> found = OfferCheck.run(pages(241), house);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).sentence(Unit.IN))
        .isEqualTo(
            "Gannet & Gauge binds no odd counts, and this has 241 pages."
                + " The nearest that work are 240 and 242.");
    assertThat(found.get(0).remedies())
        .containsExactly(new Remedy.UsePages(242), new Remedy.UsePages(240));
    assertThat(OfferCheck.run(pages(242), house)).isEmpty();
  }

  @Test
  public void anOddCountBoundAsTypedIsMeasuredAsTyped() {
    RuleSheet house = gannet("as-typed", "");
    assertThat(OfferCheck.run(pages(241), house)).isEmpty();
    Wrap w = Measuring.measure(pages(241), house);
    assertThat(w.spine().exact()).isEqualTo(Length.in("0.542732")); // 241 × 0.002252
    assertThat(w.spine().print(Unit.IN)).startsWith("241 × 0.002252 = ");
  }

  @Test
  public void aBlankSideIsBoundMeasuredPaidAndShownInTheSum() {
    RuleSheet house = gannet("blank-side", ", \"multiple\": 2");
    assertThat(OfferCheck.run(pages(241), house)).isEmpty();
    Wrap w = Measuring.measure(pages(241), house);
    assertThat(w.spine().exact()).isEqualTo(Length.in("0.544984")); // 242 × 0.002252
    assertThat(w.boundPages()).isEqualTo(242);
    assertThat(w.spine().print(Unit.IN))
        .startsWith("241 pages + 1 blank = 242; 242 × 0.002252 = 0.544984 in");
    assertThat(w.spec().pages()).isEqualTo(241);
    // an even count gets none
    assertThat(Measuring.measure(pages(240), house).spine().print(Unit.IN))
        .startsWith("240 × 0.002252 = ");
    CostRule cost = house.rules(Binding.PERFECT_BOUND).cost().orElseThrow();
    SideBySide.Row row =
        SideBySide.of(pages(241), Optional.empty(), List.of(house), Unit.IN).stream()
            .filter(r -> r.binding() == Binding.PERFECT_BOUND)
            .findFirst()
            .orElseThrow();
    assertThat(row.taken().pages()).isEqualTo(241);
    assertThat(row.offered()).isTrue();
    assertThat(cost.unit(242, "black")).isGreaterThan(cost.unit(241, "black"));
    assertThat(row.cost())
        .isEqualTo(
            cost.currency()
                + " "
                + cost.unit(242, "black").setScale(2, java.math.RoundingMode.HALF_UP));
  }

  /** 841 pages and a blank side are 842: more than a house that stops at 841 binds. */
  @Test
  public void theBlankSideCountsForTheLimitsAndTheRangeSaysNoEvenCount() {
    RuleSheet house =
        RuleSheetReader.read(
            Houses.text("gannet-and-gauge")
                .replaceFirst("\"spine\": \\[", ODD.formatted("blank-side"))
                .replace("\"most\": 842", "\"most\": 841"));
    List<Finding> found = OfferCheck.run(pages(841), house);
    assertThat(found.get(0).sentence(Unit.IN))
        .isEqualTo(
            "Gannet & Gauge binds perfect bound up to 841 pages in this trim and paper; this has"
                + " 841, with its blank side 842. The nearest that works is 840.");
    PageCounts counts = PageCounts.of(pages(100), house.rules(Binding.PERFECT_BOUND));
    assertThat(counts.range()).isEqualTo(" Here from 23 to 840.");
    assertThat(PageCounts.of(pages(100), Houses.GANNET.rules(Binding.PERFECT_BOUND)).range())
        .isEqualTo(" Here from 24 to 842, even.");
  }

  /** Words on the spine from 80 pages: 79 and a blank side are 80. */
  @Test
  public void theBlankSideCountsForWordsOnTheSpine() {
    int least = Houses.GANNET.rules(Binding.PERFECT_BOUND).spineType().leastPages();
    assertThat(least).isEven();
    Wrap w = Measuring.measure(pages(least - 1), gannet("blank-side", ", \"multiple\": 2"));
    assertThat(w.printsOnSpine()).isTrue();
    Wrap typed = Measuring.measure(pages(least - 1), gannet("as-typed", ""));
    assertThat(typed.printsOnSpine()).isFalse();
  }

  @Test
  public void aStatedPageIsMadeInTheRoundedSizeWithTheDifferenceInTheBleed() {
    Wrap exact = Measuring.measure(pages(100), Houses.GANNET);
    Wrap w = Measuring.measure(pages(100), stated("gannet-and-gauge"));
    // 12.4752 in, stated to the nearest 0.01 in: 12.48 in, 0.0048 in more, 0.0024 in a side
    assertThat(w.sheet()).isEqualTo(new Size(Length.in("12.48"), Length.in("9.25")));
    assertThat(w.stated()).isEqualTo(w.sheet());
    assertThat(w.trimmed().size()).isEqualTo(exact.trimmed().size());
    assertThat(w.margin().left()).isEqualTo(Length.in("0.1274"));
    assertThat(w.margin().right()).isEqualTo(Length.in("0.1274"));
    assertThat(w.margin().top()).isEqualTo(Length.in("0.125"));
    assertThat(w.panel(PanelKind.SPINE).orElseThrow().trim().width())
        .isEqualTo(exact.spine().stated());
    assertThat(w.panels().get(0).art().left()).isEqualTo(Length.ZERO);
    assertThat(w.panel(PanelKind.FRONT).orElseThrow().art().right()).isEqualTo(Length.in("12.48"));
    assertThat(w.width().print(Unit.IN))
        .isEqualTo("2 × 6 + 0.2252 + 2 × 0.125 + 0.0048 = 12.48 in");
    assertThat(w.width().inWords()).endsWith("+ rounding, in the bleed");
    assertThat(WrapText.write(w, Unit.IN)).doesNotContain("Stated");
  }

  @DataProvider
  Object[][] everyHouse() {
    return Houses.all().stream().map(h -> new Object[] {h.id()}).toArray(Object[][]::new);
  }

  /** Of every binding of every house: the page is the stated size, the trim as exact as before. */
  @Test(dataProvider = "everyHouse")
  public void everyStatedPageHasItsStatedSizeAndTheTrimStaysExact(String id) {
    String text = Houses.text(id);
    RuleSheet house =
        text.contains("\"sheetRounding\"")
            ? stated(id)
            : RuleSheetReader.read(
                text.replace(
                    "\"tolerance\":",
                    "\"pageSize\": \"stated\", \"sheetRounding\": {\"step\": \"0.25 mm\"},"
                        + " \"tolerance\":"));
    int seen = 0;
    for (WorkedExample e : house.examples()) {
      Wrap exact =
          Measuring.measure(
              e.spec(),
              Houses.all().stream().filter(h -> h.id().equals(id)).findFirst().orElseThrow());
      Wrap w = Measuring.measure(e.spec(), house);
      assertThat(w.sheet()).isEqualTo(house.files().sheetRounding().apply(exact.sheet()));
      assertThat(w.trimmed().size()).isEqualTo(exact.trimmed().size());
      for (Wrap page : FilePages.of(w)) {
        boolean spineAlone = page.page() == FilePage.SPINE;
        if (!spineAlone) {
          assertThat(page.sheet()).as(page.page().title()).isEqualTo(page.stated());
        }
        assertThat(page.sheet().width()).isEqualTo(page.width().result());
        assertThat(page.trimmed().outset(page.margin()).size()).isEqualTo(page.sheet());
        seen++;
      }
    }
    assertThat(seen).isPositive();
  }

  @DataProvider
  Object[][] contradictions() {
    return new Object[][] {
      {
        "\"spine\": [",
        ODD.formatted("as-typed"),
        "“bindings[0].pages[0].multiple” is 2, but odd counts are bound as typed"
      },
      {
        "\"spine\": [",
        ODD.formatted("guessed"),
        "“bindings[0].odd” is “guessed”; it must be one of refuse, as-typed, blank-side."
      },
      {
        "\"tolerance\":",
        "\"pageSize\": \"stated\", \"sheetRounding\": null, \"tolerance\":",
        "“files.pageSize” is “stated”"
      },
      {"\"tolerance\":", "\"pageSize\": 3, \"tolerance\":", "“files.pageSize” must be a text."},
    };
  }

  @Test(dataProvider = "contradictions")
  public void whatContradictsItselfIsRefused(String what, String by, String sentence) {
    String text = Houses.text("gannet-and-gauge");
    if (by.contains("null")) {
      text =
          text.replace("\"sheetRounding\": { \"step\": \"0.01 in\", \"mode\": \"nearest\" },", "");
    }
    String json = text.replace(what, by);
    assertThatThrownBy(() -> RuleSheetReader.read(json))
        .isInstanceOf(Refusal.class)
        .hasMessageStartingWith(sentence);
  }

  @Test
  public void aRoundingThatTakesMoreThanTheBleedIsRefused() {
    RuleSheet house =
        RuleSheetReader.read(
            Houses.text("gannet-and-gauge")
                .replace(
                    "\"step\": \"0.01 in\", \"mode\": \"nearest\"",
                    "\"step\": \"1 in\", \"mode\": \"down\"")
                .replace("\"tolerance\":", "\"pageSize\": \"stated\", \"tolerance\":"));
    // 12.4752 in down to 12 in takes 0.4752 in, of which the bleed has 0.25
    assertThatThrownBy(() -> Measuring.measure(pages(100), house))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("takes more than the bleed");
  }

  @Test
  public void thePlaceOfEveryFieldIsFoundInTheGrammar() {
    assertThat(Grammar.at("bindings.spine.perPage").orElseThrow().kind())
        .isInstanceOf(Kind.LengthText.class);
    assertThat(Grammar.at("bindings.cost.perPage.black").orElseThrow().kind())
        .isInstanceOf(Kind.Prices.class);
    assertThat(Grammar.at("bindings.odd").orElseThrow().fits("ebook")).isTrue();
    assertThat(Grammar.at("bindings.odd").orElseThrow().isAsked("ebook")).isFalse();
    assertThat(Grammar.at("bindings.bleed").orElseThrow().fits("case-laminate")).isFalse();
    assertThat(Grammar.at("name.first")).isEmpty();
    assertThat(BigDecimal.valueOf(Kind.Decimal.MOST)).isEqualByComparingTo("100000");
  }
}
