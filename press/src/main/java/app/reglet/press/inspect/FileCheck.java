package app.reglet.press.inspect;

import app.reglet.core.book.Book;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Finding.Severity;
import app.reglet.core.check.Found;
import app.reglet.core.check.OfFile;
import app.reglet.core.check.OfPicture;
import app.reglet.core.check.PictureUnspoilt;
import app.reglet.core.house.FileRules;
import app.reglet.core.house.PressRules;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.raster.InkPixels;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntFunction;
import java.util.function.Predicate;

/**
 * What a house will object to in a file that somebody made, wherever it was made: the very checks
 * that a cover on the bench goes through, made of what is drawn on the file's pages, and those that
 * only a file can be asked.
 */
public final class FileCheck {
  private final FileFacts file;
  private final Wanted wanted;
  private final IntFunction<Optional<InkPixels>> inks;
  private final List<Remark> remarks = new ArrayList<>();

  private FileCheck(FileFacts file, Wanted wanted, IntFunction<Optional<InkPixels>> inks) {
    this.file = file;
    this.wanted = wanted;
    this.inks = inks;
  }

  /**
   * What an edition's file must be.
   *
   * @param outside the measured cover
   * @param book the title
   * @param condition what its house calls its printing condition
   * @param registered the condition's identifier, empty for none
   * @param profile SHA-256 of its profile, in hex; empty where it is not here
   * @param fine whether a font has fine strokes, by its name
   */
  public record Wanted(
      Wrap outside,
      Book book,
      String condition,
      String registered,
      String profile,
      Predicate<String> fine) {}

  /**
   * Something found on a page.
   *
   * @param page from 1
   */
  public record Remark(int page, Finding finding) {}

  /**
   * Checks a file.
   *
   * @param inks of its pages from 1, as far as they were drawn
   * @return what the house objects to first, then what is worth a look
   */
  public static List<Remark> of(
      FileFacts file, Wanted wanted, IntFunction<Optional<InkPixels>> inks) {
    FileCheck check = new FileCheck(file, wanted, inks);
    check.whole();
    if (file.hasPages()) {
      check.traits();
      check.pages();
    }
    FileRules rules = wanted.outside().house().files();
    return check.remarks.stream()
        .map(r -> new Remark(r.page(), Finding.at(rules.findings(), List.of(r.finding())).get(0)))
        .sorted(Comparator.comparing(r -> !r.finding().mustMend()))
        .toList();
  }

  /** The page of the edition that a file's page should be; empty for one too many. */
  public static Optional<Wrap> meant(FileFacts file, Wrap outside, int page) {
    if (page == 1) {
      return Optional.of(FitCheck.meant(file.pdf(), outside));
    }
    return page == 2 && outside.rules().parts().isEmpty()
        ? FilePages.inside(outside)
        : Optional.empty();
  }

  private FileRules rules() {
    return wanted.outside().house().files();
  }

  private void add(OfFile found, Severity severity) {
    remarks.add(new Remark(1, found.found(severity)));
  }

  /** Kind, size, boxes, fonts. */
  private void whole() {
    String house = wanted.outside().house().name();
    String kind = file.kind().toLowerCase(Locale.ROOT);
    if (!rules().formats().contains(kind)) {
      add(
          new OfFile.KindOther(
              file.kind(),
              house,
              new TreeSet<>(rules().formats())
                  .stream().map(f -> f.toUpperCase(Locale.ROOT)).toList()),
          Severity.MEND);
    }
    double megabytes = file.pdf().bytes() / 1e6;
    if (rules().mostMegabytes() > 0 && megabytes > rules().mostMegabytes()) {
      add(new OfFile.TooLarge(megabytes, rules().mostMegabytes(), house), Severity.MEND);
    }
    List<Compared> compared = compared(file, wanted.outside());
    Unit unit = wanted.outside().house().unit();
    List<ComparedText.Line> lines = ComparedText.of(compared, unit);
    for (int i = 0; i < compared.size(); i++) {
      if (!compared.get(i).fits()) {
        add(
            new OfFile.NotAsMeasured(measure(compared.get(i).code()), lines.get(i).sentence()),
            Severity.MEND);
      }
    }
    picture();
    WouldFit.of(file, wanted.outside()).forEach(s -> add(new OfFile.WouldFit(s), Severity.LOOK));
  }

  private static OfFile.Measure measure(String code) {
    return OfFile.Measure.valueOf(code.toUpperCase(Locale.ROOT).replace('-', '_'));
  }

  /** Its sizes beside those of the edition; of a picture its pixels. */
  public static List<Compared> compared(FileFacts file, Wrap outside) {
    if (file.hasPages()) {
      return FitCheck.of(file.pdf(), outside);
    }
    FileFacts.PictureFacts p = file.picture().orElseThrow();
    if (outside.spec().binding().isInPixels()) {
      return List.of(
          new Compared.Pixels(
              outside.sheet(),
              new Size(Length.of(p.width(), Unit.PX), Length.of(p.height(), Unit.PX))));
    }
    // a picture has the sheet's proportion or it has not: its resolution is told apart
    Size sheet = outside.sheet();
    double tall = p.height() * sheet.width().toMm() / p.width();
    return List.of(
        new Compared.SheetSize(
            sheet,
            new Size(sheet.width(), Length.nearMm(tall)),
            new Size(
                sheet.width(),
                Length.nearMm(
                    sheet.width().toMm()
                        * outside.trimmed().height().toMm()
                        / outside.trimmed().width().toMm())),
            Length.nearMm(Math.max(rules(outside).tolerance().toMm(), 0.2)),
            outside.house().name()));
  }

  private static FileRules rules(Wrap outside) {
    return outside.house().files();
  }

  /** A picture's resolution at the sheet's size, and its colours. */
  private void picture() {
    Wrap w = wanted.outside();
    if (file.picture().isEmpty() || w.spec().binding().isInPixels()) {
      return;
    }
    FileFacts.PictureFacts p = file.picture().get();
    double ppi = (p.width() + 1) / (w.sheet().width().toMm() / 25.4); // as it was rounded
    if (ppi < rules().wantedPpi()) {
      boolean coarse = ppi < rules().leastPpi();
      Found found =
          coarse
              ? new Found.PictureTooCoarse("The whole picture", ppi, rules().leastPpi())
              : new Found.PictureSoft(
                  "The whole picture", ppi, rules().wantedPpi(), rules().leastPpi());
      remarks.add(
          new Remark(
              1,
              new Finding(
                  found,
                  coarse ? Severity.MEND : Severity.LOOK,
                  Optional.empty(),
                  Optional.empty(),
                  List.of())));
    }
    if (p.quality() > 0 && p.quality() < PictureUnspoilt.LEAST) {
      remarks.add(
          new Remark(
              1,
              new Finding(
                  new OfPicture.Artefacts("The whole picture", p.quality(), PictureUnspoilt.LEAST),
                  Severity.LOOK,
                  Optional.empty(),
                  Optional.empty(),
                  List.of())));
    }
    if (rules().press().isInks() && p.channels() == 3) {
      add(new OfFile.ColoursOfScreen(List.of("RGB"), w.house().name()), Severity.MEND);
    }
    add(new OfFile.WordsUntold(), Severity.LOOK);
  }

  /** What the file carries, and how it says it is to be printed. */
  private void traits() {
    FileTraits t = file.traits();
    PressRules press = rules().press();
    String house = wanted.outside().house().name();
    if (t.locked()) {
      add(new OfFile.Locked(t.forbidden()), Severity.MEND);
    }
    cargo(t);
    if (press.standard() != PressRules.Standard.PLAIN) {
      List<String> unkept =
          press.standard() == PressRules.Standard.X1A ? t.unkeptX1a() : t.unkeptX4();
      if (!unkept.isEmpty()) {
        add(new OfFile.StandardUnkept(press.standard().title(), house, unkept), Severity.MEND);
      }
    }
    Set<String> spaces = new TreeSet<>();
    Set<String> spots = new TreeSet<>();
    Set<String> through = new TreeSet<>();
    boolean overprints = false;
    for (PageContent p : file.pages()) {
      spaces.addAll(p.spaces());
      spots.addAll(p.spots());
      through.addAll(p.shownThrough());
      overprints |= p.overprints();
      if (!p.cut().isEmpty()) {
        remarks.add(new Remark(p.number(), new OfFile.DrawingBroken(p.cut()).found(Severity.MEND)));
      }
    }
    colours(spaces, press, house, t);
    if (!spots.isEmpty()) {
      add(new OfFile.InksBeside(List.copyOf(spots)), Severity.LOOK);
    }
    if (!through.isEmpty() && press.standard() == PressRules.Standard.X1A) {
      add(new OfFile.ShowsThrough(List.copyOf(through), press.standard().title()), Severity.MEND);
    }
    if (overprints) {
      add(new OfFile.Overprints(), Severity.LOOK);
    }
  }

  private void cargo(FileTraits t) {
    if (t.notes() > 0) {
      add(carried(OfFile.Cargo.NOTES, t.notes(), "annotation", List.of()), Severity.MEND);
    }
    if (!t.layers().isEmpty()) {
      add(carried(OfFile.Cargo.LAYERS, t.layers().size(), "layer", t.layers()), Severity.LOOK);
    }
    if (t.fields() > 0 || t.xfa()) {
      add(
          carried(
              OfFile.Cargo.FORM,
              Math.max(1, t.fields()),
              "form field",
              t.xfa() ? List.of("an XML form") : List.of()),
          Severity.MEND);
    }
    if (t.scripts() > 0) {
      add(carried(OfFile.Cargo.SCRIPTS, t.scripts(), "script", List.of()), Severity.MEND);
    }
    if (!t.attached().isEmpty()) {
      add(
          carried(OfFile.Cargo.FILES, t.attached().size(), "attached file", t.attached()),
          Severity.MEND);
    }
  }

  static OfFile.Carries carried(OfFile.Cargo cargo, int count, String one, List<String> names) {
    return new OfFile.Carries(
        cargo,
        count
            + " "
            + one
            + (count == 1 ? "" : "s")
            + (names.isEmpty()
                ? ""
                : " (" + String.join(", ", names.subList(0, Math.min(3, names.size()))) + ")"));
  }

  private void colours(Set<String> spaces, PressRules press, String house, FileTraits t) {
    List<String> screen =
        spaces.stream()
            .filter(s -> Set.of("DeviceRGB", "ICC RGB", "CalRGB", "Lab").contains(s))
            .toList();
    List<String> inked =
        spaces.stream().filter(s -> Set.of("DeviceCMYK", "ICC CMYK").contains(s)).toList();
    if (press.isInks()) {
      if (!screen.isEmpty()) {
        add(new OfFile.ColoursOfScreen(screen, house), Severity.MEND);
      }
      if (!inked.isEmpty()) {
        condition(t);
      }
    } else if (!inked.isEmpty()) {
      add(new OfFile.ColoursInInks(inked, house), Severity.LOOK);
    }
  }

  private void condition(FileTraits t) {
    List<FileTraits.Intent> intents =
        t.intents().stream().filter(i -> i.kind().equals("GTS_PDFX")).toList();
    if (intents.isEmpty()) {
      add(new OfFile.ConditionMissing(wanted.condition()), Severity.LOOK);
      return;
    }
    FileTraits.Intent i = intents.get(0);
    boolean same =
        i.sum().equals(wanted.profile()) && !i.sum().isEmpty()
            || !wanted.registered().isEmpty() && i.condition().equals(wanted.registered());
    if (!same) {
      String name = i.condition().isEmpty() ? i.profile() : i.condition();
      add(
          new OfFile.ConditionOther(name.isEmpty() ? "no name" : name, wanted.condition()),
          Severity.MEND);
    }
  }

  /** What is drawn on the pages that should be there. */
  private void pages() {
    for (PageContent content : file.pages()) {
      meant(file, wanted.outside(), content.number())
          .ifPresent(
              w -> {
                Registered on = Registered.of(w, size(content.number()));
                PageCheck.of(file, content, on, wanted, inks.apply(content.number()))
                    .forEach(f -> remarks.add(new Remark(content.number(), f)));
              });
    }
  }

  /** Pages beyond the first have its size, or {@link Compared} tells. */
  private PdfFacts.Page size(int number) {
    PdfFacts.Page first = file.pdf().first();
    return number == 1 ? first : new PdfFacts.Page(first.media(), List.of(), 0);
  }
}
