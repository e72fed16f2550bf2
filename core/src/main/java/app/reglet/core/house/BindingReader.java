package app.reglet.core.house;

import app.reglet.core.book.Binding;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Reads one object of a rule sheet's {@code bindings}; see docs/rule-sheets.md. */
final class BindingReader {
  private BindingReader() {}

  /** What the sheet says of one binding; null when something of it can't be read. */
  static BindingRules read(DocumentPart part, Set<String> stocks, Set<String> inks, Faults faults) {
    int before = faults.count();
    Binding binding = faults.read(() -> part.choice("binding", Binding.values(), null), null);
    if (binding == null) {
      return null;
    }
    boolean cased = binding == Binding.CASE_LAMINATE;
    List<SpineCase> spine = new ArrayList<>();
    for (DocumentPart c : faults.read(() -> part.parts("spine"), List.<DocumentPart>of())) {
      SpineCase read = faults.read(() -> spineCase(c, stocks, inks), null);
      if (read != null) {
        faults.check(() -> suits(binding, read, part));
        spine.add(read);
      }
    }
    if (spine.isEmpty() && faults.count() == before) {
      faults.add(part.refuse("spine", "must list at least one spine rule."));
    }
    List<PageLimit> pages = new ArrayList<>();
    for (DocumentPart p : faults.read(() -> part.parts("pages"), List.<DocumentPart>of())) {
      PageLimit limit = faults.read(() -> pageLimit(p, stocks), null);
      if (limit != null) {
        pages.add(limit);
      }
    }
    Make make = faults.read(() -> make(binding, part), new Make.Plain());
    Length bleed =
        binding == Binding.EBOOK || cased
            ? Length.ZERO
            : faults.read(() -> part.length("bleed"), Length.ZERO);
    if (cased && part.has("bleed")) {
      faults.add(part.refuse("bleed", "can't be given for a case: the turn-in takes its place."));
    }
    BindingRules rules =
        new BindingRules(
            binding,
            make,
            spine,
            faults.read(() -> trims(part.part("trims")), null),
            pages,
            bleed,
            faults.read(() -> safe(part.part("safe")), null),
            faults
                .read(
                    () -> part.optionalPart("spineType").map(BindingReader::spineType),
                    Optional.<SpineTypeRule>empty())
                .orElse(SpineTypeRule.NONE),
            optional(part, "barcode", BindingReader::barcode, faults),
            optional(part, "inside", BindingReader::inside, faults),
            optional(part, "parts", BindingReader::parts, faults),
            faults.read(() -> part.length("blockBleed", bleed), Length.ZERO),
            optional(part, "cost", p -> cost(p, inks), faults));
    // what could not be read was not asked for to its end: only a clean part tells odd fields
    if (faults.count() == before) {
      faults.check(part::end);
    }
    return faults.count() == before ? rules : null;
  }

  private static <T> Optional<T> optional(
      DocumentPart part, String key, Function<DocumentPart, T> reading, Faults faults) {
    return faults.read(() -> part.optionalPart(key).map(reading), Optional.<T>empty());
  }

  private static void suits(Binding binding, SpineCase rule, DocumentPart part) {
    boolean none = rule.rule() instanceof SpineRule.None;
    if (none != (binding == Binding.SADDLE_STITCHED || binding == Binding.EBOOK)) {
      throw part.refuse(
          "spine",
          none
              ? "is “none”, but " + binding.title().toLowerCase() + " has a spine."
              : "must be “none”: " + binding.title().toLowerCase() + " has no spine.");
    }
  }

  private static Set<String> known(DocumentPart part, String key, Set<String> ids) {
    Set<String> wanted = part.texts(key);
    for (String id : wanted) {
      if (ids != null && !ids.contains(id)) {
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
              new SpineRule.CaliperPerPage(
                  part.positiveLength("perPage"), part.signedLength("add", add));
          case "paper-ppi" ->
              new SpineRule.PaperPpi(part.number("pagesPerInch"), part.signedLength("add", add));
          case "grammage-bulk" -> grammageBulk(part);
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
        part.optionalPart("rounding").map(BindingReader::rounding).orElse(Rounding.NONE);
    part.end();
    return new SpineCase(forStocks, forInks, rule, rounding);
  }

  private static SpineRule grammageBulk(DocumentPart part) {
    boolean asVolume = part.has("volume");
    if (asVolume && part.has("bulk")) {
      throw part.refuse(
          "volume",
          "and “bulk” are both given, and they are one fact told twice (volume 18 is bulk 1.8): leave one out.");
    }
    BigDecimal bulk = asVolume ? part.number("volume").movePointLeft(1) : part.number("bulk");
    return new SpineRule.GrammageBulk(
        part.number("gsm"), bulk, asVolume, part.signedLength("add", Length.ZERO));
  }

  private static SpineRule steps(DocumentPart part) {
    List<SpineRule.Steps.Row> rows = new ArrayList<>();
    int last = 0;
    for (DocumentPart r : part.parts("rows")) {
      SpineRule.Steps.Row row =
          new SpineRule.Steps.Row(
              r.count("from", 1, RuleSheetReader.MOST_PAGES),
              r.count("to", 1, RuleSheetReader.MOST_PAGES),
              r.length("width"));
      if (row.from() <= last) {
        throw r.refuse("from", "is " + row.from() + ", but the row before ends at " + last + ".");
      }
      if (row.to() < row.from()) {
        throw r.refuse("to", "is " + row.to() + ", before the row's start at " + row.from() + ".");
      }
      if (!rows.isEmpty() && row.width().isLessThan(rows.get(rows.size() - 1).width())) {
        throw r.refuse(
            "width", "is narrower than the row before: more pages make no thinner spine.");
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
            part.count("least", 1, RuleSheetReader.MOST_PAGES),
            part.count("most", 1, RuleSheetReader.MOST_PAGES),
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
            part.count("leastPages", 0, RuleSheetReader.MOST_PAGES, 0),
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
      case EBOOK -> new Make.Screen();
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

  private static InsideRule inside(DocumentPart part) {
    InsideRule rule = new InsideRule(part.length("glue", Length.ZERO));
    part.end();
    return rule;
  }

  private static PartsRule parts(DocumentPart part) {
    PartsRule rule = new PartsRule(part.length("foldBleed", Length.ZERO));
    part.end();
    return rule;
  }

  private static CostRule cost(DocumentPart part, Set<String> inks) {
    String currency = part.text("currency");
    if (!currency.matches("[A-Z]{3}")) {
      throw part.refuse(
          "currency", "is “" + currency + "”: give the three letters of ISO 4217, such as GBP.");
    }
    DocumentPart perPage = part.part("perPage");
    Map<String, BigDecimal> prices = new HashMap<>();
    for (String ink : perPage.keys()) {
      if (inks != null && !inks.contains(ink)) {
        throw perPage.refuse(ink, "is an ink which the sheet does not list.");
      }
      prices.put(ink, perPage.price(ink));
    }
    if (prices.isEmpty()) {
      throw part.refuse("perPage", "must give a price for at least one ink.");
    }
    CostRule rule = new CostRule(currency, part.price("fixed"), prices);
    perPage.end();
    part.end();
    return rule;
  }

  static Rounding rounding(DocumentPart part) {
    Rounding rounding =
        new Rounding(
            part.length("step"),
            part.choice("mode", Rounding.Mode.values(), Rounding.Mode.NEAREST));
    part.end();
    return rounding;
  }
}
