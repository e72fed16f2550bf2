package app.reglet.press.raster;

import app.reglet.core.book.Book;
import app.reglet.press.colour.InkTable;
import app.reglet.press.picture.ScreenPicture;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
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

  private static final int X_RESOLUTION = 282;
  private static final int Y_RESOLUTION = 283;
  private static final int UNIT = 296;
  private static final int PROFILE = 34675;
  private static final int SHORT = 3;
  private static final int RATIONAL = 5;
  private static final int UNDEFINED = 7;

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
   * Writes a picture in sRGB.
   *
   * @param ppi pixels per inch that it says of itself
   * @param out where to; not closed
   */
  public static void write(BufferedImage image, Format format, double ppi, OutputStream out)
      throws IOException {
    switch (format) {
      case JPEG -> out.write(profiled(jpeg(image, ppi)));
      case PNG -> png(image, ppi, out);
      case TIFF -> tiff(image, ppi, srgb().getData(), out);
    }
  }

  /**
   * Writes a picture in the inks of a press, with their profile.
   *
   * @param image in sRGB
   * @param format TIFF or JPEG; a PNG has no inks
   */
  public static void write(
      BufferedImage image, InkTable inks, Format format, double ppi, OutputStream out)
      throws IOException {
    int w = image.getWidth();
    int h = image.getHeight();
    byte[] profile = inks.profile().bytes();
    WritableRaster raster = Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, w, h, 4, null);
    byte[] data = ((DataBufferByte) raster.getDataBuffer()).getData();
    int[] row = new int[w];
    byte[] inked = new byte[4 * w];
    for (int y = 0; y < h; y++) {
      image.getRGB(0, y, w, 1, row, 0, w);
      inks.convert(row, inked);
      System.arraycopy(inked, 0, data, 4 * w * y, inked.length);
    }
    switch (format) {
      case TIFF -> {
        ICC_ColorSpace space = new ICC_ColorSpace(ICC_Profile.getInstance(profile));
        tiff(
            new BufferedImage(
                new ComponentColorModel(
                    space, false, false, Transparency.OPAQUE, DataBuffer.TYPE_BYTE),
                raster,
                false,
                null),
            ppi,
            profile,
            out);
      }
      case JPEG -> InkJpeg.writeAlone(raster, QUALITY, ppi, profile, out);
      default -> throw new IllegalArgumentException("no picture in inks: " + format);
    }
  }

  private static ICC_Profile srgb() {
    return ICC_Profile.getInstance(ColorSpace.CS_sRGB);
  }

  private static byte[] jpeg(BufferedImage image, double ppi) throws IOException {
    byte[] file = ScreenPicture.jpeg(image, QUALITY);
    // the JFIF segment is the first: density in dots per inch (JFIF 1.02, page 5)
    ByteBuffer b = ByteBuffer.wrap(file);
    b.put(13, (byte) 1);
    b.putShort(14, (short) Math.round(ppi));
    b.putShort(16, (short) Math.round(ppi));
    return file;
  }

  /** With the profile in a segment after the JFIF one (ICC.1:2010, B.4). */
  private static byte[] profiled(byte[] jpeg) {
    byte[] mark = "ICC_PROFILE\0\1\1".getBytes(StandardCharsets.US_ASCII);
    return with(jpeg, 0xe2, mark, srgb().getData());
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
      byte[] mark = "http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.US_ASCII);
      return with(profiled(jpeg), 0xe1, mark, packet.toByteArray());
    } catch (TransformerException e) {
      throw new IllegalStateException(e); // a title and a name can be written
    }
  }

  /** With an application segment after the JFIF one. */
  private static byte[] with(byte[] jpeg, int kind, byte[] mark, byte[] content) {
    int first = 4 + (ByteBuffer.wrap(jpeg).getShort(4) & 0xffff);
    ByteBuffer out = ByteBuffer.allocate(jpeg.length + 4 + mark.length + content.length);
    out.put(jpeg, 0, first);
    out.put((byte) 0xff).put((byte) kind);
    out.putShort((short) (2 + mark.length + content.length));
    out.put(mark).put(content);
    out.put(jpeg, first, jpeg.length - first);
    return out.array();
  }

  private static void png(BufferedImage image, double ppi, OutputStream out) throws IOException {
    byte[] png = ScreenPicture.png(image);
    int header = 8 + 25; // signature and IHDR
    out.write(png, 0, header);
    DataOutputStream chunks = new DataOutputStream(out);
    chunk(chunks, "sRGB", new byte[] {1}); // relative colorimetric (ISO/IEC 15948, 11.3.3.5)
    int perMetre = (int) Math.round(ppi * 1000 / MM_PER_INCH);
    chunk(
        chunks,
        "pHYs",
        ByteBuffer.allocate(9).putInt(perMetre).putInt(perMetre).put((byte) 1).array());
    chunks.flush();
    out.write(png, header, png.length - header);
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

  private static void tiff(BufferedImage image, double ppi, byte[] profile, OutputStream out)
      throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("tiff").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionType("LZW");
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
    described(bytes.toByteArray(), ppi, profile, out);
  }

  /**
   * The same with its fineness and its profile: the writer's own directory is followed by one at
   * the end that says more (TIFF 6.0, sections 2 and 8; tag 34675, ICC.1:2010, B.3).
   */
  private static void described(byte[] tiff, double ppi, byte[] profile, OutputStream out)
      throws IOException {
    ByteBuffer in = ByteBuffer.wrap(tiff);
    in.order(tiff[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    int directory = in.getInt(4);
    int entries = in.getShort(directory) & 0xffff;
    SortedMap<Integer, byte[]> tags = new TreeMap<>();
    for (int i = 0; i < entries; i++) {
      int at = directory + 2 + 12 * i;
      tags.put(in.getShort(at) & 0xffff, Arrays.copyOfRange(tiff, at, at + 12));
    }
    int end = tiff.length + (tiff.length & 1);
    ByteBuffer data =
        ByteBuffer.allocate(8 + profile.length + (profile.length & 1)).order(in.order());
    data.putInt(Math.toIntExact(Math.round(ppi * 1000))).putInt(1000).put(profile);
    tags.put(X_RESOLUTION, entry(in.order(), X_RESOLUTION, RATIONAL, 1, end));
    tags.put(Y_RESOLUTION, entry(in.order(), Y_RESOLUTION, RATIONAL, 1, end));
    byte[] inches = entry(in.order(), UNIT, SHORT, 1, 0);
    ByteBuffer.wrap(inches).order(in.order()).putShort(8, (short) 2);
    tags.put(UNIT, inches);
    tags.put(PROFILE, entry(in.order(), PROFILE, UNDEFINED, profile.length, end + 8));
    ByteBuffer last = ByteBuffer.allocate(2 + 12 * tags.size() + 4).order(in.order());
    last.putShort((short) tags.size());
    tags.values().forEach(last::put);
    in.putInt(4, end + data.capacity());
    out.write(tiff);
    out.write(new byte[end - tiff.length]);
    out.write(data.array());
    out.write(last.array());
  }

  private static byte[] entry(ByteOrder order, int tag, int type, int count, int value) {
    return ByteBuffer.allocate(12)
        .order(order)
        .putShort((short) tag)
        .putShort((short) type)
        .putInt(count)
        .putInt(value)
        .array();
  }

  /** {@code 12.4 megapixels}. */
  public static String megapixels(long pixels) {
    return String.format(Locale.ROOT, "%.1f megapixels", pixels / 1e6);
  }
}
