package app.reglet.press.font;

/** What a font that is brought may be. */
public final class FontLimits {
  /** Bytes of a file. */
  public static final long MOST_BYTES = 40_000_000;

  /** Bytes that its tables may unpack to where they are packed. */
  static final int MOST_UNPACKED = 80_000_000;

  /** Faces of one file: fonts of a collection, named places on the axes of a variable font. */
  public static final int MOST_FACES = 40;

  /** Characters of a name. */
  static final int LONGEST_NAME = 80;

  private FontLimits() {}
}
