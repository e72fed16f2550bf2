package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.JacksonException;
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
  private static final int MOST_PAGES = 20_000;

  private static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder().enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build())
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private RuleSheetReader() {}

  /**
   * Reads a document.
   *
   * @throws Refusal naming the field and the reason
   */
  public static RuleSheet read(String json) {
    if (json.length() > LARGEST_DOCUMENT) {
      throw new Refusal(
          "The document has " + json.length() + " characters; a rule sheet has at most 1 000 000.");
    }
    JsonNode root;
    try {
      root = JSON.readTree(json);
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
    }
    DocumentPart doc = new DocumentPart(root, "", Unit.MM);
    String format = doc.text("format");
    if (!format.equals(FORMAT)) {
      throw doc.refuse("format", "is “" + format + "”; Reglet reads “" + FORMAT + "”.");
    }
    Unit unit = doc.choice("unit", new Unit[] {Unit.IN, Unit.MM}, null);
    DocumentPart in = doc.in(unit);
    List<Stock> stocks = stocks(in, "stocks");
    List<Stock> inks = stocks(in, "inks");
    Map<Binding, BindingRules> bindings = new EnumMap<>(Binding.class);
    for (DocumentPart part : in.parts("bindings")) {
      BindingRules rules = binding(part, ids(stocks), ids(inks));
      if (bindings.put(rules.binding(), rules) != null) {
        throw part.refuse("binding", "stands twice: “" + rules.binding().id() + "”.");
      }
    }
    if (bindings.isEmpty()) {
      throw in.refuse("bindings", "must list at least one binding.");
    }
    RuleSheet sheet =
        new RuleSheet(
            in.id("id"),
            in.text("name"),
            unit,
            in.text("about", ""),
            stocks,
            inks,
            bindings,
            files(in.part("files")),
            examples(in, bindings, ids(stocks), ids(inks), inks.get(0).id()));
    in.end();
    return sheet;
  }

  private static Set<String> ids(List<Stock> stocks) {
    Set<String> ids = new HashSet<>();
    stocks.forEach(s -> ids.add(s.id()));
    return ids;
  }

  private static List<Stock> stocks(DocumentPart doc, String key) {
    List<Stock> stocks = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (DocumentPart part : doc.parts(key)) {
      Stock stock = new Stock(part.id("id"), part.text("name"));
      if (!seen.add(stock.id())) {
        throw part.refuse("id", "stands twice: “" + stock.id() + "”.");
      }
      part.end();
      stocks.add(stock);
    }
    if (stocks.isEmpty()) {
      throw doc.refuse(key, "must list at least one.");
    }
    return stocks;
  }

  private static BindingRules binding(DocumentPart part, Set<String> stocks, Set<String> inks) {
    Binding binding = part.choice("binding", Binding.values(), null);
    List<SpineCase> spine = new ArrayList<>();
    for (DocumentPart c : part.parts("spine")) {
      spine.add(spineCase(c, stocks, inks));
    }
    if (spine.isEmpty()) {
      throw part.refuse("spine", "must list at least one spine rule.");
    }
    List<PageLimit> pages = new ArrayList<>();
    for (DocumentPart p : part.parts("pages")) {
      pages.add(pageLimit(p, stocks));
    }
    Make make = make(binding, part);
    boolean cased = make instanceof Make.Case;
    BindingRules rules =
        new BindingRules(
            binding,
            make,
            spine,
            trims(part.part("trims")),
            pages,
            cased ? Length.ZERO : part.length("bleed"),
            safe(part.part("safe")),
            part.optionalPart("spineType")
                .map(RuleSheetReader::spineType)
                .orElse(
                    new SpineTypeRule(
                        Integer.MAX_VALUE,
                        Length.ZERO,
                        Length.ZERO,
                        SpineTypeRule.Direction.TOP_TO_BOTTOM)),
            part.optionalPart("barcode").map(RuleSheetReader::barcode));
    if (cased && part.has("bleed")) {
      throw part.refuse("bleed", "can't be given for a case: the turn-in takes its place.");
    }
    part.end();
    return rules;
  }

  private static Set<String> known(DocumentPart part, String key, Set<String> ids) {
    Set<String> wanted = part.texts(key);
    for (String id : wanted) {
      if (!ids.contains(id)) {
        throw part.refuse(key, "names “" + id + "”, which the sheet does not list.");
      }
    }
    return wanted;
  }

  private static SpineCase spineCase(DocumentPart part, Set<String> stocks, Set<String> inks) {
    Set<String> forStocks = known(part, "stocks", stocks);
    Set<String> forInks = known(part, "inks", inks);
    Length add = Length.ZERO;
    String kind = part.text("kind");
    SpineRule rule =
        switch (kind) {
          case "caliper-per-page" ->
              new SpineRule.CaliperPerPage(part.length("perPage"), part.signedLength("add", add));
          case "paper-ppi" ->
              new SpineRule.PaperPpi(part.number("pagesPerInch"), part.signedLength("add", add));
          case "grammage-bulk" ->
              new SpineRule.GrammageBulk(
                  part.number("gsm"), part.number("bulk"), part.signedLength("add", add));
          case "steps" -> steps(part);
          case "told" -> new SpineRule.Told();
          case "none" -> new SpineRule.None();
          default ->
              throw part.refuse(
                  "kind",
                  "is “"
                      + kind
                      + "”; it must be one of caliper-per-page, paper-ppi, grammage-bulk, steps, told, none.");
        };
    Rounding rounding =
        part.optionalPart("rounding").map(RuleSheetReader::rounding).orElse(Rounding.NONE);
    part.end();
    return new SpineCase(forStocks, forInks, rule, rounding);
  }

  private static SpineRule steps(DocumentPart part) {
    List<SpineRule.Steps.Row> rows = new ArrayList<>();
    int last = 0;
    for (DocumentPart r : part.parts("rows")) {
      SpineRule.Steps.Row row =
          new SpineRule.Steps.Row(
              r.count("from", 1, MOST_PAGES), r.count("to", 1, MOST_PAGES), r.length("width"));
      if (row.from() <= last) {
        throw r.refuse("from", "is " + row.from() + ", but the row before ends at " + last + ".");
      }
      if (row.to() < row.from()) {
        throw r.refuse("to", "is " + row.to() + ", before the row's start at " + row.from() + ".");
      }
      last = row.to();
      r.end();
      rows.add(row);
    }
    if (rows.isEmpty()) {
      throw part.refuse("rows", "must list at least one row.");
    }
    return new SpineRule.Steps(rows);
  }

  private static PageLimit pageLimit(DocumentPart part, Set<String> stocks) {
    PageLimit limit =
        new PageLimit(
            part.sizes("trims"),
            known(part, "stocks", stocks),
            part.count("least", 1, MOST_PAGES),
            part.count("most", 1, MOST_PAGES),
            part.count("multiple", 1, 64, 2));
    if (limit.most() < limit.least()
        || limit.most() / limit.multiple() * limit.multiple() < limit.least()) {
      throw part.refuse(
          "most",
          "is "
              + limit.most()
              + ": no count from "
              + limit.least()
              + " is a multiple of "
              + limit.multiple()
              + ".");
    }
    part.end();
    return limit;
  }

  private static Trims trims(DocumentPart part) {
    Optional<Trims.Range> custom =
        part.optionalPart("custom")
            .map(
                c -> {
                  Trims.Range range = new Trims.Range(c.size("least"), c.size("most"));
                  if (range.most().width().isLessThan(range.least().width())
                      || range.most().height().isLessThan(range.least().height())) {
                    throw c.refuse("most", "is smaller than “least”.");
                  }
                  c.end();
                  return range;
                });
    Trims trims = new Trims(part.sizes("listed"), custom);
    if (trims.listed().isEmpty() && custom.isEmpty()) {
      throw part.refuse("listed", "must list a size where there is no custom range.");
    }
    part.end();
    return trims;
  }

  private static SafeDistances safe(DocumentPart part) {
    Length fold = part.length("fold", Length.ZERO);
    SafeDistances safe =
        new SafeDistances(
            part.length("trim"),
            fold,
            part.length("hinge", fold),
            part.length("drift", Length.ZERO));
    part.end();
    return safe;
  }

  private static SpineTypeRule spineType(DocumentPart part) {
    SpineTypeRule rule =
        new SpineTypeRule(
            part.count("leastPages", 0, MOST_PAGES, 0),
            part.length("leastWidth", Length.ZERO),
            part.length("leastSize", Length.ZERO),
            part.choice(
                "direction",
                SpineTypeRule.Direction.values(),
                SpineTypeRule.Direction.TOP_TO_BOTTOM));
    part.end();
    return rule;
  }

  private static BarcodeRule barcode(DocumentPart part) {
    BarcodeRule rule =
        new BarcodeRule(
            part.length("width"),
            part.length("height"),
            part.length("fromSide"),
            part.length("fromTail"),
            part.choice("corner", BarcodeRule.Corner.values(), BarcodeRule.Corner.SPINE),
            part.choice("supplier", BarcodeRule.Supplier.values(), BarcodeRule.Supplier.DESIGNER));
    part.end();
    return rule;
  }

  private static Make make(Binding binding, DocumentPart part) {
    return switch (binding) {
      case PERFECT_BOUND, SADDLE_STITCHED -> new Make.Plain();
      case FLAPPED ->
          new Make.Flapped(flaps(part.part("flaps")), part.length("foldAllowance", Length.ZERO));
      case CASE_LAMINATE -> caseMake(part.part("case"));
      case DUST_JACKET ->
          new Make.Jacket(
              caseMake(part.part("case")),
              part.length("allowance", Length.ZERO),
              flaps(part.part("flaps")));
    };
  }

  private static Make.Case caseMake(DocumentPart part) {
    Length square = part.length("square", Length.ZERO);
    Make.Case made =
        new Make.Case(
            part.length("turnIn"),
            new Edges(
                part.length("headSquare", square),
                part.length("foreEdgeSquare", square),
                part.length("tailSquare", square),
                Length.ZERO),
            part.signedLength("jointGain", Length.ZERO),
            part.length("hinge"),
            part.flag("hingeAdded", false));
    part.end();
    return made;
  }

  private static Make.FlapRange flaps(DocumentPart part) {
    Make.FlapRange range =
        new Make.FlapRange(part.length("least"), part.length("usual"), part.length("most"));
    if (range.usual().isLessThan(range.least()) || range.usual().isMoreThan(range.most())) {
      throw part.refuse("usual", "must lie between “least” and “most”.");
    }
    part.end();
    return range;
  }

  private static Rounding rounding(DocumentPart part) {
    Rounding rounding =
        new Rounding(
            part.length("step"),
            part.choice("mode", Rounding.Mode.values(), Rounding.Mode.NEAREST));
    part.end();
    return rounding;
  }

  private static FileRules files(DocumentPart part) {
    FileRules files =
        new FileRules(
            part.optionalPart("sheetRounding").map(RuleSheetReader::rounding).orElse(Rounding.NONE),
            part.length("tolerance"),
            part.count("wantedPpi", 50, 2400, 300),
            part.count("leastPpi", 50, 2400, 200),
            part.count("mostMegabytes", 0, 100_000, 0));
    if (files.leastPpi() > files.wantedPpi()) {
      throw part.refuse("leastPpi", "is above “wantedPpi”.");
    }
    part.end();
    return files;
  }

  private static List<WorkedExample> examples(
      DocumentPart doc,
      Map<Binding, BindingRules> bindings,
      Set<String> stocks,
      Set<String> inks,
      String firstInk) {
    List<WorkedExample> examples = new ArrayList<>();
    for (DocumentPart part : doc.parts("examples")) {
      Binding binding = part.choice("binding", Binding.values(), null);
      if (!bindings.containsKey(binding)) {
        throw part.refuse("binding", "is “" + binding.id() + "”, which the sheet does not offer.");
      }
      String stock = part.text("stock");
      String ink = part.text("ink", firstInk);
      if (!stocks.contains(stock)) {
        throw part.refuse("stock", "names “" + stock + "”, which the sheet does not list.");
      }
      if (!inks.contains(ink)) {
        throw part.refuse("ink", "names “" + ink + "”, which the sheet does not list.");
      }
      Optional<Flaps> flaps =
          part.has("frontFlap") || part.has("backFlap")
              ? Optional.of(
                  new Flaps(
                      part.length("frontFlap", Length.ZERO), part.length("backFlap", Length.ZERO)))
              : Optional.empty();
      WorkedExample example =
          new WorkedExample(
              new Specification(
                  binding,
                  part.size("trim"),
                  part.count("pages", 1, MOST_PAGES),
                  stock,
                  ink,
                  part.choice("turn", PageTurn.values(), PageTurn.LTR),
                  flaps,
                  part.has("toldSpine") ? Optional.of(part.length("toldSpine")) : Optional.empty()),
              part.text("spine", ""),
              part.text("sheet", ""),
              part.text("source", ""));
      if (example.spine().isEmpty() && example.sheet().isEmpty()) {
        throw part.refuse("spine", "is missing: an example gives a spine, a sheet or both.");
      }
      part.end();
      examples.add(example);
    }
    return examples;
  }
}
