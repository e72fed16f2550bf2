package app.reglet.press.inspect;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.carry.Carry;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.compose.Composer;
import app.reglet.press.golden.Golden;
import app.reglet.press.pdf.PressFiles;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Supplier;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.multipdf.LayerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.util.Matrix;

/**
 * Covers made by other tools than ours, good ones and ones spoiled in a named way: cairo (by
 * librsvg), ghostscript, MuPDF, ImageMagick, groff, ReportLab, img2pdf, qpdf, LibreOffice, and by
 * hand.
 */
final class Corpus {
  /** A sheet for a house that takes plain PDFs in sRGB. */
  static final Wrap PLAIN = wrap("whimbrel-digital", 320);

  /** The jacket of a house that makes cases too. */
  static final Wrap JACKET = hard(Binding.DUST_JACKET, 240);

  /** A sheet for a house that takes PDF/X-1a in inks, and wants the barcode in the art. */
  static final Wrap INKS = wrap("gannet-and-gauge", 320);

  private static final double H = 666;
  private static final double W = PLAIN.sheet().width().toPoints();
  private static final double FOLD = 441;
  private static final double SPINE = W - 18 - 864;
  private static final Path DIRECTORY = Scratch.directory("corpus");

  /**
   * A file.
   *
   * @param name what it is and which tool made it
   * @param wrap for which it is held against
   * @param code of what must be found; empty for a good file, in which nothing is to be mended
   * @param bytes makes it
   */
  record Item(String name, Wrap wrap, String code, Supplier<byte[]> bytes) {
    boolean isGood() {
      return code.isEmpty();
    }

    @Override
    public String toString() {
      return name;
    }
  }

  private Corpus() {}

  private static Wrap wrap(String house, int pages) {
    return Measuring.measure(
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9", Unit.IN),
            pages,
            "cream",
            "black",
            PageTurn.LTR),
        Specimen.house(house));
  }

  private static Wrap hard(Binding binding, int pages) {
    return Measuring.measure(
        Specification.of(
            binding, Size.parse("6 x 9", Unit.IN), pages, "white", "black", PageTurn.LTR),
        Specimen.house("dunlin-casebinders"));
  }

  private static Path path(String ending) {
    try {
      return Files.createTempFile(DIRECTORY, "c", ending);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Path file(String ending, byte[] content) {
    try {
      return Files.write(path(ending), content);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] read(Path p) {
    try {
      return Files.readAllBytes(p);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String n(double v) {
    return String.format(Locale.ROOT, "%.4f", v);
  }

  // --- cairo ---

  /** The good cover as SVG, its sheet so large, with something more on it. */
  private static String svg(double w, double h, String ground, String words, String more) {
    return "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='"
        + n(w)
        + "pt' height='"
        + n(h)
        + "pt' viewBox='0 0 "
        + n(w)
        + " "
        + n(h)
        + "'>"
        + ground
        + words
        + more
        + "</svg>";
  }

  private static final String GROUND =
      "<rect width='2000' height='2000' fill='#e8dfc8'/><circle cx='720' cy='420' r='90' fill='#7a2f1d'/>";

  private static String text(double x, double y, double size, String fill, String said) {
    return "<text x='"
        + n(x)
        + "' y='"
        + n(y)
        + "' font-family='Cantarell' font-size='"
        + n(size)
        + "' fill='"
        + fill
        + "'>"
        + said
        + "</text>";
  }

  private static final String WORDS =
      text(540, 200, 40, "#000000", "The Salt Ledger")
          + text(60, 120, 12, "#000000", "Ida Wren keeps the books of the flats.")
          + spine(0);

  private static String spine(double off) {
    return "<g transform='translate("
        + n(FOLD + SPINE / 2 - 5 + off)
        + " 120) rotate(90)'>"
        + text(0, 0, 16, "#000000", "The Salt Ledger")
        + "</g>";
  }

  private static byte[] cairo(String svg) {
    Path in = file(".svg", svg.getBytes(StandardCharsets.UTF_8));
    Path out = path(".pdf");
    Tool.ok("rsvg-convert", "-f", "pdf", "-o", out.toString(), in.toString());
    return read(out);
  }

  private static byte[] cairo(String words, String more) {
    return cairo(svg(W, H, GROUND, words, more));
  }

  // --- others ---

  private static byte[] ghostscript(String postscript, String... options) {
    Path in = file(".ps", postscript.getBytes(StandardCharsets.US_ASCII));
    Path out = path(".pdf");
    List<String> command =
        new ArrayList<>(
            List.of("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=pdfwrite"));
    command.addAll(List.of(options));
    command.addAll(List.of("-sOutputFile=" + out, in.toString()));
    Tool.ok(command.toArray(String[]::new));
    return read(out);
  }

  private static String postscript(double w, String more) {
    return "%!PS\n<< /PageSize ["
        + n(w)
        + " 666] >> setpagedevice\n0.91 0.87 0.78 setrgbcolor 0 0 2000 2000 rectfill\n0 setgray /Times-Roman findfont 40 scalefont setfont 540 460 moveto (The Salt Ledger) show\n"
        + more
        + "showpage\n";
  }

  private static byte[] mupdf(String content) {
    Path in =
        file(
            ".txt",
            ("%%MediaBox 0 0 "
                    + n(W)
                    + " 666\n%%Font F "
                    + font()
                    + "\n0.91 0.87 0.78 rg 0 0 2000 2000 re f 0 g\nBT /F 40 Tf 540 460 Td (The Salt Ledger) Tj ET\n"
                    + content)
                .getBytes(StandardCharsets.US_ASCII));
    Path out = path(".pdf");
    Tool.ok("mutool", "create", "-o", out.toString(), in.toString());
    return read(out);
  }

  private static String font() {
    try (var in = Corpus.class.getResourceAsStream("/fonts/spectral/Spectral_400Regular.ttf")) {
      Path at = DIRECTORY.resolve("Spectral.ttf");
      if (!Files.exists(at)) {
        Files.write(at, in.readAllBytes());
      }
      return at.toString();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] reportlab(double w, double h, String more) {
    Path out = path(".pdf");
    String script =
        "from reportlab.pdfgen import canvas\n"
            + "from reportlab.pdfbase import pdfmetrics\n"
            + "from reportlab.pdfbase.ttfonts import TTFont\n"
            + "pdfmetrics.registerFont(TTFont('Spectral','"
            + font()
            + "'))\n"
            + "c=canvas.Canvas('"
            + out
            + "',pagesize=("
            + n(w)
            + ","
            + n(h)
            + "),initialFontName='Spectral')\n"
            + "c.setFillColorRGB(.91,.87,.78); c.rect(0,0,2000,2000,stroke=0,fill=1); c.setFillGray(0)\n"
            + "c.setFont('Spectral',40); c.drawString(540,460,'The Salt Ledger')\n"
            + more
            + "\nc.showPage(); c.save()\n";
    Tool.ok("/usr/bin/python3", "-c", script);
    return read(out);
  }

  private static byte[] groff() {
    Path in =
        file(".roff", ".ll 5i\n.po 7.6i\n.sp 3i\n.ps 30\n.vs 36\nThe Salt Ledger\n".getBytes());
    Path out = path(".pdf");
    // -P-p: the paper's length and width
    Path made = path(".raw");
    Tool.ok(
        "sh",
        "-c",
        "groff -Tpdf -P-e -P-p" + n(H / 72) + "i," + n(W / 72) + "i " + in + " > " + made);
    // its own paper is white: the ground is put below by qpdf
    Path ground = file(".pdf", cairo(svg(W, H, GROUND, "", "")));
    Tool.ok("qpdf", made.toString(), "--underlay", ground.toString(), "--", out.toString());
    return read(out);
  }

  private static byte[] qpdf(byte[] pdf, String... options) {
    Path in = file(".pdf", pdf);
    Path out = path(".pdf");
    List<String> command = new ArrayList<>(List.of("qpdf"));
    command.addAll(List.of(options));
    int files = command.indexOf("FILES");
    if (files >= 0) {
      command.remove(files);
      command.addAll(files, List.of(in.toString(), out.toString()));
    } else {
      command.addAll(List.of(in.toString(), out.toString()));
    }
    Tool.ok(command.toArray(String[]::new));
    return read(out);
  }

  private static byte[] clean(byte[] pdf) {
    Path in = file(".pdf", pdf);
    Path out = path(".pdf");
    Tool.ok("mutool", "clean", "-gggz", in.toString(), out.toString());
    return read(out);
  }

  /** A picture of a sky with a little noise, as of a photograph. */
  private static Path photo(int w, int h, String format) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0x9fb8c8), 0, h, new Color(0x2a3b4a)));
    g.fillRect(0, 0, w, h);
    Random random = new Random(7);
    for (int i = 0; i < w * h / 900; i++) {
      int x = random.nextInt(w);
      int y = random.nextInt(h);
      g.setColor(new Color(random.nextInt(0xffffff)));
      g.fillRect(x, y, 6, 6);
    }
    g.dispose();
    Path out = path("." + format);
    try {
      ImageIO.write(image, format, out.toFile());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out;
  }

  /** A JPEG by ImageMagick, which Debian lets write no PDF, laid on a page by MuPDF. */
  private static byte[] magick(int ppi, double w) {
    Path in = photo((int) Math.round(w / 72 * ppi), (int) Math.round(H / 72 * ppi), "png");
    Path jpeg = path(".jpg");
    Tool.ok("convert", in.toString(), "-quality", "92", jpeg.toString());
    Path page =
        file(
            ".txt",
            ("%%MediaBox 0 0 "
                    + n(w)
                    + " 666\n%%Image I "
                    + jpeg
                    + "\nq "
                    + n(w)
                    + " 0 0 666 0 0 cm /I Do Q\n")
                .getBytes(StandardCharsets.US_ASCII));
    Path out = path(".pdf");
    Tool.ok("mutool", "create", "-o", out.toString(), page.toString());
    return read(out);
  }

  /** One of those that were made beforehand, as {@code corpus/README.md} tells. */
  private static byte[] kept(String name) {
    try (var in = Corpus.class.getResourceAsStream("/corpus/" + name + ".pdf")) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A picture packed anew with much loss. */
  private static Path spoilt(Path jpeg, int quality) {
    Path out = path(".jpg");
    Tool.ok("convert", jpeg.toString(), "-quality", String.valueOf(quality), out.toString());
    return out;
  }

  private static byte[] img2pdf(int ppi) {
    return img2pdf(ppi, 0);
  }

  private static byte[] img2pdf(int ppi, int quality) {
    Path good = photo((int) Math.round(W / 72 * ppi), (int) Math.round(H / 72 * ppi), "jpg");
    Path in = quality == 0 ? good : spoilt(good, quality);
    Path out = path(".pdf");
    Tool.ok(
        "img2pdf",
        "--pagesize",
        n(W) + "ptx666pt",
        "--imgsize",
        n(W) + "ptx666pt",
        "--fit",
        "fill",
        "-o",
        out.toString(),
        in.toString());
    return read(out);
  }

  /** By hand: the good cover, with resources and content more. */
  private static HandPdf hand(String entries, String resources, String content) {
    HandPdf pdf = new HandPdf();
    int program = pdf.stream("/Length1 " + read(Path.of(font())).length, read(Path.of(font())));
    int descriptor =
        pdf.add(
            "<< /Type /FontDescriptor /FontName /Spectral /Flags 32 /FontBBox [-300 -300 1300 1000] /ItalicAngle 0 /Ascent 1000 /Descent -400 /CapHeight 650 /StemV 80 /FontFile2 "
                + program
                + " 0 R >>");
    StringBuilder widths = new StringBuilder();
    for (int i = 32; i < 127; i++) {
      widths.append("500 ");
    }
    int font =
        pdf.add(
            "<< /Type /Font /Subtype /TrueType /BaseFont /Spectral /FirstChar 32 /LastChar 126 /Widths ["
                + widths
                + "] /Encoding /WinAnsiEncoding /FontDescriptor "
                + descriptor
                + " 0 R >>");
    return pdf.page(
        "/MediaBox [0 0 " + n(W) + " 666] " + entries,
        "/Font << /F " + font + " 0 R >> " + resources,
        "0.91 0.87 0.78 rg 0 0 2000 2000 re f 0 g BT /F 40 Tf 540 460 Td (The Salt Ledger) Tj ET\n"
            + content);
  }

  private static byte[] ours(Standard standard, int pages) {
    return ours(standard, pages, Specimen.BOOK);
  }

  private static byte[] ours(Standard standard, int pages, Book book) {
    Golden golden =
        Golden.all().stream().filter(g -> g.name().equals("ledger")).findFirst().orElseThrow();
    Wrap at = wrap("gannet-and-gauge", pages);
    var art =
        new Composer(Specimen.TYPEFACES)
            .compose(
                new Carry(book, sha -> OptionalDouble.empty())
                    .of(golden.design(), golden.wrap(), at),
                at,
                book,
                sha -> Optional.empty());
    return read(PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300))));
  }

  /** Another book's barcode on the same cover. */
  private static Book other() {
    Book b = Specimen.BOOK;
    return new Book(
        b.title(),
        b.subtitle(),
        b.author(),
        b.imprint(),
        b.blurb(),
        Optional.of(Isbn.parse("9781402894626")),
        b.price());
  }

  /** The page's left part on its right, and the right one on its left. */
  private static byte[] exchanged(byte[] pdf) {
    try (PDDocument in = Loader.loadPDF(pdf);
        PDDocument out = new PDDocument()) {
      PDPage from = in.getPage(0);
      PDPage page = new PDPage(from.getMediaBox());
      out.addPage(page);
      PDFormXObject form = new LayerUtility(out).importPageAsForm(in, 0);
      float w = from.getMediaBox().getWidth();
      try (PDPageContentStream c = new PDPageContentStream(out, page)) {
        for (int side : new int[] {-1, 1}) {
          c.saveGraphicsState();
          c.addRect(side < 0 ? 0 : w / 2, 0, w / 2, 700);
          c.clip();
          c.transform(Matrix.getTranslateInstance(side * w / 2, 0));
          c.drawForm(form);
          c.restoreGraphicsState();
        }
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      out.save(bytes);
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] inks(String resources, String content, boolean intent) {
    return inks(resources, content, "FOGRA39", intent ? OutputCondition.COATED : null);
  }

  /**
   * By hand: a cover in inks.
   *
   * @param condition that it is made for; null for none said
   */
  private static byte[] inks(
      String resources, String content, String registered, OutputCondition condition) {
    HandPdf pdf = new HandPdf();
    if (condition != null) {
      int icc = pdf.stream("/N 4", condition.profile().bytes());
      pdf.catalog(
          "/OutputIntents [<< /Type /OutputIntent /S /GTS_PDFX /OutputConditionIdentifier ("
              + registered
              + ") /DestOutputProfile "
              + icc
              + " 0 R >>]");
    }
    double w = INKS.sheet().width().toPoints();
    return pdf.page(
            "/MediaBox [0 0 " + n(w) + " 666] /TrimBox [9 9 " + n(w - 9) + " 657]",
            resources,
            "0.1 0.1 0.2 0 k 0 0 2000 2000 re f " + content)
        .bytes();
  }

  static List<Item> all() {
    List<Item> all = new ArrayList<>();
    good(all);
    sizes(all);
    carried(all);
    drawn(all);
    inked(all);
    return all;
  }

  private static void plain(List<Item> all, String name, String code, Supplier<byte[]> bytes) {
    all.add(new Item(name, PLAIN, code, bytes));
  }

  private static void inks(List<Item> all, String name, String code, Supplier<byte[]> bytes) {
    all.add(new Item(name, INKS, code, bytes));
  }

  private static void good(List<Item> all) {
    plain(all, "cairo: good", "", () -> cairo(WORDS, ""));
    plain(all, "cairo: outlines for letters", "", () -> cairo("", ""));
    plain(all, "ReportLab: good", "", () -> reportlab(W, H, ""));
    plain(
        all,
        "ghostscript: good",
        "",
        () -> ghostscript(postscript(W, ""), "-dPDFSETTINGS=/prepress"));
    plain(all, "MuPDF: good", "", () -> mupdf(""));
    plain(all, "ImageMagick and MuPDF: one picture of 300 ppi", "", () -> magick(300, W));
    plain(all, "img2pdf: one JPEG of 300 ppi", "", () -> img2pdf(300));
    plain(all, "LibreOffice: good", "", () -> kept("cover"));
    plain(all, "groff: good, its ground laid below by qpdf", "", Corpus::groff);
    plain(all, "by hand: good", "", () -> hand("", "", "").bytes());
    plain(
        all,
        "by hand: with boxes",
        "",
        () ->
            hand("/TrimBox [9 9 " + n(W - 9) + " 657] /BleedBox [0 0 " + n(W) + " 666]", "", "")
                .bytes());
    plain(all, "qpdf: linearised", "", () -> qpdf(cairo(WORDS, ""), "--linearize"));
    plain(
        all,
        "qpdf: objects in streams",
        "",
        () -> qpdf(reportlab(W, H, ""), "--object-streams=generate"));
    plain(
        all,
        "qpdf: unpacked",
        "",
        () -> qpdf(ghostscript(postscript(W, ""), "-dPDFSETTINGS=/prepress"), "--qdf"));
    plain(all, "MuPDF: cleaned", "", () -> clean(cairo(WORDS, "")));
    plain(all, "ghostscript: written anew", "", () -> anew(cairo(WORDS, "")));
    plain(all, "by hand: in units of two points", "", () -> unit());
    inks(all, "ours: PDF/X-1a", "", () -> ours(Standard.X1A, 320));
    inks(
        all,
        "qpdf: ours, unpacked",
        "",
        () -> qpdf(ours(Standard.X1A, 320), "--qdf", "--object-streams=disable"));
  }

  private static byte[] anew(byte[] pdf) {
    Path in = file(".pdf", pdf);
    Path out = path(".pdf");
    Tool.ok(
        "gs",
        "-q",
        "-dNOPAUSE",
        "-dBATCH",
        "-dSAFER",
        "-sDEVICE=pdfwrite",
        "-sOutputFile=" + out,
        in.toString());
    return read(out);
  }

  private static byte[] unit() {
    return new HandPdf()
        .page(
            "/UserUnit 2 /MediaBox [0 0 " + n(W / 2) + " 333]",
            "",
            "0.5 0.6 0.7 rg 0 0 1000 1000 re f")
        .bytes();
  }

  private static void sizes(List<Item> all) {
    plain(
        all,
        "ReportLab: a fifth of an inch too wide",
        "sheet-size",
        () -> reportlab(W + 14.4, H, ""));
    plain(
        all,
        "cairo: the trimmed size",
        "would-fit",
        () -> cairo(svg(W - 18, H - 18, GROUND, WORDS, "")));
    plain(
        all,
        "cairo: scaled by 98.2 %",
        "would-fit",
        () -> cairo(svg(W * 0.982, H * 0.982, GROUND, WORDS, "")));
    plain(
        all,
        "ghostscript: for 288 pages",
        "would-fit",
        () -> ghostscript(postscript(W - 32 * 72 / 444.0, "")));
    plain(
        all, "ReportLab: for 352 pages", "would-fit", () -> reportlab(W + 32 * 72 / 444.0, H, ""));
    plain(
        all,
        "ReportLab: for coated paper",
        "would-fit",
        () -> reportlab(W + 320 * 72 * (1 / 426.0 - 1 / 444.0), H, ""));
    plain(
        all,
        "qpdf: turned by a quarter",
        "would-fit",
        () -> qpdf(cairo(WORDS, ""), "--rotate=+90"));
    plain(all, "ReportLab: on A4", "sheet-size", () -> reportlab(595.28, 841.89, ""));
    plain(
        all,
        "by hand: trim box of another size",
        "trim-box",
        () -> hand("/TrimBox [9 9 " + n(W - 40) + " 657]", "", "").bytes());
    plain(
        all,
        "by hand: trim box off its place",
        "trim-box",
        () -> hand("/TrimBox [2 9 " + n(W - 16) + " 657]", "", "").bytes());
    plain(
        all,
        "ReportLab: two pages",
        "page-count",
        () ->
            reportlab(
                W, H, "\nc.showPage(); c.setFont('Spectral',20); c.drawString(540,460,'More')\n"));
    inks(all, "ours: for 312 pages", "would-fit", () -> ours(Standard.X1A, 312));
    inks(all, "ours: for 400 pages", "would-fit", () -> ours(Standard.X1A, 400));
    inks(
        all,
        "PDFBox: ours, front and back exchanged",
        "would-fit",
        () -> exchanged(ours(Standard.X1A, 320)));
    Size boards = hard(Binding.CASE_LAMINATE, 240).sheet();
    all.add(
        new Item(
            "ReportLab: the case, for the jacket",
            JACKET,
            "would-fit",
            () -> reportlab(boards.width().toPoints(), boards.height().toPoints(), "")));
  }

  private static void carried(List<Item> all) {
    plain(
        all,
        "ReportLab: a font not embedded",
        "fonts",
        () -> reportlab(W, H, "c.setFont('Helvetica',20); c.drawString(540,300,'Loose')"));
    plain(
        all,
        "ghostscript: the standard fonts left out, as it does unasked",
        "fonts",
        () -> ghostscript(postscript(W, "")));
    plain(
        all,
        "qpdf: locked against changing",
        "file-locked",
        () ->
            qpdf(
                cairo(WORDS, ""), "--encrypt", "", "owner", "256", "--modify=none", "--", "FILES"));
    plain(
        all,
        "qpdf: locked against printing",
        "file-locked",
        () ->
            qpdf(cairo(WORDS, ""), "--encrypt", "", "owner", "256", "--print=none", "--", "FILES"));
    plain(
        all,
        "ReportLab: a note on it",
        "carries-notes",
        () -> reportlab(W, H, "c.linkURL('http://example.org',(540,300,640,320))"));
    plain(
        all,
        "ReportLab: a form",
        "carries-form",
        () -> reportlab(W, H, "c.acroForm.textfield(name='t',x=540,y=300,width=100,height=20)"));
    plain(
        all,
        "by hand: a script",
        "carries-scripts",
        () ->
            hand("", "", "")
                .catalog(
                    "/Names << /JavaScript << /Names [(a) << /S /JavaScript /JS (app.beep\\(\\)) >>] >> >>")
                .bytes());
    plain(
        all,
        "qpdf: a file attached",
        "carries-files",
        () ->
            qpdf(
                cairo(WORDS, ""),
                "--add-attachment",
                file(".txt", "x".getBytes()).toString(),
                "--"));
    plain(all, "by hand: layers", "carries-layers", Corpus::layers);
    plain(
        all,
        "by hand: an XML form",
        "carries-form",
        () -> hand("", "", "").catalog("/AcroForm << /Fields [] /XFA (x) >>").bytes());
    plain(all, "by hand: 42 MB", "file-large", () -> heavy());
    plain(all, "a JPEG by its own name", "kind-other", () -> read(photo(3909, 2775, "jpg")));
    plain(
        all,
        "by hand: its drawing breaks off",
        "drawing-broken",
        () -> hand("", "", "q /X gs Q q /Missing Do Q ").bytes());
  }

  private static byte[] heavy() {
    byte[] noise = new byte[42_000_000];
    new Random(1).nextBytes(noise);
    HandPdf pdf = hand("", "", "");
    pdf.stream("/Type /Unused", noise);
    return pdf.bytes();
  }

  private static byte[] layers() {
    HandPdf pdf = hand("", "", "");
    int layer = pdf.add("<< /Type /OCG /Name (Lines to cut) >>");
    return pdf.catalog(
            "/OCProperties << /OCGs [" + layer + " 0 R] /D << /Order [" + layer + " 0 R] >> >>")
        .bytes();
  }

  private static void drawn(List<Item> all) {
    plain(all, "ImageMagick and MuPDF: 90 ppi", "picture-too-coarse", () -> magick(90, W));
    plain(all, "img2pdf: 220 ppi", "picture-soft", () -> img2pdf(220));
    plain(all, "LibreOffice: words across the fold", "words-across-fold", () -> kept("fold"));
    plain(all, "LibreOffice: a link", "carries-notes", () -> kept("link"));
    plain(all, "img2pdf: a JPEG of quality 30", "picture-artefacts", () -> img2pdf(300, 30));
    plain(
        all,
        "cairo: spine words from bottom to top",
        "spine-type-other-way",
        () ->
            cairo(
                text(540, 200, 40, "#000000", "The Salt Ledger"),
                "<g transform='translate("
                    + n(FOLD + SPINE / 2 + 5)
                    + " 420) rotate(-90)'>"
                    + text(0, 0, 16, "#000000", "The Salt Ledger")
                    + "</g>"));
    plain(
        all,
        "cairo: a slip in the title",
        "title-other",
        () -> cairo(text(540, 200, 40, "#000000", "The Salt Leger") + spine(0), ""));
    plain(
        all,
        "ReportLab: crop marks round it",
        "carries-marks",
        () ->
            reportlab(
                W + 72,
                H + 72,
                "c.setLineWidth(.25)\nfor x in (45,"
                    + n(W + 27)
                    + "):\n c.line(x,0,x,27); c.line(x,"
                    + n(H + 45)
                    + ",x,"
                    + n(H + 72)
                    + ")\n"));
    plain(
        all,
        "cairo: a line of a tenth of a point",
        "line-thin",
        () -> cairo(WORDS, "<path d='M540 300h200' stroke='#000000' stroke-width='0.1'/>"));
    plain(all, "MuPDF: a hairline", "line-thin", () -> mupdf("0 w 540 300 m 700 300 l S\n"));
    plain(
        all,
        "cairo: words 6 pt from the trim",
        "words-outside-safe",
        () -> cairo(WORDS + text(520, 651, 12, "#000000", "Near the foot"), ""));
    plain(
        all,
        "ReportLab: words across the fold",
        "words-across-fold",
        () -> reportlab(W, H, "c.setFont('Spectral',20); c.drawString(430,200,'Across')"));
    plain(
        all,
        "cairo: spine words too large",
        "spine-type-too-big",
        () ->
            cairo(
                text(540, 200, 40, "#000000", "The Salt Ledger")
                    + "<g transform='translate(450 120) rotate(90)'>"
                    + text(0, 0, 76, "#000000", "Salt Egg")
                    + "</g>",
                ""));
    plain(
        all,
        "cairo: spine words of 5 pt",
        "spine-type-too-small",
        () ->
            cairo(
                text(540, 200, 40, "#000000", "The Salt Ledger")
                    + "<g transform='translate(468 120) rotate(90)'>"
                    + text(0, 0, 5, "#000000", "Small")
                    + "</g>",
                ""));
    plain(
        all,
        "ghostscript: type of 4 pt",
        "type-small",
        () ->
            ghostscript(
                postscript(
                    W,
                    "/Times-Roman findfont 4 scalefont setfont 540 300 moveto (tiny tiny type) show\n")));
    plain(
        all,
        "MuPDF: type of 4 pt close below a line of 11 pt",
        "type-small",
        () ->
            mupdf(
                "BT /F 11 Tf 540 300 Td (A line that is large enough) Tj /F 4 Tf 0 -8 Td (and one that is not) Tj ET\n"));
    plain(
        all,
        "cairo: white at the bleed",
        "edge-white",
        () ->
            cairo(
                svg(
                    W,
                    H,
                    "<rect x='9' y='9' width='" + n(W - 18) + "' height='648' fill='#7a2f1d'/>",
                    WORDS,
                    "")));
    plain(
        all,
        "cairo: spine words 4 mm off",
        "spine-off-middle",
        () -> cairo(text(540, 200, 40, "#000000", "The Salt Ledger") + spine(11.3), ""));
    plain(
        all,
        "cairo: words in the barcode's area",
        "barcode-area-covered",
        () -> cairo(WORDS + text(300, 600, 12, "#000000", "In the way"), ""));
  }

  private static void inked(List<Item> all) {
    inks(
        all,
        "by hand: four inks in full",
        "ink-heavy",
        () -> inks("", "1 1 1 1 k 600 300 200 200 re f", true));
    inks(all, "by hand: no printing condition", "condition-missing", () -> inks("", "", false));
    inks(
        all,
        "by hand: something shows through",
        "shows-through",
        () ->
            inks(
                "/ExtGState << /G << /ca 0.5 >> >>", "/G gs 1 0 0 0 k 600 300 100 100 re f", true));
    inks(
        all,
        "by hand: a fifth ink",
        "inks-beside",
        () ->
            inks(
                "/ColorSpace << /S [/Separation /Reed /DeviceCMYK << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [0.8 0 0.6 0.2] >>] >>",
                "/S cs 1 scn 600 300 100 100 re f",
                true));
    inks(
        all,
        "by hand: overprint",
        "overprints",
        () ->
            inks(
                "/ExtGState << /G << /op true /OP true >> >>",
                "/G gs 1 0 0 0 k 600 300 100 100 re f",
                true));
    inks(
        all,
        "cairo: colours of a screen",
        "colours-of-screen",
        () -> cairo(svg(INKS.sheet().width().toPoints(), H, GROUND, WORDS, "")));
    inks(all, "ours: PDF/X-4 where X-1a is taken", "standard-unkept", () -> ours(Standard.X4, 320));
    inks(all, "by hand: no barcode", "barcode-unread", () -> inks("", "", true));
    inks(
        all,
        "by hand: for another printing condition",
        "condition-other",
        () -> inks("", "", "FOGRA29", OutputCondition.UNCOATED));
    inks(
        all,
        "ours: with another book’s barcode",
        "barcode-other",
        () -> ours(Standard.X1A, 320, other()));
    plain(
        all,
        "ghostscript: inks where sRGB is taken",
        "colours-in-inks",
        () ->
            ghostscript(
                postscript(W, "0 1 1 0 setcmykcolor 600 100 100 100 rectfill\n"),
                "-dColorConversionStrategy=/LeaveColorUnchanged"));
  }
}
