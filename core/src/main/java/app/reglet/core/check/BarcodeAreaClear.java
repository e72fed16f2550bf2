package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Zone;
import java.util.List;

/** Whether words stand in the area kept for the barcode. */
public final class BarcodeAreaClear implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.wrap().zone(Zone.Kind.BARCODE, PanelKind.BACK).stream()
        .flatMap(
            zone -> {
              Box area = zone.box();
              return s.words()
                  .filter(w -> w.ink().overlaps(area))
                  .map(
                      w ->
                          Finding.ofPiece(
                              "barcode-area-covered",
                              Finding.Severity.MEND,
                              w,
                              area,
                              "“"
                                  + w.name()
                                  + "” stands in the barcode area of "
                                  + area.size().brief(s.unit())
                                  + ".",
                              "words in the area",
                              "nothing but the barcode"));
            })
        .toList();
  }
}
