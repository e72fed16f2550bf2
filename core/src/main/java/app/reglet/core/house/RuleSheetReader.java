package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.design.Colour;
import app.reglet.core.house.grammar.FileNamePattern;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/**
 * Reads a rule sheet from its JSON document, whose fields and their limits {@link Grammar} has;
 * docs/rule-sheets.md describes them. What is wrong is refused with the path of the field. The
 * worked examples are read but not run here; see {@code app.reglet.core.wrap.ExampleRun}.
 */
public final class RuleSheetReader {
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
    RuleSheetReader reader = new RuleSheetReader(RuleSheetDocument.parse(json));
    RuleSheet sheet = reader.sheet();
    if (reader.faults.count() > 0) {
      throw reader.faults.all().get(0);
    }
    return sheet;
  }

  /** What is wrong with a document: the first thing in each of its parts, nothing when it reads. */
  public static List<Refusal> problems(String json) {
    try {
      RuleSheetReader reader = new RuleSheetReader(RuleSheetDocument.parse(json));
      reader.sheet();
      return reader.faults.all();
    } catch (Refusal r) {
      return List.of(r);
    }
  }

  private RuleSheet sheet() {
    DocumentPart doc = new DocumentPart(Grammar.SHEET, root, Unit.MM);
    doc.choice("format");
    Unit unit = doc.choice("unit", Unit.values());
    DocumentPart in = doc.in(unit);
    String id = faults.read(() -> in.text("id"), "");
    String name = faults.read(() -> in.text("name"), "");
    String about = faults.read(() -> in.text("about"), "");
    boolean screen = unit == Unit.PX;
    List<Stock> stocks = faults.read(() -> stocks(in, screen), null);
    List<Ink> inks = faults.read(() -> inks(in, screen), null);
    Listed listed = new Listed(ids(stocks), ids(inks));
    Set<Binding> named = EnumSet.noneOf(Binding.class);
    Map<Binding, BindingRules> bindings = faults.read(() -> bindings(in, listed, named), Map.of());
    FileRules files = faults.read(() -> files(in.part("files")), null);
    List<WorkedExample> examples =
        faults.read(() -> new ExampleReader(listed, named, faults).read(in), List.of());
    faults.check(in::end);
    return faults.count() == 0
        ? new RuleSheet(id, name, unit, about, stocks, inks, bindings, files, examples)
        : null;
  }

  private Map<Binding, BindingRules> bindings(DocumentPart in, Listed listed, Set<Binding> named) {
    Map<Binding, BindingRules> bindings = new EnumMap<>(Binding.class);
    for (DocumentPart each : in.parts("bindings")) {
      Binding binding = new Faults().read(() -> each.choice("binding", Binding.values()), null);
      if (binding != null && !named.add(binding)) {
        faults.add(each.refuse("binding", "stands twice: “" + binding.id() + "”."));
      }
      if (binding != null && binding.isInPixels() != (in.unit() == Unit.PX)) {
        faults.add(
            each.refuse(
                "binding",
                binding.isInPixels()
                    ? "is “"
                        + binding.id()
                        + "”, which is measured in pixels: give the sheet the unit “px”."
                    : "is of paper; a sheet in pixels has the binding “ebook” only."));
      }
      BindingRules rules = new BindingReader(each, listed, faults).read();
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
        p -> new Stock(p.text("id"), p.text("name"), p.choice("shade", Stock.Shade.values())));
  }

  private static List<Ink> inks(DocumentPart doc, boolean mayBeEmpty) {
    return choices(doc, "inks", mayBeEmpty, p -> new Ink(p.text("id"), p.text("name")));
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
            rounding(part, "sheetRounding"),
            part.choice("pageSize", FileRules.PageSize.values()),
            part.length("tolerance"),
            part.count("wantedPpi"),
            part.count("leastPpi"),
            part.count("mostMegabytes"),
            part.several("formats"),
            part.optionalPart("press").map(RuleSheetReader::press).orElse(PressRules.SCREEN),
            new FindingRules(
                part.reading("stops", FindingRules::codes),
                part.reading("advises", FindingRules::codes)));
    for (String code : files.findings().stops()) {
      if (files.findings().advises().contains(code)) {
        throw part.refuse("advises", "has “" + code + "”, which “stops” has too.");
      }
    }
    if (files.leastPpi() > files.wantedPpi()) {
      throw part.refuse("leastPpi", "is above “wantedPpi”.");
    }
    if (files.pageSize() == FileRules.PageSize.STATED && files.sheetRounding().isNone()) {
      throw part.refuse(
          "pageSize", "is “stated”, but “sheetRounding” does not say how sizes are rounded.");
    }
    part.end();
    return files;
  }

  private static PressRules press(DocumentPart part) {
    PressRules press =
        new PressRules(
            part.choice("standard", PressRules.Standard.values()),
            part.choice("colours", PressRules.Colours.values()),
            part.text("condition"),
            part.choice("intent", PressRules.Intent.values()),
            part.choice("blackPoint").equals("on"),
            part.count("mostInk"),
            part.reading("richBlack", RuleSheetReader::inks),
            part.flag("outlines"),
            part.count("mostPpi"),
            part.count("asPicture"),
            part.reading("names", FileNamePattern::new));
    if (press.standard() != PressRules.Standard.PLAIN && !press.isInks()) {
      throw part.refuse(
          "colours",
          "are “rgb”, but a file of " + press.standard().title() + " is in inks: give “cmyk”.");
    }
    part.end();
    return press;
  }

  private static Colour.Cmyk inks(String typed) {
    if (Colour.parse(typed) instanceof Colour.Cmyk inks) {
      return inks;
    }
    throw new Refusal("give it in inks, such as cmyk(60, 40, 40, 100).");
  }

  static Rounding rounding(DocumentPart part, String key) {
    return part.optionalPart(key)
        .map(
            p -> {
              Rounding rounding =
                  new Rounding(p.length("step"), p.choice("mode", Rounding.Mode.values()));
              p.end();
              return rounding;
            })
        .orElse(Rounding.NONE);
  }
}
