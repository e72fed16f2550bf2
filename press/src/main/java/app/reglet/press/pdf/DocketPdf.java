package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapText;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.drawing.WrapDrawing;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * One page to print and pin up: the facts of an edition, its drawing and its figures. Landscape, A4
 * for figures in mm, US Letter for inches.
 */
public final class DocketPdf {
  private static final float EDGE = 34;
  private static final float LEADING = 11.2f;
  private static final float FIGURES = 8;
  private static final long FIXED_ID = 2;

  private final Wrap outside;
  private final Unit unit;
  private final Typeface face;
  private final Typeface bold;
  private final PDPageContentStream out;
  private final PDFont font;
  private final PDFont heading;
  private final float width;
  private final float height;
  private final List<DrawingAt> drawings = new ArrayList<>();

  /** A drawing and where it lies on the page. */
  private record DrawingAt(AffineTransform toPage, List<Mark.Group> marks) {}

  private DocketPdf(
      PDDocument document,
      PDPage page,
      PDPageContentStream out,
      Wrap outside,
      Unit unit,
      Typeface face,
      Typeface bold)
      throws IOException {
    this.out = out;
    this.outside = outside;
    this.unit = unit;
    this.face = face;
    this.bold = bold;
    this.font = font(document, face);
    this.heading = font(document, bold);
    this.width = page.getMediaBox().getWidth();
    this.height = page.getMediaBox().getHeight();
  }

  /**
   * The page.
   *
   * @param notes sentences to print under the figures, findings for instance
   */
  public static byte[] make(
      Book book, Wrap outside, Unit unit, List<String> notes, Typeface face, Typeface bold) {
    try (PDDocument document = new PDDocument()) {
      document.setVersion(1.6f);
      PDRectangle upright = unit == Unit.IN ? PDRectangle.LETTER : PDRectangle.A4;
      PDPage page = new PDPage(new PDRectangle(upright.getHeight(), upright.getWidth()));
      document.addPage(page);
      PdfParts parts = new PdfParts(document, null);
      DocketPdf docket;
      try (PDPageContentStream out = new PDPageContentStream(document, page)) {
        docket = new DocketPdf(document, page, out, outside, unit, face, bold);
        docket.draw(book, notes);
      }
      List<PDStream> streams = new ArrayList<>();
      page.getContentStreams().forEachRemaining(streams::add);
      for (DrawingAt d : docket.drawings) {
        byte[] drawing = PdfPainter.write(parts, page.getResources(), face, d.toPage(), d.marks());
        streams.add(
            new PDStream(document, new ByteArrayInputStream(drawing), COSName.FLATE_DECODE));
      }
      page.setContents(streams);
      parts.fonts().finish();
      document.getDocumentInformation().setTitle("Docket: " + book.title());
      document.getDocumentInformation().setProducer("Reglet");
      document.setDocumentId(FIXED_ID);
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes, CompressParameters.DEFAULT_COMPRESSION);
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static PDFont font(PDDocument document, Typeface face) throws IOException {
    return PDType0Font.load(document, new ByteArrayInputStream(face.file()), true);
  }

  private void draw(Book book, List<String> notes) throws IOException {
    float top = height - EDGE;
    text(heading, bold, 15, EDGE, top - 11, shortened(book.title(), 70));
    text(
        font,
        face,
        9,
        EDGE,
        top - 25,
        shortened(
            (book.author().isBlank() ? "" : book.author() + "  ·  ")
                + outside.spec().binding().title()
                + "  ·  "
                + outside.house().name()
                + book.isbn().map(i -> "  ·  ISBN " + i.print()).orElse(""),
            140));
    int columns = 2;
    List<String> figures = figures(notes, (width - 2 * EDGE) / columns - 14);
    int rows = (figures.size() + columns - 1) / columns;
    float foot = EDGE + rows * LEADING + 6;
    drawings(new PDRectangle(EDGE, foot, width - 2 * EDGE, top - 36 - foot));
    out.setStrokingColor(0.4f);
    out.setLineWidth(0.4f);
    out.moveTo(EDGE, foot - 2);
    out.lineTo(width - EDGE, foot - 2);
    out.stroke();
    float column = (width - 2 * EDGE) / columns;
    for (int i = 0; i < figures.size(); i++) {
      text(
          font,
          face,
          FIGURES,
          EDGE + (i / rows) * column,
          foot - 12 - (i % rows) * LEADING,
          figures.get(i));
    }
  }

  /**
   * The lines of the measurement sheet that fit under a drawing: rules and sums, no coordinates.
   */
  private List<String> figures(List<String> notes, float room) throws IOException {
    List<String> lines = new ArrayList<>();
    for (String line : WrapText.summary(outside, unit)) {
      broken(line.replaceAll("\\s{2,}", "   "), room, lines);
    }
    for (String note : notes.stream().limit(6).toList()) {
      broken(note, room, lines);
    }
    return lines;
  }

  /** Breaks a line between words where it is wider than its column. */
  private void broken(String line, float room, List<String> lines) throws IOException {
    StringBuilder current = new StringBuilder();
    for (String word : printable(face, line).split("(?<= )")) {
      if (!current.isEmpty()
          && font.getStringWidth(current + word.stripTrailing()) / 1000 * FIGURES > room) {
        lines.add(current.toString());
        current.setLength(0);
        current.append("      ");
      }
      current.append(word);
    }
    lines.add(current.toString());
  }

  /** Every page side by side, as large as the room allows, all at one scale. */
  private void drawings(PDRectangle room) throws IOException {
    List<WrapDrawing> all =
        FilePages.of(outside).stream().map(w -> WrapDrawing.printed(w, unit)).toList();
    double across = all.stream().mapToDouble(d -> d.view().width()).sum();
    double down = all.stream().mapToDouble(d -> d.view().height()).max().orElse(1);
    double scale = Math.min(room.getWidth() / across, room.getHeight() / down);
    double x = room.getLowerLeftX() + (room.getWidth() - across * scale) / 2;
    double y = room.getUpperRightY() - (room.getHeight() - down * scale) / 2;
    for (WrapDrawing d : all) {
      Rect v = d.view();
      AffineTransform toPage =
          new AffineTransform(scale, 0, 0, -scale, x - v.x() * scale, y + v.y() * scale);
      drawings.add(
          new DrawingAt(
              toPage, d.marks().stream().filter(g -> !g.name().equals("centres")).toList()));
      x += v.width() * scale;
    }
  }

  private static String shortened(String text, int most) {
    int n = text.codePointCount(0, text.length());
    return n <= most ? text : text.substring(0, text.offsetByCodePoints(0, most - 1)) + "…";
  }

  private void text(PDFont with, Typeface typeface, float size, float x, float y, String text)
      throws IOException {
    out.beginText();
    out.setNonStrokingColor(0.1f);
    out.setFont(with, size);
    out.newLineAtOffset(x, y);
    out.showText(printable(typeface, text));
    out.endText();
  }

  /** The text with a question mark for every character the face can't print. */
  private static String printable(Typeface typeface, String text) {
    String missing = typeface.missing(text);
    StringBuilder printable = new StringBuilder();
    text.codePoints()
        .forEach(
            c ->
                printable.appendCodePoint(
                    Character.isISOControl(c) || missing.indexOf(c) >= 0 ? '?' : c));
    return printable.toString();
  }
}
