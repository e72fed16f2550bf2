package app.reglet.core.measure;

import app.reglet.core.Refusal;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A width and a height, width first as the trade says them. */
public record Size(Length width, Length height) {
  /** What a new title begins with: 6 × 9 in, common practice, no single source. */
  public static final Size USUAL_TRIM = new Size(Length.of(6, Unit.IN), Length.of(9, Unit.IN));

  /** What stands between the sides; the x of px does not. */
  private static final Pattern TIMES =
      Pattern.compile("\\s+by\\s+|(?<!p)x|[×✕✖]", Pattern.CASE_INSENSITIVE);

  private static final Length HAIR = Length.mm("0.001");
  private static final Pattern ISO_A =
      Pattern.compile("([AB])\\s?([0-9]|10)", Pattern.CASE_INSENSITIVE);

  /** Sizes A0–A10 and B0–B10 in mm, ISO 216, table 1. */
  private static final int[][] A = {
    {841, 1189},
    {594, 841},
    {420, 594},
    {297, 420},
    {210, 297},
    {148, 210},
    {105, 148},
    {74, 105},
    {52, 74},
    {37, 52},
    {26, 37}
  };

  private static final int[][] B = {
    {1000, 1414},
    {707, 1000},
    {500, 707},
    {353, 500},
    {250, 353},
    {176, 250},
    {125, 176},
    {88, 125},
    {62, 88},
    {44, 62},
    {31, 44}
  };

  /**
   * Reads a size as people type it: {@code 6 x 9}, {@code 6"x9"}, {@code 152.4 × 228.6 mm}, {@code
   * A5}. Where only one side carries a unit, the other takes it too.
   *
   * @throws Refusal with a sentence when it can't be read
   */
  public static Size parse(String typed, Unit unitInForce) {
    if (typed == null || typed.isBlank()) {
      throw new Refusal("Nothing is typed here: give width × height, such as 6 x 9 in or A5.");
    }
    Matcher iso = ISO_A.matcher(typed.strip());
    if (iso.matches()) {
      int[] mm = (iso.group(1).equalsIgnoreCase("A") ? A : B)[Integer.parseInt(iso.group(2))];
      return new Size(Length.of(mm[0], Unit.MM), Length.of(mm[1], Unit.MM));
    }
    String[] sides = TIMES.split(typed.strip().toLowerCase(Locale.ROOT), -1);
    if (sides.length != 2 || sides[0].isBlank() || sides[1].isBlank()) {
      throw new Refusal(
          "“"
              + typed.strip()
              + "” is not a width × height: write it as 6 x 9 in, 148 x 210 mm or A5.");
    }
    Unit first = LengthParser.unitIn(sides[0], unitInForce);
    Unit second = LengthParser.unitIn(sides[1], unitInForce);
    return new Size(
        LengthParser.length(sides[0], first == null && second != null ? second : unitInForce),
        LengthParser.length(sides[1], second == null && first != null ? first : unitInForce));
  }

  /** The two sides of a size as they were typed, each with its unit if it had one. */
  public static String[] sides(String typed) {
    return TIMES.split(typed.strip(), -1);
  }

  /**
   * Whether both are one size to within a thousandth of a millimetre: a size typed in the other
   * unit to six decimals is still the same.
   */
  public boolean isNear(Size other) {
    return width.minus(other.width).abs().isLessThan(HAIR)
        && height.minus(other.height).abs().isLessThan(HAIR);
  }

  /** Whether neither side is further off the other's than this. */
  public boolean isWithin(Length tolerance, Size other) {
    return !width.minus(other.width).abs().isMoreThan(tolerance)
        && !height.minus(other.height).abs().isMoreThan(tolerance);
  }

  /** {@code 12.4752 × 9.25 in}, exact to 6 decimals. */
  public String print(Unit unit) {
    return width.figure(unit) + " × " + height.print(unit);
  }

  /** As read on a drawing, rounded to the unit's usual decimals. */
  public String brief(Unit unit) {
    return width.figure(unit, unit.decimals()) + " × " + height.brief(unit);
  }

  /** Both sides as {@link Length#column} has them, the unit once. */
  public String column(Unit unit) {
    return width.column(unit).replaceAll(" .*", "") + " × " + height.column(unit);
  }
}
