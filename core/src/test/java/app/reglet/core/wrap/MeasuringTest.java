package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.Random;
import org.testng.annotations.Test;

/** Check values: common practice, no single source. */
public class MeasuringTest {
  static Specification spec(String trim, int pages, String stock, PageTurn turn) {
    return Specification.of(
        Binding.PERFECT_BOUND, Size.parse(trim, Unit.IN), pages, stock, "black", turn);
  }

  static Wrap gannet(String trim, int pages, PageTurn turn) {
    return Measuring.measure(spec(trim, pages, "white", turn), Houses.GANNET);
  }

  @Test
  public void sixByNineHundredPagesWhite() {
    Wrap w = gannet("6 x 9", 100, PageTurn.LTR);
    assertThat(w.spine().stated()).isEqualTo(Length.in("0.2252"));
    assertThat(w.sheet()).isEqualTo(new Size(Length.in("12.4752"), Length.in("9.25")));
    assertThat(w.stated()).isEqualTo(new Size(Length.in("12.48"), Length.in("9.25")));
    assertThat(w.width().print(Unit.IN)).isEqualTo("2 × 6 + 0.2252 + 2 × 0.125 = 12.4752 in");
    assertThat(w.height().print(Unit.IN)).isEqualTo("9 + 2 × 0.125 = 9.25 in");
    assertThat(w.spine().print(Unit.IN)).isEqualTo("100 × 0.002252 = 0.2252 in");
    assertThat(w.panel(PanelKind.BACK).orElseThrow().trim())
        .isEqualTo(box("0.125", "0.125", "6", "9"));
    assertThat(w.panel(PanelKind.SPINE).orElseThrow().trim())
        .isEqualTo(box("6.125", "0.125", "0.2252", "9"));
    assertThat(w.panel(PanelKind.FRONT).orElseThrow().trim())
        .isEqualTo(box("6.3502", "0.125", "6", "9"));
    // clear of the spine fold and of the tail by 0.25 in each
    assertThat(w.box(Region.BARCODE)).contains(box("3.875", "7.675", "2", "1.2"));
  }

  private static Box box(String x, String y, String w, String h) {
    return new Box(Length.in(x), Length.in(y), Length.in(w), Length.in(h));
  }

  @Test
  public void metricHouseRoundsTheSpineByItsRule() {
    Wrap w =
        Measuring.measure(
            Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("A5", Unit.MM),
                320,
                "bulky-80",
                "black",
                PageTurn.LTR),
            Houses.OSIER);
    assertThat(w.spine().exact()).isEqualTo(Length.mm("23.04"));
    assertThat(w.spine().stated()).isEqualTo(Length.mm("23.5"));
    assertThat(w.spine().print(Unit.MM))
        .isEqualTo("320 × 80 × 18 ÷ 20000 = 23.04 mm, up to the next 0.5 mm: 23.5 mm");
    assertThat(w.width().print(Unit.MM)).isEqualTo("2 × 148 + 23.5 + 2 × 3 = 325.5 mm");
  }

  @Test
  public void aWiderSpineMovesTheFrontAndLeavesTheBack() {
    Wrap a = gannet("6 x 9", 100, PageTurn.LTR);
    Wrap b = gannet("6 x 9", 320, PageTurn.LTR);
    Length delta = b.spine().stated().minus(a.spine().stated());
    assertThat(delta).isEqualTo(Length.in("0.49544"));
    assertThat(b.panel(PanelKind.BACK)).isEqualTo(a.panel(PanelKind.BACK));
    assertThat(b.panel(PanelKind.FRONT).orElseThrow().trim())
        .isEqualTo(a.panel(PanelKind.FRONT).orElseThrow().trim().moved(delta, Length.ZERO));
    assertThat(b.sheet().width().minus(a.sheet().width())).isEqualTo(delta);
  }

  @Test
  public void panelsTileTheSheetForRandomFacts() {
    Random random = new Random(42);
    for (int i = 0; i < 500; i++) {
      RuleSheet house = random.nextBoolean() ? Houses.GANNET : Houses.OSIER;
      String stock = house.stocks().get(random.nextInt(house.stocks().size())).id();
      Size trim =
          new Size(
              new Length(Length.mm("90").quanta() + random.nextLong(Length.mm("200").quanta())),
              new Length(Length.mm("90").quanta() + random.nextLong(Length.mm("300").quanta())));
      int pages = 24 + random.nextInt(900);
      Specification ltr =
          Specification.of(Binding.PERFECT_BOUND, trim, pages, stock, "black", PageTurn.LTR);
      Wrap w = Measuring.measure(ltr, house);
      tiles(w);
      mirrors(w, Measuring.measure(ltr.withTurn(PageTurn.RTL), house));
      Wrap thicker = Measuring.measure(ltr.withPages(pages + 2), house);
      assertThat(thicker.spine().exact()).isGreaterThan(w.spine().exact());
      assertThat(thicker.sheet().width()).isGreaterThanOrEqualTo(w.sheet().width());
    }
  }

  private static void tiles(Wrap w) {
    Length x = Length.ZERO;
    for (Panel p : w.panels()) {
      assertThat(p.art().left()).isEqualTo(x);
      assertThat(p.art().top()).isEqualTo(Length.ZERO);
      assertThat(p.art().bottom()).isEqualTo(w.sheet().height());
      assertThat(p.art().contains(p.trim())).isTrue();
      assertThat(p.trim().contains(p.safe())).isTrue();
      x = p.art().right();
    }
    assertThat(x).isEqualTo(w.sheet().width());
    for (Zone z : w.zones()) {
      assertThat(w.panel(z.panel()).orElseThrow().trim().contains(z.box())).isTrue();
    }
  }

  private static void mirrors(Wrap ltr, Wrap rtl) {
    assertThat(rtl.sheet()).isEqualTo(ltr.sheet());
    Length width = ltr.sheet().width();
    for (Panel p : ltr.panels()) {
      Panel q = rtl.panel(p.kind()).orElseThrow();
      assertThat(q.trim()).isEqualTo(p.trim().mirrored(width));
      assertThat(q.art()).isEqualTo(p.art().mirrored(width));
      assertThat(q.safe()).isEqualTo(p.safe().mirrored(width));
    }
    for (Zone z : ltr.zones()) {
      assertThat(rtl.zone(z.kind(), z.panel()).orElseThrow().box())
          .isEqualTo(z.box().mirrored(width));
    }
    assertThat(rtl.panels().get(0).kind()).isEqualTo(PanelKind.FRONT);
  }

  @Test
  public void refusesWhatCanNotBeMeasured() {
    assertThatThrownBy(() -> gannet("6 x 9", 0, PageTurn.LTR))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("at least 1 page");
    assertThatThrownBy(() -> gannet("6 x 9", 1_000_000_000, PageTurn.LTR))
        .hasMessageContaining("20,000");
    assertThatThrownBy(() -> gannet("0.1 x 9", 100, PageTurn.LTR)).hasMessageContaining("2.54 mm");
    assertThatThrownBy(
            () -> Measuring.measure(spec("6 x 9", 100, "vellum", PageTurn.LTR), Houses.GANNET))
        .hasMessageContaining("vellum")
        .hasMessageContaining("white");
    Specification cased =
        Specification.of(
            Binding.CASE_LAMINATE,
            Size.parse("6 x 9", Unit.IN),
            100,
            "white",
            "black",
            PageTurn.LTR);
    assertThatThrownBy(() -> Measuring.measure(cased, Houses.GANNET))
        .hasMessageContaining("does not offer case laminate");
  }
}
