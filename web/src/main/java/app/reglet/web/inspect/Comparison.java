package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.Differences;
import app.reglet.press.inspect.FileCheck;
import app.reglet.press.inspect.Registered;
import app.reglet.press.raster.InkPixels;
import app.reglet.web.inspect.InspectedFiles.Inspected;
import app.reglet.web.proof.Proofs;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * A file beside the cover on the bench, or beside another file, as pictures: both as the house
 * prints them, laid on the same sheet.
 */
@Service
class Comparison {
  private static final int WIDE = 640;

  /** Round the bars of a barcode, mm. */
  private static final double BAR_AIR = 3;

  private final InspectedFiles files;
  private final Proofs proofs;
  private final Covers covers;

  Comparison(InspectedFiles files, Proofs proofs, Covers covers) {
    this.files = files;
    this.proofs = proofs;
    this.covers = covers;
  }

  /**
   * Where they differ, mm of the sheet.
   *
   * @param against another file's SHA-256, or {@code bench}
   * @throws Refusal when one of them can't be seen
   */
  List<Rect> differences(Inspected file, Cover cover, int page, String against) {
    Wrap meant =
        FileCheck.meant(file.facts(), cover.sheet(), page)
            .orElseThrow(() -> new Refusal("page", "The edition has no page " + page + "."));
    BufferedImage one = laid(file, cover, meant, page);
    BufferedImage other =
        against.equals("bench")
            ? bench(cover, meant)
            : laid(files.get(against), cover, meant, page);
    List<Rect> bars = bars(file, cover, meant, page);
    return Differences.of(one, other, meant.sheet().width().toMm()).stream()
        .filter(r -> bars.stream().noneMatch(b -> b.shape().contains(r.shape())))
        .toList();
  }

  /**
   * Where the edition's own barcode was read: its number is the same, and bars finer than pixels
   * come out as one gray here and another there.
   */
  private static List<Rect> bars(Inspected file, Cover cover, Wrap meant, int page) {
    Registered on = Inspections.registered(file.facts(), meant, page);
    return file.facts().codes().stream()
        .filter(c -> c.page() == page)
        .filter(c -> cover.book().isbn().filter(i -> i.digits().equals(c.number())).isPresent())
        .map(
            c ->
                new Rect(
                    on.page().x() + c.place().x() - BAR_AIR,
                    on.page().y() + c.place().y() - BAR_AIR,
                    c.place().width() + 2 * BAR_AIR,
                    c.place().height() + 2 * BAR_AIR))
        .toList();
  }

  private BufferedImage laid(Inspected file, Cover cover, Wrap meant, int page) {
    InkPixels inks =
        files
            .inks(file.facts().sha(), page)
            .orElseThrow(
                () ->
                    new Refusal(
                        "page",
                        "Page "
                            + page
                            + " of “"
                            + file.name()
                            + "” was not drawn, and can't be compared."));
    Registered on = Inspections.registered(file.facts(), meant, page);
    return onSheet(proofs.printed(cover, inks), on.seen(), meant);
  }

  private BufferedImage bench(Cover cover, Wrap meant) {
    Cover side =
        meant.page() == FilePage.INSIDE && cover.isTwoSided() ? covers.turned(cover) : cover;
    // a part of the sheet is cut out of the whole
    Wrap whole = side.sheet();
    double x = meant.page() == FilePage.INSIDE ? 0 : -meant.place().left().toMm();
    double y = meant.page() == FilePage.INSIDE ? 0 : -meant.place().top().toMm();
    return onSheet(
        proofs.printed(side),
        new Rect(x, y, whole.sheet().width().toMm(), whole.sheet().height().toMm()),
        meant);
  }

  private static BufferedImage onSheet(BufferedImage drawn, Rect at, Wrap meant) {
    double perMm = WIDE / meant.sheet().width().toMm();
    // averaged first: bars that are sampled are not those that are there
    BufferedImage image = drawn;
    while (image.getWidth() > 1.5 * at.width() * perMm) {
      image = halved(image);
    }
    BufferedImage out =
        new BufferedImage(
            WIDE,
            Math.max(1, (int) Math.round(meant.sheet().height().toMm() * perMm)),
            BufferedImage.TYPE_INT_RGB);
    Graphics2D g = out.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, out.getWidth(), out.getHeight());
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.scale(perMm, perMm);
    g.translate(at.x(), at.y());
    g.scale(at.width() / image.getWidth(), at.height() / image.getHeight());
    g.drawImage(image, 0, 0, null);
    g.dispose();
    return out;
  }

  /** Half as wide and high: in the middle between four pixels is their mean. */
  private static BufferedImage halved(BufferedImage image) {
    int w = Math.max(1, image.getWidth() / 2);
    int h = Math.max(1, image.getHeight() / 2);
    BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = out.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    g.drawImage(image, 0, 0, w, h, null);
    g.dispose();
    return out;
  }
}
