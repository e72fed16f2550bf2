package app.reglet.press.picture;

import java.nio.charset.StandardCharsets;

/** What an ICC profile says of itself in its header (ICC.1:2010, 7.2). */
public final class IccProfile {
  private static final int HEADER = 128;
  private static final int COLOUR_SPACE = 16;
  private static final int SIGNATURE = 36;

  private IccProfile() {}

  /**
   * How many channels its colours have: 1 grey, 3 RGB, 4 CMYK; 0 when it is no profile, or of a
   * space that pictures for the press don't come in.
   */
  public static int channels(byte[] profile) {
    if (profile.length < HEADER || !word(profile, SIGNATURE).equals("acsp")) {
      return 0;
    }
    return switch (word(profile, COLOUR_SPACE)) {
      case "GRAY" -> 1;
      case "RGB " -> 3;
      case "CMYK" -> 4;
      default -> 0;
    };
  }

  private static String word(byte[] profile, int at) {
    return new String(profile, at, 4, StandardCharsets.US_ASCII);
  }
}
