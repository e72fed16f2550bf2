package app.reglet.press.reading;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageInputStreamImpl;
import org.apache.pdfbox.io.RandomAccessRead;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.io.RandomAccessReadBufferedFile;
import org.apache.pdfbox.io.RandomAccessReadView;

/**
 * The bytes of a file, on the disk or in memory, opened in the ways that readers want. Those on the
 * disk are never in memory as a whole.
 */
public final class FileBytes {
  private final Path path;
  private final byte[] bytes;

  private FileBytes(Path path, byte[] bytes) {
    this.path = path;
    this.bytes = bytes;
  }

  /** A file on the disk. */
  public static FileBytes of(Path path) {
    return new FileBytes(path, null);
  }

  /** Bytes at hand; they are not copied. */
  public static FileBytes of(byte[] bytes) {
    return new FileBytes(null, bytes);
  }

  /** How many there are. */
  public long length() {
    try {
      return path == null ? bytes.length : Files.size(path);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** From the first to the last. */
  public InputStream open() throws IOException {
    return path == null
        ? new ByteArrayInputStream(bytes)
        : new BufferedInputStream(Files.newInputStream(path), 1 << 16);
  }

  /** The first of them. */
  public byte[] first(int count) throws IOException {
    try (InputStream in = open()) {
      return in.readNBytes(count);
    }
  }

  /** All of them; for files that are known to be small. */
  public byte[] all() throws IOException {
    try (InputStream in = open()) {
      return in.readAllBytes();
    }
  }

  /** SHA-256 in hex. */
  public String sha() throws IOException {
    try (InputStream in = open()) {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      byte[] buffer = new byte[1 << 16];
      for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
        digest.update(buffer, 0, n);
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** For readers of pictures; every byte read is counted. */
  public ImageInputStream image(Budget budget) throws IOException {
    RandomAccessFile file = path == null ? null : new RandomAccessFile(path.toFile(), "r");
    return new CountedPicture(file, bytes, budget);
  }

  /** For readers of PDF; every byte read is counted. */
  public RandomAccessRead pdf(Budget budget) throws IOException {
    return new CountedPdf(
        path == null
            ? new RandomAccessReadBuffer(bytes)
            : new RandomAccessReadBufferedFile(path.toFile()),
        budget);
  }

  private static final class CountedPicture extends ImageInputStreamImpl {
    private static final int BUFFER = 1 << 14;

    private final RandomAccessFile file;
    private final byte[] all;
    private final Budget budget;
    private final byte[] buffer = new byte[BUFFER];
    private final long length;
    private long bufferStart;
    private int bufferLength;

    CountedPicture(RandomAccessFile file, byte[] all, Budget budget) throws IOException {
      this.file = file;
      this.all = all;
      this.budget = budget;
      this.length = file == null ? all.length : file.length();
    }

    @Override
    public int read() throws IOException {
      bitOffset = 0;
      if (!fill()) {
        return -1;
      }
      return buffer[(int) (streamPos++ - bufferStart)] & 0xff;
    }

    /**
     * As many as there are: some readers of the JDK take what comes first for all they asked for.
     */
    @Override
    public int read(byte[] b, int off, int len) throws IOException {
      bitOffset = 0;
      int read = 0;
      while (read < len && fill()) {
        int at = (int) (streamPos - bufferStart);
        int n = Math.min(len - read, bufferLength - at);
        System.arraycopy(buffer, at, b, off + read, n);
        streamPos += n;
        read += n;
      }
      return read == 0 && len > 0 ? -1 : read;
    }

    private boolean fill() throws IOException {
      if (streamPos >= bufferStart && streamPos < bufferStart + bufferLength) {
        budget.expectTime();
        return true;
      }
      if (streamPos >= length) {
        budget.expectTime();
        return false;
      }
      int n = (int) Math.min(BUFFER, length - streamPos);
      if (file == null) {
        System.arraycopy(all, (int) streamPos, buffer, 0, n);
      } else {
        file.seek(streamPos);
        file.readFully(buffer, 0, n);
      }
      bufferStart = streamPos;
      bufferLength = n;
      budget.bytes(n);
      return true;
    }

    @Override
    public long length() {
      return length;
    }

    @Override
    public void close() throws IOException {
      super.close();
      if (file != null) {
        file.close();
      }
    }
  }

  private static final class CountedPdf implements RandomAccessRead {
    private final RandomAccessRead in;
    private final Budget budget;

    CountedPdf(RandomAccessRead in, Budget budget) {
      this.in = in;
      this.budget = budget;
    }

    @Override
    public int read() throws IOException {
      budget.bytes(1);
      return in.read();
    }

    @Override
    public int read(byte[] b, int offset, int length) throws IOException {
      int n = in.read(b, offset, length);
      budget.bytes(n);
      return n;
    }

    @Override
    public long getPosition() throws IOException {
      return in.getPosition();
    }

    @Override
    public void seek(long position) throws IOException {
      budget.expectTime();
      in.seek(position);
    }

    @Override
    public long length() throws IOException {
      return in.length();
    }

    @Override
    public boolean isClosed() {
      return in.isClosed();
    }

    @Override
    public boolean isEOF() throws IOException {
      return in.isEOF();
    }

    @Override
    public RandomAccessReadView createView(long start, long streamLength) throws IOException {
      budget.expectTime();
      return new RandomAccessReadView(this, start, streamLength);
    }

    @Override
    public void close() throws IOException {
      in.close();
    }
  }
}
