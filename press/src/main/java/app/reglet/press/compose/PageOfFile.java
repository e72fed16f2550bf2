package app.reglet.press.compose;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.FileBytes;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * A page of a PDF that was brought, and what is known of it.
 *
 * @param inks of all of it, asked for when they are needed; empty when they are not known
 */
public record PageOfFile(PlacedPage page, PdfPage about, Supplier<Optional<InkPixels>> inks) {
  /** A page of a file that was looked at. */
  public static PageOfFile of(
      String sha, FileBytes file, PdfPage about, Supplier<Optional<InkPixels>> inks) {
    return new PageOfFile(
        new PlacedPage(
            sha,
            file,
            about.number() - 1,
            about.pixelsAcross(),
            photos(about.content()),
            about.isOpaque(),
            PlacedPage.WHOLE),
        about,
        inks);
  }

  private static PlacedPage.Photos photos(PageContent content) {
    return new PlacedPage.Photos(
        pixels(content, p -> true), pixels(content, p -> p.space().endsWith("RGB")));
  }

  private static long pixels(PageContent content, Predicate<PageContent.PlacedPicture> which) {
    return content.pictures().stream()
        .filter(p -> p.filter().equals("DCTDecode"))
        .filter(which)
        .mapToLong(p -> (long) p.width() * p.height())
        .sum();
  }
}
