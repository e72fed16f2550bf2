package app.reglet.core.check;

import app.reglet.core.house.BarcodeRule;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Zone;
import java.util.List;
import java.util.Optional;

/**
 * Whether the barcode is on the cover where the designer supplies it, and whether a place kept for
 * bars has any. Where it stands is told by {@link BarcodeInArea}.
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
    if (!unbarred.isEmpty() || !expected || s.laid().stream().anyMatch(BarcodePresent::isBarred)) {
      return unbarred;
    }
    boolean noIsbn = s.book().isbn().isEmpty();
    return s.wrap().zone(Zone.Kind.BARCODE, PanelKind.BACK).stream()
        .map(
            zone ->
                new Finding(
                    new OfBarcode.BarcodeMissing(s.wrap().house().name(), noIsbn, true),
                    Finding.Severity.MEND,
                    Optional.of(zone.box()),
                    Optional.empty(),
                    noIsbn ? List.of() : List.of(new Remedy.PlaceBarcode())))
        .toList();
  }

  /** Whether it is a barcode, or a page on which one was read back. */
  private static boolean isBarred(Laid l) {
    return l instanceof Laid.Barcode
        || l instanceof Laid.Page p && p.on().stream().anyMatch(Laid.Barcode.class::isInstance);
  }
}
