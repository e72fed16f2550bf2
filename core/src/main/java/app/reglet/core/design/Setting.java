package app.reglet.core.design;

import app.reglet.core.house.BindingRules;
import app.reglet.core.house.SpineTypeRule;

/**
 * How words are set into lines, and how the lines stand in their box.
 *
 * @param align along the line
 * @param vertical where the lines stand in the box
 * @param direction in which the lines run
 * @param leading distance of baselines, as a multiple of the size
 * @param gap space between paragraphs, as a multiple of that distance
 * @param indent of the first line of every paragraph but the first, in ems
 * @param breaks where lines break
 * @param hyphenated whether words are parted at the ends of lines
 * @param hanging whether hyphens, stops and quotation marks hang out at the ends of lines
 * @param language by whose rules words are parted and put in capitals, a BCP 47 tag; empty for the
 *     book's
 */
public record Setting(
    Align align,
    VerticalAlign vertical,
    Direction direction,
    double leading,
    double gap,
    double indent,
    Breaks breaks,
    boolean hyphenated,
    boolean hanging,
    String language) {
  /** Along a line. */
  public enum Align {
    LEFT,
    CENTRE,
    RIGHT,
    /** From side to side, but for the last line of a paragraph. */
    JUSTIFIED;

    /** The same end of a line that runs the other way. */
    Align turned() {
      return this == LEFT ? RIGHT : this == RIGHT ? LEFT : this;
    }
  }

  /** Of the lines in their box. */
  public enum VerticalAlign {
    TOP,
    /** By the middle from the ascenders of the first line to the descenders of the last. */
    MIDDLE,
    BOTTOM,
    /**
     * By the middle of the flat capitals, from the top of the first line's to the last baseline.
     */
    CAPITALS,
    /** By the middle of the flat small letters, likewise. */
    SMALL_LETTERS;

    /** The same side of lines that run the other way. */
    VerticalAlign turned() {
      return this == TOP ? BOTTOM : this == BOTTOM ? TOP : this;
    }

    /** Whether the middle of letters stands in the middle of the box, whatever hangs from them. */
    public boolean isOptical() {
      return this == CAPITALS || this == SMALL_LETTERS;
    }
  }

  /** The way lines run: level, from top to bottom, or from bottom to top. */
  public enum Direction {
    LEVEL,
    DOWN,
    UP;

    /** The way a house has words run on spines. */
    public static Direction onSpines(BindingRules rules) {
      return rules.spineType().direction() == SpineTypeRule.Direction.TOP_TO_BOTTOM ? DOWN : UP;
    }
  }

  /** Where lines break. */
  public enum Breaks {
    /** Where the line is full. */
    FULL,
    /** Where the whole paragraph comes out evenest, its last line not left with a short word. */
    EVEN,
    /** So that lines are alike in length, and what belongs together stays together. */
    BALANCED
  }

  /** Level lines from the left, from the top, broken where they are full. */
  public static final Setting PLAIN =
      new Setting(
          Align.LEFT, VerticalAlign.TOP, Direction.LEVEL, 1.2, 0, 0, Breaks.FULL, false, false, "");

  public Setting aligned(Align along, VerticalAlign down) {
    return new Setting(
        along, down, direction, leading, gap, indent, breaks, hyphenated, hanging, language);
  }

  public Setting withLeading(double multiple) {
    return new Setting(
        align, vertical, direction, multiple, gap, indent, breaks, hyphenated, hanging, language);
  }

  public Setting running(Direction way) {
    return new Setting(
        align, vertical, way, leading, gap, indent, breaks, hyphenated, hanging, language);
  }

  /** Running another way, with what stood at one end or side of the box standing there still. */
  public Setting turnedRound(Direction way) {
    return way == direction ? this : running(way).aligned(align.turned(), vertical.turned());
  }

  /** With other paragraphs. */
  public Setting withParagraphs(double spaceBetween, double firstIndent) {
    return new Setting(
        align,
        vertical,
        direction,
        leading,
        spaceBetween,
        firstIndent,
        breaks,
        hyphenated,
        hanging,
        language);
  }

  /** Broken otherwise. */
  public Setting breaking(Breaks where, boolean partsWords, boolean hangs) {
    return new Setting(
        align, vertical, direction, leading, gap, indent, where, partsWords, hangs, language);
  }

  public Setting in(String tag) {
    return new Setting(
        align, vertical, direction, leading, gap, indent, breaks, hyphenated, hanging, tag);
  }
}
