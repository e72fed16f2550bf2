package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.check.Remedy;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.PageLimit;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.Stock;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes a docket in: reads each field on its own, stores what was typed and what it means. */
@Service
public class DocketService {
  private static final int LONGEST = 500;
  private static final int LONGEST_FIGURE = 200;
  private static final int LONGEST_BLURB = 20_000;

  private final Books books;
  private final Editions editions;
  private final Houses houses;

  public DocketService(Books books, Editions editions, Houses houses) {
    this.books = books;
    this.editions = editions;
    this.houses = houses;
  }

  /** The version that a page shows of an edition and its book. */
  static String version(EditionEntity e) {
    return e.getBook().getVersion() + "." + e.getVersion();
  }

  /**
   * Stores a docket.
   *
   * @return sentences by field for what could not be taken, or was chosen for the person
   * @throws Conflict when another window saved first
   */
  @Transactional
  public Map<String, String> save(Long id, DocketForm form, Unit unit) {
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    if (!version(edition).equals(form.version())) {
      throw new Conflict(
          "This docket was changed in another window. Nothing was overwritten, and what you typed is still on this page: "
              + "note what differs, reload, and make the change again.");
    }
    Map<String, String> problems = new LinkedHashMap<>();
    tooLong(form, problems);
    words(edition.getBook(), form, problems);
    choices(edition, form, problems);
    trim(edition, form, unit, problems);
    pages(edition, form, problems);
    books.saveAndFlush(edition.getBook());
    editions.saveAndFlush(edition);
    return problems;
  }

  /** What is still wrong with what was typed before, by field. */
  Map<String, String> standing(EditionEntity edition, Unit unit) {
    Map<String, String> problems = new LinkedHashMap<>();
    wrong(() -> trimOf(edition.getTrimTyped(), unit), edition.getTrimTyped(), "trim", problems);
    wrong(
        () -> PageCount.parse(edition.getPagesTyped()), edition.getPagesTyped(), "pages", problems);
    wrong(
        () -> Isbn.parse(edition.getBook().getIsbnTyped()),
        edition.getBook().getIsbnTyped(),
        "isbn",
        problems);
    problems.computeIfPresent("pages", (k, sentence) -> sentence + nearest(edition));
    return problems;
  }

  private static Size trimOf(String typed, Unit unit) {
    Size size = Size.parse(typed, unit);
    if (!size.width().isPositive() || !size.height().isPositive()) {
      throw new Refusal(
          "trim",
          "“" + typed.strip() + "” has a side of zero or less: both sides must be above zero.");
    }
    return size;
  }

  private static void wrong(
      Runnable reading, String typed, String field, Map<String, String> problems) {
    if (typed.isEmpty() && !field.equals("pages")) {
      return;
    }
    try {
      reading.run();
    } catch (Refusal r) {
      problems.put(field, r.getMessage());
    }
  }

  private static void tooLong(DocketForm form, Map<String, String> problems) {
    form.lengths()
        .forEach(
            (field, length) -> {
              int most =
                  List.of("isbn", "trim", "pages").contains(field)
                      ? LONGEST_FIGURE
                      : field.equals("price") ? 100 : LONGEST;
              if (length > most) {
                problems.put(
                    field,
                    "That is "
                        + length
                        + " characters; at most "
                        + most
                        + " are kept here. Nothing of this field was saved.");
              }
            });
    if (form.blurb().length() > LONGEST_BLURB) {
      problems.put(
          "blurb",
          "The blurb has "
              + form.blurb().length()
              + " characters; at most "
              + LONGEST_BLURB
              + " are kept. It was not saved.");
    }
  }

  private static void words(BookEntity book, DocketForm form, Map<String, String> problems) {
    var now = book.facts();
    String title = problems.containsKey("title") ? now.title() : form.title();
    if (title.isBlank()) {
      problems.put(
          "title",
          "A title can't be empty: the last one, “"
              + now.title()
              + "”, stays until another is typed.");
      title = now.title();
    }
    book.setWords(
        title.strip(),
        (problems.containsKey("subtitle") ? now.subtitle() : form.subtitle()).strip(),
        (problems.containsKey("author") ? now.author() : form.author()).strip(),
        (problems.containsKey("imprint") ? now.imprint() : form.imprint()).strip(),
        problems.containsKey("blurb") ? now.blurb() : form.blurb().strip(),
        (problems.containsKey("price") ? now.price() : form.price()).strip());
    if (problems.containsKey("isbn")) {
      return;
    }
    if (form.isbn().isBlank()) {
      book.setIsbn("", null);
      return;
    }
    try {
      book.setIsbn(form.isbn().strip(), Isbn.parse(form.isbn()));
    } catch (Refusal r) {
      book.setIsbn(form.isbn(), null);
      problems.put("isbn", r.getMessage());
    }
  }

  private void choices(EditionEntity edition, DocketForm form, Map<String, String> problems) {
    RuleSheet house = houses.get(form.house() == null ? edition.getHouseId() : form.house());
    Binding binding = form.binding() == null ? edition.getBinding() : Binding.byId(form.binding());
    if (binding == null || !house.bindings().containsKey(binding)) {
      Binding other = house.bindings().keySet().stream().sorted().findFirst().orElseThrow();
      problems.put(
          "binding",
          house.name()
              + " does not offer "
              + edition.getBinding().title().toLowerCase()
              + "; taken: "
              + other.title().toLowerCase()
              + ".");
      binding = other;
    }
    String stock = listed(house.stocks(), form.stock(), "stock", house, problems);
    String ink = listed(house.inks(), form.ink(), "ink", house, problems);
    PageTurn turn = PageTurn.byId(form.turn());
    edition.setChoices(house.id(), binding, stock, ink, turn == null ? edition.getTurn() : turn);
  }

  private static String listed(
      List<Stock> all, String wanted, String field, RuleSheet house, Map<String, String> problems) {
    if (all.stream().anyMatch(s -> s.id().equals(wanted))) {
      return wanted;
    }
    Stock first = all.get(0);
    if (wanted != null) {
      problems.put(
          field, house.name() + " has other papers and inks; taken: " + first.name() + ".");
    }
    return first.id();
  }

  private static void trim(
      EditionEntity edition, DocketForm form, Unit unit, Map<String, String> problems) {
    if (problems.containsKey("trim")) {
      return;
    }
    try {
      Size size = trimOf(form.trim(), unit);
      edition.setTrim(form.trim(), size);
    } catch (Refusal r) {
      edition.setTrim(form.trim(), null);
      problems.put("trim", r.getMessage());
    }
  }

  private void pages(EditionEntity edition, DocketForm form, Map<String, String> problems) {
    if (problems.containsKey("pages")) {
      return;
    }
    try {
      edition.setPages(form.pages(), PageCount.parse(form.pages()));
    } catch (Refusal r) {
      edition.setPages(form.pages(), null);
      problems.put("pages", r.getMessage() + nearest(edition));
    }
  }

  /** What the house does bind, for a count that could not be taken. */
  private String nearest(EditionEntity edition) {
    BindingRules rules = houses.get(edition.getHouseId()).rules(edition.getBinding());
    return edition
        .specification()
        .or(
            () ->
                java.util.Optional.of(
                    app.reglet.core.book.Specification.of(
                        edition.getBinding(),
                        edition.getTrim(),
                        1,
                        edition.getStock(),
                        "",
                        edition.getTurn())))
        .flatMap(rules::pagesFor)
        .map(this::range)
        .orElse("");
  }

  private String range(PageLimit limit) {
    return " Here from "
        + limit.nearestAbove(0)
        + " to "
        + limit.nearestBelow(Integer.MAX_VALUE)
        + ", "
        + (limit.multiple() == 2 ? "even" : "in steps of " + limit.multiple())
        + ".";
  }

  /** Carries a remedy of the docket out. */
  @Transactional
  public void apply(Long id, Remedy remedy) {
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    if (remedy instanceof Remedy.UsePages use) {
      edition.setPages(String.valueOf(use.pages()), use.pages());
    } else if (remedy instanceof Remedy.UseTrim use) {
      edition.setTrim("", use.trim());
    }
    editions.saveAndFlush(edition);
  }
}
