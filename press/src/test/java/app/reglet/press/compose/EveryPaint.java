package app.reglet.press.compose;

import app.reglet.press.inspect.HandPdf;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A page, 200 × 200 pt, with a cell for every way there is of painting in a PDF. */
final class EveryPaint {
  /** A cell of the page, pt: ten stand in a row. */
  static final int CELL = 20;

  /** What each cell is painted with: every way there is of setting a colour (8.6.8). */
  static final List<String> CELLS =
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
          "/Rgb cs q /DeviceCMYK cs Q 0.1 0.2 0.9 sc RECT", // and so is the space
          "q 20 0 0 20 X Y cm /Gray Do Q",
          "q 20 0 0 20 X Y cm /Colours Do Q",
          "q 20 0 0 20 X Y cm /Palette Do Q",
          "q 20 0 0 20 X Y cm /Inks Do Q",
          "q 20 0 0 20 X Y cm /Calibrated Do Q",
          "q 20 0 0 20 X Y cm /Hex Do Q",
          "0 1 0 rg q 20 0 0 20 X Y cm /Stencil Do Q",
          "q 20 0 0 20 X Y cm BI /W 2 /H 2 /BPC 8 /CS /RGB /F /AHx ID 10A0F010A0F010A0F010A0F0> EI Q",
          "q X Y 20 20 re W n 1 0 0 1 X Y cm /Axial sh Q",
          "q X Y 20 20 re W n 1 0 0 1 X Y cm /Radial sh Q",
          "q X Y 20 20 re W n 1 0 0 1 X Y cm /Field sh Q",
          "/Pattern cs /Tiles scn RECT",
          "/Uncoloured cs 0.2 0.3 0.9 /Stamps scn RECT",
          "/Pattern cs /Run scn RECT",
          "/Pattern cs /Backed scn RECT",
          "q 1 0 0 1 X Y cm /Form Do Q",
          "0.5 0 0.5 rg BT /Type3 20 Tf X Y Td (a) Tj ET",
          "0.1 0.5 0.5 rg BT /Word 40 Tf X Y Td (.) Tj ET RECT",
          "/OC /Layer BDC 0.7 0.7 0.1 rg RECT EMC");

  static String painted() {
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

  static byte[] resource(String name) throws IOException {
    try (InputStream in = EveryPaint.class.getResourceAsStream(name)) {
      return in.readAllBytes();
    }
  }

  /** A simple TrueType font with its file. */
  static int font(HandPdf pdf) throws IOException {
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

  static byte[] bytes(int... values) {
    byte[] out = new byte[values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) values[i];
    }
    return out;
  }

  static byte[] times(int n, int... values) {
    byte[] out = new byte[n * values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) values[i % values.length];
    }
    return out;
  }

  static String image(int side, String more) {
    return "/Type /XObject /Subtype /Image /Width "
        + side
        + " /Height "
        + side
        + " /BitsPerComponent 8 "
        + more;
  }

  /** Resources of every kind, under the names that {@link #CELLS} uses. */
  static String everything(HandPdf pdf) throws IOException {
    byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
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
        + " 0 R /Hex "
        + pdf.stream(image(2, "/ColorSpace /DeviceGray /Filter /ASCIIHexDecode"), "60606060>")
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
        + " 0 R /Backed << /PatternType 2 /Shading << /ShadingType 2 /ColorSpace /DeviceRGB /Coords"
        + " [0 0 0 1] /Background [0.9 0.3 0.1] /Function "
        + run
        + " 0 R >> >> /Run << /PatternType 2 /Shading "
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

  private EveryPaint() {}
}
