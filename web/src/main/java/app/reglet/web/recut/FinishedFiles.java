package app.reglet.web.recut;

import app.reglet.core.Refusal;
import app.reglet.core.design.Design;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.recut.FinishedSheet;
import app.reglet.core.recut.Recut;
import app.reglet.press.inspect.FileTold;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.picture.Picture;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Finished covers that were made elsewhere, kept among the files that covers show. */
@Service
class FinishedFiles {
  private final PictureStore pictures;
  private final PlacedFiles placed;

  FinishedFiles(PictureStore pictures, PlacedFiles placed) {
    this.pictures = pictures;
    this.placed = placed;
  }

  /**
   * Takes one in: a picture, or the first page of a PDF.
   *
   * @throws Refusal when it can't be read
   */
  FinishedSheet add(Uploads.Upload file) throws IOException {
    return switch (PlacedFiles.kind(file.path())) {
      case PICTURE -> sheet(pictures.add(file.path(), file.name()));
      case PAGE -> {
        var page = placed.addPage(file.path(), file.name(), 1);
        yield sheet(page.page().sha(), page.about());
      }
      case DRAWING ->
          throw new Refusal(
              "file",
              "This is a drawing; a finished cover is a PDF or a picture. Save it as a PDF.");
    };
  }

  /** One that was taken in. */
  FinishedSheet find(String sha, int page) {
    if (!sha.matches("[0-9a-f]{64}") || page < 0) {
      throw new Refusal("file", "There is no such file here: choose it again.");
    }
    Optional<FinishedSheet> found =
        page == 0
            ? pictures.find(sha).map(FinishedFiles::sheet)
            : placed.page(sha, page).map(p -> sheet(sha, p.about()));
    return found.orElseThrow(
        () -> new Refusal("file", "There is no such file here: choose it again."));
  }

  private static FinishedSheet sheet(Picture p) {
    return new FinishedSheet(p.sha(), 0, (double) p.width() / p.height(), Optional.empty());
  }

  private static FinishedSheet sheet(String sha, PdfPage page) {
    return new FinishedSheet(
        sha,
        page.number(),
        page.size().width().toMm() / page.size().height().toMm(),
        Optional.of(page.size()));
  }

  /** What one that was taken in is made of; nothing when it is not here. */
  List<FileTold.Line> told(String sha, int page) {
    return page == 0
        ? pictures.find(sha).map(FileTold::of).orElse(List.of())
        : placed.page(sha, page).map(p -> FileTold.of(p.about())).orElse(List.of());
  }

  /** The address of a picture of it. */
  String preview(String sha, int page) {
    return "/pictures/" + sha + "/preview" + (page == 0 ? "" : "?page=" + page);
  }

  /** The cover's design with what came of it on its outside. */
  Design laid(Cover cover, Recut.Result result) {
    return cover.design().changed(PrintedSide.OUTSIDE, c -> result.side());
  }
}
