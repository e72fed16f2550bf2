package app.reglet.core.check;

import app.reglet.core.measure.Size;

/** What was found about the barcode and the area kept for it. */
public sealed interface OfBarcode extends Found {
  /**
   * The house expects a barcode in the art, or the cover has a place for one, and there are no
   * bars.
   *
   * @param noIsbn whether that is since the book has no sound ISBN
   * @param expected whether the house expects it
   */
  record BarcodeMissing(String house, boolean noIsbn, boolean expected) implements OfBarcode {
    @Override
    public String code() {
      return "barcode-missing";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.barcodeMissing(this);
    }
  }

  /** The barcode does not lie in its area. */
  record BarcodeOutOfArea(Size barcode, Size area) implements OfBarcode {
    @Override
    public String code() {
      return "barcode-out-of-area";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.barcodeOutOfArea(this);
    }
  }

  /**
   * The barcode lies on a panel that gives a scanner too little light back.
   *
   * @param reflected share of red light, 0 to 1
   * @param least share that is wanted
   */
  record BarcodePanelDark(String name, double reflected, double least) implements OfBarcode {
    @Override
    public String code() {
      return "barcode-panel-dark";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.barcodePanelDark(this);
    }
  }

  /** Words stand where the barcode goes. */
  record WordsInBarcodeArea(String name, Size area) implements OfBarcode {
    @Override
    public String code() {
      return "barcode-area-covered";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.wordsInBarcodeArea(this);
    }
  }

  /** Something lies over the barcode. */
  record OverBarcode(String name) implements OfBarcode {
    @Override
    public String code() {
      return "barcode-area-covered";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.overBarcode(this);
    }
  }
}
