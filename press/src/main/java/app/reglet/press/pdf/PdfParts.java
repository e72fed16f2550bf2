package app.reglet.press.pdf;

import app.reglet.press.art.Pixels;
import app.reglet.press.art.PlacedPage;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.blend.BlendMode;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;

/** What the streams of a document share: fonts, images, forms, graphics states. */
final class PdfParts implements AutoCloseable {
  /** Wider than any sheet, mm: what is seen of a form is cut by what it lies on. */
  private static final float WIDE = 10_000;

  private final PDDocument document;
  private final PDColorSpace rgb;
  private final Fonts fonts;
  private final ImageObjects images;
  private final LaidForms laid;

  /**
   * @param rgb what RGB without a profile means; null where that is not said
   */
  PdfParts(PDDocument document, PDColorSpace rgb) {
    this(document, rgb, Progress.none());
  }

  PdfParts(PDDocument document, PDColorSpace rgb, Progress progress) {
    this(document, rgb, new Images(document, progress), LaidForms.asTheyAre(document));
  }

  /** A document in inks. */
  static PdfParts inInks(PDDocument document, PressMaking making, InkImages images) {
    return new PdfParts(document, null, images, LaidForms.inInks(document, making, images::packed));
  }

  private PdfParts(PDDocument document, PDColorSpace rgb, ImageObjects images, LaidForms laid) {
    this.laid = laid;
    this.document = document;
    this.rgb = rgb;
    this.fonts = new Fonts(document);
    this.images = images;
  }

  /** The space in which what shows through is mixed (ISO 32000-1, 11.6.6). */
  COSName mixedIn() {
    return images.mixedIn();
  }

  /** Resources of a stream, in which RGB means what it means on the page. */
  PDResources resources() {
    PDResources resources = new PDResources();
    if (rgb != null) {
      resources.put(COSName.getPDFName("DefaultRGB"), rgb);
    }
    return resources;
  }

  Fonts fonts() {
    return fonts;
  }

  PDImageXObject image(Pixels.Stored stored) {
    try {
      return images.of(stored);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  PDImageXObject image(Pixels.Made made) {
    try {
      return images.of(made);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Pixels that say how much of something is seen. */
  PDImageXObject mask(Pixels.Made made) {
    try {
      return images.mask(made);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  PDImageXObject image(Pixels.Drawn drawn) {
    try {
      return images.of(drawn);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Whether a page of another document can be a form of this one. */
  boolean stays(PlacedPage placed) {
    return laid.of(placed).isPresent();
  }

  /** What is seen of a page of another document, as a form: its fonts and pictures as they are. */
  PDFormXObject page(PlacedPage placed) {
    return laid.part(placed);
  }

  /** The box of a placed page as its form's own matrix, which turns it upright, makes it. */
  static Rectangle2D upright(PDFormXObject page) {
    return page.getMatrix()
        .createAffineTransform()
        .createTransformedShape(page.getBBox().toGeneralPath())
        .getBounds2D();
  }

  /** A stream as a form that is a transparency group of its own (ISO 32000-1, 11.6.6). */
  PDFormXObject form(byte[] content, PDResources resources, COSName space) {
    PDFormXObject form = form(content, resources);
    COSDictionary group = new COSDictionary();
    group.setItem(COSName.TYPE, COSName.GROUP);
    group.setItem(COSName.S, COSName.TRANSPARENCY);
    group.setItem(COSName.CS, space);
    group.setBoolean(COSName.I, true);
    form.getCOSObject().setItem(COSName.GROUP, group);
    return form;
  }

  /** Says in which space what shows through is mixed on a page (ISO 32000-1, 11.4.7). */
  void mix(PDPage page) {
    COSDictionary group = new COSDictionary();
    group.setItem(COSName.TYPE, COSName.GROUP);
    group.setItem(COSName.S, COSName.TRANSPARENCY);
    group.setItem(COSName.CS, mixedIn());
    group.setBoolean(COSName.I, true);
    page.getCOSObject().setItem(COSName.GROUP, group);
  }

  /** A stream as a form, drawn as if its operators stood where it is shown. */
  PDFormXObject form(byte[] content, PDResources resources) {
    try {
      PDStream stream =
          new PDStream(document, new ByteArrayInputStream(content), COSName.FLATE_DECODE);
      PDFormXObject form = new PDFormXObject(stream);
      form.setBBox(new PDRectangle(-WIDE / 2, -WIDE / 2, WIDE, WIDE));
      form.setResources(resources);
      return form;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  PDExtendedGraphicsState state(double opacity, boolean multiplied) {
    PDExtendedGraphicsState state = new PDExtendedGraphicsState();
    state.setNonStrokingAlphaConstant((float) opacity);
    state.setStrokingAlphaConstant((float) opacity);
    if (multiplied) {
      state.setBlendMode(BlendMode.MULTIPLY);
    }
    return state;
  }

  /** A state in which a form's lightness says how much is seen (11.6.5.3). */
  PDExtendedGraphicsState masked(PDFormXObject mask) {
    COSDictionary soft = new COSDictionary();
    soft.setItem(COSName.TYPE, COSName.MASK);
    soft.setItem(COSName.S, COSName.LUMINOSITY);
    soft.setItem(COSName.G, mask);
    soft.setItem(COSName.BC, Operators.numbers(0));
    PDExtendedGraphicsState state = new PDExtendedGraphicsState();
    state.getCOSObject().setItem(COSName.SMASK, soft);
    return state;
  }

  @Override
  public void close() throws IOException {
    laid.close();
  }
}
