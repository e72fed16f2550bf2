package app.reglet.press.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.house.PressRules;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.golden.Golden;
import app.reglet.press.inspect.PressStandard;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Calendar;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * PDF/X-1a:2003 (ISO 15930-4) and PDF/X-4 (ISO 15930-7), clause by clause, from memory: our files
 * keep each, and each is seen broken in a file that was spoiled in that one way.
 */
public class PressStandardTest {
  private byte[] one;
  private byte[] four;

  @BeforeClass
  public void make() throws IOException {
    Artwork forms = golden("forms");
    one = Files.readAllBytes(file(forms, Standard.X1A));
    four = Files.readAllBytes(file(forms, Standard.X4));
  }

  private static Artwork golden(String name) {
    return Golden.all().stream()
        .filter(g -> g.name().equals(name))
        .findFirst()
        .orElseThrow()
        .artwork();
  }

  private static Path file(Artwork art, Standard standard) {
    return PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300)));
  }

  @DataProvider
  public Object[][] covers() {
    return Extent.of(3, new Object[][] {{"words"}, {"cut-out"}, {"forms"}, {"brought"}});
  }

  /** Kept by our own reader; and qpdf, poppler, MuPDF and ghostscript open them without a word. */
  @Test(dataProvider = "covers")
  public void ourFilesKeepEveryClauseAndOthersReadThem(String name) throws IOException {
    Artwork art = golden(name);
    for (Standard standard : new Standard[] {Standard.X1A, Standard.X4}) {
      Path pdf = file(art, standard);
      assertThat(PressStandard.broken(pdf, standard)).as(standard.title()).isEmpty();
      assertThat(Tool.ok("qpdf", "--check", pdf.toString())).contains("No syntax");
      String info = Tool.ok("pdfinfo", "-box", pdf.toString());
      assertThat(info)
          .contains("Title:           " + Specimen.BOOK.title().substring(0, 3))
          .contains("PDF version:     " + (standard == Standard.X1A ? "1.4" : "1.6"));
      assertThat(Tool.ok("mutool", "info", pdf.toString())).doesNotContain("error");
      assertThat(
              Tool.ok(
                  "gs",
                  "-q",
                  "-dNOPAUSE",
                  "-dBATCH",
                  "-dSAFER",
                  "-sDEVICE=nullpage",
                  pdf.toString()))
          .isEmpty();
    }
  }

  /** Something done to a document. */
  private interface Spoiling {
    void to(PDDocument document) throws IOException;
  }

  private static Object[] both(PressStandard clause, Spoiling how) {
    return new Object[] {clause, Set.of(Standard.X1A, Standard.X4), how};
  }

  private static Object[] only(PressStandard clause, Standard of, Spoiling how) {
    return new Object[] {clause, Set.of(of), how};
  }

  private static COSDictionary catalog(PDDocument d) {
    return d.getDocumentCatalog().getCOSObject();
  }

  private static COSDictionary intent(PDDocument d) {
    return (COSDictionary)
        ((COSArray) catalog(d).getDictionaryObject(COSName.OUTPUT_INTENTS)).getObject(0);
  }

  private static void add(PDDocument d, String operators) throws IOException {
    PDPage page = d.getPage(0);
    try (PDPageContentStream more =
        new PDPageContentStream(d, page, PDPageContentStream.AppendMode.APPEND, false)) {
      more.appendRawCommands(operators + "\n");
    }
  }

  @DataProvider
  public Object[][] spoilt() {
    return new Object[][] {
      only(PressStandard.VERSION, Standard.X1A, d -> d.setVersion(1.5f)),
      only(PressStandard.VERSION, Standard.X4, d -> d.setVersion(1.7f)),
      both(PressStandard.NAMED, d -> d.getDocumentInformation().setProducer(null)),
      both(
          PressStandard.NAMED,
          d -> d.getDocumentInformation().setModificationDate((Calendar) null)),
      only(
          PressStandard.SAYS_SO,
          Standard.X1A,
          d ->
              d.getDocumentInformation()
                  .getCOSObject()
                  .removeItem(COSName.getPDFName("GTS_PDFXVersion"))),
      only(PressStandard.SAYS_SO, Standard.X4, d -> xmp(d, "PDF/X-4", "PDF/X-5")),
      both(
          PressStandard.TRAPPED,
          d ->
              d.getDocumentInformation()
                  .getCOSObject()
                  .setItem(COSName.getPDFName("Trapped"), COSName.getPDFName("Unknown"))),
      both(PressStandard.OUTPUT_INTENT, d -> catalog(d).removeItem(COSName.OUTPUT_INTENTS)),
      both(
          PressStandard.OUTPUT_INTENT,
          d -> intent(d).setItem(COSName.S, COSName.getPDFName("GTS_PDFA1"))),
      both(
          PressStandard.OUTPUT_INTENT,
          d -> intent(d).removeItem(COSName.OUTPUT_CONDITION_IDENTIFIER)),
      both(
          PressStandard.OUTPUT_INTENT,
          d ->
              ((COSArray) catalog(d).getDictionaryObject(COSName.OUTPUT_INTENTS))
                  .add(new COSDictionary(intent(d)))),
      both(PressStandard.OUTPUT_INTENT, PressStandardTest::profileOfAScreen),
      both(PressStandard.BOXES, d -> d.getPage(0).getCOSObject().removeItem(COSName.TRIM_BOX)),
      both(
          PressStandard.BOXES,
          d ->
              d.getPage(0)
                  .getCOSObject()
                  .setItem(
                      COSName.ART_BOX,
                      d.getPage(0).getCOSObject().getDictionaryObject(COSName.TRIM_BOX))),
      both(
          PressStandard.BOXES,
          d ->
              ((COSArray) d.getPage(0).getCOSObject().getDictionaryObject(COSName.BLEED_BOX))
                  .set(0, new COSFloat(50))),
      both(
          PressStandard.FONTS,
          d -> {
            PDPage page = d.getPage(0);
            page.getResources().add(new PDType1Font(Standard14Fonts.FontName.HELVETICA));
          }),
      both(PressStandard.COLOURS, d -> add(d, "1 0 0 rg 0 0 9 9 re f")),
      both(
          PressStandard.COLOURS,
          d ->
              d.getPage(0)
                  .getResources()
                  .add(LosslessFactory.createFromImage(d, Specimen.corners(4, 4)))),
      only(
          PressStandard.TRANSPARENCY,
          Standard.X1A,
          d -> {
            PDExtendedGraphicsState state = new PDExtendedGraphicsState();
            state.setNonStrokingAlphaConstant(0.5f);
            d.getPage(0).getResources().add(state);
          }),
      only(
          PressStandard.TRANSPARENCY,
          Standard.X1A,
          d -> {
            PDExtendedGraphicsState state = new PDExtendedGraphicsState();
            state.setBlendMode(org.apache.pdfbox.pdmodel.graphics.blend.BlendMode.MULTIPLY);
            d.getPage(0).getResources().add(state);
          }),
      only(
          PressStandard.TRANSPARENCY,
          Standard.X1A,
          d -> {
            COSDictionary group = new COSDictionary();
            group.setItem(COSName.S, COSName.TRANSPARENCY);
            d.getPage(0).getCOSObject().setItem(COSName.GROUP, group);
          }),
      both(
          PressStandard.FILTERS,
          d -> {
            COSStream packed = d.getDocument().createCOSStream();
            try (var out = packed.createOutputStream(COSName.LZW_DECODE)) {
              out.write("q Q".getBytes(StandardCharsets.US_ASCII));
            }
            packed.setItem(COSName.TYPE, COSName.XOBJECT);
            packed.setItem(COSName.SUBTYPE, COSName.FORM);
            d.getPage(0)
                .getResources()
                .add(
                    new org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject(
                        new PDStream(packed)));
          }),
      both(
          PressStandard.NOTHING_ELSE,
          d -> d.getPage(0).getAnnotations().add(new PDAnnotationText())),
      both(
          PressStandard.NOTHING_ELSE,
          d -> catalog(d).setItem(COSName.getPDFName("OCProperties"), new COSDictionary())),
      only(PressStandard.METADATA, Standard.X4, d -> xmp(d, "Salt", "Silt")),
      only(PressStandard.METADATA, Standard.X4, d -> xmp(d, "RenditionClass", "RenditionKind")),
    };
  }

  private static void xmp(PDDocument d, String from, String to) throws IOException {
    var metadata = d.getDocumentCatalog().getMetadata();
    String text = new String(metadata.exportXMPMetadata().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(text).contains(from);
    metadata.importXMPMetadata(text.replace(from, to).getBytes(StandardCharsets.UTF_8));
  }

  private static void profileOfAScreen(PDDocument d) throws IOException {
    COSStream profile = (COSStream) intent(d).getDictionaryObject(COSName.DEST_OUTPUT_PROFILE);
    try (var out = profile.createOutputStream(COSName.FLATE_DECODE)) {
      out.write(
          java.awt.color.ICC_Profile.getInstance(java.awt.color.ColorSpace.CS_sRGB).getData());
    }
  }

  @Test(dataProvider = "spoilt")
  public void aFileSpoiltInOneWayBreaksThatClauseAndNoOther(
      PressStandard clause, Set<Standard> of, Spoiling how) throws IOException {
    for (Standard standard : of) {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      try (PDDocument d = Loader.loadPDF(standard == Standard.X1A ? one : four)) {
        how.to(d);
        d.save(out, CompressParameters.NO_COMPRESSION);
      }
      Path spoilt = Tool.file("spoilt.pdf", out.toByteArray());
      assertThat(PressStandard.broken(spoilt, standard))
          .as(standard.title())
          .containsExactly(clause);
    }
  }

  @Test
  public void objectsPackedIntoStreamsAreNotOfTheVersion() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (PDDocument d = Loader.loadPDF(one)) {
      d.save(out, CompressParameters.DEFAULT_COMPRESSION);
    }
    assertThat(PressStandard.broken(Tool.file("packed.pdf", out.toByteArray()), Standard.X1A))
        .contains(PressStandard.VERSION);
  }

  @Test
  public void anEncryptedFileIsSeen() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (PDDocument d = Loader.loadPDF(four)) {
      d.protect(new StandardProtectionPolicy("owner", "", new AccessPermission()));
      d.save(out, CompressParameters.NO_COMPRESSION);
    }
    assertThat(PressStandard.broken(Tool.file("closed.pdf", out.toByteArray()), Standard.X4))
        .contains(PressStandard.NOT_ENCRYPTED);
  }

  /** One in the other's clothes: transparency in an X-1a, another name in an X-4. */
  @Test
  public void theStandardsAreNotTakenForEachOther() throws IOException {
    assertThat(PressStandard.broken(Tool.file("a.pdf", four), Standard.X1A))
        .contains(PressStandard.TRANSPARENCY, PressStandard.VERSION, PressStandard.SAYS_SO);
    assertThat(PressStandard.broken(Tool.file("b.pdf", one), Standard.X4))
        .contains(PressStandard.SAYS_SO);
  }

  /** The same cover, rules and time are the same bytes; other rules are another id. */
  @Test
  public void theSameCoverIsTheSameBytesAndOtherRulesHaveAnotherId() throws IOException {
    Artwork art = golden("forms");
    assertThat(Files.readAllBytes(file(art, Standard.X1A))).isEqualTo(one);
    assertThat(Files.readAllBytes(file(art, Standard.X4))).isEqualTo(four);
    PressRules thin = PressFiles.rules(Standard.X4, 240);
    assertThat(id(Files.readAllBytes(PressFiles.make(art, PressFiles.making(thin)))))
        .isNotEqualTo(id(four));
  }

  private static String id(byte[] file) throws IOException {
    try (PDDocument d = Loader.loadPDF(file)) {
      COSBase id = d.getDocument().getTrailer().getDictionaryObject(COSName.ID);
      COSBase first = ((COSArray) id).get(0);
      return String.valueOf(first instanceof COSObject o ? o.getObject() : first);
    }
  }
}
