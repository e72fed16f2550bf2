package app.reglet.press.raster;

import app.reglet.press.art.Pixels;
import java.awt.image.BufferedImage;

/**
 * Stored pictures in inks, to be drawn again and again: those drawn last are kept, so many pixels
 * of them. Very large ones are drawn coarser.
 */
public final class SeparatedPictures {
  private final FinePixels pixels;
  private final KeptPixels<Halves> kept = new KeptPixels<>(FinePixels.MOST_KEPT);

  /** What cyan, magenta and yellow leave of light, and what black leaves. */
  private record Halves(BufferedImage coloured, BufferedImage black) {}

  /**
   * @param pixels for inks
   */
  public SeparatedPictures(FinePixels pixels) {
    this.pixels = pixels;
  }

  /** One half of a picture, as its file lies. */
  BufferedImage of(Pixels.Stored stored, boolean black) {
    Pixels.Stored s = FinePixels.drawable(stored);
    Halves halves =
        kept.of(
            FinePixels.key(s),
            (long) s.columns() * s.rows(),
            () -> {
              BufferedImage[] both =
                  InkPixels.separated(pixels.taken(s), pixels.inks(s), pixels.isInks(s));
              return new Halves(both[0], both[1]);
            });
    return black ? halves.black : halves.coloured;
  }
}
