package app.reglet.press.compose;

import static app.reglet.press.compose.LaidPages.laid;
import static app.reglet.press.compose.LaidPages.mm;
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
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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

  /** A cell of the page, pt: ten stand in a row. */
  private static final int CELL = 20;

  private static final Box PLACE = new Box(mm(AT), mm(AT), mm(SIDE), mm(SIDE));

  /** What each cell is painted with: every way there is of setting a colour (8.6.8). */
  private static final List<String> CELLS =
      List.of(
          "0.3 g RECT",
          "0.9 0.1 0.2 rg RECT",
          "0.2 0.4 0.6 0.1 k RECT",
          "/Rgb cs 0.1 0.6 0.3 sc RECT",
          "/Icc cs 0.9 0.7 0.1 scn RECT",
          "/Lab cs 60 40 -50 scn RECT",
          "/Spot cs 0.6 scn RECT",
          "/Black cs 0.8 scn RECT",
          "/Two cs 0.5 0.3 scn RECT",
          "/Index cs 2 sc RECT",
          "/DeviceCMYK cs RECT", // as it begins: black in full
          "/DeviceRGB CS 0 0 1 SC 20 w LINE",
          "0 0.8 0.2 0 K 20 w LINE",
          "0.6 G 20 w LINE",
          "q 1 0 0 rg Q RECT", // what was set before is set again
          "q 20 0 0 20 X Y cm /Gray Do Q",
          "q 20 0 0 20 X Y cm /Colours Do Q",
          "q 20 0 0 20 X Y cm /Palette Do Q",
          "q 20 0 0 20 X Y cm /Inks Do Q",
          "q 20 0 0 20 X Y cm /Calibrated Do Q",
          "0 1 0 rg q 20 0 0 20 X Y cm /Stencil Do Q",
          "q 20 0 0 20 X Y cm BI /W 2 /H 2 /BPC 8 /CS /RGB /F /AHx ID 10A0F010A0F010A0F010A0F0> EI Q",
          "q X Y 20 20 re W n 1 0 0 1 X Y cm /Axial sh Q",
          "q X Y 20 20 re W n 1 0 0 1 X Y cm /Radial sh Q",
          "q X Y 20 20 re W n 1 0 0 1 X Y cm /Field sh Q",
          "/Pattern cs /Tiles scn RECT",
          "/Uncoloured cs 0.2 0.3 0.9 /Stamps scn RECT",
          "/Pattern cs /Run scn RECT",
          "q 1 0 0 1 X Y cm /Form Do Q",
          "0.5 0 0.5 rg BT /Type3 20 Tf X Y Td (a) Tj ET",
          "0.1 0.5 0.5 rg BT /Word 40 Tf X Y Td (.) Tj ET RECT",
          "/OC /Layer BDC 0.7 0.7 0.1 rg RECT EMC");

  private static String painted() {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < CELLS.size(); i++) {
      int x = i % 10 * CELL;
      int y = i / 10 * CELL;
      out.append("q ")
          .append(
              CELLS
                  .get(i)
                  .replace("RECT", x + " " + y + " 20 20 re f")
                  .replace("LINE", x + " " + (y + 10) + " m " + (x + 20) + " " + (y + 10) + " l S")
                  .replaceAll("\\bX Y\\b", x + " " + y))
          .append(" Q\n");
    }
    return out.toString();
  }

  private static byte[] resource(String name) throws IOException {
    try (InputStream in = PlacedPageFormTest.class.getResourceAsStream(name)) {
      return in.readAllBytes();
    }
  }

  /** A simple TrueType font with its file. */
  private static int font(HandPdf pdf) throws IOException {
    int file = pdf.stream("", resource("/fonts/oswald/Oswald_600SemiBold.ttf"));
    int about =
        pdf.add(
            "<< /Type /FontDescriptor /FontName /AAAAAA+Oswald-SemiBold /Flags 32"
                + " /FontBBox [-200 -300 1200 1200] /ItalicAngle 0 /Ascent 900 /Descent -250"
                + " /CapHeight 800 /StemV 100 /FontFile2 "
                + file
                + " 0 R >>");
    String widths = IntStream.range(32, 127).mapToObj(i -> "500").collect(Collectors.joining(" "));
    return pdf.add(
        "<< /Type /Font /Subtype /TrueType /BaseFont /AAAAAA+Oswald-SemiBold /FirstChar 32"
            + " /LastChar 126 /Widths ["
            + widths
            + "] /Encoding /WinAnsiEncoding /FontDescriptor "
            + about
            + " 0 R >>");
  }

  private static byte[] bytes(int... values) {
    byte[] out = new byte[values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) values[i];
    }
    return out;
  }

  private static byte[] times(int n, int... values) {
    byte[] out = new byte[n * values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) values[i % values.length];
    }
    return out;
  }

  private static String image(int side, String more) {
    return "/Type /XObject /Subtype /Image /Width "
        + side
        + " /Height "
        + side
        + " /BitsPerComponent 8 "
        + more;
  }

  /** Resources of every kind, under the names that {@link #CELLS} uses. */
  private static String everything(HandPdf pdf) throws IOException {
    byte[] profile =
        java.awt.color.ICC_Profile.getInstance(java.awt.color.ColorSpace.CS_sRGB).getData();
    int icc = pdf.stream("/N 3 /Alternate /DeviceRGB", profile);
    int tint = pdf.add("<< /FunctionType 2 /Domain [0 1] /C0 [0 0 0 0] /C1 [0.8 0.1 0 0] /N 1 >>");
    int two =
        pdf.stream(
            "/FunctionType 4 /Domain [0 1 0 1] /Range [0 1 0 1 0 1 0 1]", "{0 exch dup 0.5 mul}");
    String rgb = "/FunctionType 2 /Domain [0 1] /C0 [1 0.8 0] /C1 [0.1 0.1 0.6] /N 1";
    int run = pdf.add("<< " + rgb + " >>");
    int field =
        pdf.stream("/FunctionType 4 /Domain [0 1 0 1] /Range [0 1 0 1 0 1]", "{2 copy add 2 div}");
    int axial =
        pdf.add(
            "<< /ShadingType 2 /ColorSpace /DeviceRGB /Coords [-90 0 110 0] /Function "
                + run
                + " 0 R /Extend [true true] >>");
    int own =
        pdf.add(
            "<< /ShadingType 2 /ColorSpace [/ICCBased "
                + icc
                + " 0 R] /Coords [0 0 0 200] /Function "
                + run
                + " 0 R /Extend [true true] >>");
    int tiles =
        pdf.stream(
            "/Type /Pattern /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 20 20] /XStep 20"
                + " /YStep 20 /Resources << >>",
            "0.2 0.7 0.7 rg 0 0 20 20 re f");
    int stamps =
        pdf.stream(
            "/Type /Pattern /PatternType 1 /PaintType 2 /TilingType 1 /BBox [0 0 20 20] /XStep 20"
                + " /YStep 20 /Resources << >>",
            "0 0 20 20 re f");
    int form =
        pdf.stream(
            "/Type /XObject /Subtype /Form /BBox [0 0 20 20] /Group << /S /Transparency /CS"
                + " /DeviceRGB >> /Resources << /ColorSpace << /Rgb /DeviceGray >> >>",
            "/Rgb cs 0.4 sc 0 0 20 20 re f");
    int letter = pdf.stream("", "1000 0 0 0 1000 1000 d1 0 0 1000 1000 re f");
    int type3 =
        pdf.add(
            "<< /Type /Font /Subtype /Type3 /FontBBox [0 0 1000 1000] /FontMatrix [0.001 0 0 0.001"
                + " 0 0] /CharProcs << /a "
                + letter
                + " 0 R >> /Encoding << /Type /Encoding /Differences [97 /a] >> /FirstChar 97"
                + " /LastChar 97 /Widths [1000] /Resources << >> >>");
    int layer = pdf.add("<< /Type /OCG /Name (Art) >>");
    pdf.catalog("/OCProperties << /OCGs [" + layer + " 0 R] /D << /ON [" + layer + " 0 R] >> >>");
    return "/ColorSpace << /Rgb /DeviceRGB /Icc [/ICCBased "
        + icc
        + " 0 R] /Lab [/Lab << /WhitePoint [0.9642 1 0.8249] /Range [-100 100 -100 100] >>]"
        + " /Spot [/Separation /Sea#20Green /DeviceCMYK "
        + tint
        + " 0 R] /Black [/Separation /Black /DeviceCMYK "
        + tint
        + " 0 R] /Two [/DeviceN [/Dusk /Dawn] /DeviceCMYK "
        + two
        + " 0 R] /Index [/Indexed /DeviceRGB 3 <FF000000FF0033669900FF00>]"
        + " /Uncoloured [/Pattern /DeviceRGB] >> /XObject << /Gray "
        + pdf.stream(image(4, "/ColorSpace /DeviceGray"), times(16, 90))
        + " 0 R /Colours "
        + pdf.stream(image(4, "/ColorSpace /DeviceRGB"), times(16, 200, 60, 40))
        + " 0 R /Palette "
        + pdf.stream(image(4, "/ColorSpace [/Indexed /DeviceRGB 1 <FF0000 20C040>]"), times(16, 1))
        + " 0 R /Inks "
        + pdf.stream(
            image(4, "/ColorSpace /DeviceCMYK /Mask " + stencil(pdf) + " 0 R"),
            times(16, 130, 20, 60, 10))
        + " 0 R /Calibrated "
        + pdf.stream(image(4, "/ColorSpace [/ICCBased " + icc + " 0 R]"), times(16, 90, 160, 20))
        + " 0 R /Stencil "
        + stencil(pdf)
        + " 0 R /Form "
        + form
        + " 0 R >> /Shading << /Axial "
        + axial
        + " 0 R /Radial << /ShadingType 3 /ColorSpace /DeviceRGB /Coords [10 10 0 10 10 200]"
        + " /Function "
        + run
        + " 0 R /Extend [true true] >> /Field << /ShadingType 1 /ColorSpace /DeviceRGB /Matrix [200"
        + " 0 0 200 -90 -90] /Function "
        + field
        + " 0 R >> >> /Pattern << /Tiles "
        + tiles
        + " 0 R /Stamps "
        + stamps
        + " 0 R /Run << /PatternType 2 /Shading "
        + own
        + " 0 R >> >> /Font << /Type3 "
        + type3
        + " 0 R /Word "
        + font(pdf)
        + " 0 R >> /Properties << /Layer "
        + layer
        + " 0 R >>";
  }

  private static int stencil(HandPdf pdf) {
    return pdf.stream(
        "/Type /XObject /Subtype /Image /Width 8 /Height 8 /BitsPerComponent 1 /ImageMask true",
        new byte[8]);
  }

  private static Path made(Artwork art, Standard standard) {
    return PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300)));
  }

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
    String resources = everything(pdf);
    pdf.page("/MediaBox [0 0 200 200] /Rotate " + turned, resources, painted());
    Artwork art = laid(pdf, PLACE);
    Path file = made(art, standard);
    assertThat(pictures(file)).as("pictures of the page, none of the page").hasSize(6);
    Raster plates = PressFiles.plates(file, PPI);
    InkPixels drawn = drawn(art);
    for (int i = 0; i < CELLS.size(); i++) {
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
      assertThat(Arrays.stream(printed).sum()).as(CELLS.get(i) + " is there").isPositive();
      for (int ink = 0; ink < 4; ink++) {
        assertThat(printed[ink] / 2.55)
            .as(CELLS.get(i) + ", ink " + ink + ": " + Arrays.toString(printed))
            .isCloseTo(painted[ink] / 2.55, within(2.0));
      }
    }
  }

  private static List<String[]> pictures(Path pdf) {
    return Tool.ok("pdfimages", "-list", pdf.toString())
        .lines()
        .skip(2)
        .map(l -> l.strip().split("\\s+"))
        .filter(c -> c[2].equals("image"))
        .toList();
  }

  /** Read back object by object: the only spaces of the device are inks and gray. */
  @Test(dataProvider = "standards")
  public void nothingOfAScreenAndNothingOfLayersIsLeftInTheFile(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    pdf.page("/MediaBox [0 0 200 200]", everything(pdf), painted());
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
  }

  /** What a person brought: words in a face of their own over a coarse picture. */
  @Test(dataProvider = "standards")
  public void wordsStayWordsInTheirFaceAndAPictureKeepsItsPixels(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    int font = font(pdf);
    int picture = pdf.stream(image(54, "/ColorSpace /DeviceRGB"), times(54 * 54, 40, 90, 160));
    pdf.page(
        "/MediaBox [0 0 200 200]",
        // what other pages of its file use is no matter of this one's
        "/ExtGState << /Other << /BM /Multiply >> >> /Font << /F "
            + font
            + " 0 R /Other << /Type /Font /Subtype /Type1 /BaseFont /Times-Roman >> >> /XObject << /P "
            + picture
            + " 0 R /Other "
            + pdf.stream(image(77, "/ColorSpace /DeviceRGB"), times(77 * 77, 1, 2, 3))
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

  private static String words(int x, int y, String text) {
    return "BT /F 12 Tf " + x + " " + y + " Td (" + text + ") Tj ET ";
  }

  /**
   * Two parts of one page beside each other look like the page, and say and show each thing once.
   */
  @Test(dataProvider = "standards")
  public void partsOfAPageHaveNothingOfWhatLiesBesideThem(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    int font = font(pdf);
    int picture = pdf.stream(image(30, "/ColorSpace /DeviceRGB"), times(900, 40, 90, 160));
    pdf.page(
        "/MediaBox [0 0 200 200] /Rotate " + turned,
        "/Font << /F " + font + " 0 R >> /XObject << /P " + picture + " 0 R >>",
        "0.1 0 0 0 k 0 0 200 200 re f q 40 0 0 40 20 20 cm /P Do Q q 40 0 0 40 130 130 cm /P Do Q "
            + "0 0 0 1 k "
            + words(10, 100, "tidewrack")
            // what it says of spaces holds on, though its letters are seen in one part alone
            + "BT /F 12 Tf 120 120 Td 14 TL 4 2 (lantern oil) \" ET "
            + words(10, 150, "samphire")
            + words(115, 60, "sedge")
            + words(70, 180, "over the cut"));
    String sha = "cd".repeat(32);
    LaidPages.Kept kept = LaidPages.Kept.of(pdf);
    Box left = new Box(mm(AT), mm(AT), mm(SIDE / 2.0), mm(SIDE));
    Box right = new Box(mm(AT + SIDE / 2.0), mm(AT), mm(SIDE / 2.0), mm(SIDE));
    Artwork parts =
        LaidPages.composed(
            kept,
            List.of(
                piece("left", left, new Content.Cutting(sha, 1, 0, 0, 0.5, 1)),
                piece("right", right, new Content.Cutting(sha, 1, 0.5, 0, 1, 1))));
    Path whole = made(laid(kept, PLACE), standard);
    Path apart = made(parts, standard);
    if (turned == 0) {
      String said = Tool.ok("pdftotext", apart.toString(), "-");
      for (String once : List.of("tidewrack", "lantern", "samphire", "sedge")) {
        assertThat(said.split(once, -1)).as(once + " in: " + said).hasSize(2);
      }
      assertThat(said).as("it lies on both sides").contains("over").contains("cut");
    }
    assertThat(pictures(apart)).as("each where it is seen").hasSize(2);
    assertThat(pictures(apart).get(0)[10]).as("one object").isEqualTo(pictures(apart).get(1)[10]);
    Raster one = PressFiles.plates(whole, PPI);
    Raster other = PressFiles.plates(apart, PPI);
    int apartPixels = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        boolean near = Math.abs(x * MM_PER_INCH / PPI - AT - SIDE / 2.0) < 0.6;
        if (!near
            && !Arrays.equals(
                one.getPixel(x, y, (int[]) null), other.getPixel(x, y, (int[]) null))) {
          apartPixels++;
        }
      }
    }
    assertThat(apartPixels).isZero();
  }

  /** A photo of a megapixel, as many programs put one into a page. */
  private static byte[] photo() throws IOException {
    BufferedImage image = new BufferedImage(1000, 1000, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(7);
    for (int y = 0; y < 1000; y++) {
      for (int x = 0; x < 1000; x++) {
        int light = (x + y) / 10 + random.nextInt(30);
        image.setRGB(x, y, light << 16 | 200 - light / 2 << 8 | 255 - light);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", out);
    return out.toByteArray();
  }

  @DataProvider
  Object[][] weighed() {
    return new Object[][] {{"", false}, {"/G gs", true}};
  }

  /** As a form, and where it must become pixels. */
  @Test(dataProvider = "weighed")
  public void theFileIsAboutAsLargeAsWasToldBefore(String state, boolean drawn) throws IOException {
    HandPdf pdf = new HandPdf();
    int picture =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 1000 /Height 1000 /BitsPerComponent 8 /ColorSpace"
                + " /DeviceRGB /Filter /DCTDecode",
            photo());
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/XObject << /P " + picture + " 0 R >> /ExtGState << /G << /BM /Multiply >> >>",
        "0.1 0 0 0 k 0 0 200 200 re f " + state + " q 200 0 0 200 0 0 cm /P Do Q 0 0 1 1 re f");
    Artwork art = laid(pdf, PLACE);
    PressMaking making = PressFiles.making(PressFiles.rules(Standard.X4, 300));
    List<PressFile.Page> pages = List.of(new PressFile.Page(art, art.wrap()));
    assertThat(PressFile.hindrances(pages, making).isEmpty()).isNotEqualTo(drawn);
    double told = PressFile.weight(pages, making).bytes();
    assertThat(Files.size(PressFiles.make(art, making)) / told).isBetween(0.5, 2.0);
  }

  /** A picture in inks, in a photo's packing, is the same bytes in the file. */
  @Test
  public void aPictureInInksStaysPackedAsItWasWhereItsTotalIsAllowed() throws IOException {
    byte[] allowed = deflated(times(400, 130, 20, 60, 10));
    byte[] above = deflated(times(400, 255, 240, 230, 200));
    HandPdf pdf = new HandPdf();
    String packed = "/ColorSpace /DeviceCMYK /Filter /FlateDecode";
    int first = pdf.stream(image(20, packed), allowed);
    int second = pdf.stream(image(20, packed), above);
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
    int mask =
        pdf.stream(
            "/Type /XObject /Subtype /Form /BBox [0 0 200 200] /Group << /S /Transparency /CS"
                + " /DeviceRGB >> /Resources << >>",
            "0.5 0.5 0.5 rg 0 0 200 200 re f");
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/ExtGState << /Half << /ca 0.5 /OP true /op true >> /Masked << /SMask << /S /Luminosity /G "
            + mask
            + " 0 R >> >> >>",
        "0 0 0 1 k q /Half gs 0 0 100 200 re f Q q /Masked gs 100 0 100 200 re f Q");
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
        two + "/G gs 0 0 0.5 0 k 0 0 200 200 re f"
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
            image(2, "/ColorSpace /DeviceCMYK /Mask [0 10 0 10 0 10 0 10]"),
            bytes(0, 0, 0, 0, 9, 200, 0, 0, 0, 0, 0, 0, 9, 200, 0, 0));
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

  @Test
  public void aLayerThatIsHiddenInTheFileIsNotPrinted() throws IOException {
    HandPdf pdf = new HandPdf();
    int layer = pdf.add("<< /Type /OCG /Name (Guides) >>");
    pdf.catalog("/OCProperties << /OCGs [" + layer + " 0 R] /D << /OFF [" + layer + " 0 R] >> >>");
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
