package app.reglet.press.pdf;

import app.reglet.press.art.Frame;
import app.reglet.press.drawing.HatchLines;
import app.reglet.press.drawing.Item;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;

/** Draws a technical drawing on a page of a PDF. */
final class DrawingPdf {
  /** The ink of guides, a little lighter than black. */
  private static final float INK = 0.15f;

  private final PDPageContentStream out;
  private final PDFont font;
  private final AffineTransform toPage;

  /**
   * @param out the page
   * @param font of every label
   * @param toPage from the drawing's mm, y down, to the page's points, y up; without rotation
   */
  DrawingPdf(PDPageContentStream out, PDFont font, AffineTransform toPage) {
    this.out = out;
    this.font = font;
    this.toPage = toPage;
  }

  static PDFont font(PDDocument document, Typeface face) throws IOException {
    return PDType0Font.load(document, new ByteArrayInputStream(face.file()), true);
  }

  void draw(List<Item> items) throws IOException {
    out.saveGraphicsState();
    out.setStrokingColor(INK);
    out.setNonStrokingColor(INK);
    for (Item item : items) {
      if (item instanceof Item.Path p) {
        path(p);
      } else if (item instanceof Item.Hatch h) {
        hatch(h);
      } else if (item instanceof Item.Label l) {
        label(l);
      }
    }
    out.restoreGraphicsState();
  }

  private float scale() {
    return (float) toPage.getScaleX();
  }

  private void path(Item.Path p) throws IOException {
    float[] dashes = new float[p.dashes().size()];
    for (int i = 0; i < dashes.length; i++) {
      dashes[i] = p.dashes().get(i).floatValue() * scale();
    }
    out.setLineDashPattern(dashes, 0);
    for (double[] run : p.shapes()) {
      double[] at = new double[run.length];
      toPage.transform(run, 0, at, 0, run.length / 2);
      out.moveTo((float) at[0], (float) at[1]);
      for (int i = 2; i < at.length; i += 2) {
        out.lineTo((float) at[i], (float) at[i + 1]);
      }
      if (p.closed()) {
        out.closePath();
      }
    }
    if (p.filled()) {
      out.fill();
    } else {
      out.setLineWidth((float) p.weight() * scale());
      out.stroke();
    }
  }

  private void hatch(Item.Hatch h) throws IOException {
    out.saveGraphicsState();
    out.setLineDashPattern(new float[0], 0);
    out.setLineWidth((float) h.weight() * scale());
    rectangle(h.outer());
    if (h.inner() != null) {
      rectangle(h.inner());
    }
    out.clipEvenOdd();
    for (double[] line : HatchLines.of(h)) {
      double[] at = new double[4];
      toPage.transform(line, 0, at, 0, 2);
      out.moveTo((float) at[0], (float) at[1]);
      out.lineTo((float) at[2], (float) at[3]);
    }
    out.stroke();
    out.restoreGraphicsState();
  }

  private void rectangle(Frame f) throws IOException {
    double[] at = {f.x(), f.bottom(), f.right(), f.y()};
    toPage.transform(at, 0, at, 0, 2);
    out.addRect((float) at[0], (float) at[1], (float) (at[2] - at[0]), (float) (at[3] - at[1]));
  }

  private void label(Item.Label l) throws IOException {
    float size = (float) l.size() * scale();
    double width = font.getStringWidth(l.text()) / 1000 * size;
    double back =
        switch (l.anchor()) {
          case START -> 0;
          case MIDDLE -> width / 2;
          case END -> width;
        };
    double[] at = {l.x(), l.y()};
    toPage.transform(at, 0, at, 0, 1);
    AffineTransform place = AffineTransform.getTranslateInstance(at[0], at[1]);
    place.rotate(Math.toRadians(-l.turn()));
    place.translate(-back, 0);
    out.beginText();
    out.setFont(font, size);
    out.setTextMatrix(new Matrix(place));
    out.showText(l.text());
    out.endText();
  }
}
