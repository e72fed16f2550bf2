package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.Further;
import app.reglet.core.book.Isbn;
import app.reglet.core.facts.FactsReader;
import app.reglet.core.facts.ReadFacts;
import app.reglet.core.facts.TypedFacts;
import app.reglet.core.measure.Unit;
import app.reglet.press.type.Hyphenation;
import app.reglet.web.carry.Refitting;
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
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes a docket in: reads each field on its own, stores what was typed and what it means. */
@Service
public class DocketService {
  static final int LONGEST = 500;
  private static final int LONGEST_FIGURE = 200;
  static final int LONGEST_PRICE = 100;
  static final int LONGEST_BLURB = 20_000;
  private static final List<String> FIGURES =
      List.of("isbn", "trim", "pages", "spread", "frontFlap", "backFlap", "told");

  private final Books books;
  private final Editions editions;
  private final Houses houses;
  private final Covers covers;
  private final Refitting refitting;
  private final FactsHistory history;

  DocketService(
      Books books,
      Editions editions,
      Houses houses,
      Covers covers,
      Refitting refitting,
      FactsHistory history) {
    this.history = history;
    this.refitting = refitting;
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
    Map<String, String> was = history.state(edition);
    EditionEntity before = refitting.before(edition);
    Map<String, String> problems = new LinkedHashMap<>();
    tooLong(form, problems);
    words(edition.getBook(), form, problems);
    isbn(edition, form, problems);
    if (form.house() != null && !form.house().equals(edition.getHouseId())) {
      edition.setHouse(form.house(), houses.version(form.house()));
    }
    facts(edition, form, unit, problems);
    books.saveAndFlush(edition.getBook());
    editions.saveAndFlush(edition);
    history.record(edition, was);
    refitting.follow(edition, before);
    return problems;
  }

  /** Takes what could be read, and keeps what was typed where it could not. */
  private void facts(
      EditionEntity edition, DocketForm form, Unit unit, Map<String, String> problems) {
    // what stands there as printed is the size itself, not its figures to six decimals
    boolean same = form.trim().equals(edition.getTrim().print(unit));
    ReadFacts read = FactsReader.read(form.typed(edition, same), covers.sheet(edition), unit);
    read.problems().forEach(problems::putIfAbsent);
    edition.setChoices(read.binding(), read.stock(), read.ink(), read.turn());
    if (!isLong(form.trim())) {
      edition.setTrim(form.trim(), read.trim());
    }
    if (form.pages() != null && !isLong(form.pages())) {
      edition.setPages(form.pages(), read.pages());
    }
    if (form.spread() != null && !isLong(form.spread())) {
      edition.setSpread(wrong(read, "spread", form.spread()), read.spread());
    }
    if (form.frontFlap() != null && !isLong(form.frontFlap())) {
      edition.setFrontFlap(wrong(read, "frontFlap", form.frontFlap()), read.frontFlap());
    }
    if (form.backFlap() != null && !isLong(form.backFlap())) {
      edition.setBackFlap(wrong(read, "backFlap", form.backFlap()), read.backFlap());
    }
    if (form.told() != null && !isLong(form.told())) {
      edition.setToldSpine(
          wrong(read, "told", form.told()),
          read.told(),
          form.toldSource() == null || problems.containsKey("toldSource")
              ? edition.getToldSource()
              : read.toldSource());
    }
    edition.setInsidePrinted(read.inside());
  }

  private static boolean isLong(String typed) {
    return typed.length() > LONGEST_FIGURE;
  }

  /** What was typed, when it could not be read. */
  private static String wrong(ReadFacts read, String field, String typed) {
    return read.problems().containsKey(field) ? typed : "";
  }

  /** What is still wrong with what was typed before, by field. */
  Map<String, String> standing(EditionEntity edition, Unit unit) {
    Map<String, String> problems =
        new LinkedHashMap<>(
            FactsReader.read(typed(edition), covers.sheet(edition), unit).problems());
    String isbn = edition.getIsbnTyped();
    if (!isbn.isEmpty()) {
      try {
        Isbn.parse(isbn);
      } catch (Refusal r) {
        problems.put("isbn", r.getMessage());
      }
    }
    try {
      Further.own(edition.getBook().getOwnTyped());
    } catch (Refusal r) {
      problems.put("ownFacts", r.getMessage());
    }
    return problems;
  }

  /** The facts of an edition as they stand in its fields. */
  private static TypedFacts typed(EditionEntity e) {
    return new TypedFacts(
        e.getBinding().id(),
        e.getTrimTyped().isEmpty() ? e.getTrimKept() : e.getTrimTyped(),
        e.getPagesTyped(),
        e.getSpreadTyped(),
        e.getStock(),
        e.getInk(),
        e.getTurn().id(),
        e.getFrontFlapTyped(),
        e.getBackFlapTyped(),
        e.getToldSpineTyped(),
        e.getToldSource(),
        e.isInsidePrinted());
  }

  private static void tooLong(DocketForm form, Map<String, String> problems) {
    form.lengths()
        .forEach(
            (field, length) -> {
              int most =
                  FIGURES.contains(field)
                      ? LONGEST_FIGURE
                      : field.equals("price") ? LONGEST_PRICE : LONGEST;
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
    form.longTexts()
        .forEach(
            (field, length) -> {
              if (length > LONGEST_BLURB) {
                problems.put(
                    field,
                    "That is "
                        + length
                        + " characters; at most "
                        + LONGEST_BLURB
                        + " are kept. It was not saved.");
              }
            });
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
    further(book, form, problems);
  }

  private static void isbn(EditionEntity edition, DocketForm form, Map<String, String> problems) {
    if (problems.containsKey("isbn")) {
      return;
    }
    if (form.isbn().isBlank()) {
      edition.setIsbn("", null);
      return;
    }
    try {
      edition.setIsbn(form.isbn().strip(), Isbn.parse(form.isbn()));
    } catch (Refusal r) {
      edition.setIsbn(form.isbn(), null);
      problems.put("isbn", r.getMessage());
    }
  }

  /** What else the book says; a text that is not sent, or refused, stays. */
  private static void further(BookEntity book, DocketForm form, Map<String, String> problems) {
    Further now = book.facts().further();
    String own =
        form.ownFacts() == null || problems.containsKey("ownFacts")
            ? book.getOwnTyped()
            : form.ownFacts();
    try {
      Further.own(own);
    } catch (Refusal r) {
      problems.put("ownFacts", r.getMessage());
    }
    boolean language =
        form.language() != null
            && (form.language().isEmpty() || Hyphenation.of(form.language()).isPresent());
    book.setFurther(
        new Further(
            kept("series", form.series(), now.series(), problems),
            kept("number", form.number(), now.number(), problems),
            kept("quote", form.quote(), now.quote(), problems),
            kept("about", form.about(), now.about(), problems),
            kept("edition", form.edition(), now.edition(), problems),
            kept("date", form.date(), now.date(), problems),
            language ? form.language() : now.language(),
            Map.of()),
        own);
  }

  private static String kept(String field, String typed, String now, Map<String, String> problems) {
    return typed == null || problems.containsKey(field) ? now : typed.strip();
  }
}
