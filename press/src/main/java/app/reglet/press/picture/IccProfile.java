package app.reglet.press.picture;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What an ICC profile says of itself in its header (ICC.1:2010, 7.2), and of its colours. */
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
