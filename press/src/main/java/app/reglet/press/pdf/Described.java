package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.house.PressRules;
import app.reglet.press.colour.Condition;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.TimeZone;
import java.util.UUID;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.xmpbox.XMPMetadata;
import org.apache.xmpbox.schema.AdobePDFSchema;
import org.apache.xmpbox.schema.DublinCoreSchema;
import org.apache.xmpbox.schema.XMPBasicSchema;
import org.apache.xmpbox.schema.XMPMediaManagementSchema;
import org.apache.xmpbox.schema.XMPSchema;
import org.apache.xmpbox.xml.XmpSerializer;

/**
 * What a press file says of itself: title and times, twice and the same (document information and
 * XMP, ISO 16684-1), the standard it keeps and the printing condition it is made for (ISO 15930-4,
 * 6; ISO 15930-7, 6; from memory).
 */
final class Described {
  private static final String REGISTRY = "http://www.color.org";
  private static final COSName PRESS = COSName.getPDFName("GTS_PDFX");
  private static final COSName VERSION = COSName.getPDFName("GTS_PDFXVersion");
  private static final String SRGB = "sRGB IEC61966-2.1";

  private final PDDocument document;
  private final PressMaking making;

  Described(PDDocument document, PressMaking making) {
    this.document = document;
    this.making = making;
  }

  /** Says what the file's colours are made for, with its profile. */
  void intent() throws IOException {
    byte[] profile = making.isInks() ? making.condition().profile().bytes() : srgbProfile();
    PDOutputIntent intent = new PDOutputIntent(document, new ByteArrayInputStream(profile));
    intent.getCOSObject().setItem(COSName.S, PRESS);
    if (making.isInks()) {
      Condition c = making.condition();
      boolean registered = !c.registered().isEmpty();
      intent.setInfo(c.title());
      intent.setOutputCondition(c.title());
      intent.setOutputConditionIdentifier(registered ? c.registered() : "Custom");
      if (registered) {
        intent.setRegistryName(REGISTRY);
      }
    } else {
      intent.setInfo(SRGB);
      intent.setOutputCondition(SRGB);
      intent.setOutputConditionIdentifier(SRGB);
      intent.setRegistryName(REGISTRY);
    }
    document.getDocumentCatalog().addOutputIntent(intent);
  }

  private static byte[] srgbProfile() {
    return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
  }

  /** sRGB as a colour space of the document. */
  PDICCBased srgb() throws IOException {
    PDICCBased space = new PDICCBased(document);
    try (var out = space.getPDStream().createOutputStream(COSName.FLATE_DECODE)) {
      out.write(srgbProfile());
    }
    space.getPDStream().getCOSObject().setInt(COSName.N, 3);
    space.getPDStream().getCOSObject().setItem(COSName.ALTERNATE, COSName.DEVICERGB);
    return space;
  }

  private boolean isOfStandard() {
    return making.rules().standard() != PressRules.Standard.PLAIN;
  }

  /**
   * Writes it all.
   *
   * @param seed of the content: the same gives the same id
   */
  void write(Book book, Instant made, long seed) throws IOException {
    Calendar when = GregorianCalendar.from(made.atZone(ZoneOffset.UTC));
    when.setTimeZone(TimeZone.getTimeZone("UTC"));
    when.set(Calendar.MILLISECOND, 0);
    String title = book.title().isBlank() ? "Untitled" : book.title();
    PDDocumentInformation info = new PDDocumentInformation();
    info.setTitle(title);
    info.setAuthor(book.author());
    info.setCreator("Reglet");
    info.setProducer("Reglet");
    info.setCreationDate(when);
    info.setModificationDate(when);
    info.getCOSObject().setItem(COSName.getPDFName("Trapped"), COSName.getPDFName("False"));
    if (isOfStandard()) {
      info.getCOSObject().setString(VERSION, making.rules().standard().title());
    }
    document.setDocumentInformation(info);
    try {
      document.getDocumentCatalog().setMetadata(metadata(book, title, when, seed));
    } catch (javax.xml.transform.TransformerException e) {
      throw new IOException(e);
    }
  }

  private PDMetadata metadata(Book book, String title, Calendar when, long seed)
      throws IOException, javax.xml.transform.TransformerException {
    XMPMetadata xmp = XMPMetadata.createXMPMetadata();
    DublinCoreSchema dc = xmp.createAndAddDublinCoreSchema();
    dc.setTitle(title);
    if (!book.author().isEmpty()) {
      dc.addCreator(book.author());
    }
    book.isbn().ifPresent(i -> dc.setIdentifier("ISBN " + i.digits()));
    XMPBasicSchema basic = xmp.createAndAddXMPBasicSchema();
    basic.setCreatorTool("Reglet");
    basic.setCreateDate(when);
    basic.setModifyDate(when);
    if (isOfStandard()) {
      basic.setMetadataDate(when);
      AdobePDFSchema pdf = xmp.createAndAddAdobePDFSchema();
      pdf.setProducer("Reglet");
      pdf.setTextPropertyValueAsSimple("Trapped", "False");
      XMPMediaManagementSchema media = xmp.createAndAddXMPMediaManagementSchema();
      media.setDocumentID(
          "uuid:"
              + UUID.nameUUIDFromBytes(
                  ("Reglet " + title + " " + seed).getBytes(StandardCharsets.UTF_8)));
      media.setRenditionClass("default");
      media.setVersionID("1");
      XMPSchema id = new XMPSchema(xmp, "http://www.npes.org/pdfx/ns/id/", "pdfxid", "PDF/X");
      id.setTextPropertyValueAsSimple("GTS_PDFXVersion", making.rules().standard().title());
      xmp.addSchema(id);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    new XmpSerializer().serialize(xmp, out, true);
    PDMetadata metadata = new PDMetadata(document);
    metadata.importXMPMetadata(out.toByteArray());
    return metadata;
  }
}
