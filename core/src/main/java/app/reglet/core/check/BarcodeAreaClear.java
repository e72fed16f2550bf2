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
    boolean overBarcode = false;
    for (Laid l : s.laid()) {
      overBarcode |= l instanceof Laid.Barcode;
      if (l instanceof Laid.Words w
          && area != null
          && !w.ink().isEmpty()
          && w.ink().overlaps(area)) {
        findings.add(
            covered(
                l,
                area,
                "“"
                    + l.name()
                    + "” stands in the barcode area of "
                    + area.size().brief(s.unit())
                    + ".",
                "words in the area"));
      } else if (overBarcode && l instanceof Laid.Area && overlapsBarcode(s, l.box())) {
        findings.add(
            covered(
                l,
                l.box(),
                "“" + l.name() + "” lies over the barcode: send it back or move it.",
                "over the barcode"));
      }
    }
    return findings;
  }

  private static boolean overlapsBarcode(Subject s, Box box) {
    return s.laid().stream().anyMatch(l -> l instanceof Laid.Barcode && l.box().overlaps(box));
  }

  private static Finding covered(Laid l, Box place, String sentence, String measured) {
    return Finding.ofPiece(
        "barcode-area-covered",
        Finding.Severity.MEND,
        l,
        place,
        sentence,
        measured,
        "nothing but the barcode",
        new Remedy.TakeOff(l.piece()));
  }
}
