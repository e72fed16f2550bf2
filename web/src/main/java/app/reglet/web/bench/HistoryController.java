package app.reglet.web.bench;

import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.MeasureLine;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Every change of a cover: what, when, and by whom. */
@Controller
public class HistoryController {
  private final Covers covers;
  private final Revisions revisions;

  HistoryController(Covers covers, Revisions revisions) {
    this.covers = covers;
    this.revisions = revisions;
  }

  @GetMapping("/editions/{id}/history")
  String page(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "bench");
    model.addAttribute("view", "history");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("revisions", revisions.changes(id));
    return "history";
  }
}
