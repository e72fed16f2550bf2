package app.reglet.press.compose;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.reading.FileBytes;

/** A page of a PDF that was brought, and what is known of it. */
public record PageOfFile(PlacedPage page, PdfPage about) {
  /** A page of a file that was looked at. */
  public static PageOfFile of(String sha, FileBytes file, PdfPage about) {
    return new PageOfFile(
        new PlacedPage(
            sha,
            file,
            about.number() - 1,
            about.pixelsAcross(),
            about.content().pictures().stream()
                .filter(p -> p.filter().equals("DCTDecode"))
                .mapToLong(p -> (long) p.width() * p.height())
                .sum(),
            about.isOpaque(),
            PlacedPage.WHOLE),
        about);
  }
}
