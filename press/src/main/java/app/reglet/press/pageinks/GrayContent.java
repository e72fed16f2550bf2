package app.reglet.press.pageinks;

import app.reglet.press.reading.Budget;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;

/**
 * What says by its lightness how much of something else is seen (ISO 32000-1, 11.6.5.3): it is
 * given in gray alone, with the lightness it had (10.3.2, 10.3.3), so that a press file has no
 * colours of a screen in it.
 */
final class GrayContent {
  /** What sets a space, or a colour in a space that may be another than the device's. */
  private static final Set<String> NAMED = Set.of("cs", "CS", "sc", "SC", "scn", "SCN", "BI");

  private GrayContent() {}

  /**
   * A stream's operators in gray.
   *
   * @throws NotInInks when it has other colours than the device's own
   */
  static byte[] of(byte[] content, InkedContent.Named named, Budget budget) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ContentStreamWriter out = new ContentStreamWriter(bytes);
    PDFStreamParser parser = new PDFStreamParser(content);
    List<COSBase> operands = new ArrayList<>();
    for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
      if (token instanceof COSBase operand) {
        operands.add(operand);
        continue;
      }
      budget.object();
      String name = ((Operator) token).getName();
      if (NAMED.contains(name)) {
        throw new NotInInks("a mask in colours of its own");
      }
      if (Set.of("rg", "RG", "k", "K").contains(name)) {
        out.writeToken(ColourInks.number(gray(operands)));
        out.writeToken(Operator.getOperator(Character.isLowerCase(name.charAt(0)) ? "g" : "G"));
      } else {
        COSName kind = InkedContent.KINDS.get(name);
        if (kind != null && !operands.isEmpty() && operands.get(0) instanceof COSName used) {
          named.uses(kind, used);
        }
        for (COSBase operand : operands) {
          out.writeToken(operand);
        }
        out.writeToken(Operator.getOperator(name));
      }
      operands.clear();
    }
    return bytes.toByteArray();
  }

  private static float gray(List<COSBase> operands) {
    float[] c = new float[operands.size()];
    for (int i = 0; i < c.length; i++) {
      if (!(operands.get(i) instanceof COSNumber n)) {
        throw new NotInInks("a colour that is no number");
      }
      c[i] = n.floatValue();
    }
    if (c.length < 3) {
      throw new NotInInks("a colour with too many or too few numbers");
    }
    float weighed = 0.3f * c[0] + 0.59f * c[1] + 0.11f * c[2];
    return c.length == 3 ? weighed : 1 - Math.min(1, weighed + c[3]);
  }

  /** Gives a mask's group the space that its lightness is read in. */
  static void group(COSDictionary group, boolean changing) {
    COSBase space = group.getDictionaryObject(COSName.CS);
    if (COSName.DEVICERGB.equals(space)) {
      if (changing) {
        group.setItem(COSName.CS, COSName.DEVICEGRAY);
      }
    } else {
      expectGray(space);
    }
  }

  static void expectGray(COSBase space) {
    if (!COSName.DEVICEGRAY.equals(space)) {
      throw new NotInInks("a mask in colours of its own");
    }
  }
}
