package app.reglet.core.measure;

import app.reglet.core.Refusal;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * An exact length, as a whole number of quanta of 1/360 000 000 000 mm.
 *
 * <p>With this quantum 1 mm, 1 in = 25.4 mm and 1 pt = 1/72 in are all whole numbers, and so is any
 * decimal of up to 10 places in mm or 9 in inches: sums and whole multiples never drift. Only
 * quotients that no decimal can hold (pages ÷ 444 per inch) are rounded, to the nearest quantum,
 * which is 3 femtometres. Range ±25 m.
 *
 * @param quanta the number of quanta
 */
public record Length(long quanta) implements Comparable<Length> {
  static final long QUANTA_PER_MM = 360_000_000_000L;
  static final long QUANTA_PER_INCH = 9_144_000_000_000L;
  static final long QUANTA_PER_POINT = 127_000_000_000L;

  private static final BigDecimal LIMIT_MM = BigDecimal.valueOf(25_000);

  public static final Length ZERO = new Length(0);

  /** A length of a whole number of the unit. */
  public static Length of(long count, Unit unit) {
    return new Length(Math.multiplyExact(count, unit.quanta()));
  }

  /**
   * A length from an exact decimal.
   *
   * @throws Refusal when it is longer than 25 m
   */
  public static Length of(BigDecimal count, Unit unit) {
    BigDecimal quanta = count.multiply(BigDecimal.valueOf(unit.quanta()));
    if (quanta.abs().compareTo(LIMIT_MM.multiply(BigDecimal.valueOf(QUANTA_PER_MM))) > 0) {
      throw new Refusal("That is longer than 25 m, which is more than any sheet.");
    }
    return new Length(quanta.setScale(0, RoundingMode.HALF_EVEN).longValueExact());
  }

  /** Millimetres from a decimal in a string, {@code "0.25"}. */
  public static Length mm(String decimal) {
    return of(new BigDecimal(decimal), Unit.MM);
  }

  /** Inches from a decimal in a string, {@code "0.002252"}. */
  public static Length in(String decimal) {
    return of(new BigDecimal(decimal), Unit.IN);
  }

  /** Points (1/72 in) from a decimal in a string. */
  public static Length pt(String decimal) {
    return of(new BigDecimal(decimal), Unit.PT);
  }

  /**
   * The nearest length to a floating-point number of mm, to a millionth of a millimetre: for what
   * comes from outlines, turns and scales.
   */
  public static Length nearMm(double mm) {
    if (!(Math.abs(mm) < LIMIT_MM.doubleValue())) {
      return of(BigDecimal.valueOf(mm), Unit.MM); // refused there
    }
    return new Length((long) Math.rint(mm * 1e6) * (QUANTA_PER_MM / 1_000_000));
  }

  /** Reads what a person typed; see {@link LengthParser}. */
  public static Length parse(String text, Unit unitInForce) {
    return LengthParser.length(text, unitInForce);
  }

  public Length plus(Length other) {
    return new Length(Math.addExact(quanta, other.quanta));
  }

  public Length minus(Length other) {
    return new Length(Math.subtractExact(quanta, other.quanta));
  }

  /**
   * As much of this as one length is of another, to the quantum, towards zero.
   *
   * @throws ArithmeticException where the other is zero, or the outcome beyond any sheet
   */
  public Length times(Length by, Length over) {
    return by.equals(over)
        ? this
        : new Length(
            BigInteger.valueOf(quanta)
                .multiply(BigInteger.valueOf(by.quanta))
                .divide(BigInteger.valueOf(over.quanta))
                .longValueExact());
  }

  public Length times(long factor) {
    return new Length(Math.multiplyExact(quanta, factor));
  }

  /** This length divided by a whole number, to the nearest quantum, ties to even. */
  public Length dividedBy(long divisor) {
    long quotient = Math.floorDiv(quanta, divisor);
    long rest = quanta - quotient * divisor;
    long twice = 2 * rest;
    boolean up = twice > divisor || (twice == divisor && (quotient & 1) == 1);
    return new Length(up ? quotient + 1 : quotient);
  }

  public Length half() {
    return dividedBy(2);
  }

  public Length negate() {
    return new Length(-quanta);
  }

  public Length abs() {
    return quanta < 0 ? negate() : this;
  }

  public Length max(Length other) {
    return quanta >= other.quanta ? this : other;
  }

  public Length min(Length other) {
    return quanta <= other.quanta ? this : other;
  }

  public boolean isLessThan(Length other) {
    return quanta < other.quanta;
  }

  public boolean isMoreThan(Length other) {
    return quanta > other.quanta;
  }

  public boolean isZero() {
    return quanta == 0;
  }

  public boolean isNegative() {
    return quanta < 0;
  }

  public boolean isPositive() {
    return quanta > 0;
  }

  /** Millimetres, for a renderer. */
  public double toMm() {
    return (double) quanta / QUANTA_PER_MM;
  }

  /** A figure with its unit, always with the unit's overview decimals: for columns of a table. */
  public String column(Unit unit) {
    return in(unit, unit == Unit.IN ? 3 : unit == Unit.PX ? 0 : 1).toPlainString()
        + " "
        + unit.symbol();
  }

  /** Points of 1/72 in, for a renderer. */
  public double toPoints() {
    return (double) quanta / QUANTA_PER_POINT;
  }

  /** Whole pixels at a resolution, to the nearest: 1 in at 300 ppi is 300. */
  public long toPixels(int ppi) {
    return BigDecimal.valueOf(quanta)
        .multiply(BigDecimal.valueOf(ppi))
        .divide(BigDecimal.valueOf(QUANTA_PER_INCH), 0, RoundingMode.HALF_UP)
        .longValueExact();
  }

  /** The figure in a unit, rounded half up to a number of decimals. */
  public BigDecimal in(Unit unit, int decimals) {
    return BigDecimal.valueOf(quanta)
        .divide(BigDecimal.valueOf(unit.quanta()), decimals, RoundingMode.HALF_UP);
  }

  /** Whether the figure can be written in this unit with so many decimals and nothing lost. */
  public boolean isExactIn(Unit unit, int decimals) {
    return of(in(unit, decimals), unit).equals(this);
  }

  /**
   * The figure in a unit without its symbol, zeros at the end dropped: as many decimals as it has,
   * at most 6. {@code 12.4752}
   */
  public String figure(Unit unit) {
    return figure(unit, 6);
  }

  /** The figure with at most so many decimals, zeros at the end dropped. */
  public String figure(Unit unit, int atMost) {
    BigDecimal value = in(unit, atMost).stripTrailingZeros();
    return (value.scale() < 0 ? value.setScale(0) : value).toPlainString();
  }

  /** {@link #figure(Unit)} with its symbol: {@code 12.4752 in}. */
  public String print(Unit unit) {
    return figure(unit) + " " + unit.symbol();
  }

  /** As read on a drawing: at most {@link Unit#decimals()} decimals, with the symbol. */
  public String brief(Unit unit) {
    return figure(unit, unit.decimals()) + " " + unit.symbol();
  }

  /**
   * The exact decimal in a unit for a machine to read: exact where the decimal ends, else to 15
   * significant decimals (a length of whole mm has no finite figure in inches).
   */
  public String exact(Unit unit) {
    BigInteger n = BigInteger.valueOf(quanta);
    BigInteger d = BigInteger.valueOf(unit.quanta());
    BigInteger odd = d.divide(n.gcd(d).max(BigInteger.ONE));
    boolean ends = endsAsDecimal(odd);
    BigDecimal value =
        ends
            ? new BigDecimal(n)
                .divide(new BigDecimal(d), new MathContext(40, RoundingMode.UNNECESSARY))
            : new BigDecimal(n).divide(new BigDecimal(d), 15, RoundingMode.HALF_EVEN);
    value = value.stripTrailingZeros();
    return (value.scale() < 0 ? value.setScale(0) : value).toPlainString();
  }

  private static boolean endsAsDecimal(BigInteger denominator) {
    BigInteger rest = denominator;
    for (BigInteger prime : new BigInteger[] {BigInteger.TWO, BigInteger.valueOf(5)}) {
      while (rest.mod(prime).signum() == 0) {
        rest = rest.divide(prime);
      }
    }
    return rest.equals(BigInteger.ONE);
  }

  @Override
  public int compareTo(Length other) {
    return Long.compare(quanta, other.quanta);
  }

  /** In mm, with decimals enough that reading it back gives the same quanta. */
  @Override
  public String toString() {
    return exact(Unit.MM) + " mm";
  }
}
