package app.reglet.press.pdf;

import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.colour.InkTable;
import app.reglet.press.colour.PressInks;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.FinePixels;
import app.reglet.press.raster.InkJpeg;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.raster.SeparatedPictures;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * The images of a document in inks, each embedded once: photos as JPEGs of four inks, others
 * without loss, row by row.
 */
final class InkImages implements ImageObjects {
  /** Pixels that are packed as a JPEG in memory; more are packed without loss. */
  private static final long MOST_PACKED = 24_000_000;

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
    this.separated = new SeparatedPictures(pixels, inks);
  }

  @Override
  public PDImageXObject of(Pixels.Stored stored) throws IOException {
    String key = FinePixels.key(stored);
    PDImageXObject image = kept.get(key);
    if (image == null) {
      try (Rows rows = new StepRows(pixels.rows(stored), progress)) {
        boolean photo = stored.picture().format() == Picture.Format.JPEG;
        image =
            photo && isPacked(rows) ? jpeg(rows) : FlatePixels.inked(document, rows, inks.table());
      }
      kept.put(key, image);
    }
    return image;
  }

  private static boolean isPacked(Rows rows) {
    return isPacked((long) rows.width() * rows.height());
  }

  private static boolean isPacked(long pixels) {
    return pixels >= LEAST_PACKED && pixels <= MOST_PACKED;
  }

  private PDImageXObject jpeg(Rows rows) throws IOException {
    WritableRaster raster = raster(rows.width(), rows.height());
    byte[] all = ((DataBufferByte) raster.getDataBuffer()).getData();
    InkTable table = inks.table();
    int strip = Math.max(1, STRIP_PIXELS / rows.width());
    int[] argb = new int[rows.width()];
    int at = 0;
    for (int y = 0; y < rows.height(); y += strip) {
      int here = Math.min(strip, rows.height() - y);
      int[] strips = new int[here * rows.width()];
      for (int i = 0; i < here; i++) {
        rows.next(argb);
        System.arraycopy(argb, 0, strips, i * argb.length, argb.length);
      }
      byte[] inked = new byte[4 * strips.length];
      table.convert(strips, inked);
      System.arraycopy(inked, 0, all, at, inked.length);
      at += inked.length;
    }
    return jpeg(raster);
  }

  private static WritableRaster raster(int w, int h) {
    return Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, w, h, 4, null);
  }

  private PDImageXObject jpeg(WritableRaster raster) throws IOException {
    return new PDImageXObject(
        document,
        new ByteArrayInputStream(InkJpeg.write(raster, quality)),
        COSName.DCT_DECODE,
        raster.getWidth(),
        raster.getHeight(),
        8,
        PDDeviceCMYK.INSTANCE);
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
    boolean packed = drawn.opaque() && isPhoto(drawn.marks()) && isPacked((long) w * h);
    if (packed) {
      WritableRaster raster = raster(w, h);
      byte[] all = ((DataBufferByte) raster.getDataBuffer()).getData();
      for (int y = 0; y < h; y += strip) {
        byte[] inked = strip(drawn, y, Math.min(strip, h - y)).inks();
        System.arraycopy(inked, 0, all, 4 * w * y, inked.length);
      }
      return jpeg(raster);
    }
    return FlatePixels.inked(document, w, h, strip, drawn.opaque(), (y, n) -> strip(drawn, y, n));
  }

  private InkPixels strip(Pixels.Drawn drawn, int y, int rows) {
    progress.step((long) drawn.width() * rows);
    return InkPixels.draw(
        drawn.marks(),
        DrawnRows.strip(drawn, y, rows),
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
