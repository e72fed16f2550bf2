package app.reglet.press.raster;

import app.reglet.press.art.Pixels;
import app.reglet.press.colour.PressInks;
import java.awt.image.BufferedImage;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Stored pictures in inks, to be drawn again and again: those drawn last are kept, so many pixels
 * of them. Very large ones are drawn coarser.
 */
public final class SeparatedPictures {
  private static final long MOST_KEPT = 12_000_000;

  private final FinePixels pixels;
  private final PressInks inks;
  private final Map<String, Halves> kept = new LinkedHashMap<>(16, 0.75f, true);

  /** What cyan, magenta and yellow leave of light, and what black leaves. */
  private record Halves(BufferedImage coloured, BufferedImage black) {
    long pixels() {
      return (long) coloured.getWidth() * coloured.getHeight();
    }
  }

  public SeparatedPictures(FinePixels pixels, PressInks inks) {
    this.pixels = pixels;
    this.inks = inks;
  }

  /** One half of a picture, as its file lies. */
  synchronized BufferedImage of(Pixels.Stored stored, boolean black) {
    double all = (double) stored.columns() * stored.rows();
    Pixels.Stored s =
        all <= MOST_KEPT
            ? stored
            : stored.coarser((int) (stored.columns() * Math.sqrt(MOST_KEPT / all)));
    String key = FinePixels.key(s);
    Halves halves = kept.get(key);
    if (halves == null) {
      makeRoom((long) s.columns() * s.rows());
      BufferedImage[] both = InkPixels.separated(pixels.taken(s), inks);
      halves = new Halves(both[0], both[1]);
      kept.put(key, halves);
    }
    return black ? halves.black : halves.coloured;
  }

  private void makeRoom(long wanted) {
    long there = kept.values().stream().mapToLong(Halves::pixels).sum();
    Iterator<Halves> eldest = kept.values().iterator();
    while (there + wanted > MOST_KEPT && eldest.hasNext()) {
      there -= eldest.next().pixels();
      eldest.remove();
    }
  }
}
