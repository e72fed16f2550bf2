package app.reglet.core.house;

import app.reglet.core.book.Binding;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Reads one object of a rule sheet's {@code bindings}. */
final class BindingReader {
  private final DocumentPart part;
  private final Listed listed;
  private final Faults faults;

  BindingReader(DocumentPart part, Listed listed, Faults faults) {
    this.part = part;
    this.listed = listed;
    this.faults = faults;
  }

  /** What the sheet says of one binding; null when something of it can't be read. */
  BindingRules read() {
    int before = faults.count();
    Binding binding = faults.read(() -> part.choice("binding", Binding.values()), null);
    if (binding == null) {
      return null;
    }
    List<SpineCase> spine = new ArrayList<>();
    for (DocumentPart c : faults.read(() -> part.parts("spine"), List.<DocumentPart>of())) {
      SpineCase read = faults.read(() -> SpineReader.read(c, listed), null);
      if (read != null) {
        faults.check(() -> suits(binding, read));
        spine.add(read);
      }
    }
    Optional<OddCount> odd = faults.read(this::odd, Optional.<OddCount>empty());
    List<PageLimit> pages = new ArrayList<>();
    for (DocumentPart p : faults.read(() -> part.parts("pages"), List.<DocumentPart>of())) {
      PageLimit limit = faults.read(() -> pageLimit(p, odd), null);
      if (limit != null) {
        pages.add(limit);
      }
    }
    Make make = faults.read(() -> make(binding), new Make.Plain());
    Length bleed =
        binding.isBled() ? faults.read(() -> part.length("bleed"), Length.ZERO) : Length.ZERO;
    BindingRules rules =
        new BindingRules(
            binding,
            make,
            spine,
            faults.read(() -> trims(part.part("trims")), null),
            pages,
            odd.orElse(OddCount.AS_LIMITED),
            bleed,
            faults.read(() -> safe(part.part("safe")), null),
            optional("spineType", BindingReader::spineType).orElse(SpineTypeRule.NONE),
            optional("barcode", BindingReader::barcode),
            optional("inside", BindingReader::inside),
            optional("parts", BindingReader::handedOver),
            faults.read(() -> part.optionalLength("blockBleed").orElse(bleed), Length.ZERO),
            optional("cost", this::cost));
    if (faults.count() == before) {
      faults.check(part::end);
    }
    return faults.count() == before ? rules : null;
  }

  private <T> Optional<T> optional(String key, Function<DocumentPart, T> reading) {
    return faults.read(() -> part.optionalPart(key).map(reading), Optional.<T>empty());
  }

  private void suits(Binding binding, SpineCase rule) {
    boolean none = rule.rule() instanceof SpineRule.None;
    if (none == binding.hasSpine()) {
      String title = binding.title().toLowerCase(Locale.ROOT);
      throw part.refuse(
          "spine",
          none
              ? "is “none”, but " + title + " has a spine."
              : "must be “none”: " + title + " has no spine.");
    }
  }

  private Optional<OddCount> odd() {
    String odd = part.choice("odd");
    return odd.isEmpty() ? Optional.empty() : Optional.of(part.choice("odd", OddCount.values()));
  }

  private PageLimit pageLimit(DocumentPart p, Optional<OddCount> odd) {
    boolean asTyped = odd.equals(Optional.of(OddCount.AS_TYPED));
    PageLimit limit =
        new PageLimit(
            p.sizes("trims"),
            Listed.among(listed.stocks(), p, "stocks"),
            p.count("least"),
            p.count("most"),
            p.optionalCount("multiple").orElse(asTyped ? 1 : 2));
    if (asTyped && limit.multiple() % 2 == 0) {
      throw p.refuse(
          "multiple",
          "is " + limit.multiple() + ", but odd counts are bound as typed: leave one of them out.");
    }
    if (limit.most() < limit.least()
        || limit.most() / limit.multiple() * limit.multiple() < limit.least()) {
      throw p.refuse(
          "most",
          "is "
              + limit.most()
              + ": no count from "
              + limit.least()
              + " is a multiple of "
              + limit.multiple()
              + ".");
    }
    p.end();
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
    Length fold = part.length("fold");
    SafeDistances safe =
        new SafeDistances(
            part.length("trim"),
            fold,
            part.optionalLength("hinge").orElse(fold),
            part.length("drift"));
    part.end();
    return safe;
  }

  private static SpineTypeRule spineType(DocumentPart part) {
    SpineTypeRule rule =
        new SpineTypeRule(
            part.count("leastPages"),
            part.length("leastWidth"),
            part.length("leastSize"),
            part.choice("direction", SpineTypeRule.Direction.values()));
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
            part.choice("corner", BarcodeRule.Corner.values()),
            part.choice("supplier", BarcodeRule.Supplier.values()));
    part.end();
    return rule;
  }

  private Make make(Binding binding) {
    return switch (binding) {
      case EBOOK -> new Make.Screen();
      case PERFECT_BOUND, SADDLE_STITCHED -> new Make.Plain();
      case FLAPPED -> new Make.Flapped(flaps(part.part("flaps")), part.length("foldAllowance"));
      case CASE_LAMINATE -> caseMake(part.part("case"));
      case DUST_JACKET ->
          new Make.Jacket(
              caseMake(part.part("case")), part.length("allowance"), flaps(part.part("flaps")));
    };
  }

  private static Make.Case caseMake(DocumentPart part) {
    Length square = part.length("square");
    Make.Case made =
        new Make.Case(
            part.length("turnIn"),
            new Edges(
                part.optionalLength("headSquare").orElse(square),
                part.optionalLength("foreEdgeSquare").orElse(square),
                part.optionalLength("tailSquare").orElse(square),
                Length.ZERO),
            part.length("jointGain"),
            part.length("hinge"),
            part.flag("hingeAdded"));
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
    InsideRule rule = new InsideRule(part.length("glue"));
    part.end();
    return rule;
  }

  private static PartsRule handedOver(DocumentPart part) {
    PartsRule rule = new PartsRule(part.length("foldBleed"));
    part.end();
    return rule;
  }

  private CostRule cost(DocumentPart p) {
    Map<String, BigDecimal> prices = new HashMap<>();
    for (String ink : p.priced("perPage")) {
      if (listed.inks() != null && !listed.inks().contains(ink)) {
        throw p.refuse("perPage." + ink, "is an ink which the sheet does not list.");
      }
      prices.put(ink, p.price("perPage", ink));
    }
    if (prices.isEmpty()) {
      throw p.refuse("perPage", "must give a price for at least one ink.");
    }
    CostRule rule = new CostRule(p.text("currency"), p.number("fixed"), prices);
    p.end();
    return rule;
  }
}
