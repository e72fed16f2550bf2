package app.reglet.web.dispatch;

import app.reglet.core.house.PressRules;
import app.reglet.core.house.PressRulesText;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.colour.Condition;
import app.reglet.press.inks.SpotInks;
import app.reglet.press.picture.PictureColours;
import app.reglet.web.jobs.Job;
import app.reglet.web.jobs.Jobs;
import app.reglet.web.preflight.Preflight;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.shell.Downloads;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import app.reglet.web.titles.StandingOut;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.MediaTypeFactory;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The place Dispatch: the files that are handed over. */
@Controller
public class DispatchController {
  /** How long a request for a file waits for it to be made. */
  private static final int WAIT_SECONDS = 120;

  private final Covers covers;
  private final Pressing pressing;
  private final CoverFiles files;
  private final Jobs jobs;
  private final Conditions conditions;
  private final StandingOut standing;
  private final LookedAt look;

  DispatchController(
      Covers covers,
      Pressing pressing,
      CoverFiles files,
      Jobs jobs,
      Conditions conditions,
      StandingOut standing,
      LookedAt look) {
    this.look = look;
    this.files = files;
    this.standing = standing;
    this.jobs = jobs;
    this.conditions = conditions;
    this.covers = covers;
    this.pressing = pressing;
  }

  @GetMapping("/editions/{id}/dispatch")
  String page(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = standing.with(covers.of(id, viewer));
    model.addAttribute("cover", cover);
    Preflight preflight = Preflight.of(cover);
    model.addAttribute("preflight", preflight);
    model.addAttribute("handed", null);
    if (cover.wrap().isPresent()) {
      String sheet = "/editions/" + id + "/sheet?v=" + Fronts.key(cover.edition());
      model.addAttribute("handed", preflight.drawn(cover, sheet));
    }
    model.addAttribute("place", "dispatch");
    model.addAttribute("line", MeasureLine.counted(cover));
    model.addAttribute("parts", cover.wrap().map(PartPicture::parts).orElseGet(List::of));
    model.addAttribute("conditions", conditions.all());
    model.addAttribute("standards", PressRules.Standard.values());
    List<Job> made = cover.wrap().isPresent() ? look.now(cover) : List.of();
    PressOptions asked = CoverFiles.chosen(cover, made);
    model.addAttribute("asked", asked);
    plan(cover, asked, model);
    if (cover.wrap().isPresent()) {
      answer(cover, made, model);
    }
    return "dispatch";
  }

  /** What would be made in the way that is chosen. */
  @GetMapping("/editions/{id}/dispatch/plan")
  String plan(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String standard,
      @RequestParam(defaultValue = "house") String pages,
      @RequestParam(defaultValue = "") String ppi,
      @RequestParam(defaultValue = "") List<String> marks,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    cover.sheet();
    model.addAttribute("cover", cover);
    plan(cover, PressOptions.of(standard, pages, ppi, marks), model);
    return "dispatch :: plan";
  }

  private void plan(Cover cover, PressOptions options, Model model) {
    boolean pixels = cover.edition().getBinding().isInPixels();
    List<Wrap> pages = cover.wrap().map(options::pages).orElse(null);
    model.addAttribute(
        "fileNames",
        pages == null ? null : pages.stream().map(p -> files.nextName(cover, p, options)).toList());
    if (pages == null || pixels) {
      return;
    }
    PressRules rules = options.on(cover.house().files().press());
    long assumed =
        cover.art().stream()
            .flatMap(a -> a.parts().stream())
            .flatMap(p -> p.pictures())
            .map(s -> s.picture())
            .distinct()
            .map(PictureColours::of)
            .filter(PictureColours::isAssumed)
            .count();
    model.addAttribute(
        "assumed",
        assumed == 0
            ? ""
            : assumed
                + (assumed == 1 ? " picture has no profile" : " pictures have no profile")
                + ": taken for sRGB.");
    model.addAttribute("spots", cover.art().map(a -> SpotInks.of(a.marks()).said()).orElse(""));
    String unknown = "";
    try {
      Condition condition = pressing.condition(rules);
      model.addAttribute(
          "how", PressRulesText.say(rules, condition == null ? "" : condition.title()));
      long bytes = 0;
      Set<String> hindrances = new LinkedHashSet<>();
      for (Wrap page : pages) {
        bytes = Math.max(bytes, pressing.weight(cover, page, options));
        hindrances.add(pressing.hindrances(cover, page, options));
      }
      model.addAttribute("hindrances", hindrances.stream().filter(h -> !h.isEmpty()).toList());
      model.addAttribute("weight", megabytes(bytes));
      model.addAttribute("most", cover.house().files().mostMegabytes());
    } catch (app.reglet.core.Refusal r) {
      unknown = r.getMessage();
    }
    model.addAttribute("unknown", unknown);
  }

  /** Two figures are enough of an estimate. */
  private static String megabytes(long bytes) {
    double mb = bytes / 1e6;
    return mb < 10
        ? String.format(Locale.ROOT, "%.1f MB", Math.max(0.1, mb))
        : String.format(Locale.ROOT, "%.0f MB", mb);
  }

  /** Orders the files. */
  @PostMapping("/editions/{id}/dispatch")
  String make(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String standard,
      @RequestParam(defaultValue = "house") String pages,
      @RequestParam(defaultValue = "") String ppi,
      @RequestParam(defaultValue = "") List<String> marks,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    PressOptions options = PressOptions.of(standard, pages, ppi, marks);
    List<Job> ordered = new ArrayList<>();
    for (Wrap page : options.pages(cover.sheet())) {
      ordered.add(jobs.order(files.order(cover, page, options)));
    }
    return answer(cover, ordered, model);
  }

  /**
   * How far files are, and what is in those that are there. While some are being made only that is
   * exchanged; with the last of them the way to take them back goes too.
   */
  @GetMapping("/editions/{id}/dispatch/made")
  String made(
      @PathVariable Long id,
      @RequestParam List<Long> jobs,
      Viewer viewer,
      HttpServletResponse response,
      Model model) {
    Cover cover = covers.of(id, viewer);
    List<Job> asked = jobs.stream().distinct().limit(10).map(j -> own(id, j)).toList();
    String whole = answer(cover, asked, model);
    if (asked.stream().anyMatch(j -> !j.isOver())) {
      return "dispatch :: going";
    }
    response.setHeader("HX-Retarget", "closest .makings");
    return whole;
  }

  private Job own(Long edition, Long id) {
    Job job = jobs.get(id);
    if (!job.getEditionId().equals(edition)) {
      throw new Gone("This file is of another edition.");
    }
    return job;
  }

  /** Takes orders back. */
  @PostMapping("/editions/{id}/dispatch/cancel")
  String cancel(@PathVariable Long id, @RequestParam List<Long> jobs, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    List<Job> now = new ArrayList<>();
    for (Long job : jobs) {
      own(id, job);
      now.add(this.jobs.cancel(job));
    }
    return answer(cover, now, model);
  }

  private String answer(Cover cover, List<Job> ordered, Model model) {
    model.addAttribute("cover", cover);
    model.addAttribute("made", ordered.stream().map(j -> look.at(cover, j)).toList());
    model.addAttribute("open", ordered.stream().anyMatch(j -> !j.isOver()));
    model.addAttribute(
        "ids", ordered.stream().map(j -> j.getId().toString()).collect(Collectors.joining(",")));
    return "dispatch :: made";
  }

  /** A file that is there. */
  @GetMapping("/editions/{id}/dispatch/file")
  void file(@PathVariable Long id, @RequestParam Long job, HttpServletResponse response)
      throws IOException {
    send(own(covers.edition(id).getId(), job), response);
  }

  /** The file of a page as the house takes it, made if it is not there. */
  @GetMapping("/editions/{id}/press-file")
  void pressFile(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String page,
      Viewer viewer,
      HttpServletResponse response)
      throws IOException {
    Cover cover = covers.of(id, viewer);
    List<Wrap> pages = PressOptions.HOUSE.pages(cover.sheet());
    Wrap wanted =
        pages.stream().filter(p -> p.page().id().equals(page)).findFirst().orElse(pages.get(0));
    Job job = jobs.order(files.order(cover, wanted, PressOptions.HOUSE));
    send(jobs.await(job, WAIT_SECONDS), response);
  }

  private void send(Job job, HttpServletResponse response) throws IOException {
    Path file = jobs.file(job);
    if (!job.isDone() || !Files.exists(file)) {
      throw new Gone("This file is not here any more: make it again on Dispatch.");
    }
    MediaType type =
        MediaTypeFactory.getMediaType(job.getName()).orElse(MediaType.APPLICATION_OCTET_STREAM);
    Downloads.begin(response, job.getName(), type, Files.size(file));
    Files.copy(file, response.getOutputStream());
  }
}
