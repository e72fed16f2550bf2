package app.reglet.press.raster;

import app.reglet.core.book.Book;
import app.reglet.press.colour.InkTable;
import app.reglet.press.picture.Rows;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.FileImageOutputStream;
import javax.imageio.stream.ImageOutputStream;
import javax.xml.transform.TransformerException;
import org.apache.xmpbox.XMPMetadata;
import org.apache.xmpbox.schema.DublinCoreSchema;
import org.apache.xmpbox.xml.XmpSerializer;

/**
 * A picture of a cover, or of a part of it, as a file of its own: with its fineness and the profile
 * of its colours.
 */
public final class FlatPicture {
  /** Quality of a JPEG, of 1. */
  private static final float QUALITY = 0.92f;

  private static final double MM_PER_INCH = 25.4;

  private FlatPicture() {}

  /** Kinds of files. */
  public enum Format {
    /** ITU-T T.81 in JFIF. */
    JPEG("jpg", "image/jpeg"),
    /** ISO/IEC 15948. */
    PNG("png", "image/png"),
    /** TIFF 6.0, packed without loss. */
    TIFF("tif", "image/tiff");

    private final String ending;
    private final String type;

    Format(String ending, String type) {
      this.ending = ending;
      this.type = type;
    }

    /** Of the file's name. */
    public String ending() {
      return ending;
    }

    /** Its media type. */
    public String type() {
      return type;
    }
  }

  /**
   * Writes a picture in sRGB, row by row.
   *
   * @param rows closed when they are written
   * @param ppi pixels per inch that it says of itself
   * @param out where to; not closed
   * @param scratch a directory for what is written before the file
   */
  public static void write(Rows rows, Format format, double ppi, OutputStream out, Path scratch)
      throws IOException {
    try (rows) {
      RowsImage image =
          new RowsImage(rows, ColorSpace.getInstance(ColorSpace.CS_sRGB), RowsImage::rgb);
      switch (format) {
        case JPEG -> {
          byte[] segments = JpegSegments.fine(ppi).profile(srgb()).bytes();
          StripJpeg.write(rows.width(), rows.height(), StripJpeg.rgb(rows), QUALITY, segments, out);
        }
        case PNG -> png(image, ppi, out, scratch);
        case TIFF -> tiff(image, ppi, srgb(), out, scratch);
      }
    }
  }

  /**
   * Writes a picture in the inks of a press, with their profile, row by row.
   *
   * @param rows in sRGB, closed when they are written
   * @param format TIFF or JPEG; a PNG has no inks
   */
  public static void write(
      Rows rows, InkTable inks, Format format, double ppi, OutputStream out, Path scratch)
      throws IOException {
    byte[] profile = inks.profile().bytes();
    try (rows) {
      switch (format) {
        case TIFF ->
            tiff(
                new RowsImage(
                    rows, new ICC_ColorSpace(ICC_Profile.getInstance(profile)), inks::convert),
                ppi,
                profile,
                out,
                scratch);
        case JPEG -> {
          byte[] segments = JpegSegments.fine(ppi).inverted().profile(profile).bytes();
          StripJpeg.write(
              rows.width(),
              rows.height(),
              StripJpeg.inks(rows, inks, true),
              QUALITY,
              segments,
              out);
        }
        default -> throw new IllegalArgumentException("no picture in inks: " + format);
      }
    }
  }

  private static byte[] srgb() {
    return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
  }

  /** A JPEG that says its profile and whose cover it is (XMP, ISO 16684-1). */
  static byte[] titled(byte[] jpeg, Book book) {
    try {
      XMPMetadata xmp = XMPMetadata.createXMPMetadata();
      DublinCoreSchema dc = xmp.createAndAddDublinCoreSchema();
      dc.setTitle(book.title());
      if (!book.author().isEmpty()) {
        dc.addCreator(book.author());
      }
      ByteArrayOutputStream packet = new ByteArrayOutputStream();
      new XmpSerializer().serialize(xmp, packet, true);
      return JpegSegments.none().xmp(packet.toByteArray()).profile(srgb()).in(jpeg);
    } catch (TransformerException e) {
      throw new IllegalStateException(e); // a title and a name can be written
    }
  }

  private static ImageWriter writer(String format) {
    for (var i = ImageIO.getImageWritersByFormatName(format); i.hasNext(); ) {
      ImageWriter next = i.next();
      // the JDK's own asks for rows as it writes them
      if (next.getClass().getName().startsWith("com.sun.")) {
        return next;
      }
    }
    throw new IllegalStateException("no writer of " + format);
  }

  private static void png(RowsImage image, double ppi, OutputStream out, Path scratch)
      throws IOException {
    ByteArrayOutputStream own = new ByteArrayOutputStream();
    DataOutputStream chunks = new DataOutputStream(own);
    chunk(chunks, "sRGB", new byte[] {1}); // relative colorimetric (ISO/IEC 15948, 11.3.3.5)
    int perMetre = (int) Math.round(ppi * 1000 / MM_PER_INCH);
    chunk(
        chunks,
        "pHYs",
        ByteBuffer.allocate(9).putInt(perMetre).putInt(perMetre).put((byte) 1).array());
    int header = 8 + 25; // signature and IHDR
    ImageWriter writer = writer("png");
    // written to the end first: the writer goes back for lengths
    Path file = Files.createTempFile(scratch, "picture", ".png");
    try {
      try (ImageOutputStream stream = new FileImageOutputStream(file.toFile())) {
        writer.setOutput(stream);
        writer.write(null, new IIOImage(image, null, null), null);
      } finally {
        writer.dispose();
      }
      try (InputStream in = Files.newInputStream(file)) {
        out.write(in.readNBytes(header));
        own.writeTo(out);
        in.transferTo(out);
      }
    } finally {
      Files.delete(file);
    }
  }

  private static void chunk(DataOutputStream out, String name, byte[] data) throws IOException {
    byte[] head = name.getBytes(StandardCharsets.US_ASCII);
    CRC32 crc = new CRC32();
    crc.update(head);
    crc.update(data);
    out.writeInt(data.length);
    out.write(head);
    out.write(data);
    out.writeInt((int) crc.getValue());
  }

  /** With its fineness and profile (TIFF 6.0, section 8; tag 34675, ICC.1:2010, B.3). */
  private static void tiff(
      RowsImage image, double ppi, byte[] profile, OutputStream out, Path scratch)
      throws IOException {
    ImageWriter writer = writer("tiff");
    Path file = Files.createTempFile(scratch, "picture", ".tif");
    try {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionType("LZW");
      IIOMetadata metadata =
          writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), param);
      TIFFDirectory directory = TIFFDirectory.createFromMetadata(metadata);
      BaselineTIFFTagSet tags = BaselineTIFFTagSet.getInstance();
      long[][] fine = {{Math.round(ppi * 1000), 1000}};
      directory.addTIFFField(
          new TIFFField(
              tags.getTag(BaselineTIFFTagSet.TAG_X_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, fine));
      directory.addTIFFField(
          new TIFFField(
              tags.getTag(BaselineTIFFTagSet.TAG_Y_RESOLUTION), TIFFTag.TIFF_RATIONAL, 1, fine));
      directory.addTIFFField(
          new TIFFField(
              tags.getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT),
              BaselineTIFFTagSet.RESOLUTION_UNIT_INCH));
      directory.addTIFFField(
          new TIFFField(
              tags.getTag(BaselineTIFFTagSet.TAG_ICC_PROFILE),
              TIFFTag.TIFF_UNDEFINED,
              profile.length,
              profile));
      try (ImageOutputStream stream = new FileImageOutputStream(file.toFile())) {
        writer.setOutput(stream);
        writer.write(null, new IIOImage(image, null, directory.getAsMetadata()), param);
      } finally {
        writer.dispose();
      }
      Files.copy(file, out);
    } finally {
      Files.delete(file);
    }
  }

  /** {@code 12.4 megapixels}. */
  public static String megapixels(long pixels) {
    return String.format(Locale.ROOT, "%.1f megapixels", pixels / 1e6);
  }
}
