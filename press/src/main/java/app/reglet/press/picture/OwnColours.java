package app.reglet.press.picture;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;

/**
 * The colours of a picture's file where they are others than a screen's: four inks, or RGB of a
 * profile that is not sRGB. A press file is made from them, not from what a screen shows of them.
 *
 * @param channels 3 RGB, 4 CMYK
 * @param profile its ICC profile; empty for inks of no told press
 */
public record OwnColours(int channels, byte[] profile) {
  /** XYZ of full red, green and blue differ by less in profiles that mean the same. */
  private static final double SAME = 0.006;

  /** Those of a picture; empty where its colours are a screen's. */
  public static Optional<OwnColours> of(Picture picture) {
    try {
      return switch (picture.format()) {
        case JPEG -> {
          JpegFile jpeg = JpegFile.of(picture.file());
          yield of(jpeg.channels(), jpeg.profile(picture.file()));
        }
        case PNG -> {
          PngFile png = PngFile.of(picture.file());
          yield png.colour() == 0 || png.colour() == 4 ? Optional.empty() : of(3, png.profile());
        }
        case TIFF -> TiffColours.own(picture).flatMap(o -> of(o.channels(), o.profile()));
      };
    } catch (IOException | RuntimeException e) {
      return Optional.empty(); // it is shown as well as it can be
    }
  }

  private static Optional<OwnColours> of(int channels, byte[] profile) {
    boolean fits = IccProfile.channels(profile) == channels;
    if (channels == 4) {
      return Optional.of(new OwnColours(4, fits ? profile : new byte[0]));
    }
    return channels == 3 && fits && !isLikeSrgb(profile)
        ? Optional.of(new OwnColours(3, profile))
        : Optional.empty();
  }

  private static boolean isLikeSrgb(byte[] profile) {
    try {
      ICC_ColorSpace own = new ICC_ColorSpace(ICC_Profile.getInstance(profile));
      ColorSpace screen = ColorSpace.getInstance(ColorSpace.CS_sRGB);
      float[][] tried = {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}, {0.5f, 0.5f, 0.5f}};
      return Arrays.stream(tried)
          .allMatch(
              c -> {
                float[] a = own.toCIEXYZ(c);
                float[] b = screen.toCIEXYZ(c);
                return Math.abs(a[0] - b[0]) < SAME
                    && Math.abs(a[1] - b[1]) < SAME
                    && Math.abs(a[2] - b[2]) < SAME;
              });
    } catch (IllegalArgumentException | java.awt.color.CMMException e) {
      return true; // it can't be used: taken for sRGB
    }
  }

  /** Whether they are inks. */
  public boolean isInks() {
    return channels == 4;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof OwnColours o
        && o.channels == channels
        && Arrays.equals(o.profile, profile);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(profile);
  }

  @Override
  public String toString() {
    return (isInks() ? "CMYK, " : "RGB, ") + profile.length + " bytes of profile";
  }
}
