package app.reglet.press.raster;

import app.reglet.core.Refusal;
import app.reglet.core.design.LinearLight;
import app.reglet.core.house.FileRules;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.ScreenPicture;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Function;
import javax.imageio.ImageIO;

/**
 * The cover of an ebook as a JPEG: the front alone, one pixel of the file for one px of the sheet,
 * sRGB. The quality is the highest that keeps to the shop's largest file, found by halving.
 *
 * @param file the JPEG
 * @param width pixels
 * @param height pixels
 * @param quality of 100
 */
public record EbookCover(byte[] file, int width, int height, int quality) {
  /** 1 px is 1/96 in (W3C CSS Values and Units 4, 5.2). */
  public static final int PPI = 96;

  /** Above it files grow and nobody sees it; below the other letters have halos. */
  private static final int BEST = 95;

  private static final int LEAST = 50;

  /** Pixels of a width that is small, and what counts as nearly white there. */
  private static final int SMALL = 400;

  private static final double PALE = 0.8;

  /**
   * Makes the file.
   *
   * @throws Refusal when even the lowest quality is larger than the shop takes
   */
  public static EbookCover make(Artwork artwork, FileRules rules) {
    BufferedImage image = image(artwork);
    long most = rules.mostMegabytes() == 0 ? Long.MAX_VALUE : rules.mostMegabytes() * 1_000_000L;
    byte[] best = FlatPicture.titled(jpeg(image, BEST / 100f), artwork.book());
    if (best.length <= most) {
      return new EbookCover(best, image.getWidth(), image.getHeight(), BEST);
    }
    byte[] least = FlatPicture.titled(jpeg(image, LEAST / 100f), artwork.book());
    if (least.length > most) {
      throw new Refusal(
          String.format(
              java.util.Locale.ROOT,
              "The cover comes out at %.2f MB even at quality %d; the shop takes %d MB: choose a smaller cover.",
              least.length / 1e6,
              LEAST,
              rules.mostMegabytes()));
    }
    int fits = LEAST;
    int large = BEST;
    while (large - fits > 1) {
      int middle = (fits + large) / 2;
      byte[] tried = FlatPicture.titled(jpeg(image, middle / 100f), artwork.book());
      if (tried.length <= most) {
        fits = middle;
        least = tried;
      } else {
        large = middle;
      }
    }
    return new EbookCover(least, image.getWidth(), image.getHeight(), fits);
  }

  /**
   * One that was made.
   *
   * @param quality that it was packed at
   */
  public static EbookCover of(byte[] file, int quality) {
    BufferedImage image = decoded(file);
    return new EbookCover(file, image.getWidth(), image.getHeight(), quality);
  }

  /** The picture of a cover as its file has it before it is packed. */
  public static BufferedImage image(Artwork artwork) {
    return ArtworkRaster.render(artwork, PPI);
  }

  /** The share of a cover's edge that is nearly white, 0 to 1: one pixel of every 500th part. */
  public static double paleEdge(Artwork artwork, Function<Pixels.Stored, BufferedImage> pictures) {
    BufferedImage image =
        ArtworkRaster.render(artwork, Rect.of(artwork.wrap().sheetBox()), SMALL, pictures);
    int w = image.getWidth();
    int h = image.getHeight();
    int all = 0;
    int pale = 0;
    for (int y = 0; y < h; y++) {
      boolean side = y > 0 && y < h - 1;
      for (int x = 0; x < w; x += side ? w - 1 : 1) {
        all++;
        pale += LinearLight.luminance(image.getRGB(x, y) & 0xffffff) > PALE ? 1 : 0;
      }
    }
    return (double) pale / all;
  }

  static BufferedImage decoded(byte[] jpeg) {
    try {
      return ImageIO.read(new ByteArrayInputStream(jpeg));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static byte[] jpeg(BufferedImage image, float quality) {
    try {
      return ScreenPicture.jpeg(image, quality);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
