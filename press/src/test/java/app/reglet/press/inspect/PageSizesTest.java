package app.reglet.press.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.testing.Tool;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.testng.annotations.Test;

/**
 * Boxes of a page that begin elsewhere than at 0, 0, in units of their own, and from the nodes
 * above (ISO 32000-1, 7.7.3.4 and 14.11.2; user unit: table 30). Poppler is asked what it reads.
 */
public class PageSizesTest {
  private static byte[] saved(PDDocument doc) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    doc.save(out);
    return out.toByteArray();
  }

  private static byte[] boxes(double unit, int rotation) throws IOException {
    try (PDDocument doc = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(10, 20, 300, 420));
      page.setCropBox(new PDRectangle(12, 24, 290, 400));
      page.setBleedBox(new PDRectangle(15, 30, 280, 390));
      page.setTrimBox(new PDRectangle(24, 39, 262, 372));
      page.setArtBox(new PDRectangle(40, 60, 200, 300));
      page.setRotation(rotation);
      if (unit != 1) {
        page.getCOSObject().setItem(COSName.getPDFName("UserUnit"), new COSFloat((float) unit));
      }
      doc.addPage(page);
      return saved(doc);
    }
  }

  private static Size pt(String w, String h) {
    return new Size(Length.pt(w), Length.pt(h));
  }

  @Test
  public void everyBoxIsToldFromTheMediaBoxesCornerInTheUsersUnit() throws IOException {
    byte[] file = boxes(2, 0);
    PdfFacts.Page page = PdfFacts.read(file).first();
    assertThat(page.media()).isEqualTo(pt("600", "840"));
    assertThat(page.boxes())
        .containsExactly(
            new PdfFacts.NamedBox("MediaBox", pt("600", "840"), Length.ZERO, Length.ZERO),
            new PdfFacts.NamedBox("CropBox", pt("580", "800"), Length.pt("4"), Length.pt("8")),
            new PdfFacts.NamedBox("BleedBox", pt("560", "780"), Length.pt("10"), Length.pt("20")),
            new PdfFacts.NamedBox("TrimBox", pt("524", "744"), Length.pt("28"), Length.pt("38")),
            new PdfFacts.NamedBox("ArtBox", pt("400", "600"), Length.pt("60"), Length.pt("80")));
    assertThat(page.size("TrimBox")).isEqualTo(pt("524", "744"));
    assertThat(page.size("NoBox")).isEqualTo(page.media());
    assertThat(page.has("ArtBox")).isTrue();
    assertThat(page.has("NoBox")).isFalse();
    // without a user unit poppler reads the same boxes as they are written
    Path plain = Tool.file("boxes.pdf", boxes(1, 0));
    assertThat(Tool.ok("pdfinfo", "-box", plain.toString()))
        .containsPattern("TrimBox:\\s+24.00\\s+39.00\\s+286.00\\s+411.00");
  }

  @Test
  public void aPageOnItsSideExchangesWidthAndHeightOfEveryBox() throws IOException {
    for (int turned : new int[] {90, 270, -90, 450}) {
      PdfFacts.Page page = PdfFacts.read(boxes(1, turned)).first();
      assertThat(page.media()).as("turned " + turned).isEqualTo(pt("420", "300"));
      assertThat(page.size("TrimBox")).isEqualTo(pt("372", "262"));
      assertThat(page.rotated()).isEqualTo(Math.floorMod(turned, 360));
    }
    assertThat(PdfFacts.read(boxes(1, 180)).first().media()).isEqualTo(pt("300", "420"));
  }

  @Test
  public void aPageWithoutAnySizeIsRefusedWithWhatItSays() throws IOException {
    for (float height : new float[] {0, 20}) {
      try (PDDocument doc = new PDDocument()) {
        doc.addPage(new PDPage(new PDRectangle(0, height)));
        byte[] file = saved(doc);
        assertThatThrownBy(() -> PdfFacts.read(file))
            .hasMessage(
                "A page of this PDF says it is 0 × "
                    + (int) height
                    + " points, which is no size: make the file anew and try again.");
      }
    }
  }

  @Test
  public void mediaBoxAndTurnMayComeFromAboveAndOtherSizesAreCounted() throws IOException {
    try (PDDocument doc = new PDDocument()) {
      for (int i = 0; i < 3; i++) {
        PDPage page = new PDPage();
        page.getCOSObject().removeItem(COSName.MEDIA_BOX);
        if (i == 1) {
          page.setMediaBox(new PDRectangle(500, 700));
        }
        doc.addPage(page);
      }
      var root = doc.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.PAGES);
      root.setItem(COSName.MEDIA_BOX, new PDRectangle(5, 5, 200, 300).getCOSArray());
      root.setItem(COSName.ROTATE, COSInteger.get(90));
      PdfFacts facts = PdfFacts.read(saved(doc));
      assertThat(facts.pages()).isEqualTo(3);
      assertThat(facts.first().media()).isEqualTo(pt("300", "200"));
      assertThat(facts.otherSizes()).isEqualTo(List.of(2));
      assertThat(facts.title()).isEmpty();
    }
  }
}
