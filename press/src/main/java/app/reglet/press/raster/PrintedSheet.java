package app.reglet.press.raster;

import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.PressInks;
import app.reglet.press.colour.ProofTable;
import app.reglet.press.inks.Inking;
import java.awt.image.BufferedImage;
import java.util.List;

/**
 * A sheet as it comes from the press, as pixels: how it looks, how much ink lies where, each plate.
 *
 * @param ink the inks of every pixel
 * @param most total ink that the house allows, percent
 * @param free total ink of every pixel as it would be without that limit, 0 to 1020
 */
public record PrintedSheet(InkPixels ink, int most, short[] free) {
  private static final int FULL = 255;

  /**
   * Draws one.
   *
   * @param inks of the house
   * @param unlimited the same without a limit of total ink
   * @param width pixels
   */
  public static PrintedSheet of(Artwork art, PressInks inks, PressInks unlimited, int width) {
    Rect sheet = Rect.of(art.wrap().sheetBox());
    int height = Math.max(1, (int) Math.round(width * sheet.height() / sheet.width()));
    InkPixels ink = draw(art, sheet, inks, width, height);
    InkPixels all = draw(art, sheet, unlimited, width, height);
    short[] free = new short[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        free[y * width + x] = (short) all.total(x, y);
      }
    }
    return new PrintedSheet(ink, (int) Math.round(inks.most() * 100), free);
  }

  /**
   * One whose inks are there already.
   *
   * @param most total ink that the house allows, percent
   */
  public static PrintedSheet of(InkPixels ink, int most) {
    short[] free = new short[ink.width() * ink.height()];
    for (int i = 0; i < free.length; i++) {
      free[i] = (short) ink.total(i % ink.width(), i / ink.width());
    }
    return new PrintedSheet(ink, most, free);
  }

  private static InkPixels draw(Artwork art, Rect sheet, PressInks inks, int w, int h) {
    FinePixels pixels = new FinePixels(false, inks);
    // no finer than the screen needs
    List<Mark> marks = new Inking(inks, 200, 150).of(art.marks());
    return InkPixels.draw(marks, sheet, w, h, inks, new SeparatedPictures(pixels), true);
  }

  /** How it looks. */
  public BufferedImage seen(ProofTable table) {
    BufferedImage image = image();
    int[] rgb = new int[ink.width() * ink.height()];
    table.convert(ink.inks(), rgb);
    image.setRGB(0, 0, ink.width(), ink.height(), rgb, 0, ink.width());
    return image;
  }

  /**
   * One plate.
   *
   * @param plate 0 cyan, 1 magenta, 2 yellow, 3 black
   */
  public BufferedImage plate(int plate) {
    BufferedImage image = image();
    for (int y = 0; y < ink.height(); y++) {
      for (int x = 0; x < ink.width(); x++) {
        int light = FULL - (ink.inks()[4 * (y * ink.width() + x) + plate] & 0xff);
        image.setRGB(x, y, 0x010101 * light);
      }
    }
    return image;
  }

  /**
   * Total ink: gray, the darker the more, and in the accent's red where ink was moved to black to
   * keep the limit.
   */
  public BufferedImage map() {
    BufferedImage image = image();
    for (int y = 0; y < ink.height(); y++) {
      for (int x = 0; x < ink.width(); x++) {
        int light = FULL - Math.min(FULL, ink.total(x, y) * 220 / 1020);
        image.setRGB(x, y, isMoved(x, y) ? mixed(light) : 0x010101 * light);
      }
    }
    return image;
  }

  private static int mixed(int light) {
    int r = 120 + light / 2;
    int other = light / 3;
    return Math.min(FULL, r) << 16 | other << 8 | other;
  }

  /** Whether there would be more ink than the house allows: a level of rounding is none. */
  public boolean isMoved(int x, int y) {
    return free[y * ink.width() + x] > most * FULL / 100 + 4;
  }

  /**
   * Figures of total ink.
   *
   * @param most percent
   * @param x where, share of the width
   * @param y where, share of the height
   * @param moved share of the sheet where ink was moved to black
   * @param wouldBe the most there would be without the limit, percent
   */
  public record Figures(int most, double x, double y, double moved, int wouldBe) {}

  /** The figures. */
  public Figures figures() {
    int w = ink.width();
    int best = -1;
    int at = 0;
    int largest = 0;
    long moved = 0;
    for (int i = 0; i < free.length; i++) {
      int total = ink.total(i % w, i / w);
      if (total > best) {
        best = total;
        at = i;
      }
      largest = Math.max(largest, free[i]);
      moved += isMoved(i % w, i / w) ? 1 : 0;
    }
    return new Figures(
        Math.round(best * 100f / FULL),
        (at % w + 0.5) / w,
        (at / w + 0.5) / ink.height(),
        (double) moved / free.length,
        Math.round(largest * 100f / FULL));
  }

  private BufferedImage image() {
    return new BufferedImage(ink.width(), ink.height(), BufferedImage.TYPE_INT_RGB);
  }
}
