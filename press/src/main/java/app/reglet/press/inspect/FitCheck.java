package app.reglet.press.inspect;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.raster.EbookCover;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a file is the one that an edition needs: page count, size within the house's tolerance,
 * trim, fonts; of an ebook's cover its pixels and its bytes.
 */
public final class FitCheck {
  private FitCheck() {}

  /**
   * Compares a PDF with the page it should be. Where a house takes front, spine and back as files
   * of their own, the one whose size is nearest is meant.
   */
  public static List<Compared> of(PdfFacts file, Wrap outside) {
    Comparator<Wrap> nearest = nearest(file);
    List<Wrap> nearestFirst = nearestFirst(file, outside);
    Wrap meant = nearestFirst.get(0);
    List<Compared> compared = new ArrayList<>();
    if (outside.rules().parts().isPresent()) {
      // front and back have one size: without a trim box the file does not tell which it is
      compared.add(
          new Compared.TakenFor(
              nearestFirst.stream()
                  .takeWhile(p -> nearest.compare(p, meant) == 0)
                  .map(Wrap::page)
                  .toList()));
    }
    boolean inside = FilePages.inside(outside).isPresent();
    compared.add(new Compared.PageCount(file.pages(), inside));
    if (inside && file.pages() == 2) {
      compared.add(new Compared.InsideSize(file.otherSizes().isEmpty()));
    }
    compared.addAll(sizesAndFonts(file, meant));
    return compared;
  }

  private static List<Compared> sizesAndFonts(PdfFacts file, Wrap meant) {
    List<Compared> compared = new ArrayList<>();
    Length tolerance = meant.house().files().tolerance();
    compared.add(
        new Compared.SheetSize(
            meant.sheet(),
            file.first().media(),
            meant.trimmed().size(),
            tolerance,
            meant.house().name()));
    // PDF/X wants a trim box; a file that claims to be none may leave it out
    trimBox(file).ifPresent(box -> compared.add(trim(box, file, meant, tolerance)));
    compared.add(
        new Compared.Fonts(
            file.fonts().size(), (int) file.fonts().stream().filter(f -> !f.embedded()).count()));
    return compared;
  }

  /** Compares the file of an inside that goes by itself with the inside's page. */
  public static List<Compared> ofInside(PdfFacts file, Wrap inside) {
    List<Compared> compared = new ArrayList<>();
    compared.add(new Compared.PageCount(file.pages(), false));
    compared.addAll(sizesAndFonts(file, inside));
    return compared;
  }

  /** Compares an ebook's cover with what its shop takes. */
  public static List<Compared> of(EbookCover cover, Wrap wrap) {
    return List.of(
        new Compared.Pixels(
            wrap.sheet(),
            new Size(Length.of(cover.width(), Unit.PX), Length.of(cover.height(), Unit.PX))),
        new Compared.ImageFile(
            cover.file().length, cover.quality(), wrap.house().files().mostMegabytes()));
  }

  /** The page that a file is taken for: of the outside, or of its parts the nearest in size. */
  public static Wrap meant(PdfFacts file, Wrap outside) {
    return nearestFirst(file, outside).get(0);
  }

  private static List<Wrap> nearestFirst(PdfFacts file, Wrap outside) {
    return FilePages.of(outside).stream()
        .filter(p -> p.page() != FilePage.INSIDE)
        .sorted(nearest(file))
        .toList();
  }

  private static Comparator<Wrap> nearest(PdfFacts file) {
    return Comparator.<Wrap, Length>comparing(p -> distance(file.first().media(), p.sheet()))
        .thenComparing(p -> trimOff(file, p));
  }

  /** How far the file's trim box is from where a page's trim begins; zero when it has none. */
  private static Length trimOff(PdfFacts file, Wrap page) {
    return trimBox(file)
        .filter(b -> file.first().rotated() == 0)
        .map(b -> b.left().minus(page.trimmed().left()).abs())
        .orElse(Length.ZERO);
  }

  private static Optional<PdfFacts.NamedBox> trimBox(PdfFacts file) {
    return file.first().boxes().stream().filter(b -> b.name().equals("TrimBox")).findFirst();
  }

  private static Length distance(Size a, Size b) {
    return a.width().minus(b.width()).abs().plus(a.height().minus(b.height()).abs());
  }

  private static Compared.TrimBox trim(
      PdfFacts.NamedBox box, PdfFacts file, Wrap wrap, Length tolerance) {
    return new Compared.TrimBox(
        new Compared.TrimBox.Placed(
            wrap.trimmed().size(),
            wrap.trimmed().left(),
            wrap.sheet().height().minus(wrap.trimmed().bottom())),
        new Compared.TrimBox.Placed(box.size(), box.left(), box.bottom()),
        file.first().rotated() != 0,
        tolerance);
  }
}
