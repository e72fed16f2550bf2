package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.house.Choice;
import app.reglet.core.house.Make;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** The facts of a cover on the command line. */
final class FactsOptions {
  @Option(
      names = "--house",
      required = true,
      paramLabel = "FILE-OR-ID",
      description = "a rule sheet: a shipped id or a JSON file")
  private String house;

  @Option(
      names = "--binding",
      description =
          "perfect-bound, saddle-stitched, flapped, case-laminate, dust-jacket, ebook; perfect-bound or the sheet's only one when not given")
  private String binding;

  @Option(
      names = "--trim",
      required = true,
      description = "a page, width x height: \"6in x 9in\", A5, \"1600 x 2560 px\"")
  private String trim;

  @Option(names = "--pages", description = "the page count; not for an ebook")
  private String pages;

  @Option(
      names = "--stock",
      description = "the inside paper's id; may be left out when there is one")
  private String stock;

  @Option(names = "--ink", description = "the inside ink's id; the first when not given")
  private String ink;

  @Option(names = "--turn", defaultValue = "ltr", description = "ltr or rtl")
  private String turn;

  @Option(
      names = "--front-flap",
      description = "width of the front flap, 0 for none; the house's usual one when not given")
  private String frontFlap;

  @Option(names = "--back-flap", description = "width of the back flap, likewise")
  private String backFlap;

  @Option(names = "--told-spine", description = "the spine width as the house stated it")
  private String toldSpine;

  @Option(names = "--inside", description = "the inside of the cover is printed too")
  private boolean inside;

  /** The measured cover. */
  Wrap measured() {
    RuleSheet sheet = HouseOption.read(house);
    return Measuring.measure(specification(sheet), sheet);
  }

  private Specification specification(RuleSheet sheet) {
    Binding bound = binding(sheet);
    PageTurn direction =
        Optional.ofNullable(PageTurn.byId(turn))
            .orElseThrow(() -> new Refusal("“" + turn + "” is no direction: ltr or rtl."));
    boolean ebook = bound == Binding.EBOOK;
    return new Specification(
        bound,
        Size.parse(trim, sheet.unit()),
        ebook ? 1 : count(),
        ebook ? "" : stock(sheet),
        ebook ? "" : ink == null ? sheet.inks().get(0).id() : ink,
        direction,
        flaps(sheet, bound),
        Optional.ofNullable(toldSpine).map(t -> new ToldSpine(Length.parse(t, sheet.unit()), "")),
        inside);
  }

  private Binding binding(RuleSheet sheet) {
    if (binding == null) {
      return sheet.bindings().size() == 1
          ? sheet.bindings().keySet().iterator().next()
          : Binding.PERFECT_BOUND;
    }
    return Optional.ofNullable(Binding.byId(binding))
        .orElseThrow(
            () ->
                new Refusal(
                    "“"
                        + binding
                        + "” is no binding: "
                        + Arrays.stream(Binding.values())
                            .map(Binding::id)
                            .collect(Collectors.joining(", "))
                        + "."));
  }

  private String stock(RuleSheet sheet) {
    if (stock != null) {
      return stock;
    }
    List<String> ids = sheet.stocks().stream().map(Choice::id).toList();
    if (ids.size() == 1) {
      return ids.get(0);
    }
    throw new Refusal(
        "Give --stock: " + sheet.name() + " has the papers " + String.join(", ", ids) + ".");
  }

  private Optional<Flaps> flaps(RuleSheet sheet, Binding bound) {
    if (frontFlap == null && backFlap == null) {
      return Optional.empty();
    }
    Length usual = sheet.rules(bound).make().flaps().map(Make.FlapRange::usual).orElse(Length.ZERO);
    return Optional.of(
        new Flaps(flap(frontFlap, usual, sheet.unit()), flap(backFlap, usual, sheet.unit())));
  }

  private static Length flap(String typed, Length usual, Unit unit) {
    return typed == null ? usual : Length.parse(typed, unit);
  }

  private int count() {
    if (pages == null) {
      throw new Refusal("Give --pages, the page count of the finished inside.");
    }
    if (!pages.strip().matches("[0-9]{1,9}")) {
      throw new Refusal("“" + pages + "” is no page count: a whole number, such as 320.");
    }
    return Integer.parseInt(pages.strip());
  }
}
