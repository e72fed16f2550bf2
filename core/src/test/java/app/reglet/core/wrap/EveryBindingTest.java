package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.house.Houses;
import app.reglet.core.house.Ink;
import app.reglet.core.house.Make;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.house.Stock;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;

/** Check values: common practice, no single source, worked out by hand beside each. */
public class EveryBindingTest {
  private static Wrap measure(
      RuleSheet house, Binding binding, String trim, int pages, String stock) {
    return Measuring.measure(
        Specification.of(
            binding, Size.parse(trim, house.unit()), pages, stock, "black", PageTurn.LTR),
        house);
  }

  private static List<String> panels(Wrap w) {
    return w.panels().stream().map(p -> p.kind().id()).toList();
  }

  @Test
  public void caseLaminateWithAddedHinges() {
    // 2 × 0.8 + 2 × 8.5 + 2 × 0.2 + 0.5 = 19.5; 8.5 + 2 × 0.8 = 10.1
    Wrap w = measure(Houses.DUNLIN, Binding.CASE_LAMINATE, "8.5 x 8.5", 90, "white");
    assertThat(w.sheet()).isEqualTo(new Size(Length.in("19.5"), Length.in("10.1")));
    assertThat(w.width().print(Unit.IN)).isEqualTo("2 × 0.8 + 2 × 8.5 + 2 × 0.2 + 0.5 = 19.5 in");
    assertThat(panels(w)).containsExactly("back", "back-hinge", "spine", "front-hinge", "front");
    assertThat(w.turnIn()).isTrue();
    assertThat(w.panel(PanelKind.FRONT).orElseThrow().trim().left()).isEqualTo(Length.in("10.2"));
    assertThat(w.zones()).filteredOn(z -> z.kind() == Zone.Kind.HINGE).hasSize(2);
  }

  @Test
  public void caseLaminateWithHingesInsideTheFace() {
    // face 140 + 3 − 2 = 141; 2 × 17 + 2 × 141 + 29.5 = 345.5; 210 + 3 + 3 + 2 × 17 = 250
    Wrap w = measure(Houses.SANDLING, Binding.CASE_LAMINATE, "140 x 210", 320, "feather-90");
    assertThat(w.sheet()).isEqualTo(new Size(Length.mm("345.5"), Length.mm("250")));
    assertThat(w.width().print(Unit.MM))
        .isEqualTo("2 × 17 + 2 × 140 + 2 × 3 − 2 × 2 + 29.5 = 345.5 mm");
    assertThat(panels(w)).containsExactly("back", "spine", "front");
    Panel front = w.panel(PanelKind.FRONT).orElseThrow();
    Zone hinge = w.zone(Zone.Kind.HINGE, PanelKind.FRONT).orElseThrow();
    assertThat(hinge.box().left()).isEqualTo(front.trim().left());
    assertThat(hinge.box().width()).isEqualTo(Length.mm("8"));
    // words keep 3 mm clear of the hinge
    assertThat(front.safe().left()).isEqualTo(front.trim().left().plus(Length.mm("11")));
  }

  @Test
  public void stepTableHasNoGuess() {
    assertThat(
            measure(Houses.DUNLIN, Binding.CASE_LAMINATE, "6 x 9", 223, "white").spine().stated())
        .isEqualTo(Length.in("0.813"));
    assertThat(
            measure(Houses.DUNLIN, Binding.CASE_LAMINATE, "6 x 9", 250, "white").spine().stated())
        .isEqualTo(Length.in("0.813"));
    assertThatThrownBy(() -> measure(Houses.DUNLIN, Binding.CASE_LAMINATE, "6 x 9", 402, "white"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("377–400");
  }

  @Test
  public void dustJacketRoundItsCase() {
    // panel 6 + 0.125 + 0.3 + 0.0625 = 6.4875; 2 × 6.4875 + 0.8125 + 2 × 3.5 + 2 × 0.125 = 21.0375;
    // the page has the stated size, its last 0.0005 shared out in the bleed
    Wrap w = measure(Houses.DUNLIN, Binding.DUST_JACKET, "6 x 9", 240, "cream");
    assertThat(w.sheet()).isEqualTo(new Size(Length.in("21.038"), Length.in("9.5")));
    assertThat(panels(w)).containsExactly("back-flap", "back", "spine", "front", "front-flap");
    assertThat(w.turnIn()).isFalse();
  }

  @Test
  public void saddleStitchedHasNoSpine() {
    // 2 × 8.25 = 16.5 trimmed, and bleed on four sides
    Wrap w = measure(Houses.WHIMBREL, Binding.SADDLE_STITCHED, "8.25 x 6", 24, "coated");
    assertThat(w.trimmed().size()).isEqualTo(new Size(Length.in("16.5"), Length.in("6")));
    assertThat(w.sheet()).isEqualTo(new Size(Length.in("16.75"), Length.in("6.25")));
    assertThat(panels(w)).containsExactly("back", "front");
    assertThat(w.folds()).hasSize(1);
    assertThat(w.box(Region.safe(PanelKind.SPINE))).isEmpty();
    // this house keeps the barcode in the outer corner
    assertThat(w.box(Region.BARCODE).orElseThrow().left()).isEqualTo(Length.in("0.375"));
  }

  @Test
  public void flapsMayDifferOrBeAbsent() {
    Specification spec =
        new Specification(
            Binding.FLAPPED,
            Size.parse("A5", Unit.MM),
            320,
            "feather-90",
            "black",
            PageTurn.LTR,
            Optional.of(new Flaps(Length.mm("100"), Length.ZERO)),
            Optional.empty(),
            false);
    Wrap w = Measuring.measure(spec, Houses.SANDLING);
    assertThat(panels(w)).containsExactly("back", "spine", "front", "front-flap");
    // the front gains the fold allowance, the back without a flap does not
    assertThat(w.panel(PanelKind.FRONT).orElseThrow().trim().width()).isEqualTo(Length.mm("149"));
    assertThat(w.panel(PanelKind.BACK).orElseThrow().trim().width()).isEqualTo(Length.mm("148"));
    assertThat(panels(Measuring.measure(spec.withTurn(PageTurn.RTL), Houses.SANDLING)))
        .containsExactly("front-flap", "front", "spine", "back");
  }

  @Test
  public void toldSpineMustBeTold() {
    assertThatThrownBy(
            () -> measure(Houses.SANDLING, Binding.PERFECT_BOUND, "A5", 160, "feather-90"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("type it in");
  }

  @Test
  public void inksChooseTheRule() {
    Specification colour =
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9", Unit.IN),
            32,
            "coated",
            "colour",
            PageTurn.LTR);
    assertThat(Measuring.measure(colour, Houses.WHIMBREL).sheet().width())
        .isEqualTo(Length.in("12.325104"));
  }

  /** For random facts at every house and binding: panels tile the sheet, mirror, and grow. */
  @Test
  public void everyWrapHoldsTogether() {
    Random random = new Random(99);
    int measured = 0;
    for (int i = 0; i < 3000; i++) {
      RuleSheet house = Houses.all().get(random.nextInt(5));
      Binding binding =
          List.copyOf(house.bindings().keySet()).get(random.nextInt(house.bindings().size()));
      Make make = house.rules(binding).make();
      Optional<Flaps> flaps = Optional.empty();
      if (make instanceof Make.Flapped f && random.nextBoolean()) {
        flaps =
            Optional.of(
                new Flaps(
                    f.folded().most(), random.nextBoolean() ? Length.ZERO : f.folded().least()));
      }
      Specification spec =
          new Specification(
              binding,
              new Size(
                  Length.nearMm(90 + random.nextDouble() * 200),
                  Length.nearMm(120 + random.nextDouble() * 250)),
              8 + random.nextInt(600),
              house.stocks().get(random.nextInt(house.stocks().size())).id(),
              house.inks().get(random.nextInt(house.inks().size())).id(),
              PageTurn.LTR,
              flaps,
              Optional.of(new ToldSpine(Length.mm("14.2"), "")),
              random.nextBoolean());
      Wrap w;
      try {
        w = Measuring.measure(spec, house);
      } catch (Refusal r) {
        assertThat(r.getMessage()).contains("spine table");
        continue;
      }
      measured++;
      tiles(w);
      mirrors(w, Measuring.measure(spec.withTurn(PageTurn.RTL), house));
      for (Wrap page : FilePages.of(w)) {
        tiles(page);
      }
    }
    assertThat(measured).isGreaterThan(2000);
  }

  private static void tiles(Wrap w) {
    Length x = Length.ZERO;
    for (Panel p : w.panels()) {
      assertThat(p.art().left()).isEqualTo(x);
      assertThat(p.trim().contains(p.safe())).isTrue();
      assertThat(p.art().contains(p.trim())).isTrue();
      assertThat(p.art().height()).isEqualTo(w.sheet().height());
      x = p.art().right();
    }
    assertThat(x).isEqualTo(w.sheet().width());
    for (Zone z : w.zones()) {
      assertThat(w.panel(z.panel()).orElseThrow().trim().contains(z.box())).isTrue();
    }
    for (Fold f : w.folds()) {
      assertThat(w.panels()).anyMatch(p -> p.trim().left().equals(f.x()));
    }
  }

  private static void mirrors(Wrap ltr, Wrap rtl) {
    Length width = ltr.sheet().width();
    assertThat(rtl.sheet()).isEqualTo(ltr.sheet());
    assertThat(rtl.panels()).hasSameSizeAs(ltr.panels());
    for (Panel p : ltr.panels()) {
      Panel q = rtl.panel(p.kind()).orElseThrow();
      assertThat(q.trim()).isEqualTo(p.trim().mirrored(width));
      assertThat(q.safe()).isEqualTo(p.safe().mirrored(width));
      assertThat(q.art()).isEqualTo(p.art().mirrored(width));
    }
    for (Zone z : ltr.zones()) {
      assertThat(rtl.zone(z.kind(), z.panel()).orElseThrow().box())
          .isEqualTo(z.box().mirrored(width));
    }
  }

  /** More pages never make a thinner spine, at any house, whatever it rounds. */
  @Test
  public void spinesGrowWithPages() {
    int compared = 0;
    for (RuleSheet house : Houses.all()) {
      for (Binding binding : house.bindings().keySet()) {
        for (Stock stock : house.stocks()) {
          for (Ink ink : house.inks()) {
            Length before = Length.ZERO;
            for (int pages = 4; pages < 700; pages += 3) {
              Specification spec =
                  Specification.of(
                          binding,
                          Size.parse("A5", Unit.MM),
                          pages,
                          stock.id(),
                          ink.id(),
                          PageTurn.LTR)
                      .withToldSpine(Optional.of(new ToldSpine(Length.mm("9"), "")));
              Wrap w;
              try {
                w = Measuring.measure(spec, house);
              } catch (Refusal outsideTheTable) {
                continue;
              }
              assertThat(w.spine().stated()).isGreaterThanOrEqualTo(before);
              assertThat(w.sheet().width().minus(w.spine().stated()).minus(w.margin().left()))
                  .as("the rest of the sheet stays")
                  .isGreaterThan(Length.ZERO);
              before = w.spine().stated();
              compared++;
            }
          }
        }
      }
    }
    assertThat(compared).isGreaterThan(5000);
  }

  @Test
  public void inchesAndMillimetresOfTheSameFactsAgree() {
    int compared = 0;
    for (String id : new String[] {"gannet-and-gauge", "dunlin-casebinders", "whimbrel-digital"}) {
      // the metric text of an inch house's sheet: every length written in mm
      String inches = Houses.text(id);
      String metric =
          java.util.regex.Pattern.compile("\"([0-9.]+) in\"")
              .matcher(inches)
              .replaceAll(m -> "\"" + Length.in(m.group(1)).exact(Unit.MM) + " mm\"");
      assertThat(metric).contains("3.175 mm").isNotEqualTo(inches);
      RuleSheet in = RuleSheetReader.read(inches);
      RuleSheet mm = RuleSheetReader.read(metric);
      for (Binding binding : in.bindings().keySet()) {
        for (int pages = 24; pages < 700; pages += 2) {
          Specification spec =
              Specification.of(
                  binding, Size.parse("6 x 9", Unit.IN), pages, "cream", "black", PageTurn.RTL);
          Wrap a;
          try {
            a = Measuring.measure(spec, in);
          } catch (Refusal outsideTheTable) {
            continue;
          }
          Wrap b = Measuring.measure(spec, mm);
          assertThat(a.sheet().width().minus(b.sheet().width()).abs())
              .isLessThan(Length.mm("0.001"));
          assertThat(a.panels()).isEqualTo(b.panels());
          assertThat(a.zones()).isEqualTo(b.zones());
          compared++;
        }
      }
    }
    assertThat(compared).isGreaterThan(1000);
  }
}
