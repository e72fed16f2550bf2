package app.reglet.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * How a house rounds a figure, once, at the end: to a step (0.01 in, 1/16 in, 0.5 mm) up, down or
 * to the nearest; or not at all.
 *
 * @param step the step, zero for no rounding
 * @param mode the direction
 */
public record Rounding(Length step, Mode mode) {
  /** Direction of rounding; a tie in {@code NEAREST} goes up, as in commerce. */
  public enum Mode {
    NEAREST,
    UP,
    DOWN
  }

  public static final Rounding NONE = new Rounding(Length.ZERO, Mode.NEAREST);

  /** Rounding to a number of decimals in a unit. */
  public static Rounding decimals(int decimals, Unit unit, Mode mode) {
    return new Rounding(Length.of(BigDecimal.ONE.movePointLeft(decimals), unit), mode);
  }

  public boolean isNone() {
    return step.isZero();
  }

  /** The figure as the house states it. */
  public Length apply(Length exact) {
    if (isNone()) {
      return exact;
    }
    RoundingMode rounding =
        switch (mode) {
          case NEAREST -> RoundingMode.HALF_UP;
          case UP -> RoundingMode.CEILING;
          case DOWN -> RoundingMode.FLOOR;
        };
    long steps =
        BigDecimal.valueOf(exact.quanta())
            .divide(BigDecimal.valueOf(step.quanta()), 0, rounding)
            .longValueExact();
    return step.times(steps);
  }

  public Size apply(Size exact) {
    return new Size(apply(exact.width()), apply(exact.height()));
  }

  /** In words, {@code to the nearest 0.01 in}. */
  public String print(Unit unit) {
    if (isNone()) {
      return "not rounded";
    }
    String step = this.step.print(unit);
    return switch (mode) {
      case NEAREST -> "to the nearest " + step;
      case UP -> "up to the next " + step;
      case DOWN -> "down to the last " + step;
    };
  }
}
