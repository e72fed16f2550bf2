package app.reglet.press.pdf;

import app.reglet.core.house.FileRules;
import app.reglet.core.house.PressRules;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.PressInks;
import java.nio.charset.StandardCharsets;

/**
 * How a press file is made.
 *
 * @param rules the house's
 * @param wantedPpi what pictures become that are finer than the house takes
 * @param condition the printing condition; null where the file is in sRGB
 * @param inks of that condition; null where the file is in sRGB
 * @param quality of photos that are packed with loss, 0 to 1
 * @param marks the marks of the printer that were asked for
 */
public record PressMaking(
    PressRules rules,
    int wantedPpi,
    Condition condition,
    PressInks inks,
    float quality,
    PrintersMarks marks) {
  /** Of photos, when a house's limit does not ask for less. */
  public static final float QUALITY = 0.92f;

  /** A plain PDF in sRGB, without marks. */
  public static final PressMaking SCREEN =
      new PressMaking(PressRules.SCREEN, 300, null, null, QUALITY, PrintersMarks.NONE);

  /**
   * As a house wants it, without marks.
   *
   * @param condition the one that its rules name; not looked at where they want sRGB
   */
  public static PressMaking of(FileRules files, PressRules rules, Condition condition) {
    return of(
        files, rules, condition, rules.isInks() ? PressInks.of(condition.profile(), rules) : null);
  }

  /**
   * The same with inks that are there already.
   *
   * @param inks of that condition and those rules; null where the file is in sRGB
   */
  public static PressMaking of(
      FileRules files, PressRules rules, Condition condition, PressInks inks) {
    return new PressMaking(rules, files.wantedPpi(), condition, inks, QUALITY, PrintersMarks.NONE);
  }

  /** The same with photos of another quality. */
  public PressMaking packed(float other) {
    return new PressMaking(rules, wantedPpi, condition, inks, other, marks);
  }

  /** The same with marks. */
  public PressMaking marked(PrintersMarks asked) {
    return new PressMaking(rules, wantedPpi, condition, inks, quality, asked);
  }

  /** What tells files apart that have the same operators. */
  byte[] toSeed() {
    return (rules + " " + quality + " " + (condition == null ? "" : condition.profile().sha()))
        .getBytes(StandardCharsets.UTF_8);
  }

  boolean isInks() {
    return inks != null;
  }

  boolean isX1a() {
    return rules.standard() == PressRules.Standard.X1A;
  }

  boolean isX4() {
    return rules.standard() == PressRules.Standard.X4;
  }
}
