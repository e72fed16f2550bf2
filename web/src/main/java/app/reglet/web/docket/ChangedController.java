package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.web.carry.ReportView;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Sum;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** The last change of an edition's facts: before and after, and for the title's other editions. */
@Controller
public class ChangedController {
  private final Covers covers;
  private final Changed changed;
  private final Together together;
  private final Fronts fronts;

  ChangedController(Covers covers, Changed changed, Together together, Fronts fronts) {
    this.covers = covers;
    this.changed = changed;
    this.together = together;
    this.fronts = fronts;
  }

  @GetMapping("/editions/{id}/changed")
  String page(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "docket");
    model.addAttribute("line", MeasureLine.of(cover));
    Optional<Changed.Before> before = changed.before(cover.edition(), viewer);
    model.addAttribute("what", before.map(Changed.Before::what).orElse(null));
    boolean both =
        cover.wrap().isPresent() && before.filter(b -> b.cover().wrap().isPresent()).isPresent();
    model.addAttribute("both", both);
    if (both) {
      Cover was = before.orElseThrow().cover();
      ReportView.add(model, covers, was, cover, cover);
      model.addAttribute("was", was);
      model.addAttribute("sheetSaid", String.join("; ", Changed.said(was, cover)));
      model.addAttribute("version", Fronts.key(cover.edition()));
    }
    return "changed";
  }

  /** The sheet as it was, as a picture. */
  @GetMapping("/editions/{id}/changed/sheet")
  ResponseEntity<byte[]> sheet(@PathVariable Long id, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Cover was =
        changed
            .before(cover.edition(), viewer)
            .orElseThrow(() -> new Refusal("No fact of this edition was changed yet."))
            .cover();
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(
            fronts.sheet(
                was,
                Fronts.key(cover.edition())
                    + " from "
                    + Sum.of(was.edition().columns().toString())));
  }

  /** The title's other editions that could be changed too, for the docket. */
  @GetMapping("/editions/{id}/docket/others")
  String others(@PathVariable Long id, Viewer viewer, Model model) {
    return fragment(id, List.of(), viewer, model);
  }

  /** Changes some of them, or leaves them as they are. */
  @PostMapping("/editions/{id}/docket/others")
  String change(
      @PathVariable Long id,
      @RequestParam(required = false) Set<Long> other,
      @RequestParam(defaultValue = "take") String act,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model) {
    Set<Long> chosen = other == null ? Set.of() : other;
    List<Together.Other> done = List.of();
    if (act.equals("leave")) {
      together.leave(covers.edition(id), chosen);
    } else {
      done = together.change(covers.edition(id), chosen, viewer);
    }
    return htmx == null
        ? "redirect:/editions/" + id + "/docket"
        : fragment(id, done, viewer, model);
  }

  private String fragment(Long id, List<Together.Other> done, Viewer viewer, Model model) {
    model.addAttribute("id", id);
    model.addAttribute("others", together.others(covers.edition(id), viewer));
    model.addAttribute("apart", together.apart(covers.edition(id), viewer));
    model.addAttribute("done", done);
    return "together :: others";
  }

  /** What other editions changed and this one has not taken, for its pages beside the docket. */
  @GetMapping("/editions/{id}/docket/apart")
  String apart(@PathVariable Long id, Viewer viewer, Model model) {
    EditionEntity edition = covers.edition(id);
    model.addAttribute("id", id);
    model.addAttribute("apart", together.apart(edition, viewer));
    model.addAttribute("others", together.behind(edition, viewer));
    return "together :: apart";
  }

  /** Takes what another edition changed, or keeps what this one has. */
  @PostMapping("/editions/{id}/docket/apart")
  String apart(
      @PathVariable Long id,
      @RequestParam(defaultValue = "0") Long from,
      @RequestParam(defaultValue = "take") String act,
      Viewer viewer) {
    EditionEntity edition = covers.edition(id);
    if (act.equals("leave")) {
      together.keepOwn(edition);
    } else {
      together.take(edition, from, viewer);
    }
    return "redirect:/editions/" + id + "/docket";
  }
}
