package app.reglet.web.titles;

import app.reglet.core.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
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

  public TitlesController(Titles titles, Editions editions, Covers covers, Repairs repairs) {
    this.titles = titles;
    this.editions = editions;
    this.covers = covers;
    this.repairs = repairs;
  }

  /** A line of the list: an edition's cover, or why it is broken. */
  public record Row(EditionEntity edition, Cover cover, BrokenCover broken) {}

  private Row row(EditionEntity e, HttpServletRequest request) {
    try {
      return new Row(e, covers.of(e, request), null);
    } catch (BrokenCover b) {
      return new Row(e, null, b);
    }
  }

  @GetMapping("/")
  String home() {
    return "redirect:/titles";
  }

  @GetMapping("/titles")
  String titles(HttpServletRequest request, Model model) {
    return list(request, model, "", "", "");
  }

  @PostMapping("/titles")
  String create(
      @RequestParam(defaultValue = "") String title,
      @RequestParam(defaultValue = "") String author,
      HttpServletRequest request,
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
      return list(request, model, title, author, problem);
    }
    return "redirect:/editions/" + titles.make(title.strip(), author.strip()) + "/docket";
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

  private String list(
      HttpServletRequest request, Model model, String title, String author, String problem) {
    Map<Long, List<Row>> byBook = new LinkedHashMap<>();
    for (EditionEntity e : editions.findAllByOrderByIdAsc()) {
      byBook.computeIfAbsent(e.getBook().getId(), k -> new ArrayList<>()).add(row(e, request));
    }
    model.addAttribute("shelf", byBook.values());
    model.addAttribute("title", title);
    model.addAttribute("author", author);
    model.addAttribute("problem", problem);
    return "titles";
  }
}
