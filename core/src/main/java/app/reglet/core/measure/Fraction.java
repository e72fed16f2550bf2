package app.reglet.core.measure;

import java.math.BigDecimal;
import java.math.BigInteger;

/** An exact fraction, of mm when {@code length}, else a bare number. */
record Fraction(BigInteger n, BigInteger d, boolean length) {
  static Fraction number(BigDecimal v) {
    return v.scale() <= 0
        ? new Fraction(v.toBigIntegerExact(), BigInteger.ONE, false)
        : new Fraction(v.unscaledValue(), BigInteger.TEN.pow(v.scale()), false);
  }

  Fraction in(Unit unit) {
    // mm = count × quanta(unit) / quanta(mm)
    return new Fraction(
        n.multiply(BigInteger.valueOf(unit.quanta())),
        d.multiply(BigInteger.valueOf(Unit.MM.quanta())),
        true);
  }

  Fraction add(Fraction o, int sign) {
    return new Fraction(
        n.multiply(o.d).add(o.n.multiply(d).multiply(BigInteger.valueOf(sign))),
        d.multiply(o.d),
        length);
  }
}
