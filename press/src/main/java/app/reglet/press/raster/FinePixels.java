package app.reglet.press.raster;

import app.reglet.press.art.Pixels;
import app.reglet.press.colour.PixelInks;
import app.reglet.press.colour.PressInks;
import app.reglet.press.picture.Orientation;
import app.reglet.press.picture.OwnColours;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.picture.Rows;
import app.reglet.press.picture.ScaledRows;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Stored pictures as a press file has them: treated, as coarse as is wanted, as their files lie,
 * row by row; in sRGB, or for a press's inks in the colours of their files.
 */
public final class FinePixels {
  /** Pixels of a photo that is decoded as a whole, which is quicker than row by row. */
  private static final long MOST_WHOLE = 26_000_000;

  /** Pixels of a coarser picture that is kept until it is drawn. */
  static final long MOST_KEPT = 12_000_000;

  private final Map<String, Boolean> clear = new ConcurrentHashMap<>();
  private final Map<String, Optional<OwnColours>> own = new ConcurrentHashMap<>();
  private final boolean drawnToo;
  private final PressInks inks;
  private String keptKey = "";
  private BufferedImage kept;

  /**
   * @param drawnToo whether pictures that are read row by row may be drawn later
   * @param inks that they are wanted for; null for sRGB
   */
  public FinePixels(boolean drawnToo, PressInks inks) {
    this.drawnToo = drawnToo;
    this.inks = inks;
  }

  /** In sRGB. */
  static FinePixels onScreen() {
    return new FinePixels(false, null);
  }

  /** Whether the pixels of a picture are inks already. */
  boolean isInks(Pixels.Stored s) {
    return own(s).filter(OwnColours::isInks).isPresent();
  }

  /** How the pixels of a picture become inks. */
  public PixelInks inks(Pixels.Stored s) {
    return own(s).flatMap(inks::table).orElse(inks.table());
  }

  /** The colours of its file that a picture is in here; empty for sRGB. */
  private Optional<OwnColours> own(Pixels.Stored s) {
    if (inks == null || !s.treating().isNone() || s.under() != null && mayBeClear(s.picture())) {
      return Optional.empty();
    }
    return own.computeIfAbsent(
        s.picture().sha(), k -> OwnColours.of(s.picture()).filter(o -> inks.table(o).isPresent()));
  }

  /** Whether something may show through a picture as it lies on the sheet. */
  public boolean mayBeClear(Pixels.Stored s) {
    return s.under() == null && mayBeClear(s.picture());
  }

  private boolean mayBeClear(Picture picture) {
    return picture.format() != Picture.Format.JPEG
        && clear.computeIfAbsent(picture.sha(), k -> PictureReader.mayBeTransparent(picture));
  }

  /**
   * The rows.
   *
   * @throws IOException when the file can't be read
   */
  public Rows rows(Pixels.Stored s) throws IOException {
    if (key(s).equals(keptKey)) {
      return kept(s);
    }
    if (drawnToo && !s.isWhole() && (long) s.columns() * s.rows() <= MOST_KEPT) {
      kept = null; // let go of the last before the next is read
      kept = image(s);
      keptKey = key(s);
      return kept(s);
    }
    return fromFile(s);
  }

  private Rows kept(Pixels.Stored s) {
    return isInks(s) ? PictureReader.inks(kept) : PictureReader.rows(kept);
  }

  private Rows fromFile(Pixels.Stored s) throws IOException {
    Picture p = s.picture();
    Optional<OwnColours> colours = own(s);
    Rows rows;
    if (colours.isPresent()) {
      rows = PictureReader.rows(p, colours.get());
    } else if (p.format() == Picture.Format.JPEG && (long) p.width() * p.height() <= MOST_WHOLE) {
      rows =
          PictureReader.rows(
              s.treating().onto(PictureReader.pixels(p, MOST_WHOLE), p.orientation()));
    } else {
      rows = PictureReader.rows(p, s.treating());
    }
    rows =
        s.under() == null || rows.isInks()
            ? rows
            : PictureReader.laidOn(s.under().onScreen(), rows);
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

  /** A picture as coarse as it must be to be drawn as a whole. */
  static Pixels.Stored drawable(Pixels.Stored s) {
    double all = (double) s.columns() * s.rows();
    return all <= MOST_KEPT ? s : s.coarser((int) (s.columns() * Math.sqrt(MOST_KEPT / all)));
  }

  /** All pixels, inks as 0xCCMMYYKK in an ARGB image; no longer kept here. */
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

  private BufferedImage image(Pixels.Stored s) throws IOException {
    try (Rows rows = fromFile(s)) {
      BufferedImage image =
          new BufferedImage(
              rows.width(),
              rows.height(),
              rows.mayBeClear() || rows.isInks()
                  ? BufferedImage.TYPE_INT_ARGB
                  : BufferedImage.TYPE_INT_RGB);
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
