package app.reglet.press.golden;

import app.reglet.press.ExifSpecimen;
import app.reglet.press.Specimen;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** The pictures on golden covers, named in their designs where a stored one has its sum. */
final class GoldenPictures {
  private static final Map<String, Picture> MADE = new ConcurrentHashMap<>();

  private GoldenPictures() {}

  static Picture get(String id) {
    return MADE.computeIfAbsent(
        id,
        i -> {
          try {
            return make(i);
          } catch (Exception e) {
            throw new IllegalStateException(e);
          }
        });
  }

  private static Picture make(String id) throws Exception {
    return switch (id) {
      case "sky.jpg" -> Specimen.picture(Specimen.sky(1500, 1100), "jpg");
      case "sky.png" -> Specimen.picture(Specimen.sky(900, 1400), "png");
      case "corners-6.jpg" -> PictureReader.read(ExifSpecimen.jpeg(Specimen.corners(640, 480), 6));
      case "linear.jpg" ->
          PictureReader.read(tagged(Specimen.encode(Specimen.sky(900, 700), "jpg")));
      case "four-inks.jpg" -> PictureReader.read(fourInks());
      case "suns.png" -> Specimen.picture(suns(), "png");
      default -> throw new IllegalArgumentException(id);
    };
  }

  /** The same bytes said to be linear light: mid tones come out much lighter. */
  private static byte[] tagged(byte[] jpeg) {
    byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    ByteArrayOutputStream segment = new ByteArrayOutputStream();
    segment.writeBytes("ICC_PROFILE\0\1\1".getBytes(StandardCharsets.ISO_8859_1));
    segment.writeBytes(profile);
    return withSegment(jpeg, 0xffe2, segment.toByteArray());
  }

  /** Cyan growing to the right, magenta downwards, no yellow, a black foot. */
  private static byte[] fourInks() throws IOException {
    int w = 900;
    int h = 720;
    WritableRaster raster = Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, w, h, 4, null);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int[] inks = {x * 255 / w, y * 255 / h, 0, y > 600 ? 200 : 0};
        for (int i = 0; i < 4; i++) {
          raster.setSample(x, y, i, 255 - inks[i]); // stored inverted, as the Adobe marker says
        }
      }
    }
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(raster, null, null), null);
    } finally {
      writer.dispose();
    }
    // APP14: Adobe, version 100, no flags, no transform (TN 5116, 18)
    byte[] mark = {'A', 'd', 'o', 'b', 'e', 0, 100, 0, 0, 0, 0, 0};
    return withSegment(out.toByteArray(), 0xffee, mark);
  }

  /** A JPEG with a segment put in behind its first marker. */
  private static byte[] withSegment(byte[] jpeg, int marker, byte[] content) {
    return ByteBuffer.allocate(jpeg.length + 4 + content.length)
        .put(jpeg, 0, 2)
        .putShort((short) marker)
        .putShort((short) (2 + content.length))
        .put(content)
        .put(jpeg, 2, jpeg.length - 2)
        .array();
  }

  /** Discs on nothing, one of them half transparent. */
  private static BufferedImage suns() {
    BufferedImage image = new BufferedImage(900, 700, BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(0xe0a030));
    g.fill(new Ellipse2D.Double(100, 100, 300, 300));
    g.setColor(new Color(0xc0, 0x40, 0x30, 128));
    g.fill(new Ellipse2D.Double(450, 250, 350, 350));
    g.dispose();
    return image;
  }
}
