package app.reglet.core.house;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/** Reads a spine rule. */
final class SpineReader {
  private SpineReader() {}

  static SpineCase read(DocumentPart part, Listed listed) {
    SpineCase read =
        new SpineCase(
            Listed.among(listed.stocks(), part, "stocks"),
            Listed.among(listed.inks(), part, "inks"),
            rule(part),
            RuleSheetReader.rounding(part, "rounding"));
    part.end();
    return read;
  }

  private static SpineRule rule(DocumentPart part) {
    String kind = part.choice("kind");
    return switch (kind) {
      case "caliper-per-page" ->
          new SpineRule.CaliperPerPage(part.length("perPage"), part.length("add"));
      case "paper-ppi" -> new SpineRule.PaperPpi(part.number("pagesPerInch"), part.length("add"));
      case "grammage-bulk" -> grammageBulk(part);
      case "steps" -> steps(part);
      case "told" -> new SpineRule.Told();
      case "none" -> new SpineRule.None();
      default -> throw new IllegalStateException("no spine rule is called " + kind);
    };
  }

  private static SpineRule grammageBulk(DocumentPart part) {
    boolean asVolume = part.has("volume");
    if (asVolume && part.has("bulk")) {
      throw part.refuse(
          "volume",
          "and “bulk” are both given, and they are one fact told twice (volume 18 is bulk 1.8): leave one out.");
    }
    BigDecimal bulk = asVolume ? part.number("volume").movePointLeft(1) : part.number("bulk");
    return new SpineRule.GrammageBulk(part.number("gsm"), bulk, asVolume, part.length("add"));
  }

  private static SpineRule steps(DocumentPart part) {
    List<SpineRule.Steps.Row> rows = new ArrayList<>();
    int last = 0;
    for (DocumentPart r : part.parts("rows")) {
      SpineRule.Steps.Row row =
          new SpineRule.Steps.Row(r.count("from"), r.count("to"), r.length("width"));
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
    return new SpineRule.Steps(rows);
  }
}
