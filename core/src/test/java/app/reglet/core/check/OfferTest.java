package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.compare.PageCurve;
import app.reglet.core.compare.SideBySide;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Houses;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What houses offer, and that every button leads out of what they don't. */
public class OfferTest {
  private static Specification random(RuleSheet house, Binding binding, Random random) {
    Size trim =
        new Size(
            Length.nearMm(40 + random.nextDouble() * 400),
            Length.nearMm(40 + random.nextDouble() * 500));
    Optional<Flaps> flaps =
        random.nextBoolean()
            ? Optional.empty()
            : Optional.of(
                new Flaps(
                    Length.nearMm(random.nextInt(3) == 0 ? 0 : random.nextDouble() * 300),
                    Length.nearMm(random.nextInt(3) == 0 ? 0 : random.nextDouble() * 300)));
    return new Specification(
        binding,
        trim,
        1 + random.nextInt(2000),
        house.stocks().get(random.nextInt(house.stocks().size())).id(),
        house.inks().get(random.nextInt(house.inks().size())).id(),
        random.nextBoolean() ? PageTurn.LTR : PageTurn.RTL,
        flaps,
        Optional.of(new ToldSpine(Length.mm("9"), "")),
        random.nextBoolean());
  }

  private static Specification with(Specification spec, Remedy remedy) {
    if (remedy instanceof Remedy.UsePages r) {
      return spec.withPages(r.pages());
    }
    if (remedy instanceof Remedy.UseTrim r) {
      return spec.withTrim(r.trim());
    }
    if (remedy instanceof Remedy.UseFlaps r) {
      return spec.withFlaps(Optional.of(r.flaps()));
    }
    if (remedy instanceof Remedy.OutsideOnly) {
      return spec.withInsidePrinted(false);
    }
    throw new AssertionError(remedy);
  }

  /** Whatever is asked for, pressing any offered button a few times ends with nothing to mend. */
  @Test
  public void everyButtonLeadsOut() {
    Random random = new Random(12);
    int mended = 0;
    for (int i = 0; i < 4000; i++) {
      RuleSheet house = Houses.all().get(random.nextInt(5));
      Binding binding =
          List.copyOf(house.bindings().keySet()).get(random.nextInt(house.bindings().size()));
      Specification asked = random(house, binding, random);
      Specification spec = asked;
      for (int press = 0; press < 6; press++) {
        List<Finding> found = OfferCheck.run(spec, house);
        if (found.isEmpty()) {
          break;
        }
        Finding any = found.get(random.nextInt(found.size()));
        assertThat(any.remedies()).as(any.sentence(Unit.IN)).isNotEmpty();
        assertThat(any.sentence(Unit.IN)).endsWith(".");
        spec = with(spec, any.remedies().get(random.nextInt(any.remedies().size())));
        mended++;
      }
      assertThat(OfferCheck.run(spec, house)).as(asked + " at " + house.id()).isEmpty();
      // what is offered can be measured
      Measuring.measure(spec, house);
    }
    assertThat(mended).isGreaterThan(4000);
  }

  /** The facts a side-by-side row takes are ones its house offers, whatever was asked. */
  @Test
  public void whatARowTakesIsOffered() {
    Random random = new Random(5);
    List<RuleSheet> houses =
        Stream.concat(Houses.all().stream(), Stream.of(Houses.LANTERN, Houses.HARBOUR)).toList();
    for (int i = 0; i < 150; i++) {
      RuleSheet from = Houses.all().get(random.nextInt(5));
      Binding binding =
          List.copyOf(from.bindings().keySet()).get(random.nextInt(from.bindings().size()));
      Specification asked = random(from, binding, random);
      List<SideBySide.Row> rows =
          SideBySide.of(asked, Optional.of(from.stock(asked.stock())), houses, Unit.IN);
      assertThat(rows).hasSize(12);
      for (SideBySide.Row row : rows) {
        List<Finding> left =
            OfferCheck.run(row.taken(), row.house()).stream()
                // a cover with both flaps left out is a person's own choice to mend
                .filter(f -> !f.code().equals("no-flap"))
                .toList();
        assertThat(left).as(row.house().id() + " " + row.binding() + " " + asked).isEmpty();
        assertThat(row.offered()).isEqualTo(row.unmet().isEmpty());
        assertThat(row.unitCost().isPresent()).isEqualTo(row.rules().cost().isPresent());
      }
    }
  }

  @DataProvider
  Object[][] limits() {
    return new Object[][] {
      // pages, what is said, the counts offered in this order
      {23, "from 24 pages", List.of(24)},
      {25, "must be even", List.of(26, 24)},
      {843, "up to 842 pages", List.of(842)},
      {20_000, "up to 842 pages", List.of(842)},
      {1, "from 24 pages", List.of(24)},
    };
  }

  @Test(dataProvider = "limits")
  public void countsNameTheNearest(int pages, String said, List<Integer> offered) {
    Specification spec =
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9", Unit.IN),
            pages,
            "white",
            "black",
            PageTurn.LTR);
    List<Finding> found = OfferCheck.run(spec, Houses.GANNET);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).sentence(Unit.IN)).contains(said);
    assertThat(found.get(0).remedies())
        .isEqualTo(offered.stream().map(n -> (Remedy) new Remedy.UsePages(n)).toList());
  }

  /** A step table with a hole: the counts in the hole go to either side of it. */
  @Test
  public void aHoleInAStepTableIsNoCount() {
    RuleSheet holed =
        RuleSheetReader.read(
            Houses.text("dunlin-casebinders")
                .replace(
                    "            { \"from\": 223, \"to\": 250, \"width\": \"0.813 in\" },\n", "")
                .replace(
                    "\"pages\": 240, \"stock\": \"white\", \"spine\": \"0.813 in\"",
                    "\"pages\": 260, \"stock\": \"white\", \"spine\": \"0.875 in\""));
    Specification spec =
        Specification.of(
            Binding.CASE_LAMINATE,
            Size.parse("6 x 9", Unit.IN),
            240,
            "white",
            "black",
            PageTurn.LTR);
    BindingRules rules = holed.rules(Binding.CASE_LAMINATE);
    PageCounts counts = PageCounts.of(spec, rules);
    assertThat(counts.allows(240)).isFalse();
    assertThat(counts.below(240)).contains(222);
    assertThat(counts.above(240)).contains(252);
    assertThat(counts.nearest(240)).contains(252);
    Finding found = OfferCheck.run(spec, holed).get(0);
    assertThat(found.sentence(Unit.IN))
        .contains("no row for 240 pages", "The nearest that work are 222 and 252");
    // the curve has the hole too
    PageCurve curve = PageCurve.of(spec, holed);
    assertThat(curve.points()).noneMatch(p -> p.pages() > 222 && p.pages() < 251);
  }

  @Test
  public void aBindingThatIsNotMadeNamesThoseThatAre() {
    Specification spec =
        Specification.of(
            Binding.DUST_JACKET, Size.parse("6 x 9", Unit.IN), 240, "white", "black", PageTurn.LTR);
    try {
      OfferCheck.run(spec, Houses.WHIMBREL);
      throw new AssertionError("not refused");
    } catch (Refusal r) {
      assertThat(r).hasMessageContaining("perfect bound, saddle stitched");
    }
  }

  @Test
  public void sizesTypedInTheOtherUnitAreStillListed() {
    // A5 in inches to six decimals, and to four: only the first is the same to a thousandth of a mm
    assertThat(
            Houses.SANDLING
                .rules(Binding.FLAPPED)
                .trims()
                .offers(Size.parse("5.826772 x 8.267717", Unit.IN)))
        .isTrue();
    assertThat(
            Houses.SANDLING
                .rules(Binding.FLAPPED)
                .trims()
                .offers(Size.parse("5.82 x 8.26", Unit.IN)))
        .isFalse();
  }
}
