package app.reglet.core.wrap;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.house.WorkedExample;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.List;

/**
 * A worked example of a rule sheet, computed.
 *
 * <p>A printed figure is met when it equals the house's stated figure, or the exact one to within
 * half a unit of the printed figure's last decimal place (guides round).
 *
 * @param example the case
 * @param spine the computed spine, or why there is none
 * @param sheet the computed full sheet, stated and exact; empty when it can't be computed
 * @param agrees whether every printed figure is met
 * @param houseUnit the unit the house states figures in
 */
public record ExampleRun(
    WorkedExample example, String spine, String sheet, boolean agrees, Unit houseUnit) {

  /** Runs the examples of a sheet. */
  public static List<ExampleRun> runAll(RuleSheet house) {
    return house.examples().stream().map(e -> run(e, house)).toList();
  }

  /**
   * Reads a document and runs its examples.
   *
   * @throws Refusal when it can't be read or disagrees with one, with both numbers
   */
  public static RuleSheet readAndProve(String json) {
    RuleSheet house = RuleSheetReader.read(json);
    List<ExampleRun> runs = runAll(house);
    for (int i = 0; i < runs.size(); i++) {
      if (!runs.get(i).agrees()) {
        throw new Refusal(
            "examples[" + i + "]",
            "Worked example " + (i + 1) + " does not come out: " + runs.get(i).difference());
      }
    }
    return house;
  }

  private static ExampleRun run(WorkedExample example, RuleSheet house) {
    Unit unit = house.unit();
    Wrap wrap;
    try {
      wrap = Measuring.measure(example.spec(), house);
    } catch (Refusal r) {
      return new ExampleRun(example, r.getMessage(), r.getMessage(), false, unit);
    }
    boolean agrees =
        meets(example.spine(), wrap.spine().exact(), wrap.spine().stated(), unit)
            && meetsSize(example.sheet(), wrap.sheet(), wrap.stated(), unit);
    String sheet =
        wrap.stated().print(unit)
            + (wrap.stated().equals(wrap.sheet())
                ? ""
                : " (exact " + wrap.sheet().print(unit) + ")");
    return new ExampleRun(example, wrap.spine().stated().print(unit), sheet, agrees, unit);
  }

  /** Expected and computed, side by side. */
  public String difference() {
    StringBuilder out = new StringBuilder();
    if (!example.spine().isEmpty()) {
      out.append("spine expected ").append(example.spine()).append(", computed ").append(spine);
    }
    if (!example.sheet().isEmpty() && !sheet.isEmpty()) {
      out.append(out.isEmpty() ? "" : "; ")
          .append("sheet expected ")
          .append(example.sheet())
          .append(", computed ")
          .append(sheet);
    }
    return out.append(".").toString();
  }

  private static boolean meetsSize(String printed, Size exact, Size stated, Unit unit) {
    if (printed.isEmpty()) {
      return true;
    }
    Size wanted = Size.parse(printed, unit);
    String[] sides = Size.sides(printed);
    return near(sides[0], wanted.width(), exact.width(), stated.width(), unit)
        && near(sides[1], wanted.height(), exact.height(), stated.height(), unit);
  }

  private static boolean meets(String printed, Length exact, Length stated, Unit unit) {
    return printed.isEmpty() || near(printed, Length.parse(printed, unit), exact, stated, unit);
  }

  private static boolean near(
      String printed, Length wanted, Length exact, Length stated, Unit unit) {
    return wanted.equals(stated)
        || !wanted.minus(exact).abs().isMoreThan(halfLastPlace(printed, unit));
  }

  /** Half of the last decimal printed, and never more than 0.005 in or 0.05 mm. */
  private static Length halfLastPlace(String printed, Unit unit) {
    int dot = Math.max(printed.indexOf('.'), printed.indexOf(','));
    int decimals = 0;
    while (dot >= 0
        && dot + 1 + decimals < printed.length()
        && Character.isDigit(printed.charAt(dot + 1 + decimals))) {
      decimals++;
    }
    if (unit == Unit.PX) {
      return Length.ZERO;
    }
    boolean inches =
        printed.contains("in")
            || printed.contains("\"")
            || (unit == Unit.IN && !printed.contains("mm"));
    int least = inches ? 2 : 1;
    Unit in = inches ? Unit.IN : Unit.MM;
    return decimals < least
        ? Length.ZERO
        : Length.of(java.math.BigDecimal.valueOf(5, decimals + 1), in);
  }
}
