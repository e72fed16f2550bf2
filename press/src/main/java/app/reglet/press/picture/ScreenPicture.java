package app.reglet.press.picture;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Small upright pictures for a screen. */
public final class ScreenPicture {
  private static final float SCREEN_QUALITY = 0.86f;

  /** Of the JDK's PNG writer: nine tenths of the way to no packing at all. */
  private static final float QUICK = 0.9f;

  private ScreenPicture() {}

  /** A JPEG, or a PNG where anything shows through; its longer side at most so many pixels. */
  static byte[] of(BufferedImage stored, Picture picture, int longest) {
    boolean clear = stored.getColorModel().hasAlpha();
    boolean swap = Orientation.swapsSides(picture.orientation());
    int uw = swap ? stored.getHeight() : stored.getWidth();
    int uh = swap ? stored.getWidth() : stored.getHeight();
    double scale = Math.min(1.0, (double) longest / Math.max(uw, uh));
    int tw = Math.max(1, (int) Math.round(uw * scale));
    int th = Math.max(1, (int) Math.round(uh * scale));
    BufferedImage out = scaled(stored, tw, th, Orientation.upright(picture.orientation()));
    try {
      return clear ? png(out) : jpeg(out, SCREEN_QUALITY);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The same, its longer side at most so many pixels. */
  public static BufferedImage smaller(BufferedImage image, int longest) {
    double scale = Math.min(1, (double) longest / Math.max(image.getWidth(), image.getHeight()));
    return scaled(
        image,
        Math.max(1, (int) Math.round(scale * image.getWidth())),
        Math.max(1, (int) Math.round(scale * image.getHeight())),
        new AffineTransform());
  }

  /** Drawn anew; upright maps the image's unit square to the new one's. */
  private static BufferedImage scaled(
      BufferedImage image, int width, int height, AffineTransform upright) {
    boolean clear = image.getColorModel().hasAlpha();
    BufferedImage out =
        new BufferedImage(
            width, height, clear ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
    Graphics2D g = out.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.setRenderingHint(RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY);
    AffineTransform t = AffineTransform.getScaleInstance(width, height);
    t.concatenate(upright);
    t.scale(1.0 / image.getWidth(), 1.0 / image.getHeight());
    g.drawImage(image, t, null);
    g.dispose();
    return out;
  }

  /**
   * The same, treated.
   *
   * @param shown a picture for a screen, decoded
   */
  public static byte[] treated(BufferedImage shown, Treating treating) {
    try {
      BufferedImage image = treating.of(shown);
      return image.getColorModel().hasAlpha() ? png(image) : jpeg(image, SCREEN_QUALITY);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A PNG of a picture. */
  public static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  /** A PNG that is packed in little time, and larger for it. */
  public static byte[] quickPng(BufferedImage image) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(QUICK);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }

  /** A JPEG of an RGB picture. */
  public static byte[] jpeg(BufferedImage image, float quality) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
