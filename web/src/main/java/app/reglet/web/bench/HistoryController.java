package app.reglet.web.bench;

import app.reglet.core.design.DesignChange;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Every change of a cover: what, when, and by whom; and the versions that have a name. */
@Controller
public class HistoryController {
  private final Covers covers;
  private final Revisions revisions;
  private final Versions versions;
  private final Fronts fronts;

  HistoryController(Covers covers, Revisions revisions, Versions versions, Fronts fronts) {
    this.covers = covers;
    this.revisions = revisions;
    this.versions = versions;
    this.fronts = fronts;
  }

  @GetMapping("/editions/{id}/history")
  String page(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = fill(id, viewer, model);
    model.addAttribute("revisions", revisions.changes(id));
    model.addAttribute("facts", Fronts.facts(cover.edition()));
    return "history";
  }

  private Cover fill(Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "bench");
    model.addAttribute("view", "history");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("versions", versions.of(id));
    return cover;
  }

  /** Gives a revision a name. */
  @PostMapping("/editions/{id}/versions")
  String name(
      @PathVariable Long id,
      @RequestParam int number,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String note) {
    versions.name(id, number, name, note);
    return "redirect:/editions/" + id + "/history";
  }

  /** Puts an earlier revision in force again. */
  @PostMapping("/editions/{id}/versions/back")
  String back(@PathVariable Long id, @RequestParam int base, @RequestParam int number) {
    versions.goBack(id, base, number);
    return "redirect:/editions/" + id + "/bench";
  }

  /** A revision's whole sheet as a picture. */
  @GetMapping("/editions/{id}/revisions/{number}/sheet")
  ResponseEntity<byte[]> picture(@PathVariable Long id, @PathVariable int number, Viewer viewer) {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
        .contentType(MediaType.IMAGE_JPEG)
        .body(fronts.sheet(versions.cover(id, number, viewer), number));
  }

  /** Two revisions side by side. */
  @GetMapping("/editions/{id}/compare")
  String compare(
      @PathVariable Long id,
      @RequestParam int first,
      @RequestParam int second,
      Viewer viewer,
      Model model) {
    Cover cover = fill(id, viewer, model);
    model.addAttribute("first", first);
    model.addAttribute("second", second);
    model.addAttribute("facts", Fronts.facts(cover.edition()));
    model.addAttribute(
        "differences",
        first == second
            ? List.of()
            : DesignChange.between(
                revisions.at(cover.edition(), first), revisions.at(cover.edition(), second)));
    return "compare";
  }
}
