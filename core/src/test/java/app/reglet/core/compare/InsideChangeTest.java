package app.reglet.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.Optional;
import java.util.OptionalInt;
import org.testng.annotations.Test;

/**
 * What another inside comes to in other editions; the counts that houses bind are their sheets'.
 */
public class InsideChangeTest {
  private static final Size SIX_BY_NINE = Size.parse("6 x 9", Unit.IN);
  private static final Size FIVE_BY_EIGHT = Size.parse("5 x 8", Unit.IN);

  private static Specification facts(Binding binding, Size trim, int pages) {
    return Specification.of(binding, trim, pages, "white", "black", PageTurn.LTR);
  }

  private static InsideChange count(int was, int is) {
    return new InsideChange(Optional.empty(), SIX_BY_NINE, OptionalInt.of(was), is);
  }

  private static Optional<InsideChange.Elsewhere> in(
      InsideChange change, RuleSheet house, Specification other, boolean follows) {
    return change.in(other, house.rules(other.binding()), follows);
  }

  @Test
  public void anEditionOfTheSameCountTakesTheNewOneInTheNearestItsHouseBinds() {
    Specification paperback = facts(Binding.PERFECT_BOUND, SIX_BY_NINE, 312);
    InsideChange.Elsewhere there =
        in(count(312, 353), Houses.GANNET, paperback, false).orElseThrow();
    // an odd count gets a blank side, or the next even one: whatever that house binds
    assertThat(there.facts().pages()).isBetween(352, 354);
    assertThat(there.shares()).isTrue();
    // in steps of 16 at the metric house of hardcovers: 312 + 40 = 352 = 22 × 16
    Specification sewn = facts(Binding.CASE_LAMINATE, SIX_BY_NINE, 320);
    assertThat(in(count(320, 350), Houses.SANDLING, sewn, false).orElseThrow().facts().pages() % 16)
        .isZero();
  }

  @Test
  public void anotherCountGoesByAsMuchWhereItFollowsAndIsLeftWhereItDoesNot() {
    Specification other = facts(Binding.CASE_LAMINATE, SIX_BY_NINE, 320);
    assertThat(in(count(312, 352), Houses.DUNLIN, other, false)).isEmpty();
    InsideChange.Elsewhere there = in(count(312, 352), Houses.DUNLIN, other, true).orElseThrow();
    assertThat(there.facts().pages()).isEqualTo(360);
    assertThat(there.shares()).isFalse();
    // nobody gets fewer than no pages
    Specification thin = facts(Binding.CASE_LAMINATE, SIX_BY_NINE, 80);
    assertThat(in(count(312, 100), Houses.DUNLIN, thin, true)).isEmpty();
  }

  @Test
  public void aTrimGoesAlongWhereItWasTheSameAndIsOffered() {
    InsideChange change =
        new InsideChange(Optional.of(SIX_BY_NINE), FIVE_BY_EIGHT, OptionalInt.empty(), 312);
    Specification same = facts(Binding.PERFECT_BOUND, SIX_BY_NINE, 312);
    assertThat(in(change, Houses.GANNET, same, false).orElseThrow().facts().trim())
        .isEqualTo(FIVE_BY_EIGHT);
    Size other = Size.parse("8 x 10", Unit.IN);
    assertThat(in(change, Houses.GANNET, facts(Binding.PERFECT_BOUND, other, 312), false))
        .isEmpty();
    // a trim that no house makes: told, and not taken
    InsideChange huge =
        new InsideChange(
            Optional.of(SIX_BY_NINE), Size.parse("30 x 40", Unit.IN), OptionalInt.empty(), 312);
    InsideChange.Elsewhere there = in(huge, Houses.GANNET, same, false).orElseThrow();
    assertThat(there.trimOffered()).isFalse();
    assertThat(there.facts()).isEqualTo(same);
  }

  @Test
  public void anEbookHasNoInside() {
    Specification ebook =
        Specification.of(
            Binding.EBOOK, Size.parse("1600 x 2560 px", Unit.PX), 1, "", "", PageTurn.LTR);
    assertThat(count(312, 352).in(ebook, Houses.GANNET.rules(Binding.PERFECT_BOUND), true))
        .isEmpty();
  }
}
