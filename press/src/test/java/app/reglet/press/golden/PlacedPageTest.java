package app.reglet.press.golden;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.art.Rect;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * A page of a PDF, placed on a cover, looks the same from every painter and in programs that know
 * nothing of Reglet, and stays what it was: paths and letters.
 */
public class PlacedPageTest {
  private static final double MOST_APART = 0.0015;

  @DataProvider
  Object[][] pages() {
    Object[][] all = {
      // how the page is turned in its file, whether it is cropped, what is done to it on the cover
      {0, false, AffineTransform.getRotateInstance(0), 1.0},
      {0, true, AffineTransform.getRotateInstance(0), 1.0},
      {90, true, AffineTransform.getRotateInstance(0), 1.0},
      {180, false, AffineTransform.getRotateInstance(Math.toRadians(20)), 1.0},
      {270, true, AffineTransform.getRotateInstance(Math.toRadians(-35)), 0.6},
    };
    return Extent.of(2, all);
  }

  /** Nothing on it is like anything else: a page turned or mirrored wrongly can't look right. */
  static byte[] source(int rotation, boolean cropped) throws IOException {
    try (PDDocument doc = new PDDocument();
        InputStream face =
            PlacedPageTest.class.getResourceAsStream("/fonts/oswald/Oswald_600SemiBold.ttf")) {
      PDPage page = new PDPage(new PDRectangle(20, 30, 300, 420));
      if (cropped) {
        page.setCropBox(new PDRectangle(60, 70, 200, 300));
      }
      page.setRotation(rotation);
      doc.addPage(page);
      PDAnnotationSquare note = new PDAnnotationSquare(); // no painter may show it
      note.setRectangle(new PDRectangle(70, 200, 120, 60));
      note.setInteriorColor(new PDColor(new float[] {1, 0.8f, 0}, PDDeviceRGB.INSTANCE));
      note.constructAppearances(doc);
      page.getAnnotations().add(note);
      try (PDPageContentStream out = new PDPageContentStream(doc, page)) {
        out.setNonStrokingColor(0.85f, 0.2f, 0.15f);
        out.addRect(70, 80, 80, 40);
        out.fill();
        out.setNonStrokingColor(0.1f, 0.35f, 0.5f);
        out.moveTo(90, 180);
        out.lineTo(240, 180);
        out.lineTo(120, 340);
        out.fill();
        out.setNonStrokingColor(0f, 0f, 0f);
        out.beginText();
        out.setFont(PDType0Font.load(doc, face), 40);
        out.newLineAtOffset(80, 140);
        out.showText("Placed");
        out.endText();
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      doc.save(bytes);
      return bytes.toByteArray();
    }
  }

  private static Artwork cover(byte[] file, boolean swapped, AffineTransform turn, double opacity)
      throws IOException {
    var wrap = Specimen.wrap(100);
    FileBytes bytes = FileBytes.of(file);
    AffineTransform place = AffineTransform.getTranslateInstance(200, 60);
    place.concatenate(turn);
    place.scale(swapped ? 120 : 80, swapped ? 80 : 120);
    Mark page = new Mark.Page(new PlacedPage(bytes.sha(), bytes, 0), place);
    Rect sheet = Rect.of(wrap.sheetBox());
    return new Artwork(
        wrap,
        Specimen.BOOK,
        Map.of(),
        List.of(
            new Artwork.Part(
                null,
                List.of(
                    Mark.Group.named(
                        Artwork.GROUND,
                        List.of(
                            new Mark.Path(
                                sheet.shape(), Fill.of(new Colour.Rgb(0xe9e2d0)), null)))),
                List.of(),
                List.of(),
                List.of()),
            new Artwork.Part(
                null,
                List.of(
                    new Mark.Group(
                        "page-1",
                        new Effects(
                            new AffineTransform(),
                            opacity,
                            Appearance.Blend.NORMAL,
                            null,
                            List.of()),
                        List.of(page))),
                List.of(),
                List.of(),
                List.of())));
  }

  private static void alike(String what, BufferedImage a, BufferedImage b) {
    Difference d = Difference.of(a, b);
    assertThat(d.share()).as(what + " apart at" + d.where()).isLessThan(MOST_APART);
  }

  @Test(dataProvider = "pages")
  public void everyPainterDrawsThePageAlike(
      int rotation, boolean cropped, AffineTransform turn, double opacity) throws IOException {
    Artwork art = cover(source(rotation, cropped), rotation % 180 != 0, turn, opacity);
    Path pdf =
        Tool.file(
            "placed.pdf",
            PressFile.make(art, Specimen.BOOK, Instant.parse("2026-11-25T12:00:00Z")));
    BufferedImage raster = Painters.raster(art);
    // it is there: of the page's blue triangle there is a good part
    int blue = 0;
    for (int y = 0; y < raster.getHeight(); y++) {
      for (int x = 0; x < raster.getWidth(); x++) {
        int rgb = raster.getRGB(x, y);
        blue += (rgb & 0xff) > (rgb >> 16 & 0xff) + 30 ? 1 : 0;
      }
    }
    assertThat(blue).isGreaterThan(8000);
    Painters.independent(art, pdf).forEach((by, drawn) -> alike(by, raster, drawn));
  }

  @Test
  public void thePageStaysPathsAndLettersWithItsOwnFont() throws IOException {
    Artwork art = cover(source(0, false), false, new AffineTransform(), 1);
    byte[] made = PressFile.make(art, Specimen.BOOK, Instant.parse("2026-11-25T12:00:00Z"));
    Path pdf = Tool.file("placed.pdf", made);
    Tool.ok("qpdf", "--check", pdf.toString());
    assertThat(Tool.ok("pdftotext", pdf.toString(), "-")).contains("Placed");
    assertThat(Tool.ok("pdffonts", pdf.toString())).containsPattern("Oswald.*yes\\s+yes");
    assertThat(Tool.ok("pdfimages", "-list", pdf.toString()).lines().count()).isEqualTo(2);
    try (PDDocument doc = Loader.loadPDF(made)) {
      COSDictionary objects =
          doc.getPage(0).getResources().getCOSObject().getCOSDictionary(COSName.XOBJECT);
      COSDictionary form = objects.getCOSDictionary(objects.keySet().iterator().next());
      assertThat(form.getCOSName(COSName.SUBTYPE)).isEqualTo(COSName.FORM);
      assertThat(form.getCOSDictionary(COSName.RESOURCES).containsKey(COSName.FONT)).isTrue();
    }
  }
}
