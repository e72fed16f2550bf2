package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.raster.FlatPicture;
import app.reglet.web.titles.Cover;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A part of a cover to be made a picture of, and how large.
 *
 * @param box of the sheet
 * @param name of the part, as files are named
 * @param width pixels
 * @param ppi pixels per inch
 */
record PartPicture(Box box, String name, int width, double ppi) {
  private static final Pattern SIZE =
      Pattern.compile("\\s*(\\d{1,6}(?:[.,]\\d{1,3})?)\\s*(px|ppi|dpi)\\s*");
  private static final int LEAST = 16;
  private static final int MOST = 14_000;
  private static final long MOST_PIXELS = 50_000_000;

  /** A part that can be chosen. */
  record Part(String id, String title) {}

  /** The parts that a cover has. */
  static List<Part> parts(Wrap wrap) {
    List<Part> parts = new ArrayList<>();
    wrap.panel(PanelKind.FRONT).ifPresent(p -> parts.add(new Part("front", "The front")));
    if (wrap.panels().size() > 1) {
      parts.add(new Part("spread", "The whole cover, trimmed"));
      for (Panel p : wrap.panels()) {
        if (p.kind() != PanelKind.FRONT && !p.kind().isHinge()) {
          parts.add(new Part(p.kind().id(), "The " + p.kind().title().toLowerCase(Locale.ROOT)));
        }
      }
      parts.add(new Part("sheet", "The sheet, bleed and all"));
    }
    return parts;
  }

  /**
   * Reads what is asked for.
   *
   * @param size {@code 1600 px} wide or {@code 300 ppi}
   * @throws Refusal when there is no such part, or it would be too small or large
   */
  static PartPicture of(Cover cover, String part, String size) {
    Wrap wrap = cover.sheet();
    Box box = box(wrap, part);
    Matcher m = SIZE.matcher(size.toLowerCase(Locale.ROOT));
    if (!m.matches()) {
      throw new Refusal(
          "size",
          "“"
              + (size.length() > 40 ? size.substring(0, 40) + "…" : size)
              + "” is no size of a picture: “1600 px” for its width, or “300 ppi”.");
    }
    double figure = Double.parseDouble(m.group(1).replace(',', '.'));
    double inches = box.width().toMm() / 25.4;
    double wide = m.group(2).equals("px") ? figure : figure * inches;
    long high = Math.round(wide * box.height().toMm() / box.width().toMm());
    if (wide < LEAST || high < 1 || wide > MOST || high > MOST || wide * high > MOST_PIXELS) {
      throw new Refusal(
          "size",
          String.format(
              Locale.ROOT,
              "That would be %,d × %,d pixels; a picture has %d to %,d each way and at most %s.",
              Math.round(wide),
              high,
              LEAST,
              MOST,
              FlatPicture.megapixels(MOST_PIXELS)));
    }
    int width = (int) Math.round(wide);
    return new PartPicture(box, part, width, width / inches);
  }

  /** Pixels of its height. */
  int height() {
    return Math.max(1, (int) Math.round(width * box.height().toMm() / box.width().toMm()));
  }

  private static Box box(Wrap wrap, String part) {
    if (part.equals("sheet")) {
      return wrap.sheetBox();
    }
    if (part.equals("spread")) {
      return wrap.trimmed();
    }
    for (Panel p : wrap.panels()) {
      if (p.kind().id().equals(part)) {
        return p.trim();
      }
    }
    throw new Refusal("part", "This cover has no part “" + part + "”.");
  }
}
