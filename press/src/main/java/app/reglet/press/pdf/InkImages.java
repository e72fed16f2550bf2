package app.reglet.press.pdf;

import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.colour.PixelInks;
import app.reglet.press.colour.PressInks;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.DrawnRows;
import app.reglet.press.raster.FinePixels;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.raster.SeparatedPictures;
import app.reglet.press.raster.StripJpeg;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * The images of a document in inks, each embedded once: photos as JPEGs of four inks, others
 * without loss, row by row.
 */
final class InkImages implements ImageObjects {
  /** Pixels below which packing with loss gains nothing. */
  private static final long LEAST_PACKED = 250_000;

  private static final int STRIP_PIXELS = 2_000_000;

  private final PDDocument document;
  private final PressInks inks;
  private final float quality;
  private final Progress progress;
  private final FinePixels pixels;
  private final SeparatedPictures separated;
  private final Map<String, PDImageXObject> kept = new HashMap<>();

  /**
   * @param quality of JPEGs, 0 to 1
   */
  InkImages(
      PDDocument document, PressInks inks, FinePixels pixels, float quality, Progress progress) {
    this.progress = progress;
    this.document = document;
    this.inks = inks;
    this.pixels = pixels;
    this.quality = quality;
    this.separated = new SeparatedPictures(pixels);
  }

  @Override
  public PDImageXObject of(Pixels.Stored stored) throws IOException {
    String key = FinePixels.key(stored);
    PDImageXObject image = kept.get(key);
    if (image == null) {
      try (Rows rows = new StepRows(pixels.rows(stored), progress)) {
        PixelInks table = pixels.inks(stored);
        boolean photo = stored.picture().format() == Picture.Format.JPEG;
        image =
            photo && (long) rows.width() * rows.height() >= LEAST_PACKED
                ? jpeg(rows.width(), rows.height(), StripJpeg.inks(rows, table, false))
                : FlatePixels.inked(document, rows, table);
      }
      kept.put(key, image);
    }
    return image;
  }

  /**
   * Pixels of a placed page's picture, as an image object without a mask.
   *
   * @param packed four bytes a pixel: cyan, magenta, yellow, black
   * @param photo whether it was packed with loss before
   */
  COSStream packed(int w, int h, byte[] packed, boolean photo) throws IOException {
    if (photo && (long) w * h >= LEAST_PACKED) {
      return jpeg(w, h, (y, n) -> StripJpeg.inks(rows(packed, w, y, n), w)).getCOSObject();
    }
    return FlatePixels.inked(document, w, h, h, true, (y, n) -> new InkPixels(w, n, packed, null))
        .getCOSObject();
  }

  private static byte[] rows(byte[] inks, int w, int y, int n) {
    return Arrays.copyOfRange(inks, 4 * w * y, 4 * w * (y + n));
  }

  private PDImageXObject jpeg(int w, int h, StripJpeg.Strips strips) throws IOException {
    COSStream packed = document.getDocument().createCOSStream();
    try (OutputStream out = new BufferedOutputStream(packed.createRawOutputStream())) {
      StripJpeg.write(w, h, strips, quality, new byte[0], out);
    }
    packed.setItem(COSName.TYPE, COSName.XOBJECT);
    packed.setItem(COSName.SUBTYPE, COSName.IMAGE);
    packed.setItem(COSName.FILTER, COSName.DCT_DECODE);
    PDImageXObject image = new PDImageXObject(new PDStream(packed), null);
    image.setWidth(w);
    image.setHeight(h);
    image.setBitsPerComponent(8);
    image.setColorSpace(PDDeviceCMYK.INSTANCE);
    return image;
  }

  @Override
  public PDImageXObject of(Pixels.Made made) throws IOException {
    try (Rows rows = PictureReader.rows(made.image())) {
      return FlatePixels.inked(document, rows, inks.table());
    }
  }

  @Override
  public PDImageXObject mask(Pixels.Made made) throws IOException {
    BufferedImage image = made.image();
    return FlatePixels.gray(document, image);
  }

  @Override
  public PDImageXObject of(Pixels.Drawn drawn) throws IOException {
    int w = drawn.width();
    int h = drawn.height();
    int strip = Math.max(16, STRIP_PIXELS / w);
    boolean packed = drawn.opaque() && isPhoto(drawn.marks()) && (long) w * h >= LEAST_PACKED;
    if (packed) {
      return jpeg(w, h, (y, n) -> StripJpeg.inks(strip(drawn, y, n).inks(), w));
    }
    return FlatePixels.inked(document, w, h, strip, drawn.opaque(), (y, n) -> strip(drawn, y, n));
  }

  private InkPixels strip(Pixels.Drawn drawn, int y, int rows) {
    progress.step((long) drawn.width() * rows);
    return InkPixels.draw(
        drawn.marks(),
        DrawnRows.strip(drawn.box(), drawn.height(), y, rows),
        drawn.width(),
        rows,
        inks,
        separated,
        drawn.opaque());
  }

  private static boolean isPhoto(List<Mark> marks) {
    return marks.stream()
        .anyMatch(
            m ->
                m instanceof Mark.Group g && isPhoto(g.marks())
                    || m instanceof Mark.Image i
                        && i.pixels() instanceof Pixels.Stored s
                        && s.picture().format() == Picture.Format.JPEG);
  }

  @Override
  public COSName mixedIn() {
    return COSName.DEVICECMYK;
  }
}
