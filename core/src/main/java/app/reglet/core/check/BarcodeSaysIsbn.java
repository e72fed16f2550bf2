package app.reglet.core.check;

import java.util.List;
import java.util.Optional;

/** Whether one of the barcodes that were read back says the book's ISBN. */
public final class BarcodeSaysIsbn implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Optional<String> isbn = s.book().isbn().map(i -> i.digits());
    List<Laid.Barcode> read =
        s.laid().stream()
            .filter(Laid.Barcode.class::isInstance)
            .map(Laid.Barcode.class::cast)
            .filter(b -> !b.number().isEmpty())
            .toList();
    if (isbn.isEmpty()
        || read.isEmpty()
        || read.stream().anyMatch(b -> b.number().equals(isbn.get()))) {
      return List.of();
    }
    Laid.Barcode other = read.get(0);
    return List.of(
        Finding.ofPiece(
            new OfFile.BarcodeOther(other.number(), isbn.get()),
            Finding.Severity.MEND,
            other,
            other.extent()));
  }
}
