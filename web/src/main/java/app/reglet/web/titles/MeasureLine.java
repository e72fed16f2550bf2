package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.facts.PageCount;
import app.reglet.core.house.SpineRule;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;

/**
 * The numbers that decide everything, as always in sight.
 *
 * @param book pages and paper
 * @param spine its width as the house makes it; empty for an ebook
 * @param sheet the exact full sheet
 * @param stated the full sheet as the house states it, empty when that is the same
 * @param spineType the room for words across the spine, or that none are allowed; empty for an
 *     ebook
 * @param unread which facts as typed can't be read, so that these are of the last that could; empty
 *     when all can
 * @param toMend findings to mend
 * @param toLook findings to look at
 * @param counted whether these are all; else what only a drawing of the cover shows is not told yet
 */
public record MeasureLine(
    String book,
    String spine,
    String sheet,
    String stated,
    String spineType,
    String unread,
    long toMend,
    long toLook,
    boolean counted) {

  /** The line of a cover; null when its sheet can't be measured. */
  public static MeasureLine of(Cover cover) {
    return cover.wrap().map(w -> of(cover, w, false)).orElse(null);
  }

  /** The line of a cover of which all that is found is known. */
  public static MeasureLine counted(Cover cover) {
    return cover.wrap().map(w -> of(cover, w, true)).orElse(null);
  }

  private static MeasureLine of(Cover cover, Wrap wrap, boolean counted) {
    var unit = cover.unit();
    String stated = wrap.stated().equals(wrap.sheet()) ? "" : wrap.stated().print(unit);
    long mend = cover.toMend();
    return new MeasureLine(
        book(cover, wrap),
        spine(cover, wrap),
        wrap.sheet().print(unit),
        stated,
        !wrap.spec().binding().hasSpine()
            ? ""
            : cover.spineType().map(t -> t.print(unit)).orElse(""),
        unread(cover.edition()),
        mend,
        cover.found() - mend,
        counted);
  }

  private static String spine(Cover cover, Wrap wrap) {
    if (!wrap.spec().binding().hasPages()) {
      return "";
    }
    return wrap.spine().by().rule() instanceof SpineRule.None
        ? "none"
        : wrap.spine().stated().print(cover.unit());
  }

  private static String book(Cover cover, Wrap wrap) {
    if (!wrap.spec().binding().hasPages()) {
      return "front alone, on a screen";
    }
    int spread = cover.edition().getSpread();
    return wrap.spec().pages()
        + (spread > 0 ? " ± " + spread + " pp, provisional" : " pp")
        + ", "
        + cover.house().stock(wrap.spec().stock()).name();
  }

  private static String unread(EditionEntity e) {
    List<String> fields = new ArrayList<>();
    if (!e.getTrimTyped().isEmpty()) {
      fields.add("trim");
    }
    if (e.getBinding().hasPages()) {
      try {
        PageCount.parse(e.getPagesTyped());
      } catch (Refusal r) {
        fields.add("pages");
      }
    }
    if (!e.getFrontFlapTyped().isEmpty() || !e.getBackFlapTyped().isEmpty()) {
      fields.add("flaps");
    }
    if (!e.getToldSpineTyped().isEmpty()) {
      fields.add("spine");
    }
    return String.join(", ", fields);
  }
}
