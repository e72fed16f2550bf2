package app.reglet.web.carry;

import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A cover carried to another edition: looked at first, then made; and what became of it. */
@Controller
public class CarryController {
  private final Once asked = new Once();
  private final Covers covers;
  private final Carrying carrying;
  private final Fronts fronts;
  private final Editions editions;

  CarryController(Covers covers, Carrying carrying, Fronts fronts, Editions editions) {
    this.covers = covers;
    this.carrying = carrying;
    this.fronts = fronts;
    this.editions = editions;
  }

  private static Target target(String house, String binding, String trim, String turn) {
    return new Target(house, binding, trim, turn);
  }

  /** What a cover would come to. */
  @GetMapping("/editions/{id}/carry")
  String page(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String house,
      @RequestParam(defaultValue = "") String binding,
      @RequestParam(defaultValue = "") String trim,
      @RequestParam(defaultValue = "") String turn,
      Viewer viewer,
      Model model) {
    if (house.isBlank() || binding.isBlank()) {
      return "redirect:/editions/" + id + "/side-by-side";
    }
    Cover cover = covers.of(id, viewer);
    Carrying.Proposal p = carrying.proposed(cover, target(house, binding, trim, turn), viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "side-by-side");
    model.addAttribute("line", MeasureLine.of(cover));
    ReportView.add(model, covers, cover, p.cover(), cover);
    model.addAttribute("row", p.row());
    model.addAttribute("spec", p.cover().edition().specification().orElseThrow());
    model.addAttribute("target", target(house, binding, trim, turn));
    model.addAttribute(
        "trims",
        Target.trims(p.row()).stream().map(t -> Target.said(t, p.row(), cover.unit())).toList());
    model.addAttribute(
        "trimChosen",
        IntStream.range(0, Target.trims(p.row()).size())
            .filter(i -> Target.trims(p.row()).get(i).equals(p.cover().edition().getTrim()))
            .findFirst()
            .orElse(0));
    model.addAttribute("unmet", p.settled(cover.unit()));
    model.addAttribute("there", there(cover, p.cover().edition()));
    model.addAttribute("before", "/editions/" + id + "/sheet?v=" + Fronts.key(cover.edition()));
    model.addAttribute("version", version(cover, p.cover()));
    model.addAttribute("once", UUID.randomUUID().toString());
    return "carry";
  }

  /** What the picture of a carried cover depends on besides where to. */
  private static String version(Cover origin, Cover carried) {
    return Fronts.key(origin.edition()) + "." + carried.edition().getHouseVersion();
  }

  /** The editions of the title that there are at that house in that binding. */
  private List<EditionEntity> there(Cover cover, EditionEntity proposed) {
    return editions.ofBook(cover.edition().getBook().getId()).stream()
        .filter(e -> !e.getId().equals(cover.edition().getId()))
        .filter(covers::hasReadableFacts)
        .filter(
            e ->
                e.getHouseId().equals(proposed.getHouseId())
                    && e.getBinding() == proposed.getBinding())
        .toList();
  }

  /** The sheet that it would come to, as a picture. */
  @GetMapping("/editions/{id}/carry/sheet")
  ResponseEntity<byte[]> sheet(
      @PathVariable Long id,
      @RequestParam String house,
      @RequestParam String binding,
      @RequestParam(defaultValue = "") String trim,
      @RequestParam(defaultValue = "") String turn,
      Viewer viewer) {
    Target target = target(house, binding, trim, turn);
    Cover cover = covers.of(id, viewer);
    Cover carried = carrying.proposed(cover, target, viewer).cover();
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate())
        .body(fronts.sheet(carried, version(cover, carried) + " to " + target.key()));
  }

  /** Carries it: to a new edition, or onto one that there is. */
  @PostMapping("/editions/{id}/carry")
  String carry(
      @PathVariable Long id,
      @RequestParam String house,
      @RequestParam String binding,
      @RequestParam(defaultValue = "") String trim,
      @RequestParam(defaultValue = "") String turn,
      @RequestParam Optional<Long> onto,
      @RequestParam(defaultValue = "0") int base,
      @RequestParam(defaultValue = "") String once,
      Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    if (onto.isPresent()) {
      carrying.onto(cover, onto.get(), base, viewer);
      return "redirect:/editions/" + onto.get() + "/carried";
    }
    // a button that is pressed twice makes one
    Long made =
        asked.answer(once, () -> carrying.make(cover, target(house, binding, trim, turn), viewer));
    return "redirect:/editions/" + made + "/carried";
  }
}
