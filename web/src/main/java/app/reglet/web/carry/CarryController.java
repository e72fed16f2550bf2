package app.reglet.web.carry;

import app.reglet.core.carry.FateText;
import app.reglet.core.carry.Offer;
import app.reglet.core.carry.Report;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
  /** Room for both pictures, CSS pixels. */
  private static final long WIDE = 1120;

  private final Covers covers;
  private final Carrying carrying;
  private final Kin kin;
  private final Fronts fronts;
  private final Editions editions;

  CarryController(Covers covers, Carrying carrying, Kin kin, Fronts fronts, Editions editions) {
    this.kin = kin;
    this.covers = covers;
    this.carrying = carrying;
    this.fronts = fronts;
    this.editions = editions;
  }

  /**
   * A piece in the report.
   *
   * @param change what became of it, in a word for the eye
   */
  public record Line(String piece, String name, String side, String change, String said) {}

  private static List<Line> lines(List<Report> reports, FateText text) {
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < reports.size(); i++) {
      String side = i == 0 ? "" : "inside";
      reports
          .get(i)
          .fates()
          .forEach(
              f ->
                  lines.add(
                      new Line(
                          f.piece(),
                          f.name(),
                          side,
                          f.found().isEmpty()
                              ? f.changes().stream().sorted().findFirst().orElseThrow().name()
                              : "UNFIT",
                          text.of(f))));
    }
    return lines;
  }

  /** A screen's figures are pixels; else those of the page it is told on. */
  private static Unit unit(Cover of, Cover page) {
    return of.house().isInPixels() ? Unit.PX : page.unit() == Unit.PX ? of.unit() : page.unit();
  }

  /** Widths of two sheets as pictures beside each other: to one scale, a screen's as high. */
  private static long[] widths(Cover before, Cover after) {
    Size a = before.sheet().sheet();
    Size b = after.sheet().sheet();
    boolean screen = before.house().isInPixels() || after.house().isInPixels();
    double share =
        screen
            ? a.width().toMm() / a.height().toMm() * b.height().toMm() / b.width().toMm()
            : a.width().toMm() / b.width().toMm();
    long first = Math.round(WIDE * share / (1 + share));
    return new long[] {first, WIDE - first};
  }

  /**
   * @param page the cover whose page it is
   */
  private static void report(
      Model model, List<Report> reports, Cover before, Cover after, Cover page) {
    model.addAttribute("widths", widths(before, after));
    Unit unit = unit(after, page);
    FateText text = new FateText(after.sheet(), unit);
    model.addAttribute("unit", unit);
    model.addAttribute("lines", lines(reports, text));
    model.addAttribute("said", text.line(reports.get(0)));
    model.addAttribute(
        "whole", reports.stream().flatMap(r -> text.of(r.found()).stream()).toList());
    model.addAttribute("after", after);
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
    report(model, p.reports(covers), cover, p.cover(), cover);
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
    model.addAttribute(
        "unmet", p.row().unmet().stream().map(f -> f.sentence(cover.unit())).toList());
    model.addAttribute("there", there(cover, p.cover().edition()));
    model.addAttribute("before", "/editions/" + id + "/sheet?v=" + Fronts.key(cover.edition()));
    model.addAttribute("version", version(cover, p.cover()));
    return "carry";
  }

  /** What the picture of a carried cover depends on besides where to. */
  private static String version(Cover origin, Cover carried) {
    return Fronts.key(origin.edition()) + "." + carried.edition().getHouseVersion();
  }

  /** The editions of the title that there are at that house in that binding. */
  private List<EditionEntity> there(Cover cover, EditionEntity proposed) {
    return editions.findAllByOrderByIdAsc().stream()
        .filter(e -> e.getBook().getId().equals(cover.edition().getBook().getId()))
        .filter(e -> !e.getId().equals(cover.edition().getId()))
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
      Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    if (onto.isPresent()) {
      carrying.onto(cover, onto.get(), base, viewer);
      return "redirect:/editions/" + onto.get() + "/carried";
    }
    Long made = carrying.make(cover, target(house, binding, trim, turn), viewer);
    return "redirect:/editions/" + made + "/carried";
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
                taken, Fronts.key(cover.edition()) + " with " + taken.design().hashCode()));
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
    model.addAttribute("followers", kin.followers(cover, viewer));
    model.addAttribute("offers", kin.offers(cover, viewer));
    return "kin :: line";
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
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "carried");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("origin", origin.orElse(null));
    model.addAttribute("followers", kin.followers(cover, viewer));
    model.addAttribute("offers", kin.offers(cover, viewer));
    if (origin.isPresent() && cover.wrap().isPresent()) {
      Cover from = covers.of(origin.get().getOriginId(), viewer);
      model.addAttribute("from", from);
      report(model, carrying.sinceOrigin(cover, origin.get(), viewer), from, cover, cover);
      model.addAttribute(
          "before",
          "/editions/"
              + from.edition().getId()
              + "/revisions/"
              + origin.get().getOriginRevision()
              + "/sheet?v="
              + Fronts.facts(from.edition()));
      model.addAttribute("now", "/editions/" + id + "/sheet?v=" + Fronts.key(cover.edition()));
    }
    return "carried";
  }
}
