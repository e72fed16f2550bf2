package app.reglet.press.picture;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.ByteBuffer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What an ICC profile says of itself in its header (ICC.1:2010, 7.2), and of its colours. */
public final class IccProfile {
  private static final int HEADER = 128;
  private static final int COLOUR_SPACE = 16;
  private static final int SIGNATURE = 36;
  private static final int LONGEST_NAME = 80;

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

  /**
   * What a profile calls itself (tag {@code desc}: ICC.1:2001-04, 6.5.17, a text; ICC.1:2010,
   * 10.13, texts in languages, of which the first is taken); empty where it says nothing.
   */
  public static String name(byte[] profile) {
    if (channels(profile) == 0) {
      return "";
    }
    ByteBuffer in = ByteBuffer.wrap(profile);
    try {
      int tags = Math.min(100, in.getInt(HEADER));
      for (int i = 0; i < tags; i++) {
        int at = HEADER + 4 + 12 * i;
        if (word(profile, at).equals("desc")) {
          int offset = in.getInt(at + 4);
          return word(profile, offset).equals("mluc")
              ? text(
                  profile,
                  offset + in.getInt(offset + 24),
                  in.getInt(offset + 20),
                  StandardCharsets.UTF_16BE)
              : text(profile, offset + 12, in.getInt(offset + 8), StandardCharsets.US_ASCII);
        }
      }
    } catch (IndexOutOfBoundsException e) {
      return ""; // it ends before what it names
    }
    return "";
  }

  private static String text(byte[] profile, int at, int length, Charset as) {
    int most = Math.max(0, Math.min(length, 2 * LONGEST_NAME));
    return new String(profile, at, most, as).replace("\0", "").strip();
  }

  /** From a profile's colours to sRGB; empty where the profile can't be used. */
  static Optional<ToScreen> toScreen(byte[] profile) {
    if (channels(profile) == 0) {
      return Optional.empty();
    }
    try {
      ICC_Profile from = ICC_Profile.getInstance(profile);
      ICC_Profile to = ((ICC_ColorSpace) ColorSpace.getInstance(ColorSpace.CS_sRGB)).getProfile();
      ToScreen found =
          new ToScreen(channels(profile), new ColorConvertOp(new ICC_Profile[] {from, to}, null));
      found.convert(
          Raster.createInterleavedRaster(0, 1, 1, found.channels(), null),
          Raster.createInterleavedRaster(0, 1, 1, 3, null)); // some say so only when they are used
      return Optional.of(found);
    } catch (IllegalArgumentException | CMMException e) {
      return Optional.empty();
    }
  }

  /** A conversion of 8-bit colours to sRGB. */
  record ToScreen(int channels, ColorConvertOp op) {
    void convert(Raster from, WritableRaster to) {
      op.filter(from, to);
    }
  }
}
