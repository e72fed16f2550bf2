package app.reglet.press.pageinks;

import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;

/**
 * A part of a page that is a form, without the words and pictures that lie wholly beside it: they
 * would be cut away and not seen, but whoever searches, copies or inspects the file would find them
 * there. Fonts and pictures are those of the whole.
 */
public final class PagePart {
  /** Lines round letters reach beyond their outlines, pt. */
  private static final double MARGIN = 2;

  /** What shows letters (ISO 32000-1, table 109), and what is left of it without them. */
  private static final Set<String> SHOWS = Set.of("Tj", "TJ", "'", "\"");

  private PagePart() {}

  /**
   * A part of a page.
   *
   * @param into the document that the form is in
   * @param whole the page
   * @param part what is seen of it at most, in the unit square with its top left corner at 0, 0
   * @return the whole where nothing of it lies beside the part
   */
  public static PDFormXObject of(PDDocument into, PDFormXObject whole, Rectangle2D part)
      throws IOException {
    byte[] content;
    try (InputStream in = whole.getCOSObject().createInputStream()) {
      content = in.readAllBytes();
    }
    PDPage page = new PDPage(whole.getBBox());
    page.setResources(whole.getResources());
    page.setContents(new PDStream(into, new ByteArrayInputStream(content)));
    WhereShown shown = WhereShown.on(page);
    Rectangle2D seen = seen(whole, part);
    List<Boolean> words = shown.words().stream().map(b -> isBeside(b, seen)).toList();
    List<Boolean> objects = shown.objects().stream().map(b -> isBeside(b, seen)).toList();
    if (!words.contains(true) && !objects.contains(true)) {
      return whole;
    }
    PDFormXObject form =
        new PDFormXObject(
            new PDStream(
                into,
                new ByteArrayInputStream(without(content, words, objects)),
                COSName.FLATE_DECODE));
    for (COSName key : List.of(COSName.RESOURCES, COSName.BBOX, COSName.MATRIX, COSName.GROUP)) {
      COSBase value = whole.getCOSObject().getItem(key);
      if (value != null) {
        form.getCOSObject().setItem(key, value);
      }
    }
    form.setFormType(1);
    return form;
  }

  /** The part in the form's own coordinates, y up. */
  private static Rectangle2D seen(PDFormXObject whole, Rectangle2D part) {
    AffineTransform matrix = whole.getMatrix().createAffineTransform();
    Rectangle2D upright =
        matrix.createTransformedShape(whole.getBBox().toGeneralPath()).getBounds2D();
    Rectangle2D there =
        new Rectangle2D.Double(
            upright.getX() + part.getX() * upright.getWidth(),
            upright.getMaxY() - part.getMaxY() * upright.getHeight(),
            part.getWidth() * upright.getWidth(),
            part.getHeight() * upright.getHeight());
    try {
      Rectangle2D in = matrix.createInverse().createTransformedShape(there).getBounds2D();
      return new Rectangle2D.Double(
          in.getX() - MARGIN,
          in.getY() - MARGIN,
          in.getWidth() + 2 * MARGIN,
          in.getHeight() + 2 * MARGIN);
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // a page has a size
    }
  }

  /**
   * @param at where something is; null for nowhere that is known
   */
  private static boolean isBeside(Rectangle2D at, Rectangle2D seen) {
    return at != null
        && (at.getMaxX() < seen.getMinX()
            || at.getMinX() > seen.getMaxX()
            || at.getMaxY() < seen.getMinY()
            || at.getMinY() > seen.getMaxY());
  }

  /** The operators without those that show what lies beside. */
  private static byte[] without(byte[] content, List<Boolean> words, List<Boolean> objects)
      throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ContentStreamWriter out = new ContentStreamWriter(bytes);
    PDFStreamParser parser = new PDFStreamParser(content);
    List<COSBase> operands = new ArrayList<>();
    int block = -1;
    int object = -1;
    for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
      if (token instanceof COSBase operand) {
        operands.add(operand);
        continue;
      }
      Operator operator = (Operator) token;
      String name = operator.getName();
      block += "BT".equals(name) ? 1 : 0;
      object += "Do".equals(name) ? 1 : 0;
      boolean unseen =
          "Do".equals(name) && objects.get(object)
              || SHOWS.contains(name) && block >= 0 && words.get(block);
      if (unseen) {
        rest(name, operands, out);
      } else {
        for (COSBase operand : operands) {
          out.writeToken(operand);
        }
        out.writeToken(operator);
      }
      operands.clear();
    }
    return bytes.toByteArray();
  }

  /** What else an operator does than to show: two of them begin a line, one sets spaces too. */
  private static void rest(String name, List<COSBase> operands, ContentStreamWriter out)
      throws IOException {
    if ("\"".equals(name) && operands.size() == 3) {
      out.writeToken(operands.get(0));
      out.writeToken(Operator.getOperator("Tw"));
      out.writeToken(operands.get(1));
      out.writeToken(Operator.getOperator("Tc"));
    }
    if ("\"".equals(name) || "'".equals(name)) {
      out.writeToken(Operator.getOperator("T*"));
    }
  }
}
