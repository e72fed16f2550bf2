package app.reglet.press.picture;

import java.awt.image.Raster;
import java.io.IOException;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;

/** The rows of a picture in the colours that its file has, three channels or four inks. */
final class OwnRows extends StripRows<Raster> {
  private static final int FULL = 255;

  private final int channels;
  private final JpegFile.Coding coding;
  private int[] samples = new int[0];

  /**
   * @param channels 3 or 4
   * @param coding how a JPEG writes them
   * @param owner what is closed at the end
   */
  OwnRows(ImageReader reader, int channels, JpegFile.Coding coding, AutoCloseable owner)
      throws IOException {
    super(reader, owner);
    this.channels = channels;
    this.coding = coding;
  }

  @Override
  public boolean mayBeClear() {
    return false;
  }

  @Override
  public boolean isInks() {
    return channels == 4;
  }

  @Override
  Raster read(ImageReader from, ImageReadParam param) throws IOException {
    Raster raster =
        from.canReadRaster() ? from.readRaster(0, param) : from.read(0, param).getRaster();
    if (raster.getNumBands() != channels) {
      throw new IOException("the picture has no " + channels + " channels");
    }
    return raster;
  }

  @Override
  void take(Raster from, int row, int[] pixels) {
    int wanted = channels * pixels.length;
    if (samples.length != wanted) {
      samples = new int[wanted];
    }
    from.getPixels(from.getMinX(), from.getMinY() + row, pixels.length, 1, samples);
    int top = (1 << from.getSampleModel().getSampleSize(0)) - 1;
    if (top != FULL) {
      for (int i = 0; i < wanted; i++) {
        samples[i] = (int) ((samples[i] * (long) FULL + top / 2) / top);
      }
    }
    for (int x = 0; x < pixels.length; x++) {
      int at = channels * x;
      decode(at);
      int pixel = channels == 4 ? 0 : FULL;
      for (int c = 0; c < channels; c++) {
        pixel = pixel << 8 | samples[at + c];
      }
      pixels[x] = pixel;
    }
  }

  /** The channels of a JPEG as they are meant (ITU-T T.871, 7). */
  private void decode(int at) {
    switch (coding) {
      case PLAIN -> {}
      case INVERTED -> {
        for (int c = 0; c < 4; c++) {
          samples[at + c] = FULL - samples[at + c];
        }
      }
      case DIFFERENCES -> light(at);
      case INVERTED_DIFFERENCES -> {
        // what would be light is the ink itself, since it was inverted before
        light(at);
        samples[at + 3] = FULL - samples[at + 3];
      }
    }
  }

  private void light(int at) {
    int y = samples[at];
    int cb = samples[at + 1] - 128;
    int cr = samples[at + 2] - 128;
    samples[at] = level(y + 1.402 * cr);
    samples[at + 1] = level(y - 0.344136 * cb - 0.714136 * cr);
    samples[at + 2] = level(y + 1.772 * cb);
  }

  private static int level(double v) {
    return (int) Math.max(0, Math.min(FULL, Math.round(v)));
  }
}
