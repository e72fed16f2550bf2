package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Subject;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapDocument;
import app.reglet.core.wrap.Zone;
import java.io.PrintWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code reglet measure}: prints a measured wrap. */
@Command(
    name = "measure",
    description = "Measures the full sheet of a cover.",
    mixinStandardHelpOptions = true)
final class MeasureCommand implements Callable<Integer> {
  @Option(
      names = "--house",
      required = true,
      paramLabel = "FILE-OR-ID",
      description = "a rule sheet: a shipped id or a JSON file")
  private String house;

  @Option(
      names = "--binding",
      defaultValue = "perfect-bound",
      description = "how it is bound; perfect-bound when not given")
  private String binding;

  @Option(
      names = "--trim",
      required = true,
      description = "a page, width x height: \"6in x 9in\", A5")
  private String trim;

  @Option(names = "--pages", required = true, description = "the page count")
  private String pages;

  @Option(names = "--stock", required = true, description = "the inside paper's id")
  private String stock;

  @Option(names = "--ink", description = "the inside ink's id; the first when not given")
  private String ink;

  @Option(names = "--turn", defaultValue = "ltr", description = "ltr or rtl")
  private String turn;

  @Option(names = "--json", description = "as JSON, every length exact in mm and inches")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    RuleSheet sheet = HouseOption.read(house);
    Wrap wrap = Measuring.measure(specification(sheet), sheet);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(WrapDocument.write(wrap));
    } else {
      print(wrap, out);
    }
    out.flush();
    return 0;
  }

  private Specification specification(RuleSheet sheet) {
    Binding bound =
        Optional.ofNullable(Binding.byId(binding))
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
    PageTurn direction =
        Optional.ofNullable(PageTurn.byId(turn))
            .orElseThrow(() -> new Refusal("“" + turn + "” is no direction: ltr or rtl."));
    return Specification.of(
        bound,
        Size.parse(trim, sheet.unit()),
        count(),
        stock,
        ink == null ? sheet.inks().get(0).id() : ink,
        direction);
  }

  private int count() {
    if (!pages.strip().matches("[0-9]{1,9}")) {
      throw new Refusal("“" + pages + "” is no page count: a whole number, such as 320.");
    }
    return Integer.parseInt(pages.strip());
  }

  private static void print(Wrap wrap, PrintWriter out) {
    Unit unit = wrap.house().unit();
    out.println(
        wrap.house().name()
            + ", "
            + wrap.spec().binding().title().toLowerCase()
            + ", "
            + wrap.spec().trim().print(unit)
            + ", "
            + wrap.spec().pages()
            + " pages, "
            + wrap.house().stock(wrap.spec().stock()).name());
    out.println();
    row(out, "Spine", wrap.spine().print(unit));
    row(out, "Width", wrap.width().print(unit));
    row(out, "", wrap.width().inWords());
    row(out, "Height", wrap.height().print(unit));
    row(out, "", wrap.height().inWords());
    row(out, "Sheet", wrap.sheet().print(unit));
    if (!wrap.stated().equals(wrap.sheet())) {
      row(
          out,
          "Stated",
          wrap.stated().print(unit) + ", " + wrap.house().files().sheetRounding().print(unit));
    }
    out.println();
    out.println("From the top left of the sheet, " + unit.symbol() + ": left, top, width × height");
    for (Panel p : wrap.panels()) {
      row(out, p.kind().title(), figures(p.trim(), unit));
    }
    for (Zone z : wrap.zones()) {
      row(
          out,
          z.kind().name().charAt(0)
              + z.kind().name().substring(1).toLowerCase()
              + ", "
              + z.panel().title().toLowerCase(),
          figures(z.box(), unit));
    }
    List<Finding> findings =
        Check.run(
            new Subject(
                wrap,
                new app.reglet.core.book.Book("", "", "", "", "", Optional.empty(), ""),
                List.of(),
                unit));
    if (!findings.isEmpty()) {
      out.println();
      findings.forEach(f -> out.println("To mend: " + f.sentence()));
    }
  }

  private static void row(PrintWriter out, String name, String text) {
    out.printf("%-16s %s%n", name, text);
  }

  private static String figures(Box b, Unit unit) {
    return b.left().figure(unit)
        + ", "
        + b.top().figure(unit)
        + ", "
        + b.width().figure(unit)
        + " × "
        + b.height().figure(unit);
  }
}
