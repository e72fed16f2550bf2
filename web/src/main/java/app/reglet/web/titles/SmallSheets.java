package app.reglet.web.titles;

import app.reglet.core.design.Design;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.web.jobs.Drawing;
import app.reglet.web.pictures.PictureStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Designs that a cover could have, as small pictures of it trimmed, the latest kept. */
@Service
public class SmallSheets {
  private static final int WIDTH = 320;
  private static final int MOST_KEPT = 200;
  private static final float QUALITY = 0.85f;

  private final Latest<byte[]> kept = new Latest<>(MOST_KEPT);
  private final Laying laying;
  private final PictureStore pictures;
  private final Drawing drawing;

  SmallSheets(Laying laying, PictureStore pictures, Drawing drawing) {
    this.laying = laying;
    this.pictures = pictures;
    this.drawing = drawing;
  }

  /** How high they are at their width, in pixels: room is kept for them before they come. */
  public static long height(Cover cover) {
    return Math.round(
        WIDTH * cover.sheet().trimmed().height().toMm() / cover.sheet().trimmed().width().toMm());
  }

  /** What the pictures of a cover depend on besides the designs. */
  public static String key(Cover cover) {
    return Fronts.key(cover.edition());
  }

  /**
   * A design on a cover's sheet, as a JPEG.
   *
   * @param name of the design: the same name of the same cover is the same design
   * @throws app.reglet.core.Refusal when the cover can't be measured
   */
  public byte[] of(Cover cover, String name, Supplier<Design> design) {
    return kept.computeIfAbsent(
        key(cover) + " " + name,
        k -> {
          Design laid = design.get();
          return drawing.now(() -> drawn(cover, laid));
        });
  }

  private byte[] drawn(Cover cover, Design design) {
    Wrap wrap = cover.sheet();
    Artwork art = laying.composed(cover.edition(), design, wrap, cover.book(), Optional.empty());
    try {
      return ScreenPicture.jpeg(
          ArtworkRaster.render(art, Rect.of(wrap.trimmed()), WIDTH, pictures::shownSmall), QUALITY);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
