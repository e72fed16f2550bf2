package app.reglet.press.inspect;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePage;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Tells a comparison in words: the one place where what Inspect finds becomes sentences. */
public final class ComparedText implements Compared.Visitor<ComparedText.Line> {
  /**
   * One comparison as a line of a table.
   *
   * @param what is compared
   * @param fits whether it is as it must be
   * @param expected what the edition needs
   * @param found what the file has
   * @param sentence what to do about it, empty when it fits
   */
  public record Line(String what, boolean fits, String expected, String found, String sentence) {
    private static Line of(
        String what, Compared c, String expected, String found, String sentence) {
      return new Line(what, c.fits(), expected, found, c.fits() ? "" : sentence);
    }
  }

  private final Unit unit;

  private ComparedText(Unit unit) {
    this.unit = unit;
  }

  /**
   * The comparisons as lines, in their order.
   *
   * @param unit of their figures: the house's, which the person at its desk will name
   */
  public static List<Line> of(List<Compared> comparisons, Unit unit) {
    ComparedText text = new ComparedText(unit);
    return comparisons.stream().map(c -> c.accept(text)).toList();
  }

  /** A size in both units, the given one first. */
  public static String both(Size size, Unit first) {
    Unit second = first == Unit.MM ? Unit.IN : Unit.MM;
    return size.brief(first) + " (" + size.brief(second) + ")";
  }

  @Override
  public Line takenFor(Compared.TakenFor c) {
    return Line.of(
        "Taken for",
        c,
        "front, spine or back",
        c.pages().stream().map(FilePage::id).collect(Collectors.joining(" or ")),
        "");
  }

  @Override
  public Line pageCount(Compared.PageCount c) {
    return Line.of(
        "Pages",
        c,
        c.hasInside() ? "1, or 2 with the inside" : "1",
        String.valueOf(c.found()),
        "A cover is one page; this file has " + c.found() + ".");
  }

  @Override
  public Line insideSize(Compared.InsideSize c) {
    return Line.of(
        "Inside",
        c,
        "the outside's size",
        c.same() ? "the outside's size" : "another size",
        "The second page, the inside, must have the size of the first.");
  }

  @Override
  public Line sheetSize(Compared.SheetSize c) {
    Length dw = c.found().width().minus(c.expected().width());
    Length dh = c.found().height().minus(c.expected().height());
    return Line.of(
        "Sheet",
        c,
        both(c.expected(), unit) + " ±" + c.tolerance().print(unit),
        both(c.found(), unit),
        "The page is "
            + off(dw, "wide", "narrow")
            + (dw.isZero() || dh.isZero() ? "" : " and ")
            + off(dh, "high", "low")
            + "; "
            + c.house()
            + " takes ±"
            + c.tolerance().print(unit)
            + "."
            + (c.lacksBleed() ? " It has the trimmed size: the bleed is missing." : ""));
  }

  private String off(Length by, String more, String less) {
    return by.isZero() ? "" : by.abs().brief(unit) + " too " + (by.isPositive() ? more : less);
  }

  @Override
  public Line trimBox(Compared.TrimBox c) {
    return Line.of(
        "Trim box",
        c,
        both(c.expected().size(), unit),
        both(c.found().size(), unit),
        c.hasSize()
            ? misplaced(c.expected(), c.found())
            : "The trim box marks another size than the trimmed cover: set it to "
                + c.expected().size().print(unit)
                + ".");
  }

  private String misplaced(Compared.TrimBox.Placed expected, Compared.TrimBox.Placed found) {
    return "The trim box begins "
        + found.left().brief(unit)
        + " from the left and "
        + found.foot().brief(unit)
        + " from the foot of the page; the trimmed cover begins "
        + expected.left().brief(unit)
        + " and "
        + expected.foot().brief(unit)
        + " from them: the cover would be cut off its place.";
  }

  @Override
  public Line fonts(Compared.Fonts c) {
    String found = c.all() == 0 ? "no fonts" : "all embedded";
    return Line.of(
        "Fonts",
        c,
        "all embedded",
        c.fits() ? found : c.loose() + " not embedded",
        "Embed every font, or turn its words into outlines.");
  }

  @Override
  public Line pixels(Compared.Pixels c) {
    return Line.of(
        "Size",
        c,
        c.expected().print(Unit.PX),
        c.found().print(Unit.PX),
        "The picture must be " + c.expected().print(Unit.PX) + ".");
  }

  @Override
  public Line imageFile(Compared.ImageFile c) {
    String size = String.format(Locale.ROOT, "%.2f MB", c.bytes() / 1e6);
    return Line.of(
        "File",
        c,
        c.mostMegabytes() == 0 ? "JPEG" : "JPEG up to " + c.mostMegabytes() + " MB",
        "JPEG, " + size + " at quality " + c.quality(),
        "The file has "
            + size
            + "; the shop takes up to "
            + c.mostMegabytes()
            + " MB: give the cover fewer pixels.");
  }
}
