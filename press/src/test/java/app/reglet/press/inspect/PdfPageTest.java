package app.reglet.press.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.PdfFacts.FontFact;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquareCircle;
import org.testng.annotations.Test;

/** Pages of PDFs that people bring to be placed: what is told of them, and which are refused. */
public class PdfPageTest {
  private interface Making {
    void on(PDDocument document) throws IOException;
  }

  private static byte[] pdf(Making making) throws IOException {
    try (PDDocument document = new PDDocument()) {
      making.on(document);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    }
  }

  private static PDPage page(PDDocument document, float width, float height) {
    PDPage page = new PDPage(new PDRectangle(width, height));
    document.addPage(page);
    return page;
  }

  private static void words(PDDocument document, PDPage page, PDFont font) throws IOException {
    try (PDPageContentStream out = new PDPageContentStream(document, page)) {
      out.beginText();
      out.setFont(font, 30);
      out.newLineAtOffset(20, 20);
      out.showText("Salt");
      out.endText();
    }
  }

  private static PdfPage.Shown shown(byte[] file, int number) {
    return PdfPage.shown(FileBytes.of(file), number, 300, Budget.forFile(file.length));
  }

  @Test
  public void aPageTellsItsOwnSizeTrimFontsAndNotesAndNothingOfOtherPages() throws IOException {
    byte[] file =
        pdf(
            d -> {
              words(d, page(d, 100, 100), new PDType1Font(FontName.COURIER));
              PDPage second = page(d, 450, 666);
              second.setCropBox(new PDRectangle(0, 0, 450, 660));
              second.setTrimBox(new PDRectangle(9, 9, 432, 648));
              second.setRotation(90);
              try (InputStream face =
                  PdfPageTest.class.getResourceAsStream("/fonts/oswald/Oswald_600SemiBold.ttf")) {
                words(d, second, PDType0Font.load(d, face));
              }
              second.getAnnotations().add(new PDAnnotationSquare());
            });
    PdfPage page = shown(file, 2).page();
    assertThat(page.number()).isEqualTo(2);
    assertThat(page.pages()).isEqualTo(2);
    assertThat(page.size().print(Unit.PT)).isEqualTo("660 × 450 pt");
    assertThat(page.trim().print(Unit.PT)).isEqualTo("648 × 432 pt");
    assertThat(page.fonts()).extracting(FontFact::name).containsExactly("Oswald-SemiBold");
    assertThat(page.missing()).isEmpty();
    assertThat(page.annotations()).isEqualTo(1);
    assertThat(shown(file, 1).page().missing()).containsExactly("Courier");
  }

  @Test
  public void thePictureIsClearWhereNothingIsDrawnAndLacksTheNotes() throws IOException {
    byte[] file =
        pdf(
            d -> {
              PDPage page = page(d, 100, 50);
              try (PDPageContentStream out = new PDPageContentStream(d, page)) {
                out.setNonStrokingColor(1f, 0f, 0f);
                out.addRect(0, 0, 50, 50);
                out.fill();
              }
              PDAnnotationSquareCircle note = new PDAnnotationSquare();
              note.setRectangle(new PDRectangle(60, 10, 30, 30));
              note.setInteriorColor(
                  new org.apache.pdfbox.pdmodel.graphics.color.PDColor(
                      new float[] {0, 0, 1},
                      org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB.INSTANCE));
              note.constructAppearances(d);
              page.getAnnotations().add(note);
            });
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(shown(file, 1).screen()));
    assertThat(image.getWidth()).isEqualTo(300);
    assertThat(image.getHeight()).isEqualTo(150);
    assertThat(image.getRGB(75, 75)).isEqualTo(0xffff0000);
    assertThat(image.getRGB(225, 75) >>> 24).isZero();
  }

  @Test
  public void pagesThatAreNotThereAreRefusedWithTheirNumber() throws IOException {
    byte[] file = pdf(d -> page(d, 100, 100));
    for (int wrong : List.of(0, 2, -1, Integer.MAX_VALUE)) {
      assertThatThrownBy(() -> shown(file, wrong))
          .hasMessage("This PDF has one page; there is no page " + wrong + ".");
    }
  }

  @Test
  public void lockedHugeTinyAndBottomlessPagesAreRefusedWithAFigureOrAWayOut() throws IOException {
    byte[] locked =
        pdf(
            d -> {
              page(d, 100, 100);
              d.protect(new StandardProtectionPolicy("owner", "", new AccessPermission()));
            });
    assertThatThrownBy(() -> shown(locked, 1)).hasMessageContaining("locked, though it asks");
    byte[] wanting =
        pdf(
            d -> {
              page(d, 100, 100);
              d.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
            });
    assertThatThrownBy(() -> shown(wanting, 1)).hasMessageContaining("wants a password");
    byte[] huge = pdf(d -> page(d, 14400, 14400));
    assertThatThrownBy(() -> shown(huge, 1)).hasMessageContaining("5080.0 × 5080.0 mm");
    byte[] tiny = pdf(d -> page(d, 1, 1));
    assertThatThrownBy(() -> shown(tiny, 1)).hasMessageContaining("0.4 × 0.4 mm");
    byte[] bottomless =
        pdf(
            d -> {
              PDPage page = page(d, 100, 100);
              PDStream content = new PDStream(d);
              byte[] blank = new byte[1_000_000];
              Arrays.fill(blank, (byte) ' ');
              try (OutputStream out = content.createOutputStream(COSName.FLATE_DECODE)) {
                for (int i = 0; i < 60; i++) {
                  out.write(blank);
                }
              }
              page.setContents(content);
            });
    assertThat(bottomless.length).isLessThan(200_000);
    assertThatThrownBy(() -> shown(bottomless, 1)).hasMessageContaining("more than 40 MB");
  }
}
