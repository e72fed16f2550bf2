package app.reglet.press.pageinks;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.util.BoundingBox;
import org.apache.pdfbox.contentstream.PDFStreamEngine;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.state.Concatenate;
import org.apache.pdfbox.contentstream.operator.state.Restore;
import org.apache.pdfbox.contentstream.operator.state.Save;
import org.apache.pdfbox.contentstream.operator.state.SetGraphicsStateParameters;
import org.apache.pdfbox.contentstream.operator.state.SetMatrix;
import org.apache.pdfbox.contentstream.operator.text.BeginText;
import org.apache.pdfbox.contentstream.operator.text.EndText;
import org.apache.pdfbox.contentstream.operator.text.MoveText;
import org.apache.pdfbox.contentstream.operator.text.MoveTextSetLeading;
import org.apache.pdfbox.contentstream.operator.text.NextLine;
import org.apache.pdfbox.contentstream.operator.text.SetCharSpacing;
import org.apache.pdfbox.contentstream.operator.text.SetFontAndSize;
import org.apache.pdfbox.contentstream.operator.text.SetTextHorizontalScaling;
import org.apache.pdfbox.contentstream.operator.text.SetTextLeading;
import org.apache.pdfbox.contentstream.operator.text.SetTextRenderingMode;
import org.apache.pdfbox.contentstream.operator.text.SetTextRise;
import org.apache.pdfbox.contentstream.operator.text.SetWordSpacing;
import org.apache.pdfbox.contentstream.operator.text.ShowText;
import org.apache.pdfbox.contentstream.operator.text.ShowTextAdjusted;
import org.apache.pdfbox.contentstream.operator.text.ShowTextLine;
import org.apache.pdfbox.contentstream.operator.text.ShowTextLineAndSpace;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType3Font;
import org.apache.pdfbox.pdmodel.font.PDVectorFont;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/**
 * Where a page's operators show words and objects, in points of the page: a place for each {@code
 * BT} and each {@code Do} of its own stream, in their order.
 */
final class WhereShown extends PDFStreamEngine {
  /** Ways of showing words from here on cut what follows (table 106): they always stay. */
  private static final int CUTS = 4;

  private final List<Rectangle2D> words = new ArrayList<>();
  private final List<Rectangle2D> objects = new ArrayList<>();
  private boolean cuts;

  private WhereShown() {
    addOperator(new BeginText(this));
    addOperator(new EndText(this));
    addOperator(new SetFontAndSize(this));
    addOperator(new MoveText(this));
    addOperator(new MoveTextSetLeading(this));
    addOperator(new NextLine(this));
    addOperator(new SetCharSpacing(this));
    addOperator(new SetWordSpacing(this));
    addOperator(new SetTextHorizontalScaling(this));
    addOperator(new SetTextLeading(this));
    addOperator(new SetTextRenderingMode(this));
    addOperator(new SetTextRise(this));
    addOperator(new SetMatrix(this));
    addOperator(new ShowText(this));
    addOperator(new ShowTextAdjusted(this));
    addOperator(new ShowTextLine(this));
    addOperator(new ShowTextLineAndSpace(this));
    addOperator(new Concatenate(this));
    addOperator(new Save(this));
    addOperator(new Restore(this));
    addOperator(new SetGraphicsStateParameters(this));
  }

  static WhereShown on(PDPage page) throws IOException {
    WhereShown shown = new WhereShown();
    shown.processPage(page);
    return shown;
  }

  /** Places of words; null where that is not known. */
  List<Rectangle2D> words() {
    return words;
  }

  /** Places of pictures and forms; null where that is not known. */
  List<Rectangle2D> objects() {
    return objects;
  }

  @Override
  protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
    if ("BT".equals(operator.getName())) {
      words.add(null);
      cuts = false;
    } else if ("Do".equals(operator.getName())) {
      objects.add(
          operands.size() == 1 && operands.get(0) instanceof COSName name ? place(name) : null);
    }
    super.processOperator(operator, operands);
  }

  private Rectangle2D place(COSName name) {
    COSDictionary all = getResources().getCOSObject().getCOSDictionary(COSName.XOBJECT);
    COSDictionary object = all == null ? null : all.getCOSDictionary(name);
    if (object == null) {
      return null;
    }
    Shape own = new Rectangle2D.Double(0, 0, 1, 1);
    if (COSName.FORM.equals(object.getCOSName(COSName.SUBTYPE))) {
      if (!(object.getDictionaryObject(COSName.BBOX) instanceof COSArray box) || box.size() != 4) {
        return null;
      }
      own =
          Matrix.createMatrix(object.getDictionaryObject(COSName.MATRIX))
              .createAffineTransform()
              .createTransformedShape(new PDRectangle(box).toGeneralPath());
    }
    return getGraphicsState()
        .getCurrentTransformationMatrix()
        .createAffineTransform()
        .createTransformedShape(own)
        .getBounds2D();
  }

  @Override
  protected void showGlyph(Matrix at, PDFont font, int code, Vector displacement)
      throws IOException {
    Shape letter = font instanceof PDVectorFont v ? v.getNormalizedPath(code) : null;
    if (letter == null) {
      shown(at, font, displacement);
    } else if (!letter.getBounds2D().isEmpty()) {
      Matrix there = Matrix.concatenate(at, font.getFontMatrix());
      add(there.createAffineTransform().createTransformedShape(letter).getBounds2D());
    }
  }

  @Override
  protected void showType3Glyph(Matrix at, PDType3Font font, int code, Vector displacement)
      throws IOException {
    shown(at, font, displacement);
  }

  /** A letter whose outline is not known: within its font's box, and about its own. */
  private void shown(Matrix at, PDFont font, Vector displacement) throws IOException {
    Rectangle2D letter =
        new Rectangle2D.Double(
            Math.min(0, displacement.getX()) - 0.3,
            Math.min(0, displacement.getY()) - 0.5,
            Math.abs(displacement.getX()) + 0.6,
            Math.abs(displacement.getY()) + 1.8);
    BoundingBox b = font.getBoundingBox();
    if (b != null) {
      Rectangle2D box =
          new Rectangle2D.Double(b.getLowerLeftX(), b.getLowerLeftY(), b.getWidth(), b.getHeight());
      letter.add(
          font.getFontMatrix().createAffineTransform().createTransformedShape(box).getBounds2D());
    }
    add(at.createAffineTransform().createTransformedShape(letter).getBounds2D());
  }

  private void add(Rectangle2D letter) {
    cuts |= getGraphicsState().getTextState().getRenderingMode().intValue() >= CUTS;
    int last = words.size() - 1;
    if (last < 0) {
      return;
    }
    Rectangle2D all = words.get(last) == null ? letter : words.get(last).createUnion(letter);
    words.set(last, cuts ? new Rectangle2D.Double(-1e6, -1e6, 2e6, 2e6) : all);
  }
}
