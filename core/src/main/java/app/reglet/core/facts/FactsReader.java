package app.reglet.core.facts;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Choice;
import app.reglet.core.house.Make;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * Reads the facts of an edition from what was typed: one reader for docket, command line and lists.
 * Each field is read by itself, so that every one that is wrong is told at once.
 */
public final class FactsReader {
  private final TypedFacts typed;
  private final RuleSheet sheet;
  private final Unit unit;
  private final boolean strict;
  private final Map<String, String> problems = new LinkedHashMap<>();

  private FactsReader(TypedFacts typed, RuleSheet sheet, Unit unit, boolean strict) {
    this.typed = typed;
    this.sheet = sheet;
    this.unit = unit;
    this.strict = strict;
  }

  /**
   * Reads facts for somebody who is still typing: of papers and inks that were not given, the
   * house's first is taken.
   *
   * @param unit of lengths that name none
   */
  public static ReadFacts read(TypedFacts typed, RuleSheet sheet, Unit unit) {
    return new FactsReader(typed, sheet, unit, false).read();
  }

  /** Reads facts that must be whole: what was not given and has no one answer is a problem. */
  public static ReadFacts readWhole(TypedFacts typed, RuleSheet sheet, Unit unit) {
    return new FactsReader(typed, sheet, unit, true).read();
  }

  /** The choice of this id; the first of all when there is none. */
  public static String listed(List<? extends Choice> all, String wanted) {
    if (all.isEmpty()) {
      return "";
    }
    return all.stream().anyMatch(c -> c.id().equals(wanted)) ? wanted : all.get(0).id();
  }

  private ReadFacts read() {
    Binding binding = binding();
    Size trim = tried("trim", () -> TypedFigures.trim(given(typed.trim()), unit));
    String stock = binding.hasPages() ? choice("stock", sheet.stocks(), typed.stock()) : "";
    String ink = binding.hasPages() ? choice("ink", sheet.inks(), typed.ink()) : "";
    PageTurn turn = turn();
    Integer pages = binding.hasPages() ? pages(binding, trim, stock, ink, turn) : null;
    Integer spread =
        tried(
            "spread",
            () -> typed.spread() == null ? 0 : TypedFigures.spread(typed.spread(), pages));
    Length[] flaps = flaps(binding);
    Length told =
        blank(typed.told()) ? null : tried("told", () -> TypedFigures.told(typed.told(), unit));
    return new ReadFacts(
        binding,
        trim,
        pages,
        spread == null ? 0 : spread,
        stock,
        ink,
        turn,
        flaps[0],
        flaps[1],
        told,
        typed.toldSource() == null ? "" : typed.toldSource().strip(),
        typed.inside(),
        problems);
  }

  private static boolean blank(String text) {
    return text == null || text.isBlank();
  }

  private static String given(String text) {
    return text == null ? "" : text;
  }

  private <T> T tried(String field, Supplier<T> reading) {
    try {
      return reading.get();
    } catch (Refusal r) {
      problems.put(field, r.getMessage());
      return null;
    }
  }

  private Binding binding() {
    Binding first = sheet.bindings().keySet().stream().sorted().findFirst().orElseThrow();
    if (blank(typed.binding())) {
      return sheet.bindings().containsKey(Binding.PERFECT_BOUND) ? Binding.PERFECT_BOUND : first;
    }
    Binding wanted = Binding.byId(typed.binding());
    if (wanted == null) {
      problems.put(
          "binding",
          "“"
              + typed.binding()
              + "” is no binding: "
              + Arrays.stream(Binding.values()).map(Binding::id).collect(Collectors.joining(", "))
              + ".");
      return first;
    }
    if (sheet.bindings().containsKey(wanted)) {
      return wanted;
    }
    problems.put(
        "binding",
        sheet.name()
            + " does not offer "
            + wanted.title().toLowerCase(Locale.ROOT)
            + (strict ? "." : "; taken: " + first.title().toLowerCase(Locale.ROOT) + "."));
    return first;
  }

  private PageTurn turn() {
    if (blank(typed.turn())) {
      return PageTurn.LTR;
    }
    PageTurn turn = PageTurn.byId(typed.turn());
    if (turn == null) {
      problems.put("turn", "“" + typed.turn() + "” is no direction: ltr or rtl.");
      return PageTurn.LTR;
    }
    return turn;
  }

  private String choice(String field, List<? extends Choice> all, String wanted) {
    String taken = listed(all, wanted);
    if (blank(wanted)) {
      if (strict && all.size() > 1 && field.equals("stock")) {
        problems.put(
            field,
            "Give the paper: "
                + sheet.name()
                + " has the papers "
                + all.stream().map(Choice::id).collect(Collectors.joining(", "))
                + ".");
      }
    } else if (!taken.equals(wanted) && !all.isEmpty()) {
      problems.put(
          field,
          strict
              ? sheet.name()
                  + " has no “"
                  + wanted
                  + "”: "
                  + all.stream().map(Choice::id).collect(Collectors.joining(", "))
                  + "."
              : sheet.name() + " has other papers and inks; taken: " + all.get(0).name() + ".");
    }
    return taken;
  }

  private Integer pages(Binding binding, Size trim, String stock, String ink, PageTurn turn) {
    try {
      return PageCount.parse(given(typed.pages()));
    } catch (Refusal r) {
      problems.put("pages", r.getMessage() + nearest(binding, trim, stock, ink, turn));
      return null;
    }
  }

  /** What the house does bind, for a count that could not be taken. */
  private String nearest(Binding binding, Size trim, String stock, String ink, PageTurn turn) {
    BindingRules rules = sheet.rules(binding);
    Size size = trim == null ? rules.trims().nearest(Size.USUAL_TRIM) : trim;
    PageCounts counts = PageCounts.of(Specification.of(binding, size, 1, stock, ink, turn), rules);
    return counts.range();
  }

  private Length[] flaps(Binding binding) {
    boolean bothEmpty = blank(typed.frontFlap()) && blank(typed.backFlap());
    Length usual =
        Optional.ofNullable(sheet.bindings().get(binding))
            .flatMap(r -> r.make().flaps())
            .map(Make.FlapRange::usual)
            .orElse(Length.ZERO);
    return new Length[] {
      flap("frontFlap", typed.frontFlap(), bothEmpty, usual),
      flap("backFlap", typed.backFlap(), bothEmpty, usual)
    };
  }

  /** One given and the other left empty: the empty one is the house's usual. */
  private Length flap(String field, String text, boolean bothEmpty, Length usual) {
    if (bothEmpty) {
      return null;
    }
    return blank(text) ? usual : tried(field, () -> TypedFigures.flap(text, unit));
  }
}
