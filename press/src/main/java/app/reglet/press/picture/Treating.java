package app.reglet.press.picture;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.design.Treatment.Shade;
import app.reglet.core.design.Treatment.Toning;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A treatment of pixels: what a screen and what a press file show of a picture comes from here. All
 * steps work on sRGB values from 0 to 1 and are rounded once:
 *
 * <ol>
 *   <li>levels: ((v − black) / (white − black)) ^ (1 / gamma);
 *   <li>contrast c and brightness b, each −1 to 1: v · s + b + (1 − b) (1 − s) / 2 with the slope s
 *       = tan((c + 1) π / 4) (as ImageMagick's {@code -brightness-contrast} does);
 *   <li>saturation: the matrix of {@code feColorMatrix type="saturate"} (W3C Filter Effects Module
 *       Level 1, 9.6) with 1 + saturation;
 *   <li>gray and two colours: the lightness 0.2126 R + 0.7152 G + 0.0722 B (Rec. ITU-R BT.709), and
 *       a straight line between the two colours by it;
 *   <li>shade: towards black or white by its amount at the side, and from there less to nothing
 *       along 1 − 3 t² + 2 t³ over its reach.
 * </ol>
 *
 * @param treatment what is done
 * @param dark the darker of two colours, 0xRRGGBB
 * @param light the lighter
 * @param away how far a point is from the shade's side, of the way across: away[0] x + away[1] y +
 *     away[2] of a point of the upright picture's unit square
 */
public record Treating(Treatment treatment, int dark, int light, List<Double> away) {
  public static final Treating NONE =
      new Treating(Treatment.NONE, 0, 0xffffff, List.of(0.0, 0.0, 0.0));

  public Treating {
    away = List.copyOf(away);
  }

  /**
   * A treatment of a picture that lies in a box.
   *
   * @param solid what a colour is
   * @param inBox from the upright picture's unit square to the box's, whose top left is 0, 0
   */
  public static Treating of(
      Treatment t, Function<Colour, Colour.Solid> solid, AffineTransform inBox) {
    double[] m = new double[6];
    inBox.getMatrix(m); // x' = m0 x + m2 y + m4, y' = m1 x + m3 y + m5
    boolean across = t.shade().side() == Shade.Side.LEFT || t.shade().side() == Shade.Side.RIGHT;
    List<Double> from = across ? List.of(m[0], m[2], m[4]) : List.of(m[1], m[3], m[5]);
    boolean far = t.shade().side() == Shade.Side.RIGHT || t.shade().side() == Shade.Side.BOTTOM;
    List<Double> away = far ? List.of(-from.get(0), -from.get(1), 1 - from.get(2)) : from;
    boolean two = t.toning().kind() == Toning.Kind.TWO_COLOURS;
    return new Treating(
        t,
        two ? solid.apply(t.toning().dark()).onScreen() : NONE.dark,
        two ? solid.apply(t.toning().light()).onScreen() : NONE.light,
        t.shade().amount() == 0 ? NONE.away : away);
  }

  public boolean isNone() {
    return treatment.isNone();
  }

  /** The same for pixels as they are stored in a file of an orientation. */
  Treating inStored(int orientation) {
    double[] m = new double[6];
    Orientation.upright(orientation).getMatrix(m);
    return new Treating(
        treatment,
        dark,
        light,
        List.of(
            away.get(0) * m[0] + away.get(1) * m[1],
            away.get(0) * m[2] + away.get(1) * m[3],
            away.get(0) * m[4] + away.get(1) * m[5] + away.get(2)));
  }

  /** As one word, for addresses; {@link #parse} reads it. */
  public String word() {
    Treatment t = treatment;
    return Stream.of(
                t.levels().black(),
                t.levels().white(),
                t.levels().gamma(),
                t.brightness(),
                t.contrast(),
                t.saturation(),
                t.toning().kind().ordinal(),
                dark,
                light,
                t.shade().amount(),
                t.shade().reach())
            .map(String::valueOf)
            .collect(Collectors.joining("_"))
        + away.stream()
            .map(d -> String.format(Locale.ROOT, "_%.5f", d))
            .collect(Collectors.joining());
  }

  /**
   * Reads what {@link #word} wrote.
   *
   * @throws Refusal when it is none
   */
  public static Treating parse(String word) {
    String[] w = word.split("_", -1);
    try {
      List<Double> away = new ArrayList<>();
      for (int i = 11; i < 14; i++) {
        away.add(Double.valueOf(w[i]));
      }
      int dark = Integer.parseInt(w[7]);
      int light = Integer.parseInt(w[8]);
      if (w.length == 14 && away.stream().allMatch(Double::isFinite)) {
        return new Treating(
            new Treatment(
                new Levels(
                    Integer.parseInt(w[0]), Integer.parseInt(w[1]), Double.parseDouble(w[2])),
                Integer.parseInt(w[3]),
                Integer.parseInt(w[4]),
                Integer.parseInt(w[5]),
                new Toning(
                    Toning.Kind.values()[Integer.parseInt(w[6])],
                    new Colour.Rgb(dark),
                    new Colour.Rgb(light)),
                new Shade(Shade.Side.TOP, Integer.parseInt(w[9]), Integer.parseInt(w[10]))),
            dark,
            light,
            away);
      }
    } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
      // told below
    }
    throw new Refusal("This is no treatment of a picture.");
  }

  /** The pixels of an image treated, as they are stored in a file of an orientation. */
  public BufferedImage ofStored(BufferedImage image, int orientation) {
    return isNone() ? image : inStored(orientation).of(image);
  }

  /**
   * The same, on the image itself: a large one is in memory once.
   *
   * @param image RGB or ARGB, of nobody else
   */
  public BufferedImage onto(BufferedImage image, int orientation) {
    if (!isNone()) {
      inStored(orientation).treat(image, image);
    }
    return image;
  }

  /** The pixels of an upright image treated, RGB or ARGB. */
  public BufferedImage of(BufferedImage image) {
    BufferedImage seen = Decoded.onScreen(image);
    BufferedImage out =
        new BufferedImage(
            seen.getWidth(),
            seen.getHeight(),
            seen.getColorModel().hasAlpha()
                ? BufferedImage.TYPE_INT_ARGB
                : BufferedImage.TYPE_INT_RGB);
    treat(seen, out);
    return out;
  }

  private void treat(BufferedImage from, BufferedImage to) {
    int w = from.getWidth();
    Pixel pixel = pixels();
    PixelRow read = new PixelRow(from);
    PixelRow written = new PixelRow(to);
    IntStream.range(0, from.getHeight())
        .parallel()
        .forEach(
            y -> {
              int[] row = new int[w];
              read.read(y, row);
              pixel.row(row, y, from.getHeight());
              written.write(y, row);
            });
  }

  Pixel pixels() {
    return new Pixel(this);
  }
}
