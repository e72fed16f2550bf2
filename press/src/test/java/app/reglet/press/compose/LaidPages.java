package app.reglet.press.compose;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.inspect.HandPdf;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.pdf.PressFiles;
import app.reglet.press.picture.Picture;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Tool;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Covers on which a page of somebody's PDF lies, for tests. */
final class LaidPages {
  static final Wrap WRAP = Specimen.wrap(200);

  private static final String SHA = "cd".repeat(32);
  private static final double DOWN = 20;

  private LaidPages() {}

  record Kept(FileBytes file, PdfPage about, InkPixels inks) implements Pictures {
    static Kept of(HandPdf pdf) throws IOException {
      return of(Tool.file("placed.pdf", pdf.bytes()));
    }

    static Kept of(Path file) throws IOException {
      FileBytes bytes = FileBytes.of(file);
      PdfPage.Shown shown = PdfPage.shown(bytes, 1, 200, Budget.forFile(Files.size(file)));
      return new Kept(bytes, shown.page(), shown.inks());
    }

    @Override
    public Optional<Picture> find(String sha) {
      return Optional.empty();
    }

    @Override
    public Optional<Ornament> drawing(String sha) {
      return Optional.empty();
    }

    @Override
    public Optional<PageOfFile> page(String sha, int number) {
      return Optional.of(PageOfFile.of(sha, file, about, () -> Optional.of(inks)));
    }
  }

  static Length mm(double n) {
    return Length.nearMm(n);
  }

  static Piece piece(String id, Box box, Content content) {
    return new Piece(
        id, id, Anchors.hung(Region.SHEET, Span.Hold.START, Span.Hold.START, box, WRAP), content);
  }

  static Artwork composed(Pictures files, List<Piece> pieces) {
    return new Composer(Specimen.TYPEFACES)
        .compose(
            new Design(
                Map.of(), new Composition(Ground.plain(Colour.WHITE), pieces), Composition.BLANK),
            WRAP,
            Specimen.BOOK,
            files);
  }

  static Artwork laid(HandPdf pdf, Box box, Piece... beside) throws IOException {
    return laid(Kept.of(pdf), box, beside);
  }

  static Artwork laid(Kept kept, Box box, Piece... beside) {
    List<Piece> all = new ArrayList<>(List.of(beside));
    all.add(piece("page", box, new Content.Page(SHA, 1)));
    return composed(kept, all);
  }

  /**
   * A part of the file's page as high as it is, from {@code y} 20 mm down.
   *
   * @param x from the sheet's left, mm
   * @param width mm
   * @param height mm
   * @param from share of the page's width where it begins
   * @param to where it ends
   */
  static Piece cutting(String id, double x, double width, double height, double from, double to) {
    return piece(
        id,
        new Box(mm(x), mm(DOWN), mm(width), mm(height)),
        new Content.Cutting(SHA, 1, from, 0, to, 1));
  }

  /** The press file of a cover, at most 300 % of ink. */
  static Path made(Artwork art, Standard standard) {
    return PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300)));
  }

  /** The filters that the streams of a file are packed with, by their names. */
  static Set<String> packings(Path pdf) throws IOException {
    Set<String> out = new TreeSet<>();
    try (PDDocument read = Loader.loadPDF(pdf.toFile())) {
      for (var key : read.getDocument().getXrefTable().keySet()) {
        if (read.getDocument().getObjectFromPool(key).getObject() instanceof COSStream s) {
          COSBase filter = s.getFilters();
          if (filter instanceof COSName name) {
            out.add(name.getName());
          } else if (filter instanceof COSArray all) {
            out.addAll(all.toCOSNameStringList());
          }
        }
      }
    }
    return out;
  }

  /** The pictures of a file as another program lists them, in columns. */
  static List<String[]> pictures(Path pdf) {
    return Tool.ok("pdfimages", "-list", pdf.toString())
        .lines()
        .skip(2)
        .map(l -> l.strip().split("\\s+"))
        .filter(c -> c[2].equals("image"))
        .toList();
  }
}
