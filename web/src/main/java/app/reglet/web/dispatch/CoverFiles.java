package app.reglet.web.dispatch;

import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.pdf.FileName;
import app.reglet.press.raster.EbookCover;
import app.reglet.web.bench.Revisions;
import app.reglet.web.titles.Cover;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** The files of a cover: which there are, what they are called, and they themselves. */
@Service
public class CoverFiles {
  private final Pressing pressing;
  private final FileNumbers numbers;
  private final Revisions revisions;

  CoverFiles(Pressing pressing, FileNumbers numbers, Revisions revisions) {
    this.revisions = revisions;
    this.pressing = pressing;
    this.numbers = numbers;
  }

  /** The pages that are files of their own: the inside goes behind a whole outside, else alone. */
  static List<Wrap> pages(Wrap outside) {
    List<Wrap> pages = FilePages.of(outside);
    return pages.get(0).page() == FilePage.OUTSIDE ? pages.subList(0, 1) : pages;
  }

  String name(Cover cover, Wrap page, int number) {
    boolean pixels = page.spec().binding().isInPixels();
    return FileName.of(
        cover.book(),
        page,
        pixels ? "ebook" : page.page().id(),
        cover.edition().getRevision(),
        number,
        revisions.made(cover.edition()),
        pixels ? "jpg" : "pdf");
  }

  EbookCover ebook(Cover cover) {
    cover.sheet();
    return pressing.atOnce(
        cover, () -> EbookCover.make(cover.art().orElseThrow(), cover.house().files()));
  }

  /**
   * Writes all files of a cover into a directory.
   *
   * @return where they are
   */
  public List<Path> write(Cover cover, Path directory) throws IOException {
    List<Path> made = new ArrayList<>();
    for (Wrap page : pages(cover.sheet())) {
      Path to = directory.resolve(name(cover, page, numbers.take(cover.edition())));
      if (cover.edition().getBinding().isInPixels()) {
        Files.write(to, ebook(cover).file());
      } else {
        pressing.with(cover, page, file -> copied(file, to));
      }
      made.add(to);
    }
    return made;
  }

  /** With the rights of any new file, not those of one that is worked on. */
  private static Path copied(Path file, Path to) {
    try (OutputStream out = Files.newOutputStream(to)) {
      Files.copy(file, out);
      return to;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
