package app.reglet.press.inspect.page;

import app.reglet.press.raster.InkPixels;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/** The inks of a page, put aside: width, height, then four bytes a pixel, deflated. */
public final class PlateFile {
  private static final int MOST_PIXELS = 40_000_000;

  private PlateFile() {}

  /** Writes them. */
  public static void write(Path to, InkPixels inks) throws IOException {
    Deflater quick = new Deflater(Deflater.BEST_SPEED);
    try (DataOutputStream out =
        new DataOutputStream(
            new DeflaterOutputStream(new BufferedOutputStream(Files.newOutputStream(to)), quick))) {
      out.writeInt(inks.width());
      out.writeInt(inks.height());
      out.write(inks.inks());
    } finally {
      quick.end();
    }
  }

  /** Reads them. */
  public static InkPixels read(Path from) throws IOException {
    try (DataInputStream in =
        new DataInputStream(
            new InflaterInputStream(new BufferedInputStream(Files.newInputStream(from))))) {
      int w = in.readInt();
      int h = in.readInt();
      if (w <= 0 || h <= 0 || (long) w * h > MOST_PIXELS) {
        throw new IOException("no inks of a page");
      }
      byte[] inks = new byte[4 * w * h];
      in.readFully(inks);
      return new InkPixels(w, h, inks, null);
    }
  }
}
