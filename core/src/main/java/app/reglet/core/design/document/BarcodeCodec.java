package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import tools.jackson.databind.node.ObjectNode;

/** Barcodes as JSON and back: the book says the number; what is as in format 2 is left out. */
final class BarcodeCodec implements ContentCodec<Content.Barcode> {
  private static final Content.Barcode PLAIN = new Content.Barcode();

  @Override
  public String kind() {
    return "barcode";
  }

  @Override
  public void write(Content.Barcode barcode, ObjectNode out) {
    if (barcode.magnification() != PLAIN.magnification()) {
      out.put("magnification", barcode.magnification());
    }
    if (!barcode.fit()) {
      out.put("chosen", true);
    }
    if (barcode.isbnLine()) {
      out.put("isbnLine", true);
    }
    if (!barcode.addOn().isEmpty()) {
      out.put("addOn", barcode.addOn());
    }
    if (!barcode.panel().equals(PLAIN.panel())) {
      out.put("panel", barcode.panel().text());
    }
  }

  @Override
  public Content.Barcode read(Fields in) {
    return new Content.Barcode(
        in.number("magnification", PLAIN.magnification()),
        !in.flag("chosen"),
        in.flag("isbnLine"),
        in.text("addOn", ""),
        in.has("panel") ? in.colour("panel") : PLAIN.panel());
  }
}
