package app.reglet.press.picture;

import app.reglet.press.reading.FileBytes;
import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.zip.InflaterInputStream;

/**
 * A PNG as its chunks say (ISO/IEC 15948, 5.3 and 11), read up to its pixels; those are streamed.
 *
 * @param width pixels across
 * @param height pixels down
 * @param depth bits of a channel or index
 * @param colour colour type: 0 grey, 2 RGB, 3 palette, 4 grey and alpha, 6 RGB and alpha
 * @param interlaced whether its rows come in seven passes
 * @param palette RGB triples; empty when there is none
 * @param transparency the tRNS chunk; empty when there is none
 * @param profile its ICC profile; empty when there is none
 */
public record PngFile(
    int width,
    int height,
    int depth,
    int colour,
    boolean interlaced,
    byte[] palette,
    byte[] transparency,
    byte[] profile,
    FileBytes file,
    long pixels) {
  private static final int IHDR = 0x49484452;
  private static final int PLTE = 0x504c5445;
  private static final int TRNS = 0x74524e53;
  private static final int ICCP = 0x69434350;
  private static final int IDAT = 0x49444154;
  private static final int MOST_PROFILE = 4_000_000;

  /**
   * Reads the chunks before the pixels.
   *
   * @throws IOException when it is no PNG, or ends before its pixels
   */
  public static PngFile of(FileBytes file) throws IOException {
    try (DataInputStream in = new DataInputStream(file.open())) {
      in.skipNBytes(8);
      int[] head = null;
      byte[] palette = {};
      byte[] transparency = {};
      byte[] profile = {};
      long at = 8;
      while (true) {
        int length = in.readInt();
        int type = in.readInt();
        if (length < 0) {
          throw new IOException("a chunk of " + length + " bytes");
        }
        if (type == IDAT) {
          if (head == null) {
            throw new IOException("pixels before the header");
          }
          if (head[3] == 3 && palette.length < 3) {
            throw new IOException("indices without a palette");
          }
          // grey wants a grey profile, the others one of RGB (11.3.3.3)
          boolean grey = head[3] == 0 || head[3] == 4;
          if (IccProfile.channels(profile) != (grey ? 1 : 3)) {
            profile = new byte[0];
          }
          return new PngFile(
              head[0],
              head[1],
              head[2],
              head[3],
              head[4] == 1,
              palette,
              transparency,
              profile,
              file,
              at);
        }
        if (type == IHDR) {
          head = new int[] {in.readInt(), in.readInt(), in.read(), in.read(), 0};
          in.skipNBytes(2);
          head[4] = in.read();
          expectAllowed(head);
          in.skipNBytes(length - 13L);
        } else if (type == PLTE && length <= 768) {
          palette = in.readNBytes(length);
        } else if (type == TRNS && length <= 256) {
          transparency = in.readNBytes(length);
        } else if (type == ICCP && length <= MOST_PROFILE) {
          profile = profile(in.readNBytes(length));
        } else {
          in.skipNBytes(length);
        }
        in.skipNBytes(4); // the checksum
        at += 12L + length;
      }
    }
  }

  /** Sizes, and depths that a colour type may have (ISO/IEC 15948, 11.2.2, table 11.1). */
  private static void expectAllowed(int[] head) throws IOException {
    int depth = head[2];
    boolean allowed =
        switch (head[3]) {
          case 0 -> depth == 1 || depth == 2 || depth == 4 || depth == 8 || depth == 16;
          case 3 -> depth == 1 || depth == 2 || depth == 4 || depth == 8;
          case 2, 4, 6 -> depth == 8 || depth == 16;
          default -> false;
        };
    if (!allowed) {
      throw new IOException(depth + " bits of colour type " + head[3]);
    }
    if (head[0] <= 0 || head[1] <= 0) {
      throw new IOException(head[0] + " × " + head[1] + " pixels");
    }
  }

  private static byte[] profile(byte[] chunk) {
    int name = 0;
    while (name < chunk.length && chunk[name] != 0) {
      name++;
    }
    if (name + 2 >= chunk.length) {
      return new byte[0];
    }
    try (InputStream in =
        new InflaterInputStream(
            new ByteArrayInputStream(chunk, name + 2, chunk.length - name - 2))) {
      byte[] profile = in.readNBytes(MOST_PROFILE + 1);
      return profile.length > MOST_PROFILE ? new byte[0] : profile;
    } catch (IOException e) {
      return new byte[0]; // a profile that can't be read says nothing of the colours
    }
  }

  /** Channels or indices of a pixel as stored. */
  public int channels() {
    return switch (colour) {
      case 2 -> 3;
      case 4 -> 2;
      case 6 -> 4;
      default -> 1;
    };
  }

  /** Whether any pixel may let through what is under it. */
  public boolean mayBeTransparent() {
    return colour == 4 || colour == 6 || transparency.length > 0;
  }

  /** Bytes of its rows when they are unpacked to 8 bits, or 16 where they have as many. */
  public long unpacked() {
    return (long) width * height * Math.max(3, channels()) * (depth == 16 ? 2 : 1);
  }

  /** The data of its IDAT chunks, one after the other: a zlib stream of filtered rows. */
  public InputStream data() throws IOException {
    DataInputStream in = new DataInputStream(file.open());
    try {
      in.skipNBytes(pixels);
    } catch (IOException e) {
      in.close();
      throw e;
    }
    return new Data(in);
  }

  private static final class Data extends InputStream {
    private final DataInputStream in;
    private int left;
    private boolean first = true;
    private boolean ended;

    Data(DataInputStream in) {
      this.in = in;
    }

    private boolean next() throws IOException {
      while (left == 0 && !ended) {
        if (!first) {
          in.skipNBytes(4);
        }
        first = false;
        int length = in.readInt();
        ended = in.readInt() != IDAT || length < 0;
        left = ended ? 0 : length;
      }
      return !ended;
    }

    @Override
    public int read() throws IOException {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
    }

    @Override
    public int read(byte[] b, int off, int len) throws IOException {
      if (len == 0) {
        return 0;
      }
      if (!next()) {
        return -1;
      }
      int n = in.read(b, off, Math.min(len, left));
      if (n < 0) {
        ended = true;
        return -1;
      }
      left -= n;
      return n;
    }

    @Override
    public void close() throws IOException {
      in.close();
    }
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof PngFile p
        && width == p.width
        && height == p.height
        && depth == p.depth
        && colour == p.colour
        && interlaced == p.interlaced
        && pixels == p.pixels
        && Arrays.equals(palette, p.palette)
        && Arrays.equals(transparency, p.transparency)
        && Arrays.equals(profile, p.profile);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(new long[] {width, height, depth, colour, pixels});
  }

  @Override
  public String toString() {
    return width + " × " + height + ", type " + colour + ", " + depth + " bits";
  }
}
