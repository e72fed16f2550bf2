package app.reglet.press.barcode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.golden.FileContents;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.PixelRow;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.ResultMetadataType;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.oned.EAN13Reader;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The barcode of a press file, measured in its operators against the figures of the GS1 General
 * Specifications (from memory: X 0.330 mm, quiet zones 11 X and 7 X, bars 22.85 mm, guards 5 X
 * longer; add-on 7–12 X off, 47 X wide, 21.9 mm high, 5 X clear) and read by ZXing and zbar.
 */
public class BarcodeFileTest {
  private static final double X = 0.330;
  private static final Wrap WRAP = Specimen.wrap(320);
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);

  private static Artwork art(Content.Barcode barcode) {
    Box back = WRAP.panel(PanelKind.BACK).orElseThrow().trim();
    Box there =
        new Box(
            back.left().plus(Length.mm("10")),
            back.top().plus(Length.mm("20")),
            Length.mm("130"),
            Length.mm("70"));
    Anchors anchors =
        Anchors.hung(Region.trim(PanelKind.BACK), Span.Hold.START, Span.Hold.START, there, WRAP);
    Design design =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c ->
                new Composition(
                    Ground.plain(new Colour.Rgb(0x7f8f9f)),
                    List.of(new Piece("code", "Barcode", anchors, barcode))));
    return COMPOSER.compose(design, WRAP, Specimen.BOOK, id -> Optional.empty());
  }

  private static Path file(Artwork art) {
    return Tool.file("code.pdf", PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
  }

  private static final Pattern BLACK =
      Pattern.compile(
          "Fill DeviceCMYK 0\\.000 0\\.000 0\\.000 1\\.000 over (\\S+) (\\S+) to (\\S+) (\\S+) .*");

  /** What is filled with black ink alone, in mm from the sheet's top left. */
  private static List<Rectangle2D> bars(Path file) throws IOException {
    List<Rectangle2D> bars = new ArrayList<>();
    for (String line : FileContents.of(file)) {
      Matcher m = BLACK.matcher(line);
      if (m.matches()) {
        Rectangle2D bar = new Rectangle2D.Double();
        bar.setFrameFromDiagonal(
            Double.parseDouble(m.group(1)),
            Double.parseDouble(m.group(2)),
            Double.parseDouble(m.group(3)),
            Double.parseDouble(m.group(4)));
        bars.add(bar);
      }
    }
    return bars;
  }

  @DataProvider
  Object[][] symbols() {
    Object[][] all = {
      {0.8, ""}, {1.0, ""}, {2.0, ""}, {0.8, "51499"}, {1.0, "90000"}, {2.0, "51499"},
    };
    return Extent.of(3, all);
  }

  @Test(dataProvider = "symbols")
  public void barsHaveTheStandardsMeasuresInTheFileAndAreReadBack(double times, String addOn)
      throws Exception {
    Artwork art = art(new Content.Barcode(times, false, true, addOn, Colour.WHITE));
    Box symbol =
        art.laid().stream()
            .filter(Laid.Barcode.class::isInstance)
            .findFirst()
            .orElseThrow()
            .extent();
    Path file = file(art);
    List<Rectangle2D> bars = bars(file);
    double x = X * times;
    double near = 0.003; // the contents are read to a thousandth
    List<Rectangle2D> main = bars.subList(0, 30); // 3 + 12 + 2… : 30 dark bars of every EAN-13
    double left = main.stream().mapToDouble(Rectangle2D::getMinX).min().orElseThrow();
    double right = main.stream().mapToDouble(Rectangle2D::getMaxX).max().orElseThrow();
    assertThat(right - left).isCloseTo(95 * x, within(near));
    assertThat(left - symbol.left().toMm()).isCloseTo(11 * x, within(near));
    double top = main.get(0).getMinY();
    for (Rectangle2D bar : main) {
      double modules = bar.getWidth() / x;
      assertThat(modules).isCloseTo(Math.rint(modules), within(0.01));
      assertThat(modules).isBetween(0.99, 4.01);
      assertThat(bar.getMinY()).isCloseTo(top, within(near));
    }
    List<Double> heights = main.stream().map(Rectangle2D::getHeight).toList();
    assertThat(heights.stream().filter(h -> Math.abs(h - 22.85 * times) < near)).hasSize(24);
    assertThat(heights.stream().filter(h -> Math.abs(h - 22.85 * times - 5 * x) < near)).hasSize(6);
    List<Rectangle2D> more = bars.subList(30, bars.size());
    if (addOn.isEmpty()) {
      assertThat(more).isEmpty();
      assertThat(symbol.right().toMm() - right).isCloseTo(7 * x, within(near));
    } else {
      double from = more.stream().mapToDouble(Rectangle2D::getMinX).min().orElseThrow();
      double to = more.stream().mapToDouble(Rectangle2D::getMaxX).max().orElseThrow();
      assertThat((from - right) / x).isBetween(7.0, 12.0);
      assertThat(to - from).isCloseTo(47 * x, within(near));
      assertThat(more).allMatch(b -> Math.abs(b.getHeight() - 21.9 * times) < near);
      assertThat(more.get(0).getMaxY()).isCloseTo(main.get(0).getMaxY(), within(near));
      assertThat(symbol.right().toMm() - to).isCloseTo(5 * x, within(near));
    }
    readBack(file, addOn);
  }

  private static void readBack(Path file, String addOn) throws Exception {
    Path png = file.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "300", "-png", "-singlefile", file.toString(), png.toString());
    BufferedImage page = ImageIO.read(Path.of(png + ".png").toFile());
    BufferedImage back = page.getSubimage(0, 0, page.getWidth() / 2, page.getHeight() / 2);
    Result read =
        new EAN13Reader()
            .decode(
                new BinaryBitmap(
                    new HybridBinarizer(
                        new RGBLuminanceSource(
                            back.getWidth(), back.getHeight(), PixelRow.all(back)))),
                Map.of(DecodeHintType.TRY_HARDER, true));
    assertThat(read.getText()).isEqualTo("9780306406157");
    Map<ResultMetadataType, Object> told = read.getResultMetadata();
    assertThat(told.get(ResultMetadataType.UPC_EAN_EXTENSION))
        .isEqualTo(addOn.isEmpty() ? null : addOn);
    String zbar = Tool.ok("zbarimg", "-q", "--raw", "-Sean5.enable", png + ".png");
    assertThat(zbar.lines().filter(l -> l.matches("\\d+")))
        .containsExactlyInAnyOrderElementsOf(
            addOn.isEmpty() ? List.of("9780306406157") : List.of("9780306406157", addOn));
    assertThat(Tool.ok("pdftotext", file.toString(), "-")).contains("ISBN 978-0-306-40615-7");
  }

  @Test
  public void aFittingSymbolIsAsLargeAsItsBoxTakesAndSaysSo() {
    Laid.Barcode laid =
        (Laid.Barcode)
            art(new Content.Barcode(2, true, false, "", Colour.WHITE)).laid().stream()
                .filter(Laid.Barcode.class::isInstance)
                .findFirst()
                .orElseThrow();
    assertThat(laid.magnification()).isEqualTo(2); // 130 × 70 mm take 3 times: 2 is the most
    IsbnBarcode small =
        IsbnBarcode.within(
            Specimen.BOOK.isbn().orElseThrow(),
            new Content.Barcode(2, true, false, "", Colour.WHITE),
            50,
            30);
    assertThat(small.height()).isCloseTo(30, within(1e-9)); // 30 / 25.93 < 50 / 37.29
    assertThat(small.magnification()).isCloseTo(30 / 25.93, within(1e-9));
    IsbnBarcode none =
        IsbnBarcode.within(Specimen.BOOK.isbn().orElseThrow(), new Content.Barcode(), 10, 10);
    assertThat(none.magnification()).isEqualTo(0.8);
  }

  /** Red reflects red light, blue and black do not. */
  @Test
  public void thePanelsRedLightIsMeasured() {
    double[] reflected =
        List.of(new Colour.Rgb(0xff0000), new Colour.Rgb(0x0000ff), new Colour.Gray(50)).stream()
            .mapToDouble(
                c ->
                    ((Laid.Barcode)
                            art(new Content.Barcode(1, true, true, "", c)).laid().stream()
                                .filter(Laid.Barcode.class::isInstance)
                                .findFirst()
                                .orElseThrow())
                        .reflected())
            .toArray();
    assertThat(reflected[0]).isEqualTo(1);
    assertThat(reflected[1]).isZero();
    assertThat(reflected[2]).isBetween(0.1, 0.58);
  }

  /** Where the house prints its own, a piece of ours never reaches the file. */
  @Test
  public void aHousesOwnBarcodeIsNotInTheFile() throws Exception {
    Wrap theirs =
        app.reglet.press.Everywhere.wraps(160).stream()
            .filter(
                w -> w.rules().barcode().map(b -> b.supplier().id().equals("house")).orElse(false))
            .findFirst()
            .orElseThrow();
    Design design =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c ->
                c.plus(
                    new Piece(
                        "code",
                        "Barcode",
                        Anchors.filling(Region.BARCODE),
                        Content.Barcode.usual())));
    Artwork art = COMPOSER.compose(design, theirs, Specimen.BOOK, id -> Optional.empty());
    assertThat(art.absent())
        .containsExactly("Barcode (" + theirs.house().name() + " prints its own)");
    assertThat(bars(file(art))).isEmpty();
  }

  /**
   * The digits stand under their own bars: the first left of the guard, six under each half, those
   * of the add-on over it (GS1 General Specifications, 5.2.1 and 5.2.6, from memory).
   */
  @Test
  public void digitsStandUnderTheBarsThatTheyAre() {
    double x = 0.33 * 1.2; // a module at 120 %
    IsbnBarcode code = IsbnBarcode.of(Specimen.BOOK.isbn().orElseThrow(), "51499", true, 1.2);
    List<IsbnBarcode.Digits> digits = code.digits();
    String isbn = Specimen.BOOK.isbn().orElseThrow().digits();
    assertThat(digits)
        .extracting(IsbnBarcode.Digits::text)
        .containsExactly(isbn.substring(0, 1), isbn.substring(1, 7), isbn.substring(7), "51499");
    assertThat(digits.get(0).x()).isGreaterThanOrEqualTo(0);
    double[][] room = {{0, 11}, {11 + 3, 11 + 45}, {11 + 50, 11 + 92}, {115, 115 + 47}};
    for (int i = 0; i < room.length; i++) {
      IsbnBarcode.Digits d = digits.get(i);
      assertThat(d.x()).as(d.text()).isBetween(room[i][0] * x - 1e-6, room[i][1] * x);
      assertThat(d.x() + d.width()).as(d.text()).isBetween(0.0, room[i][1] * x + 1e-6);
      assertThat(d.width()).as(d.text()).isGreaterThan((room[i][1] - room[i][0]) * x * 0.5);
    }
    // the foot of the plain bars, and of the add-on's digits its top
    double foot = code.bars().stream().mapToDouble(b -> b.y() + b.height()).min().orElseThrow();
    for (IsbnBarcode.Digits d : digits.subList(0, 3)) {
      assertThat(d.baseline()).isEqualTo(code.height());
      assertThat(d.baseline() - d.height()).isGreaterThanOrEqualTo(foot);
    }
    IsbnBarcode.Bar last = code.bars().get(code.bars().size() - 1);
    assertThat(digits.get(3).baseline()).isLessThan(last.y());
    assertThat(digits.get(3).baseline() - digits.get(3).height())
        .isGreaterThanOrEqualTo(code.line().baseline());
    assertThat(code.line().text()).startsWith("ISBN 978-");
    assertThat(code.line().x()).isCloseTo(11 * x, within(1e-9));
    assertThat(code.line().width()).isCloseTo(95 * x, within(1e-9));
    assertThat(code.line().baseline()).isLessThan(code.bars().get(0).y());
  }
}
