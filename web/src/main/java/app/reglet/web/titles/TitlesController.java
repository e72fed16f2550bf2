package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.web.shell.Viewer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The place Titles: every book and its editions. */
@Controller
public class TitlesController {
  /** Longest title a cover could carry. */
  public static final int LONGEST = 500;

  private final Titles titles;
  private final Editions editions;
  private final Covers covers;
  private final Repairs repairs;
  private final Fronts fronts;
  private final StandingOut standing;

  public TitlesController(
      Titles titles,
      Editions editions,
      Covers covers,
      Repairs repairs,
      Fronts fronts,
      StandingOut standing) {
    this.fronts = fronts;
    this.standing = standing;
    this.titles = titles;
    this.editions = editions;
    this.covers = covers;
    this.repairs = repairs;
  }

  /**
   * Nothing is composed for a list: what a cover looks like and what is found comes line by line.
   */
  private ShelfLine line(EditionEntity e, Viewer viewer, boolean first) {
    try {
      return ShelfLine.of(covers.measured(e, viewer), first);
    } catch (BrokenCover b) {
      return ShelfLine.of(e, b, first);
    }
  }

  /** What the checks say of an edition, or why its design is broken, for its line in the list. */
  @GetMapping("/editions/{id}/tally")
  String tally(@PathVariable Long id, Viewer viewer, Model model) {
    EditionEntity edition = covers.edition(id);
    try {
      Cover cover = covers.of(edition, viewer);
      model.addAttribute("tally", standing.with(cover));
      model.addAttribute("broken", null);
    } catch (BrokenCover b) {
      model.addAttribute("broken", b);
    }
    return "titles :: tally";
  }

  /** The measure line with all that is found of a cover, also what only its drawing shows. */
  @GetMapping("/editions/{id}/line")
  String line(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("line", MeasureLine.counted(standing.with(cover)));
    model.addAttribute("oob", null);
    return "parts :: line";
  }

  /** The front as a small picture. */
  @GetMapping("/editions/{id}/front")
  ResponseEntity<byte[]> front(@PathVariable Long id, Viewer viewer) {
    return picture(fronts.of(covers.of(id, viewer)));
  }

  /** The whole sheet as a picture. */
  @GetMapping("/editions/{id}/sheet")
  ResponseEntity<byte[]> sheet(@PathVariable Long id, Viewer viewer) {
    return picture(fronts.sheet(covers.of(id, viewer)));
  }

  private static ResponseEntity<byte[]> picture(byte[] picture) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofDays(7)).cachePrivate())
        .body(picture);
  }

  @GetMapping("/")
  String home() {
    return "redirect:/titles";
  }

  @GetMapping("/titles")
  String titles(Viewer viewer, Model model) {
    return list(viewer, model, "", "", "");
  }

  @PostMapping("/titles")
  String create(
      @RequestParam(defaultValue = "") String title,
      @RequestParam(defaultValue = "") String author,
      Viewer viewer,
      Model model,
      jakarta.servlet.http.HttpServletResponse response) {
    String problem = "";
    if (title.isBlank()) {
      problem = "A title needs a name; a working title will do, it can be changed at any time.";
    } else if (title.length() > LONGEST || author.length() > LONGEST) {
      problem =
          "That is "
              + Math.max(title.length(), author.length())
              + " characters; a title or an author has at most "
              + LONGEST
              + ".";
    }
    if (!problem.isEmpty()) {
      response.setStatus(HttpStatus.BAD_REQUEST.value());
      return list(viewer, model, title, author, problem);
    }
    return "redirect:/editions/" + titles.make(title.strip(), author.strip()) + "/docket";
  }

  @PostMapping("/editions/{id}/away")
  String takeAway(@PathVariable Long id) {
    titles.takeAway(id);
    return "redirect:/titles";
  }

  @PostMapping("/editions/{id}/back")
  String putBack(@PathVariable Long id) {
    titles.putBack(id);
    return "redirect:/titles";
  }

  /** Makes a broken edition usable again. */
  @PostMapping("/editions/{id}/repair")
  String repair(@PathVariable Long id, @RequestParam String way) {
    BrokenCover.Way known = BrokenCover.Way.byName(way);
    if (known == null) {
      throw new Refusal("“" + way + "” mends nothing here: reload the page.");
    }
    repairs.repair(id, known);
    return "redirect:/editions/" + id + "/docket";
  }

  private String list(Viewer viewer, Model model, String title, String author, String problem) {
    Map<Long, List<ShelfLine>> byBook = new LinkedHashMap<>();
    for (EditionEntity e : editions.findAllByOrderByIdAsc()) {
      List<ShelfLine> lines = byBook.computeIfAbsent(e.getBook().getId(), k -> new ArrayList<>());
      lines.add(line(e, viewer, lines.isEmpty()));
    }
    model.addAttribute("shelf", byBook.values());
    model.addAttribute("away", editions.takenAway());
    model.addAttribute("title", title);
    model.addAttribute("author", author);
    model.addAttribute("problem", problem);
    return "titles";
  }
}
