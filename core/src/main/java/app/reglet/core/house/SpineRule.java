package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.List;

/**
 * How a house computes the width of a spine. Formulas: common practice, no single source; grammage
 * and bulk follow from their definitions (a leaf of g grams per square metre and v cm³ per gram is
 * g × v / 1000 mm thick, and two pages make a leaf).
 */
public sealed interface SpineRule {

  /** The width before the house's rounding. */
  Length exact(Specification spec);

  /** The sum a person can check, without its result: {@code 100 × 0.002252}. */
  String working(Specification spec, Unit unit);

  /** The name of the rule in documents. */
  String kind();

  /** The rule in words and figures: {@code pages × 0.002252 in}. */
  String print(Unit unit);

  private static String plus(Length add, Unit unit) {
    return add.isZero()
        ? ""
        : add.isNegative() ? " − " + add.abs().figure(unit) : " + " + add.figure(unit);
  }

  private static String added(Length add, Unit unit) {
    return add.isZero() ? "" : plus(add, unit) + " " + unit.symbol();
  }

  /**
   * pages × t + c.
   *
   * @param perPage thickness of one page, half a leaf
   * @param add what cover and glue add
   */
  record CaliperPerPage(Length perPage, Length add) implements SpineRule {
    @Override
    public Length exact(Specification spec) {
      return perPage.times(spec.pages()).plus(add);
    }

    @Override
    public String working(Specification spec, Unit unit) {
      return spec.pages() + " × " + perPage.figure(unit, 8) + plus(add, unit);
    }

    @Override
    public String kind() {
      return "caliper-per-page";
    }

    @Override
    public String print(Unit unit) {
      return "pages × " + perPage.figure(unit, 8) + " " + unit.symbol() + added(add, unit);
    }
  }

  /**
   * pages ÷ PPI + c.
   *
   * @param pagesPerInch pages to an inch of book block
   * @param add what cover and glue add
   */
  record PaperPpi(BigDecimal pagesPerInch, Length add) implements SpineRule {
    @Override
    public Length exact(Specification spec) {
      BigDecimal quanta =
          BigDecimal.valueOf(spec.pages())
              .multiply(BigDecimal.valueOf(Unit.IN.quanta()))
              .divide(pagesPerInch, 0, RoundingMode.HALF_EVEN);
      return new Length(quanta.longValueExact()).plus(add);
    }

    @Override
    public String working(Specification spec, Unit unit) {
      String inches = spec.pages() + " ÷ " + pagesPerInch.toPlainString();
      return (unit == Unit.IN ? inches : inches + " × " + Length.of(1, Unit.IN).figure(unit))
          + plus(add, unit);
    }

    @Override
    public String kind() {
      return "paper-ppi";
    }

    @Override
    public String print(Unit unit) {
      return "pages ÷ " + pagesPerInch.toPlainString() + " in" + added(add, unit);
    }
  }

  /**
   * pages × g/m² × cm³/g ÷ 2000 mm + c.
   *
   * @param gsm grammage in g/m²
   * @param bulk specific volume in cm³/g
   * @param asVolume whether the house tells it as the merchants' volume figure, ten times the bulk
   *     (volume 18 is 1.8 cm³/g), and so divides by 20 000
   * @param add what cover and glue add
   * @param perPage the thickness of one page these make
   */
  record GrammageBulk(BigDecimal gsm, BigDecimal bulk, boolean asVolume, Length add, Length perPage)
      implements SpineRule {
    public GrammageBulk(BigDecimal gsm, BigDecimal bulk, boolean asVolume, Length add) {
      this(
          gsm,
          bulk,
          asVolume,
          add,
          Length.of(gsm.multiply(bulk).divide(BigDecimal.valueOf(2000)), Unit.MM));
    }

    @Override
    public Length exact(Specification spec) {
      return perPage.times(spec.pages()).plus(add);
    }

    @Override
    public String working(Specification spec, Unit unit) {
      String mm =
          spec.pages()
              + " × "
              + gsm.toPlainString()
              + " × "
              + (asVolume ? bulk.movePointRight(1) : bulk).toPlainString()
              + (asVolume ? " ÷ 20000" : " ÷ 2000");
      return (unit == Unit.MM ? mm : mm + " ÷ 25.4") + plus(add, unit);
    }

    @Override
    public String kind() {
      return "grammage-bulk";
    }

    @Override
    public String print(Unit unit) {
      return "pages × "
          + gsm.toPlainString()
          + " g/m² × "
          + (asVolume
              ? "volume " + bulk.movePointRight(1).stripTrailingZeros().toPlainString()
              : bulk.toPlainString() + " cm³/g")
          + added(add, unit);
    }
  }

  /**
   * A table of page ranges. Outside it there is no width: an error, never a guess.
   *
   * @param rows in ascending order, not overlapping
   */
  record Steps(List<Row> rows) implements SpineRule {
    /** From this count to that, both included, the spine is so wide. */
    public record Row(int from, int to, Length width) {}

    public Steps {
      rows = List.copyOf(rows);
    }

    @Override
    public Length exact(Specification spec) {
      return row(spec.pages()).width();
    }

    /** Whether the table has a row for a count. */
    public boolean has(int pages) {
      return rows.stream().anyMatch(r -> pages >= r.from() && pages <= r.to());
    }

    private Row nearest(int pages) {
      return rows.stream()
          .min(
              Comparator.comparingInt(
                  r -> pages < r.from() ? r.from() - pages : Math.max(0, pages - r.to())))
          .orElseThrow();
    }

    /**
     * The row for a count.
     *
     * @throws Refusal naming the nearest row when there is none
     */
    public Row row(int pages) {
      int low = 0;
      int high = rows.size() - 1;
      while (low <= high) {
        int mid = (low + high) >>> 1;
        Row row = rows.get(mid);
        if (pages < row.from()) {
          high = mid - 1;
        } else if (pages > row.to()) {
          low = mid + 1;
        } else {
          return row;
        }
      }
      Row nearest = nearest(pages);
      throw new Refusal(
          "pages",
          "The house's spine table has no row for "
              + pages
              + " pages: the nearest is "
              + nearest.from()
              + "–"
              + nearest.to()
              + " pages.");
    }

    @Override
    public String working(Specification spec, Unit unit) {
      Row row = row(spec.pages());
      return "table, " + row.from() + "–" + row.to() + " pages";
    }

    @Override
    public String kind() {
      return "steps";
    }

    @Override
    public String print(Unit unit) {
      return "a table of "
          + rows.size()
          + " steps from "
          + rows.get(0).from()
          + " to "
          + rows.get(rows.size() - 1).to()
          + " pages";
    }
  }

  /** The house states the width on the order; nothing is computed. */
  record Told() implements SpineRule {
    @Override
    public Length exact(Specification spec) {
      return spec.toldSpine()
          .map(ToldSpine::width)
          .orElseThrow(
              () ->
                  new Refusal(
                      "spine",
                      "This house states the spine width on the order: type it in, with its unit."));
    }

    @Override
    public String working(Specification spec, Unit unit) {
      String source = spec.toldSpine().map(ToldSpine::source).orElse("");
      return source.isEmpty() ? "as the house stated" : "as the house stated (" + source + ")";
    }

    @Override
    public String kind() {
      return "told";
    }

    @Override
    public String print(Unit unit) {
      return "told on the order";
    }
  }

  /** No spine: a folded sheet, stapled. */
  record None() implements SpineRule {
    @Override
    public Length exact(Specification spec) {
      return Length.ZERO;
    }

    @Override
    public String working(Specification spec, Unit unit) {
      return "no spine";
    }

    @Override
    public String kind() {
      return "none";
    }

    @Override
    public String print(Unit unit) {
      return "none";
    }
  }
}
