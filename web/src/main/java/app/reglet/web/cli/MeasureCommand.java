package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapDocument;
import app.reglet.core.wrap.WrapTable;
import app.reglet.core.wrap.WrapText;
import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code reglet measure}: prints a measured cover. */
@Command(
    name = "measure",
    description = "Measures the full sheet of a cover and the pages that go with it.",
    mixinStandardHelpOptions = true)
final class MeasureCommand implements Callable<Integer> {
  @Mixin private FactsOptions facts;

  @Option(names = "--json", description = "as JSON, every length exact in mm and inches")
  private boolean json;

  @Option(names = "--csv", description = "as comma-separated values, one box a line")
  private boolean csv;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    if (json && csv) {
      throw new Refusal("Give --json or --csv, not both.");
    }
    Wrap wrap = facts.measured();
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(WrapDocument.write(wrap));
    } else if (csv) {
      out.print(WrapTable.csv(wrap));
    } else {
      out.print(WrapText.write(wrap));
      List<Finding> findings = OfferCheck.run(wrap.spec(), wrap.house());
      if (!findings.isEmpty()) {
        out.println();
        findings.forEach(f -> out.println("To mend: " + f.sentence(wrap.house().unit())));
      }
    }
    out.flush();
    return 0;
  }
}
