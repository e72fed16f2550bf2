package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.house.FileRules;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.raster.EbookCover;
import app.reglet.press.type.Typefaces;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
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
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** An ebook's cover of 1600 × 2560 pixels, its quality searched so that 1 MB is kept. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2)
@Measurement(iterations = 5)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx512m", "-Djava.awt.headless=true"})
public class EbookBench {
  private Artwork art;
  private FileRules rules;

  @Setup
  public void compose() throws IOException {
    Random random = new Random(3);
    BufferedImage image = new BufferedImage(3200, 5120, BufferedImage.TYPE_3BYTE_BGR);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int grain = random.nextInt(60);
        image.setRGB(
            x, y, (x / 17 & 0x7f) + grain << 16 | (y / 12 & 0x7f) + grain << 8 | 40 + grain);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", out);
    Picture picture = PictureReader.read(out.toByteArray());
    try (InputStream in = EbookBench.class.getResourceAsStream("/houses/lantern-shelf.json")) {
      Wrap wrap =
          Measuring.measure(
              Specification.of(
                  Binding.EBOOK, Size.parse("1600 x 2560", Unit.PX), 1, "", "", PageTurn.LTR),
              RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
      Book book = new Book("The Salt Ledger", "", "Maren Aldous", "", "", Optional.empty(), "");
      art =
          new Composer(Typefaces.shipped())
              .compose(
                  new Design(
                      Map.of(),
                      new Composition(
                          Ground.plain(Colour.BLACK).withPicture(picture.sha()), List.of()),
                      Composition.BLANK),
                  wrap,
                  book,
                  sha -> Optional.of(picture));
      FileRules f = wrap.house().files();
      rules =
          new FileRules(
              f.sheetRounding(),
              f.pageSize(),
              f.tolerance(),
              f.wantedPpi(),
              f.leastPpi(),
              1,
              f.formats(),
              f.press(),
              f.findings());
    }
  }

  /** The file's bytes, of which there are fewer than a million. */
  @Benchmark
  public int searched() {
    EbookCover made = EbookCover.make(art, rules);
    if (made.quality() == 95) {
      throw new IllegalStateException("nothing was searched: the best was small enough");
    }
    return made.file().length;
  }
}
