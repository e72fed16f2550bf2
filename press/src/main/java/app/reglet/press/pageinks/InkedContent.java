package app.reglet.press.pageinks;

import app.reglet.press.reading.Budget;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;

/**
 * The operators of a stream with every colour in four inks (ISO 32000-1, 8.6.8): {@code k} and
 * {@code K} in the place of all that set one. Everything else is as it was, but for marks that say
 * nothing of how it is printed.
 */
final class InkedContent {
  /** What a stream finds by the names it uses. */
  interface Named {
    /** The space that a name stands for, in the stream's resources or the device's own. */
    PDColorSpace space(COSName name) throws IOException;

    /**
     * Something that is shown or set by a name.
     *
     * @param kind of the resources that it is among
     */
    void uses(COSName kind, COSName name) throws IOException;

    /** The name of a picture that stood among the operators; null where it stays there. */
    COSName picture(COSDictionary parameters, byte[] data) throws IOException;
  }

  /** The device's own spaces by the operators that name them. */
  private static final Map<String, PDColorSpace> DEVICE =
      Map.of(
          "g", PDDeviceGray.INSTANCE,
          "rg", PDDeviceRGB.INSTANCE,
          "k", PDDeviceCMYK.INSTANCE);

  /** Among which resources the names of operators are that set no colour. */
  static final Map<String, COSName> KINDS =
      Map.of(
          "Do", COSName.XOBJECT,
          "gs", COSName.EXT_G_STATE,
          "Tf", COSName.FONT,
          "sh", COSName.SHADING);

  private final ColourInks colours;
  private final Named named;
  private final Budget budget;
  private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
  private final ContentStreamWriter out = new ContentStreamWriter(bytes);
  private final Deque<Colours> saved = new ArrayDeque<>();
  private Colours now;

  /**
   * What is set: a space each for filling and for lines; null where the stream that shows this one
   * has set it.
   */
  private record Colours(PDColorSpace fill, PDColorSpace line) {
    PDColorSpace of(boolean lines) {
      return lines ? line : fill;
    }

    Colours with(boolean lines, PDColorSpace space) {
      return lines ? new Colours(fill, space) : new Colours(space, line);
    }
  }

  private InkedContent(ColourInks colours, Named named, boolean page, Budget budget) {
    this.colours = colours;
    this.named = named;
    this.budget = budget;
    now =
        page ? new Colours(PDDeviceGray.INSTANCE, PDDeviceGray.INSTANCE) : new Colours(null, null);
  }

  /**
   * Changes a stream.
   *
   * @param page whether it is a page's, which begins in black; else one that is shown by another
   * @throws NotInInks when it can't be
   */
  static byte[] of(byte[] content, ColourInks colours, Named named, boolean page, Budget budget)
      throws IOException {
    InkedContent changed = new InkedContent(colours, named, page, budget);
    PDFStreamParser parser = new PDFStreamParser(content);
    List<COSBase> operands = new ArrayList<>();
    for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
      if (token instanceof Operator operator) {
        budget.object();
        changed.operator(operator, operands);
        operands.clear();
      } else if (token instanceof COSBase operand) {
        operands.add(operand);
      }
    }
    return changed.bytes.toByteArray();
  }

  private void operator(Operator operator, List<COSBase> operands) throws IOException {
    String name = operator.getName();
    switch (name) {
      case "q" -> {
        saved.push(now);
        emit("q", operands);
      }
      case "Q" -> {
        if (saved.isEmpty()) {
          throw new NotInInks("drawing operators in a wrong order");
        }
        now = saved.pop();
        emit("Q", operands);
      }
      case "g", "rg", "k" -> device(false, DEVICE.get(name), operands);
      case "G" -> device(true, PDDeviceGray.INSTANCE, operands);
      case "RG" -> device(true, PDDeviceRGB.INSTANCE, operands);
      case "K" -> device(true, PDDeviceCMYK.INSTANCE, operands);
      case "cs", "CS" -> space("CS".equals(name), operands);
      case "sc", "scn" -> colour(false, operands);
      case "SC", "SCN" -> colour(true, operands);
      case "BDC" -> emit("BMC", operands.subList(0, Math.min(1, operands.size())));
      case "DP" -> emit("MP", operands.subList(0, Math.min(1, operands.size())));
      case "BI" -> picture(operator);
      default -> {
        COSName kind = KINDS.get(name);
        if (kind != null && !operands.isEmpty() && operands.get(0) instanceof COSName used) {
          named.uses(kind, used);
        }
        emit(name, operands);
      }
    }
  }

  private void emit(String name, List<? extends COSBase> operands) throws IOException {
    for (COSBase o : operands) {
      out.writeToken(o);
    }
    out.writeToken(Operator.getOperator(name));
  }

  private void device(boolean lines, PDColorSpace space, List<COSBase> operands)
      throws IOException {
    now = now.with(lines, space);
    inks(lines, space, operands);
  }

  private void space(boolean lines, List<COSBase> operands) throws IOException {
    if (operands.size() != 1 || !(operands.get(0) instanceof COSName name)) {
      throw new NotInInks("a colour space without a name");
    }
    PDColorSpace space = named.space(name);
    now = now.with(lines, space);
    if (space instanceof PDPattern) {
      emit(lines ? "CS" : "cs", operands);
    } else {
      set(lines, colours.of(space).of(space.getInitialColor().getComponents()));
    }
  }

  private void colour(boolean lines, List<COSBase> operands) throws IOException {
    PDColorSpace space = now.of(lines);
    if (space == null) {
      throw new NotInInks("a part whose colours are those of what shows it");
    }
    if (!(space instanceof PDPattern pattern)) {
      inks(lines, space, operands);
      return;
    }
    if (!operands.isEmpty() && operands.get(operands.size() - 1) instanceof COSName tiles) {
      named.uses(COSName.PATTERN, tiles);
    }
    List<COSBase> now = operands;
    if (operands.size() > 1) { // the colour of a pattern that has none of its own
      PDColorSpace below = pattern.getUnderlyingColorSpace();
      if (below == null) {
        throw new NotInInks("a pattern's colour in no space");
      }
      now = new ArrayList<>();
      for (COSBase ink :
          ColourInks.numbers(
              colours.of(below).of(numbers(below, operands.subList(0, operands.size() - 1))))) {
        now.add(ink);
      }
      now.add(operands.get(operands.size() - 1));
    }
    emit(lines ? "SCN" : "scn", now);
  }

  private void inks(boolean lines, PDColorSpace space, List<COSBase> operands) throws IOException {
    set(lines, colours.of(space).of(numbers(space, operands)));
  }

  private void set(boolean lines, float[] inks) throws IOException {
    budget.expectTime();
    COSArray four = ColourInks.numbers(inks);
    emit(lines ? "K" : "k", List.of(four.get(0), four.get(1), four.get(2), four.get(3)));
  }

  private static float[] numbers(PDColorSpace space, List<COSBase> operands) {
    if (operands.size() != space.getNumberOfComponents()) {
      throw new NotInInks("a colour with too many or too few numbers");
    }
    float[] out = new float[operands.size()];
    for (int i = 0; i < out.length; i++) {
      if (!(operands.get(i) instanceof COSNumber n)) {
        throw new NotInInks("a colour that is no number");
      }
      out[i] = n.floatValue();
    }
    return out;
  }

  private void picture(Operator operator) throws IOException {
    COSName name = named.picture(operator.getImageParameters(), operator.getImageData());
    if (name == null) {
      out.writeToken(operator);
    } else {
      emit("Do", List.of(name));
    }
  }
}
