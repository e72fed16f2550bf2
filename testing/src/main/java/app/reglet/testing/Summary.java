package app.reglet.testing;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * Says at the end of a run of tests what failed, each with the line that runs it alone, and which
 * classes took longest. Ends with 1 when a test failed, when a class of tests left no report (its
 * process broke), or when no test ran. Reads the reports that Surefire writes as XML.
 */
public final class Summary {
  private static final List<String> MODULES = List.of("core", "press", "web");
  private static final int SLOWEST = 10;

  /** The group {@code Extent.LONG}; this program runs from its source, without other classes. */
  private static final String LONG = "long";

  private final Map<String, Double> seconds = new TreeMap<>();
  private final Map<String, Integer> counts = new LinkedHashMap<>();
  private final Set<String> failed = new LinkedHashSet<>();
  private final Set<String> skipped = new LinkedHashSet<>();
  private final List<String> silent = new ArrayList<>();
  private int tests;
  private int failures;
  private int skips;

  private Summary() {}

  /**
   * @param args the project's directory, and {@code all} where every class must have left a report
   */
  public static void main(String[] args) throws Exception {
    Summary summary = new Summary();
    for (String module : MODULES) {
      Path target = Path.of(args[0], module, "target");
      summary.read(target.resolve("surefire-reports"));
      if (args.length > 1) {
        summary.expect(target.resolve("test-classes"));
      }
    }
    System.exit(summary.tell() ? 0 : 1);
  }

  /** Notes the classes of tests that left no report. */
  private void expect(Path classes) throws IOException {
    if (!Files.isDirectory(classes)) {
      return;
    }
    try (Stream<Path> all = Files.walk(classes)) {
      all.map(p -> classes.relativize(p).toString())
          .filter(p -> p.endsWith("Test.class"))
          .map(p -> p.replaceAll("\\.class$", "").replace('/', '.'))
          .filter(type -> counts.getOrDefault(type, 0) == 0)
          .filter(type -> !counts.containsKey(type) || !hasLong(classes, type))
          .sorted()
          .forEach(silent::add);
    }
  }

  /**
   * Whether a class names the group of long tests: then it may have run none. The name stands in
   * the class file's pool of constants as it is (JVM specification, 4.4.7).
   */
  private static boolean hasLong(Path classes, String type) {
    try {
      byte[] file = Files.readAllBytes(classes.resolve(type.replace('.', '/') + ".class"));
      return new String(file, StandardCharsets.ISO_8859_1).contains("\0\4" + LONG);
    } catch (IOException e) {
      return false;
    }
  }

  private void read(Path reports) throws Exception {
    if (!Files.isDirectory(reports)) {
      return;
    }
    try (Stream<Path> files = Files.list(reports)) {
      for (Path file :
          files
              .filter(f -> f.getFileName().toString().matches("TEST-.*\\.xml"))
              .sorted()
              .toList()) {
        read(
            DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(file.toFile())
                .getDocumentElement());
      }
    }
  }

  private void read(Element suite) {
    counts.putIfAbsent(suite.getAttribute("name"), 0);
    NodeList cases = suite.getElementsByTagName("testcase");
    for (int i = 0; i < cases.getLength(); i++) {
      Element test = (Element) cases.item(i);
      String type = test.getAttribute("classname");
      String name = test.getAttribute("name").replaceAll("[\\[(].*", "");
      tests++;
      counts.merge(type, 1, Integer::sum);
      seconds.merge(type, Double.parseDouble(test.getAttribute("time")), Double::sum);
      if (has(test, "failure") || has(test, "error")) {
        failures++;
        failed.add(type + "#" + name);
      } else if (has(test, "skipped")) {
        skips++;
        skipped.add(type + "#" + name);
      }
    }
  }

  private static boolean has(Element test, String child) {
    return test.getElementsByTagName(child).getLength() > 0;
  }

  private boolean tell() throws IOException {
    List<String> out = new ArrayList<>();
    out.add("");
    out.add("The ten classes that took longest, in seconds:");
    seconds.entrySet().stream()
        .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
        .limit(SLOWEST)
        .forEach(
            e ->
                out.add(
                    String.format(
                        Locale.ROOT,
                        "%8.1f  %s (%d)",
                        e.getValue(),
                        e.getKey(),
                        counts.get(e.getKey()))));
    if (!skipped.isEmpty()) {
      out.add("Skipped, each with its reason in its report:");
      skipped.forEach(s -> out.add("  " + s));
    }
    if (!silent.isEmpty()) {
      out.add("Left no report, since their process broke or was ended; each line runs one alone:");
      silent.forEach(s -> out.add("  ./reglet test --only " + s));
    }
    if (!failed.isEmpty()) {
      out.add("Failed; each line runs one alone:");
      failed.forEach(f -> out.add("  ./reglet test --only " + f));
    }
    out.add((tests - failures - skips) + " passed, " + failures + " failed, " + skips + " skipped");
    out.forEach(System.out::println);
    return failed.isEmpty() && silent.isEmpty() && tests > 0;
  }
}
