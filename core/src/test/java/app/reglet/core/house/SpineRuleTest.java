package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Check values: common practice, no single source, unless a line says otherwise. */
public class SpineRuleTest {
  private static final Size TRIM = Size.parse("6 x 9", Unit.IN);

  private static Specification pages(int n) {
    return Specification.of(Binding.PERFECT_BOUND, TRIM, n, "white", "black", PageTurn.LTR);
  }

  @Test
  public void caliperPerPage() {
    assertThat(new SpineRule.CaliperPerPage(Length.in("0.002252"), Length.ZERO).exact(pages(100)))
        .isEqualTo(Length.in("0.2252"));
    assertThat(new SpineRule.CaliperPerPage(Length.in("0.002347"), Length.ZERO).exact(pages(32)))
        .isEqualTo(Length.in("0.075104"));
  }

  @Test
  public void pagesPerInchAndConstant() {
    SpineRule rule = new SpineRule.PaperPpi(new BigDecimal("444"), Length.in("0.06"));
    Rounding four = Rounding.decimals(4, Unit.IN, Rounding.Mode.NEAREST);
    assertThat(four.apply(rule.exact(pages(246)))).isEqualTo(Length.in("0.6141"));
    // 444 pages are an inch, exactly, before the constant
    assertThat(rule.exact(pages(444))).isEqualTo(Length.in("1.06"));
  }

  @Test
  public void caliperAndPpiAreOneFactToldTwice() {
    // 1/444 in = 0.002252 in to six decimals
    assertThat(Length.of(1, Unit.IN).dividedBy(444).figure(Unit.IN)).isEqualTo("0.002252");
  }

  @Test
  public void grammageAndBulk() {
    // 80 g/m², volume 18 = 1.8 cm³/g: 320 × 80 × 18 ÷ 20 000 = 23.04 mm
    SpineRule rule =
        new SpineRule.GrammageBulk(new BigDecimal("80"), new BigDecimal("1.8"), false, Length.ZERO);
    assertThat(rule.exact(pages(320))).isEqualTo(Length.mm("23.04"));
  }

  @Test
  public void stepsNeverGuess() {
    SpineRule.Steps steps =
        new SpineRule.Steps(
            List.of(
                new SpineRule.Steps.Row(76, 100, Length.in("0.5")),
                new SpineRule.Steps.Row(101, 222, Length.in("0.688")),
                new SpineRule.Steps.Row(223, 250, Length.in("0.813")),
                new SpineRule.Steps.Row(300, 320, Length.in("0.9"))));
    for (int n : new int[] {223, 240, 250}) {
      assertThat(steps.exact(pages(n))).isEqualTo(Length.in("0.813"));
    }
    assertThatThrownBy(() -> steps.exact(pages(75)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("76–100");
    assertThatThrownBy(() -> steps.exact(pages(260))).hasMessageContaining("223–250");
    assertThatThrownBy(() -> steps.exact(pages(290))).hasMessageContaining("300–320");
    assertThatThrownBy(() -> steps.exact(pages(321))).hasMessageContaining("300–320");
  }

  @Test
  public void toldAndNone() {
    assertThatThrownBy(() -> new SpineRule.Told().exact(pages(100)))
        .hasMessageContaining("states the spine");
    Specification told =
        new Specification(
            Binding.PERFECT_BOUND,
            TRIM,
            100,
            "white",
            "black",
            PageTurn.LTR,
            Optional.empty(),
            Optional.of(new ToldSpine(Length.mm("7"), "order 12")),
            false);
    assertThat(new SpineRule.Told().working(told, Unit.MM))
        .isEqualTo("as the house stated (order 12)");
    assertThat(new SpineRule.Told().exact(told)).isEqualTo(Length.mm("7"));
    assertThat(new SpineRule.None().exact(pages(100))).isEqualTo(Length.ZERO);
  }

  @Test
  public void nearestPageCounts() {
    PageCounts even = counts(Houses.GANNET, "white"); // 24–842, even, for 6 × 9 in
    assertThat(even.allows(31)).isFalse();
    assertThat(even.below(31)).contains(30);
    assertThat(even.above(31)).contains(32);
    assertThat(even.below(5)).isEmpty();
    assertThat(even.above(5)).contains(24);
    assertThat(even.below(1_000_000_000)).contains(842);
    assertThat(even.above(Integer.MAX_VALUE)).isEmpty();
    assertThat(even.nearest(31)).contains(32);
    assertThat(even.least()).contains(24);
    assertThat(even.most()).contains(842);
    // 75 pages are asked for, but counts are even and the table starts at 76
    PageCounts cased =
        PageCounts.of(
            Specification.of(Binding.CASE_LAMINATE, TRIM, 10, "white", "black", PageTurn.LTR),
            Houses.DUNLIN.rules(Binding.CASE_LAMINATE));
    assertThat(cased.above(10)).contains(76);
    assertThat(cased.most()).contains(400);
  }

  private static PageCounts counts(RuleSheet house, String stock) {
    return PageCounts.of(
        Specification.of(Binding.PERFECT_BOUND, TRIM, 10, stock, "black", PageTurn.LTR),
        house.rules(Binding.PERFECT_BOUND));
  }

  /** Volume 18 is bulk 1.8: one fact told twice. Common practice, no single source. */
  @Test
  public void volumeIsTenTimesTheBulk() {
    SpineRule.GrammageBulk volume =
        new SpineRule.GrammageBulk(
            new BigDecimal("80"), new BigDecimal("18").movePointLeft(1), true, Length.ZERO);
    assertThat(volume.exact(pages(320))).isEqualTo(Length.mm("23.04"));
    assertThat(volume.working(pages(320), Unit.MM)).isEqualTo("320 × 80 × 18 ÷ 20000");
  }

  /** 1/444 in = 0.002252 in: the two rules are one fact (common practice). */
  @Test
  public void paperPpiAndCaliperAgree() {
    Length ppi = new SpineRule.PaperPpi(new BigDecimal("444"), Length.ZERO).exact(pages(400));
    Length caliper =
        new SpineRule.CaliperPerPage(Length.in("0.002252"), Length.ZERO).exact(pages(400));
    assertThat(ppi.minus(caliper).abs()).isLessThan(Length.in("0.0002"));
  }
}
