package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.house.PressRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.compose.Composer;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.PressMaking;
import app.reglet.press.pdf.Progress;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.type.Typefaces;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A PDF/X-1a file of a 6 × 9 in wrap: a photo over all of it, 40 pieces with shadows, pictures at
 * 300 ppi, in 512 MB, written to the disk.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2)
@Measurement(iterations = 3)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx512m", "-Djava.awt.headless=true"})
public class FlatPressBench {
  private static final int PIECES = 40;

  @Param({"24", "98"})
  private int megapixels;

  @Param({"X1A", "X4"})
  private PressRules.Standard standard;

  private final Book book =
      new Book(
          "The Salt Ledger", "A novel", "Maren Aldous", "", "One.\nTwo.", Optional.empty(), "");
  private Artwork art;
  private PressMaking making;

  @Setup
  public void compose() throws IOException {
    Path photo = Files.createTempFile("photo", ".jpg");
    draw(photo);
    FileBytes file = FileBytes.of(photo);
    Picture picture = PictureReader.read(file, Budget.forFile(file.length()));
    Wrap wrap = wrap();
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < PIECES; i++) {
      PanelKind panel = i % 2 == 0 ? PanelKind.BACK : PanelKind.FRONT;
      Box safe = wrap.panel(panel).orElseThrow().safe();
      Box box =
          new Box(
              safe.left().plus(Length.mm("" + i % 4 * 28)),
              safe.top().plus(Length.mm("" + i / 4 * 19)),
              Length.mm("40"),
              Length.mm("18"));
      pieces.add(
          new Piece(
                  "p" + i,
                  "P" + i,
                  Anchors.hung(Region.safe(panel), Span.Hold.START, Span.Hold.START, box, wrap),
                  content(i))
              .withAppearance(
                  new Appearance(
                      1,
                      Appearance.Blend.NORMAL,
                      Optional.of(
                          new Appearance.Shadow(
                              Length.mm("1"), Length.mm("1"), Length.mm("3"), Colour.BLACK, 0.5)),
                      Optional.empty())));
    }
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.BLACK).withPicture(picture.sha()), pieces),
            Composition.BLANK);
    art =
        new Composer(Typefaces.shipped()).compose(design, wrap, book, sha -> Optional.of(picture));
    PressRules rules =
        new PressRules(
            standard,
            PressRules.Colours.CMYK,
            "coated",
            PressRules.Intent.RELATIVE,
            true,
            300,
            PressRules.RICH_BLACK,
            false,
            300,
            0,
            PressRules.SCREEN.names());
    making = PressMaking.of(wrap.house().files(), rules, OutputCondition.COATED.condition());
  }

  private static Content content(int i) {
    return i % 2 == 0
        ? new Content.Shape(new Figure.Ellipse(), Paint.of(new Colour.Rgb(0x1f4b4d)), null)
        : Words.of(null, "Words of piece " + i, "spectral", Length.pt("14"), Colour.WHITE);
  }

  /** Row by row: waves and grain. */
  private void draw(Path to) throws IOException {
    int wide = (int) Math.sqrt(megapixels * 1e6 * 13.05 / 9.25);
    int high = (int) (megapixels * 1e6 / wide);
    BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_3BYTE_BGR);
    Random random = new Random(3);
    for (int y = 0; y < high; y++) {
      for (int x = 0; x < wide; x++) {
        int grain = random.nextInt(24);
        image.setRGB(
            x, y, (x / 17 & 0x7f) + grain << 16 | (y / 12 & 0x7f) + grain << 8 | 40 + grain);
      }
    }
    ImageIO.write(image, "jpeg", to.toFile());
  }

  private static Wrap wrap() throws IOException {
    try (InputStream in =
        FlatPressBench.class.getResourceAsStream("/houses/gannet-and-gauge.json")) {
      RuleSheet rules = RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      return Measuring.measure(
          Specification.of(
              Binding.PERFECT_BOUND,
              Size.parse("6 x 9", Unit.IN),
              320,
              "cream",
              "black",
              PageTurn.LTR),
          rules);
    }
  }

  @Benchmark
  public long pressFile() throws IOException {
    Path to = Files.createTempFile("press", ".pdf");
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to))) {
      PressFile.write(
          List.of(new PressFile.Page(art, art.wrap())),
          book,
          Instant.EPOCH,
          making,
          Progress.none(),
          out,
          to.getParent());
    }
    long size = Files.size(to);
    Files.delete(to);
    return size;
  }
}
