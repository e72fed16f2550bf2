package app.reglet.press.svg;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Fold;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.inspect.Registered;
import java.util.Optional;

/** A page as a house expects it, and a file's page laid over it in true proportion. */
public final class FitSvg {
  private FitSvg() {}

  /**
   * The drawing, in mm from the expected sheet's top left. Where the file says its trim, the trims'
   * top left corners lie on each other; else the pages' middles do.
   *
   * @param expected the page it should be
   * @param found the page that was found, empty when there is none yet
   */
  public static String of(Wrap expected, Optional<PdfFacts.Page> found) {
    double w = expected.sheet().width().toMm();
    double h = expected.sheet().height().toMm();
    Rect over = found.map(p -> Registered.of(expected, p).page()).orElse(new Rect(0, 0, w, h));
    double left = Math.min(0, over.x());
    double top = Math.min(0, over.y());
    double right = Math.max(w, over.right());
    double bottom = Math.max(h, over.bottom());
    double air = Math.max(right - left, bottom - top) / 60;
    Svg out =
        new Svg()
            .open(
                "svg",
                "class",
                "fit-drawing",
                "role",
                "img",
                "aria-label",
                found.isPresent() ? "The file's page over the expected one" : "The expected page",
                "viewBox",
                Svg.number(left - air)
                    + " "
                    + Svg.number(top - air)
                    + " "
                    + Svg.number(right - left + 2 * air)
                    + " "
                    + Svg.number(bottom - top + 2 * air));
    rect(out, "expected", 0, 0, w, h);
    Box t = expected.trimmed();
    rect(out, "trimmed", t.left().toMm(), t.top().toMm(), t.width().toMm(), t.height().toMm());
    for (Fold f : expected.folds()) {
      double x = f.x().toMm();
      out.empty(
          "line",
          "class",
          "fold",
          "x1",
          x,
          "y1",
          t.top().toMm(),
          "x2",
          x,
          "y2",
          t.bottom().toMm(),
          "vector-effect",
          "non-scaling-stroke");
    }
    if (found.isPresent()) {
      rect(out, "found", over.x(), over.y(), over.width(), over.height());
    }
    return out.close("svg").toString();
  }

  private static void rect(Svg out, String kind, double x, double y, double w, double h) {
    out.empty(
        "rect",
        "class",
        kind,
        "x",
        x,
        "y",
        y,
        "width",
        w,
        "height",
        h,
        "vector-effect",
        "non-scaling-stroke");
  }
}
