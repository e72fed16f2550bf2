package app.reglet.press.pdf;

import app.reglet.press.colour.PixelInks;
import app.reglet.press.picture.PngFile;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.InkPixels;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * Pixels without loss, quickly: rows with the PNG filter Sub (ISO/IEC 15948, 9.2; PDF predictor 15,
 * ISO 32000-1, 7.4.4.4) and the fastest deflate. A 12-megapixel picture takes about a second where
 * trying every filter takes six.
 */
final class FlatePixels {
  private static final int SUB = 1;
  private static final int STRIP_PIXELS = 1_000_000;

  private FlatePixels() {}

  /**
   * The picture as an image object, 8 bits a channel, RGB, packed row by row as it is read. What
   * shows through it is a soft mask (ISO 32000-1, 11.6.5.3).
   *
   * @param profile the ICC profile of its RGB; empty for the page's own
   */
  static PDImageXObject of(PDDocument document, Rows rows, byte[] profile) throws IOException {
    int w = rows.width();
    int h = rows.height();
    COSStream colours = document.getDocument().createCOSStream();
    COSStream mask = rows.mayBeClear() ? document.getDocument().createCOSStream() : null;
    try (Packed out = new Packed(colours);
        Packed alpha = mask == null ? null : new Packed(mask)) {
      int[] argb = new int[w];
      byte[] row = new byte[1 + 3 * w];
      byte[] alphas = new byte[1 + w]; // filter None before each row
      row[0] = SUB;
      for (int y = 0; y < h; y++) {
        rows.next(argb);
        int last = 0;
        for (int x = 0; x < w; x++) {
          int p = argb[x];
          row[1 + 3 * x] = (byte) ((p >> 16) - (last >> 16));
          row[2 + 3 * x] = (byte) ((p >> 8) - (last >> 8));
          row[3 + 3 * x] = (byte) (p - last);
          alphas[1 + x] = (byte) (p >>> 24);
          last = p;
        }
        out.stream.write(row);
        if (alpha != null) {
          alpha.stream.write(alphas);
        }
      }
    }
    PDImageXObject image =
        image(
            document,
            colours,
            w,
            h,
            8,
            3,
            profile.length == 0 ? PDDeviceRGB.INSTANCE : profiled(document, profile, 3));
    if (mask != null) {
      image
          .getCOSObject()
          .setItem(COSName.SMASK, image(document, mask, w, h, 8, 1, PDDeviceGray.INSTANCE));
    }
    return image;
  }

  /** Strips of pixels in inks. */
  @FunctionalInterface
  interface Strips {
    /**
     * @param y its first row
     * @param rows how many
     */
    InkPixels of(int y, int rows) throws IOException;
  }

  /** A picture in four inks, converted as it is read; what shows through it is a soft mask. */
  static PDImageXObject inked(PDDocument document, Rows rows, PixelInks table) throws IOException {
    int w = rows.width();
    int strip = Math.max(1, STRIP_PIXELS / w);
    return inked(
        document,
        w,
        rows.height(),
        strip,
        !rows.mayBeClear(),
        (y, n) -> {
          int[] argb = new int[w * n];
          int[] row = new int[w];
          for (int i = 0; i < n; i++) {
            rows.next(row);
            System.arraycopy(row, 0, argb, i * w, w);
          }
          byte[] inks = new byte[4 * argb.length];
          table.convert(argb, inks);
          byte[] alpha = null;
          if (rows.mayBeClear()) {
            alpha = new byte[argb.length];
            for (int i = 0; i < argb.length; i++) {
              alpha[i] = (byte) (argb[i] >>> 24);
            }
          }
          return new InkPixels(w, n, inks, alpha);
        });
  }

  /**
   * Pixels in four inks, strip by strip.
   *
   * @param strip rows at a time
   * @param opaque whether nothing shows through
   */
  static PDImageXObject inked(
      PDDocument document, int w, int h, int strip, boolean opaque, Strips strips)
      throws IOException {
    COSStream colours = document.getDocument().createCOSStream();
    COSStream mask = opaque ? null : document.getDocument().createCOSStream();
    try (Packed out = new Packed(colours);
        Packed alpha = mask == null ? null : new Packed(mask)) {
      byte[] row = new byte[1 + 4 * w];
      byte[] alphas = new byte[1 + w];
      row[0] = SUB;
      for (int y = 0; y < h; y += strip) {
        InkPixels here = strips.of(y, Math.min(strip, h - y));
        for (int i = 0; i < here.height(); i++) {
          int at = 4 * w * i;
          for (int x = 0; x < 4 * w; x++) {
            row[1 + x] = (byte) (here.inks()[at + x] - (x < 4 ? 0 : here.inks()[at + x - 4]));
          }
          out.stream.write(row);
          if (alpha != null) {
            System.arraycopy(here.alpha(), w * i, alphas, 1, w);
            alpha.stream.write(alphas);
          }
        }
      }
    }
    PDImageXObject image = image(document, colours, w, h, 8, 4, PDDeviceCMYK.INSTANCE);
    if (mask != null) {
      image
          .getCOSObject()
          .setItem(COSName.SMASK, image(document, mask, w, h, 8, 1, PDDeviceGray.INSTANCE));
    }
    return image;
  }

  /** The lightness of pixels that are gray. */
  static PDImageXObject gray(PDDocument document, BufferedImage image) throws IOException {
    int w = image.getWidth();
    COSStream packed = document.getDocument().createCOSStream();
    try (Packed out = new Packed(packed)) {
      int[] rgb = new int[w];
      byte[] row = new byte[1 + w];
      for (int y = 0; y < image.getHeight(); y++) {
        image.getRGB(0, y, w, 1, rgb, 0, w);
        for (int x = 0; x < w; x++) {
          row[1 + x] = (byte) rgb[x];
        }
        out.stream.write(row);
      }
    }
    return image(document, packed, w, image.getHeight(), 8, 1, PDDeviceGray.INSTANCE);
  }

  /** A stream that is being packed. */
  private static final class Packed implements AutoCloseable {
    private final Deflater deflater = new Deflater(Deflater.BEST_SPEED);
    private final OutputStream stream;

    Packed(COSStream into) throws IOException {
      stream = new DeflaterOutputStream(into.createRawOutputStream(), deflater, 1 << 16);
    }

    @Override
    public void close() throws IOException {
      stream.close();
      deflater.end();
    }
  }

  /**
   * The pixels of a PNG as they are packed in it: no transparency, not interlaced. Its rows are
   * what a PDF's predictor 15 reads.
   */
  static PDImageXObject of(PDDocument document, PngFile png) throws IOException {
    COSStream packed = document.getDocument().createCOSStream();
    try (OutputStream raw = packed.createRawOutputStream();
        InputStream data = png.data()) {
      data.transferTo(raw);
    }
    return image(
        document,
        packed,
        png.width(),
        png.height(),
        png.depth(),
        png.channels(),
        colours(document, png));
  }

  private static PDColorSpace colours(PDDocument document, PngFile png) throws IOException {
    PDColorSpace base =
        png.colour() == 0 && png.profile().length == 0
            ? PDDeviceGray.INSTANCE
            : PDDeviceRGB.INSTANCE;
    if (png.profile().length > 0) {
      base = profiled(document, png.profile(), png.colour() == 0 ? 1 : 3);
    }
    if (png.colour() != 3) {
      return base;
    }
    COSArray indexed = new COSArray();
    indexed.add(COSName.INDEXED);
    indexed.add(base);
    indexed.add(COSInteger.get(png.palette().length / 3 - 1L));
    indexed.add(new COSString(png.palette()));
    return PDColorSpace.create(indexed);
  }

  /** The colours of an ICC profile of so many channels. */
  static PDColorSpace profiled(PDDocument document, byte[] profile, int channels)
      throws IOException {
    PDICCBased space = new PDICCBased(document);
    try (OutputStream out = space.getPDStream().createOutputStream(COSName.FLATE_DECODE)) {
      out.write(profile);
    }
    space.getPDStream().getCOSObject().setInt(COSName.N, channels);
    space
        .getPDStream()
        .getCOSObject()
        .setItem(COSName.ALTERNATE, channels == 1 ? COSName.DEVICEGRAY : COSName.DEVICERGB);
    return space;
  }

  private static PDImageXObject image(
      PDDocument document,
      COSStream packed,
      int w,
      int h,
      int bits,
      int channels,
      PDColorSpace colours)
      throws IOException {
    packed.setItem(COSName.TYPE, COSName.XOBJECT);
    packed.setItem(COSName.SUBTYPE, COSName.IMAGE);
    packed.setItem(COSName.FILTER, COSName.FLATE_DECODE);
    COSDictionary parameters = new COSDictionary();
    parameters.setInt(COSName.PREDICTOR, 15);
    parameters.setInt(COSName.COLORS, channels);
    parameters.setInt(COSName.BITS_PER_COMPONENT, bits);
    parameters.setInt(COSName.COLUMNS, w);
    packed.setItem(COSName.DECODE_PARMS, parameters);
    PDImageXObject object = new PDImageXObject(new PDStream(packed), null);
    object.setWidth(w);
    object.setHeight(h);
    object.setBitsPerComponent(bits);
    object.setColorSpace(colours);
    return object;
  }
}
