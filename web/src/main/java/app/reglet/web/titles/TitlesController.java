package app.reglet.web.titles;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.UnitInForce;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The place Titles: every book and its editions. */
@Controller
public class TitlesController {
  /** Longest title a cover could carry. */
  public static final int LONGEST = 500;

  private static final Size USUAL_TRIM = Size.parse("6 x 9 in", Unit.IN);

  private final Books books;
  private final Editions editions;
  private final Covers covers;
  private final Houses houses;
  private final Clock clock;

  public TitlesController(
      Books books, Editions editions, Covers covers, Houses houses, Clock clock) {
    this.books = books;
    this.editions = editions;
    this.covers = covers;
    this.houses = houses;
    this.clock = clock;
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
    BookEntity book = books.save(new BookEntity(title.strip(), author.strip(), clock.instant()));
    RuleSheet house =
        houses.all().stream()
            .filter(h -> h.bindings().containsKey(Binding.PERFECT_BOUND))
            .findFirst()
            .orElseGet(() -> houses.all().get(0));
    BindingRules rules =
        house
            .bindings()
            .getOrDefault(Binding.PERFECT_BOUND, house.bindings().values().iterator().next());
    Size trim = rules.trims().nearest(USUAL_TRIM);
    EditionEntity edition =
        editions.save(
            new EditionEntity(
                book,
                house.id(),
                houses.version(house.id()),
                Specification.of(
                    rules.binding(),
                    trim,
                    0,
                    house.stocks().get(0).id(),
                    house.inks().get(0).id(),
                    PageTurn.LTR),
                clock.instant()));
    return "redirect:/editions/" + edition.getId() + "/docket";
  }

  private String list(
      HttpServletRequest request, Model model, String title, String author, String problem) {
    Map<Long, List<Cover>> byBook = new LinkedHashMap<>();
    for (EditionEntity e : editions.findAllByOrderByIdAsc()) {
      Unit unit = UnitInForce.of(request, covers.sheet(e));
      byBook.computeIfAbsent(e.getBook().getId(), k -> new ArrayList<>()).add(covers.of(e, unit));
    }
    model.addAttribute("shelf", byBook.values());
    model.addAttribute("title", title);
    model.addAttribute("author", author);
    model.addAttribute("problem", problem);
    return "titles";
  }
}
