package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.FileReport;
import app.reglet.web.inspect.InspectedFiles.Inspected;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Measured;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;

/** Inspects files for an edition, for the command line. */
@Service
public class InspectOrder {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final InspectedFiles files;
  private final Inspections inspections;
  private final Covers covers;

  InspectOrder(InspectedFiles files, Inspections inspections, Covers covers) {
    this.files = files;
    this.inspections = inspections;
    this.covers = covers;
  }

  /**
   * What is printed.
   *
   * @param code that of {@link FileReport}
   */
  public record Said(int code, String text) {}

  /**
   * Inspects files.
   *
   * @param paths of files, absolute
   * @throws Refusal when the edition is not measured
   */
  public Said run(Long edition, boolean json, List<String> paths) {
    Measured m =
        covers.measured(
            covers.edition(edition), new Viewer(Optional.<Unit>empty(), Locale.ROOT, ""));
    if (m.wrap().isEmpty()) {
      throw new Refusal("This edition is not measured yet: give its facts on the docket.");
    }
    int worst = FileReport.FITS;
    ArrayNode all = JSON.createArrayNode();
    StringBuilder text = new StringBuilder();
    for (String path : paths) {
      text.append(paths.size() > 1 ? path + ":\n" : "");
      try {
        Path file = Path.of(path);
        if (!Files.isRegularFile(file) || !Files.isReadable(file)) {
          throw new Refusal("“" + path + "” can't be read.");
        }
        Inspected read = files.take(new Uploads.Upload(file, file.getFileName().toString()));
        FileReport report =
            new FileReport(path, read.facts(), Optional.of(inspections.remarks(read, m)), m.unit());
        worst = Math.max(worst, report.exit());
        all.add(report.json());
        text.append(report.text());
      } catch (Refusal | IOException e) {
        worst = FileReport.UNREADABLE;
        String why = e instanceof Refusal ? e.getMessage() : "It can't be read.";
        all.add(FileReport.unreadable(path, why));
        text.append(why).append('\n');
      }
    }
    return new Said(
        worst,
        json
            ? JSON.writerWithDefaultPrettyPrinter().writeValueAsString(all) + "\n"
            : text.toString());
  }
}
