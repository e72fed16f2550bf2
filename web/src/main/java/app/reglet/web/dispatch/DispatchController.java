package app.reglet.web.dispatch;

import app.reglet.core.wrap.Wrap;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.pdf.PressFile;
import app.reglet.web.bench.Revisions;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The place Dispatch: the press file. */
@Controller
public class DispatchController {
  private final Covers covers;
  private final Revisions revisions;

  public DispatchController(Covers covers, Revisions revisions) {
    this.covers = covers;
    this.revisions = revisions;
  }

  @GetMapping("/editions/{id}/dispatch")
  String page(@PathVariable Long id, HttpServletRequest request, Model model) {
    Cover cover = covers.of(id, request);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "dispatch");
    model.addAttribute("line", app.reglet.web.titles.MeasureLine.of(cover));
    model.addAttribute("fileName", cover.wrap().map(w -> name(cover, w)).orElse(null));
    return "dispatch";
  }

  /** Makes the file, looks at it as a house would, and answers with what it found. */
  @PostMapping("/editions/{id}/dispatch")
  String make(@PathVariable Long id, HttpServletRequest request, Model model) {
    Cover cover = covers.of(id, request);
    byte[] file = file(cover);
    PdfFacts facts = PdfFacts.read(file);
    model.addAttribute("cover", cover);
    model.addAttribute("fileName", name(cover, cover.measured()));
    model.addAttribute("size", String.format(java.util.Locale.ROOT, "%.2f MB", file.length / 1e6));
    model.addAttribute("facts", facts);
    model.addAttribute("answers", FitCheck.of(facts, cover.measured()));
    return "dispatch :: made";
  }

  @GetMapping("/editions/{id}/press-file")
  ResponseEntity<byte[]> pressFile(@PathVariable Long id, HttpServletRequest request) {
    Cover cover = covers.of(id, request);
    String name = name(cover, cover.measured());
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .contentType(MediaType.APPLICATION_PDF)
        .body(file(cover));
  }

  private byte[] file(Cover cover) {
    cover.measured();
    return PressFile.make(cover.art().orElseThrow(), cover.book(), revisions.made(cover.edition()));
  }

  private static String name(Cover cover, Wrap wrap) {
    return PressFile.name(cover.book(), wrap, "wrap", cover.edition().getRevision());
  }
}
