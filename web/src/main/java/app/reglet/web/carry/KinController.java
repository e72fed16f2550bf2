package app.reglet.web.carry;

import app.reglet.core.Refusal;
import app.reglet.core.carry.Offer;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Sum;
import app.reglet.web.titles.BrokenCover;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What became of a carried cover, what it follows, and what follows it. */
@Controller
public class KinController {
  private final Covers covers;
  private final Carrying carrying;
  private final Kin kin;
  private final Fronts fronts;

  KinController(Covers covers, Carrying carrying, Kin kin, Fronts fronts) {
    this.covers = covers;
    this.carrying = carrying;
    this.kin = kin;
    this.fronts = fronts;
  }

  /** What a cover would be with all taken that is offered, but for what is its own. */
  @GetMapping("/editions/{id}/carried/sheet")
  ResponseEntity<byte[]> taking(@PathVariable Long id, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Set<String> keys =
        kin.offers(cover, viewer).stream()
            .filter(o -> !o.own())
            .map(Offer::key)
            .collect(Collectors.toSet());
    Cover taken = kin.taking(cover, keys, viewer);
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(
            fronts.sheet(
                taken,
                Fronts.key(cover.edition())
                    + " with "
                    + Sum.of(DesignDocument.write(taken.design()))));
  }

  /** Takes what the origin changed, or has it never offered again. */
  @PostMapping("/editions/{id}/carried/take")
  String take(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam(required = false) Set<String> key,
      @RequestParam(defaultValue = "take") String act,
      Viewer viewer) {
    Set<String> keys = key == null ? Set.of() : key;
    if (act.equals("never")) {
      kin.refuse(id, keys, viewer);
    } else {
      kin.take(id, base, keys, viewer);
    }
    return "redirect:/editions/" + id + "/carried";
  }

  /** Which covers can take what was changed on this one, for its bench. */
  @GetMapping("/editions/{id}/carried/kin")
  String kin(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("followers", kin.followers(cover.edition(), viewer));
    model.addAttribute("offers", kin.offers(cover, viewer));
    return "kin :: line";
  }

  /**
   * Has covers that were carried from this one take what was changed here.
   *
   * @param to editions, each with the revision its picture showed: {@code 7.12}
   */
  @PostMapping("/editions/{id}/carried/spread")
  String spread(
      @PathVariable Long id, @RequestParam(required = false) List<String> to, Viewer viewer) {
    Map<Long, Integer> revisions = new LinkedHashMap<>();
    for (String one : to == null ? List.<String>of() : to) {
      if (!one.matches("\\d{1,15}\\.\\d{1,9}")) {
        throw new Refusal("“" + one + "” is no edition with its revision: reload the page.");
      }
      int dot = one.indexOf('.');
      revisions.put(Long.valueOf(one.substring(0, dot)), Integer.valueOf(one.substring(dot + 1)));
    }
    kin.spread(covers.edition(id).getId(), revisions, viewer);
    return "redirect:/editions/" + id + "/carried";
  }

  /**
   * Lets what became of a piece stand, or of all; or takes that back.
   *
   * @param piece its id; empty for all
   */
  @PostMapping("/editions/{id}/carried/accept")
  String accept(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "yes") String act,
      Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    CarriedEntity carried = kin.expected(cover);
    Map<String, String> said =
        ReportView.lines(covers, carrying.asCarried(carried, viewer), cover, cover).stream()
            .filter(l -> piece.isEmpty() || l.piece().equals(piece))
            .collect(Collectors.toMap(ReportView.Line::piece, ReportView.Line::said, (a, b) -> a));
    carrying.accept(id, said, act.equals("yes"));
    return "redirect:/editions/" + id + "/carried";
  }

  /** Puts one piece back as its origin has it. */
  @PostMapping("/editions/{id}/carried/{piece}/back")
  String back(
      @PathVariable Long id, @PathVariable String piece, @RequestParam int base, Viewer viewer) {
    carrying.back(id, base, piece, viewer);
    return "redirect:/editions/" + id + "/carried";
  }

  /** What became of a carried cover. */
  @GetMapping("/editions/{id}/carried")
  String carried(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    Optional<CarriedEntity> origin = carrying.origin(cover.edition());
    List<Kin.Node> family = kin.family(cover.edition(), viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "carried");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("origin", origin.orElse(null));
    model.addAttribute("offers", kin.offers(cover, viewer));
    model.addAttribute("followers", family.stream().filter(n -> id.equals(n.origin())).toList());
    model.addAttribute(
        "tree", family.stream().anyMatch(n -> n.origin() != null) ? KinTree.of(family) : null);
    if (origin.isPresent() && cover.wrap().isPresent()) {
      try {
        compare(cover, origin.get(), viewer, model);
      } catch (BrokenCover | Refusal e) {
        model.addAttribute("unreadable", e.getMessage());
      }
    }
    return "carried";
  }

  private void compare(Cover cover, CarriedEntity origin, Viewer viewer, Model model) {
    Cover from = covers.of(origin.getOriginId(), viewer);
    List<ReportView.Line> lines =
        ReportView.add(model, covers, carrying.asCarried(origin, viewer), cover, cover);
    Map<String, String> accepted = origin.accepted();
    Set<String> standing =
        lines.stream()
            .filter(l -> l.said().equals(accepted.get(l.piece())))
            .map(ReportView.Line::piece)
            .collect(Collectors.toSet());
    model.addAttribute("accepted", standing);
    model.addAttribute(
        "unaccepted",
        lines.stream()
            .filter(l -> !l.change().equals("KEPT") && !standing.contains(l.piece()))
            .count());
    model.addAttribute("from", from);
    model.addAttribute(
        "before",
        "/editions/"
            + from.edition().getId()
            + "/revisions/"
            + origin.getOriginRevision()
            + "/sheet?v="
            + Fronts.facts(from.edition()));
    model.addAttribute(
        "now", "/editions/" + cover.edition().getId() + "/sheet?v=" + Fronts.key(cover.edition()));
  }
}
