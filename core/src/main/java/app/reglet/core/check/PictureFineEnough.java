package app.reglet.core.check;

import app.reglet.core.house.FileRules;
import java.util.List;
import java.util.Locale;

/** Whether pictures have enough pixels to the inch at the size they are printed. */
public final class PictureFineEnough implements Check {
  @Override
  public List<Finding> find(Subject s) {
    FileRules rules = s.wrap().house().files();
    return s.laid().stream()
        .filter(Laid.Picture.class::isInstance)
        .map(Laid.Picture.class::cast)
        .filter(p -> p.ppi() < rules.wantedPpi())
        .map(
            p -> {
              boolean coarse = p.ppi() < rules.leastPpi();
              String ppi = String.format(Locale.ROOT, "%.0f ppi", Math.floor(p.ppi()));
              return Finding.ofPiece(
                  coarse ? "picture-too-coarse" : "picture-soft",
                  coarse ? Finding.Severity.MEND : Finding.Severity.LOOK,
                  p,
                  p.extent(),
                  "“"
                      + p.name()
                      + "” has "
                      + ppi
                      + " at printed size; "
                      + (coarse
                          ? "below " + rules.leastPpi() + " ppi its pixels show."
                          : rules.wantedPpi()
                              + " ppi is wanted, "
                              + rules.leastPpi()
                              + " the floor for soft pictures."),
                  ppi,
                  rules.wantedPpi() + " ppi");
            })
        .toList();
  }
}
