package app.reglet.web.bench;

import app.reglet.core.check.OfWords;
import app.reglet.core.check.Seen;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.MeasureLine;
import app.reglet.web.titles.StandingOut;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What the bench asks when the hand rests: how words stand out, for which the cover is drawn. */
@Controller
class RestingController {
  private final Covers covers;
  private final Benching benching;
  private final StandingOut standing;

  RestingController(Covers covers, Benching benching, StandingOut standing) {
    this.covers = covers;
    this.benching = benching;
    this.standing = standing;
  }

  @GetMapping("/editions/{id}/standing-out")
  String rested(
      @PathVariable Long id,
      @RequestParam(defaultValue = "outside") String side,
      @RequestParam(defaultValue = "") String chosen,
      Viewer viewer,
      Model model) {
    Cover plain = benching.of(covers.edition(id), Benching.side(side), viewer);
    Cover cover = standing.with(plain);
    model.addAttribute("cover", cover);
    model.addAttribute("line", MeasureLine.counted(cover));
    model.addAttribute("notes", BenchModel.notes(cover));
    model.addAttribute("exchange", false);
    model.addAttribute(
        "low",
        cover.findings().stream()
            .anyMatch(
                f -> f.found() instanceof OfWords.Faint && f.piece().orElse("").equals(chosen)));
    model.addAttribute("standsOut", said(standing.of(plain), chosen));
    return "bench :: rested";
  }

  private static String said(List<Seen> seen, String chosen) {
    return seen.stream()
        .filter(s -> s.piece().equals(chosen))
        .map(
            s ->
                String.format(
                    Locale.ROOT, "stands out %.1f to 1", Math.floor(10 * s.median()) / 10))
        .findFirst()
        .orElse("");
  }
}
