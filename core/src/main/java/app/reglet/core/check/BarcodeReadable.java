package app.reglet.core.check;

import java.util.List;

/**
 * Whether the barcode's panel is light enough for a scanner's red light: bars in black give back
 * some 3 %, and a contrast of 55 % is grade B of ISO/IEC 15416 (from memory).
 */
public final class BarcodeReadable implements Check {
  private static final double LEAST = 0.58;

  @Override
  public List<Finding> find(Subject s) {
    return s.laid().stream()
        .filter(Laid.Barcode.class::isInstance)
        .map(Laid.Barcode.class::cast)
        .filter(b -> b.reflected() < LEAST)
        .map(
            b ->
                Finding.ofPiece(
                    new OfBarcode.BarcodePanelDark(b.name(), b.reflected(), LEAST),
                    Finding.Severity.MEND,
                    b,
                    b.extent(),
                    new Remedy.WhitePanel(b.piece())))
        .toList();
  }
}
