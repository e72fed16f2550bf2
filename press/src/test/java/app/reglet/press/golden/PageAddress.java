package app.reglet.press.golden;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.reading.Budget;
import java.util.Base64;

/** The picture of a PDF's page that a screen is shown, as an address. */
final class PageAddress {
  private static final int LONGEST = 1800;

  private PageAddress() {}

  static String of(PlacedPage page) {
    byte[] png =
        PdfPage.shown(page.file(), page.page() + 1, LONGEST, Budget.forFile(page.file().length()))
            .screen();
    return "data:image/png;base64," + Base64.getEncoder().encodeToString(png);
  }
}
