package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.compose.Composer;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.type.Typefaces;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A press file of a 6 × 9 in wrap with a 12-megapixel background in 512 MB, cold and composed anew.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 0)
@Measurement(iterations = 5)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx512m", "-Djava.awt.headless=true"})
public class PressBench {
  @Param({"jpeg", "png", "tiff"})
  private String format;

  private final Book book =
      new Book(
          "The Salt Ledger",
          "A novel",
          "Maren Aldous",
          "",
          "Words for the back. ".repeat(40),
          Optional.of(Isbn.parse("9780306406157")),
          "");
  private Picture picture;
  private Wrap wrap;
  private Typefaces typefaces;

  @Setup
  public void read() throws IOException {
    BufferedImage image = new BufferedImage(4200, 2858, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(3);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        image.setRGB(x, y, (x / 17 & 0xff) << 16 | (y / 12 & 0xff) << 8 | random.nextInt(24));
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    picture = PictureReader.read(out.toByteArray());
    typefaces = Typefaces.shipped();
    try (InputStream in =
        RuleSheetReader.class.getResourceAsStream("/houses/gannet-and-gauge.json")) {
      RuleSheet house = RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      wrap =
          Measuring.measure(
              Specification.of(
                  Binding.PERFECT_BOUND,
                  Size.parse("6 x 9", Unit.IN),
                  320,
                  "white",
                  "black",
                  PageTurn.LTR),
              house);
    }
  }

  @Benchmark
  public int pressFile() {
    var design =
        StartingLayout.AXIS.on(
            wrap,
            book,
            Design.EMPTY.changed(
                PrintedSide.OUTSIDE,
                c -> c.withGround(Ground.plain(Colour.BLACK).withPicture(picture.sha()))));
    var art = new Composer(typefaces).compose(design, wrap, book, sha -> Optional.of(picture));
    return PressFile.make(art, book, Instant.EPOCH).length;
  }
}
