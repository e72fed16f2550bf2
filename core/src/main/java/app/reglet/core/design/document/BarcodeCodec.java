package app.reglet.core.design.document;

import app.reglet.core.design.Content;
import tools.jackson.databind.node.ObjectNode;

/** Barcodes as JSON and back: the book says the number, so there is nothing to keep. */
final class BarcodeCodec implements ContentCodec<Content.Barcode> {
  @Override
  public String kind() {
    return "barcode";
  }

  @Override
  public void write(Content.Barcode barcode, ObjectNode out) {
    // the kind says it all
  }

  @Override
  public Content.Barcode read(Fields in) {
    return new Content.Barcode();
  }
}
