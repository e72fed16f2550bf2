package app.reglet.core.check;

import app.reglet.core.house.BarcodeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Zone;
import java.util.List;
import java.util.Optional;

/**
 * Whether the barcode is on the cover where the designer supplies it, and in its area; and whether
 * a place kept for bars has any.
 */
public final class BarcodePresent implements Check {
  @Override
  public List<Finding> find(Subject s) {
    if (s.laid().isEmpty()) {
      return List.of();
    }
    boolean expected =
        s.wrap().rules().barcode().stream()
            .anyMatch(b -> b.supplier() == BarcodeRule.Supplier.DESIGNER);
    List<Finding> unbarred =
        s.laid().stream()
            .filter(Laid.Unbarred.class::isInstance)
            .map(
                u ->
                    Finding.ofPiece(
                        new OfBarcode.BarcodeMissing(s.wrap().house().name(), true, expected),
                        Finding.Severity.MEND,
                        u,
                        u.extent()))
            .toList();
    Optional<Zone> zone = s.wrap().zone(Zone.Kind.BARCODE, PanelKind.BACK);
    if (zone.isEmpty() || !unbarred.isEmpty()) {
      return unbarred;
    }
    Box area = zone.get().box();
    List<Laid> codes = s.laid().stream().filter(Laid.Barcode.class::isInstance).toList();
    boolean onPage =
        s.laid().stream()
            .anyMatch(
                l ->
                    l instanceof Laid.Page p
                        && p.on().stream().anyMatch(Laid.Barcode.class::isInstance));
    if (codes.isEmpty() && onPage) {
      return List.of(); // what is wrong with that one is told by OnPages
    }
    if (codes.isEmpty()) {
      boolean noIsbn = s.book().isbn().isEmpty();
      return expected
          ? List.of(
              new Finding(
                  new OfBarcode.BarcodeMissing(s.wrap().house().name(), noIsbn, true),
                  Finding.Severity.MEND,
                  Optional.of(area),
                  Optional.empty(),
                  noIsbn ? List.of() : List.of(new Remedy.PlaceBarcode())))
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
