package app.reglet.press.pdf;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Mark;
import app.reglet.press.template.Template;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;

/**
 * Every page of a cover as an empty PDF page with the right boxes and its guides on a layer of
 * their own (optional content, ISO 32000-1, 8.11) that is seen on screen and neither printed nor
 * exported.
 */
public final class TemplatePdf {
  private static final double POINTS_PER_MM = 72 / 25.4;
  private static final long FIXED_ID = 1;

  private TemplatePdf() {}

  /**
   * A page to be made.
   *
   * @param page with its boxes
   * @param sheet its size
   * @param marks in mm from its top left
   */
  private record Leaf(PDPage page, Size sheet, List<Mark.Group> marks) {}

  /** The file of a cover. */
  public static byte[] make(Wrap outside, Unit unit, Typeface face) {
    return make(
        "Template, " + outside.sheet().print(unit),
        FilePages.of(outside).stream()
            .map(w -> new Leaf(PageBoxes.page(w, Length.ZERO), w.sheet(), Template.marks(w, unit)))
            .toList(),
        face);
  }

  /** The left and the right page of the inside. */
  public static byte[] inside(Wrap outside, Unit unit, Typeface face) {
    return make(
        "Template of the inside’s pages, " + outside.spec().trim().print(unit),
        BlockPage.of(outside).stream()
            .map(p -> new Leaf(PageBoxes.page(p), p.sheet(), Template.marks(p, unit)))
            .toList(),
        face);
  }

  private static byte[] make(String title, List<Leaf> leaves, Typeface face) {
    try (PDDocument document = new PDDocument()) {
      document.setVersion(1.6f);
      PDOptionalContentGroup guides = layer(document);
      PdfParts parts = new PdfParts(document, null);
      for (Leaf leaf : leaves) {
        PDPage page = leaf.page();
        document.addPage(page);
        PDResources resources = new PDResources();
        page.setResources(resources);
        AffineTransform toPage =
            new AffineTransform(
                POINTS_PER_MM, 0, 0, -POINTS_PER_MM, 0, leaf.sheet().height().toPoints());
        byte[] drawing = PdfPainter.write(parts, resources, face, toPage, leaf.marks());
        Operators layer = new Operators();
        layer.op("BDC", COSName.OC, resources.add(guides));
        page.setContents(
            List.of(stream(document, layer.bytes()), stream(document, drawing), end(document)));
      }
      parts.fonts().finish();
      document.getDocumentInformation().setTitle(title);
      document.getDocumentInformation().setProducer("Reglet");
      document.setDocumentId(FIXED_ID);
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes, CompressParameters.DEFAULT_COMPRESSION);
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static PDStream stream(PDDocument document, byte[] content) throws IOException {
    return new PDStream(document, new ByteArrayInputStream(content), COSName.FLATE_DECODE);
  }

  private static PDStream end(PDDocument document) throws IOException {
    Operators end = new Operators();
    end.op("EMC");
    return stream(document, end.bytes());
  }

  /** The layer: on when looked at, off when printed or exported (Table 102, usage dictionary). */
  private static PDOptionalContentGroup layer(PDDocument document) {
    PDOptionalContentGroup guides = new PDOptionalContentGroup("Guides, not printed");
    COSDictionary usage = new COSDictionary();
    usage.setItem(COSName.getPDFName("View"), state("ViewState", "ON"));
    usage.setItem(COSName.getPDFName("Print"), state("PrintState", "OFF"));
    usage.setItem(COSName.getPDFName("Export"), state("ExportState", "OFF"));
    guides.getCOSObject().setItem(COSName.getPDFName("Usage"), usage);
    PDOptionalContentProperties properties = new PDOptionalContentProperties();
    properties.addGroup(guides);
    properties.setGroupEnabled(guides, true);
    COSArray automatic = new COSArray();
    for (String event : new String[] {"View", "Print", "Export"}) {
      COSDictionary application = new COSDictionary();
      application.setItem(COSName.getPDFName("Event"), COSName.getPDFName(event));
      COSArray groups = new COSArray();
      groups.add(guides.getCOSObject());
      application.setItem(COSName.OCGS, groups);
      COSArray categories = new COSArray();
      categories.add(COSName.getPDFName(event));
      application.setItem(COSName.getPDFName("Category"), categories);
      automatic.add(application);
    }
    COSDictionary standard =
        (COSDictionary) properties.getCOSObject().getDictionaryObject(COSName.D);
    standard.setItem(COSName.getPDFName("AS"), automatic);
    document.getDocumentCatalog().setOCProperties(properties);
    return guides;
  }

  private static COSDictionary state(String key, String value) {
    COSDictionary state = new COSDictionary();
    state.setItem(COSName.getPDFName(key), COSName.getPDFName(value));
    return state;
  }
}
