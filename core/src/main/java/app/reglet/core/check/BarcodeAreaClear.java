package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Zone;
import java.util.ArrayList;
import java.util.List;

/** Whether anything but the barcode stands in the area kept for it, or lies over the barcode. */
public final class BarcodeAreaClear implements Check {
  @Override
  public List<Finding> find(Subject s) {
    List<Finding> findings = new ArrayList<>();
    Box area = s.wrap().zone(Zone.Kind.BARCODE, PanelKind.BACK).map(Zone::box).orElse(null);
    List<Laid> codes = new ArrayList<>();
    for (Laid l : s.laid()) {
      if (l instanceof Laid.Barcode) {
        codes.add(l);
      } else if (l instanceof Laid.Words w) {
        if (area != null && Tolerance.overlaps(w.ink(), area)) {
          findings.add(words(w, area));
        }
      } else if (codes.stream().anyMatch(c -> Tolerance.overlap(c.outline(), l.outline()))) {
        findings.add(over(l));
      }
    }
    return findings;
  }

  private static Finding words(Laid.Words w, Box area) {
    return Finding.ofPiece(
        new OfBarcode.WordsInBarcodeArea(w.name(), area.size()),
        Finding.Severity.MEND,
        w,
        area,
        new Remedy.ClearOfBarcode(w.piece()),
        new Remedy.TakeOff(w.piece(), w.name()));
  }

  private static Finding over(Laid l) {
    return Finding.ofPiece(
        new OfBarcode.OverBarcode(l.name()),
        Finding.Severity.MEND,
        l,
        l.extent(),
        new Remedy.BehindBarcode(l.piece()),
        new Remedy.TakeOff(l.piece(), l.name()));
  }
}
