package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.testng.annotations.Test;

/** Drawings and pages of PDFs, brought to the bench and taken to the press file. */
public class PlacedFilesTest {
  private static final String SVG =
      "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 60 30' onload='alert(1)'>"
          + "<script>alert(2)</script><image href='http://sedge.example/a.png'/>"
          + "<rect width='60' height='30' fill='#b8452f'/><circle cx='30' cy='15' r='12' fill='#123456'/></svg>";

  private static FilePayload file(String name, String type, byte[] bytes) {
    return new FilePayload(name, type, bytes);
  }

  private static FilePayload svg(String name, String svg) {
    return file(name, "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8));
  }

  private static byte[] pdf() throws IOException {
    try (PDDocument d = new PDDocument()) {
      for (int i = 1; i <= 2; i++) {
        PDPage page = new PDPage(new PDRectangle(432, 648));
        d.addPage(page);
        try (PDPageContentStream out = new PDPageContentStream(d, page)) {
          out.setNonStrokingColor(0.2f, 0.4f, 0.3f * i);
          out.addRect(30, 30, 300, 500);
          out.fill();
          if (i == 2) {
            out.beginText();
            out.setFont(new PDType1Font(FontName.TIMES_ROMAN), 40);
            out.newLineAtOffset(50, 300);
            out.showText("Made elsewhere");
            out.endText();
          }
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return out.toByteArray();
    }
  }

  private static Desk composed(String title) {
    return Desk.inScreenColours(title, "").layout("Ledger");
  }

  private static void bring(Desk desk, FilePayload file) {
    desk.does(() -> desk.page.locator("#add-picture").setInputFiles(file));
  }

  private static PDDocument pressFile(Desk desk) throws IOException {
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make press file"))
        .click();
    Download download = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    return Loader.loadPDF(download.createReadStream().readAllBytes());
  }

  @Test
  public void anSvgIsMadeSafeRecolouredAndReachesThePressAsPaths() throws IOException {
    Desk desk = composed("Drawings");
    bring(desk, svg("knot.svg", SVG));
    assertThat(desk.page.locator("#message"))
        .hasText("Left out of the drawing: 1 picture, 2 scripts.");
    assertThat(desk.page.locator("#block-name")).hasText("knot");
    assertThat(desk.page.locator("#title-block .name span")).hasText("drawing");
    assertThat(desk.page.locator("#ink-0")).hasValue("#b8452f");
    desk.does(
        () -> {
          desk.page.locator("#ink-1").fill("#e2b65a");
          desk.page.keyboard().press("Enter");
        });
    String id = desk.page.locator("#title-block").getAttribute("data-chosen");
    assertThat(desk.page.locator("#art-" + id + " path[fill='#e2b65a']")).hasCount(1);
    assertThat(desk.page.locator("#artwork script, #artwork [onload]")).hasCount(0);
    desk.page.reload();
    assertThat(desk.page.locator("#art-" + id + " path[fill='#e2b65a']")).hasCount(1);
    try (PDDocument press = pressFile(desk)) {
      // the drawing's two colours are filled as paths: 0xe2/255, 0xb65a
      String fills = fills(press);
      assertThat(fills).contains("0.886 0.714 0.353").contains("0.722 0.271 0.184");
      assertThat(press.getPage(0).getResources().getXObjectNames()).isEmpty();
    }
  }

  private static String fills(PDDocument press) throws IOException {
    StringBuilder fills = new StringBuilder();
    StringBuilder operands = new StringBuilder();
    for (Object token : new PDFStreamParser(press.getPage(0)).parse()) {
      if (token instanceof Operator o) {
        if (o.getName().equals("sc") || o.getName().equals("rg")) {
          fills.append(operands).append('\n');
        }
        operands.setLength(0);
      } else if (token instanceof org.apache.pdfbox.cos.COSNumber n) {
        operands.append(String.format(java.util.Locale.ROOT, "%.3f ", n.floatValue()));
      }
    }
    return fills.toString();
  }

  @Test
  public void anSvgBecomesTheMotifOfAPattern() {
    Desk desk = composed("Motifs");
    desk.does(() -> desk.page.locator("#g-pattern").selectOption("on"));
    desk.page.locator("#leaf-tiling summary").click();
    desk.does(() -> desk.page.locator("#motif-file").setInputFiles(svg("knot.svg", SVG)));
    assertThat(desk.page.locator("#artwork pattern path[fill='#123456']").first()).isAttached();
    assertThat(desk.page.locator("#leaf-motif summary b")).hasText("knot");
  }

  @Test
  public void aMotifOfOnePixelAndOneOf30000AreTakenAndTheSmallOneIsFoundTooCoarse()
      throws IOException {
    Desk desk = composed("Extremes");
    desk.does(() -> desk.page.locator("#g-pattern").selectOption("on"));
    desk.page.locator("#leaf-tiling summary").click();
    FilePayload dot = plain("dot.png", 1, 1);
    FilePayload strip = plain("long.png", 30_000, 4);
    desk.does(() -> desk.page.locator("#motif-file").setInputFiles(dot));
    assertThat(desk.page.locator("#notes")).containsText(Pattern.compile("\\d+(\\.\\d+)? ppi"));
    desk.does(() -> desk.page.locator("#motif-file").setInputFiles(strip));
    assertThat(desk.page.locator("#notes")).not().containsText("ppi");
    byte[] file =
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body();
    try (PDDocument press = Loader.loadPDF(file)) {
      assertThat(press.getNumberOfPages()).isEqualTo(1);
    }
  }

  private static FilePayload plain(String name, int width, int height) throws IOException {
    java.awt.image.BufferedImage image =
        new java.awt.image.BufferedImage(width, height, java.awt.image.BufferedImage.TYPE_INT_RGB);
    java.io.ByteArrayOutputStream png = new java.io.ByteArrayOutputStream();
    javax.imageio.ImageIO.write(image, "png", png);
    return file(name, "image/png", png.toByteArray());
  }

  @Test
  public void aPageOfAPdfIsPlacedAsItIsAndTellsItsSizeAndFonts() throws IOException {
    Desk desk = composed("Elsewhere");
    bring(desk, file("made elsewhere.pdf", "application/pdf", pdf()));
    assertThat(desk.page.locator("#block-name")).hasText("made elsewhere");
    assertThat(desk.page.locator("#title-block")).containsText("no type in it");
    assertThat(desk.page.locator("#p-left")).hasValue("0");
    assertThat(desk.page.locator("#p-width")).hasValue("6");
    desk.does(
        () -> {
          desk.page.locator("#pg-number").fill("2");
          desk.page.keyboard().press("Enter");
        });
    assertThat(desk.page.locator("#title-block")).containsText("Times-Roman (not in the file)");
    assertThat(desk.page.locator("#notes")).containsText("a font that its file does not bring");
    desk.does(
        () -> {
          desk.page.locator("#pg-number").fill("3");
          desk.page.keyboard().press("Enter");
        },
        400);
    assertThat(desk.page.locator("#message"))
        .hasText(Pattern.compile("“3” is no page: a number from 1 to 2\\."));
    String id = desk.page.locator("#title-block").getAttribute("data-chosen");
    assertThat(
            (boolean)
                desk.page
                    .locator("#art-" + id + " image")
                    .evaluate("i => fetch(i.href.baseVal).then(r => r.ok)"))
        .isTrue();
    try (PDDocument press = pressFile(desk)) {
      COSDictionary objects =
          press.getPage(0).getResources().getCOSObject().getCOSDictionary(COSName.XOBJECT);
      COSDictionary form = objects.getCOSDictionary(objects.keySet().iterator().next());
      assertThat(form.getCOSName(COSName.SUBTYPE)).isEqualTo(COSName.FORM);
      assertThat(form.getCOSDictionary(COSName.RESOURCES).getCOSDictionary(COSName.FONT).size())
          .isEqualTo(1);
    }
  }

  @Test
  public void whatCantBePlacedIsRefusedWithASentenceAndNothingIsAdded() {
    Desk desk = composed("Refused files");
    String before = desk.page.locator("#pieces").innerText();
    Object[][] wrong = {
      {svg("words.svg", SVG.replace("<script>", "<text>Salt</text><script>")), "has words set in"},
      {svg("cut.svg", SVG.substring(0, 200)), "damaged at line 1"},
      {file("cut.pdf", "application/pdf", "%PDF-1.7\nnothing".getBytes()), "This PDF is damaged"},
    };
    for (Object[] each : wrong) {
      desk.does(() -> desk.page.locator("#add-picture").setInputFiles((FilePayload) each[0]), 400);
      assertThat(desk.page.locator("#message")).containsText((String) each[1]);
    }
    desk.does(() -> desk.page.locator("#bg-file").setInputFiles(svg("knot.svg", SVG)), 400);
    assertThat(desk.page.locator("#message")).containsText("can't be the ground's picture");
    assertThat(desk.page.locator("#pieces .piece").count())
        .isEqualTo(
            (int) before.lines().filter(l -> !l.matches("Front|Spine|Back|Ground")).count() + 1);
  }
}
