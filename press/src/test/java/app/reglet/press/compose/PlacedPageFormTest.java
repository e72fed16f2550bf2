package app.reglet.press.compose;

import static app.reglet.press.compose.LaidPages.laid;
import static app.reglet.press.compose.LaidPages.made;
import static app.reglet.press.compose.LaidPages.mm;
import static app.reglet.press.compose.LaidPages.pictures;
import static app.reglet.press.compose.LaidPages.piece;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Stroke;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.inks.Inking;
import app.reglet.press.inspect.HandPdf;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.PressFiles;
import app.reglet.press.pdf.PressMaking;
import app.reglet.press.raster.FinePixels;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.raster.SeparatedPictures;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * A page of somebody's PDF in a press file of inks: its letters are letters there, its pictures
 * have the pixels they had, and its colours are the inks that Reglet's own painter gives them.
 */
public class PlacedPageFormTest {
  /** The page is 200 × 200 pt and lies 100 × 100 mm large, from 20 mm right and down. */
  private static final int AT = 20;

  private static final int SIDE = 100;
  private static final int PPI = 100;
  private static final double MM_PER_INCH = 25.4;

  /** What PDF/X-1a and PDF/X-4 take both (from memory of ISO 15930-4 and -7). */
  private static final Set<String> PACKINGS = Set.of("FlateDecode", "DCTDecode", "CCITTFaxDecode");

  private static final Box PLACE = new Box(mm(AT), mm(AT), mm(SIDE), mm(SIDE));

  private static InkPixels drawn(Artwork art) {
    PressInks inks =
        PressInks.of(
            OutputCondition.COATED.condition().profile(), PressFiles.rules(Standard.X4, 300));
    Rect sheet = Rect.of(art.wrap().sheetBox());
    return InkPixels.draw(
        new Inking(inks, 0, 0).of(art.marks()),
        sheet,
        (int) (sheet.width() * PPI / MM_PER_INCH),
        (int) (sheet.height() * PPI / MM_PER_INCH),
        inks,
        new SeparatedPictures(new FinePixels(false, inks)),
        true);
  }

  @DataProvider
  Object[][] standards() {
    return new Object[][] {{Standard.PLAIN, 0}, {Standard.X4, 90}, {Standard.X1A, 270}};
  }

  /** Ghostscript's plates of the form beside the pixels of Reglet's painter, cell by cell. */
  @Test(dataProvider = "standards")
  public void everyWayOfSettingAColourPrintsTheInksThatThePainterGivesIt(
      Standard standard, int turned) throws IOException {
    HandPdf pdf = new HandPdf();
    String resources = EveryPaint.everything(pdf);
    pdf.page("/MediaBox [0 0 200 200] /Rotate " + turned, resources, EveryPaint.painted());
    Artwork art = laid(pdf, PLACE);
    Path file = made(art, standard);
    assertThat(pictures(file)).as("pictures of the page, none of the page").hasSize(7);
    Raster plates = PressFiles.plates(file, PPI);
    InkPixels drawn = drawn(art);
    for (int i = 0; i < EveryPaint.CELLS.size(); i++) {
      double across = (i % 10 + 0.5) / 10;
      double up = (i / 10 + 0.5) / 10;
      double x = turned == 90 ? up : turned == 270 ? 1 - up : across;
      double y = turned == 90 ? across : turned == 270 ? 1 - across : 1 - up;
      int px = (int) ((AT + SIDE * x) * PPI / MM_PER_INCH);
      int py = (int) ((AT + SIDE * y) * PPI / MM_PER_INCH);
      int[] printed = plates.getPixel(px, py, (int[]) null);
      int[] painted = new int[4];
      for (int ink = 0; ink < 4; ink++) {
        painted[ink] = drawn.inks()[4 * (py * drawn.width() + px) + ink] & 0xff;
      }
      assertThat(Arrays.stream(printed).sum())
          .as(EveryPaint.CELLS.get(i) + " is there")
          .isPositive();
      for (int ink = 0; ink < 4; ink++) {
        assertThat(printed[ink] / 2.55)
            .as(EveryPaint.CELLS.get(i) + ", ink " + ink + ": " + Arrays.toString(printed))
            .isCloseTo(painted[ink] / 2.55, within(2.0));
      }
    }
  }

  /** Read back object by object: the only spaces of the device are inks and gray. */
  @Test(dataProvider = "standards")
  public void nothingOfAScreenAndNothingOfLayersIsLeftInTheFile(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    pdf.page("/MediaBox [0 0 200 200]", EveryPaint.everything(pdf), EveryPaint.painted());
    Path file = made(laid(pdf, PLACE), standard);
    String all = Tool.ok("qpdf", "--qdf", "--object-streams=disable", file.toString(), "-");
    assertThat(all)
        .doesNotContain("/DeviceRGB")
        .doesNotContain("/ICCBased")
        .doesNotContain("/Lab")
        .doesNotContain("/Separation")
        .doesNotContain("/OCProperties")
        .doesNotContain("/Properties")
        .doesNotContainPattern("[\\d.]+ [\\d.]+ [\\d.]+ (rg|RG)\\s");
    if (standard == Standard.X1A) {
      assertThat(all).doesNotContain("/Transparency").doesNotContain("/SMask");
    }
    Tool.ok("qpdf", "--check", file.toString());
    // not every standard takes another packing; qpdf has unpacked what it showed above
    assertThat(LaidPages.packings(file)).contains("FlateDecode").isSubsetOf(PACKINGS);
  }

  /** What a person brought: words in a face of their own over a coarse picture. */
  @Test(dataProvider = "standards")
  public void wordsStayWordsInTheirFaceAndAPictureKeepsItsPixels(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    int font = EveryPaint.font(pdf);
    int picture =
        pdf.stream(
            EveryPaint.image(54, "/ColorSpace /DeviceRGB"), EveryPaint.times(54 * 54, 40, 90, 160));
    pdf.page(
        "/MediaBox [0 0 200 200]",
        // what other pages of its file use is no matter of this one's
        "/ExtGState << /Other << /BM /Multiply >> >> /Font << /F "
            + font
            + " 0 R /Other << /Type /Font /Subtype /Type1 /BaseFont /Times-Roman >> >> /XObject << /P "
            + picture
            + " 0 R /Other "
            + pdf.stream(
                EveryPaint.image(77, "/ColorSpace /DeviceRGB"), EveryPaint.times(77 * 77, 1, 2, 3))
            + " 0 R >>",
        "q 100 0 0 100 50 80 cm /P Do Q 0 0 0 1 k BT /F 12 Tf 20 30 Td (Tidewrack and Lamp) Tj ET");
    Path file = made(laid(pdf, PLACE), standard);
    assertThat(Tool.ok("pdffonts", file.toString()))
        .contains("Oswald-SemiBold")
        .doesNotContain("Times");
    assertThat(Tool.ok("qpdf", "--qdf", "--object-streams=disable", file.toString(), "-"))
        .doesNotContain("/Multiply");
    assertThat(Tool.ok("pdftotext", file.toString(), "-")).contains("Tidewrack and Lamp");
    List<String[]> pictures = pictures(file);
    assertThat(pictures).hasSize(1);
    assertThat(pictures.get(0)[3] + "x" + pictures.get(0)[4]).isEqualTo("54x54");
    assertThat(pictures.get(0)[5]).isEqualTo("cmyk");
    // 100 pt are 50 mm here
    assertThat(Integer.parseInt(pictures.get(0)[12])).isBetween(27, 28);
  }

  /** A picture of four megapixels as a JPEG: grains of light, or one colour. */
  private static byte[] jpeg(boolean flat) throws IOException {
    BufferedImage image = new BufferedImage(2000, 2000, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(7);
    for (int y = 0; y < 2000; y++) {
      for (int x = 0; x < 2000; x++) {
        int light = flat ? 180 : 40 + (x + y) / 25 + random.nextInt(30);
        image.setRGB(x, y, light << 16 | light * 4 / 5 << 8 | light / 2);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", out);
    return out.toByteArray();
  }

  /** The photo in inks, as another program writes it, whose values are the inverse of the inks. */
  private static byte[] inInks() throws IOException {
    Path there = Scratch.file("inks", ".jpg");
    Path photo = Scratch.holding("photo.jpg", jpeg(false));
    Tool.ok("convert", photo.toString(), "-colorspace", "CMYK", "-quality", "75", there.toString());
    return Files.readAllBytes(there);
  }

  @DataProvider
  Object[][] weighed() throws IOException {
    String inks = "/DeviceCMYK /Decode [1 0 1 0 1 0 1 0]";
    return new Object[][] {
      {"a photo", "/DeviceRGB", jpeg(false), "", false},
      {"one colour", "/DeviceRGB", jpeg(true), "", false},
      {"a photo in inks", inks, inInks(), "", false},
      {"a photo that must become pixels", "/DeviceRGB", jpeg(false), "/G gs", true},
      {"one in inks that must", inks, inInks(), "/G gs", true},
    };
  }

  /** As a form, and where it must become pixels. */
  @Test(dataProvider = "weighed")
  public void theFileIsAboutAsLargeAsWasToldBefore(
      String what, String space, byte[] jpeg, String state, boolean drawn) throws IOException {
    HandPdf pdf = new HandPdf();
    int picture =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 2000 /Height 2000 /BitsPerComponent 8 /ColorSpace "
                + space
                + " /Filter /DCTDecode",
            jpeg);
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/XObject << /P " + picture + " 0 R >> /ExtGState << /G << /BM /Multiply >> >>",
        "0.1 0 0 0 k q 200 0 0 200 0 0 cm /P Do Q " + state + " 0 0 30 30 re f");
    Artwork art = laid(pdf, PLACE);
    PressMaking making = PressFiles.making(PressFiles.rules(Standard.X4, 300));
    List<PressFile.Page> pages = List.of(new PressFile.Page(art, art.wrap()));
    assertThat(PressFile.hindrances(pages, making).isEmpty()).isNotEqualTo(drawn);
    double told = PressFile.weight(pages, making).bytes();
    assertThat(Files.size(PressFiles.make(art, making)) / told)
        .as("%s, told %.0f", what, told)
        .isBetween(0.5, 2.0);
  }

  /** A picture in inks, in a photo's packing, is the same bytes in the file. */
  @Test
  public void aPictureInInksStaysPackedAsItWasWhereItsTotalIsAllowed() throws IOException {
    byte[] allowed = deflated(EveryPaint.times(400, 130, 20, 60, 10));
    byte[] above = deflated(EveryPaint.times(400, 255, 240, 230, 200));
    HandPdf pdf = new HandPdf();
    String packed = "/ColorSpace /DeviceCMYK /Filter /FlateDecode";
    int first = pdf.stream(EveryPaint.image(20, packed), allowed);
    int second = pdf.stream(EveryPaint.image(20, packed), above);
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/XObject << /A " + first + " 0 R /B " + second + " 0 R >>",
        "q 100 0 0 200 0 0 cm /A Do Q q 60 0 0 200 100 0 cm /B Do Q"
            + " 1 1 1 1 k 160 0 40 200 re f 0 0 0 1 k 0 0 1 1 re f");
    Path file = made(laid(pdf, PLACE), Standard.X4);
    boolean found = false;
    try (PDDocument read = Loader.loadPDF(file.toFile())) {
      for (var key : read.getDocument().getXrefTable().keySet()) {
        COSObject object = read.getDocument().getObjectFromPool(key);
        if (object.getObject() instanceof COSStream s
            && COSName.IMAGE.equals(s.getCOSName(COSName.SUBTYPE))) {
          try (InputStream in = s.createRawInputStream()) {
            found |= Arrays.equals(in.readAllBytes(), allowed);
          }
        }
      }
    }
    assertThat(found).isTrue();
    Raster plates = PressFiles.plates(file, PPI);
    for (double x : new double[] {AT + 65, AT + 90}) {
      int total = Arrays.stream(at(plates, x, AT + 50)).sum();
      assertThat(total / 2.55).as("ink at " + x).isBetween(280.0, 300.5);
    }
    assertThat(at(plates, AT + 25, AT + 50)).containsExactly(130, 20, 60, 10);
  }

  private static byte[] deflated(byte[] data) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (var packed = new java.util.zip.DeflaterOutputStream(out)) {
      packed.write(data);
    }
    return out.toByteArray();
  }

  private static int[] at(Raster plates, double x, double y) {
    return plates.getPixel(
        (int) (x * PPI / MM_PER_INCH), (int) (y * PPI / MM_PER_INCH), (int[]) null);
  }

  @DataProvider
  Object[][] fading() {
    return new Object[][] {{Standard.X4, 0}, {Standard.X1A, 1}};
  }

  /**
   * Half a black over paper, by opacity and by the lightness of a mask: live where that is taken.
   */
  @Test(dataProvider = "fading")
  public void whatShowsThroughStaysLiveWhereThatIsTakenAndIsAPictureElsewhere(
      Standard standard, int asPicture) throws IOException {
    HandPdf pdf = new HandPdf();
    int both = pdf.add("<< /Type /ExtGState /ca 1 /BM /Normal >>"); // a mask may share it
    int mask =
        pdf.stream(
            "/Type /XObject /Subtype /Form /BBox [0 0 200 200] /Group << /S /Transparency /CS"
                + " /DeviceRGB >> /Resources << /ExtGState << /Both "
                + both
                + " 0 R >> >>",
            "/Both gs 0.2 0.6 0.78 rg 0 0 200 200 re f"); // 0.3 r + 0.59 g + 0.11 b is half
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/ExtGState << /Half << /ca 0.5 /OP true /op true >> /Masked << /SMask << /S /Luminosity /G "
            + mask
            + " 0 R >> >> /Both "
            + both
            + " 0 R >>",
        "/Both gs 0 0 0 1 k q /Half gs 0 0 100 200 re f Q q /Masked gs 100 0 100 200 re f Q");
    Artwork art = laid(pdf, PLACE);
    Path file = made(art, standard);
    assertThat(pictures(file)).hasSize(asPicture);
    String all = Tool.ok("qpdf", "--qdf", "--object-streams=disable", file.toString(), "-");
    assertThat(all.contains("/SMask")).isEqualTo(asPicture == 0);
    assertThat(all).doesNotContain("/OP true").doesNotContain("/DeviceRGB");
    Raster plates = PressFiles.plates(file, PPI);
    for (double x : new double[] {AT + 25, AT + 75}) {
      assertThat(at(plates, x, AT + 50)[3] / 2.55).as("black at " + x).isCloseTo(50, within(1.5));
    }
  }

  @DataProvider
  Object[][] drawnAsPixels() {
    String two = "0.4 0 0 0 k 0 0 200 200 re f ";
    return new Object[][] {
      {
        "multiplies",
        "/ExtGState << /G << /BM /Multiply >> >>",
        two + "/G gs 0 0 0.5 0 k 0 90 60 20 re f"
      },
      {"inherits a space", "/XObject << /F FORM >>", two + "/DeviceRGB cs 1 0 0 sc /F Do"},
      {
        "takes its font for granted",
        "/Font << /F << /Type /Font /Subtype /Type1 /BaseFont /Courier >> >>",
        two + "BT /F 9 Tf 90 190 Td (x) Tj ET"
      },
      {"restores too often", "", two + "Q q"},
      {"lacks an operand", "", two + "0 0 rg 0 0 1 1 re f"},
      {"names no space", "", two + "/Nowhere cs 0 0 1 1 re f"},
      {
        "leaves out colours of a picture",
        "/XObject << /P PICTURE >>",
        two + "q 200 0 0 200 0 0 cm /P Do Q"
      },
    };
  }

  /** What a form can't have is drawn as before, and looks as the painter has it. */
  @Test(dataProvider = "drawnAsPixels")
  public void aPageThatCantBeGivenInInksIsDrawnAsPixels(
      String why, String resources, String content) throws IOException {
    HandPdf pdf = new HandPdf();
    int form =
        pdf.stream(
            "/Type /XObject /Subtype /Form /BBox [0 0 200 200] /Resources << >>",
            "0 0.5 0 sc 0 0 200 200 re f");
    int picture =
        pdf.stream(
            EveryPaint.image(2, "/ColorSpace /DeviceCMYK /Mask [0 10 0 10 0 10 0 10]"),
            EveryPaint.bytes(0, 0, 0, 0, 9, 200, 0, 0, 0, 0, 0, 0, 9, 200, 0, 0));
    pdf.page(
        "/MediaBox [0 0 200 200]",
        resources.replace("FORM", form + " 0 R").replace("PICTURE", picture + " 0 R"),
        content);
    Artwork art = laid(pdf, PLACE);
    Path file = made(art, Standard.X4);
    assertThat(pictures(file)).as(why).hasSize(1);
    Raster plates = PressFiles.plates(file, PPI);
    InkPixels drawn = drawn(art);
    for (double x : new double[] {AT + 20, AT + 80}) {
      int px = (int) (x * PPI / MM_PER_INCH);
      int py = (int) ((AT + 50) * PPI / MM_PER_INCH);
      int[] printed = plates.getPixel(px, py, (int[]) null);
      for (int ink = 0; ink < 4; ink++) {
        assertThat(printed[ink] / 2.55)
            .as(why + ", ink " + ink)
            .isCloseTo(
                (drawn.inks()[4 * (py * drawn.width() + px) + ink] & 0xff) / 2.55, within(2.0));
      }
    }
  }

  /** PDF/X-1a is PDF 1.4, which has no OpenType fonts (ISO 32000-1, table 126). */
  @Test
  public void anOpenTypeFontIsTakenInX4AndIsPixelsInX1a() throws IOException {
    HandPdf pdf = new HandPdf();
    int program =
        pdf.stream(
            "/Subtype /OpenType", EveryPaint.resource("/fonts/oswald/Oswald_600SemiBold.ttf"));
    int about =
        pdf.add(
            "<< /Type /FontDescriptor /FontName /Open /Flags 32 /FontBBox [0 0 1000 1000]"
                + " /ItalicAngle 0 /Ascent 900 /Descent -250 /CapHeight 800 /StemV 100 /FontFile3 "
                + program
                + " 0 R >>");
    int font =
        pdf.add(
            "<< /Type /Font /Subtype /TrueType /BaseFont /Open /FirstChar 97 /LastChar 97 /Widths"
                + " [500] /FontDescriptor "
                + about
                + " 0 R >>");
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/Font << /F " + font + " 0 R >>",
        "BT /F 30 Tf 20 20 Td (a) Tj ET");
    Artwork art = laid(pdf, PLACE);
    List<PressFile.Page> pages = List.of(new PressFile.Page(art, art.wrap()));
    assertThat(PressFile.hindrances(pages, PressFiles.making(PressFiles.rules(Standard.X1A, 300))))
        .containsExactly("a font that is not in the file");
    assertThat(PressFile.hindrances(pages, PressFiles.making(PressFiles.rules(Standard.X4, 300))))
        .isEmpty();
  }

  @DataProvider
  Object[][] hidden() {
    return new Object[][] {{"/OFF [LAYER]"}, {"/BaseState /OFF"}};
  }

  @Test(dataProvider = "hidden")
  public void aLayerThatIsHiddenInTheFileIsNotPrinted(String said) throws IOException {
    HandPdf pdf = new HandPdf();
    int layer = pdf.add("<< /Type /OCG /Name (Guides) >>");
    String ref = layer + " 0 R";
    pdf.catalog(
        "/OCProperties << /OCGs [" + ref + "] /D << " + said.replace("LAYER", ref) + " >> >>");
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/Properties << /L " + layer + " 0 R >>",
        "0.2 0 0 0 k 0 0 200 200 re f /OC /L BDC 0 1 0 0 k 0 0 200 200 re f EMC");
    int[] printed = at(PressFiles.plates(made(laid(pdf, PLACE), Standard.X4), PPI), 70, 70);
    assertThat(printed[0] / 2.55).isCloseTo(20, within(1.5));
    assertThat(printed[1]).isZero();
  }

  /** A page that sets neither width nor dashes, laid over a frame of Reglet's that has both. */
  @Test(dataProvider = "standards")
  public void aPageBeginsAsIfItWereAloneInItsFile(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    pdf.page("/MediaBox [0 0 200 200]", "", "0 100 m 200 100 l S 0 0 20 20 re f");
    Piece frame =
        piece(
            "frame",
            new Box(mm(150), mm(AT), mm(40), mm(40)),
            new Content.Shape(
                new Figure.Rectangle(Length.ZERO),
                Paint.of(new Colour.Cmyk(0, 0, 100, 0)),
                new Stroke(
                    Paint.of(new Colour.Cmyk(0, 100, 0, 0)),
                    mm(6),
                    List.of(mm(3), mm(3)),
                    Stroke.Side.CENTRED)));
    int ppi = 300;
    Raster plates = PressFiles.plates(made(laid(pdf, PLACE, frame), standard), ppi);
    int y = (int) ((AT + 50) * ppi / MM_PER_INCH);
    for (double x = AT + 12; x < AT + 99; x += 0.2) {
      int px = (int) (x * ppi / MM_PER_INCH);
      int thick = 0;
      for (int dy = -60; dy <= 60; dy++) {
        int[] p = plates.getPixel(px, y + dy, (int[]) null);
        assertThat(p[0] + p[1] + p[2]).as("black alone at " + x).isZero();
        thick += p[3] > 127 ? 1 : 0;
      }
      // 1 pt of the page is half a millimetre
      assertThat(thick * MM_PER_INCH / ppi).as("thick at " + x).isCloseTo(0.5, within(0.12));
    }
    assertThat(at(PressFiles.plates(made(laid(pdf, PLACE, frame), standard), PPI), AT + 5, AT + 95))
        .containsExactly(0, 0, 0, 255);
  }
}
