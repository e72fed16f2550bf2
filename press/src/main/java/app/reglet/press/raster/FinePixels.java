package app.reglet.press.raster;

import app.reglet.press.art.Pixels;
import app.reglet.press.picture.Orientation;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.picture.Rows;
import app.reglet.press.picture.ScaledRows;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;

/**
 * Stored pictures as a press file has them: in sRGB, treated, as coarse as is wanted, as their
 * files lie, row by row.
 */
public final class FinePixels {
  /** Pixels of a photo that is decoded as a whole, which is quicker than row by row. */
  private static final long MOST_WHOLE = 26_000_000;

  /** Pixels of a coarser picture that is kept until it is drawn. */
  private static final long MOST_KEPT = 12_000_000;

  private final Map<String, Boolean> clear = new HashMap<>();
  private final boolean drawnToo;
  private String keptKey = "";
  private BufferedImage kept;

  /**
   * @param drawnToo whether pictures that are read row by row may be drawn later
   */
  public FinePixels(boolean drawnToo) {
    this.drawnToo = drawnToo;
  }

  /** Whether something may show through a picture as it lies on the sheet. */
  public boolean mayBeClear(Pixels.Stored s) {
    return s.under() == null
        && s.picture().format() != Picture.Format.JPEG
        && clear.computeIfAbsent(
            s.picture().sha(), k -> PictureReader.mayBeTransparent(s.picture()));
  }

  /**
   * The rows.
   *
   * @throws IOException when the file can't be read
   */
  public Rows rows(Pixels.Stored s) throws IOException {
    if (key(s).equals(keptKey)) {
      return PictureReader.rows(kept);
    }
    if (drawnToo && !s.isWhole() && (long) s.columns() * s.rows() <= MOST_KEPT) {
      kept = null; // let go of the last before the next is read
      kept = image(s);
      keptKey = key(s);
      return PictureReader.rows(kept);
    }
    return fromFile(s);
  }

  private static Rows fromFile(Pixels.Stored s) throws IOException {
    Picture p = s.picture();
    Rows rows;
    if (p.format() == Picture.Format.JPEG && (long) p.width() * p.height() <= MOST_WHOLE) {
      rows =
          PictureReader.rows(
              s.treating().onto(PictureReader.pixels(p, MOST_WHOLE), p.orientation()));
    } else {
      rows = PictureReader.rows(p, s.treating());
    }
    rows = s.under() == null ? rows : PictureReader.laidOn(s.under().onScreen(), rows);
    if (s.isWhole()) {
      return rows;
    }
    boolean swap = Orientation.swapsSides(p.orientation());
    return new ScaledRows(rows, swap ? s.rows() : s.columns(), swap ? s.columns() : s.rows());
  }

  /** What tells pictures apart. */
  public static String key(Pixels.Stored s) {
    return s.picture().sha()
        + (s.under() == null ? "" : " on " + s.under().text())
        + (s.treating().isNone() ? "" : " as " + s.treating().word())
        + (s.isWhole() ? "" : " " + s.columns());
  }

  /** All pixels; no longer kept here. */
  BufferedImage taken(Pixels.Stored s) {
    if (key(s).equals(keptKey)) {
      BufferedImage image = kept;
      kept = null;
      keptKey = "";
      return image;
    }
    try {
      return image(s);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static BufferedImage image(Pixels.Stored s) throws IOException {
    try (Rows rows = fromFile(s)) {
      BufferedImage image =
          new BufferedImage(
              rows.width(),
              rows.height(),
              rows.mayBeClear() ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
      int[] row = new int[rows.width()];
      PixelRow out = new PixelRow(image);
      for (int y = 0; y < rows.height(); y++) {
        rows.next(row);
        out.write(y, row);
      }
      return image;
    }
  }
}
