package app.reglet.press.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Seen;
import app.reglet.core.check.Subject;
import app.reglet.core.check.WordsStandOut;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.compose.Composer;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.inspect.page.PlateFile;
import app.reglet.press.pdf.PressFiles;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.raster.ContrastMeter;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Covers spoiled in thirty ways and more: each is caught by the checks of the design before and,
 * from the bytes of the press file alone, after, with the same figures.
 */
public class ThirtySpoiledTest {
  private static final Wrap SOUND = Corpus.INKS;
  private static final Wrap THIN = Specimen.wrap(60);
  private static final Colour GRAY = new Colour.Rgb(0xb9b2a4);
  private static final Colour DARK = new Colour.Rgb(0x1c2b33);

  /**
   * @param before code of what the checks of the design find
   * @param after code of what is found in the file
   * @param spoil makes it of a sound design
   */
  private record Spoiled(
      String name, Wrap wrap, String before, String after, UnaryOperator<Design> spoil) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static final List<Spoiled> ALL = new ArrayList<>();

  private static void spoiled(String name, String code, UnaryOperator<Design> spoil) {
    ALL.add(new Spoiled(name, SOUND, code, code, spoil));
  }

  private static void spoiled(
      String name, String before, String after, UnaryOperator<Design> spoil) {
    ALL.add(new Spoiled(name, SOUND, before, after, spoil));
  }

  private static Box panel(PanelKind kind) {
    return SOUND.panel(kind).orElseThrow().trim();
  }

  /** A place in inches from the trimmed corner of a panel. */
  private static Box at(PanelKind kind, double x, double y, double w, double h) {
    Box p = panel(kind);
    return new Box(p.left().plus(in(x)), p.top().plus(in(y)), in(w), in(h));
  }

  private static Length in(double v) {
    return Length.nearMm(v * 25.4);
  }

  private static Anchors hung(Box box) {
    return Anchors.hung(Region.SHEET, Span.Hold.START, Span.Hold.START, box, SOUND);
  }

  private static UnaryOperator<Design> with(Content content, Box box) {
    return d ->
        d.changed(
            PrintedSide.OUTSIDE, c -> c.plus(new Piece("spoil", "Spoil", hung(box), content)));
  }

  private static UnaryOperator<Design> changed(String piece, UnaryOperator<Piece> how) {
    return d -> d.changed(d.outside().piece(piece).orElseThrow().id(), how);
  }

  private static UnaryOperator<Design> barcode(UnaryOperator<Piece> how) {
    return d -> d.changed(barcodeOf(d), how);
  }

  private static String barcodeOf(Design d) {
    return d.outside()
        .all()
        .filter(p -> p.content() instanceof Content.Barcode)
        .findFirst()
        .orElseThrow()
        .id();
  }

  private static Words words(String text, String points, Colour colour) {
    return Words.of(null, text, "work-sans", Length.pt(points), colour)
        .withType(Type.of("work-sans", Length.pt(points)).withFit(Type.Fit.SIZE));
  }

  private static Words upright(Words words, Setting.Direction way) {
    return words.running(way).aligned(Setting.Align.CENTRE, Setting.VerticalAlign.MIDDLE);
  }

  private static Content frame(Figure figure, String points) {
    return new Content.Shape(
        figure,
        null,
        new Stroke(Paint.of(Colour.BLACK), Length.pt(points), List.of(), Stroke.Side.CENTRED));
  }

  private static Content area(Colour colour) {
    return new Content.Shape(Figure.RECTANGLE, Paint.of(colour), null);
  }

  private static UnaryOperator<Design> picture(Picture p, Box box) {
    return with(Content.Picture.of(p.sha()), box);
  }

  /** Noise: nothing of it is smooth. */
  private static Picture noise(int w, int h, float quality) {
    Random random = new Random(w);
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int v = 0x50 + (random.nextInt(0x60) + x * 40 / w);
        image.setRGB(x, y, v << 16 | (v + 10) << 8 | v);
      }
    }
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (var to = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionQuality(quality);
      writer.setOutput(to);
      writer.write(null, new IIOImage(image, null, null), how);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    Picture p = PictureReader.read(out.toByteArray());
    PICTURES.add(p);
    return p;
  }

  private static final List<Picture> PICTURES = new ArrayList<>();

  private static Optional<Picture> find(String sha) {
    return PICTURES.stream().filter(p -> p.sha().equals(sha)).findFirst();
  }

  static {
    PanelKind front = PanelKind.FRONT;
    PanelKind back = PanelKind.BACK;
    String safe = "words-outside-safe";
    Words line = words("The tide keeps no accounts", "14", Colour.BLACK);
    // words and the edges
    spoiled("words at the head", safe, with(line, at(front, 0.6, 0.05, 4, 0.4)));
    spoiled(
        "words at the fore-edge",
        safe,
        with(
            line.aligned(Setting.Align.RIGHT, Setting.VerticalAlign.TOP),
            at(front, 2, 3, 3.96, 0.4)));
    spoiled(
        "words at the foot of the back",
        safe,
        with(words("Sold by the tide", "11", Colour.BLACK), at(back, 0.6, 8.8, 2, 0.3)));
    spoiled("words at the outer edge of the back", safe, with(line, at(back, 0.04, 1.2, 4, 0.4)));
    spoiled("words past the trim", safe, with(line, at(front, 3.7, 5, 3, 0.4)));
    spoiled(
        "words in the bleed",
        safe,
        with(words("cut", "6", Colour.BLACK), at(front, 3, -0.11, 1, 0.1)));
    spoiled("words beside the spine", safe, with(line, at(front, 0.02, 5, 4, 0.4)));
    spoiled(
        "words across spine and front",
        "words-across-fold",
        with(line, at(front, -0.3, 5, 4, 0.4)));
    spoiled(
        "words across back and spine",
        "words-across-fold",
        with(
            line.aligned(Setting.Align.RIGHT, Setting.VerticalAlign.TOP),
            at(back, 3, 5, 3.2, 0.4)));
    // the spine
    Box spine = panel(PanelKind.SPINE);
    Box middle = new Box(spine.left(), in(3), spine.width(), in(3));
    spoiled(
        "spine type wider than its band",
        "spine-type-too-big",
        with(upright(words("Tide tables", "54", Colour.BLACK), Setting.Direction.DOWN), middle));
    spoiled(
        "spine type too small",
        "spine-type-too-small",
        with(upright(words("tides", "5.5", Colour.BLACK), Setting.Direction.DOWN), middle));
    spoiled(
        "spine type upwards",
        "spine-type-other-way",
        with(upright(words("Tide tables", "12", Colour.BLACK), Setting.Direction.UP), middle));
    ALL.add(
        new Spoiled(
            "spine type on a thin spine",
            THIN,
            "spine-type-not-allowed",
            "spine-type-not-allowed",
            d ->
                d.changed(
                    PrintedSide.OUTSIDE,
                    c ->
                        c.plus(
                            new Piece(
                                "spoil",
                                "Spoil",
                                Anchors.filling(Region.trim(PanelKind.SPINE)),
                                upright(
                                    words("Tides", "7", Colour.BLACK), Setting.Direction.DOWN))))));
    spoiled(
        "spine words at its head",
        safe,
        with(
            upright(words("Tides", "12", Colour.BLACK), Setting.Direction.DOWN)
                .aligned(Setting.Align.LEFT, Setting.VerticalAlign.MIDDLE),
            new Box(spine.left(), in(0.13), spine.width(), in(2))));
    // letters
    spoiled(
        "type of 4 pt",
        "type-small",
        with(words("All rights reserved.", "4", Colour.BLACK), at(front, 1, 5, 3, 0.3)));
    spoiled(
        "type of 6 pt in several inks",
        "type-small",
        with(
            words("Printed at Ouse Hythe", "6", new Colour.Rgb(0x7a4a20)),
            at(front, 1, 5, 3, 0.3)));
    spoiled(
        "small type left out of a dark area",
        "type-small",
        d ->
            with(words("Printed at Ouse Hythe", "7", Colour.WHITE), at(front, 1, 5.1, 3, 0.3))
                .apply(
                    d.changed(
                        PrintedSide.OUTSIDE,
                        c ->
                            c.plus(
                                new Piece(
                                    "dark",
                                    "Dark",
                                    hung(at(front, 0.9, 5, 3.2, 0.5)),
                                    area(DARK))))));
    spoiled(
        "type of 11 pt in a rich black",
        "type-in-rich-black",
        with(
            words("The tide keeps no accounts", "11", new Colour.Cmyk(60, 40, 40, 100)),
            at(front, 1, 5, 3, 0.4)));
    spoiled(
        "a title of 24 pt",
        "title-faint",
        changed("title", p -> p.withContent(((Words) p.content()).withSize(Length.pt("18")))));
    spoiled(
        "a title with a slip",
        "title-other",
        changed(
            "title",
            p ->
                p.withContent(
                    Words.of(
                        null,
                        "The Salt Leger",
                        ((Words) p.content()).type().face(),
                        Length.pt("40"),
                        Colour.BLACK))));
    // on their ground
    spoiled(
        "words in the ground's own colour",
        "words-faint",
        with(words("The tide keeps no accounts", "14", Colour.WHITE), at(front, 1, 5, 4, 0.4)));
    spoiled(
        "pale words on white",
        "words-faint",
        with(
            words("The tide keeps no accounts", "14", new Colour.Rgb(0xc9c4b8)),
            at(front, 1, 5, 4, 0.4)));
    spoiled(
        "dark words on a dark area",
        "words-faint",
        d ->
            with(words("Tides", "30", new Colour.Rgb(0x2f4450)), at(front, 1, 5.1, 3, 0.6))
                .apply(
                    d.changed(
                        PrintedSide.OUTSIDE,
                        c ->
                            c.plus(
                                new Piece(
                                    "dark",
                                    "Dark",
                                    hung(at(front, 0.9, 5, 3.2, 0.8)),
                                    area(DARK))))));
    // lines
    spoiled(
        "a frame of 0.1 pt",
        "line-thin",
        with(frame(Figure.RECTANGLE, "0.1"), at(front, 1, 5, 2, 1)));
    spoiled(
        "an ellipse of 0.2 pt",
        "line-thin",
        with(frame(new Figure.Ellipse(), "0.2"), at(front, 1, 5, 2, 1)));
    // pictures
    spoiled(
        "a picture of 120 ppi",
        "picture-too-coarse",
        picture(noise(480, 360, 0.9f), at(front, 1, 4.8, 4, 3)));
    spoiled(
        "a picture of 250 ppi",
        "picture-soft",
        picture(noise(1000, 750, 0.9f), at(front, 1, 4.8, 4, 3)));
    // the barcode
    spoiled(
        "no barcode",
        "barcode-missing",
        "barcode-unread",
        d -> d.changed(PrintedSide.OUTSIDE, c -> c.without(List.of(barcodeOf(d)))));
    spoiled(
        "words in the barcode's area",
        "barcode-area-covered",
        with(words("Sale", "9", Colour.BLACK), barcode(0.02, 0.02, 0.6, 0.2)));
    spoiled(
        "an area over the barcode",
        "barcode-area-covered",
        "barcode-unread",
        with(area(GRAY), barcode(0.1, 0.1, 1.8, 1)));
    spoiled(
        "a barcode on gray",
        "barcode-panel-dark",
        barcode(
            p ->
                p.withContent(
                    ((Content.Barcode) p.content()).withPanel(new Colour.Rgb(0xc4c4c4)))));
    spoiled(
        "a barcode beside its area",
        "barcode-out-of-area",
        barcode(p -> p.withAnchors(hung(at(back, 0.5, 5, 2, 1.2)))));
    // edges
    spoiled(
        "an area that ends at the trim",
        "bleed-not-reached",
        "edge-white",
        with(area(DARK), at(front, 0, 7, 6, 1.5)));
    spoiled(
        "an area that ends short of the head",
        "bleed-not-reached",
        "edge-white",
        with(area(DARK), at(front, 0.5, 0, 5, 1.5)));
  }

  private static Box barcode(double x, double y, double w, double h) {
    Box b = SOUND.box(Region.BARCODE).orElseThrow();
    return new Box(b.left().plus(in(x)), b.top().plus(in(y)), in(w), in(h));
  }

  /** A cover with nothing to mend or to look at. */
  private static Design sound(Wrap wrap) {
    return StartingLayout.LEDGER.on(wrap, Specimen.BOOK, Specimen.on(Ground.plain(Colour.WHITE)));
  }

  private static List<Seen> seen(Artwork art) {
    return ContrastMeter.measure(
        art,
        100,
        s ->
            s.treating()
                .ofStored(PictureReader.pixels(s.picture(), 100_000), s.picture().orientation()));
  }

  private record Said(List<Finding> before, List<Finding> after) {}

  private static Said said(Wrap wrap, Design design) throws IOException {
    var art =
        new Composer(Specimen.TYPEFACES)
            .compose(design, wrap, Specimen.BOOK, ThirtySpoiledTest::find);
    List<Finding> before = new ArrayList<>(Check.run(new Subject(wrap, Specimen.BOOK, art.laid())));
    before.addAll(WordsStandOut.find(art.laid(), seen(art)));
    Path file = PressFiles.make(art, PressFiles.making(PressFiles.rules(Standard.X1A, 300)));
    Path aside = Scratch.directory("spoiled");
    FileBytes in = FileBytes.of(file);
    FileFacts facts = FileReading.read(in, aside, Budget.forFile(in.length()));
    OutputCondition coated = OutputCondition.COATED;
    List<Finding> after =
        FileCheck.of(
                facts,
                new FileCheck.Wanted(
                    wrap,
                    Specimen.BOOK,
                    coated.title().toLowerCase(Locale.ROOT),
                    coated.registered(),
                    coated.profile().sha(),
                    font -> font.contains("Spectral")),
                n -> inks(aside, n))
            .stream()
            .map(FileCheck.Remark::finding)
            .toList();
    return new Said(before, after);
  }

  private static Optional<InkPixels> inks(Path aside, int page) {
    Path at = PageLook.inks(aside, page);
    try {
      return Files.exists(at) ? Optional.of(PlateFile.read(at)) : Optional.empty();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String told(List<Finding> all) {
    return all.stream()
        .map(f -> f.code() + ": " + f.sentence(Unit.IN))
        .reduce("", (a, b) -> a + "\n  " + b);
  }

  /** Figures of a sentence, but for those of names. */
  private static List<Double> figures(Finding f) {
    Matcher m =
        Pattern.compile("\\d+(?:\\.\\d+)?").matcher(f.sentence(Unit.IN).replaceAll("“[^”]*”", ""));
    List<Double> all = new ArrayList<>();
    while (m.find()) {
      all.add(Double.valueOf(m.group()));
    }
    return all;
  }

  /**
   * How far figures may be apart: ratios of colours are told to a tenth, and inks are not light.
   */
  private static double rounding(String code) {
    return code.equals("words-faint") ? 0.1 : 0.011;
  }

  @DataProvider
  public Object[][] covers() {
    return Extent.of(4, ALL).stream().map(s -> new Object[] {s}).toArray(Object[][]::new);
  }

  @Test
  public void nothingIsFoundOfTheSoundCoverBeforeOrAfter() throws IOException {
    assertThat(ALL.size()).isGreaterThanOrEqualTo(30);
    Said said = said(SOUND, sound(SOUND));
    assertThat(said.before()).as(told(said.before())).isEmpty();
    assertThat(said.after()).as(told(said.after())).isEmpty();
  }

  @Test(dataProvider = "covers")
  public void isCaughtBeforeAndAfterWithTheSameFigures(Spoiled s) throws IOException {
    Said said = said(s.wrap(), s.spoil().apply(sound(s.wrap())));
    String all = "before:" + told(said.before()) + "\nafter:" + told(said.after());
    List<Finding> before = said.before().stream().filter(f -> f.code().equals(s.before())).toList();
    List<Finding> after = said.after().stream().filter(f -> f.code().equals(s.after())).toList();
    assertThat(before).as(all).isNotEmpty();
    assertThat(after).as(all).isNotEmpty();
    if (s.before().equals(s.after())) {
      assertThat(after.get(0).severity()).isEqualTo(before.get(0).severity());
      List<Double> was = figures(before.get(0));
      List<Double> is = figures(after.get(0));
      if (s.before().equals("spine-type-too-big")) {
        was.remove(was.size() - 1); // which size had room, a file's font doesn't tell
      }
      assertThat(is).as(all).hasSameSizeAs(was);
      for (int i = 0; i < is.size(); i++) {
        assertThat(is.get(i))
            .as(all)
            .isCloseTo(
                was.get(i), within(rounding(s.before()) * Math.max(1, Math.abs(was.get(i)))));
      }
    }
  }
}
