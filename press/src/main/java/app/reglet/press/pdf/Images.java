package app.reglet.press.pdf;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Pixels;
import app.reglet.press.picture.JpegFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PngFile;
import app.reglet.press.picture.Rows;
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
final class Images {
  /** Pixels that are decoded and packed as a JPEG in memory; more are packed without loss. */
  private static final long MOST_PACKED_ANEW = 12_000_000;

  private static final byte[] NO_PROFILE = {};
  private static final int WHITE = 0xffffff;

  private final PDDocument document;
  private final Map<String, PDImageXObject> kept = new HashMap<>();

  Images(PDDocument document) {
    this.document = document;
  }

  PDImageXObject of(Pixels.Stored stored) throws IOException {
    String key =
        stored.picture().sha() + (stored.under() == null ? "" : " on " + stored.under().text());
    PDImageXObject image = kept.get(key);
    if (image == null) {
      image = embed(stored.picture(), stored.under());
      kept.put(key, image);
    }
    return image;
  }

  PDImageXObject of(Pixels.Made made) throws IOException {
    return LosslessFactory.createFromImage(document, made.image());
  }

  private PDImageXObject embed(Picture picture, Colour.Solid under) throws IOException {
    if (picture.format() == Picture.Format.JPEG) {
      return jpeg(picture);
    }
    if (picture.format() == Picture.Format.PNG) {
      PngFile png = PngFile.of(picture.file());
      if (!png.interlaced() && !png.mayBeTransparent() && png.depth() <= 8) {
        return FlatePixels.of(document, png);
      }
      boolean rgb = png.colour() == 2 || png.colour() == 6;
      byte[] profile = rgb ? png.profile() : NO_PROFILE; // 16 bits become 8
      return png.mayBeTransparent() && under == null
          ? clear(picture, profile)
          : laidOn(picture, under, profile);
    }
    return under == null && PictureReader.mayBeTransparent(picture)
        ? clear(picture, NO_PROFILE)
        : laidOn(picture, under, NO_PROFILE);
  }

  private PDImageXObject laidOn(Picture picture, Colour.Solid under, byte[] profile)
      throws IOException {
    try (Rows rows = PictureReader.rows(picture, under == null ? WHITE : under.onScreen())) {
      return FlatePixels.of(document, rows, profile);
    }
  }

  private PDImageXObject clear(Picture picture, byte[] profile) throws IOException {
    try (Rows onBlack = PictureReader.rows(picture, 0);
        Rows onWhite = PictureReader.rows(picture, WHITE)) {
      return FlatePixels.clear(document, onBlack, onWhite, profile);
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
    return laidOn(picture, null, NO_PROFILE);
  }

  private PDColorSpace colours(JpegFile jpeg, byte[] profile) throws IOException {
    if (profile.length > 0) {
      return FlatePixels.profiled(document, profile, jpeg.channels());
    }
    return jpeg.channels() == 1 ? PDDeviceGray.INSTANCE : PDDeviceRGB.INSTANCE;
  }
}
