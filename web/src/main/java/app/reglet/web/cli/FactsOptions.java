package app.reglet.web.cli;

import app.reglet.core.book.Specification;
import app.reglet.core.facts.FactsReader;
import app.reglet.core.facts.TypedFacts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
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
    return FactsReader.readWhole(
            new TypedFacts(
                binding, trim, pages, null, stock, ink, turn, frontFlap, backFlap, toldSpine, "",
                inside),
            sheet,
            sheet.unit())
        .specification();
  }
}
