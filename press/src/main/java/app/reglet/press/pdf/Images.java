package app.reglet.press.pdf;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Pixels;
import app.reglet.press.picture.JpegFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PngFile;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.DrawnRows;
import app.reglet.press.raster.FinePixels;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** The pictures of a document, each embedded once: a JPEG as it came, others without loss. */
final class Images implements ImageObjects {
  /** Pixels that are decoded and packed as a JPEG in memory; more are packed without loss. */
  private static final long MOST_PACKED_ANEW = 12_000_000;

  /** Pixels of a photo that is decoded and treated as a whole; a larger one goes row by row. */
  private static final long MOST_TREATED_WHOLE = 26_000_000;

  private static final byte[] NO_PROFILE = {};

  private final PDDocument document;
  private final Progress progress;
  private final Map<String, PDImageXObject> kept = new HashMap<>();

  Images(PDDocument document, Progress progress) {
    this.document = document;
    this.progress = progress;
  }

  @Override
  public PDImageXObject of(Pixels.Stored stored) throws IOException {
    String key = FinePixels.key(stored);
    PDImageXObject image = kept.get(key);
    if (image == null) {
      image =
          stored.treating().isNone() ? embed(stored.picture(), stored.under()) : treated(stored);
      kept.put(key, image);
      progress.step((long) stored.columns() * stored.rows());
    }
    return image;
  }

  @Override
  public PDImageXObject of(Pixels.Made made) throws IOException {
    return LosslessFactory.createFromImage(document, made.image());
  }

  @Override
  public PDImageXObject mask(Pixels.Made made) throws IOException {
    return of(made);
  }

  /** Strip by strip, on white. */
  @Override
  public PDImageXObject of(Pixels.Drawn drawn) throws IOException {
    PDImageXObject image = FlatePixels.of(document, new DrawnRows(drawn), NO_PROFILE);
    progress.step((long) drawn.width() * drawn.height());
    return image;
  }

  @Override
  public COSName mixedIn() {
    return COSName.DEVICERGB;
  }

  /** Pixels that are others than the file's: a photo as a JPEG again, others without loss. */
  private PDImageXObject treated(Pixels.Stored stored) throws IOException {
    Picture p = stored.picture();
    if (p.format() == Picture.Format.JPEG && (long) p.width() * p.height() <= MOST_TREATED_WHOLE) {
      BufferedImage pixels = PictureReader.pixels(p, MOST_TREATED_WHOLE);
      return JPEGFactory.createFromImage(
          document, stored.treating().onto(pixels, p.orientation()), 0.95f);
    }
    try (Rows rows = PictureReader.rows(p, stored.treating())) {
      return FlatePixels.of(document, laidOn(stored.under(), rows), NO_PROFILE);
    }
  }

  private static Rows laidOn(Colour.Solid under, Rows rows) {
    return under == null ? rows : PictureReader.laidOn(under.onScreen(), rows);
  }

  private PDImageXObject embed(Picture picture, Colour.Solid under) throws IOException {
    byte[] profile = NO_PROFILE;
    if (picture.format() == Picture.Format.JPEG) {
      return jpeg(picture);
    }
    if (picture.format() == Picture.Format.PNG) {
      PngFile png = PngFile.of(picture.file());
      if (!png.interlaced() && !png.mayBeTransparent() && png.depth() <= 8) {
        return FlatePixels.of(document, png);
      }
      if (!png.interlaced() && (png.colour() == 2 || png.colour() == 6)) { // 16 bits become 8
        profile = png.profile();
      }
    }
    try (Rows rows = PictureReader.rows(picture)) {
      return FlatePixels.of(document, laidOn(under, rows), profile);
    }
  }

  private PDImageXObject jpeg(Picture picture) throws IOException {
    JpegFile jpeg = JpegFile.of(picture.file());
    if (jpeg.channels() == 1 || jpeg.channels() == 3) {
      try (InputStream in = picture.file().open()) {
        return new PDImageXObject(
            document,
            in,
            COSName.DCT_DECODE,
            jpeg.width(),
            jpeg.height(),
            8,
            colours(jpeg, jpeg.profile(picture.file())));
      }
    }
    if ((long) jpeg.width() * jpeg.height() <= MOST_PACKED_ANEW) {
      return JPEGFactory.createFromImage(
          document, PictureReader.onWhite(PictureReader.pixels(picture, MOST_PACKED_ANEW)), 0.95f);
    }
    try (Rows rows = PictureReader.rows(picture)) {
      return FlatePixels.of(document, rows, NO_PROFILE);
    }
  }

  private PDColorSpace colours(JpegFile jpeg, byte[] profile) throws IOException {
    if (profile.length > 0) {
      return FlatePixels.profiled(document, profile, jpeg.channels());
    }
    return jpeg.channels() == 1 ? PDDeviceGray.INSTANCE : PDDeviceRGB.INSTANCE;
  }
}
