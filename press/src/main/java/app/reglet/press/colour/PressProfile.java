package app.reglet.press.colour;

import app.reglet.core.Refusal;
import java.awt.color.CMMException;
import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;

/**
 * How a press, with its inks on a paper, prints: an ICC output profile for cyan, magenta, yellow
 * and black (ICC.1:2010, 8.4). Both ways are asked of the platform's colour engine; colours go in
 * and out as XYZ of the connection space.
 */
public final class PressProfile {
  private static final int HEADER = 128;
  private static final int MOST_BYTES = 20_000_000;
  private static final int MAX = 65535;

  private final byte[] bytes;
  private final String sha;
  private final ColorConvertOp perceptual;
  private final ColorConvertOp relative;
  private final ColorConvertOp back;

  private PressProfile(
      byte[] bytes, ColorConvertOp perceptual, ColorConvertOp relative, ColorConvertOp back) {
    this.bytes = bytes;
    this.sha = sum(bytes);
    this.perceptual = perceptual;
    this.relative = relative;
    this.back = back;
  }

  /**
   * Reads a profile.
   *
   * @throws Refusal when it is none of a press with four inks, or can't be used, with why
   */
  public static PressProfile of(byte[] bytes) {
    expectOutput(bytes);
    try {
      ICC_Profile press = ICC_Profile.getInstance(bytes);
      PressProfile profile =
          new PressProfile(
              bytes.clone(),
              op(ConnectionSpace.perceptual(), press),
              op(ConnectionSpace.relative(), press),
              op(press, ConnectionSpace.relative()));
      profile.expectSensible();
      return profile;
    } catch (IllegalArgumentException | CMMException e) {
      throw new Refusal(
          "profile", "This profile can't be used: it is damaged, or lacks what converts colours.");
    }
  }

  private static ColorConvertOp op(ICC_Profile from, ICC_Profile to) {
    return new ColorConvertOp(new ICC_Profile[] {from, to}, null);
  }

  private static void expectOutput(byte[] bytes) {
    if (bytes.length > MOST_BYTES) {
      throw new Refusal(
          "profile",
          "This file has "
              + bytes.length / 1_000_000
              + " MB; a profile has at most "
              + MOST_BYTES / 1_000_000
              + " MB.");
    }
    if (bytes.length < HEADER + 4 || !word(bytes, 36).equals("acsp")) {
      throw new Refusal("profile", "This is no ICC profile.");
    }
    long said = ByteBuffer.wrap(bytes).getInt() & 0xffffffffL;
    if (said > bytes.length) {
      throw new Refusal(
          "profile",
          String.format(
              Locale.ROOT,
              "This profile is cut short: it says it has %,d bytes, and here are %,d.",
              said,
              bytes.length));
    }
    String device = word(bytes, 12);
    String space = word(bytes, 16);
    if (!device.equals("prtr") || !space.equals("CMYK")) {
      throw new Refusal(
          "profile",
          "This profile is of "
              + device(device)
              + " in "
              + (space.equals("CMYK") ? "four inks" : "“" + space.strip() + "”")
              + "; a press file is made with one of an output device in CMYK.");
    }
  }

  private static String device(String signature) {
    return switch (signature) {
      case "scnr" -> "a scanner or camera";
      case "mntr" -> "a screen";
      case "prtr" -> "an output device";
      case "link" -> "a link of two devices";
      case "spac" -> "a colour space";
      case "abst" -> "an abstract kind";
      case "nmcl" -> "named colours";
      default -> "no known kind";
    };
  }

  private static String word(byte[] bytes, int at) {
    return new String(bytes, at, 4, StandardCharsets.US_ASCII);
  }

  /** A profile that lies: whose paper is dark, or whose inks do nothing. */
  private void expectSensible() {
    Lab paper = lab(new double[] {0, 0, 0, 0});
    Lab black = lab(new double[] {0, 0, 0, 1});
    if (paper.l() < 70 || black.l() > paper.l() - 30) {
      throw new Refusal(
          "profile",
          String.format(
              Locale.ROOT,
              "This profile says that bare paper has lightness %.0f and full black %.0f: no press prints so.",
              paper.l(),
              black.l()));
    }
    double[] inks = inks(Lab.WHITE.clone(), Rendering.Intent.RELATIVE);
    if (inks[0] + inks[1] + inks[2] + inks[3] > 0.4) {
      throw new Refusal(
          "profile", "This profile prints white with much ink: it can't be used for a press file.");
    }
  }

  /** The file itself. */
  public byte[] bytes() {
    return bytes.clone();
  }

  /** SHA-256 of the file, in hex. */
  public String sha() {
    return sha;
  }

  /**
   * Inks of many colours.
   *
   * @param xyz three a colour, of the connection space, white at {@link Lab#WHITE}
   * @return four a colour, 0 to 1: cyan, magenta, yellow, black
   */
  double[] inksOf(double[] xyz, Rendering.Intent intent) {
    int n = xyz.length / 3;
    WritableRaster from = raster(n, 3);
    int[] samples = new int[3 * n];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = ConnectionSpace.sample(xyz[i] / Lab.WHITE[i % 3]);
    }
    from.setPixels(0, 0, n, 1, samples);
    WritableRaster to = raster(n, 4);
    ColorConvertOp op = intent == Rendering.Intent.PERCEPTUAL ? perceptual : relative;
    synchronized (op) {
      op.filter(from, to);
    }
    int[] out = to.getPixels(0, 0, n, 1, (int[]) null);
    double[] inks = new double[4 * n];
    for (int i = 0; i < inks.length; i++) {
      inks[i] = out[i] / (double) MAX;
    }
    return inks;
  }

  private double[] inks(double[] xyz, Rendering.Intent intent) {
    return inksOf(xyz, intent);
  }

  /**
   * How inks look on this paper, that being white.
   *
   * @param inks four a colour, 0 to 1
   * @return three a colour, XYZ of the connection space
   */
  double[] xyzOf(double[] inks) {
    int n = inks.length / 4;
    WritableRaster from = raster(n, 4);
    int[] samples = new int[4 * n];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (int) Math.round(Math.max(0, Math.min(1, inks[i])) * MAX);
    }
    from.setPixels(0, 0, n, 1, samples);
    WritableRaster to = raster(n, 3);
    synchronized (back) {
      back.filter(from, to);
    }
    int[] out = to.getPixels(0, 0, n, 1, (int[]) null);
    double[] xyz = new double[3 * n];
    for (int i = 0; i < xyz.length; i++) {
      xyz[i] = ConnectionSpace.light(out[i]) * Lab.WHITE[i % 3];
    }
    return xyz;
  }

  /** How one colour of inks, 0 to 1 each, looks on this paper. */
  public Lab lab(double[] inks) {
    double[] xyz = xyzOf(inks);
    return Lab.of(xyz[0], xyz[1], xyz[2]);
  }

  private static WritableRaster raster(int n, int bands) {
    return Raster.createInterleavedRaster(DataBuffer.TYPE_USHORT, n, 1, bands, null);
  }

  /**
   * The lightness of the darkest gray that colours become: that of black brought to the press and
   * back (ISO 18619, 6; of a profile whose middle tones are straight that is the whole of it).
   */
  double darkest(Rendering.Intent intent) {
    double[] xyz = xyzOf(inks(new double[] {0, 0, 0}, intent));
    return Math.max(0, Math.min(50, Lab.of(xyz[0], xyz[1], xyz[2]).l()));
  }

  private static String sum(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }
}
