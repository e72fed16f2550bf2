package app.reglet.core.check;

import app.reglet.core.house.Trims;
import app.reglet.core.measure.Size;
import java.util.List;

/** Whether the house offers the trim size in this binding. */
public final class TrimOffered implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Trims trims = s.wrap().rules().trims();
    Size trim = s.wrap().spec().trim();
    if (trims.offers(trim)) {
      return List.of();
    }
    Size nearest = trims.nearest(trim);
    return List.of(
        Finding.ofEdition(
            "trim-not-offered",
            s.wrap().house().name()
                + " does not offer "
                + trim.print(s.unit())
                + " in "
                + s.wrap().spec().binding().title().toLowerCase()
                + "; the nearest it offers is "
                + nearest.print(s.unit())
                + ", for which the inside must be re-set.",
            trim.print(s.unit()),
            nearest.print(s.unit()),
            List.of(new Remedy.UseTrim(nearest))));
  }
}
