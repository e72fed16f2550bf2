package app.reglet.core.house;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Specification;
import app.reglet.core.measure.Unit;

/**
 * A case worked out in the house's own guide: these facts must give these figures.
 *
 * @param spec the facts
 * @param spine the spine as printed in the guide, {@code 0.2252 in}; empty when not given
 * @param sheet the full sheet as printed, {@code 12.48 x 9.25 in}; empty when not given
 * @param source where the guide says so
 */
public record WorkedExample(Specification spec, String spine, String sheet, String source) {
  /** The case in words: {@code Case laminate, 6 × 9 in, 240 pp, white, black}. */
  public String print(Unit unit) {
    StringBuilder out = new StringBuilder(spec.binding().title());
    out.append(", ").append(spec.trim().print(unit));
    if (spec.binding() != Binding.EBOOK) {
      out.append(", ").append(spec.pages()).append(" pp, ").append(spec.stock());
      out.append(", ").append(spec.ink());
    }
    spec.flaps()
        .ifPresent(
            f ->
                out.append(", flaps ")
                    .append(f.front().figure(unit))
                    .append(" and ")
                    .append(f.back().print(unit)));
    spec.toldSpine().ifPresent(t -> out.append(", told ").append(t.width().print(unit)));
    return out.toString();
  }
}
