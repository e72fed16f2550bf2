package app.reglet.core.check;

import app.reglet.core.house.BarcodeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Zone;
import java.util.List;
import java.util.Optional;

/** Whether the barcode is on the cover where the designer supplies it, and in its area. */
public final class BarcodePresent implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Optional<Zone> zone = s.wrap().zone(Zone.Kind.BARCODE, PanelKind.BACK);
    if (zone.isEmpty() || s.laid().isEmpty() || s.book().isbn().isEmpty()) {
      return List.of();
    }
    Box area = zone.get().box();
    List<Laid> codes = s.laid().stream().filter(Laid.Barcode.class::isInstance).toList();
    if (codes.isEmpty()) {
      boolean supplied =
          s.wrap()
              .rules()
              .barcode()
              .map(b -> b.supplier() == BarcodeRule.Supplier.DESIGNER)
              .orElse(false);
      return supplied
          ? List.of(
              new Finding(
                  new OfBarcode.BarcodeMissing(s.wrap().house().name()),
                  Finding.Severity.MEND,
                  Optional.of(area),
                  Optional.empty(),
                  List.of(new Remedy.PlaceBarcode())))
          : List.of();
    }
    return codes.stream()
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
