package app.reglet.web.dispatch;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Pages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.raster.EbookCover;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.web.shell.Downloads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.MeasureLine;
import jakarta.servlet.http.HttpServletRequest;
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

  public DispatchController(Covers covers, Pressing pressing) {
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
  public record Made(String page, String name, String size, List<FitCheck.Answer> answers) {}

  @GetMapping("/editions/{id}/dispatch")
  String page(@PathVariable Long id, HttpServletRequest request, Model model) {
    Cover cover = covers.of(id, request);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "dispatch");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute(
        "fileNames",
        cover.wrap().map(w -> files(w).stream().map(p -> name(cover, p)).toList()).orElse(null));
    return "dispatch";
  }

  /** The pages that are files of their own; the inside can't be composed yet and has none. */
  private static List<Wrap> files(Wrap outside) {
    return Pages.of(outside).stream().filter(p -> p.page() != Wrap.Page.INSIDE).toList();
  }

  /** Makes the files, looks at them as a house would, and answers with what it found. */
  @PostMapping("/editions/{id}/dispatch")
  String make(@PathVariable Long id, HttpServletRequest request, Model model) {
    Cover cover = covers.of(id, request);
    model.addAttribute("cover", cover);
    model.addAttribute("made", files(cover.measured()).stream().map(p -> made(cover, p)).toList());
    return "dispatch :: made";
  }

  private Made made(Cover cover, Wrap page) {
    if (cover.house().isShop()) {
      EbookCover ebook = ebook(cover);
      return made(cover, page, ebook.file().length, answers(ebook, cover));
    }
    return pressing.with(
        cover,
        page,
        file ->
            made(
                cover,
                page,
                Files.size(file),
                FitCheck.of(
                    PdfFacts.read(FileBytes.of(file), Budget.forFile(Files.size(file))),
                    cover.measured())));
  }

  private static Made made(Cover cover, Wrap page, long bytes, List<FitCheck.Answer> answers) {
    return new Made(
        page.page().id(),
        name(cover, page),
        String.format(Locale.ROOT, "%.2f MB", bytes / 1e6),
        answers);
  }

  private static List<FitCheck.Answer> answers(EbookCover ebook, Cover cover) {
    String wanted = cover.measured().sheet().print(Unit.PX);
    String found = ebook.width() + " × " + ebook.height() + " px";
    int most = cover.house().files().mostMegabytes();
    return List.of(
        new FitCheck.Answer("Size", found.equals(wanted), wanted, found, ""),
        new FitCheck.Answer(
            "File",
            true,
            most == 0 ? "JPEG" : "JPEG up to " + most + " MB",
            String.format(
                Locale.ROOT,
                "JPEG, %.2f MB at quality %d",
                ebook.file().length / 1e6,
                ebook.quality()),
            ""));
  }

  @GetMapping("/editions/{id}/press-file")
  void pressFile(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String page,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    Cover cover = covers.of(id, request);
    List<Wrap> pages = files(cover.measured());
    Wrap wanted =
        pages.stream().filter(p -> p.page().id().equals(page)).findFirst().orElse(pages.get(0));
    if (cover.house().isShop()) {
      byte[] file = ebook(cover).file();
      Downloads.begin(response, name(cover, wanted), MediaType.IMAGE_JPEG, file.length);
      response.getOutputStream().write(file);
      return;
    }
    pressing.with(
        cover,
        wanted,
        file -> {
          Downloads.begin(
              response, name(cover, wanted), MediaType.APPLICATION_PDF, Files.size(file));
          Files.copy(file, response.getOutputStream());
          return file;
        });
  }

  private EbookCover ebook(Cover cover) {
    cover.measured();
    return pressing.atOnce(
        cover, () -> EbookCover.make(cover.art().orElseThrow(), cover.house().files()));
  }

  private static String name(Cover cover, Wrap page) {
    int revision = cover.edition().getRevision();
    return cover.house().isShop()
        ? PressFile.stem(cover.book(), page, "ebook") + "_r" + revision + ".jpg"
        : PressFile.name(cover.book(), page, page.page().id(), revision);
  }
}
