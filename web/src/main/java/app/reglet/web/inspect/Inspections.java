package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.act.Act;
import app.reglet.core.book.Book;
import app.reglet.core.check.Finding;
import app.reglet.core.house.PressRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.Condition;
import app.reglet.press.inspect.ComparedText;
import app.reglet.press.inspect.FileCheck;
import app.reglet.press.inspect.FileFacts;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.inspect.Registered;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.svg.GuidedSvg;
import app.reglet.press.type.Family;
import app.reglet.press.type.Typefaces;
import app.reglet.web.inspect.InspectedFiles.Inspected;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.titles.Measured;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What an edition's house says of a file that was inspected. */
@Service
class Inspections {
  /** Farther off than this it is another cover's file. */
  private static final Length NEAR = Length.mm("3");

  private final InspectedFiles files;
  private final Conditions conditions;
  private final Typefaces typefaces;

  Inspections(InspectedFiles files, Conditions conditions, Typefaces typefaces) {
    this.files = files;
    this.conditions = conditions;
    this.typefaces = typefaces;
  }

  /**
   * One finding as the list shows it.
   *
   * @param number from 1
   * @param page of the file
   */
  public record Line(int number, int page, Finding finding) {}

  /** Findings that a person does the same about. */
  public record Group(String title, List<Line> lines) {}

  /**
   * An edition's verdict.
   *
   * @param stops findings that must be mended
   * @param looks others
   */
  public record Verdict(
      List<Group> groups, List<ComparedText.Line> compared, long stops, long looks, Unit unit) {
    public boolean fits() {
      return stops == 0;
    }

    /** Every line, by number. */
    public List<Line> lines() {
      return groups.stream().flatMap(g -> g.lines().stream()).toList();
    }
  }

  /** What an edition says of a file; empty where it is not measured. */
  Optional<Verdict> of(Inspected file, Measured m) {
    return m.wrap().map(w -> verdict(m, file, remarks(file, m)));
  }

  /** The same where many are asked: pixels are looked at only where the page has about the size. */
  Optional<Verdict> ofMany(Inspected file, Measured m) {
    return m.wrap()
        .map(
            w -> {
              boolean near =
                  FitCheck.meant(file.facts().pdf(), w)
                      .sheet()
                      .isWithin(NEAR, file.facts().pdf().first().media());
              return verdict(m, file, near ? remarks(file, m) : remarks(file, m, false));
            });
  }

  /** What is found of a file beside a measured edition. */
  List<FileCheck.Remark> remarks(Inspected file, Measured m) {
    return remarks(file, m, true);
  }

  private List<FileCheck.Remark> remarks(Inspected file, Measured m, boolean pixels) {
    return FileCheck.of(
        file.facts(),
        wanted(m.wrap().orElseThrow(), m.book(), m.house()),
        n -> pixels ? files.inks(file.facts().sha(), n) : Optional.empty());
  }

  private static Verdict verdict(Measured m, Inspected file, List<FileCheck.Remark> remarks) {
    Map<Act, List<FileCheck.Remark>> byAct = new EnumMap<>(Act.class);
    remarks.forEach(r -> byAct.computeIfAbsent(r.finding().act(), a -> new ArrayList<>()).add(r));
    List<Group> groups = new ArrayList<>();
    int number = 0;
    for (Map.Entry<Act, List<FileCheck.Remark>> e : byAct.entrySet()) {
      List<Line> lines = new ArrayList<>();
      for (FileCheck.Remark r : e.getValue()) {
        lines.add(new Line(++number, r.page(), r.finding()));
      }
      groups.add(new Group(e.getKey().title(), lines));
    }
    long stops = remarks.stream().filter(r -> r.finding().mustMend()).count();
    return new Verdict(
        groups,
        ComparedText.of(FileCheck.compared(file.facts(), m.wrap().orElseThrow()), m.house().unit()),
        stops,
        remarks.size() - stops,
        m.unit());
  }

  private FileCheck.Wanted wanted(Wrap wrap, Book book, RuleSheet house) {
    PressRules press = house.files().press();
    Optional<Condition> condition = condition(press);
    return new FileCheck.Wanted(
        wrap,
        book,
        condition.map(c -> c.title().toLowerCase(Locale.ROOT)).orElse(press.condition()),
        condition.map(Condition::registered).orElse(""),
        condition.map(c -> c.profile().sha()).orElse(""),
        this::isFine);
  }

  private Optional<Condition> condition(PressRules press) {
    try {
      return Optional.of(conditions.byId(press.condition()));
    } catch (Refusal absent) {
      return Optional.empty();
    }
  }

  /** Of a font that is here, as its family is known; what is not known has no fine strokes. */
  private boolean isFine(String font) {
    String name = plain(font);
    return typefaces.families().stream()
        .filter(f -> name.startsWith(plain(f.name())))
        .findFirst()
        .map(Family::classification)
        .map(c -> c.isFine())
        .orElse(false);
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
  }

  /**
   * A page of a file under an edition's guides.
   *
   * @param picture address of what is shown of it
   * @param outlined places that differ from something else, mm of the sheet
   */
  Optional<String> drawn(
      Inspected file, Measured m, int page, Verdict verdict, String picture, List<Rect> outlined) {
    return m.wrap()
        .flatMap(w -> FileCheck.meant(file.facts(), w, page))
        .map(
            w ->
                GuidedSvg.of(
                    w,
                    picture,
                    registered(file.facts(), w, page).seen(),
                    verdict.lines().stream()
                        .filter(l -> l.page() == page && l.finding().place().isPresent())
                        .map(
                            l ->
                                new GuidedSvg.Note(
                                    l.number(), l.finding().place().get(), l.finding().mustMend()))
                        .toList(),
                    outlined,
                    "Page " + page + " of the file under the guides of the sheet expected"));
  }

  /** A page laid on the one that it should be; a picture fills it. */
  static Registered registered(FileFacts facts, Wrap meant, int page) {
    if (!facts.hasPages()) {
      Rect all = new Rect(0, 0, meant.sheet().width().toMm(), meant.sheet().height().toMm());
      return new Registered(meant, all, all);
    }
    PdfFacts.Page first = facts.pdf().first();
    return Registered.of(meant, page == 1 ? first : new PdfFacts.Page(first.media(), List.of(), 0));
  }

  /**
   * How much of each ink lies on a page.
   *
   * @param cyan share of the page, counted by how full it is, 0 to 1
   * @param most in one place, percent
   */
  public record Coverage(double cyan, double magenta, double yellow, double black, int most) {
    public double total() {
      return cyan + magenta + yellow + black;
    }
  }

  /** The figures of a page's inks; empty where it was not drawn. */
  Optional<Coverage> coverage(String sha, int page) {
    return files.inks(sha, page).map(Inspections::coverage);
  }

  private static Coverage coverage(InkPixels p) {
    long[] sums = new long[4];
    int most = 0;
    byte[] inks = p.inks();
    for (int i = 0; i < inks.length; i += 4) {
      int total = 0;
      for (int k = 0; k < 4; k++) {
        int ink = inks[i + k] & 0xff;
        sums[k] += ink;
        total += ink;
      }
      most = Math.max(most, total);
    }
    double all = 255.0 * p.width() * p.height();
    return new Coverage(
        sums[0] / all, sums[1] / all, sums[2] / all, sums[3] / all, Math.round(most / 2.55f));
  }
}
