package app.reglet.press.colour;

import app.reglet.core.Refusal;
import app.reglet.core.design.BlackAlone;
import app.reglet.core.design.Colour;
import app.reglet.core.house.PressRules;
import app.reglet.core.measure.Length;
import app.reglet.press.picture.OwnColours;
import java.awt.color.CMMException;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The inks that a press file gives for the colours of a cover: by a profile, within the total that
 * the house allows, black alone where it must be.
 *
 * <p>What {@link BlackAlone} names are tints of black alone, as light as the colour is; a black
 * ground has the house's rich black. What is typed in inks stays what was typed, within the total.
 */
public final class PressInks {
  /** Of a neutral that no tint of black is as dark as: black in full. */
  private static final int STEPS = 20;

  private final PressProfile profile;
  private final InkTable table;
  private final InkLimit limit;
  private final double most;
  private final Colour.Cmyk rich;
  private final Rendering rendering;
  private final Map<OwnColours, Optional<PixelInks>> sources = new ConcurrentHashMap<>();
  private final Map<Integer, Double> tints = new ConcurrentHashMap<>();
  private final Map<Colour.Cmyk, Colour.Cmyk> kept = new ConcurrentHashMap<>();

  private PressInks(PressProfile profile, Rendering rendering, double most, Colour.Cmyk rich) {
    this.profile = profile;
    this.rendering = rendering;
    this.table = InkTable.of(profile, rendering, most);
    this.limit = InkLimit.of(profile, most);
    this.most = most;
    this.rich = within(rich);
  }

  /**
   * As a house wants them.
   *
   * @param profile of the printing condition
   */
  public static PressInks of(PressProfile profile, PressRules rules) {
    double most = rules.mostInk() / 100.0;
    Rendering rendering =
        new Rendering(
            rules.intent() == PressRules.Intent.PERCEPTUAL
                ? Rendering.Intent.PERCEPTUAL
                : Rendering.Intent.RELATIVE,
            rules.blackPoint());
    return new PressInks(profile, rendering, most, rules.richBlack());
  }

  /** The profile they are of. */
  public PressProfile profile() {
    return profile;
  }

  /** Those of pixels in sRGB. */
  public InkTable table() {
    return table;
  }

  /**
   * Those of pixels in colours of their own: by what they look like; inks of this very press, or of
   * none that is told, stay what they are, within the total. Empty where their profile can't be
   * used.
   */
  public Optional<PixelInks> table(OwnColours own) {
    return sources.computeIfAbsent(own, this::made);
  }

  private Optional<PixelInks> made(OwnColours own) {
    try {
      if (!own.isInks()) {
        return Optional.of(
            InkTable.of(new ConnectionSpace.Source(own.profile()), profile, rendering, most));
      }
      boolean same = own.profile().length == 0 || Arrays.equals(own.profile(), profile.bytes());
      return Optional.of(
          same
              ? this::kept
              : new InkLink(PressProfile.of(own.profile()), profile, rendering, most));
    } catch (Refusal | IllegalArgumentException | CMMException e) {
      return Optional.empty();
    }
  }

  /** Inks of one pixel within the total. */
  private int kept(int packed) {
    byte[] inks = {
      (byte) (packed >> 24), (byte) (packed >> 16), (byte) (packed >> 8), (byte) packed
    };
    keep(inks);
    return (inks[0] & 0xff) << 24 | (inks[1] & 0xff) << 16 | (inks[2] & 0xff) << 8 | inks[3] & 0xff;
  }

  /** Total ink at most, 1 for each ink in full. */
  public double most() {
    return most;
  }

  /**
   * Whether a colour of the screen can be printed.
   *
   * @param rgb the nearest that can, 0xRRGGBB
   * @param apart how far that is from what was meant, ΔE2000
   */
  public record Reach(int rgb, double apart) {
    /** Seen side by side, not looked for: common practice, no single source. */
    private static final double SEEN = 3;

    /** Whether it can be printed, so far as one sees. */
    public boolean isWithin() {
      return apart <= SEEN;
    }
  }

  /**
   * Whether a colour of the screen can be printed. That paper is no light and ink no darkness is
   * not counted: white and black are taken as the paper's and the press's own.
   */
  public Reach reach(int rgb) {
    double darkest = profile.darkest(Rendering.Intent.RELATIVE);
    double[] meant = Srgb.xyz(rgb);
    InkTable.lift(meant, darkest);
    double[] printed = profile.xyzOf(profile.inksOf(meant, Rendering.Intent.RELATIVE));
    double apart =
        Lab.of(meant[0], meant[1], meant[2]).apart(Lab.of(printed[0], printed[1], printed[2]));
    InkTable.sink(printed, darkest);
    return new Reach(Srgb.rgb(printed), apart);
  }

  /** Of an area. */
  public Colour.Cmyk area(Colour.Solid colour) {
    if (!BlackAlone.ofLine(colour)) {
      return of(colour);
    }
    // black alone as far as that goes, all inks below
    double tint = tint(colour.onScreen());
    return tint < 100 ? new Colour.Cmyk(0, 0, 0, tint) : of(colour);
  }

  /** Of what lies behind all else, in the house's rich black where it is black. */
  public Colour.Cmyk ground(Colour.Solid colour) {
    return colour.equals(Colour.BLACK) ? rich : area(colour);
  }

  /** Of a line. */
  public Colour.Cmyk line(Colour.Solid colour) {
    return BlackAlone.ofLine(colour) ? black(colour) : of(colour);
  }

  /** Of letters. */
  public Colour.Cmyk letters(Colour.Solid colour, Length size) {
    return BlackAlone.ofLetters(colour, size) ? black(colour) : of(colour);
  }

  private Colour.Cmyk black(Colour.Solid colour) {
    return new Colour.Cmyk(0, 0, 0, tint(colour.onScreen()));
  }

  /** Of a colour that is one among others, as in a gradient. */
  public Colour.Cmyk of(Colour.Solid colour) {
    return colour.accept(
        new Colour.Visitor<>() {
          @Override
          public Colour.Cmyk rgb(Colour.Rgb c) {
            return unpacked(table.packed(c.rgb()));
          }

          @Override
          public Colour.Cmyk cmyk(Colour.Cmyk c) {
            return within(c);
          }

          @Override
          public Colour.Cmyk gray(Colour.Gray c) {
            return new Colour.Cmyk(0, 0, 0, c.black());
          }

          @Override
          public Colour.Cmyk spot(Colour.Spot c) {
            return within(c.inFour());
          }
        });
  }

  /**
   * Keeps pixels within the total that came above it when they were mixed: as much of what cyan,
   * magenta and yellow have in common as is needed is printed in black instead, one for three; only
   * where that is not enough do the colours give way in proportion.
   *
   * @param inks four bytes a pixel, 0 none to 255 full: cyan, magenta, yellow, black
   */
  public void keep(byte[] inks) {
    int largest = (int) (most * 255);
    for (int i = 0; i < inks.length; i += 4) {
      int c = inks[i] & 0xff;
      int m = inks[i + 1] & 0xff;
      int y = inks[i + 2] & 0xff;
      int k = inks[i + 3] & 0xff;
      int over = c + m + y + k - largest;
      if (over > 0) {
        int moved = Math.min(Math.min((over + 1) / 2, 255 - k), Math.min(c, Math.min(m, y)));
        int left = over - 2 * moved;
        int coloured = c + m + y - 3 * moved;
        double by = left <= 0 ? 1 : Math.max(0, 1 - (double) left / coloured);
        inks[i] = (byte) ((c - moved) * by);
        inks[i + 1] = (byte) ((m - moved) * by);
        inks[i + 2] = (byte) ((y - moved) * by);
        inks[i + 3] = (byte) (k + moved);
      }
    }
  }

  /** A colour in inks within the total: more is made of black instead. */
  public Colour.Cmyk within(Colour.Cmyk c) {
    if (c.cyan() + c.magenta() + c.yellow() + c.black() <= most * 100 + 1e-9) {
      return c;
    }
    return kept.computeIfAbsent(
        c,
        k -> {
          double[] inks = {c.cyan() / 100, c.magenta() / 100, c.yellow() / 100, c.black() / 100};
          limit.keep(inks);
          return new Colour.Cmyk(
              percent(inks[0]), percent(inks[1]), percent(inks[2]), percent(inks[3]));
        });
  }

  /** Downwards, so that a total that was kept stays so. */
  private static double percent(double share) {
    return Math.floor(Math.max(0, Math.min(1, share)) * 10_000) / 100;
  }

  /** The tint of black that is as light as a neutral, percent. */
  private double tint(int rgb) {
    return tints.computeIfAbsent(rgb, this::found);
  }

  private double found(int rgb) {
    if ((rgb & 0xff) == 0xff) {
      return 0;
    }
    double wanted = profile.lab(shares(table.packed(rgb))).l();
    double least = 0;
    double largest = 1;
    for (int i = 0; i < STEPS; i++) {
      double middle = (least + largest) / 2;
      if (profile.lab(new double[] {0, 0, 0, middle}).l() > wanted) {
        least = middle;
      } else {
        largest = middle;
      }
    }
    return Math.round(largest * 1000) / 10.0;
  }

  private static double[] shares(int packed) {
    return new double[] {
      (packed >>> 24) / 255.0,
      (packed >> 16 & 0xff) / 255.0,
      (packed >> 8 & 0xff) / 255.0,
      (packed & 0xff) / 255.0
    };
  }

  private static Colour.Cmyk unpacked(int packed) {
    double[] s = shares(packed);
    return new Colour.Cmyk(percent(s[0]), percent(s[1]), percent(s[2]), percent(s[3]));
  }
}
