package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.template.TemplateSet;
import app.reglet.press.type.Typefaces;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code reglet template}: writes the templates of a cover into a folder. */
@Command(
    name = "template",
    description = "Writes templates of a cover: SVG, PDF, PNG, measurements, or all as a ZIP.",
    mixinStandardHelpOptions = true)
final class TemplateCommand implements Callable<Integer> {
  private static final List<String> KINDS =
      List.of("svg", "pdf", "png", "txt", "json", "csv", "zip");

  @Mixin private FactsOptions facts;

  @Option(
      names = "--kind",
      split = ",",
      description =
          "svg, pdf, png, txt, json, csv, zip, several with commas; all but zip when not given")
  private List<String> kinds = List.of("svg", "pdf", "png", "txt", "json", "csv");

  @Option(names = "--ppi", defaultValue = "300", description = "pixels per inch of the PNG; 300")
  private int ppi;

  @Option(
      names = "--name",
      defaultValue = "template",
      description = "what the file names begin with")
  private String name;

  @Option(names = "--to", defaultValue = ".", paramLabel = "FOLDER", description = "where to write")
  private Path to;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    for (String kind : kinds) {
      if (!KINDS.contains(kind)) {
        throw new Refusal(
            "“" + kind + "” is no kind of template: " + String.join(", ", KINDS) + ".");
      }
    }
    if (!name.matches("[\\p{L}\\p{N}._-]{1,80}")) {
      throw new Refusal("“" + name + "” can't begin a file name: letters, digits, . _ - only.");
    }
    Wrap wrap = facts.measured();
    Unit unit = wrap.house().unit();
    Map<String, byte[]> all =
        TemplateSet.files(wrap, unit, ppi, Typefaces.shipped().get("work-sans"), name);
    Map<String, byte[]> wanted = new LinkedHashMap<>();
    all.forEach(
        (file, content) -> {
          if (kinds.contains(file.substring(file.lastIndexOf('.') + 1))) {
            wanted.put(file, content);
          }
        });
    if (kinds.contains("zip")) {
      wanted.put(name + ".zip", TemplateSet.zip(all));
    }
    PrintWriter out = spec.commandLine().getOut();
    try {
      Files.createDirectories(to);
      for (Map.Entry<String, byte[]> file : wanted.entrySet()) {
        Path path = to.resolve(file.getKey());
        Files.write(path, file.getValue());
        out.printf(java.util.Locale.ROOT, "%s, %,d bytes%n", path, file.getValue().length);
      }
    } catch (IOException e) {
      throw new Refusal("“" + to + "” can't be written to.");
    }
    out.flush();
    return 0;
  }
}
