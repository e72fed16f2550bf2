package app.reglet.press.golden;

import app.reglet.press.art.PlacedPage;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** A picture of a PDF's page as an address. */
final class PageAddress {
  private static final int PPI = 300;

  private PageAddress() {}

  static String of(PlacedPage page) {
    try (PDDocument document = Loader.loadPDF(page.file().all())) {
      BufferedImage image =
          new PDFRenderer(document).renderImageWithDPI(page.page(), PPI, ImageType.ARGB);
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(image, "png", png);
      return "data:image/png;base64," + Base64.getEncoder().encodeToString(png.toByteArray());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
