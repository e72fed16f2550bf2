package app.reglet.web.recut;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.recut.Recut;
import app.reglet.core.recut.RecutText;
import app.reglet.web.bench.Revisions;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** A finished file that was made for another spine, cut at its folds and laid on this sheet. */
@Controller
public class RecutController {
  private final Covers covers;
  private final FinishedFiles files;
  private final Revisions revisions;
  private final Uploads uploads;
  private final Fronts fronts;

  RecutController(
      Covers covers, FinishedFiles files, Revisions revisions, Uploads uploads, Fronts fronts) {
    this.covers = covers;
    this.files = files;
    this.revisions = revisions;
    this.uploads = uploads;
    this.fronts = fronts;
  }

  /**
   * What is asked for.
   *
   * @param file the SHA-256 of the finished file; empty while there is none
   * @param page of a PDF, from 1; 0 for a picture
   * @param bled {@code yes}, {@code no}, or empty for as it seems
   * @param parts {@code three} for back, spine and front alone, {@code all}, or empty for as seems
   * @param spine the spine it was made for, as typed; empty for what its width says
   * @param drawn whether the spine is drawn out
   */
  public record Asked(
      String file, Integer page, String bled, String parts, String spine, Boolean drawn) {
    String sha() {
      return file == null ? "" : file;
    }

    int number() {
      return page == null ? 0 : page;
    }

    String key() {
      return sha() + "." + number() + "." + bled + "." + parts + "." + spine + "." + drawn;
    }
  }

  private Recut recut(Cover cover, Asked asked) {
    var file = files.find(asked.sha(), asked.number());
    Recut.Choices seems = Recut.seeming(cover.sheet(), file);
    boolean bled = given(asked.bled()) ? asked.bled().equals("yes") : seems.bled();
    boolean three = given(asked.parts()) ? asked.parts().equals("three") : seems.threeParts();
    String typed = asked.spine() == null ? "" : asked.spine().strip();
    Optional<Length> spine =
        typed.isEmpty() ? Optional.empty() : Optional.of(Length.parse(typed, paper(cover)));
    return new Recut(
        cover.sheet(),
        file,
        new Recut.Choices(bled, three, spine, Boolean.TRUE.equals(asked.drawn())));
  }

  private static boolean given(String choice) {
    return choice != null && !choice.isBlank();
  }

  private static Unit paper(Cover cover) {
    return cover.unit();
  }

  @GetMapping("/editions/{id}/recut")
  String page(@PathVariable Long id, @ModelAttribute Asked asked, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    cover.sheet();
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "docket");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("asked", asked);
    if (!asked.sha().isEmpty()) {
      try {
        Recut recut = recut(cover, asked);
        model.addAttribute("bled", recut.choices().bled());
        model.addAttribute("three", recut.choices().threeParts());
        Recut.Result result = recut.result();
        model.addAttribute(
            "told", new RecutText(cover.sheet(), paper(cover)).of(result, recut.choices()));
        model.addAttribute("version", Fronts.key(cover.edition()));
        model.addAttribute("file", files.told(asked.sha(), asked.number()));
        Cover laid = covers.of(cover, files.laid(cover, result));
        model.addAttribute("found", laid.findings());
      } catch (Refusal r) {
        model.addAttribute("refused", r.getMessage());
      }
      model.addAttribute("preview", files.preview(asked.sha(), asked.number()));
    }
    return "recut";
  }

  /** Takes the finished file in. */
  @PostMapping("/editions/{id}/recut/file")
  String file(@PathVariable Long id, @RequestParam MultipartFile file) throws IOException {
    covers.edition(id);
    try (Uploads.Upload upload = uploads.take(file)) {
      var kept = files.add(upload);
      return "redirect:/editions/" + id + "/recut?file=" + kept.sha() + "&page=" + kept.page();
    }
  }

  /** The sheet that it would come to, as a picture. */
  @GetMapping("/editions/{id}/recut/sheet")
  ResponseEntity<byte[]> sheet(@PathVariable Long id, @ModelAttribute Asked asked, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Cover laid = covers.of(cover, files.laid(cover, recut(cover, asked).result()));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(fronts.sheet(laid, Fronts.key(cover.edition()) + " recut " + asked.key()));
  }

  /** Lays it on the cover: one undo. */
  @PostMapping("/editions/{id}/recut")
  String lay(
      @PathVariable Long id, @ModelAttribute Asked asked, @RequestParam int base, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    revisions.save(
        id,
        base,
        files.laid(cover, recut(cover, asked).result()),
        "A finished file cut to this sheet");
    return "redirect:/editions/" + id + "/bench";
  }
}
