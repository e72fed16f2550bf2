package app.reglet.web.dispatch;

import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.inspect.Compared;
import app.reglet.press.inspect.ComparedText;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.raster.EbookCover;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.web.shell.Downloads;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.MeasureLine;
import app.reglet.web.titles.StandingOut;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The place Dispatch: the files that are handed over. */
@Controller
public class DispatchController {
  private final Covers covers;
  private final Pressing pressing;
  private final CoverFiles files;
  private final FileNumbers numbers;
  private final StandingOut standing;

  DispatchController(
      Covers covers,
      Pressing pressing,
      CoverFiles files,
      FileNumbers numbers,
      StandingOut standing) {
    this.files = files;
    this.standing = standing;
    this.numbers = numbers;
    this.covers = covers;
    this.pressing = pressing;
  }

  /**
   * A file that was made.
   *
   * @param page id of the page it holds
   * @param name its name
   * @param size in MB
   * @param answers what the house would find in it
   */
  public record Made(String page, String name, String size, List<ComparedText.Line> answers) {}

  @GetMapping("/editions/{id}/dispatch")
  String page(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = standing.with(covers.of(id, viewer));
    model.addAttribute("cover", cover);
    model.addAttribute("place", "dispatch");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("parts", cover.wrap().map(PartPicture::parts).orElseGet(List::of));
    model.addAttribute("conditions", OutputCondition.values());
    model.addAttribute(
        "fileNames",
        cover
            .wrap()
            .map(
                w ->
                    CoverFiles.pages(w).stream()
                        .map(p -> files.name(cover, p, numbers.next(cover.edition())))
                        .toList())
            .orElse(null));
    return "dispatch";
  }

  /** Makes the files, looks at them as a house would, and answers with what it found. */
  @PostMapping("/editions/{id}/dispatch")
  String make(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute(
        "made", CoverFiles.pages(cover.sheet()).stream().map(p -> made(cover, p)).toList());
    return "dispatch :: made";
  }

  private Made made(Cover cover, Wrap page) {
    if (cover.edition().getBinding().isInPixels()) {
      EbookCover ebook = files.ebook(cover);
      return made(cover, page, ebook.file().length, FitCheck.of(ebook, page));
    }
    return pressing.with(
        cover,
        page,
        file ->
            made(
                cover,
                page,
                Files.size(file),
                compared(
                    PdfFacts.read(FileBytes.of(file), Budget.forFile(Files.size(file))),
                    page,
                    cover.sheet())));
  }

  private static List<Compared> compared(PdfFacts file, Wrap page, Wrap outside) {
    return page.page() == FilePage.INSIDE
        ? FitCheck.ofInside(file, page)
        : FitCheck.of(file, outside);
  }

  private Made made(Cover cover, Wrap page, long bytes, List<Compared> compared) {
    return new Made(
        page.page().id(),
        files.name(cover, page, numbers.take(cover.edition())),
        String.format(Locale.ROOT, "%.2f MB", bytes / 1e6),
        ComparedText.of(compared, cover.house().unit()));
  }

  @GetMapping("/editions/{id}/press-file")
  void pressFile(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String page,
      Viewer viewer,
      HttpServletResponse response)
      throws IOException {
    Cover cover = covers.of(id, viewer);
    List<Wrap> pages = CoverFiles.pages(cover.sheet());
    Wrap wanted =
        pages.stream().filter(p -> p.page().id().equals(page)).findFirst().orElse(pages.get(0));
    if (cover.edition().getBinding().isInPixels()) {
      byte[] file = files.ebook(cover).file();
      Downloads.begin(
          response,
          files.name(cover, wanted, numbers.take(cover.edition())),
          MediaType.IMAGE_JPEG,
          file.length);
      response.getOutputStream().write(file);
      return;
    }
    pressing.with(
        cover,
        wanted,
        file -> {
          Downloads.begin(
              response,
              files.name(cover, wanted, numbers.take(cover.edition())),
              MediaType.APPLICATION_PDF,
              Files.size(file));
          Files.copy(file, response.getOutputStream());
          return file;
        });
  }
}
