package app.reglet.core.check;

import app.reglet.core.house.FileRules;
import app.reglet.core.wrap.Wrap;
import java.util.List;

/** Whether pictures have enough pixels to the inch at the size they are printed. */
public final class PictureFineEnough implements Check {
  /** So many times as fine as is wanted is too fine: our own judgement. */
  private static final int MUCH = 2;

  /** Where the press file is made with fewer pixels anyway, nothing is lost by many. */
  private static boolean isTooFine(Laid.Picture p, Wrap wrap) {
    FileRules rules = wrap.house().files();
    return !wrap.spec().binding().isInPixels()
        && rules.press().mostPpi() == 0
        && p.ppi() > MUCH * rules.wantedPpi();
  }

  @Override
  public List<Finding> find(Subject s) {
    FileRules rules = s.wrap().house().files();
    return s.laid().stream()
        .filter(Laid.Picture.class::isInstance)
        .map(Laid.Picture.class::cast)
        .filter(p -> p.ppi() < rules.wantedPpi() || isTooFine(p, s.wrap()))
        .map(
            p -> {
              if (isTooFine(p, s.wrap())) {
                return Finding.ofPiece(
                    new Found.PictureFine(p.name(), p.ppi(), MUCH * rules.wantedPpi()),
                    Finding.Severity.LOOK,
                    p,
                    p.extent());
              }
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
