package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.check.Finding;
import app.reglet.core.check.Found;
import app.reglet.core.check.OnPages;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.house.PressRules;
import app.reglet.core.measure.Box;
import app.reglet.core.recut.FinishedSheet;
import app.reglet.core.recut.Recut;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.PressFiles;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A finished sheet cut to another spine, in the pixels that are drawn of it and of its file. */
public class CuttingPixelsTest {
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);
  private static final double INCH = 25.4;
  private static final int DPI = 100;

  /** An old cover, trimmed: back, a spine of 0.6 in whose middle third is dark, front. */
  private static final double OLD_SPINE = 0.6;

  private static final double OLD_WIDTH = 12 + OLD_SPINE;

  /** In inches from the left: colours that change at folds and edges. */
  private static final Map<double[], Color> STRIPES =
      Map.of(
          new double[] {0, 0.5}, new Color(0xb04020),
          new double[] {0.5, 6}, new Color(0xe0c080),
          new double[] {6, 6.2}, new Color(0x205060),
          new double[] {6.2, 6.4}, new Color(0x101010),
          new double[] {6.4, 6.6}, new Color(0x205060),
          new double[] {6.6, 12}, new Color(0x80a0c0),
          new double[] {12, 12.6}, new Color(0x307030));

  private static byte[] picture() throws IOException {
    BufferedImage image =
        new BufferedImage((int) Math.round(OLD_WIDTH * DPI), 9 * DPI, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    STRIPES.forEach(
        (at, colour) -> {
          g.setColor(colour);
          g.fillRect(
              (int) Math.round(at[0] * DPI), 0, (int) Math.round((at[1] - at[0]) * DPI), 9 * DPI);
        });
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static byte[] pdf() throws IOException {
    try (PDDocument d = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle((float) (OLD_WIDTH * 72), 9 * 72));
      d.addPage(page);
      try (PDPageContentStream out = new PDPageContentStream(d, page)) {
        for (Map.Entry<double[], Color> e : STRIPES.entrySet()) {
          out.setNonStrokingColor(e.getValue());
          out.addRect(
              (float) (e.getKey()[0] * 72), 0, (float) ((e.getKey()[1] - e.getKey()[0]) * 72), 648);
          out.fill();
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return out.toByteArray();
    }
  }

  /** The one file there is. */
  private record Kept(Picture picture, FileBytes file, PdfPage about) implements Pictures {
    @Override
    public Optional<Picture> find(String sha) {
      return Optional.ofNullable(picture);
    }

    @Override
    public Optional<Ornament> drawing(String sha) {
      return Optional.empty();
    }

    @Override
    public Optional<PageOfFile> page(String sha, int number) {
      return Optional.ofNullable(about).map(a -> PageOfFile.of(sha, file, a, Optional::empty));
    }
  }

  @DataProvider
  Object[][] files() throws IOException {
    Path png = Scratch.file("cutting", ".png");
    Files.write(png, picture());
    Path pdf = Scratch.file("cutting", ".pdf");
    Files.write(pdf, pdf());
    png.toFile().deleteOnExit();
    pdf.toFile().deleteOnExit();
    Picture p =
        PictureReader.shown(FileBytes.of(png), Budget.forFile(Files.size(png)), 200).picture();
    PdfPage page = PdfPage.shown(FileBytes.of(pdf), 1, 200, Budget.forFile(Files.size(pdf))).page();
    return new Object[][] {
      {new FinishedSheet(p.sha(), 0, OLD_WIDTH / 9, Optional.empty()), new Kept(p, null, null)},
      {
        new FinishedSheet("cd".repeat(32), 1, OLD_WIDTH / 9, Optional.of(page.size())),
        new Kept(null, FileBytes.of(pdf), page)
      }
    };
  }

  private static Color at(BufferedImage image, Wrap wrap, double mm) {
    int x = (int) (mm / wrap.sheet().width().toMm() * image.getWidth());
    return new Color(image.getRGB(x, image.getHeight() / 2));
  }

  private static void expect(BufferedImage image, Wrap wrap, double mm, int rgb, String where) {
    Color is = at(image, wrap, mm);
    Color should = new Color(rgb);
    assertThat(is.getRed()).as(where).isCloseTo(should.getRed(), within(10));
    assertThat(is.getGreen()).as(where).isCloseTo(should.getGreen(), within(10));
    assertThat(is.getBlue()).as(where).isCloseTo(should.getBlue(), within(10));
  }

  @Test(dataProvider = "files")
  public void eachPartLiesOnItsPanelTheSpineKeepsItsSizeAndBleedIsMirrored(
      FinishedSheet file, Kept kept) throws IOException {
    Wrap wrap = Specimen.wrap(400);
    Recut.Choices choices = new Recut.Choices(false, false, Optional.empty(), false);
    Recut.Result r = new Recut(wrap, file, choices).result();
    Design design = new Design(Map.of(), r.side(), Composition.BLANK);
    Artwork art = COMPOSER.compose(design, wrap, Specimen.BOOK, kept);
    looked(ArtworkRaster.render(art, Rect.of(wrap.sheetBox()), 1600), wrap);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PressFile.write(
        java.util.List.of(new PressFile.Page(art, wrap)),
        Specimen.BOOK,
        Instant.EPOCH,
        app.reglet.press.pdf.PressMaking.SCREEN,
        app.reglet.press.pdf.Progress.none(),
        out,
        Path.of(System.getProperty("java.io.tmpdir")));
    assertThat(out.size()).isLessThan(200_000); // the file is in it once
    try (PDDocument d = Loader.loadPDF(out.toByteArray())) {
      looked(new PDFRenderer(d).renderImageWithDPI(0, 120), wrap);
    }
  }

  private static void looked(BufferedImage image, Wrap wrap) {
    Box back = wrap.panel(PanelKind.BACK).orElseThrow().trim();
    Box spine = wrap.panel(PanelKind.SPINE).orElseThrow().trim();
    Box front = wrap.panel(PanelKind.FRONT).orElseThrow().trim();
    double hair = 0.5;
    double left = back.left().toMm();
    double middle = spine.centreX().toMm();
    // what lacks is the file's edge, mirrored
    expect(image, wrap, left - 2.5, 0xb04020, "bleed of the back");
    expect(image, wrap, left + 0.5 * INCH - hair, 0xb04020, "the back's stripe ends");
    expect(image, wrap, left + 0.5 * INCH + hair, 0xe0c080, "half an inch from the edge");
    expect(image, wrap, spine.left().toMm() - hair, 0xe0c080, "up to the fold");
    expect(image, wrap, spine.left().toMm() + hair, 0x205060, "the spine's ground from the fold");
    // the spine's dark third is 0.2 in wide, in the middle, as it was
    expect(image, wrap, middle, 0x101010, "the middle of the spine");
    expect(image, wrap, middle - 0.1 * INCH + hair, 0x101010, "dark on the left");
    expect(image, wrap, middle - 0.1 * INCH - hair, 0x205060, "beside it");
    expect(image, wrap, middle + 0.1 * INCH - hair, 0x101010, "dark on the right");
    expect(image, wrap, middle + 0.1 * INCH + hair, 0x205060, "beside that");
    expect(image, wrap, front.left().toMm() - hair, 0x205060, "up to the front's fold");
    expect(image, wrap, front.left().toMm() + hair, 0x80a0c0, "the front from its fold");
    expect(image, wrap, front.left().toMm() + 5.4 * INCH - hair, 0x80a0c0, "the front's stripe");
    expect(image, wrap, front.left().toMm() + 5.4 * INCH + hair, 0x307030, "the last stripe");
    expect(image, wrap, front.right().toMm() + 2.5, 0x307030, "bleed of the front");
  }

  /** The whole wrap as one picture of 72 ppi, in a PDF: as it comes from a screen. */
  private static byte[] coarse() throws IOException {
    BufferedImage image =
        new BufferedImage((int) Math.round(OLD_WIDTH * 72), 9 * 72, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(
        new GradientPaint(0, 0, new Color(0x204060), image.getWidth(), 0, new Color(0xd0b080)));
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.dispose();
    try (PDDocument d = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle((float) (OLD_WIDTH * 72), 9 * 72));
      d.addPage(page);
      try (PDPageContentStream out = new PDPageContentStream(d, page)) {
        out.drawImage(
            LosslessFactory.createFromImage(d, image), 0, 0, (float) (OLD_WIDTH * 72), 9 * 72);
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return out.toByteArray();
    }
  }

  @Test
  public void aFinishedFileOfCoarsePixelsIsToldAndStaysAsCoarseInThePressFile() throws IOException {
    Path pdf = Files.write(Scratch.file("coarse", ".pdf"), coarse());
    PdfPage page = PdfPage.shown(FileBytes.of(pdf), 1, 200, Budget.forFile(Files.size(pdf))).page();
    assertThat(page.content().pixels()).isTrue();
    assertThat(page.pixelsAcross()).isCloseTo(OLD_WIDTH * 72, within(1.5));
    Kept kept = new Kept(null, FileBytes.of(pdf), page);
    FinishedSheet sheet =
        new FinishedSheet("cd".repeat(32), 1, OLD_WIDTH / 9, Optional.of(page.size()));
    Wrap wrap = Specimen.wrap(400);
    Recut.Result r =
        new Recut(wrap, sheet, new Recut.Choices(false, false, Optional.empty(), false)).result();
    Artwork art =
        COMPOSER.compose(
            new Design(Map.of(), r.side(), Composition.BLANK), wrap, Specimen.BOOK, kept);
    List<Finding> found = new OnPages().find(new Subject(wrap, Specimen.BOOK, art.laid()));
    assertThat(found).isNotEmpty();
    assertThat(found).allMatch(f -> f.remedies().isEmpty()); // nothing here makes pixels
    for (Finding f : found) {
      assertThat(f.found()).isInstanceOf(Found.PictureTooCoarse.class);
      assertThat(((Found.PictureTooCoarse) f.found()).ppi()).isBetween(40.0, 90.0);
    }
    Path made =
        PressFiles.make(art, PressFiles.making(PressFiles.rules(PressRules.Standard.X1A, 280)));
    List<String> pictures = Tool.ok("pdfimages", "-list", made.toString()).lines().skip(2).toList();
    assertThat(pictures).isNotEmpty();
    for (String line : pictures) {
      String[] columns = line.strip().split("\\s+");
      assertThat(Integer.parseInt(columns[3])).as("pixels across, no sliver").isGreaterThan(5);
      assertThat(Math.min(Integer.parseInt(columns[12]), Integer.parseInt(columns[13])))
          .as(line)
          .isBetween(40, 90);
    }
  }

  /** What a page of pixels may have beside them, and whether it is still nothing but pixels. */
  @DataProvider
  Object[][] pagesOfPixels() {
    return new Object[][] {
      {"a picture alone", "q 400 0 0 400 0 0 cm /P Do Q", true},
      {"cut by the page's edge", "q 0 0 400 400 re W n 400 0 0 400 0 0 cm /P Do Q", true},
      {"cut by a form", "q 0 0 m 400 0 l 200 400 l h W n 400 0 0 400 0 0 cm /P Do Q", false},
      {"turned", "q 300 200 -200 300 200 0 cm /P Do Q", false},
      {"more pixels one way", "q 400 0 0 100 0 0 cm /P Do Q", false},
      {"with an area", "q 400 0 0 400 0 0 cm /P Do Q 10 10 50 50 re f", false},
      {"with a line", "q 400 0 0 400 0 0 cm /P Do Q 10 10 m 90 90 l S", false}
    };
  }

  @Test(dataProvider = "pagesOfPixels")
  public void onlyAPageOfUprightUncutPicturesIsNoFinerThanTheyAre(
      String what, String drawing, boolean alone) throws IOException {
    Path pdf = Scratch.file("pixels", ".pdf");
    try (PDDocument d = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(400, 400));
      page.setResources(new PDResources());
      page.getResources()
          .put(
              COSName.getPDFName("P"),
              LosslessFactory.createFromImage(
                  d, new BufferedImage(200, 200, BufferedImage.TYPE_INT_RGB)));
      PDStream contents = new PDStream(d);
      try (OutputStream out = contents.createOutputStream()) {
        out.write(drawing.getBytes(StandardCharsets.US_ASCII));
      }
      page.setContents(contents);
      d.addPage(page);
      d.save(pdf.toFile());
    }
    PdfPage page = PdfPage.shown(FileBytes.of(pdf), 1, 100, Budget.forFile(Files.size(pdf))).page();
    assertThat(page.content().pixels()).as(what).isEqualTo(alone);
  }
}
