package app.reglet.press.inspect.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.press.art.Rect;
import app.reglet.press.inspect.HandPdf;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.reading.Budget;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where things lie on a page, beside the pixels that MuPDF draws of it. */
public class PageReaderTest {
  private static final int PPI = 144;
  private static final double MM = 25.4 / PPI;

  /** A page whose media box begins elsewhere, turned, in larger units; with one thing on it. */
  private static byte[] page(int rotation, double unit, String drawn) {
    HandPdf pdf = new HandPdf();
    int picture =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 4 /Height 2 /BitsPerComponent 8 /ColorSpace /DeviceGray",
            new byte[8]);
    byte[] program;
    try (InputStream in =
        PageReaderTest.class.getResourceAsStream("/fonts/spectral/Spectral_400Regular.ttf")) {
      program = in.readAllBytes();
    } catch (IOException e) {
      throw new AssertionError(e);
    }
    int file = pdf.stream("/Length1 " + program.length, program);
    int descriptor =
        pdf.add(
            "<< /Type /FontDescriptor /FontName /Spectral /Flags 32 /FontBBox [-300 -300 1300 1000]"
                + " /ItalicAngle 0 /Ascent 1000 /Descent -400 /CapHeight 650 /StemV 80 /FontFile2 "
                + file
                + " 0 R >>");
    int font =
        pdf.add(
            "<< /Type /Font /Subtype /TrueType /BaseFont /Spectral /FirstChar 72 /LastChar 72"
                + " /Widths [790] /Encoding /WinAnsiEncoding /FontDescriptor "
                + descriptor
                + " 0 R >>");
    return pdf.page(
            "/MediaBox [-20 30 180 330] /Rotate " + rotation + " /UserUnit " + unit,
            "/XObject << /P "
                + picture
                + " 0 R >> /Font << /F "
                + font
                + " 0 R >> /Pattern << /R << /PatternType 2 /Shading << /ShadingType 2 /ColorSpace"
                + " /DeviceGray /Coords [0 0 100 0] /Extend [true true] /Function << /FunctionType"
                + " 2 /Domain [0 1] /N 1 /C0 [0] /C1 [0.3] >> >> >> >>",
            drawn)
        .bytes();
  }

  private static PageContent read(byte[] pdf) throws IOException {
    try (PDDocument d = Loader.loadPDF(pdf)) {
      return PageLook.read(d, 1, Budget.forFile(pdf.length));
    }
  }

  /** Bounds of what is dark, mm. */
  private static Rect dark(byte[] pdf) throws IOException {
    Path file = Tool.file("page.pdf", pdf);
    Path png = file.resolveSibling("page.png");
    Tool.ok("mutool", "draw", "-q", "-r", "" + PPI, "-o", png.toString(), file.toString());
    BufferedImage image = ImageIO.read(png.toFile());
    int left = image.getWidth();
    int top = image.getHeight();
    int right = 0;
    int bottom = 0;
    int[] row = new int[image.getWidth()];
    PixelRow rows = new PixelRow(image);
    for (int y = 0; y < image.getHeight(); y++) {
      rows.read(y, row);
      for (int x = 0; x < image.getWidth(); x++) {
        if ((row[x] & 0xff) < 128) {
          left = Math.min(left, x);
          top = Math.min(top, y);
          right = Math.max(right, x + 1);
          bottom = Math.max(bottom, y + 1);
        }
      }
    }
    return new Rect(left * MM, top * MM, (right - left) * MM, (bottom - top) * MM);
  }

  private static void same(Rect a, Rect b) {
    double pixel = 1.6 * MM;
    assertThat(a.x()).isCloseTo(b.x(), within(pixel));
    assertThat(a.y()).isCloseTo(b.y(), within(pixel));
    assertThat(a.width()).isCloseTo(b.width(), within(pixel));
    assertThat(a.height()).isCloseTo(b.height(), within(pixel));
  }

  @DataProvider
  public Object[][] pages() {
    return new Object[][] {{0, 1}, {90, 1}, {180, 1}, {270, 1}, {0, 2}, {90, 2}};
  }

  @Test(dataProvider = "pages")
  public void picturesLettersAndLinesLieWhereMuPdfDrawsThem(int rotation, int unit)
      throws IOException {
    byte[] picture = page(rotation, unit, "q 60 0 0 20 10 250 cm /P Do Q");
    PageContent.PlacedPicture placed = read(picture).pictures().get(0);
    same(placed.place(), dark(picture));
    // 4 pixels on 60 units are fewer to the inch than 2 on 20
    assertThat(placed.ppi()).isCloseTo(4 / (60.0 * unit / 72), within(0.01));

    byte[] letters = page(rotation, unit, "BT /F 60 Tf 30 100 Td (HH) Tj ET");
    PageContent.WordRun word = read(letters).words().get(0);
    same(word.ink(), dark(letters));
    assertThat(word.text()).isEqualTo("HH");
    assertThat(word.size()).isCloseTo(60.0 * unit, within(0.01));
    assertThat(Math.floorMod(word.angle(), 360)).isEqualTo(rotation);

    byte[] line = page(rotation, unit, "q 0.2 w 20 80 m 20 200 l S Q");
    PageContent.ThinLine thin = read(line).lines().get(0);
    assertThat(thin.points()).isCloseTo(0.2 * unit, within(0.001));
    double along = rotation % 180 == 0 ? thin.place().height() : thin.place().width();
    assertThat(along).isCloseTo(120 * unit * 25.4 / 72, within(0.01));
  }

  /** As words with a run of colours in them are written: nothing of the page is lost by it. */
  @Test
  public void wordsFilledWithAPatternAreReadLikeOthers() throws IOException {
    byte[] pdf = page(0, 1, "/Pattern cs /R scn BT /F 60 Tf 30 100 Td (HH) Tj ET");
    PageContent content = read(pdf);
    assertThat(content.cut()).isEmpty();
    assertThat(content.words()).hasSize(1);
    assertThat(content.words().get(0).inks()).isEmpty();
    same(content.words().get(0).ink(), dark(pdf));
  }

  /**
   * The page is 200 units wide. Three letters of 47.4 begin 130 from its left: the third lies
   * wholly off the page, and was meant to be on it. What a clip cuts away was not.
   */
  @Test
  public void lettersThatRunOffThePageAreReadAndThoseThatAClipHidesAreNot() throws IOException {
    String three = "BT /F 60 Tf 110 100 Td (HHH) Tj ET";
    PageContent.WordRun off = read(page(0, 1, three)).words().get(0);
    assertThat(off.text()).isEqualTo("HHH");
    assertThat(off.ink().right()).isBetween(250 * 25.4 / 72, 273 * 25.4 / 72);
    PageContent.WordRun cut =
        read(page(0, 1, "q -20 30 160 300 re W n " + three + " Q")).words().get(0);
    assertThat(cut.text()).isEqualTo("H");
    assertThat(cut.ink().right()).isBetween(160 * 25.4 / 72, 178 * 25.4 / 72);
  }
}
