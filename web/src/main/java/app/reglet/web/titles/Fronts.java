package app.reglet.web.titles;

import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.web.jobs.Drawing;
import app.reglet.web.pictures.PictureStore;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** The fronts of covers as small pictures, the latest kept. */
@Service
public class Fronts {
  private static final int WIDTH = 240;
  private static final int SHEET_WIDTH = 1200;
  private static final int MOST_KEPT = 600;

  private final Latest<byte[]> kept = new Latest<>(MOST_KEPT);
  private final PictureStore pictures;
  private final Drawing drawing;

  Fronts(PictureStore pictures, Drawing drawing) {
    this.pictures = pictures;
    this.drawing = drawing;
  }

  /** What the picture of an edition depends on, for its address. */
  public static String key(EditionEntity e) {
    return facts(e) + "." + e.getBook().getPicturesStep() + "." + e.getRevision();
  }

  /** The key of the facts that an edition's sheet is measured from. */
  public static String facts(EditionEntity e) {
    return e.getId()
        + "."
        + e.getVersion()
        + "."
        + e.getBook().getVersion()
        + "."
        + e.getHouseVersion();
  }

  /** What of a sheet is shown as its front: the trimmed panel, or all of it where it has none. */
  static Box front(Wrap wrap) {
    return wrap.panel(PanelKind.FRONT).map(Panel::trim).orElse(wrap.trimmed());
  }

  /**
   * The trimmed front as a JPEG.
   *
   * @throws app.reglet.core.Refusal when the cover can't be measured
   */
  byte[] of(Cover cover) {
    Box front = front(cover.sheet());
    return kept.computeIfAbsent(
        key(cover.edition()), k -> picture(cover, front, WIDTH, pictures::shownSmall));
  }

  /**
   * The whole sheet as a JPEG, bleed and all.
   *
   * @throws app.reglet.core.Refusal when the cover can't be measured
   */
  byte[] sheet(Cover cover) {
    Box sheet = cover.sheet().sheetBox();
    return kept.computeIfAbsent(
        key(cover.edition()) + " sheet", k -> picture(cover, sheet, SHEET_WIDTH, pictures::shown));
  }

  /** The whole sheet with the design of a revision on it. */
  public byte[] sheet(Cover cover, int revision) {
    Box sheet = cover.sheet().sheetBox();
    return kept.computeIfAbsent(
        facts(cover.edition())
            + "."
            + cover.edition().getBook().getPicturesStep()
            + "."
            + revision
            + " sheet",
        k -> picture(cover, sheet, SHEET_WIDTH, pictures::shown));
  }

  /**
   * The whole sheet of a cover that is not in force.
   *
   * @param name of what it is: the same name is the same cover
   */
  public byte[] sheet(Cover cover, String name) {
    return kept.computeIfAbsent(
        name, k -> picture(cover, cover.sheet().sheetBox(), SHEET_WIDTH, pictures::shown));
  }

  private byte[] picture(
      Cover cover, Box part, int width, Function<Pixels.Stored, BufferedImage> pictures) {
    return drawing.now(() -> drawn(cover, part, width, pictures));
  }

  private static byte[] drawn(
      Cover cover, Box part, int width, Function<Pixels.Stored, BufferedImage> pictures) {
    try {
      return ScreenPicture.jpeg(
          ArtworkRaster.render(cover.art().orElseThrow(), Rect.of(part), width, pictures), 0.86f);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
