package app.reglet.core.edit;

import app.reglet.core.design.Design;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.math.BigInteger;
import java.util.function.UnaryOperator;

/**
 * A design for a cover so many times as large: what is measured in pixels has no size of its own,
 * so type and distances go with the cover, by the lesser of the two ratios of its sides.
 */
public final class Scaling {
  private Scaling() {}

  /** The design of a cover that had one size, on a cover of another. */
  public static Design of(Design design, Size from, Size to) {
    boolean byWidth =
        to.width().toMm() / from.width().toMm() <= to.height().toMm() / from.height().toMm();
    BigInteger by = BigInteger.valueOf((byWidth ? to.width() : to.height()).quanta());
    BigInteger over = BigInteger.valueOf((byWidth ? from.width() : from.height()).quanta());
    UnaryOperator<Length> scaled =
        l -> new Length(BigInteger.valueOf(l.quanta()).multiply(by).divide(over).longValueExact());
    return new Design(
        design.palette(),
        Rewriting.sized(design.outside(), scaled),
        Rewriting.sized(design.inside(), scaled));
  }
}
