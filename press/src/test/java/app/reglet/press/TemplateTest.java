package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.pdf.DocketPdf;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.TemplatePdf;
import app.reglet.press.template.Template;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Templates for people who draw elsewhere, read back by poppler, qpdf, MuPDF and ImageIO. */
public class TemplateTest {
  private static final Typeface FACE = Typefaces.shipped().get("work-sans");
  private static final Typeface BOLD = Typefaces.shipped().get("work-sans-semibold");

  private static Wrap wrap(String house, Binding binding, String trim, int pages, String stock) {
    RuleSheet sheet = Specimen.house(house);
    Specification spec =
        Specification.of(
                binding,
                Size.parse(trim, Unit.IN),
                pages,
                stock,
                stock.isEmpty() ? "" : "black",
                PageTurn.LTR)
            .withInsidePrinted(sheet.rules(binding).inside().isPresent())
            .withToldSpine(Optional.of(new ToldSpine(Length.mm("11.8"), "")));
    return Measuring.measure(spec, sheet);
  }

  @DataProvider
  Object[][] covers() {
    return new Object[][] {
      {wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9", 100, "white"), 1},
      {wrap("osier-row", Binding.PERFECT_BOUND, "A5", 320, "bulky-80"), 2},
      {wrap("osier-row", Binding.FLAPPED, "A5", 320, "bulky-80"), 2},
      {wrap("dunlin-casebinders", Binding.CASE_LAMINATE, "6 x 9", 240, "white"), 1},
      {wrap("dunlin-casebinders", Binding.DUST_JACKET, "6 x 9", 240, "cream"), 1},
      {wrap("whimbrel-digital", Binding.SADDLE_STITCHED, "5.5 x 8.5", 24, "cream"), 2},
      {wrap("sandling-and-daughters", Binding.PERFECT_BOUND, "A5", 160, "feather-90"), 3},
      {wrap("sandling-and-daughters", Binding.CASE_LAMINATE, "A5", 160, "feather-90"), 1},
      {wrap("lantern-shelf", Binding.EBOOK, "16.6667in x 26.6667in", 1, ""), 1},
    };
  }

  @Test(dataProvider = "covers")
  public void thePdfHasEveryPageInItsSize(Wrap outside, int count) {
    Path pdf = Tool.file("template.pdf", TemplatePdf.make(outside, Unit.IN, FACE));
    Tool.ok("qpdf", "--check", pdf.toString());
    String out = Tool.ok("pdfinfo", "-box", "-l", "9", pdf.toString());
    assertThat(out).containsPattern("Pages:\\s+" + count + "\\b");
    List<Wrap> pages = FilePages.of(outside);
    assertThat(pages).hasSize(count);
    for (int i = 0; i < count; i++) {
      Wrap w = pages.get(i);
      double height = w.sheet().height().toPoints();
      box(out, "Page\\s+" + (i + 1) + " MediaBox:", 0, 0, w.sheet().width().toPoints(), height);
      box(
          out,
          "Page\\s+" + (i + 1) + " TrimBox:",
          w.trimmed().left().toPoints(),
          height - w.trimmed().bottom().toPoints(),
          w.trimmed().right().toPoints(),
          height - w.trimmed().top().toPoints());
    }
    assertThat(Tool.ok("pdffonts", pdf.toString()).lines().skip(2))
        .allMatch(r -> r.matches(".* yes +yes +yes.*"));
    assertThat(TemplatePdf.make(outside, Unit.IN, FACE))
        .isEqualTo(TemplatePdf.make(outside, Unit.IN, FACE));
  }

  /** 6 × 9 in with 0.125 in: 6.125 × 9.25 in, the trim at the spine's edge of the page. */
  @Test
  public void theInsidesPagesHaveBleedOnThreeSidesAndTheirGutterAtTheSpine() {
    for (PageTurn turn : PageTurn.values()) {
      RuleSheet sheet = Specimen.gannet();
      Wrap outside =
          Measuring.measure(
              Specification.of(
                  Binding.PERFECT_BOUND, Size.parse("6 x 9", Unit.IN), 320, "white", "black", turn),
              sheet);
      Path pdf = Tool.file("inside.pdf", TemplatePdf.inside(outside, Unit.IN, FACE));
      Tool.ok("qpdf", "--check", pdf.toString());
      String out = Tool.ok("pdfinfo", "-box", "-l", "9", pdf.toString());
      assertThat(out).containsPattern("Pages:\\s+2\\b");
      box(out, "Page\\s+1 MediaBox:", 0, 0, 441, 666);
      box(out, "Page\\s+1 TrimBox:", 9, 9, 441, 657);
      box(out, "Page\\s+2 MediaBox:", 0, 0, 441, 666);
      box(out, "Page\\s+2 TrimBox:", 0, 9, 432, 657);
      List<BlockPage> pages = BlockPage.of(outside);
      // 0.125 in, and a third of 320 × 0.002252 in
      double gutter = (0.125 + 320 * 0.002252 / 3) * 25.4;
      for (BlockPage p : pages) {
        assertThat(p.gutter().toMm()).isCloseTo(gutter, within(0.001));
        double inner = p.right() ? p.safe().left().toMm() : 155.575 - p.safe().right().toMm();
        assertThat(inner).isCloseTo(gutter, within(0.001));
        assertThat(p.first()).isEqualTo(p.right() == (turn == PageTurn.LTR));
        String svg = Template.svg(p, Unit.IN);
        assertThat(svg).contains("gutter").contains(p.first() ? "odd numbers" : "even numbers");
      }
      // each kind of guide lies where it should in the picture too
      BufferedImage left = image(Template.png(pages.get(0), Unit.IN, 100, FACE));
      assertThat(left.getWidth()).isEqualTo(613);
      assertThat(ink(left, 3, 3, 9, 920)).as("bleed on the outer side").isPositive();
      assertThat(ink(left, 580, 100, 32, 700)).as("gutter").isGreaterThan(1000);
      assertThat(ink(left, 200, 300, 200, 300)).as("nothing in the middle").isZero();
    }
  }

  private static BufferedImage image(byte[] png) {
    try {
      return ImageIO.read(new ByteArrayInputStream(png));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static int ink(BufferedImage image, int x, int y, int w, int h) {
    int count = 0;
    for (int yy = y; yy < y + h; yy++) {
      for (int xx = x; xx < x + w; xx++) {
        count += image.getRGB(xx, yy) >>> 24 > 60 ? 1 : 0;
      }
    }
    return count;
  }

  private static void box(String out, String name, double... expected) {
    var m = java.util.regex.Pattern.compile(name + "((?:\\s+[\\d.]+){4})").matcher(out);
    assertThat(m.find()).as(name + " in " + out).isTrue();
    String[] found = m.group(1).strip().split("\\s+");
    for (int i = 0; i < 4; i++) {
      assertThat(Double.parseDouble(found[i])).isCloseTo(expected[i], within(0.011));
    }
  }

  /** MuPDF renders a page for looking at, for printing and for export. */
  @Test
  public void guidesAreSeenButNeitherPrintedNorExported() throws IOException {
    Wrap w = wrap("dunlin-casebinders", Binding.CASE_LAMINATE, "6 x 9", 240, "white");
    Path pdf = Tool.file("template.pdf", TemplatePdf.make(w, Unit.IN, FACE));
    assertThat(inked(pdf, "View")).isGreaterThan(2000);
    assertThat(inked(pdf, "Print")).isZero();
    assertThat(inked(pdf, "Export")).isZero();
  }

  private static long inked(Path pdf, String usage) throws IOException {
    Path script =
        Files.writeString(
            pdf.resolveSibling("render.js"),
            """
            var page = new PDFDocument(scriptArgs[0]).loadPage(0);
            page.toPixmap([1,0,0,1,0,0], DeviceGray, false, true, scriptArgs[1], "MediaBox").saveAsPNG(scriptArgs[2]);
            """);
    Path png = pdf.resolveSibling(usage + ".png");
    Tool.ok("mutool", "run", script.toString(), pdf.toString(), usage, png.toString());
    BufferedImage image = ImageIO.read(png.toFile());
    long dark = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        dark += (image.getRGB(x, y) & 0xff) < 200 ? 1 : 0;
      }
    }
    return dark;
  }

  /** A wrap of 8.5 × 11 in at 300 ppi stays under 1 MB: 8-bit palette, transparent ground. */
  @Test
  public void aLargePngStaysSmall() throws IOException {
    Wrap w = wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "8.5 x 11", 300, "cream");
    byte[] png = Template.png(w, Unit.IN, 300, FACE);
    assertThat(png.length).isLessThan(1_000_000);
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
    // (2 × 8.5 + 0.75 + 0.25) × 300 = 5400; (11 + 0.25) × 300 = 3375
    assertThat(image.getWidth()).isEqualTo(5400);
    assertThat(image.getHeight()).isEqualTo(3375);
    assertThat(image.getColorModel()).isInstanceOf(IndexColorModel.class);
    assertThat(image.getColorModel().getPixelSize()).isEqualTo(8);
    assertThat(image.getColorModel().hasAlpha()).isTrue();
    // nothing in the middle of the front's left half; ink on the trim line, 0.125 in = 37.5 px in
    assertThat(image.getRGB(3600, 1200) >>> 24).isZero();
    assertThat(Math.max(image.getRGB(37, 1000) >>> 24, image.getRGB(38, 1000) >>> 24))
        .isGreaterThan(150);
    // 300 ppi is 11811 pixels to the metre (PNG 11.3.5.3, pHYs)
    String text = new String(png, StandardCharsets.ISO_8859_1);
    int phys = text.indexOf("pHYs");
    assertThat(java.nio.ByteBuffer.wrap(png).getInt(phys + 4)).isEqualTo(11811);
    assertThat(text).contains("PLTE", "tRNS");
  }

  @Test
  public void pngSizesAreBounded() {
    Wrap w = wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "8.5 x 11", 300, "cream");
    assertThatThrownBy(() -> Template.png(w, Unit.IN, 0, FACE)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Template.png(w, Unit.IN, 5000, FACE)).hasMessageContaining("1200");
    assertThatThrownBy(() -> Template.png(w, Unit.IN, 1200, FACE))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("lower ppi");
  }

  @Test(dataProvider = "covers")
  public void theSvgHasNamedGroupsInTrueSize(Wrap outside, int count) throws Exception {
    for (Wrap w : FilePages.of(outside)) {
      String svg = Template.svg(w, Unit.MM);
      var doc =
          javax.xml.parsers.DocumentBuilderFactory.newInstance()
              .newDocumentBuilder()
              .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
      assertThat(doc.getDocumentElement().getAttribute("width"))
          .isEqualTo(w.sheet().width().in(Unit.MM, 4).stripTrailingZeros().toPlainString() + "mm");
      assertThat(svg).contains("<g id=\"trim\">", "<g id=\"safe\">", "<g id=\"names\">");
      assertThat(svg.contains("<g id=\"fold\">")).isEqualTo(!w.folds().isEmpty());
      assertThat(svg.contains("<g id=\"turn-in\">")).isEqualTo(w.turnIn());
      assertThat(svg).doesNotContain("halo");
    }
  }

  @Test(dataProvider = "covers")
  public void theDocketPrintsOnOnePage(Wrap outside, int count) {
    byte[] file =
        DocketPdf.make(Specimen.BOOK, outside, Unit.MM, List.of("1 thing 日本 to mend."), FACE, BOLD);
    Path pdf = Tool.file("docket.pdf", file);
    Tool.ok("qpdf", "--check", pdf.toString());
    assertThat(Tool.ok("pdfinfo", pdf.toString()))
        .containsPattern("Pages:\\s+1\\b")
        .contains("841.89 x 595.276 pts (A4)");
    String text = Tool.ok("pdftotext", "-layout", pdf.toString(), "-");
    assertThat(text).contains("The Salt Ledger", outside.house().name(), "Sheet");
    for (Wrap w : FilePages.of(outside)) {
      assertThat(text.replaceAll("\\s+", "")).contains(w.sheet().print(Unit.MM).replace(" ", ""));
    }
  }

  @Test
  public void frontSpineAndBackAreCutFromOneArtwork() throws IOException {
    Wrap outside = wrap("sandling-and-daughters", Binding.PERFECT_BOUND, "A5", 160, "feather-90");
    var art = Specimen.on(outside);
    Path whole = Tool.file("whole.pdf", PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
    BufferedImage all = render(whole);
    for (Wrap part : FilePages.of(outside)) {
      Path pdf = Tool.file("part.pdf", PressFile.make(art, part, Specimen.BOOK, Instant.EPOCH));
      Tool.ok("qpdf", "--check", pdf.toString());
      BufferedImage seen = render(pdf);
      assertThat(seen.getWidth()).isCloseTo((int) part.sheet().width().toPixels(100), within(1));
      int dx = (int) Math.round(part.place().left().toMm() / 25.4 * 100);
      int differing = 0;
      int looked = 0;
      for (int y = 4; y < seen.getHeight() - 4; y += 3) {
        for (int x = 4; x < seen.getWidth() - 4; x += 3) {
          looked++;
          int a = seen.getRGB(x, y) & 0xff;
          int b = all.getRGB(Math.min(all.getWidth() - 1, x + dx), y) & 0xff;
          differing += Math.abs(a - b) > 90 ? 1 : 0;
        }
      }
      // the parts start between the whole's pixels, so edges of letters differ a little
      assertThat(differing).as(part.page().id()).isLessThan(looked / 25);
    }
  }

  private static BufferedImage render(Path pdf) throws IOException {
    Path png = pdf.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "100", "-png", "-singlefile", pdf.toString(), png.toString());
    return ImageIO.read(Files.newInputStream(Path.of(png + ".png")));
  }
}
