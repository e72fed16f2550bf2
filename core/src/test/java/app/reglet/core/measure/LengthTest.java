package app.reglet.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LengthTest {

  @DataProvider
  Object[][] typed() {
    return new Object[][] {
      // what is typed, unit in force, the same length written plainly
      {"152.4mm", Unit.IN, "6 in"},
      {"6 1/8 in", Unit.MM, "6.125 in"},
      {"6⅛\"", Unit.MM, "6.125 in"},
      {"1/16 in", Unit.MM, "0.0625 in"},
      {"49p6", Unit.MM, "8.25 in"}, // 49 picas and 6 points = 594 pt; 594/72 in
      {"12p", Unit.MM, "2 in"},
      {"8.25in * 2", Unit.MM, "16.5 in"},
      {"2 × 6 + 0.2252 + 2 × 0.125", Unit.IN, "12.4752 in"},
      {"(6 + 1/4) in", Unit.IN, null}, // a unit after a bracket is not understood
      {"6 in + 3 mm", Unit.IN, "155.4 mm"},
      {"6 in - 1/2", Unit.IN, "5.5 in"},
      {"12,5 mm", Unit.IN, "12.5 mm"},
      {"0,125 in", Unit.MM, "0.125 in"}, // a nought begins no group of thousands
      {"96 px", Unit.PX, "1 in"}, // the reference pixel, W3C CSS Values and Units 4
      {"١٢ mm", Unit.IN, "12 mm"}, // Arabic-Indic digits
      {"６ in", Unit.MM, "6 in"}, // full-width digit
      {"72 pt", Unit.MM, "1 in"},
      {"9 inches", Unit.MM, "9 in"},
      {"5.5”", Unit.MM, "5.5 in"},
      {"20", Unit.MM, "20 mm"},
      {"-3 mm", Unit.MM, "-3 mm"},
      {".5in", Unit.MM, "0.5 in"},
      {"21 cm", Unit.IN, "210 mm"},
      {"33 mm / 2", Unit.IN, "16.5 mm"},
    };
  }

  @Test(dataProvider = "typed")
  public void readsWhatPeopleType(String text, Unit unit, String plain) {
    if (plain == null) {
      assertThatThrownBy(() -> Length.parse(text, unit)).isInstanceOf(Refusal.class);
    } else {
      String[] parts = plain.split(" ");
      Length expected = parts[1].equals("in") ? Length.in(parts[0]) : Length.mm(parts[0]);
      assertThat(Length.parse(text, unit)).isEqualTo(expected);
    }
  }

  @DataProvider
  Object[][] unreadable() {
    return new Object[][] {
      {"abc", "can't be read"},
      {"", "Nothing is typed"},
      {"   ", "Nothing is typed"},
      {"6 furlongs", "furlongs"},
      {"6 in * 3 in", "area"},
      {"600 px", "without a resolution"},
      {"6 / 0", "zero"},
      {"6 / 2 in", null}, // read as the fraction 6/2 in
      {"6 in / 2 in", "divides by a length"},
      {"1,000 mm", "may mean"},
      {"6..5", "can't be read"},
      {"--", "can't be read"},
      {"(6 in", "bracket"},
      {"99999999999 in", "25 m"},
      {"123456789012345678901234567890 mm", "digits"},
      {"6 in 9", "can't be read"},
      {"NaN", "can't be read"},
      {"1e9", "unit"},
      {"∞", "can't be read"},
    };
  }

  @Test(dataProvider = "unreadable")
  public void refusesWithAReason(String text, String reason) {
    if (reason == null) {
      assertThat(Length.parse(text, Unit.IN)).isEqualTo(Length.in("3"));
      return;
    }
    assertThatThrownBy(() -> Length.parse(text, Unit.IN))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(reason);
  }

  @Test
  public void sumsDoNotDrift() {
    // 0.002252 in × 100 000, added one by one
    Length page = Length.in("0.002252");
    Length sum = Length.ZERO;
    for (int i = 0; i < 100_000; i++) {
      sum = sum.plus(page);
    }
    assertThat(sum).isEqualTo(Length.in("225.2"));
    assertThat(sum.exact(Unit.MM)).isEqualTo("5720.08");
  }

  @Test
  public void unitsAreExact() {
    // 1 in = 25.4 mm: the international inch, 1959; 1 pt = 1/72 in: ISO 32000-1
    assertThat(Length.in("1")).isEqualTo(Length.mm("25.4"));
    assertThat(Length.pt("72")).isEqualTo(Length.in("1"));
    assertThat(Length.pt("1").times(12).times(6)).isEqualTo(Length.in("1"));
    assertThat(Length.in("0.000000001").quanta()).isEqualTo(9144);
  }

  @Test
  public void whatIsPrintedReadsBack() {
    Random random = new Random(7);
    for (int i = 0; i < 2000; i++) {
      Length l = new Length(random.nextLong() % 1_000_000_000_000_000L);
      assertThat(Length.parse(l.toString(), Unit.IN)).isEqualTo(l);
    }
  }

  @Test
  public void roundsOnceByTheStep() {
    Length exact = Length.in("12.325104");
    assertThat(Rounding.decimals(2, Unit.IN, Rounding.Mode.NEAREST).apply(exact))
        .isEqualTo(Length.in("12.33"));
    assertThat(Rounding.decimals(2, Unit.IN, Rounding.Mode.DOWN).apply(exact))
        .isEqualTo(Length.in("12.32"));
    assertThat(new Rounding(Length.in("0.0625"), Rounding.Mode.UP).apply(Length.in("0.51")))
        .isEqualTo(Length.in("0.5625"));
    assertThat(new Rounding(Length.mm("0.5"), Rounding.Mode.UP).apply(Length.mm("23.04")))
        .isEqualTo(Length.mm("23.5"));
    assertThat(new Rounding(Length.mm("0.5"), Rounding.Mode.UP).apply(Length.mm("23.5")))
        .isEqualTo(Length.mm("23.5"));
    assertThat(Rounding.NONE.apply(exact)).isEqualTo(exact);
  }

  @Test
  public void pixelsAreWhole() {
    assertThat(Length.in("12.4752").toPixels(300)).isEqualTo(3743); // 3742.56
    assertThat(Length.mm("210").toPixels(300)).isEqualTo(2480); // 2480.3
  }

  @DataProvider
  Object[][] sizes() {
    return new Object[][] {
      {"6 x 9", Unit.IN, "6", "9"},
      {"6\"x9\"", Unit.MM, "6", "9"},
      {"6 × 9 in", Unit.MM, "6", "9"},
      {"6in x 9", Unit.MM, "6", "9"},
      {"152.4mm x 228.6mm", Unit.IN, "6", "9"},
      {"6 by 9", Unit.IN, "6", "9"},
      {"6 1/8 x 9 1/4 in", Unit.MM, "6.125", "9.25"},
      {"8.25in * 2 x 6", Unit.IN, "16.5", "6"},
    };
  }

  @Test(dataProvider = "sizes")
  public void readsSizes(String text, Unit unit, String w, String h) {
    assertThat(Size.parse(text, unit)).isEqualTo(new Size(Length.in(w), Length.in(h)));
  }

  @Test
  public void knowsIsoSizes() {
    // ISO 216: A5 is 148 × 210 mm, B5 176 × 250 mm
    assertThat(Size.parse("A5", Unit.IN)).isEqualTo(new Size(Length.mm("148"), Length.mm("210")));
    assertThat(Size.parse("b5", Unit.IN)).isEqualTo(new Size(Length.mm("176"), Length.mm("250")));
    for (String bad : new String[] {"6", "6 x", "x 9", "A12", "6 x 9 x 2", "wide"}) {
      assertThatThrownBy(() -> Size.parse(bad, Unit.IN))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("width × height");
    }
  }

  /** On the way to “2560 px” a slow hand types “2560 p”, which are picas: what is kept is read. */
  @Test
  public void whatIsPrintedInAnyUnitIsReadAgainHoweverItWasTyped() {
    for (String typed : new String[] {"2560 p", "160 x 2560 p", "7 1/3 in", "0.333 pt", "1/7 in"}) {
      for (Unit unit : Unit.values()) {
        if (typed.contains("x")) {
          Size size = Size.parse(typed, unit);
          Size again = Size.parse(size.print(unit), unit);
          assertThat(again.isWithin(Length.mm("0.001"), size)).as(size.print(unit)).isTrue();
        } else {
          Length length = Length.parse(typed, unit);
          Length again = Length.parse(length.print(unit), unit);
          assertThat(again.minus(length).abs().isMoreThan(Length.mm("0.001")))
              .as(length.print(unit))
              .isFalse();
        }
      }
    }
  }

  /** Quanta are so small that only their sums are seen: thirds of them, and halves to even. */
  @Test
  public void aLengthIsDividedToTheNearestQuantumWithHalvesToEven() {
    long[][] cases = {
      {7, 2, 4},
      {5, 2, 2},
      {3, 2, 2},
      {1, 2, 0},
      {-1, 2, 0},
      {-3, 2, -2},
      {-5, 2, -2},
      {7, 3, 2},
      {8, 3, 3},
      {-7, 3, -2},
      {-8, 3, -3},
      {9, 3, 3},
      {10, 4, 2},
      {14, 4, 4},
      {11, 4, 3},
    };
    for (long[] c : cases) {
      assertThat(new Length(c[0]).dividedBy(c[1]).quanta())
          .as(c[0] + " by " + c[1])
          .isEqualTo(c[2]);
    }
  }

  @Test
  public void theLongestLengthIsTakenAndNothingLonger() {
    assertThat(Length.mm("25000").toMm()).isEqualTo(25000);
    assertThat(Length.nearMm(25000).toMm()).isEqualTo(25000);
    assertThat(Length.nearMm(-24999.999999).toMm()).isEqualTo(-24999.999999);
    for (double far : new double[] {25000.000001, -25000.000001, 1e300}) {
      assertThatThrownBy(() -> Length.nearMm(far))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("25 m");
    }
    assertThatThrownBy(() -> Length.mm("-25000.000001")).isInstanceOf(Refusal.class);
  }

  /** 72 points are an inch by definition, and a page of a PDF is counted in them. */
  @Test
  public void pointsArePartsOfAnInch() {
    assertThat(Length.in("1").toPoints()).isEqualTo(72);
    assertThat(Length.mm("25.4").half().toPoints()).isEqualTo(36);
    assertThat(Length.mm("-2.54").toPoints()).isEqualTo(-7.2);
  }
}
