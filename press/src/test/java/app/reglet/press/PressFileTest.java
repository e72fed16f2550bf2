package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Book;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.house.grammar.FileNamePattern;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.compose.Composer;
import app.reglet.press.pdf.FileName;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.svg.ArtworkSvg;
import app.reglet.testing.Tool;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.oned.EAN13Reader;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** The press file, judged by tools that know nothing of Reglet. */
public class PressFileTest {
  private static final Instant NOON = Instant.parse("2026-11-24T12:00:00Z");

  private static Path pdf(Artwork art) {
    return Tool.file("wrap.pdf", PressFile.make(art, Specimen.BOOK, NOON));
  }

  @Test
  public void boxesToAHundredthOfAPoint() {
    // 12.4752 × 9.25 in = 898.2144 × 666 pt; bleed 0.125 in = 9 pt
    String out = Tool.ok("pdfinfo", "-box", pdf(Specimen.plain(100)).toString());
    assertBox(out, "MediaBox", 0, 0, 898.2144, 666);
    assertBox(out, "BleedBox", 0, 0, 898.2144, 666);
    assertBox(out, "TrimBox", 9, 9, 889.2144, 657);
    assertThat(out)
        .containsPattern("Pages:\\s+1\\b")
        .containsPattern("Title:\\s+The Salt Ledger")
        .containsPattern("Author:\\s+Maren Aldous");
  }

  /**
   * A house that wants the page in its stated size, 12.48 × 9.25 in = 898.56 × 666 pt: the trim
   * stays 12.2252 in = 880.2144 pt wide, and 0.1728 pt more lie in each bleed.
   */
  @Test
  public void aStatedPageHasTheRoundedSizeAndTheExactTrim() throws Exception {
    String json;
    try (var in = Specimen.class.getResourceAsStream("/houses/gannet-and-gauge.json")) {
      json = new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    }
    var wrap =
        app.reglet.core.wrap.Measuring.measure(
            Specimen.wrap(100).spec(),
            app.reglet.core.house.RuleSheetReader.read(
                json.replace("\"tolerance\":", "\"pageSize\": \"stated\", \"tolerance\":")));
    Path file = pdf(Specimen.on(wrap));
    String out = Tool.ok("pdfinfo", "-box", file.toString());
    assertBox(out, "MediaBox", 0, 0, 898.56, 666);
    assertBox(out, "TrimBox", 9.1728, 9, 889.3872, 657);
    // the ground runs to the page's very edge: no white line where the bleed was widened
    Path png = file.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "300", "-png", "-singlefile", file.toString(), png.toString());
    BufferedImage page = ImageIO.read(Path.of(png + ".png").toFile());
    assertThat(page.getWidth()).isEqualTo(3744); // 12.48 × 300
    int inner = page.getRGB(20, 300);
    assertThat(page.getRGB(0, 300)).isEqualTo(inner);
    assertThat(page.getRGB(3743, 300)).isEqualTo(page.getRGB(3720, 300));
    assertThat(inner).isNotEqualTo(0xffffffff);
  }

  private static void assertBox(String out, String name, double... expected) {
    Matcher m =
        Pattern.compile(name + ":\\s+([\\d.]+)\\s+([\\d.]+)\\s+([\\d.]+)\\s+([\\d.]+)")
            .matcher(out);
    assertThat(m.find()).as(name + " in " + out).isTrue();
    for (int i = 0; i < 4; i++) {
      assertThat(Double.parseDouble(m.group(i + 1)))
          .as(name + " " + i)
          .isCloseTo(expected[i], within(0.01));
    }
  }

  @Test
  public void wellFormedAndFontsEmbedded() {
    Path file = pdf(Specimen.plain(320));
    Tool.ok("qpdf", "--check", file.toString());
    List<String> rows = Tool.ok("pdffonts", file.toString()).lines().skip(2).toList();
    assertThat(rows).isNotEmpty().allMatch(r -> r.matches(".*[A-Z]{6}\\+.*yes\\s+yes\\s+yes.*"));
    Tool.ok("gs", "-q", "-dNOPAUSE", "-dBATCH", "-sDEVICE=nullpage", file.toString());
  }

  @Test
  public void wordsCanBeReadBack() {
    String text = Tool.ok("pdftotext", "-layout", pdf(Specimen.plain(320)).toString(), "-");
    assertThat(text)
        .contains("A novel of the flats")
        .contains("Maren Aldous")
        .contains("difficult affidavits");
    assertThat(text.replaceAll("\\s+", " ")).contains("The Salt").contains("Ledger");
  }

  @Test
  public void sameInputSameBytes() {
    byte[] once = PressFile.make(Specimen.plain(320), Specimen.BOOK, NOON);
    byte[] again = PressFile.make(Specimen.plain(320), Specimen.BOOK, NOON);
    assertThat(again).isEqualTo(once);
    assertThat(PressFile.make(Specimen.plain(322), Specimen.BOOK, NOON)).isNotEqualTo(once);
  }

  @Test
  public void barcodeIsReadBackAndBlackOnly() throws Exception {
    Path file = pdf(Specimen.plain(320));
    Path png = file.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "300", "-png", "-singlefile", file.toString(), png.toString());
    BufferedImage page = ImageIO.read(Path.of(png + ".png").toFile());
    var box = Specimen.wrap(320).box(app.reglet.core.wrap.Region.BARCODE).orElseThrow();
    BufferedImage area =
        page.getSubimage(
            (int) box.left().toPixels(300),
            (int) box.top().toPixels(300),
            (int) box.width().toPixels(300),
            (int) box.height().toPixels(300));
    var bitmap = new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(area)));
    assertThat(new EAN13Reader().decode(bitmap).getText()).isEqualTo("9780306406157");
    assertThat(Tool.ok("zbarimg", "-q", "--raw", png + ".png").lines()).contains("9780306406157");

    // ghostscript's separations: the bars are on the black plate and on no other
    String base = file.resolveSibling("sep").toString();
    Tool.ok(
        "gs",
        "-q",
        "-dNOPAUSE",
        "-dBATCH",
        "-r150",
        "-sDEVICE=tiffsep",
        "-dUseCIEColor=false",
        "-sOutputFile=" + base + "%d.tif",
        file.toString());
    // the middle of the tallest bars: a guard bar starts 11 X into the symbol
    BufferedImage cyan = ImageIO.read(Path.of(base + "1(Cyan).tif").toFile());
    BufferedImage black = ImageIO.read(Path.of(base + "1(Black).tif").toFile());
    Box symbol =
        Specimen.plain(320).laid().stream()
            .filter(Laid.Barcode.class::isInstance)
            .findFirst()
            .orElseThrow()
            .extent();
    int y = (int) box.centreY().minus(app.reglet.core.measure.Length.mm("2")).toPixels(150);
    int dark = 0;
    for (int x = (int) symbol.left().toPixels(150); x < symbol.right().toPixels(150); x++) {
      assertThat(cyan.getRaster().getSample(x, y, 0)).as("cyan at %d", x).isGreaterThan(250);
      dark += black.getRaster().getSample(x, y, 0) < 100 ? 1 : 0;
    }
    assertThat(dark).as("dark pixels on the black plate").isGreaterThan(40);
  }

  @Test
  public void screenAndPressUseTheSameGlyphs() {
    Artwork art = Specimen.plain(320);
    Set<String> listed = new HashSet<>();
    int runs = 0;
    for (Mark m : Specimen.flat(art)) {
      if (m instanceof Mark.Glyphs g) {
        runs++;
        for (int id : g.glyphs()) {
          if (!g.face().outline(id).getBounds2D().isEmpty()) {
            listed.add(g.face().id() + "-" + id);
          }
        }
      }
    }
    String svg = ArtworkSvg.document(art, app.reglet.press.golden.Golden.ADDRESSES);
    Set<String> drawn = new HashSet<>();
    Matcher m =
        Pattern.compile("data-face=\"([^\"]+)\" data-glyphs=\"([^\"]*)\">(<path d=\"(m[^\"]+)\")?")
            .matcher(svg);
    while (m.find()) {
      int outlines = m.group(4) == null ? 0 : m.group(4).split("m").length - 1;
      int inked = 0;
      for (String id : m.group(2).split(" ")) {
        String glyph = m.group(1) + "-" + id;
        if (listed.contains(glyph)) {
          drawn.add(glyph);
          inked++;
        }
      }
      // every glyph with ink has one outline or more
      assertThat(outlines).isGreaterThanOrEqualTo(inked);
    }
    assertThat(drawn).isEqualTo(listed);
    // and poppler finds as many runs' words in the press file
    String text = Tool.ok("pdftotext", "-bbox-layout", pdf(art).toString(), "-");
    assertThat(runs).isGreaterThan(8);
    assertThat(text).contains(">Aldous<");
  }

  @Test
  public void wordsStandWhereTheDisplayListSays() {
    Artwork art = Specimen.plain(320);
    String text = Tool.ok("pdftotext", "-bbox", pdf(art).toString(), "-");
    int compared = 0;
    for (Mark m : Specimen.flat(art)) {
      if (m instanceof Mark.Glyphs g && g.place().getShearX() == 0 && g.text().matches("[A-Z].*")) {
        double start = (g.place().getTranslateX() + g.x()[0]) * 72 / 25.4;
        String word = Pattern.quote(g.text().split(" ")[0]);
        Matcher at = Pattern.compile("xMin=\"([\\d.]+)\" [^>]*>" + word + "<").matcher(text);
        assertThat(
                at.results().anyMatch(r -> Math.abs(Double.parseDouble(r.group(1)) - start) < 0.05))
            .as("%s starts at %.2f pt", g.text(), start)
            .isTrue();
        compared++;
      }
    }
    assertThat(compared).isGreaterThan(3);
  }

  @Test
  public void aPictureStaysAtItsOwnResolution() throws Exception {
    for (String format : new String[] {"jpg", "png", "tiff"}) {
      Picture picture = Specimen.picture(Specimen.sky(1500, 1100), format);
      Artwork art =
          Specimen.artwork(
              320,
              StartingLayout.AXIS,
              Ground.plain(Colour.BLACK).withPicture(picture.sha()),
              sha -> Optional.of(picture));
      Path file = pdf(art);
      String row =
          Tool.ok("pdfimages", "-list", file.toString()).lines().skip(2).findFirst().orElseThrow();
      assertThat(row).as(format).containsPattern("\\b1500\\s+1100\\b");
      if (format.equals("jpg")) {
        // the JPEG goes in as it came, not encoded again
        Tool.ok("pdfimages", "-all", file.toString(), file.resolveSibling("img").toString());
        assertThat(file.resolveSibling("img-000.jpg")).hasBinaryContent(picture.file().all());
      }
      Tool.ok("qpdf", "--check", file.toString());
      if (format.equals("tiff")) {
        // poppler decodes the same pixels that went in
        Tool.ok("pdfimages", "-png", file.toString(), file.resolveSibling("px").toString());
        BufferedImage back = ImageIO.read(file.resolveSibling("px-000.png").toFile());
        BufferedImage sky = Specimen.sky(1500, 1100);
        for (int i = 0; i < 1100; i += 7) {
          assertThat(back.getRGB(i + 300, i)).isEqualTo(sky.getRGB(i + 300, i));
        }
      }
    }
  }

  @Test
  public void pictureCoversTheSheetToItsEdge() throws Exception {
    Picture picture = Specimen.picture(Specimen.corners(800, 800), "png");
    Artwork art =
        Specimen.artwork(
            100,
            StartingLayout.AXIS,
            Ground.plain(Colour.BLACK).withPicture(picture.sha()),
            sha -> Optional.of(picture));
    Path file = pdf(art);
    Path png = file.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "72", "-png", "-singlefile", file.toString(), png.toString());
    BufferedImage page = ImageIO.read(Path.of(png + ".png").toFile());
    assertThat(near(page.getRGB(2, 2), 0xff0000)).isTrue();
    assertThat(near(page.getRGB(page.getWidth() - 3, 2), 0x00ff00)).isTrue();
    assertThat(near(page.getRGB(2, page.getHeight() - 3), 0x0000ff)).isTrue();
    assertThat(near(page.getRGB(page.getWidth() - 3, page.getHeight() - 3), 0xffffff)).isTrue();
  }

  private static boolean near(int rgb, int wanted) {
    int d = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      d = Math.max(d, Math.abs((rgb >> shift & 0xff) - (wanted >> shift & 0xff)));
    }
    return d < 12;
  }

  @Test
  public void orientationIsRespected() throws Exception {
    // ghostscript-free check: the eight orientations of one picture all print upright
    BufferedImage upright = Specimen.corners(80, 60);
    for (int o = 1; o <= 8; o++) {
      byte[] jpeg = ExifSpecimen.jpeg(upright, o);
      Picture p = PictureReader.read(jpeg);
      assertThat(p.orientation()).isEqualTo(o);
      assertThat(new int[] {p.width(), p.height()}).as("orientation %d", o).containsExactly(80, 60);
      BufferedImage screen =
          ImageIO.read(new java.io.ByteArrayInputStream(PictureReader.screen(p, 200)));
      assertThat(
              near(screen.getRGB(8, 8) & 0xffffff, 0xff0000)
                  || (screen.getRGB(8, 8) >> 16 & 0xff) > 200)
          .isTrue();
      Artwork art =
          Specimen.artwork(
              100,
              StartingLayout.AXIS,
              Ground.plain(Colour.BLACK).withPicture(p.sha()),
              sha -> Optional.of(p));
      Path file = pdf(art);
      Path png = file.resolveSibling("page");
      Tool.ok("pdftoppm", "-r", "36", "-png", "-singlefile", file.toString(), png.toString());
      BufferedImage page = ImageIO.read(Path.of(png + ".png").toFile());
      int w = page.getWidth();
      int h = page.getHeight();
      assertThat(dominant(page.getRGB(4, 4))).as("top left, orientation %d", o).isEqualTo("red");
      assertThat(dominant(page.getRGB(w - 5, 4)))
          .as("top right, orientation %d", o)
          .isEqualTo("green");
      assertThat(dominant(page.getRGB(4, h - 5)))
          .as("bottom left, orientation %d", o)
          .isEqualTo("blue");
      assertThat(dominant(page.getRGB(w - 5, h - 5)))
          .as("bottom right, orientation %d", o)
          .isEqualTo("white");
    }
  }

  private static String dominant(int rgb) {
    int r = rgb >> 16 & 0xff;
    int g = rgb >> 8 & 0xff;
    int b = rgb & 0xff;
    if (r > 180 && g > 180 && b > 180) {
      return "white";
    }
    return r > g && r > b ? "red" : g > b ? "green" : "blue";
  }

  @Test
  public void aTransparentPngShowsTheGroundAndCarriesNoLiveTransparency() throws Exception {
    for (int type : new int[] {BufferedImage.TYPE_INT_ARGB, BufferedImage.TYPE_4BYTE_ABGR}) {
      Picture picture = Specimen.picture(new BufferedImage(400, 300, type), "png");
      Artwork art =
          new Composer(Specimen.TYPEFACES)
              .compose(
                  Specimen.on(Ground.plain(new Colour.Rgb(0x24564a)).withPicture(picture.sha())),
                  Specimen.wrap(100),
                  Specimen.BOOK,
                  sha -> Optional.of(picture));
      Path file = pdf(art);
      assertThat(Tool.ok("pdfimages", "-list", file.toString())).doesNotContain("smask");
      Path png = file.resolveSibling("page");
      Tool.ok("pdftoppm", "-r", "20", "-png", "-singlefile", file.toString(), png.toString());
      BufferedImage page = ImageIO.read(Path.of(png + ".png").toFile());
      assertThat(page.getRGB(page.getWidth() / 3, page.getHeight() / 2) & 0xffffff)
          .isEqualTo(0x24564a);
    }
  }

  @Test
  public void noGuideReachesTheFile() {
    String words = Tool.ok("pdftotext", pdf(Specimen.plain(320)).toString(), "-");
    assertThat(words).doesNotContain("Barcode area");
    Artwork art = Specimen.plain(320);
    assertThat(art.marks()).noneMatch(m -> m.name().contains("guide"));
  }

  @Test
  public void namedFromItsFacts() {
    assertThat(FileName.of(Specimen.BOOK, Specimen.wrap(100), "wrap", 7, 12, 3, NOON, "pdf"))
        .isEqualTo("the-salt-ledger_perfect-bound_wrap_gannet-and-gauge_6x9in_100pp_r7_no12-3.pdf");
    Book odd = new Book("  ../é/\"x\"  ", "", "", "", "", Optional.empty(), "");
    assertThat(FileName.of(odd, Specimen.wrap(100), "wrap", 1, 1, 1, NOON, "pdf"))
        .isEqualTo("é-x_perfect-bound_wrap_gannet-and-gauge_6x9in_100pp_r1_no1-1.pdf");
    Book none = new Book("???", "", "", "", "", Optional.empty(), "");
    assertThat(FileName.of(none, Specimen.wrap(100), "wrap", 1, 1, 1, NOON, "pdf"))
        .startsWith("untitled_");
  }

  @Test
  public void theNamesOfTwoEditionsAreNeverTheSameAndTellTheBinding() {
    Wrap outside = Specimen.wrap(100);
    Set<String> names = new HashSet<>();
    for (long edition : new long[] {4, 5}) {
      for (int number : new int[] {1, 2}) {
        names.add(FileName.of(Specimen.BOOK, outside, "wrap", 7, edition, number, NOON, "pdf"));
      }
      names.add(FileName.stem(Specimen.BOOK, outside, "template", edition));
    }
    assertThat(names).hasSize(6).allMatch(n -> n.contains("_perfect-bound_"));
    // a house that names files by the ISBN alone has them told apart all the same
    assertThat(new FileNamePattern("{isbn}_{kind}").name(Map.of("isbn", "1", "number", "4-1")))
        .isEqualTo("1_no4-1");
  }

  @Test
  public void layoutsFitTheirWords() {
    for (StartingLayout layout : StartingLayout.values()) {
      for (int pages : new int[] {80, 320, 842}) {
        Artwork art =
            Specimen.artwork(
                pages, layout, Ground.plain(Colour.WHITE), app.reglet.press.compose.Pictures.NONE);
        var findings =
            app.reglet.core.check.Check.run(
                new app.reglet.core.check.Subject(art.wrap(), Specimen.BOOK, art.laid()));
        assertThat(findings).as(layout + " on " + pages + ": " + findings).isEmpty();
        assertThat(art.wrap().panel(PanelKind.SPINE)).isPresent();
      }
    }
  }
}
