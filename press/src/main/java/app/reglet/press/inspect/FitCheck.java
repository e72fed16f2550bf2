package app.reglet.press.inspect;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Whether a PDF is the press file that an edition needs: page count, size within the house's
 * tolerance, trim, fonts.
 */
public final class FitCheck {
  private FitCheck() {}

  /**
   * One comparison.
   *
   * @param what is compared
   * @param fits whether it is as it must be
   * @param expected what the edition needs
   * @param found what the file has
   * @param sentence what to do about it, empty when it fits
   */
  public record Answer(String what, boolean fits, String expected, String found, String sentence) {}

  /**
   * Compares a file with the page it should be. Where a house takes front, spine and back as files
   * of their own, the one whose size is nearest is meant.
   */
  public static List<Answer> of(PdfFacts file, Wrap outside) {
    boolean parts = outside.rules().parts().isPresent();
    Comparator<Wrap> nearest = nearest(file);
    List<Wrap> nearestFirst = nearestFirst(file, outside);
    Wrap meant = nearestFirst.get(0);
    // front and back have one size: without a trim box the file does not tell which it is
    String taken =
        nearestFirst.stream()
            .takeWhile(p -> nearest.compare(p, meant) == 0)
            .map(p -> p.page().id())
            .collect(Collectors.joining(" or "));
    List<Answer> answers = new ArrayList<>();
    if (parts) {
      answers.add(new Answer("Taken for", true, "front, spine or back", taken, ""));
    }
    boolean inside = FilePages.inside(outside).isPresent();
    boolean count = file.pages() == 1 || inside && file.pages() == 2;
    answers.add(
        new Answer(
            "Pages",
            count,
            inside ? "1, or 2 with the inside" : "1",
            String.valueOf(file.pages()),
            count ? "" : "A cover is one page; this file has " + file.pages() + "."));
    if (inside && file.pages() == 2 && !file.otherSizes().isEmpty()) {
      answers.add(
          new Answer(
              "Inside",
              false,
              "the outside's size",
              "another size",
              "The second page, the inside, must have the size of the first."));
    }
    answers.add(sheet(file, meant));
    trim(file, meant, answers);
    long loose = file.fonts().stream().filter(f -> !f.embedded()).count();
    answers.add(
        new Answer(
            "Fonts",
            loose == 0,
            "all embedded",
            loose == 0
                ? (file.fonts().isEmpty() ? "no fonts" : "all embedded")
                : loose + " not embedded",
            loose == 0 ? "" : "Embed every font, or turn its words into outlines."));
    return answers;
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

  /** A size in both units, the house's first. */
  public static String both(Size size, Unit first) {
    Unit second = first == Unit.MM ? Unit.IN : Unit.MM;
    return size.brief(first) + " (" + size.brief(second) + ")";
  }

  private static Answer sheet(PdfFacts file, Wrap wrap) {
    Unit unit = wrap.house().unit();
    Size found = file.first().media();
    Size wanted = wrap.sheet();
    Length tolerance = wrap.house().files().tolerance();
    boolean fits = within(found, wanted, tolerance);
    String sentence = "";
    if (!fits) {
      Length dw = found.width().minus(wanted.width());
      Length dh = found.height().minus(wanted.height());
      sentence =
          "The page is "
              + off(dw, "wide", "narrow", unit)
              + (dw.isZero() || dh.isZero() ? "" : " and ")
              + off(dh, "high", "low", unit)
              + "; "
              + wrap.house().name()
              + " takes ±"
              + tolerance.print(unit)
              + ".";
      if (within(found, wrap.trimmed().size(), tolerance)
          && !wrap.trimmed().size().equals(wanted)) {
        sentence += " It has the trimmed size: the bleed is missing.";
      }
    }
    return new Answer(
        "Sheet",
        fits,
        both(wanted, unit) + " ±" + tolerance.print(unit),
        both(found, unit),
        sentence);
  }

  private static String off(Length by, String more, String less, Unit unit) {
    return by.isZero() ? "" : by.abs().brief(unit) + " too " + (by.isPositive() ? more : less);
  }

  private static void trim(PdfFacts file, Wrap wrap, List<Answer> answers) {
    Optional<PdfFacts.NamedBox> box = trimBox(file);
    if (box.isEmpty()) {
      return; // PDF/X wants one; a file that claims to be none may leave it out
    }
    Unit unit = wrap.house().unit();
    Length tolerance = wrap.house().files().tolerance();
    Size found = box.get().size();
    Size wanted = wrap.trimmed().size();
    String sentence = "";
    if (!within(found, wanted, tolerance)) {
      sentence =
          "The trim box marks another size than the trimmed cover: set it to "
              + wanted.print(unit)
              + ".";
    } else if (file.first().rotated() == 0) {
      sentence = misplaced(box.get(), wrap, unit, tolerance);
    }
    answers.add(
        new Answer(
            "Trim box", sentence.isEmpty(), both(wanted, unit), both(found, unit), sentence));
  }

  /** What is said of a trim box of the right size in the wrong place; empty when it is right. */
  private static String misplaced(PdfFacts.NamedBox box, Wrap wrap, Unit unit, Length tolerance) {
    Length left = wrap.trimmed().left();
    Length foot = wrap.sheet().height().minus(wrap.trimmed().bottom());
    if (!box.left().minus(left).abs().isMoreThan(tolerance)
        && !box.bottom().minus(foot).abs().isMoreThan(tolerance)) {
      return "";
    }
    return "The trim box begins "
        + box.left().brief(unit)
        + " from the left and "
        + box.bottom().brief(unit)
        + " from the foot of the page; the trimmed cover begins "
        + left.brief(unit)
        + " and "
        + foot.brief(unit)
        + " from them: the cover would be cut off its place.";
  }

  private static boolean within(Size found, Size wanted, Length tolerance) {
    return !found.width().minus(wanted.width()).abs().isMoreThan(tolerance)
        && !found.height().minus(wanted.height()).abs().isMoreThan(tolerance);
  }
}
