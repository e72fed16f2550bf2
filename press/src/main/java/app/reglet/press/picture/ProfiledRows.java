package app.reglet.press.picture;

import java.awt.Point;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;

/** Rows in the colours of an ICC profile, as sRGB. */
final class ProfiledRows extends ChangedRows {
  private final IccProfile.ToScreen toScreen;
  private final WritableRaster from;
  private final WritableRaster to;
  private final byte[] in;
  private final byte[] out;

  /**
   * @param toScreen from one channel, gray, or three
   */
  ProfiledRows(Rows rows, IccProfile.ToScreen toScreen) {
    super(rows);
    this.toScreen = toScreen;
    this.from = raster(rows.width(), toScreen.channels());
    this.to = raster(rows.width(), 3);
    this.in = new byte[toScreen.channels() * rows.width()];
    this.out = new byte[3 * rows.width()];
  }

  private static WritableRaster raster(int width, int channels) {
    return Raster.createInterleavedRaster(
        DataBuffer.TYPE_BYTE, width, 1, channels, new Point(0, 0));
  }

  @Override
  protected void change(int[] argb, int y) {
    int n = toScreen.channels();
    for (int x = 0; x < argb.length; x++) {
      for (int c = 0; c < n; c++) {
        in[n * x + c] = (byte) (argb[x] >> 16 - 8 * c);
      }
    }
    from.setDataElements(0, 0, argb.length, 1, in);
    toScreen.convert(from, to);
    to.getDataElements(0, 0, argb.length, 1, out);
    for (int x = 0; x < argb.length; x++) {
      argb[x] =
          argb[x] & 0xff000000
              | (out[3 * x] & 0xff) << 16
              | (out[3 * x + 1] & 0xff) << 8
              | out[3 * x + 2] & 0xff;
    }
  }
}
