package app.reglet.core.house;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The trim sizes a house offers for a binding: listed ones, and perhaps any size within a range.
 *
 * @param listed sizes by name
 * @param custom the range of free sizes, if any
 */
public record Trims(List<Size> listed, Optional<Range> custom) {
  /** Free sizes from the smallest to the largest, each side on its own. */
  public record Range(Size least, Size most) {
    boolean allows(Size s) {
      return within(s.width(), least.width(), most.width())
          && within(s.height(), least.height(), most.height());
    }

    private static boolean within(Length v, Length least, Length most) {
      return !v.isLessThan(least) && !v.isMoreThan(most);
    }

    Size nearest(Size s) {
      return new Size(
          s.width().max(least.width()).min(most.width()),
          s.height().max(least.height()).min(most.height()));
    }
  }

  public Trims {
    listed = List.copyOf(listed);
  }

  public boolean offers(Size trim) {
    return listed.stream().anyMatch(trim::isNear) || custom.filter(r -> r.allows(trim)).isPresent();
  }

  /** The offered size whose sides differ least, in sum, from the one wished for. */
  public Size nearest(Size trim) {
    Comparator<Size> byDistance = Comparator.comparing(s -> distance(s, trim));
    Optional<Size> free = custom.map(r -> r.nearest(trim));
    Optional<Size> fixed = listed.stream().min(byDistance);
    return java.util.stream.Stream.concat(fixed.stream(), free.stream())
        .min(byDistance)
        .orElseThrow();
  }

  /**
   * Of the listed sizes, the one whose proportion is nearest: a screen has no size of its own, so a
   * shop's sizes are told apart by their shape. The first of those equally near.
   */
  public Size nearestShape(Size trim) {
    double wished = shape(trim);
    return listed.stream()
        .min(Comparator.comparingDouble(s -> Math.abs(Math.log(shape(s) / wished))))
        .orElseGet(() -> nearest(trim));
  }

  private static double shape(Size s) {
    return s.height().toMm() / s.width().toMm();
  }

  private static Length distance(Size a, Size b) {
    return a.width().minus(b.width()).abs().plus(a.height().minus(b.height()).abs());
  }
}
