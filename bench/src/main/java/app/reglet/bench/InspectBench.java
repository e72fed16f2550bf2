package app.reglet.bench;

import app.reglet.press.inspect.FileFacts;
import app.reglet.press.inspect.FileReading;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Inspecting a wrap of 50 MB and a book block of 100 pages, in 256 MB. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3)
@Measurement(iterations = 6)
@Fork(
    value = 1,
    jvmArgsAppend = {"-Xmx256m", "-XX:+UseSerialGC", "-Djava.awt.headless=true"})
public class InspectBench {
  private static final int WIDE = 4900;
  private static final int HIGH = 3480;

  private FileBytes wrap;
  private FileBytes block;
  private Path aside;

  @Setup
  public void make() throws IOException {
    aside = Files.createTempDirectory("inspect-bench");
    wrap = FileBytes.of(wrap());
    block = FileBytes.of(block());
    System.out.printf("%n%.1f MB and %.1f MB%n", wrap.length() / 1e6, block.length() / 1e6);
  }

  /** A page of 6 × 9 in with a picture of noise over it: 17 megapixels that nothing packs. */
  private Path wrap() throws IOException {
    Path out = aside.resolve("wrap.pdf");
    Random random = new Random(1);
    Path packed = aside.resolve("noise.z");
    byte[] row = new byte[3 * WIDE];
    try (OutputStream z = new DeflaterOutputStream(Files.newOutputStream(packed))) {
      for (int y = 0; y < HIGH; y++) {
        random.nextBytes(row);
        z.write(row);
      }
    }
    try (PDDocument d = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(939.6f, 666));
      d.addPage(page);
      try (InputStream in = Files.newInputStream(packed);
          PDPageContentStream c = new PDPageContentStream(d, page)) {
        c.drawImage(
            new PDImageXObject(d, in, COSName.FLATE_DECODE, WIDE, HIGH, 8, PDDeviceRGB.INSTANCE),
            0,
            0,
            939.6f,
            666);
      }
      d.save(out.toFile());
    }
    return out;
  }

  private Path block() throws IOException {
    Path out = aside.resolve("block.pdf");
    try (PDDocument d = new PDDocument();
        InputStream font =
            FileReading.class.getResourceAsStream("/fonts/spectral/Spectral_400Regular.ttf")) {
      PDType0Font face = PDType0Font.load(d, font, true);
      for (int n = 0; n < 100; n++) {
        PDPage page = new PDPage(new PDRectangle(432, 648));
        d.addPage(page);
        try (PDPageContentStream c = new PDPageContentStream(d, page)) {
          c.beginText();
          c.setFont(face, 11);
          c.setLeading(14);
          c.newLineAtOffset(54, 580);
          for (int line = 0; line < 36; line++) {
            c.showText("When the customs office on the tidal flats closes, its last clerk");
            c.newLine();
          }
          c.endText();
        }
      }
      d.save(out.toFile());
    }
    return out;
  }

  private FileFacts read(FileBytes file) {
    return FileReading.read(
        file, aside, new Budget(Duration.ofMinutes(5), Long.MAX_VALUE, Long.MAX_VALUE));
  }

  @Benchmark
  public FileFacts wrapOf50Megabytes() {
    return read(wrap);
  }

  @Benchmark
  public FileFacts blockOf100Pages() {
    return read(block);
  }
}
