package app.reglet.press.compose;

import app.reglet.core.book.Isbn;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.barcode.IsbnBarcode;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/**
 * The ISBN barcode as marks: bars and digits in the black ink alone, on white.
 *
 * @param marks what is drawn
 * @param symbol the symbol with its quiet zones
 */
record Barcodes(List<Mark> marks, Rect symbol) {
  /** White round the quiet zones, mm. */
  private static final double MARGIN = 1.5;

  /** As large as the area takes, in its middle. */
  static Barcodes in(Rect area, Isbn isbn, Typeface face) {
    IsbnBarcode code =
        IsbnBarcode.within(isbn, area.width() - 2 * MARGIN, area.height() - 2 * MARGIN);
    double x = area.x() + (area.width() - code.width()) / 2;
    double y = area.y() + (area.height() - code.height()) / 2;
    List<Mark> marks = new ArrayList<>();
    marks.add(
        new Mark.Path(
            new Rect(x - MARGIN, y - MARGIN, code.width() + 2 * MARGIN, code.height() + 2 * MARGIN)
                .shape(),
            Fill.WHITE,
            null));
    for (IsbnBarcode.Bar bar : code.bars()) {
      marks.add(
          new Mark.Path(
              new Rect(x + bar.x(), y, bar.width(), bar.height()).shape(), Fill.BLACK_INK, null));
    }
    double size = code.digitHeight() / face.capHeight();
    for (IsbnBarcode.Digits group : code.digits()) {
      marks.add(digits(group, face, size, x, y + code.baseline()));
    }
    return new Barcodes(marks, new Rect(x, y, code.width(), code.height()));
  }

  /** Digits spread evenly, each in the middle of its share of the width. */
  private static Mark digits(
      IsbnBarcode.Digits group, Typeface face, double size, double left, double baseline) {
    ShapedLine line = face.shape(group.text(), 0);
    double share = group.width() / group.text().length();
    double[] x = new double[line.glyphs().length];
    for (int i = 0; i < x.length; i++) {
      double advance = face.shape(group.text().substring(i, i + 1), 0).advance() * size;
      x[i] = group.x() + i * share + (share - advance) / 2;
    }
    return new Mark.Glyphs(
        face,
        size,
        line.glyphs(),
        x,
        line.chars(),
        AffineTransform.getTranslateInstance(left, baseline),
        Fill.BLACK_INK,
        null,
        group.text());
  }
}
