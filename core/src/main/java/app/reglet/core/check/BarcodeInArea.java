package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Zone;
import java.util.List;

/** Whether every barcode stands in the area that the house keeps for it. */
public final class BarcodeInArea implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.wrap().zone(Zone.Kind.BARCODE, PanelKind.BACK).stream()
        .flatMap(zone -> find(s, zone.box()).stream())
        .toList();
  }

  private static List<Finding> find(Subject s, Box area) {
    return s.laid().stream()
        .filter(l -> l instanceof Laid.Barcode)
        .filter(c -> !area.contains(c.extent(), Tolerance.OF_PLACE))
        .map(
            c ->
                Finding.ofPiece(
                    new OfBarcode.BarcodeOutOfArea(c.extent().size(), area.size()),
                    Finding.Severity.LOOK,
                    c,
                    c.extent(),
                    new Remedy.PlaceBarcode()))
        .toList();
  }
}
