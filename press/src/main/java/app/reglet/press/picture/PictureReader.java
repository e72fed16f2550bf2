package app.reglet.press.picture;

import app.reglet.core.Refusal;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;

/** Reads pictures that people bring: checks them, and decodes them upright. */
public final class PictureReader {
  /** Largest file taken. */
  public static final int MOST_BYTES = 80_000_000;

  /** Most pixels taken: a 17 × 24 in sheet at 500 ppi. */
  public static final long MOST_PIXELS = 100_000_000L;

  private static final int SAMPLE = 96;

  private PictureReader() {}

  /**
   * Looks at a file without keeping its pixels.
   *
   * @throws Refusal when it is no JPEG, PNG or TIFF, is damaged, or is too large
   */
  public static Picture read(byte[] file) {
    if (file.length == 0) {
      throw new Refusal("picture", "The file is empty: choose a JPEG, PNG or TIFF picture.");
    }
    if (file.length > MOST_BYTES) {
      throw new Refusal(
          "picture",
          String.format(
              Locale.ROOT,
              "The file has %.1f MB; a picture has at most %d MB.",
              file.length / 1e6,
              MOST_BYTES / 1_000_000));
    }
    Picture.Format format = format(file);
    try (Opened opened = Opened.of(file, format)) {
      int w = opened.reader.getWidth(0);
      int h = opened.reader.getHeight(0);
      if ((long) w * h > MOST_PIXELS) {
        throw new Refusal(
            "picture",
            String.format(
                Locale.ROOT,
                "The picture has %d × %d = %.0f million pixels; at most %d million are taken.",
                w,
                h,
                (double) w * h / 1e6,
                MOST_PIXELS / 1_000_000));
      }
      int orientation = ExifOrientation.of(file, format);
      boolean swap = Orientation.swapsSides(orientation);
      BufferedImage sample = small(opened.reader, w, h, SAMPLE);
      return new Picture(
          sha(file), format, swap ? h : w, swap ? w : h, orientation, mean(sample), () -> file);
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal r) {
        throw r;
      }
      throw new Refusal(
          "picture",
          "The "
              + format
              + " file can't be read: it is damaged, or of a kind Reglet does not know. Save it anew and try again.");
    }
  }

  /** SHA-256 in hex. */
  public static String sha(byte[] file) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(file));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The stored pixels, as sRGB or grey, not yet turned upright. */
  public static BufferedImage pixels(Picture picture) {
    try (Opened opened = Opened.of(picture.file().get(), picture.format())) {
      return opened.reader.read(0);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A small upright JPEG for a screen, its longer side at most so many pixels. */
  public static byte[] screen(Picture picture, int longest) {
    try (Opened opened = Opened.of(picture.file().get(), picture.format())) {
      int w = opened.reader.getWidth(0);
      int h = opened.reader.getHeight(0);
      BufferedImage stored = small(opened.reader, w, h, longest);
      boolean swap = Orientation.swapsSides(picture.orientation());
      int uw = swap ? stored.getHeight() : stored.getWidth();
      int uh = swap ? stored.getWidth() : stored.getHeight();
      double scale = Math.min(1.0, (double) longest / Math.max(uw, uh));
      int tw = Math.max(1, (int) Math.round(uw * scale));
      int th = Math.max(1, (int) Math.round(uh * scale));
      BufferedImage out = new BufferedImage(tw, th, BufferedImage.TYPE_INT_RGB);
      Graphics2D g = out.createGraphics();
      g.setRenderingHint(
          RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
      g.setRenderingHint(RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY);
      g.setColor(java.awt.Color.WHITE);
      g.fillRect(0, 0, tw, th);
      AffineTransform t = AffineTransform.getScaleInstance(tw, th);
      t.concatenate(Orientation.upright(picture.orientation()));
      t.scale(1.0 / stored.getWidth(), 1.0 / stored.getHeight());
      g.drawImage(stored, t, null);
      g.dispose();
      return jpeg(out, 0.86f);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
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

  private static Picture.Format format(byte[] f) {
    if (f.length > 3 && (f[0] & 0xff) == 0xff && (f[1] & 0xff) == 0xd8) {
      return Picture.Format.JPEG;
    }
    if (f.length > 8 && (f[0] & 0xff) == 0x89 && f[1] == 'P' && f[2] == 'N' && f[3] == 'G') {
      return Picture.Format.PNG;
    }
    if (f.length > 4
        && ((f[0] == 'I' && f[1] == 'I' && f[2] == 42)
            || (f[0] == 'M' && f[1] == 'M' && f[3] == 42))) {
      return Picture.Format.TIFF;
    }
    throw new Refusal(
        "picture",
        "This file is no JPEG, PNG or TIFF: save the picture as one of these and try again.");
  }

  /** Every n-th pixel, so that a large file costs little memory. */
  private static BufferedImage small(ImageReader reader, int w, int h, int longest)
      throws IOException {
    ImageReadParam param = reader.getDefaultReadParam();
    int step = Math.max(1, Math.max(w, h) / Math.max(1, longest));
    param.setSourceSubsampling(step, step, 0, 0);
    BufferedImage image = reader.read(0, param);
    if (image.getType() == BufferedImage.TYPE_INT_RGB) {
      return image;
    }
    BufferedImage rgb =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D g = rgb.createGraphics();
    g.setColor(java.awt.Color.WHITE);
    g.fillRect(0, 0, rgb.getWidth(), rgb.getHeight());
    g.drawImage(image, 0, 0, null);
    g.dispose();
    return rgb;
  }

  private static int mean(BufferedImage image) {
    long r = 0;
    long g = 0;
    long b = 0;
    long n = (long) image.getWidth() * image.getHeight();
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int rgb = image.getRGB(x, y);
        r += rgb >> 16 & 0xff;
        g += rgb >> 8 & 0xff;
        b += rgb & 0xff;
      }
    }
    return (int) (r / n) << 16 | (int) (g / n) << 8 | (int) (b / n);
  }

  /** An open image reader with its stream. */
  private record Opened(ImageReader reader, ImageInputStream stream) implements AutoCloseable {
    static Opened of(byte[] file, Picture.Format format) throws IOException {
      Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName(format.name());
      if (!readers.hasNext()) {
        throw new IOException("no reader for " + format);
      }
      ImageReader reader = readers.next();
      ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(file));
      reader.setInput(stream, false, false);
      return new Opened(reader, stream);
    }

    @Override
    public void close() throws IOException {
      reader.dispose();
      stream.close();
    }
  }
}
