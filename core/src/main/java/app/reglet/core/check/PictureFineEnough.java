package app.reglet.core.check;

import app.reglet.core.house.FileRules;
import java.util.List;

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
              return Finding.ofPiece(
                  coarse
                      ? new Found.PictureTooCoarse(p.name(), p.ppi(), rules.leastPpi())
                      : new Found.PictureSoft(
                          p.name(), p.ppi(), rules.wantedPpi(), rules.leastPpi()),
                  coarse ? Finding.Severity.MEND : Finding.Severity.LOOK,
                  p,
                  p.extent());
            })
        .toList();
  }
}
