package app.reglet.press.svg;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Fold;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Rect;
import java.util.ArrayList;
import java.util.List;

/**
 * A picture of a page under the guides of the sheet that it should be, with what was found numbered
 * on it. In mm from the sheet's top left.
 */
public final class GuidedSvg {
  /** Numbers are so large beside the sheet's longer side. */
  private static final double NUMBER = 1.0 / 62;

  private GuidedSvg() {}

  /**
   * Something numbered.
   *
   * @param number from 1
   * @param place on the sheet
   * @param mend whether it must be mended
   */
  public record Note(int number, Box place, boolean mend) {}

  /** The sheet alone under its guides. */
  public static String of(Wrap wrap) {
    Rect sheet = Rect.of(wrap.sheetBox());
    Svg out = begin(sheet, "The page expected, under its guides");
    rect(out, "expected", wrap.sheetBox());
    guides(out, wrap);
    return out.close("svg").toString();
  }

  /** Begins a drawing of what is seen, with some air round it. */
  private static Svg begin(Rect seen, String label) {
    double air = Math.max(seen.width(), seen.height()) / 60;
    return new Svg()
        .open(
            "svg",
            "class",
            "guided",
            "role",
            "img",
            "aria-label",
            label,
            "viewBox",
            Svg.number(seen.x() - air)
                + " "
                + Svg.number(seen.y() - air)
                + " "
                + Svg.number(seen.width() + 2 * air)
                + " "
                + Svg.number(seen.height() + 2 * air));
  }

  /**
   * The drawing.
   *
   * @param wrap the sheet
   * @param picture address of the picture
   * @param at where it lies
   * @param notes what is numbered
   * @param outlined places that differ from another picture
   * @param label what a screen reader says of it
   */
  public static String of(
      Wrap wrap, String picture, Rect at, List<Note> notes, List<Rect> outlined, String label) {
    double w = wrap.sheet().width().toMm();
    double h = wrap.sheet().height().toMm();
    double left = Math.min(0, at.x());
    double top = Math.min(0, at.y());
    double right = Math.max(w, at.right());
    double bottom = Math.max(h, at.bottom());
    Svg out = begin(new Rect(left, top, right - left, bottom - top), label);
    rect(out, "expected", wrap.sheetBox());
    out.empty(
        "image",
        "href",
        picture,
        "x",
        at.x(),
        "y",
        at.y(),
        "width",
        at.width(),
        "height",
        at.height(),
        "preserveAspectRatio",
        "none");
    if (Math.abs(at.width() - w) > 0.2 || Math.abs(at.height() - h) > 0.2) {
      rect(out, "found", at.x(), at.y(), at.width(), at.height());
    }
    guides(out, wrap);
    outlined.forEach(r -> rect(out, "differs", r.x(), r.y(), r.width(), r.height()));
    double size = Math.max(w, h) * NUMBER;
    List<double[]> taken = new ArrayList<>();
    notes.forEach(n -> note(out, n, size, taken));
    return out.close("svg").toString();
  }

  /**
   * The sheet as it is, without guides, what was found numbered on it.
   *
   * @param picture address of its picture, bleed and all
   * @param notes what is numbered
   * @param label what a screen reader says of it
   */
  public static String handed(Wrap wrap, String picture, List<Note> notes, String label) {
    Rect sheet = Rect.of(wrap.sheetBox());
    Svg out = begin(sheet, label);
    out.empty(
        "image",
        "href",
        picture,
        "x",
        0,
        "y",
        0,
        "width",
        sheet.width(),
        "height",
        sheet.height(),
        "preserveAspectRatio",
        "none");
    double size = Math.max(sheet.width(), sheet.height()) * NUMBER;
    List<double[]> taken = new ArrayList<>();
    notes.forEach(n -> note(out, n, size, taken));
    return out.close("svg").toString();
  }

  private static void guides(Svg out, Wrap wrap) {
    Box t = wrap.trimmed();
    rect(out, "trim", t);
    for (Panel p : wrap.panels()) {
      if (!p.safe().isEmpty()) {
        rect(out, "safe", p.safe());
      }
    }
    for (Zone z : wrap.zones()) {
      if (z.kind() != Zone.Kind.SAFE) {
        rect(out, "zone", z.box());
      }
    }
    for (Fold f : wrap.folds()) {
      out.empty(
          "line",
          "class",
          "fold",
          "x1",
          f.x().toMm(),
          "y1",
          0,
          "x2",
          f.x().toMm(),
          "y2",
          wrap.sheet().height().toMm(),
          "vector-effect",
          "non-scaling-stroke");
    }
  }

  /**
   * @param taken middles of the numbers before it, which it steps aside of
   */
  private static void note(Svg out, Note n, double size, List<double[]> taken) {
    Box b = n.place();
    String kind = n.mend() ? "mend" : "look";
    out.open("g", "class", "noted " + kind, "data-note", n.number());
    rect(out, "where", b);
    double left = Math.max(size, b.left().toMm());
    double y = Math.max(size, b.top().toMm());
    while (isTaken(taken, left, y, 2 * size)) {
      left += 2.2 * size;
    }
    double x = left;
    taken.add(new double[] {x, y});
    out.empty("circle", "cx", x, "cy", y, "r", size);
    out.text(
        "text",
        String.valueOf(n.number()),
        "x",
        x,
        "y",
        y + size * 0.42,
        "font-size",
        size * (n.number() > 9 ? 1.1 : 1.25),
        "text-anchor",
        "middle");
    out.close("g");
  }

  private static boolean isTaken(List<double[]> taken, double x, double y, double near) {
    return taken.stream().anyMatch(t -> Math.hypot(t[0] - x, t[1] - y) < near);
  }

  private static void rect(Svg out, String kind, Box b) {
    rect(out, kind, b.x().toMm(), b.y().toMm(), b.width().toMm(), b.height().toMm());
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
        Math.max(w, 0),
        "height",
        Math.max(h, 0),
        "vector-effect",
        "non-scaling-stroke");
  }
}
