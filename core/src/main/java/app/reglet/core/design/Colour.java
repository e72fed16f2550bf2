package app.reglet.core.design;

import app.reglet.core.Refusal;
import java.util.stream.DoubleStream;

/**
 * A colour of the design: given directly in a space of its own, or by the name it has in the
 * design's palette.
 */
public sealed interface Colour permits Colour.Solid, Colour.Swatch {
  Rgb WHITE = new Rgb(0xffffff);
  Rgb BLACK = new Rgb(0x000000);

  /** The ink of bars and figures that a scanner must read: black alone. */
  Cmyk BLACK_INK = new Cmyk(0, 0, 0, 100);

  /** As people type it and documents keep it; {@link #parse} reads it back to the same value. */
  String text();

  /**
   * Reads {@code #1f4b4d}, {@code #abc}, {@code rgb(31, 75, 77)}, {@code cmyk(60, 40, 40, 100)}
   * also as {@code C60 M40 Y40 K100} or {@code 60/40/40/100}, {@code gray(50)}, {@code spot(Sea
   * green, 80, 10, 45, 0)} and with a tint at its end, {@code swatch(Ink)}.
   *
   * @throws Refusal when it is none of these
   */
  static Colour parse(String typed) {
    return ColourParser.parse(typed);
  }

  /** Reads a colour that is no swatch. */
  static Solid parseSolid(String typed) {
    if (parse(typed) instanceof Solid solid) {
      return solid;
    }
    throw new Refusal("“" + typed + "” is a swatch: a palette's colours are given directly.");
  }

  /** A colour that says itself what is printed. */
  sealed interface Solid extends Colour permits Rgb, Cmyk, Gray, Spot {
    /** Hands itself to the method of its space. */
    <R> R accept(Visitor<R> visitor);

    /**
     * How many inks print it, none for white: of a colour of the screen three, but where it is
     * neutral black alone.
     */
    default int inks() {
      return accept(
          new Visitor<>() {
            @Override
            public Integer rgb(Rgb c) {
              int r = c.rgb() >> 16;
              int g = c.rgb() >> 8 & 0xff;
              int b = c.rgb() & 0xff;
              return r == g && g == b ? r == 0xff ? 0 : 1 : 3;
            }

            @Override
            public Integer cmyk(Cmyk c) {
              return (int)
                  DoubleStream.of(c.cyan(), c.magenta(), c.yellow(), c.black())
                      .filter(v -> v > 0)
                      .count();
            }

            @Override
            public Integer gray(Gray c) {
              return c.black() == 0 ? 0 : 1;
            }

            @Override
            public Integer spot(Spot c) {
              return c.tint() == 0 ? 0 : 1;
            }
          });
    }

    /**
     * About how it looks on a screen, sRGB as 0xRRGGBB. Without a press profile this is the plain
     * conversion of device colours (ISO 32000-1, 10.3), no proof.
     */
    int onScreen();

    /** How much red light it gives back, 0 to 1, as a scanner sees it (sRGB, IEC 61966-2-1). */
    default double redLight() {
      return LinearLight.of(onScreen() >> 16 & 0xff);
    }

    /** {@link #onScreen} as {@code #rrggbb}. */
    default String hex() {
      return String.format(java.util.Locale.ROOT, "#%06x", onScreen());
    }

    /** Relative luminance of {@link #onScreen}, roughly: 0 black to 1 white. */
    default double lightness() {
      int c = onScreen();
      return (0.2126 * (c >> 16 & 0xff) + 0.7152 * (c >> 8 & 0xff) + 0.0722 * (c & 0xff)) / 255;
    }
  }

  /** What can be done with a colour in each space; a space that is forgotten does not compile. */
  interface Visitor<R> {
    R rgb(Rgb colour);

    R cmyk(Cmyk colour);

    R gray(Gray colour);

    R spot(Spot colour);
  }

  /**
   * sRGB (IEC 61966-2-1), 8 bits a channel.
   *
   * @param rgb 0xRRGGBB
   */
  record Rgb(int rgb) implements Solid {
    public Rgb {
      if ((rgb & 0xff000000) != 0) {
        throw new IllegalArgumentException("more than 24 bits: " + Integer.toHexString(rgb));
      }
    }

    @Override
    public String text() {
      return hex();
    }

    @Override
    public int onScreen() {
      return rgb;
    }

    public double red() {
      return (rgb >> 16 & 0xff) / 255.0;
    }

    public double green() {
      return (rgb >> 8 & 0xff) / 255.0;
    }

    public double blue() {
      return (rgb & 0xff) / 255.0;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.rgb(this);
    }
  }

  /** Shares of the four process inks, 0 to 100 percent each. */
  record Cmyk(double cyan, double magenta, double yellow, double black) implements Solid {
    public Cmyk {
      percent(cyan);
      percent(magenta);
      percent(yellow);
      percent(black);
    }

    @Override
    public String text() {
      return "cmyk("
          + ColourParser.plain(cyan)
          + ", "
          + ColourParser.plain(magenta)
          + ", "
          + ColourParser.plain(yellow)
          + ", "
          + ColourParser.plain(black)
          + ")";
    }

    @Override
    public int onScreen() {
      return channel(cyan) << 16 | channel(magenta) << 8 | channel(yellow);
    }

    private int channel(double ink) {
      return (int) Math.round(255 * (1 - Math.min(100, ink + black) / 100));
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.cmyk(this);
    }
  }

  /**
   * A tint of black.
   *
   * @param black 0 (none) to 100 percent
   */
  record Gray(double black) implements Solid {
    public Gray {
      percent(black);
    }

    @Override
    public String text() {
      return "gray(" + ColourParser.plain(black) + ")";
    }

    @Override
    public int onScreen() {
      return 0x010101 * (int) Math.round(255 * (1 - black / 100));
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.gray(this);
    }
  }

  /**
   * An ink of its own, on a plate of its own (a Separation, ISO 32000-1, 8.6.6.4).
   *
   * @param name of the ink, as its plate is called
   * @param alternate what stands for it in full where there is no such plate
   * @param tint 0 (none) to 100 percent
   */
  record Spot(String name, Cmyk alternate, double tint) implements Solid {
    private static final java.util.Set<String> TAKEN =
        java.util.Set.of("all", "none", "cyan", "magenta", "yellow", "black");

    public Spot {
      if (name.isBlank() || name.length() > 60 || name.matches(".*[(),#].*")) {
        throw new Refusal(
            "“" + name + "” is no name of an ink: 1 to 60 characters without ( ) , and #.");
      }
      if (TAKEN.contains(name.toLowerCase(java.util.Locale.ROOT))) {
        throw new Refusal(
            "“" + name + "” is what a plate of another kind is called: name the ink otherwise.");
      }
      percent(tint);
    }

    /** What stands for it, as much as there is of it. */
    public Cmyk inFour() {
      double by = tint / 100;
      return new Cmyk(
          alternate.cyan() * by,
          alternate.magenta() * by,
          alternate.yellow() * by,
          alternate.black() * by);
    }

    @Override
    public String text() {
      return "spot("
          + name
          + ", "
          + alternate.text().substring("cmyk(".length(), alternate.text().length() - 1)
          + (tint == 100 ? "" : ", " + ColourParser.plain(tint))
          + ")";
    }

    @Override
    public int onScreen() {
      return inFour().onScreen();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.spot(this);
    }
  }

  /**
   * A colour of the design's palette.
   *
   * @param name its name there
   */
  record Swatch(String name) implements Colour {
    public Swatch {
      if (name.isBlank() || name.length() > 60 || name.matches(".*[()#].*")) {
        throw new Refusal(
            "“" + name + "” is no name of a swatch: 1 to 60 characters without ( ) and #.");
      }
    }

    @Override
    public String text() {
      return "swatch(" + name + ")";
    }
  }

  private static void percent(double share) {
    if (!(share >= 0 && share <= 100)) {
      throw new Refusal("A share of ink is from 0 to 100 %; this would be " + share + ".");
    }
  }
}
