package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.inspect.BlockFacts;
import app.reglet.press.inspect.BlockFit;
import app.reglet.press.inspect.BlockFitText;
import app.reglet.press.inspect.BlockGutter;
import app.reglet.press.inspect.Compared;
import app.reglet.press.inspect.ComparedText;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.testng.annotations.Test;

public class InspectTest {
  private static byte[] press(int pages) {
    return PressFile.make(
        Specimen.plain(pages), Specimen.BOOK, Instant.parse("2026-11-24T12:00:00Z"));
  }

  private static byte[] page(float w, float h, int rotate, boolean withFont) throws Exception {
    try (PDDocument d = new PDDocument()) {
      PDPage p = new PDPage(new PDRectangle(w, h));
      p.setRotation(rotate);
      d.addPage(p);
      if (withFont) {
        try (PDPageContentStream c = new PDPageContentStream(d, p)) {
          c.beginText();
          c.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
          c.showText("loose");
          c.endText();
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return out.toByteArray();
    }
  }

  private static List<ComparedText.Line> lines(byte[] file, Wrap outside) {
    return ComparedText.of(FitCheck.of(PdfFacts.read(file), outside), outside.house().unit());
  }

  @Test
  public void acceptsItsOwnPressFile() {
    assertThat(FitCheck.of(PdfFacts.read(press(100)), Specimen.wrap(100))).allMatch(Compared::fits);
  }

  @Test
  public void refusesTheOtherPageCountWithBothSizes() {
    ComparedText.Line sheet =
        lines(press(100), Specimen.wrap(320)).stream()
            .filter(a -> a.what().equals("Sheet"))
            .findFirst()
            .orElseThrow();
    assertThat(sheet.fits()).isFalse();
    assertThat(sheet.expected()).contains("12.9706 × 9.25 in"); // 12.97064
    assertThat(sheet.found()).contains("12.4752 × 9.25 in");
    assertThat(sheet.sentence()).contains("0.4954 in too narrow");
  }

  @Test
  public void namesAMissingBleedAndALooseFont() throws Exception {
    var answers = lines(page(880.2144f, 648f, 0, true), Specimen.wrap(100));
    assertThat(answers)
        .anyMatch(
            a ->
                a.what().equals("Sheet") && !a.fits() && a.sentence().contains("bleed is missing"));
    assertThat(answers).anyMatch(a -> a.what().equals("Fonts") && !a.fits());
  }

  /** Of a file made elsewhere whose page is right: the trim box alone is judged. */
  private static ComparedText.Line trimBox(float left, float bottom, float width, float height)
      throws Exception {
    try (PDDocument d = new PDDocument()) {
      PDPage p = new PDPage(new PDRectangle(898.2144f, 666f));
      p.setTrimBox(new PDRectangle(left, bottom, width, height));
      d.addPage(p);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return lines(out.toByteArray(), Specimen.wrap(100)).stream()
          .filter(a -> a.what().equals("Trim box"))
          .findFirst()
          .orElseThrow();
    }
  }

  @Test
  public void theTrimBoxOfAForeignFileIsJudgedBySizeAndPlace() throws Exception {
    // 12.2252 × 9 in = 880.2144 × 648 pt, 0.125 in = 9 pt from each edge
    assertThat(trimBox(9, 9, 880.2144f, 648).fits()).isTrue();
    ComparedText.Line wide = trimBox(0, 9, 898.2144f, 648);
    assertThat(wide.fits()).isFalse();
    assertThat(wide.sentence()).contains("another size").contains("12.2252 × 9 in");
    ComparedText.Line low = trimBox(9, 0, 880.2144f, 648);
    assertThat(low.fits()).isFalse();
    assertThat(low.sentence()).contains("0 in from the foot").contains("0.125 in");
    assertThat(trimBox(18, 9, 880.2144f, 648).fits()).isFalse();
  }

  @Test
  public void aTurnedPageCountsAsItIsSeen() throws Exception {
    var answers = FitCheck.of(PdfFacts.read(page(666f, 898.2144f, 90, false)), Specimen.wrap(100));
    assertThat(answers).allMatch(Compared::fits);
  }

  @Test
  public void agreesWithPopplerOnForeignFiles() throws Exception {
    // ghostscript makes the file, poppler and Reglet each read it
    Path out = Tool.file("a.pdf", new byte[0]);
    Tool.ok(
        "gs",
        "-q",
        "-dNOPAUSE",
        "-dBATCH",
        "-sDEVICE=pdfwrite",
        "-g5953x8419",
        "-r720",
        "-o",
        out.toString(),
        "-c",
        "/Times-Roman 20 selectfont 50 50 moveto (sedge) show showpage showpage");
    PdfFacts facts = PdfFacts.read(Files.readAllBytes(out));
    String info = Tool.ok("pdfinfo", out.toString());
    assertThat(facts.pages()).isEqualTo(2);
    assertThat(info).containsPattern("Pages:\\s+2\\b");
    assertThat(info.replaceAll(" +", " "))
        .contains(
            "Page size: "
                + facts.first().media().width().figure(app.reglet.core.measure.Unit.PT, 2));
    List<String> rows = Tool.ok("pdffonts", out.toString()).lines().skip(2).toList();
    assertThat(facts.fonts()).hasSameSizeAs(rows).hasSize(1);
    assertThat(facts.fonts().get(0).embedded())
        .isEqualTo(rows.get(0).matches(".* yes +(yes|no) +(yes|no) +[0-9]+ +0"));
  }

  @Test
  public void badFilesGetASentence() throws Exception {
    byte[] good = press(100);
    for (byte[] bad :
        new byte[][] {
          {},
          "hello".getBytes(StandardCharsets.US_ASCII),
          "%PDF-1.4 nothing more".getBytes(StandardCharsets.US_ASCII),
          Arrays.copyOf(good, 300),
          new byte[5000]
        }) {
      assertThatThrownBy(() -> PdfFacts.read(bad))
          .isInstanceOf(Refusal.class)
          .hasMessageMatching(".*[.]");
    }
    try (PDDocument d = new PDDocument()) {
      d.addPage(new PDPage());
      d.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      assertThatThrownBy(() -> PdfFacts.read(out.toByteArray())).hasMessageContaining("password");
    }
  }

  @Test
  public void badPicturesGetASentence() {
    byte[] jpeg = Specimen.encode(Specimen.sky(300, 200), "jpg");
    byte[] png = Specimen.encode(Specimen.sky(300, 200), "png");
    for (byte[] bad :
        new byte[][] {
          {},
          "GIF89a".getBytes(StandardCharsets.US_ASCII),
          Arrays.copyOf(jpeg, 40),
          Arrays.copyOf(png, 60)
        }) {
      assertThatThrownBy(() -> PictureReader.read(bad)).isInstanceOf(Refusal.class);
    }
    byte[] huge = png.clone();
    // a PNG that claims 60 000 × 60 000 pixels: refused by its header, not by running out of memory
    huge[16] = 0;
    huge[17] = 0;
    huge[18] = (byte) 0xea;
    huge[19] = 0x60;
    huge[20] = 0;
    huge[21] = 0;
    huge[22] = (byte) 0xea;
    huge[23] = 0x60;
    assertThatThrownBy(() -> PictureReader.read(huge)).isInstanceOf(Refusal.class);
    BufferedImage grey = new BufferedImage(20, 10, BufferedImage.TYPE_BYTE_GRAY);
    assertThat(PictureReader.read(Specimen.encode(grey, "png")).width()).isEqualTo(20);
  }

  private static byte[] block(double... sizes) throws Exception {
    try (PDDocument d = new PDDocument()) {
      for (int i = 0; i < sizes.length; i += 2) {
        d.addPage(new PDPage(new PDRectangle((float) sizes[i] * 72, (float) sizes[i + 1] * 72)));
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return out.toByteArray();
    }
  }

  private static BlockFit fit(byte[] block, String trim) {
    Specification spec =
        Specification.of(
            Binding.PERFECT_BOUND, Size.parse(trim, Unit.IN), 2, "white", "black", PageTurn.LTR);
    return BlockFit.of(PdfFacts.read(block), spec, Specimen.gannet().rules(Binding.PERFECT_BOUND));
  }

  /** 7.5 × 9.25 in and 0.125 in bleed: 7.625 × 9.5 in (common practice, no single source). */
  @Test
  public void aBookBlockFitsWithOrWithoutBleed() throws Exception {
    assertThat(fit(block(7.5, 9.25, 7.5, 9.25), "7.5 x 9.25"))
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(BlockFit.Verdict.TRIM));
    assertThat(fit(block(7.625, 9.5), "7.5 x 9.25").verdict()).isEqualTo(BlockFit.Verdict.BLEED);
    // bleed on all four sides is a common slip: 0.125 in too wide
    BlockFit four = fit(block(7.75, 9.5), "7.5 x 9.25");
    assertThat(four.verdict()).isEqualTo(BlockFit.Verdict.NEITHER);
    assertThat(BlockFitText.of(four, Unit.IN))
        .contains("make them 7.625 × 9.5 in (0.125 in narrower, the height stays)")
        .contains("make them 7.5 × 9.25 in (0.25 in narrower, 0.25 in lower)");
    assertThat(BlockFitText.of(fit(block(9.25, 7.5), "7.5 x 9.25"), Unit.IN))
        .contains("turn them upright");
  }

  @Test
  public void aBookBlockOfMixedSizesNamesThePages() throws Exception {
    BlockFit mixed = fit(block(6, 9, 6, 9, 8.5, 11, 6, 9), "6 x 9");
    assertThat(mixed.verdict()).isEqualTo(BlockFit.Verdict.MIXED);
    assertThat(BlockFitText.of(mixed, Unit.IN))
        .contains("page 1 is 6 × 9 in, but page 3 is 8.5 × 11 in.");
  }

  /** Words two inches wide, from so far of the page's left edge, inches; nothing for none. */
  private static byte[] written(double... lefts) throws Exception {
    try (PDDocument d = new PDDocument()) {
      for (double left : lefts) {
        PDPage p = new PDPage(new PDRectangle(432, 648));
        d.addPage(p);
        try (PDPageContentStream c = new PDPageContentStream(d, p)) {
          if (left > 0) {
            c.beginText();
            c.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
            c.newLineAtOffset((float) left * 72, 300);
            c.showText("HHHHHHHHHHHHHHHH");
            c.endText();
          } else {
            c.setNonStrokingColor(0f); // a state is no paint
          }
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      d.save(out);
      return out.toByteArray();
    }
  }

  private static BlockFacts block(byte[] file) {
    return BlockFacts.read(FileBytes.of(file), Budget.forFile(file.length));
  }

  @Test
  public void blankPagesAreCountedFromTheLastOnAndOneInTheMiddleIsNone() throws Exception {
    assertThat(block(written(1, 0, 1, 0, 0)).blankAtEnd()).isEqualTo(2);
    assertThat(block(written(1, 0, 1)).blankAtEnd()).isZero();
    assertThat(block(written(0, 0)).blankAtEnd()).as("one page is left").isEqualTo(1);
  }

  /** What only looking at pages would tell is left out, not the count and the sizes. */
  @Test
  public void aBlockWhosePagesCostTooMuchToLookAtOrAreDamagedIsCountedStill() throws Exception {
    byte[] file = written(1, 1, 1, 0, 0);
    BlockFacts facts = block(file);
    int needed = 0;
    while (true) { // just enough to count, not to look
      try {
        PdfFacts.read(FileBytes.of(file), new Budget(Duration.ofSeconds(20), needed, 1 << 24));
        break;
      } catch (Refusal r) {
        needed++;
      }
    }
    BlockFacts counted =
        BlockFacts.read(FileBytes.of(file), new Budget(Duration.ofSeconds(20), needed, 1 << 24));
    assertThat(counted.pdf()).isEqualTo(facts.pdf());
    assertThat(counted.margins()).hasSizeLessThan(3);
    byte[] broken =
        new String(file, StandardCharsets.ISO_8859_1)
            .replaceFirst("(?s)(.*)FlateDecode", "$1FlateDecoda")
            .getBytes(StandardCharsets.ISO_8859_1);
    assertThat(broken).isNotEqualTo(file);
    assertThat(block(broken).pdf().pages()).isEqualTo(5);
  }

  /** Page 1 lies on the right, its spine at its left; in a mirror book it is the other way. */
  @Test
  public void wordsNearTheSpineAreFoundOnTheSideThatIsBound() throws Exception {
    Wrap outside = Specimen.wrap(320);
    double wanted = BlockPage.of(outside).get(0).gutter().in(Unit.IN, 6).doubleValue();
    // an H of the font begins 0.077 of its size inside its advance (Helvetica's metrics)
    double bearing = 0.077 * 12 / 72;
    double far = wanted + 0.02;
    BlockFacts near = block(written(1, 1, 0.3, 1, 1, 1));
    BlockGutter gutter = BlockGutter.of(near, outside).orElseThrow();
    assertThat(gutter.page()).isEqualTo(3);
    assertThat(gutter.nearer()).isEqualTo(1);
    assertThat(gutter.looked()).isEqualTo(6);
    assertThat(gutter.nearest().in(Unit.IN, 3).doubleValue())
        .isCloseTo(0.3 + bearing, within(0.002));
    assertThat(BlockFitText.of(gutter, Unit.IN))
        .contains("Words on page 3 come as near as 0.31")
        .contains("a book so thick wants " + BlockPage.of(outside).get(0).gutter().brief(Unit.IN))
        .contains("Of 6 pages that were looked at, 1 is nearer");
    // the same words at the outer side of a left-hand page are none of its business
    assertThat(BlockGutter.of(block(written(far, 0.1, far)), outside)).isEmpty();
    Wrap mirror = Measuring.measure(outside.spec().withTurn(PageTurn.RTL), outside.house());
    assertThat(BlockGutter.of(near, mirror)).isEmpty();
    assertThat(BlockGutter.of(block(written(1, 0.1, 1)), mirror).orElseThrow().page()).isEqualTo(2);
  }

  @Test
  public void aPartIsTakenForWhatItMayBe() {
    Wrap outside =
        Measuring.measure(
            Specification.of(
                    Binding.PERFECT_BOUND,
                    Size.parse("A5", Unit.MM),
                    160,
                    "feather-90",
                    "black",
                    PageTurn.LTR)
                .withToldSpine(Optional.of(new ToldSpine(Length.mm("11.8"), ""))),
            Specimen.house("sandling-and-daughters"));
    for (Wrap part : FilePages.of(outside)) {
      byte[] file = PressFile.make(Specimen.on(outside), part, Specimen.BOOK, Instant.EPOCH);
      assertThat(lines(file, outside))
          .allMatch(ComparedText.Line::fits)
          .anyMatch(
              a ->
                  a.what().equals("Taken for")
                      && List.of(a.found().split(" or ")).contains(part.page().id()));
    }
    assertThat(FitCheck.of(PdfFacts.read(press(100)), outside)).anyMatch(a -> !a.fits());
  }

  @Test
  public void anInsideIsJudgedByItsOwnPageAloneOrBehindTheOutside() {
    Wrap outside =
        Measuring.measure(
            Specification.of(
                    Binding.PERFECT_BOUND,
                    Size.parse("A5", Unit.MM),
                    160,
                    "bulky-80",
                    "black",
                    PageTurn.LTR)
                .withInsidePrinted(true),
            Specimen.house("osier-row"));
    Wrap inside = FilePages.inside(outside).orElseThrow();
    PressFile.Page first = new PressFile.Page(Specimen.on(outside), outside);
    PressFile.Page second = new PressFile.Page(Specimen.on(inside), inside);
    byte[] both = PressFile.make(List.of(first, second), Specimen.BOOK, Instant.EPOCH);
    assertThat(lines(both, outside))
        .allMatch(ComparedText.Line::fits)
        .anyMatch(l -> l.what().equals("Inside"));
    byte[] alone = PressFile.make(List.of(second), Specimen.BOOK, Instant.EPOCH);
    assertThat(FitCheck.ofInside(PdfFacts.read(alone), inside)).hasSize(4).allMatch(c -> c.fits());
    assertThat(FitCheck.ofInside(PdfFacts.read(both), inside)).anyMatch(c -> !c.fits());
    assertThat(FitCheck.ofInside(PdfFacts.read(press(100)), inside)).anyMatch(c -> !c.fits());
  }
}
