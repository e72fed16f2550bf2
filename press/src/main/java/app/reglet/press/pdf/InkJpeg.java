package app.reglet.press.pdf;

import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/**
 * Four inks as a JPEG (ITU-T T.81): each a component of its own, none coarser than the others, not
 * inverted, as a PDF reads it without further marks (ISO 32000-1, 7.4.8).
 */
final class InkJpeg {
  private InkJpeg() {}

  /**
   * @param quality 0 to 1
   */
  static byte[] write(Raster inks, float quality) throws IOException {
    ImageWriter writer = null;
    for (var i = ImageIO.getImageWritersByFormatName("jpeg"); i.hasNext(); ) {
      ImageWriter next = i.next();
      // the JDK's own takes bare rasters
      if (next.getClass().getName().startsWith("com.sun.")) {
        writer = next;
      }
    }
    if (writer == null) {
      throw new IOException("no writer of JPEGs in four inks");
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(inks, null, null), param);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
