package app.reglet.press.raster;

import app.reglet.press.picture.Rows;
import java.awt.Point;
import java.awt.Rectangle;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.awt.image.RenderedImage;
import java.awt.image.SampleModel;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Vector;

/**
 * Rows as an image for writers that ask for it from the top: only the rows that were asked for last
 * are in memory. It is laid out in tiles as wide as itself and a few rows high, since some writers
 * ask for rectangles and others for tiles (the JDK's PNG writer does the one up to 17.0.15 and the
 * other in 17.0.21): one tile over the whole image would bring all of it into memory.
 */
final class RowsImage implements RenderedImage {
  /** How many rows of the picture a tile holds: as many as are in memory at once. */
  private static final int TILE = 16;

  private final Rows rows;
  private final Samples samples;
  private final int bands;
  private final ColorModel colours;
  private final SampleModel model;
  private int next;
  private WritableRaster last;

  /** What the bands of a pixel are. */
  interface Samples {
    /**
     * @param argb the pixels of a row
     * @param out a byte for each band of each of them
     */
    void of(int[] argb, byte[] out);
  }

  /**
   * @param bands in each pixel
   */
  RowsImage(Rows rows, ColorSpace space, Samples samples) {
    this.rows = rows;
    this.samples = samples;
    this.bands = space.getNumComponents();
    this.colours =
        new ComponentColorModel(space, false, false, Transparency.OPAQUE, DataBuffer.TYPE_BYTE);
    this.model = colours.createCompatibleSampleModel(rows.width(), TILE);
  }

  /** Red, green and blue. */
  static void rgb(int[] argb, byte[] out) {
    for (int x = 0; x < argb.length; x++) {
      out[3 * x] = (byte) (argb[x] >> 16);
      out[3 * x + 1] = (byte) (argb[x] >> 8);
      out[3 * x + 2] = (byte) argb[x];
    }
  }

  @Override
  public Raster getData(Rectangle wanted) {
    if (last == null
        || wanted.y < last.getMinY()
        || wanted.y + wanted.height > last.getMinY() + last.getHeight()) {
      last = read(wanted.y, wanted.height);
    }
    return last.createChild(
        wanted.x, wanted.y, wanted.width, wanted.height, wanted.x, wanted.y, null);
  }

  /** The next rows, as a raster that lies where they do. */
  private WritableRaster read(int y, int height) {
    if (y != next) {
      throw new IllegalStateException("rows are asked for from the top: " + y + " is not " + next);
    }
    WritableRaster raster =
        Raster.createInterleavedRaster(
            DataBuffer.TYPE_BYTE, rows.width(), height, bands, new Point(0, y));
    byte[] data = ((DataBufferByte) raster.getDataBuffer()).getData();
    int[] row = new int[rows.width()];
    byte[] out = new byte[bands * row.length];
    try {
      for (int i = 0; i < height; i++) {
        rows.next(row);
        samples.of(row, out);
        System.arraycopy(out, 0, data, i * out.length, out.length);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    next += height;
    return raster;
  }

  @Override
  public Raster getTile(int x, int y) {
    int top = y * TILE;
    return getData(new Rectangle(0, top, getWidth(), Math.min(TILE, getHeight() - top)));
  }

  @Override
  public Raster getData() {
    return getData(new Rectangle(0, 0, getWidth(), getHeight()));
  }

  @Override
  public WritableRaster copyData(WritableRaster raster) {
    WritableRaster to =
        raster == null ? colours.createCompatibleWritableRaster(getWidth(), getHeight()) : raster;
    to.setRect(getData(to.getBounds()));
    return to;
  }

  @Override
  public Vector<RenderedImage> getSources() {
    return null;
  }

  @Override
  public Object getProperty(String name) {
    return java.awt.Image.UndefinedProperty;
  }

  @Override
  public String[] getPropertyNames() {
    return null;
  }

  @Override
  public ColorModel getColorModel() {
    return colours;
  }

  @Override
  public SampleModel getSampleModel() {
    return model;
  }

  @Override
  public int getWidth() {
    return rows.width();
  }

  @Override
  public int getHeight() {
    return rows.height();
  }

  @Override
  public int getMinX() {
    return 0;
  }

  @Override
  public int getMinY() {
    return 0;
  }

  @Override
  public int getNumXTiles() {
    return 1;
  }

  @Override
  public int getNumYTiles() {
    return (getHeight() + TILE - 1) / TILE;
  }

  @Override
  public int getMinTileX() {
    return 0;
  }

  @Override
  public int getMinTileY() {
    return 0;
  }

  @Override
  public int getTileWidth() {
    return getWidth();
  }

  @Override
  public int getTileHeight() {
    return TILE;
  }

  @Override
  public int getTileGridXOffset() {
    return 0;
  }

  @Override
  public int getTileGridYOffset() {
    return 0;
  }
}
