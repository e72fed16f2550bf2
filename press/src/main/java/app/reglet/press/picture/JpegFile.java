package app.reglet.press.picture;

import app.reglet.press.reading.FileBytes;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.TreeMap;

/**
 * A JPEG as its markers say (ITU-T T.81, B.1 and B.2).
 *
 * @param width pixels across as stored
 * @param height pixels down as stored
 * @param channels 1 grey, 3 colour, 4 CMYK
 * @param bits of a sample
 * @param progressive whether its pixels come in many scans, each finer than the last
 * @param scans how many there are
 */
public record JpegFile(
    int width, int height, int channels, int bits, boolean progressive, int scans) {
  private static final int START_OF_SCAN = 0xda;
  private static final int APP2 = 0xe2;
  private static final int APP14 = 0xee;
  private static final byte[] APP14_MARK = "Adobe".getBytes(StandardCharsets.US_ASCII);
  private static final byte[] ICC = "ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII);

  /** Scans are counted up to here. */
  private static final int MOST_COUNTED = 100_000;

  /**
   * Reads the frame header and counts the scans.
   *
   * @throws IOException when there is no frame header
   */
  public static JpegFile of(FileBytes file) throws IOException {
    int[] frame = null;
    boolean progressive = false;
    int scans = 0;
    try (DataInputStream in = new DataInputStream(file.open())) {
      in.skipNBytes(2);
      while (scans < MOST_COUNTED) {
        int marker = marker(in);
        if (marker == 0xd9) {
          break;
        }
        if (marker >= 0xd0 && marker <= 0xd8 || marker == 1) {
          continue; // these stand alone
        }
        int length = in.readUnsignedShort();
        if (length < 2) {
          break;
        }
        boolean isFrame =
            marker >= 0xc0 && marker <= 0xcf && marker != 0xc4 && marker != 0xc8 && marker != 0xcc;
        if (isFrame && frame == null && length >= 8) {
          int bits = in.readUnsignedByte();
          int height = in.readUnsignedShort();
          int width = in.readUnsignedShort();
          frame = new int[] {width, height, in.readUnsignedByte(), bits};
          progressive = (marker & 3) == 2;
          in.skipNBytes(length - 8L);
        } else {
          scans += marker == 0xda ? 1 : 0;
          in.skipNBytes(length - 2L);
        }
      }
    } catch (EOFException e) {
      // what was seen so far is what there is
    }
    if (frame == null) {
      throw new IOException("no frame header");
    }
    return new JpegFile(frame[0], frame[1], frame[2], frame[3], progressive, scans);
  }

  /** How the channels of a JPEG are written. */
  enum Coding {
    /** As they are. */
    PLAIN,
    /** Inks as what they leave. */
    INVERTED,
    /** Red, green and blue as lightness and two differences (ITU-T T.871, 7). */
    DIFFERENCES,
    /** Inks likewise, black inverted. */
    INVERTED_DIFFERENCES
  }

  /**
   * How its channels are written: by the APP14 segment where there is one (ISO/IEC 10918-6:2013,
   * 6.5.3), else differences for three channels that don't call themselves R, G, B.
   *
   * @throws IOException when the file can't be read
   */
  Coding coding(FileBytes file) throws IOException {
    int transform = -1;
    boolean rgb = false;
    try (DataInputStream in = new DataInputStream(file.open())) {
      in.skipNBytes(2);
      for (int marker = marker(in); marker != START_OF_SCAN; marker = marker(in)) {
        if (marker >= 0xd0 && marker <= 0xd9 || marker == 1) {
          continue;
        }
        byte[] segment = in.readNBytes(in.readUnsignedShort() - 2);
        if (marker == APP14 && segment.length >= 12 && startsWith(segment, APP14_MARK)) {
          transform = segment[11] & 0xff;
        } else if (marker >= 0xc0 && marker <= 0xc2 && segment.length >= 15) {
          rgb = segment[6] == 'R' && segment[9] == 'G' && segment[12] == 'B';
        }
      }
    } catch (EOFException | IllegalArgumentException e) {
      throw new IOException("it ends before its pixels", e);
    }
    if (channels == 4) {
      return transform == 2
          ? Coding.INVERTED_DIFFERENCES
          : transform == 0 ? Coding.INVERTED : Coding.PLAIN;
    }
    return channels == 3 && transform != 0 && !(transform < 0 && rgb)
        ? Coding.DIFFERENCES
        : Coding.PLAIN;
  }

  /**
   * Its ICC profile, empty when it has none that fits its channels. A large one comes in pieces,
   * each in an APP2 segment with its number and their count (ICC.1:2010, B.4).
   *
   * @throws IOException when the file can't be read
   */
  public byte[] profile(FileBytes file) throws IOException {
    TreeMap<Integer, byte[]> pieces = new TreeMap<>();
    int count = 0;
    try (DataInputStream in = new DataInputStream(file.open())) {
      in.skipNBytes(2);
      for (int marker = marker(in); marker != START_OF_SCAN; marker = marker(in)) {
        if (marker >= 0xd0 && marker <= 0xd9 || marker == 1) {
          continue;
        }
        byte[] segment = in.readNBytes(in.readUnsignedShort() - 2);
        if (marker == APP2 && segment.length > ICC.length + 2 && startsWith(segment, ICC)) {
          count = segment[ICC.length + 1] & 0xff;
          pieces.put(
              segment[ICC.length] & 0xff,
              Arrays.copyOfRange(segment, ICC.length + 2, segment.length));
        }
      }
    } catch (EOFException | IllegalArgumentException e) {
      return new byte[0];
    }
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    pieces.values().forEach(whole::writeBytes);
    return pieces.size() == count && IccProfile.channels(whole.toByteArray()) == channels
        ? whole.toByteArray()
        : new byte[0];
  }

  private static boolean startsWith(byte[] all, byte[] first) {
    return Arrays.equals(all, 0, first.length, first, 0, first.length);
  }

  /** The next marker, over the coded pixels in between. */
  static int marker(DataInputStream in) throws IOException {
    while (true) {
      if (in.readUnsignedByte() == 0xff) {
        int marker = in.readUnsignedByte();
        while (marker == 0xff) {
          marker = in.readUnsignedByte();
        }
        if (marker != 0) {
          return marker;
        }
      }
    }
  }
}
