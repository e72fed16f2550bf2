package app.reglet.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.check.Remedy;
import app.reglet.core.house.Houses;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.Stock;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.testng.annotations.Test;

public class CompareTest {
  private static final Specification NOVEL = spec(Binding.PERFECT_BOUND, "5 x 8 in", 312, "cream");

  private static Specification spec(Binding binding, String trim, int pages, String stock) {
    return Specification.of(
        binding, Size.parse(trim, Unit.IN), pages, stock, "black", PageTurn.LTR);
  }

  private static List<SideBySide.Row> table(Specification asked, Stock paper) {
    List<RuleSheet> houses =
        Stream.concat(Houses.all().stream(), Stream.of(Houses.LANTERN, Houses.HARBOUR)).toList();
    return SideBySide.of(asked, Optional.of(paper), houses, Unit.IN);
  }

  private static SideBySide.Row row(List<SideBySide.Row> rows, RuleSheet house, Binding binding) {
    return rows.stream()
        .filter(r -> r.house().equals(house) && r.binding() == binding)
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void everyHouseAndBindingHasItsRow() {
    List<SideBySide.Row> rows = table(NOVEL, Houses.GANNET.stock("cream"));
    assertThat(rows).hasSize(12);
    SideBySide.Row own = row(rows, Houses.GANNET, Binding.PERFECT_BOUND);
    assertThat(own.offered()).isTrue();
    // 312 × 0.0025 = 0.78 in; 1.05 + 312 × 0.0135 = 5.262
    assertThat(own.wrap().orElseThrow().spine().stated()).isEqualTo(Length.in("0.78"));
    assertThat(own.unitCost()).contains(new BigDecimal("5.26"));
    assertThat(own.cost()).isEqualTo("USD 5.26");
    assertThat(own.spineTypeAllowed()).isTrue();
    assertThat(own.band()).isEqualTo(Length.in("0.655"));
  }

  /** Hardcovers come in fewer trims: 5 × 8 in becomes 5.5 × 8.5 in (common practice). */
  @Test
  public void aHardcoverOffersTheNearestTrimAndSaysTheInsideMustBeReset() {
    SideBySide.Row cased =
        row(table(NOVEL, Houses.GANNET.stock("cream")), Houses.DUNLIN, Binding.CASE_LAMINATE);
    assertThat(cased.offered()).isFalse();
    assertThat(cased.unmet()).hasSize(1);
    assertThat(cased.unmet().get(0).sentence(Unit.IN))
        .contains("5.5 × 8.5 in", "inside must be re-set");
    assertThat(cased.taken().trim()).isEqualTo(Size.parse("5.5 x 8.5 in", Unit.IN));
    assertThat(cased.wrap()).isPresent();
  }

  @Test
  public void paperIsMatchedByItsShade() {
    List<SideBySide.Row> rows = table(NOVEL, Houses.GANNET.stock("cream"));
    assertThat(row(rows, Houses.OSIER, Binding.PERFECT_BOUND).taken().stock())
        .isEqualTo("bulky-80");
    assertThat(row(rows, Houses.WHIMBREL, Binding.PERFECT_BOUND).taken().stock())
        .isEqualTo("cream");
    List<SideBySide.Row> white = table(NOVEL, Houses.GANNET.stock("white"));
    assertThat(row(white, Houses.OSIER, Binding.PERFECT_BOUND).taken().stock())
        .isEqualTo("offset-100");
  }

  @Test
  public void whatCanNotBeMeasuredSaysWhy() {
    SideBySide.Row told =
        row(table(NOVEL, Houses.GANNET.stock("cream")), Houses.SANDLING, Binding.PERFECT_BOUND);
    assertThat(told.wrap()).isEmpty();
    assertThat(told.why().orElseThrow()).hasMessageContaining("states the spine width");
    assertThat(told.offered()).isFalse();
  }

  @Test
  public void tooManyPagesForStaplesTakesTheNearestCount() {
    SideBySide.Row stapled =
        row(table(NOVEL, Houses.GANNET.stock("cream")), Houses.WHIMBREL, Binding.SADDLE_STITCHED);
    assertThat(stapled.offered()).isFalse();
    assertThat(stapled.taken().pages()).isEqualTo(64);
    assertThat(stapled.spineTypeAllowed()).isFalse();
  }

  @Test
  public void aShopTakesTheShapeOfTheBook() {
    // 6 × 9 in is 1.5 to 1: of 2500/1563 = 1.6, 2500/1667 = 1.5, 2500/1875 = 1.33 the second
    SideBySide.Row shop =
        row(
            table(NOVEL.withTrim(Size.parse("6 x 9", Unit.IN)), Houses.GANNET.stock("cream")),
            Houses.HARBOUR,
            Binding.EBOOK);
    assertThat(shop.taken().trim().print(Unit.PX)).isEqualTo("1667 × 2500 px");
    assertThat(shop.offered()).isTrue();
  }

  @Test
  public void theCurveKnowsItsThresholds() {
    PageCurve curve = PageCurve.of(NOVEL, Houses.GANNET);
    assertThat(curve.points())
        .isSortedAccordingTo(java.util.Comparator.comparing(PageCurve.Point::spine));
    assertThat(thresholds(curve, PageCurve.Kind.LEAST)).containsExactly(24);
    assertThat(thresholds(curve, PageCurve.Kind.MOST)).containsExactly(740);
    assertThat(thresholds(curve, PageCurve.Kind.SPINE_TYPE)).containsExactly(80);
  }

  /** Osier allows words from a spine of 6 mm; in steps of 8 pages the first is found by hand. */
  @Test
  public void spineTypeByWidthIsFoundExactly() {
    Specification s = spec(Binding.PERFECT_BOUND, "6 x 9 in", 320, "bulky-80");
    int first = thresholds(PageCurve.of(s, Houses.OSIER), PageCurve.Kind.SPINE_TYPE).get(0);
    // 80 × 18 ÷ 20000 = 0.072 mm a page, up to the next 0.5: above 5.5 mm from 77 pages; next × 8
    assertThat(first).isEqualTo(80);
    assertThat(Measuring.measure(s.withPages(80), Houses.OSIER).spine().stated())
        .isEqualTo(Length.mm("6"));
    assertThat(Measuring.measure(s.withPages(72), Houses.OSIER).spine().stated())
        .isEqualTo(Length.mm("5.5"));
  }

  @Test
  public void stepsAndOtherBindingsAreThresholds() {
    Specification s = spec(Binding.CASE_LAMINATE, "6 x 9 in", 240, "white");
    PageCurve curve = PageCurve.of(s, Houses.DUNLIN);
    assertThat(thresholds(curve, PageCurve.Kind.STEP)).contains(223, 251);
    assertThat(curve.thresholds())
        .anyMatch(t -> t.sentence(Unit.IN).equals("dust jacket possible from 76 pages"));
    // no row below 76: no guess
    assertThat(curve.points()).noneMatch(p -> p.pages() < 76 || p.pages() > 400);
  }

  private static List<Integer> thresholds(PageCurve curve, PageCurve.Kind kind) {
    return curve.thresholds().stream()
        .filter(t -> t.kind() == kind)
        .map(PageCurve.Threshold::pages)
        .toList();
  }

  /** 24 to 740 pages are bound; a sixteenth of that, 44, is shown at either side. */
  @Test
  public void theCurveShowsBothEndsOfWhatIsBoundAndTheCountThatIsAsked() {
    PageCurve curve = PageCurve.of(NOVEL, Houses.GANNET);
    assertThat(curve.from()).isEqualTo(1);
    assertThat(curve.to()).isEqualTo(784);
    assertThat(PageCurve.of(NOVEL.withPages(900), Houses.GANNET).to()).isEqualTo(954);
    assertThat(curve.points())
        .filteredOn(p -> p.pages() == 312)
        .containsExactly(new PageCurve.Point(312, Length.in("0.78"), Length.in("11.03")));
  }

  @Test
  public void aRangeOfCountsHasItsThresholdsAtBothEndsAndNoneBeside() {
    assertThat(PageCurve.over(NOVEL, Houses.GANNET, 24, 740).thresholds())
        .extracting(PageCurve.Threshold::kind)
        .contains(PageCurve.Kind.LEAST, PageCurve.Kind.MOST);
    assertThat(PageCurve.over(NOVEL, Houses.GANNET, 25, 739).thresholds())
        .extracting(PageCurve.Threshold::kind)
        .containsExactly(PageCurve.Kind.SPINE_TYPE);
    assertThat(PageCurve.over(NOVEL, Houses.GANNET, 80, 80).thresholds())
        .extracting(t -> t.sentence(Unit.IN))
        .containsExactly("words on the spine from 80 pages");
    for (int[] none : new int[][] {{0, 9}, {9, 8}}) {
      assertThatThrownBy(() -> PageCurve.over(NOVEL, Houses.GANNET, none[0], none[1]))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("from 1 or more upwards");
    }
  }

  /** At most a thousand counts are measured, at even distances. */
  @Test
  public void aWideRangeIsThinnedOut() {
    int[][] cases = {{1, 1000, 1}, {1, 1001, 2}, {2, 2500, 3}};
    for (int[] c : cases) {
      List<Integer> counts =
          PageCurve.over(NOVEL, Houses.GANNET, c[0], c[1]).points().stream()
              .map(PageCurve.Point::pages)
              .toList();
      assertThat(counts).hasSizeLessThanOrEqualTo(1000).isNotEmpty();
      for (int i = 1; i < counts.size(); i++) {
        assertThat(counts.get(i) - counts.get(i - 1)).as("to " + c[1]).isEqualTo(c[2]);
      }
    }
  }

  @Test
  public void aThresholdSaysByWhichSpineItComes() {
    Specification s = spec(Binding.PERFECT_BOUND, "6 x 9 in", 320, "bulky-80");
    assertThat(PageCurve.of(s, Houses.OSIER).thresholds())
        .extracting(t -> t.sentence(Unit.MM))
        .contains("words on the spine from 80 pages (spine of 6 mm)");
  }

  @Test
  public void anotherBindingHasTheCountsFromAndUpToWhichItIsPossible() {
    PageCurve curve =
        PageCurve.over(
            spec(Binding.PERFECT_BOUND, "5 x 8 in", 120, "cream"), Houses.WHIMBREL, 1, 300);
    assertThat(curve.thresholds())
        .filteredOn(t -> t.binding().equals(Optional.of(Binding.SADDLE_STITCHED)))
        .extracting(t -> t.kind() + " " + t.pages())
        .containsExactly("BINDING_FROM 8", "BINDING_UP_TO 64");
    assertThat(curve.thresholds())
        .isSortedAccordingTo(java.util.Comparator.comparingInt(PageCurve.Threshold::pages));
  }

  @Test
  public void aProvisionalCountShowsItsSpread() {
    Spread spread = Spread.of(NOVEL, 16, Houses.GANNET); // 16 × 0.0025 = 0.04 in
    assertThat(spread.print(Unit.IN)).isEqualTo("±16 pages: spine ±0.04 in");
    Specification cased = spec(Binding.CASE_LAMINATE, "6 x 9 in", 230, "white");
    // 230 ± 10: 220 is 0.75 in, 240 still 0.813 in
    assertThat(Spread.of(cased, 10, Houses.DUNLIN).print(Unit.IN))
        .isEqualTo("±10 pages: spine −0.063 in, +0 in");
    assertThat(Spread.of(cased, 229, Houses.DUNLIN).print(Unit.IN)).contains("not measurable");
  }

  @Test
  public void offersNameTheNearest() {
    Specification flapped =
        spec(Binding.FLAPPED, "5.5 x 8.5 in", 320, "feather-90")
            .withFlaps(Optional.of(new Flaps(Length.mm("140"), Length.ZERO)));
    List<Finding> found = OfferCheck.run(flapped, Houses.SANDLING);
    assertThat(found)
        .filteredOn(f -> f.code().equals("flap-not-offered"))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.sentence(Unit.MM)).contains("140 mm", "110 mm");
              assertThat(f.remedies())
                  .containsExactly(new Remedy.UseFlaps(new Flaps(Length.mm("110"), Length.ZERO)));
            });
    // what isn't offered is measured all the same
    assertThat(Measuring.measure(flapped, Houses.SANDLING).sheet().width().toMm())
        .isGreaterThan(400);
    Specification inside =
        spec(Binding.CASE_LAMINATE, "6 x 9 in", 60, "white").withInsidePrinted(true);
    assertThat(OfferCheck.run(inside, Houses.DUNLIN))
        .extracting(Finding::code)
        .containsExactly("pages-not-offered", "inside-not-offered");
    assertThat(OfferCheck.run(inside, Houses.DUNLIN).get(0).remedies())
        .containsExactly(new Remedy.UsePages(76));
  }
}
