package app.reglet.press.compose;

import app.reglet.core.book.Isbn;
import app.reglet.core.design.Content;
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
 * The ISBN barcode as marks: bars and digits in the black ink alone, on a light panel.
 *
 * @param marks what is drawn
 * @param symbol the symbol with its quiet zones and its line
 * @param magnification at which it came out
 */
record Barcodes(List<Mark> marks, Rect symbol, double magnification) {
  /** Of the panel round the quiet zones, mm. */
  private static final double MARGIN = 1.5;

  /** In the middle of an area. */
  static Barcodes in(Rect area, Isbn isbn, Content.Barcode asked, Fill panel, Typeface face) {
    IsbnBarcode code =
        IsbnBarcode.within(isbn, asked, area.width() - 2 * MARGIN, area.height() - 2 * MARGIN);
    double x = area.x() + (area.width() - code.width()) / 2;
    double y = area.y() + (area.height() - code.height()) / 2;
    List<Mark> marks = new ArrayList<>();
    marks.add(
        new Mark.Path(
            new Rect(x - MARGIN, y - MARGIN, code.width() + 2 * MARGIN, code.height() + 2 * MARGIN)
                .shape(),
            panel,
            null));
    for (IsbnBarcode.Bar bar : code.bars()) {
      marks.add(
          new Mark.Path(
              new Rect(x + bar.x(), y + bar.y(), bar.width(), bar.height()).shape(),
              Fill.BLACK_INK,
              null));
    }
    for (IsbnBarcode.Digits group : code.digits()) {
      marks.add(digits(group, face, x, y));
    }
    if (!code.line().text().isEmpty()) {
      marks.add(line(code.line(), face, x, y));
    }
    return new Barcodes(marks, new Rect(x, y, code.width(), code.height()), code.magnification());
  }

  /** Digits spread evenly, each in the middle of its share of the width. */
  private static Mark digits(IsbnBarcode.Digits group, Typeface face, double left, double top) {
    double size = group.height() / face.capHeight();
    ShapedLine line = face.shape(group.text(), 0);
    double share = group.width() / group.text().length();
    double[] x = new double[line.glyphs().length];
    for (int i = 0; i < x.length; i++) {
      double advance = face.shape(group.text().substring(i, i + 1), 0).advance() * size;
      x[i] = group.x() + i * share + (share - advance) / 2;
    }
    return glyphs(group, face, size, line, x, left, top);
  }

  /** A line set in the middle of the width, smaller where it has no room. */
  private static Mark line(IsbnBarcode.Digits text, Typeface face, double left, double top) {
    ShapedLine line = face.shape(text.text(), 0);
    double size = Math.min(text.height() / face.capHeight(), text.width() / line.advance());
    double[] x = line.x().clone();
    double start = text.x() + (text.width() - line.advance() * size) / 2;
    for (int i = 0; i < x.length; i++) {
      x[i] = start + x[i] * size;
    }
    return glyphs(text, face, size, line, x, left, top);
  }

  private static Mark glyphs(
      IsbnBarcode.Digits text,
      Typeface face,
      double size,
      ShapedLine line,
      double[] x,
      double left,
      double top) {
    return new Mark.Glyphs(
        face,
        size,
        line.glyphs(),
        x,
        line.y(size),
        Mark.Glyphs.UPRIGHT,
        line.chars(),
        AffineTransform.getTranslateInstance(left, top + text.baseline()),
        Fill.BLACK_INK,
        null,
        text.text());
  }
}
