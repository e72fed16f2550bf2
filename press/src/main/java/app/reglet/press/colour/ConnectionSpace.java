package app.reglet.press.colour;

import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * XYZ of the connection space as a profile of three channels, so that the platform's engine takes
 * and gives it: each channel is XYZ over white, to the third root, in 16 bits (a matrix profile,
 * ICC.1:2001-04, 6.3.1.2). The engine converts by perception from what calls itself a screen, by
 * colour from what calls itself an output device; so there are two that differ in that word alone.
 */
final class ConnectionSpace {
  private static final int MAX = 65535;
  private static final double GAMMA = 3;

  private static final ICC_Profile PERCEPTUAL = profile("mntr");
  private static final ICC_Profile RELATIVE = profile("prtr");

  private ConnectionSpace() {}

  static ICC_Profile perceptual() {
    return PERCEPTUAL;
  }

  static ICC_Profile relative() {
    return RELATIVE;
  }

  /** 16 bits of a light, 0 to 1. */
  static int sample(double light) {
    return (int) Math.round(MAX * Math.cbrt(Math.max(0, Math.min(1, light))));
  }

  /** The light, 0 to 1, of 16 bits. */
  static double light(int sample) {
    return Math.pow(sample / (double) MAX, GAMMA);
  }

  /** A profile that colours come from, in three channels. */
  static final class Source {
    private final ColorConvertOp op;

    /**
     * @throws IllegalArgumentException when the profile can't be used
     * @throws java.awt.color.CMMException when the profile can't be used
     */
    Source(byte[] profile) {
      op = new ColorConvertOp(new ICC_Profile[] {ICC_Profile.getInstance(profile), RELATIVE}, null);
      xyzOf(new double[3]); // some say so only when they are used
    }

    /**
     * What colours look like.
     *
     * @param colours three channels each, 0 to 1
     * @return XYZ each
     */
    double[] xyzOf(double[] colours) {
      int n = colours.length / 3;
      WritableRaster from = raster(n);
      int[] samples = new int[3 * n];
      for (int i = 0; i < samples.length; i++) {
        samples[i] = (int) Math.round(MAX * colours[i]);
      }
      from.setPixels(0, 0, n, 1, samples);
      WritableRaster to = raster(n);
      op.filter(from, to);
      to.getPixels(0, 0, n, 1, samples);
      double[] xyz = new double[3 * n];
      for (int i = 0; i < xyz.length; i++) {
        xyz[i] = light(samples[i]) * Lab.WHITE[i % 3];
      }
      return xyz;
    }

    private static WritableRaster raster(int n) {
      return Raster.createInterleavedRaster(DataBuffer.TYPE_USHORT, n, 1, 3, null);
    }
  }

  private static ICC_Profile profile(String device) {
    String[] tags = {"desc", "cprt", "wtpt", "rXYZ", "gXYZ", "bXYZ", "rTRC", "gTRC", "bTRC"};
    int at = 128 + 4 + 12 * tags.length;
    ByteBuffer[] data = new ByteBuffer[tags.length];
    int size = at;
    for (int i = 0; i < tags.length; i++) {
      data[i] = data(tags[i]);
      size += data[i].capacity();
    }
    ByteBuffer out = ByteBuffer.allocate(size);
    out.putInt(0, size).putInt(8, 0x02400000);
    word(out, 12, device);
    word(out, 16, "RGB ");
    word(out, 20, "XYZ ");
    out.putShort(24, (short) 2026).putShort(26, (short) 1).putShort(28, (short) 1);
    word(out, 36, "acsp");
    xyz(out, 68, Lab.WHITE);
    out.putInt(128, tags.length);
    for (int i = 0; i < tags.length; i++) {
      int entry = 132 + 12 * i;
      word(out, entry, tags[i]);
      out.putInt(entry + 4, at).putInt(entry + 8, data[i].capacity());
      out.put(at, data[i].array());
      at += data[i].capacity();
    }
    return ICC_Profile.getInstance(out.array());
  }

  private static ByteBuffer data(String tag) {
    return switch (tag) {
      case "desc" -> description("XYZ of the connection space");
      case "cprt" -> text("none");
      case "wtpt" -> xyz(Lab.WHITE);
      case "rXYZ" -> xyz(new double[] {Lab.WHITE[0], 0, 0});
      case "gXYZ" -> xyz(new double[] {0, Lab.WHITE[1], 0});
      case "bXYZ" -> xyz(new double[] {0, 0, Lab.WHITE[2]});
      default -> curve();
    };
  }

  private static ByteBuffer description(String said) {
    byte[] text = said.getBytes(StandardCharsets.US_ASCII);
    ByteBuffer b = ByteBuffer.allocate((12 + text.length + 1 + 78 + 3) / 4 * 4);
    word(b, 0, "desc");
    b.putInt(8, text.length + 1).put(12, text);
    return b;
  }

  private static ByteBuffer text(String said) {
    byte[] text = said.getBytes(StandardCharsets.US_ASCII);
    ByteBuffer b = ByteBuffer.allocate((8 + text.length + 1 + 3) / 4 * 4);
    word(b, 0, "text");
    b.put(8, text);
    return b;
  }

  private static ByteBuffer xyz(double[] xyz) {
    ByteBuffer b = ByteBuffer.allocate(20);
    word(b, 0, "XYZ ");
    xyz(b, 8, xyz);
    return b;
  }

  /** One exponent, in 256ths. */
  private static ByteBuffer curve() {
    ByteBuffer b = ByteBuffer.allocate(16);
    word(b, 0, "curv");
    b.putInt(8, 1).putShort(12, (short) (GAMMA * 256));
    return b;
  }

  private static void xyz(ByteBuffer b, int at, double[] xyz) {
    for (int i = 0; i < 3; i++) {
      b.putInt(at + 4 * i, (int) Math.round(xyz[i] * 65536));
    }
  }

  private static void word(ByteBuffer b, int at, String word) {
    b.put(at, word.getBytes(StandardCharsets.US_ASCII));
  }
}
