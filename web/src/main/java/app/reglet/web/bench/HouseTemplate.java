package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.compose.PageOfFile;
import app.reglet.press.picture.Picture;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.store.Uploads;
import java.io.IOException;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** A house's own template, read to be laid over the sheet and compared with it. */
@Component
class HouseTemplate {
  /** Sides of pictures tell a proportion to half a pixel; this much more is another one. */
  private static final double SAME_PROPORTION = 0.002;

  private final PlacedFiles placed;
  private final PictureStore pictures;

  HouseTemplate(PlacedFiles placed, PictureStore pictures) {
    this.placed = placed;
    this.pictures = pictures;
  }

  /**
   * A template as it is laid over the sheet, in its middle.
   *
   * @param src where its picture is
   * @param width mm
   * @param height mm
   * @param fits whether it agrees with what was measured
   * @param said that, as a sentence with figures
   */
  record Laid(String src, double width, double height, boolean fits, String said) {}

  Laid read(Uploads.Upload file, Wrap wrap, Unit unit) throws IOException {
    return switch (PlacedFiles.kind(file.path())) {
      case PAGE -> page(placed.addPage(file.path(), file.name(), 1), wrap, unit);
      case PICTURE -> picture(pictures.add(file.path(), file.name()), wrap, unit);
      case DRAWING ->
          throw new Refusal(
              "template", "A template is laid over as PDF or as a picture; this is an SVG.");
    };
  }

  private static Laid page(PageOfFile page, Wrap wrap, Unit unit) {
    Size size = page.about().size();
    String src = "/pictures/" + page.page().sha() + "/preview?page=" + (page.page().page() + 1);
    double width = size.width().toMm();
    double height = size.height().toMm();
    Length tolerance = wrap.house().files().tolerance();
    String measures = "The template measures " + size.brief(unit);
    if (size.isWithin(tolerance, wrap.sheet())) {
      return new Laid(
          src,
          width,
          height,
          true,
          measures + ", as the sheet measured here does, within " + tolerance.brief(unit) + ".");
    }
    if (size.isWithin(tolerance, wrap.trimmed().size())) {
      return new Laid(
          src,
          width,
          height,
          false,
          measures
              + ", as the trimmed cover does: it has no "
              + (wrap.turnIn() ? "turn-in" : "bleed")
              + ". The sheet measured here is "
              + wrap.sheet().print(unit)
              + ".");
    }
    return new Laid(
        src,
        width,
        height,
        false,
        measures
            + "; the sheet measured here "
            + wrap.sheet().print(unit)
            + ": the template is "
            + off(size.width().minus(wrap.sheet().width()), "wider", "narrower", unit)
            + " and "
            + off(size.height().minus(wrap.sheet().height()), "higher", "lower", unit)
            + ". See that trim, page count and paper on the docket are those it was made for.");
  }

  private static String off(Length by, String more, String less, Unit unit) {
    return by.in(unit, unit.decimals()).signum() == 0
        ? "no " + more
        : by.abs().brief(unit) + " " + (by.isPositive() ? more : less);
  }

  /** A picture tells no size of its own: it is laid over as wide as the sheet. */
  private static Laid picture(Picture p, Wrap wrap, Unit unit) {
    double width = wrap.sheet().width().toMm();
    double height = width * p.height() / p.width();
    double off = height / wrap.sheet().height().toMm() - 1;
    boolean fits = Math.abs(off) <= SAME_PROPORTION;
    String px =
        String.format(
            Locale.ROOT,
            "The template has %d × %d px, %.1f to the inch if it is as wide as the sheet",
            p.width(),
            p.height(),
            p.width() / width * 25.4);
    String said =
        fits
            ? px + "; its height then agrees too."
            : px
                + "; it would then be "
                + Length.nearMm(Math.abs(height - wrap.sheet().height().toMm())).brief(unit)
                + (off > 0 ? " higher" : " lower")
                + " than the sheet of "
                + wrap.sheet().print(unit)
                + ".";
    return new Laid("/pictures/" + p.sha() + "/preview", width, height, fits, said);
  }
}
