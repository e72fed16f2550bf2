package app.reglet.web.packages;

import app.reglet.core.Refusal;
import app.reglet.core.check.Finding;
import app.reglet.web.carry.Carrying;
import app.reglet.web.carry.ReportView;
import app.reglet.web.carry.Target;
import app.reglet.web.dispatch.CoverFiles;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Carries a package's title to another edition and writes that out, for the command line, in a data
 * directory of its own.
 */
@Service
public class CarriedPackage {
  private static final Viewer VIEWER = new Viewer(Optional.empty(), Locale.UK, "");

  private final Unpacking unpacking;
  private final Packages packages;
  private final Covers covers;
  private final Carrying carrying;
  private final Houses houses;
  private final DataDirectory data;
  private final CoverFiles files;

  CarriedPackage(
      Unpacking unpacking,
      Packages packages,
      Covers covers,
      Carrying carrying,
      Houses houses,
      DataDirectory data,
      CoverFiles files) {
    this.unpacking = unpacking;
    this.packages = packages;
    this.covers = covers;
    this.carrying = carrying;
    this.houses = houses;
    this.data = data;
    this.files = files;
  }

  /**
   * What is asked for.
   *
   * @param edition the place of the edition to carry, from 1
   * @param house an id
   * @param sheet a rule sheet's document that is published first; empty for none
   * @param binding an id
   * @param trim a size; empty for the nearest that the house offers
   * @param turn {@code ltr}, {@code rtl}, or empty
   */
  public record Asked(
      int edition,
      String house,
      Optional<String> sheet,
      String binding,
      String trim,
      String turn) {}

  /**
   * What was made.
   *
   * @param toMend how many findings must be mended
   * @param said what was made and what became of the pieces, a line each
   */
  public record Made(long toMend, List<String> said) {}

  /**
   * Carries and writes.
   *
   * @param out a directory; it is made when it isn't there
   * @throws Refusal when the package can't be taken in or carried so
   */
  public Made run(Path zip, Asked asked, Path out) throws IOException {
    data.sweep();
    houses.load();
    List<Long> editions = unpacking.take(zip);
    if (asked.edition() < 1 || asked.edition() > editions.size()) {
      throw new Refusal(
          "The package has "
              + editions.size()
              + (editions.size() == 1 ? " edition" : " editions")
              + "; there is no edition "
              + asked.edition()
              + ".");
    }
    asked.sheet().filter(s -> !houses.has(asked.house())).ifPresent(houses::publish);
    Cover origin = covers.of(editions.get(asked.edition() - 1), VIEWER);
    Target target = new Target(asked.house(), asked.binding(), asked.trim(), asked.turn());
    Carrying.Proposal proposal = carrying.proposed(origin, target, VIEWER);
    List<ReportView.Line> lines =
        ReportView.lines(covers, origin, proposal.cover(), proposal.cover());
    Cover made = covers.of(carrying.make(origin, target, VIEWER), VIEWER);
    List<String> report = report(origin, made, proposal, lines);
    Files.createDirectories(out);
    List<String> said = new ArrayList<>();
    for (Path file : files.write(made, "", out)) {
      said.add(file.getFileName() + ", " + Files.size(file) + " bytes");
    }
    said.add(written(made.edition(), out));
    Files.write(out.resolve("report.txt"), report, StandardCharsets.UTF_8);
    said.add("report.txt");
    said.addAll(report);
    return new Made(made.toMend(), said);
  }

  private String written(EditionEntity edition, Path out) throws IOException {
    Packages.Gathered gathered = packages.gather(edition);
    Path zip = out.resolve(Packages.name(gathered));
    try (OutputStream to = Files.newOutputStream(zip)) {
      packages.write(gathered, to);
    }
    return zip.getFileName() + ", " + Files.size(zip) + " bytes";
  }

  private static List<String> report(
      Cover origin, Cover made, Carrying.Proposal proposal, List<ReportView.Line> lines) {
    List<String> report = new ArrayList<>();
    report.add(
        "“"
            + made.book().title()
            + "”, "
            + named(origin)
            + ", carried to "
            + named(made)
            + ", "
            + made.edition().getTrim().print(made.unit())
            + ": sheet "
            + made.sheet().sheet().print(made.unit())
            + ".");
    proposal.settled(made.unit()).forEach(s -> report.add("Settled first: " + s));
    lines.forEach(l -> report.add(l.name() + ": " + l.said()));
    List<Finding> findings = made.findings();
    report.add(
        findings.isEmpty()
            ? "Nothing to mend."
            : findings.stream()
                .map(f -> (f.mustMend() ? "To mend: " : "To look at: ") + f.sentence(made.unit()))
                .collect(Collectors.joining("\n")));
    return report;
  }

  private static String named(Cover cover) {
    return cover.edition().getBinding().title() + ", " + cover.house().name();
  }
}
