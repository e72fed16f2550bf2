package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.layout.StartingLayout;
import app.reglet.press.art.Artwork;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.JpegFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureLimits;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PngFile;
import app.reglet.press.picture.Rows;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Pictures row by row, and what the press gets of them, against the JDK's reader and poppler. */
public class PictureFilesTest {
  private static final int UNDER = 0x2a60c4;
  private static final int W = 61;
  private static final int H = 43;

  private static BufferedImage sixteenBits(boolean alpha, boolean grey) {
    ComponentColorModel model =
        new ComponentColorModel(
            ColorSpace.getInstance(grey ? ColorSpace.CS_GRAY : ColorSpace.CS_sRGB),
            alpha,
            false,
            alpha ? Transparency.TRANSLUCENT : Transparency.OPAQUE,
            DataBuffer.TYPE_USHORT);
    WritableRaster raster = model.createCompatibleWritableRaster(W, H);
    Random random = new Random(5);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        for (int b = 0; b < raster.getNumBands(); b++) {
          raster.setSample(x, y, b, random.nextInt(65536));
        }
      }
    }
    return new BufferedImage(model, raster, false, null);
  }

  private static BufferedImage drawn(int type) {
    BufferedImage image = new BufferedImage(W, H, type);
    fill(image);
    return image;
  }

  private static void fill(BufferedImage image) {
    Random random = new Random(9);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        image.setRGB(x, y, random.nextInt());
      }
    }
  }

  private static BufferedImage palette(int bits, boolean clear) {
    int n = 1 << bits;
    byte[][] c = new byte[4][n];
    Random random = new Random(bits);
    for (byte[] each : c) {
      random.nextBytes(each);
    }
    IndexColorModel model =
        clear
            ? new IndexColorModel(bits, n, c[0], c[1], c[2], c[3])
            : new IndexColorModel(bits, n, c[0], c[1], c[2]);
    BufferedImage image =
        new BufferedImage(
            W,
            H,
            bits < 8 ? BufferedImage.TYPE_BYTE_BINARY : BufferedImage.TYPE_BYTE_INDEXED,
            model);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        image.getRaster().setSample(x, y, 0, random.nextInt(n));
      }
    }
    return image;
  }

  @DataProvider
  public Object[][] pngs() {
    return new Object[][] {
      {"rgb", drawn(BufferedImage.TYPE_INT_RGB)},
      {"rgba", drawn(BufferedImage.TYPE_INT_ARGB)},
      {"grey", drawn(BufferedImage.TYPE_BYTE_GRAY)},
      {"grey of one bit", drawn(BufferedImage.TYPE_BYTE_BINARY)},
      {"rgb of 16 bits", sixteenBits(false, false)},
      {"rgba of 16 bits", sixteenBits(true, false)},
      {"grey of 16 bits", sixteenBits(false, true)},
      {"grey and alpha of 16 bits", sixteenBits(true, true)},
      {"palette", palette(8, false)},
      {"palette of 4 bits", palette(4, false)},
      {"palette of 2 bits", palette(2, false)},
      {"palette, partly clear", palette(8, true)},
      {"palette of 4 bits, partly clear", palette(4, true)},
    };
  }

  /**
   * A PNG's 16 bits as the nearest 8 (the JDK cuts them), laid on a colour; greys as they are
   * stored.
   */
  private static BufferedImage expected(BufferedImage image) {
    BufferedImage out = new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB);
    boolean wide = image.getRaster().getDataBuffer().getDataType() == DataBuffer.TYPE_USHORT;
    boolean grey = image.getColorModel().getNumColorComponents() == 1;
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        int[] p = image.getRaster().getPixel(x, y, (int[]) null);
        int argb;
        if (image.getColorModel() instanceof IndexColorModel) {
          argb = image.getRGB(x, y);
        } else if (wide || grey) {
          int most = wide ? 65535 : 255;
          int[] e = new int[p.length];
          for (int i = 0; i < p.length; i++) {
            e[i] = (int) Math.round(p[i] * 255.0 / most);
          }
          int a = image.getColorModel().hasAlpha() ? e[e.length - 1] : 255;
          argb = a << 24 | e[0] << 16 | e[grey ? 0 : 1] << 8 | e[grey ? 0 : 2];
        } else {
          argb = image.getRGB(x, y);
        }
        int a = argb >>> 24;
        int rgb = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
          int v = argb >> shift & 0xff;
          rgb |= (int) Math.round((v * a + (UNDER >> shift & 0xff) * (255.0 - a)) / 255) << shift;
        }
        out.setRGB(x, y, rgb);
      }
    }
    return out;
  }

  private static void near(int a, int b, int by, String what) {
    for (int shift = 16; shift >= 0; shift -= 8) {
      assertThat(Math.abs((a >> shift & 0xff) - (b >> shift & 0xff)))
          .as(what)
          .isLessThanOrEqualTo(by);
    }
  }

  @Test(dataProvider = "pngs")
  public void rowsOfAPngAreItsPixelsOnTheColourUnderIt(String name, BufferedImage image)
      throws Exception {
    Picture picture = PictureReader.read(Specimen.encode(image, "png"));
    BufferedImage expected = expected(image);
    try (Rows rows = PictureReader.laidOn(UNDER, PictureReader.rows(picture))) {
      int[] row = new int[W];
      for (int y = 0; y < H; y++) {
        rows.next(row);
        for (int x = 0; x < W; x++) {
          near(row[x] & 0xffffff, expected.getRGB(x, y), 1, name + " at " + x + ", " + y);
        }
      }
    }
  }

  @Test(dataProvider = "pngs")
  public void popplerDrawsThePngInThePressFile(String name, BufferedImage image) throws Exception {
    Picture picture = PictureReader.read(Specimen.encode(image, "png"));
    Path file = pressFile(picture);
    Tool.ok("qpdf", "--check", file.toString());
    Tool.ok("pdfimages", "-png", file.toString(), file.resolveSibling("px").toString());
    BufferedImage back = ImageIO.read(file.resolveSibling("px-000.png").toFile());
    BufferedImage expected = expected(image);
    assertThat(back.getWidth()).isEqualTo(W);
    boolean grey = back.getColorModel().getNumColorComponents() == 1;
    for (int y = 0; y < H; y += 3) {
      for (int x = 0; x < W; x += 5) {
        int v = back.getRaster().getSample(x, y, 0);
        int found =
            grey && back.getSampleModel().getSampleSize(0) == 8
                ? v << 16 | v << 8 | v
                : back.getRGB(x, y);
        near(found, expected.getRGB(x, y), 2, name + " at " + x + ", " + y);
      }
    }
  }

  private static Path pressFile(Picture picture) throws Exception {
    Artwork art =
        Specimen.artwork(
            320,
            StartingLayout.AXIS,
            Ground.plain(new Colour.Rgb(UNDER)).withPicture(picture.sha()),
            sha -> Optional.of(picture));
    Path file = Tool.file("wrap.pdf", new byte[0]);
    try (OutputStream out = Files.newOutputStream(file)) {
      PressFile.write(
          List.of(new PressFile.Page(art, art.wrap())),
          Specimen.BOOK,
          Instant.EPOCH,
          app.reglet.press.pdf.PressMaking.SCREEN,
          app.reglet.press.pdf.Progress.none(),
          out,
          Scratch.directory("scratch"));
    }
    // the file written by way of the disk is the file made in memory
    assertThat(file)
        .hasBinaryContent(PressFile.make(art, art.wrap(), Specimen.BOOK, Instant.EPOCH));
    return file;
  }

  /** Found by the fuzzer: a depth that no colour type has divided by zero. */
  @Test
  public void aPngWhoseHeaderBreaksTheStandardIsNoPng() throws Exception {
    byte[] sound = Specimen.encode(drawn(BufferedImage.TYPE_INT_RGB), "png");
    int[][] depthAndType = {{69, 93}, {4, 2}, {16, 3}, {2, 4}, {1, 6}, {8, 5}, {8, 3}, {0, 0}};
    for (int[] wrong : depthAndType) {
      byte[] spoiled = sound.clone();
      spoiled[24] = (byte) wrong[0];
      spoiled[25] = (byte) wrong[1];
      assertThatThrownBy(() -> PngFile.of(FileBytes.of(spoiled))).isInstanceOf(IOException.class);
      assertThatThrownBy(() -> PictureReader.read(spoiled))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("PNG file can't be read");
    }
    byte[] none = sound.clone();
    java.util.Arrays.fill(none, 16, 20, (byte) 0);
    assertThatThrownBy(() -> PngFile.of(FileBytes.of(none))).isInstanceOf(IOException.class);
  }

  /** A PNG with an iCCP chunk (ISO/IEC 15948, 11.3.3.3) behind its header. */
  private static byte[] withProfile(byte[] plain, byte[] profile) throws IOException {
    ByteArrayOutputStream chunk = new ByteArrayOutputStream();
    chunk.write("linear\0\0".getBytes());
    try (var packed = new java.util.zip.DeflaterOutputStream(chunk)) {
      packed.write(profile);
    }
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    whole.write(plain, 0, 33);
    java.io.DataOutputStream d = new java.io.DataOutputStream(whole);
    d.writeInt(chunk.size());
    java.util.zip.CRC32 crc = new java.util.zip.CRC32();
    crc.update("iCCP".getBytes());
    crc.update(chunk.toByteArray());
    d.write("iCCP".getBytes());
    chunk.writeTo(d);
    d.writeInt((int) crc.getValue());
    whole.write(plain, 33, plain.length - 33);
    return whole.toByteArray();
  }

  @Test
  public void anIccProfileOfAPngGoesWithIt() throws Exception {
    byte[] profile = java.awt.color.ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    byte[] png = withProfile(Specimen.encode(drawn(BufferedImage.TYPE_INT_RGB), "png"), profile);
    assertThat(PngFile.of(FileBytes.of(png)).profile()).isEqualTo(profile);
    Path pdf = pressFile(PictureReader.read(png));
    assertThat(Tool.ok("pdfimages", "-list", pdf.toString())).contains(" icc ");
  }

  @Test
  public void aProfileThatDoesNotFitItsChannelsIsLeftOut() throws Exception {
    byte[] rgb = java.awt.color.ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    byte[] grey = java.awt.color.ICC_Profile.getInstance(ColorSpace.CS_GRAY).getData();
    byte[] greyPng = Specimen.encode(drawn(BufferedImage.TYPE_BYTE_GRAY), "png");
    byte[] rgbPng = Specimen.encode(drawn(BufferedImage.TYPE_INT_RGB), "png");
    assertThat(PngFile.of(FileBytes.of(withProfile(greyPng, grey))).profile()).isEqualTo(grey);
    assertThat(PngFile.of(FileBytes.of(withProfile(rgbPng, grey))).profile()).isEmpty();
    byte[] wrong = withProfile(greyPng, rgb);
    assertThat(PngFile.of(FileBytes.of(wrong)).profile()).isEmpty();
    Path pdf = pressFile(PictureReader.read(wrong));
    assertThat(Tool.ok("pdfimages", "-list", pdf.toString())).doesNotContain(" icc ");
  }

  @Test
  public void aTiffIsReadStripByStripWithoutLoss() throws Exception {
    BufferedImage image = new BufferedImage(900, 5200, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    for (int y = 0; y < 5200; y++) {
      g.setColor(new Color(y % 256, y / 256 * 8 % 256, 77));
      g.drawLine(0, y, 899, y);
    }
    g.dispose();
    Picture picture = PictureReader.read(Specimen.encode(image, "tiff"));
    try (Rows rows = PictureReader.laidOn(UNDER, PictureReader.rows(picture))) {
      int[] row = new int[900];
      for (int y = 0; y < 5200; y++) {
        rows.next(row);
        assertThat(row[100] & 0xffffff).as("row " + y).isEqualTo(image.getRGB(100, y) & 0xffffff);
      }
    }
  }

  @Test
  public void aReadGivesAllThatWasAskedForWhereverItBegins() throws Exception {
    byte[] bytes = new byte[100_000];
    new Random(3).nextBytes(bytes);
    Path path = Tool.file("bytes", bytes);
    for (FileBytes file : new FileBytes[] {FileBytes.of(bytes), FileBytes.of(path)}) {
      try (ImageInputStream in = file.image(Budget.forFile(bytes.length))) {
        Random random = new Random(4);
        for (int i = 0; i < 200; i++) {
          int at = random.nextInt(bytes.length);
          byte[] got = new byte[random.nextInt(60_000)];
          in.seek(at);
          // some readers of the JDK take the first answer for all of it
          int n = in.read(got);
          int there = Math.min(got.length, bytes.length - at);
          assertThat(n).isEqualTo(there == 0 && got.length > 0 ? -1 : there);
          assertThat(
                  java.util.Arrays.equals(got, 0, Math.max(0, n), bytes, at, at + Math.max(0, n)))
              .isTrue();
        }
        in.seek(bytes.length);
        assertThat(in.read()).isEqualTo(-1);
      }
      assertThat(file.sha()).hasSize(64);
    }
  }

  private static byte[] jpeg(int w, int h, boolean progressive) throws Exception {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      if (progressive) {
        param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
      }
      writer.setOutput(out);
      writer.write(
          null,
          new IIOImage(new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB), null, null),
          param);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  @Test
  public void theMarkersOfAJpegAreRead() throws Exception {
    JpegFile baseline = JpegFile.of(FileBytes.of(jpeg(70, 50, false)));
    assertThat(baseline).isEqualTo(new JpegFile(70, 50, 3, 8, false, 1));
    JpegFile progressive = JpegFile.of(FileBytes.of(jpeg(70, 50, true)));
    assertThat(progressive.progressive()).isTrue();
    assertThat(progressive.scans()).isBetween(5, 20);
    assertThatThrownBy(() -> JpegFile.of(FileBytes.of(new byte[] {(byte) 0xff, (byte) 0xd8})))
        .isInstanceOf(java.io.IOException.class);
  }

  @Test
  public void eachLimitNamesTheFigureThatBreaksIt() throws Exception {
    byte[] jpeg = jpeg(64, 64, true);
    int frame = indexOf(jpeg, 0xffc2);
    // a header that says 9000 × 9000 is enough to be refused by
    byte[] large = jpeg.clone();
    large[frame + 5] = (byte) (9000 >> 8);
    large[frame + 6] = (byte) 9000;
    large[frame + 7] = (byte) (9000 >> 8);
    large[frame + 8] = (byte) 9000;
    assertThatThrownBy(() -> PictureReader.read(large))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(
            "This progressive JPEG has 9000 × 9000 = 81 million pixels; at most 50 million")
        .hasMessageContaining("save it as a baseline JPEG");
    byte[] deep = jpeg.clone();
    deep[frame + 4] = 12;
    assertThatThrownBy(() -> PictureReader.read(deep)).hasMessageContaining("12 bits a channel");
    assertThatThrownBy(() -> PictureReader.read(new byte[PictureLimits.MOST_BYTES + 1]))
        .hasMessageContaining("The file has 80.0 MB; a picture has at most 80 MB");
  }

  private static int indexOf(byte[] bytes, int marker) {
    for (int i = 0; i + 1 < bytes.length; i++) {
      if ((bytes[i] & 0xff) == marker >> 8 && (bytes[i + 1] & 0xff) == (marker & 0xff)) {
        return i;
      }
    }
    throw new AssertionError("no such marker");
  }

  @Test
  public void aLargePictureIsThinnedOutForPixels() throws Exception {
    byte[] png = Specimen.encode(Specimen.sky(600, 400), "png");
    Picture picture = PictureReader.read(png);
    assertThat(PictureReader.pixels(picture, 1_000_000).getWidth()).isEqualTo(600);
    BufferedImage thin = PictureReader.pixels(picture, 30_000);
    assertThat((long) thin.getWidth() * thin.getHeight()).isLessThanOrEqualTo(30_000);
    assertThat(thin.getWidth()).isEqualTo(200);
    assertThat(
            ImageIO.read(new ByteArrayInputStream(PictureReader.screen(picture, 100))).getWidth())
        .isEqualTo(100);
  }

  /** Colours are worked out and packed on the same thread, between one strip and the next. */
  @Test(groups = Extent.LONG)
  public void rowsOfAPictureThatIsHereComeHoweverLongTheirTakerWorksOnThem() throws Exception {
    // more than one strip of it
    BufferedImage noise = new BufferedImage(4000, 4200, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(7);
    for (int y = 0; y < 4200; y++) {
      noise.setRGB(0, y, 4000, 1, random.ints(4000).toArray(), 0, 4000);
    }
    byte[] jpeg = Specimen.encode(noise, "jpg");
    Picture picture = PictureReader.read(jpeg);
    ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    try (Rows rows = PictureReader.rows(picture)) {
      int[] row = new int[rows.width()];
      rows.next(row);
      long enough =
          threads.getCurrentThreadCpuTime() + Budget.timeFor(jpeg.length).plusSeconds(1).toNanos();
      while (threads.getCurrentThreadCpuTime() < enough) {
        Thread.onSpinWait(); // as a slow separation does
      }
      for (int y = 1; y < rows.height(); y++) {
        rows.next(row);
      }
      assertThat(row[0]).isEqualTo(PictureReader.pixels(picture, 20_000_000).getRGB(0, 4199));
    }
  }
}
