package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a rule sheet from its JSON document, format {@code reglet-rule-sheet/1}, described in
 * docs/rule-sheets.md. What is wrong is refused with the path of the field. The worked examples are
 * read but not run here; see {@code app.reglet.core.wrap.ExampleRun}.
 */
public final class RuleSheetReader {
  /** The value of the field {@code format}. */
  public static final String FORMAT = "reglet-rule-sheet/1";

  private static final int LARGEST_DOCUMENT = 1_000_000;

  /**
   * Most items of a list: a step table with a row for every even count of a thick book has 1000.
   */
  public static final int MOST_ITEMS = 2000;

  private static final int MOST_VALUES = 24_000;
  private static final int DEEPEST = 20;
  private static final int LONGEST_NUMBER = 60;

  /** Digits before or after the point of any number, an exponent counted in. */
  private static final int MOST_DIGITS = 60;

  static final int MOST_PAGES = 20_000;

  private static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder()
                  .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                  .streamReadConstraints(
                      StreamReadConstraints.builder()
                          .maxNestingDepth(DEEPEST)
                          .maxNumberLength(LONGEST_NUMBER)
                          .build())
                  .build())
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private final JsonNode root;
  private final Faults faults = new Faults();

  private RuleSheetReader(JsonNode root) {
    this.root = root;
  }

  /**
   * Reads a document.
   *
   * @throws Refusal naming the first field that is wrong and the reason
   */
  public static RuleSheet read(String json) {
    RuleSheetReader reader = new RuleSheetReader(parse(json));
    RuleSheet sheet = reader.sheet();
    if (reader.faults.count() > 0) {
      throw reader.faults.all().get(0);
    }
    return sheet;
  }

  /** What is wrong with a document: the first thing in each of its parts, nothing when it reads. */
  public static List<Refusal> problems(String json) {
    try {
      RuleSheetReader reader = new RuleSheetReader(parse(json));
      reader.sheet();
      return reader.faults.all();
    } catch (Refusal r) {
      return List.of(r);
    }
  }

  /**
   * The document as a tree.
   *
   * @throws Refusal when it is no JSON, names a field twice, or is too long, too deep or too full
   */
  public static JsonNode parse(String json) {
    if (json.length() > LARGEST_DOCUMENT) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The document has %,d characters; a rule sheet has at most %,d.",
              json.length(),
              LARGEST_DOCUMENT));
    }
    try {
      JsonNode root = JSON.readTree(json);
      if (root == null || root.isMissingNode()) {
        throw new Refusal("This is not JSON: it is empty.");
      }
      bounded(root, "", 0);
      return root;
    } catch (JacksonException e) {
      String reason = e.getOriginalMessage().lines().findFirst().orElse("it can't be read");
      String place =
          e.getLocation() == null
              ? ""
              : " (line "
                  + e.getLocation().getLineNr()
                  + ", column "
                  + e.getLocation().getColumnNr()
                  + ")";
      throw new Refusal("This is not JSON: " + reason + place + ".");
    } catch (NumberFormatException e) { // an exponent that no int holds
      throw new Refusal(
          "A number in the document has an exponent of more than "
              + Integer.MAX_VALUE
              + ": no figure of a cover has.");
    }
  }

  /**
   * Sees that a document is of a size that can be worked with and shown: no number whose digits
   * would fill the memory, no list that no form could hold.
   *
   * @return how many values were seen, counting on from {@code seen}
   */
  private static int bounded(JsonNode node, String path, int seen) {
    int count = seen + 1;
    if (count > MOST_VALUES) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "The document has more than %,d values; no rule sheet needs as many.",
              MOST_VALUES));
    }
    if (node.isNumber()) {
      BigDecimal value = node.decimalValue();
      if (Math.abs((long) value.scale()) > MOST_DIGITS
          || value.precision() - (long) value.scale() > MOST_DIGITS) {
        throw new Refusal(
            path,
            "“"
                + path
                + "” has more than "
                + MOST_DIGITS
                + " digits before or after the point: no figure of a cover has as many.");
      }
    } else if (node.isArray()) {
      if (node.size() > MOST_ITEMS) {
        throw new Refusal(
            path,
            String.format(
                Locale.ROOT,
                "“%s” has %,d items; a list has at most %,d.",
                path,
                node.size(),
                MOST_ITEMS));
      }
      for (int i = 0; i < node.size(); i++) {
        count = bounded(node.get(i), path + "[" + i + "]", count);
      }
    } else if (node.isObject()) {
      for (Map.Entry<String, JsonNode> field : node.properties()) {
        String name = field.getKey();
        if (name.length() > 200) {
          throw new Refusal(
              path, "A field's name has " + name.length() + " characters; 200 are allowed.");
        }
        count = bounded(field.getValue(), path.isEmpty() ? name : path + "." + name, count);
      }
    }
    return count;
  }

  private RuleSheet sheet() {
    DocumentPart doc = new DocumentPart(root, "", Unit.MM);
    String format = doc.text("format");
    if (!format.equals(FORMAT)) {
      throw doc.refuse("format", "is “" + format + "”; Reglet reads “" + FORMAT + "”.");
    }
    Unit unit = doc.choice("unit", new Unit[] {Unit.IN, Unit.MM, Unit.PX}, null);
    DocumentPart in = doc.in(unit);
    String id = faults.read(() -> in.id("id"), "");
    String name = faults.read(() -> in.text("name"), "");
    String about = faults.read(() -> in.text("about", ""), "");
    boolean shop = unit == Unit.PX;
    List<Stock> stocks = faults.read(() -> stocks(in, shop), null);
    List<Ink> inks = faults.read(() -> inks(in, shop), null);
    Set<Binding> named = EnumSet.noneOf(Binding.class);
    Map<Binding, BindingRules> bindings =
        faults.read(() -> bindings(in, ids(stocks), ids(inks), named), Map.of());
    FileRules files = faults.read(() -> files(in.part("files")), null);
    List<WorkedExample> examples =
        faults.read(() -> examples(in, named, ids(stocks), ids(inks)), List.of());
    faults.check(in::end);
    return faults.count() == 0
        ? new RuleSheet(id, name, unit, about, stocks, inks, bindings, files, examples)
        : null;
  }

  private Map<Binding, BindingRules> bindings(
      DocumentPart in, Set<String> stocks, Set<String> inks, Set<Binding> named) {
    Map<Binding, BindingRules> bindings = new EnumMap<>(Binding.class);
    List<DocumentPart> parts = in.parts("bindings");
    if (parts.isEmpty()) {
      throw in.refuse("bindings", "must list at least one binding.");
    }
    for (DocumentPart each : parts) {
      Binding binding =
          new Faults().read(() -> each.choice("binding", Binding.values(), null), null);
      if (binding != null && !named.add(binding)) {
        faults.add(each.refuse("binding", "stands twice: “" + binding.id() + "”."));
      }
      boolean screen = binding == Binding.EBOOK;
      if (binding != null && screen != (in.unit() == Unit.PX)) {
        faults.add(
            each.refuse(
                "binding",
                screen
                    ? "is “ebook”, which is measured in pixels: give the sheet the unit “px”."
                    : "is of paper; a sheet in pixels has the binding “ebook” only."));
      }
      BindingRules rules = BindingReader.read(each, stocks, inks, faults);
      if (rules != null) {
        bindings.put(rules.binding(), rules);
      }
    }
    return bindings;
  }

  /** The ids of a list; null, for any, when the list itself could not be read. */
  private static Set<String> ids(List<? extends Choice> choices) {
    if (choices == null) {
      return null;
    }
    Set<String> ids = new LinkedHashSet<>();
    choices.forEach(s -> ids.add(s.id()));
    return ids;
  }

  private static List<Stock> stocks(DocumentPart doc, boolean mayBeEmpty) {
    return choices(
        doc,
        "stocks",
        mayBeEmpty,
        p ->
            new Stock(
                p.id("id"),
                p.text("name"),
                p.choice("shade", Stock.Shade.values(), Stock.Shade.OTHER)));
  }

  private static List<Ink> inks(DocumentPart doc, boolean mayBeEmpty) {
    return choices(doc, "inks", mayBeEmpty, p -> new Ink(p.id("id"), p.text("name")));
  }

  private static <C extends Choice> List<C> choices(
      DocumentPart doc, String key, boolean mayBeEmpty, Function<DocumentPart, C> reading) {
    List<C> choices = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (DocumentPart part : doc.parts(key)) {
      C choice = reading.apply(part);
      if (!seen.add(choice.id())) {
        throw part.refuse("id", "stands twice: “" + choice.id() + "”.");
      }
      part.end();
      choices.add(choice);
    }
    if (choices.isEmpty() && !mayBeEmpty) {
      throw doc.refuse(key, "must list at least one.");
    }
    return choices;
  }

  private static FileRules files(DocumentPart part) {
    FileRules files =
        new FileRules(
            part.optionalPart("sheetRounding").map(BindingReader::rounding).orElse(Rounding.NONE),
            part.length("tolerance"),
            part.count("wantedPpi", 50, 2400, 300),
            part.count("leastPpi", 50, 2400, 200),
            part.count("mostMegabytes", 0, 100_000, 0),
            part.texts("formats", List.of("pdf", "jpeg", "tiff", "png")));
    if (files.leastPpi() > files.wantedPpi()) {
      throw part.refuse("leastPpi", "is above “wantedPpi”.");
    }
    part.end();
    return files;
  }

  private List<WorkedExample> examples(
      DocumentPart doc, Set<Binding> bindings, Set<String> stocks, Set<String> inks) {
    List<WorkedExample> examples = new ArrayList<>();
    List<DocumentPart> parts = doc.parts("examples");
    if (parts.isEmpty()) {
      throw doc.refuse(
          "examples", "is empty: give at least one worked example, from the house's own guide.");
    }
    for (DocumentPart each : parts) {
      WorkedExample example = faults.read(() -> example(each, bindings, stocks, inks), null);
      if (example != null) {
        examples.add(example);
      }
    }
    return examples;
  }

  private static WorkedExample example(
      DocumentPart part, Set<Binding> bindings, Set<String> stocks, Set<String> inks) {
    Binding binding = part.choice("binding", Binding.values(), null);
    if (!bindings.contains(binding)) {
      throw part.refuse("binding", "is “" + binding.id() + "”, which the sheet does not offer.");
    }
    Optional<Flaps> flaps =
        part.has("frontFlap") || part.has("backFlap")
            ? Optional.of(
                new Flaps(
                    part.length("frontFlap", Length.ZERO), part.length("backFlap", Length.ZERO)))
            : Optional.empty();
    Optional<ToldSpine> told =
        part.has("toldSpine")
            ? Optional.of(new ToldSpine(part.length("toldSpine"), ""))
            : Optional.empty();
    Specification spec =
        new Specification(
            binding,
            part.size("trim"),
            binding == Binding.EBOOK ? 1 : part.count("pages", 1, MOST_PAGES),
            known(part, "stock", stocks, stocks == null || stocks.size() < 2),
            known(part, "ink", inks, true),
            part.choice("turn", PageTurn.values(), PageTurn.LTR),
            flaps,
            told,
            false);
    WorkedExample example =
        new WorkedExample(
            spec, part.text("spine", ""), part.text("sheet", ""), part.text("source", ""));
    if (example.spine().isEmpty() && example.sheet().isEmpty()) {
      throw part.refuse("spine", "is missing: an example gives a spine, a sheet or both.");
    }
    part.end();
    return example;
  }

  /** One of the listed ids; the first where it need not be named. */
  private static String known(DocumentPart part, String key, Set<String> ids, boolean mayBeAbsent) {
    if (mayBeAbsent && !part.has(key)) {
      return ids == null || ids.isEmpty() ? "" : ids.iterator().next();
    }
    String id = part.text(key);
    if (ids != null && !ids.contains(id)) {
      throw part.refuse(key, "names “" + id + "”, which the sheet does not list.");
    }
    return id;
  }
}
