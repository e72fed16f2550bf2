package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.check.Remedy;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Choice;
import app.reglet.core.house.Make;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes a docket in: reads each field on its own, stores what was typed and what it means. */
@Service
public class DocketService {
  private static final int LONGEST = 500;
  private static final int LONGEST_FIGURE = 200;
  private static final int LONGEST_BLURB = 20_000;
  private static final List<String> FIGURES =
      List.of("isbn", "trim", "pages", "spread", "frontFlap", "backFlap", "told");

  private final Books books;
  private final Editions editions;
  private final Houses houses;
  private final Covers covers;

  public DocketService(Books books, Editions editions, Houses houses, Covers covers) {
    this.books = books;
    this.editions = editions;
    this.houses = houses;
    this.covers = covers;
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
    spread(edition, form, problems);
    flaps(edition, form, unit, problems);
    told(edition, form, unit, problems);
    edition.setInsidePrinted(form.inside() != null);
    books.saveAndFlush(edition.getBook());
    editions.saveAndFlush(edition);
    return problems;
  }

  /** What is still wrong with what was typed before, by field. */
  Map<String, String> standing(EditionEntity edition, Unit unit) {
    Map<String, String> problems = new LinkedHashMap<>();
    wrong(
        () -> TypedFigures.trim(edition.getTrimTyped(), unit),
        edition.getTrimTyped(),
        "trim",
        problems);
    wrong(
        () -> PageCount.parse(edition.getPagesTyped()), edition.getPagesTyped(), "pages", problems);
    wrong(
        () -> Isbn.parse(edition.getBook().getIsbnTyped()),
        edition.getBook().getIsbnTyped(),
        "isbn",
        problems);
    problems.computeIfPresent("pages", (k, sentence) -> sentence + nearest(edition));
    if (edition.getBinding() == Binding.EBOOK) {
      problems.remove("pages");
    }
    wrong(
        () -> TypedFigures.spread(edition.getSpreadTyped(), edition),
        edition.getSpreadTyped(),
        "spread",
        problems);
    String front = edition.getFrontFlapTyped();
    String back = edition.getBackFlapTyped();
    String told = edition.getToldSpineTyped();
    wrong(() -> TypedFigures.flap(front, unit), front, "frontFlap", problems);
    wrong(() -> TypedFigures.flap(back, unit), back, "backFlap", problems);
    wrong(() -> TypedFigures.told(told, unit), told, "told", problems);
    return problems;
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
                  FIGURES.contains(field) ? LONGEST_FIGURE : field.equals("price") ? 100 : LONGEST;
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
    if (form.house() != null && !form.house().equals(edition.getHouseId())) {
      edition.setHouse(form.house(), houses.version(form.house()));
    }
    RuleSheet house = covers.sheet(edition);
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
    edition.setChoices(binding, stock, ink, turn == null ? edition.getTurn() : turn);
  }

  private static String listed(
      List<? extends Choice> all,
      String wanted,
      String field,
      RuleSheet house,
      Map<String, String> problems) {
    if (all.isEmpty()) {
      return "";
    }
    if (all.stream().anyMatch(s -> s.id().equals(wanted))) {
      return wanted;
    }
    Choice first = all.get(0);
    if (wanted != null && !wanted.isEmpty()) {
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
      // what stands there as printed is the size itself, not its figures to six decimals
      Size size =
          form.trim().equals(edition.getTrim().print(unit))
              ? edition.getTrim()
              : TypedFigures.trim(form.trim(), unit);
      edition.setTrim(form.trim(), size);
    } catch (Refusal r) {
      edition.setTrim(form.trim(), null);
      problems.put("trim", r.getMessage());
    }
  }

  private static void spread(EditionEntity edition, DocketForm form, Map<String, String> problems) {
    if (form.spread() == null || problems.containsKey("spread")) {
      return;
    }
    try {
      edition.setSpread("", TypedFigures.spread(form.spread(), edition));
    } catch (Refusal r) {
      edition.setSpread(form.spread(), 0);
      problems.put("spread", r.getMessage());
    }
  }

  private void flaps(
      EditionEntity edition, DocketForm form, Unit unit, Map<String, String> problems) {
    if (form.frontFlap() == null && form.backFlap() == null
        || problems.containsKey("frontFlap")
        || problems.containsKey("backFlap")) {
      return;
    }
    Optional<Length> usual =
        Optional.ofNullable(covers.sheet(edition).bindings().get(edition.getBinding()))
            .flatMap(r -> r.make().flaps())
            .map(Make.FlapRange::usual);
    String front = form.frontFlap() == null ? "" : form.frontFlap();
    String back = form.backFlap() == null ? "" : form.backFlap();
    // one given and the other left empty: the empty one is the house's usual
    boolean bothEmpty = front.isBlank() && back.isBlank();
    try {
      edition.setFrontFlap(
          "",
          bothEmpty ? null : front.isBlank() ? usual.orElse(null) : TypedFigures.flap(front, unit));
    } catch (Refusal r) {
      edition.setFrontFlap(front, null);
      problems.put("frontFlap", r.getMessage());
    }
    try {
      edition.setBackFlap(
          "",
          bothEmpty ? null : back.isBlank() ? usual.orElse(null) : TypedFigures.flap(back, unit));
    } catch (Refusal r) {
      edition.setBackFlap(back, null);
      problems.put("backFlap", r.getMessage());
    }
  }

  private static void told(
      EditionEntity edition, DocketForm form, Unit unit, Map<String, String> problems) {
    if (form.told() == null || problems.containsKey("told")) {
      return;
    }
    String source =
        form.toldSource() == null || problems.containsKey("toldSource")
            ? edition.getToldSource()
            : form.toldSource().strip();
    try {
      edition.setToldSpine(
          "", form.told().isBlank() ? null : TypedFigures.told(form.told(), unit), source);
    } catch (Refusal r) {
      edition.setToldSpine(form.told(), null, source);
      problems.put("told", r.getMessage());
    }
  }

  private void pages(EditionEntity edition, DocketForm form, Map<String, String> problems) {
    if (form.pages() == null || problems.containsKey("pages")) {
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
    BindingRules rules = covers.sheet(edition).rules(edition.getBinding());
    PageCounts counts = PageCounts.of(edition.specification(1), rules);
    return counts
        .least()
        .map(
            least ->
                " Here from "
                    + least
                    + " to "
                    + counts.most().orElse(least)
                    + counts
                        .limit()
                        .map(
                            l ->
                                l.multiple() == 2
                                    ? ", even"
                                    : l.multiple() == 1 ? "" : ", in steps of " + l.multiple())
                        .orElse("")
                    + ".")
        .orElse("");
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
    } else if (remedy instanceof Remedy.UseFlaps use) {
      edition.setFlaps(Optional.of(use.flaps()));
    } else if (remedy instanceof Remedy.OutsideOnly) {
      edition.setInsidePrinted(false);
    }
    editions.saveAndFlush(edition);
  }

  /** Takes the page count of the finished inside: nothing about it is provisional any more. */
  @Transactional
  public void useFinalPages(Long id, int pages) {
    usePages(id, pages).setSpread("", 0);
  }

  /** Takes a page count; how far it may still go stays, unless it would go below a page. */
  @Transactional
  public EditionEntity usePages(Long id, int pages) {
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    edition.setPages(String.valueOf(pages), PageCount.parse(String.valueOf(pages)));
    if (edition.getSpread() >= pages) {
      edition.setSpread("", 0);
    }
    return editions.save(edition);
  }

  /** Measures an edition by the version of its house's sheet that is in force. */
  @Transactional
  public void useNewerSheet(Long id) {
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    edition.setHouse(edition.getHouseId(), houses.version(edition.getHouseId()));
    RuleSheet house = covers.sheet(edition);
    Map<String, String> taken = new LinkedHashMap<>();
    edition.setChoices(
        house.bindings().containsKey(edition.getBinding())
            ? edition.getBinding()
            : house.bindings().keySet().stream().sorted().findFirst().orElseThrow(),
        listed(house.stocks(), edition.getStock(), "stock", house, taken),
        listed(house.inks(), edition.getInk(), "ink", house, taken),
        edition.getTurn());
    editions.saveAndFlush(edition);
  }
}
