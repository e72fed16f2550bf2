package app.reglet.core.design;

/**
 * That a group's pieces stand in one line from end to end of its box, in their order, with equal
 * gaps between them.
 *
 * @param run which way the line runs
 * @param largest whether its words are as large as fits, in proportion to each other; else they are
 *     as large as each is set, and smaller together where the line is too short for that
 */
public record Row(Run run, boolean largest) {
  /**
   * The least gap between parts, in ems of the largest words: common practice, no single source.
   */
  public static final double LEAST_GAP = 0.5;

  /** Which way a line runs. */
  public enum Run {
    /** As the house has words run on spines. */
    HOUSE,
    DOWN,
    UP,
    LEVEL
  }

  /** A spine's line: in the house's direction, its words as large as each is set. */
  public static final Row OF_SPINE = new Row(Run.HOUSE, false);

  /**
   * The direction of its words.
   *
   * @param house that of spines at the house
   */
  public Setting.Direction direction(Setting.Direction house) {
    return switch (run) {
      case HOUSE -> house;
      case DOWN -> Setting.Direction.DOWN;
      case UP -> Setting.Direction.UP;
      case LEVEL -> Setting.Direction.LEVEL;
    };
  }
}
