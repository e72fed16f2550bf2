package app.reglet.press.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;

/** Decoded pixels as sRGB, 8 bits a channel. */
final class Decoded {
  private static final ColorSpace GRAY = ColorSpace.getInstance(ColorSpace.CS_GRAY);

  private Decoded() {}

  /** RGB, or ARGB where something may show through. */
  static BufferedImage onScreen(BufferedImage image) {
    if (image.getType() == BufferedImage.TYPE_INT_RGB
        || image.getType() == BufferedImage.TYPE_INT_ARGB
        || image.getType() == BufferedImage.TYPE_3BYTE_BGR) {
      return image;
    }
    ColorModel colours = image.getColorModel();
    BufferedImage out =
        new BufferedImage(
            image.getWidth(),
            image.getHeight(),
            colours.hasAlpha() ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
    if (!(colours instanceof IndexColorModel)
        && colours.getColorSpace().getType() == ColorSpace.TYPE_GRAY
        && isAwtsGray(colours.getColorSpace())) {
      gray(image.getRaster(), out);
    } else {
      Graphics2D g = out.createGraphics();
      g.drawImage(image, 0, 0, null);
      g.dispose();
    }
    return out;
  }

  /** Whether gray comes without a profile of its own. */
  private static boolean isAwtsGray(ColorSpace space) {
    return space == GRAY
        || space instanceof ICC_ColorSpace icc
            && java.util.Arrays.equals(
                icc.getProfile().getData(), ((ICC_ColorSpace) GRAY).getProfile().getData());
  }

  /** Gray samples are sRGB values as the file has them: AWT takes them for linear light. */
  private static void gray(Raster from, BufferedImage to) {
    int w = to.getWidth();
    int[] samples = new int[w];
    int[] alphas = new int[w];
    int[] row = new int[w];
    boolean clear = from.getNumBands() > 1;
    int depth = from.getSampleModel().getSampleSize(0);
    int top = (1 << depth) - 1;
    for (int y = 0; y < to.getHeight(); y++) {
      from.getSamples(from.getMinX(), from.getMinY() + y, w, 1, 0, samples);
      if (clear) {
        from.getSamples(from.getMinX(), from.getMinY() + y, w, 1, 1, alphas);
      }
      for (int x = 0; x < w; x++) {
        int alpha = clear ? eight(alphas[x], top) : 255;
        row[x] = alpha << 24 | 0x010101 * eight(samples[x], top);
      }
      to.setRGB(0, y, w, 1, row, 0, w);
    }
  }

  private static int eight(int sample, int top) {
    return top == 255 ? sample : (int) ((sample * 255L + top / 2) / top);
  }

  /** RGB, what is transparent laid on a colour, 0xRRGGBB. */
  static BufferedImage laidOn(int under, BufferedImage image) {
    BufferedImage seen = onScreen(image);
    if (!seen.getColorModel().hasAlpha()) {
      return seen;
    }
    BufferedImage rgb =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D g = rgb.createGraphics();
    g.setColor(new Color(under));
    g.fillRect(0, 0, rgb.getWidth(), rgb.getHeight());
    g.drawImage(seen, 0, 0, null);
    g.dispose();
    return rgb;
  }

  /** A picture that was decoded without its profile, in the profile's colours. */
  static BufferedImage profiled(BufferedImage image, byte[] profile) {
    BufferedImage seen = onScreen(image);
    return IccProfile.toScreen(profile)
        .map(
            to -> {
              ProfiledRows rows = new ProfiledRows(new ImageRows(seen, false), to);
              boolean clear = seen.getColorModel().hasAlpha();
              BufferedImage out =
                  new BufferedImage(
                      seen.getWidth(),
                      seen.getHeight(),
                      clear ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
              int[] row = new int[seen.getWidth()];
              for (int y = 0; y < seen.getHeight(); y++) {
                seen.getRGB(0, y, row.length, 1, row, 0, row.length);
                rows.change(row, y);
                out.setRGB(0, y, row.length, 1, row, 0, row.length);
              }
              return out;
            })
        .orElse(seen);
  }
}
