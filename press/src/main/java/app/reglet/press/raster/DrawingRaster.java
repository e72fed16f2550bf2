package app.reglet.press.raster;

import app.reglet.core.Refusal;
import app.reglet.press.art.Frame;
import app.reglet.press.drawing.HatchLines;
import app.reglet.press.drawing.Item;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
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

  private final Graphics2D g;
  private final Typeface face;

  private DrawingRaster(Graphics2D g, Typeface face) {
    this.g = g;
    this.face = face;
  }

  /**
   * The drawing as a PNG file.
   *
   * @param width in whole pixels
   * @param height in whole pixels
   * @param ppi pixels per inch; also written into the file
   * @param items in mm, origin top left
   * @param face of the labels
   * @throws Refusal when the picture would be too large
   */
  public static byte[] png(long width, long height, int ppi, List<Item> items, Typeface face) {
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
    Graphics2D g = cover.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    g.scale(ppi / MM_PER_INCH, ppi / MM_PER_INCH);
    g.setColor(Color.WHITE);
    new DrawingRaster(g, face).draw(items);
    g.dispose();
    return write(indexed(cover), ppi);
  }

  private void draw(List<Item> items) {
    for (Item item : items) {
      if (item instanceof Item.Path p) {
        path(p);
      } else if (item instanceof Item.Hatch h) {
        hatch(h);
      } else if (item instanceof Item.Label l) {
        label(l);
      }
    }
  }

  private void path(Item.Path p) {
    Path2D path = new Path2D.Double();
    for (double[] run : p.shapes()) {
      path.moveTo(run[0], run[1]);
      for (int i = 2; i < run.length; i += 2) {
        path.lineTo(run[i], run[i + 1]);
      }
      if (p.closed()) {
        path.closePath();
      }
    }
    if (p.filled()) {
      g.fill(path);
      return;
    }
    float[] dashes = null;
    if (!p.dashes().isEmpty()) {
      dashes = new float[p.dashes().size()];
      for (int i = 0; i < dashes.length; i++) {
        dashes[i] = p.dashes().get(i).floatValue();
      }
    }
    g.setStroke(
        new BasicStroke(
            (float) p.weight(), BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 10, dashes, 0));
    g.draw(path);
  }

  private void hatch(Item.Hatch h) {
    var before = g.getClip();
    Path2D area = new Path2D.Double(Path2D.WIND_EVEN_ODD);
    area.append(rectangle(h.outer()), false);
    if (h.inner() != null) {
      area.append(rectangle(h.inner()), false);
    }
    g.clip(area);
    g.setStroke(new BasicStroke((float) h.weight()));
    for (double[] l : HatchLines.of(h)) {
      g.draw(new Line2D.Double(l[0], l[1], l[2], l[3]));
    }
    g.setClip(before);
  }

  private static Rectangle2D rectangle(Frame f) {
    return new Rectangle2D.Double(f.x(), f.y(), f.width(), f.height());
  }

  private void label(Item.Label l) {
    ShapedLine line = face.shape(l.text(), 0);
    double back =
        switch (l.anchor()) {
          case START -> 0;
          case MIDDLE -> line.advance() / 2;
          case END -> line.advance();
        };
    AffineTransform before = g.getTransform();
    g.translate(l.x(), l.y());
    g.rotate(Math.toRadians(l.turn()));
    g.scale(l.size(), l.size());
    g.translate(-back, 0);
    for (int i = 0; i < line.glyphs().length; i++) {
      AffineTransform at = AffineTransform.getTranslateInstance(line.x()[i], 0);
      g.fill(at.createTransformedShape(face.outline(line.glyphs()[i])));
    }
    g.setTransform(before);
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
