package app.reglet.press.picture;

import app.reglet.core.Refusal;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Reads pictures that people bring: checks them, and decodes them upright. */
public final class PictureReader {
  private static final int SAMPLE = 96;
  private static final int RGB = 3;
  private static final int WHITE = 0xffffff;

  private PictureReader() {}

  /**
   * Looks at a file without keeping its pixels.
   *
   * @throws Refusal when it is no JPEG, PNG or TIFF, is damaged, or is too large
   */
  public static Picture read(byte[] file) {
    return read(FileBytes.of(file), Budget.forFile(file.length));
  }

  /**
   * Looks at a file without keeping its pixels.
   *
   * @param budget what it may cost
   * @throws Refusal when it is no JPEG, PNG or TIFF, is damaged, is too large or costs too much
   */
  public static Picture read(FileBytes file, Budget budget) {
    return look(file, budget, SAMPLE).picture();
  }

  /**
   * A picture, and a small upright one of it for a screen.
   *
   * @param screen a JPEG, or a PNG where anything shows through
   */
  public record Shown(Picture picture, byte[] screen) {}

  /**
   * Looks at a file and makes a small upright one for a screen, with one reading of its pixels.
   *
   * @param longest its longer side at most, pixels
   * @throws Refusal when it is no JPEG, PNG or TIFF, is damaged, is too large or costs too much
   */
  public static Shown shown(FileBytes file, Budget budget, int longest) {
    Looked looked = look(file, budget, longest);
    return new Shown(
        looked.picture(), ScreenPicture.of(looked.sample(), looked.picture(), longest));
  }

  /** A picture, and every n-th of its stored pixels. */
  private record Looked(Picture picture, BufferedImage sample) {}

  private static Looked look(FileBytes file, Budget budget, int longest) {
    long length = file.length();
    PictureLimits.check(length);
    Picture.Format format = null;
    try {
      format = format(file.first(16));
      long unpacked = 0;
      if (format == Picture.Format.JPEG) {
        PictureLimits.check(JpegFile.of(file));
      } else if (format == Picture.Format.PNG) {
        PngFile png = PngFile.of(file);
        PictureLimits.check(png);
        unpacked = png.unpacked();
      }
      try (Opened opened = Opened.of(file, format, budget)) {
        int w = opened.reader.getWidth(0);
        int h = opened.reader.getHeight(0);
        PictureLimits.check(w, h);
        budget.allowUnpacked(Math.max(unpacked, RGB * (long) w * h));
        int orientation = ExifOrientation.of(file, format, budget);
        boolean swap = Orientation.swapsSides(orientation);
        BufferedImage sample = inOwnColours(small(opened.reader, w, h, longest), file, format);
        return new Looked(
            new Picture(
                file.sha(),
                format,
                swap ? h : w,
                swap ? w : h,
                orientation,
                mean(onWhite(sample)),
                file),
            sample);
      }
    } catch (IOException | RuntimeException e) {
      throw refusal(e, format);
    } catch (StackOverflowError | OutOfMemoryError e) {
      throw new Refusal(
          "picture",
          "The file takes more memory to read than a picture of its size may: save it anew and try again.");
    }
  }

  /** Readers wrap what stopped them. */
  private static Refusal refusal(Exception e, Picture.Format format) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refusal r) {
        return r;
      }
    }
    return new Refusal(
        "picture",
        "The "
            + (format == null ? "picture" : format)
            + " file can't be read: it is damaged, or of a kind Reglet does not know. Save it anew and try again.");
  }

  /**
   * The stored pixels as sRGB, not yet turned upright; of a large picture every second, third … of
   * each row and column, so that no more than so many come.
   *
   * @param most pixels that may come
   */
  public static BufferedImage pixels(Picture picture, long most) {
    try (Opened opened =
        Opened.of(picture.file(), picture.format(), Budget.forKept(picture.file().length()))) {
      int w = opened.reader.getWidth(0);
      int h = opened.reader.getHeight(0);
      int step = 1;
      while ((long) ((w + step - 1) / step) * ((h + step - 1) / step) > most) {
        step++;
      }
      ImageReadParam param = opened.reader.getDefaultReadParam();
      param.setSourceSubsampling(step, step, 0, 0);
      return inOwnColours(opened.reader.read(0, param), picture.file(), picture.format());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Whether something may show through a picture that is no JPEG. */
  public static boolean mayBeTransparent(Picture picture) {
    try (Opened opened =
        Opened.of(picture.file(), picture.format(), Budget.forKept(picture.file().length()))) {
      var type = opened.reader.getRawImageType(0);
      return type == null || type.getColorModel().hasAlpha();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The stored rows one after the other, in the file's own colours where it is a PNG and in sRGB
   * else, without the whole in memory (but for interlaced PNGs, which are bounded when they come
   * in).
   *
   * @throws IOException when the file can't be read
   */
  public static Rows rows(Picture picture) throws IOException {
    if (picture.format() == Picture.Format.PNG) {
      PngFile png = PngFile.of(picture.file());
      if (!png.interlaced()) {
        return new PngRows(png);
      }
    }
    Opened opened =
        Opened.of(picture.file(), picture.format(), Budget.forKept(picture.file().length()));
    var type = opened.reader.getRawImageType(0);
    boolean clear =
        picture.format() != Picture.Format.JPEG
            && (type == null || type.getColorModel().hasAlpha());
    return new RegionRows(opened.reader, clear, opened);
  }

  /**
   * The stored rows in sRGB, treated.
   *
   * @throws IOException when the file can't be read
   */
  public static Rows rows(Picture picture, Treating treating) throws IOException {
    Rows rows = rows(picture);
    if (picture.format() == Picture.Format.PNG) {
      Rows own = rows;
      rows =
          IccProfile.toScreen(PngFile.of(picture.file()).profile())
              .<Rows>map(to -> new ProfiledRows(own, to))
              .orElse(own);
    }
    return treating.isNone()
        ? rows
        : new TreatedRows(rows, treating.inStored(picture.orientation()));
  }

  /**
   * The stored rows in the file's own colours.
   *
   * @param own those of the picture
   * @throws IOException when the file can't be read
   */
  public static Rows rows(Picture picture, OwnColours own) throws IOException {
    if (picture.format() == Picture.Format.PNG) {
      return rows(picture);
    }
    Opened opened =
        Opened.of(picture.file(), picture.format(), Budget.forKept(picture.file().length()));
    JpegFile.Coding coding =
        picture.format() == Picture.Format.JPEG
            ? JpegFile.of(picture.file()).coding(picture.file())
            : JpegFile.Coding.PLAIN;
    return new OwnRows(opened.reader, own.channels(), coding, opened);
  }

  /** The rows of an RGB or ARGB image. */
  public static Rows rows(BufferedImage image) {
    return new ImageRows(image, false);
  }

  /** The rows of an image whose ARGB words are inks, 0xCCMMYYKK. */
  public static Rows inks(BufferedImage image) {
    return new ImageRows(image, true);
  }

  /** Rows laid on a colour, 0xRRGGBB. */
  public static Rows laidOn(int under, Rows rows) {
    return rows.mayBeClear() ? new LaidRows(rows, under) : rows;
  }

  /** The picture as RGB, what is transparent in it laid on white. */
  public static BufferedImage onWhite(BufferedImage image) {
    return Decoded.laidOn(WHITE, image);
  }

  /**
   * A small upright JPEG for a screen, or a PNG where anything shows through; its longer side at
   * most so many pixels.
   */
  public static byte[] screen(Picture picture, int longest) {
    return shown(picture.file(), Budget.forKept(picture.file().length()), longest).screen();
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

  /** As sRGB: the reader of PNGs leaves their profile out. */
  private static BufferedImage inOwnColours(
      BufferedImage image, FileBytes file, Picture.Format format) throws IOException {
    return format == Picture.Format.PNG
        ? Decoded.profiled(image, PngFile.of(file).profile())
        : Decoded.onScreen(image);
  }

  /** Every n-th pixel, so that a large file costs little memory. */
  private static BufferedImage small(ImageReader reader, int w, int h, int longest)
      throws IOException {
    ImageReadParam param = reader.getDefaultReadParam();
    int step = Math.max(1, Math.max(w, h) / Math.max(1, longest));
    param.setSourceSubsampling(step, step, 0, 0);
    return reader.read(0, param);
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
    static Opened of(FileBytes file, Picture.Format format, Budget budget) throws IOException {
      Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName(format.name());
      if (!readers.hasNext()) {
        throw new IOException("no reader for " + format);
      }
      ImageReader reader = readers.next();
      // the JDK has readers of its own for the same formats, in an order that changes from run to
      // run
      while (!reader.getClass().getName().startsWith("com.twelvemonkeys.") && readers.hasNext()) {
        reader = readers.next();
      }
      ImageInputStream stream = file.image(budget);
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
