package app.reglet.press.raster;

import app.reglet.core.Refusal;
import app.reglet.press.art.Mark;
import app.reglet.press.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/**
 * Draws a technical drawing as a PNG on transparent ground: one ink in 16 steps of cover as an
 * 8-bit palette (PNG specification, ISO/IEC 15948), so that a large sheet stays a small file.
 */
public final class DrawingRaster {
  /** More pixels than this are refused: they would not fit the memory of a small machine. */
  public static final long MOST_PIXELS = 100_000_000;

  private static final int STEPS = 16;
  private static final int INK = 0x26;
  private static final double MM_PER_INCH = 25.4;

  private DrawingRaster() {}

  /**
   * The drawing as a PNG file.
   *
   * @param width in whole pixels
   * @param height in whole pixels
   * @param ppi pixels per inch; also written into the file
   * @param marks in mm, origin top left
   * @param face of the labels
   * @throws Refusal when the picture would be too large
   */
  public static byte[] png(
      long width, long height, int ppi, List<Mark.Group> marks, Typeface face) {
    if (width * height > MOST_PIXELS) {
      throw new Refusal(
          "ppi",
          String.format(
              java.util.Locale.ROOT,
              "%,d × %,d pixels at %d ppi are more than the %,d million that fit: choose a lower ppi.",
              width,
              height,
              ppi,
              MOST_PIXELS / 1_000_000));
    }
    BufferedImage cover =
        new BufferedImage((int) width, (int) height, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D g = ArtworkRaster.graphics(cover);
    g.scale(ppi / MM_PER_INCH, ppi / MM_PER_INCH);
    new RasterPainter(cover, g, c -> Color.WHITE, face).paint(marks);
    g.dispose();
    return write(indexed(cover), ppi);
  }

  /** The cover of each pixel as an index into a palette of one ink from clear to full. */
  private static BufferedImage indexed(BufferedImage cover) {
    byte[] ink = new byte[STEPS];
    byte[] alpha = new byte[STEPS];
    for (int i = 0; i < STEPS; i++) {
      ink[i] = (byte) INK;
      alpha[i] = (byte) (i * 255 / (STEPS - 1));
    }
    IndexColorModel palette = new IndexColorModel(8, STEPS, ink, ink, ink, alpha);
    byte[] pixels = ((DataBufferByte) cover.getRaster().getDataBuffer()).getData();
    for (int i = 0; i < pixels.length; i++) {
      pixels[i] = (byte) (((pixels[i] & 0xff) * (STEPS - 1) + 127) / 255);
    }
    return new BufferedImage(palette, cover.getRaster(), false, null);
  }

  private static byte[] write(BufferedImage image, int ppi) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(0.2f); // of PNG's levels, a small file in a short time
      IIOMetadata metadata =
          writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), param);
      resolution(metadata, ppi);
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, metadata), param);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  /** Pixels to the metre, as PNG keeps its resolution (11.3.5.3, pHYs). */
  private static void resolution(IIOMetadata metadata, int ppi) throws IIOInvalidTreeException {
    String perMetre = String.valueOf(Math.round(ppi * 1000 / MM_PER_INCH));
    IIOMetadataNode root = new IIOMetadataNode("javax_imageio_png_1.0");
    IIOMetadataNode physical = new IIOMetadataNode("pHYs");
    physical.setAttribute("pixelsPerUnitXAxis", perMetre);
    physical.setAttribute("pixelsPerUnitYAxis", perMetre);
    physical.setAttribute("unitSpecifier", "meter");
    root.appendChild(physical);
    metadata.mergeTree("javax_imageio_png_1.0", root);
  }
}
