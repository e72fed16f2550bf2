package app.reglet.press.inspect;

import app.reglet.core.check.Finding;
import app.reglet.core.check.OfFile;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Rect;
import app.reglet.press.raster.InkPixels;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;

/** What the inks of a page tell of it, pixel by pixel, on the sheet that it lies on. */
final class PageOfInks {
  /** What a {@link Field} says of a place where nothing of the page is seen. */
  static final int UNSEEN = -1;

  /** The inks of a page, as they lie on a sheet. */
  @FunctionalInterface
  interface Field {
    /**
     * Total ink at a place.
     *
     * @param x mm from the sheet's left
     * @param y mm from the sheet's top
     * @return 0 to 1020, or {@link #UNSEEN}
     */
    int total(double x, double y);
  }

  /** Less ink than this, of 1020, is paper; more than that in a barcode's area is dark. */
  private static final int PAPER = 12;

  private static final int DARK = 180;

  /**
   * A level of rounding is none, nor is what half-covered pixels mix at an edge, nor what a JPEG
   * adds to single pixels: six percent, our own judgement.
   */
  private static final int ROUNDING = 15;

  /** So much white in a row is no gap between letters. */
  private static final double LEAST_WHITE = 5;

  /** How far inside the trim there must be ink where the bleed is to have some, mm. */
  private static final double INSIDE = 1;

  /** Off the middle by so much is more than folds drift: common practice, no single source. */
  private static final double OFF = 0.8;

  /** Rows of a spine that must have something on them before its middle is judged, mm. */
  private static final double LEAST_ROWS = 5;

  /** How far a place that is told reaches on each side of its worst pixel, mm. */
  private static final double AROUND = 2;

  private final Wrap meant;
  private final Field field;
  private final Rect all;
  private final double mm;

  /**
   * A page on a sheet.
   *
   * @param meant the sheet
   * @param field the page's inks there
   * @param all where they are looked at, mm from the sheet's top left corner
   * @param mm of a pixel
   */
  PageOfInks(Wrap meant, Field field, Rect all, double mm) {
    this.meant = meant;
    this.field = field;
    this.all = all;
    this.mm = mm;
  }

  /** A page that is a sheet; there is no ink beside it. */
  static PageOfInks of(InkPixels inks, Registered on) {
    Rect seen = on.seen();
    double mm = seen.width() / inks.width();
    return new PageOfInks(
        on.meant(),
        (x, y) -> total(inks, (x - seen.x()) / mm, (y - seen.y()) / mm),
        new Rect(seen.x(), seen.y(), inks.width() * mm, inks.height() * mm),
        mm);
  }

  private int at(double x, double y) {
    return field.total(x, y);
  }

  /**
   * More ink in one place than a paper dries.
   *
   * @param found at the worst place, percent
   * @param share of what is seen of the page where there is more
   * @param place the worst
   */
  record Heavy(int found, double share, Box place) {}

  /**
   * Where there is more ink than the paper dries.
   *
   * @param most percent
   */
  Optional<Heavy> heavy(int most) {
    int limit = most * 255 / 100 + ROUNDING;
    int best = 0;
    double bx = 0;
    double by = 0;
    long over = 0;
    long seen = 0;
    for (double y = all.y() + mm / 2; y < all.bottom(); y += mm) {
      for (double x = all.x() + mm / 2; x < all.right(); x += mm) {
        int total = at(x, y);
        seen += total == UNSEEN ? 0 : 1;
        over += total > limit ? 1 : 0;
        if (total > best) {
          best = total;
          bx = x;
          by = y;
        }
      }
    }
    // a place of a few pixels is what two edges mix
    if (over < 6) {
      return Optional.empty();
    }
    Box place =
        Box.between(
            Length.nearMm(Math.max(all.x(), bx - AROUND)),
            Length.nearMm(Math.max(all.y(), by - AROUND)),
            Length.nearMm(Math.min(all.right(), bx + AROUND)),
            Length.nearMm(Math.min(all.bottom(), by + AROUND)));
    return Optional.of(new Heavy(Math.round(best / 2.55f), (double) over / seen, place));
  }

  /** Where the art ends at the trim and the bleed is white. */
  List<Finding> whiteEdges() {
    Wrap w = meant;
    Box trim = w.trimmed();
    Box sheet = w.sheetBox();
    List<Finding> out = new ArrayList<>();
    for (String side : List.of("left", "right", "head", "foot")) {
      boolean upright = side.equals("left") || side.equals("right");
      double from = upright ? trim.top().toMm() : trim.left().toMm();
      double to = upright ? trim.bottom().toMm() : trim.right().toMm();
      double edge =
          switch (side) {
            case "left" -> sheet.left().toMm();
            case "right" -> sheet.right().toMm();
            case "head" -> sheet.top().toMm();
            default -> sheet.bottom().toMm();
          };
      double cut =
          switch (side) {
            case "left" -> trim.left().toMm();
            case "right" -> trim.right().toMm();
            case "head" -> trim.top().toMm();
            default -> trim.bottom().toMm();
          };
      if (Math.abs(edge - cut) < 0.5) {
        continue; // no bleed is wanted there
      }
      double outer = edge + (cut - edge) * 0.2;
      double inner = cut + Math.signum(cut - edge) * INSIDE;
      double white = white(from, to, upright, outer, inner);
      if (white > 0) {
        Box place =
            upright
                ? Box.between(
                    Length.nearMm(Math.min(edge, cut)),
                    trim.top(),
                    Length.nearMm(Math.max(edge, cut)),
                    trim.bottom())
                : Box.between(
                    trim.left(),
                    Length.nearMm(Math.min(edge, cut)),
                    trim.right(),
                    Length.nearMm(Math.max(edge, cut)));
        out.add(
            new Finding(
                new OfFile.WhiteEdge(side, Length.nearMm(white), w.turnIn()),
                Finding.Severity.MEND,
                Optional.of(place),
                Optional.empty(),
                List.of()));
      }
    }
    return out;
  }

  /** How much of an edge, mm, has ink inside the trim and none near the sheet's edge. */
  private double white(double from, double to, boolean upright, double outer, double inner) {
    double sum = 0;
    double run = 0;
    for (double at = from; at <= to; at += mm) {
      boolean bare =
          upright
              ? isBare(at(outer, at)) && at(inner, at) > 4 * PAPER
              : isBare(at(at, outer)) && at(at, inner) > 4 * PAPER;
      if (bare) {
        run += mm;
      }
      if (!bare || at + mm > to) {
        sum += run >= LEAST_WHITE ? run : 0;
        run = 0;
      }
    }
    return sum;
  }

  private static boolean isBare(int total) {
    return total != UNSEEN && total <= PAPER;
  }

  /** Whether the area in which the house prints its barcode is dark. */
  Optional<Finding> darkBarcodeArea() {
    return meant
        .zone(Zone.Kind.BARCODE, PanelKind.BACK)
        .flatMap(
            zone -> {
              double share = share(zone.box(), total -> total > DARK);
              return share > 0.02
                  ? Optional.of(
                      new Finding(
                          new OfFile.DarkInBarcodeArea(share),
                          Finding.Severity.LOOK,
                          Optional.of(zone.box()),
                          Optional.empty(),
                          List.of()))
                  : Optional.empty();
            });
  }

  private double share(Box box, IntPredicate what) {
    long all = 0;
    long such = 0;
    for (double y = box.top().toMm(); y < box.bottom().toMm(); y += mm) {
      for (double x = box.left().toMm(); x < box.right().toMm(); x += mm) {
        int total = at(x, y);
        all += total == UNSEEN ? 0 : 1;
        such += total != UNSEEN && what.test(total) ? 1 : 0;
      }
    }
    return all == 0 ? 0 : (double) such / all;
  }

  /**
   * Whether what stands on the spine stands off its middle: the median of its rows that have a
   * ground of one colour from fold to fold, and something on it that keeps from both. Letters
   * without descenders reach out to one side, but most of a line has none of either.
   */
  Optional<Finding> offSpine() {
    Box spine = meant.panel(PanelKind.SPINE).map(p -> p.trim()).orElse(null);
    if (spine == null || spine.width().toMm() < 4) {
      return Optional.empty();
    }
    List<Double> middles = new ArrayList<>();
    double from = spine.left().toMm() + 0.3;
    double to = spine.right().toMm() - 0.3;
    double most = spine.width().toMm() * 0.9;
    for (double y = spine.top().toMm() + 3; y < spine.bottom().toMm() - 3; y += mm) {
      if (at(from, y) == UNSEEN || at(to, y) == UNSEEN) {
        continue;
      }
      int ground = common(from, to, y);
      double l = Double.MAX_VALUE;
      double r = -Double.MAX_VALUE;
      for (double x = from; x < to; x += mm) {
        if (Math.abs(at(x, y) - ground) > 150) {
          l = Math.min(l, x);
          r = Math.max(r, x);
        }
      }
      if (r > l && r - l < most && l > from + mm && r < to - mm) {
        middles.add((l + r) / 2); // the first and the last of the points that were looked at
      }
    }
    if (middles.size() * mm < LEAST_ROWS) {
      return Optional.empty();
    }
    middles.sort(null);
    double off = middles.get(middles.size() / 2) - spine.centreX().toMm();
    return Math.abs(off) > OFF
        ? Optional.of(
            new Finding(
                new OfFile.SpineOff(Length.nearMm(off), spine.width()),
                Finding.Severity.LOOK,
                Optional.of(spine),
                Optional.empty(),
                List.of()))
        : Optional.empty();
  }

  /** The total that most pixels of a row have. */
  private int common(double from, double to, double y) {
    Map<Integer, Integer> counts = new HashMap<>();
    for (double x = from; x < to; x += mm) {
      counts.merge(at(x, y) / 16, 1, Integer::sum);
    }
    return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(0)
            * 16
        + 8;
  }

  /**
   * Whether a place has nothing in it that wants many pixels: it is as smooth as a shadow.
   *
   * @param mm of a pixel
   * @param place mm from the first pixel's corner
   */
  static boolean isSmooth(InkPixels inks, double mm, Rect place) {
    long all = 0;
    long sharp = 0;
    for (double y = place.y(); y < place.bottom() - mm; y += mm) {
      for (double x = place.x(); x < place.right() - mm; x += mm) {
        all++;
        int here = total(inks, x / mm, y / mm);
        sharp +=
            Math.abs(total(inks, x / mm + 1, y / mm) - here) > 40
                    || Math.abs(total(inks, x / mm, y / mm + 1) - here) > 40
                ? 1
                : 0;
      }
    }
    return all > 0 && sharp < all / 200;
  }

  /** Total ink of a pixel, 0 to 1020; none beside the page. */
  private static int total(InkPixels inks, double x, double y) {
    int px = (int) Math.floor(x);
    int py = (int) Math.floor(y);
    return px < 0 || py < 0 || px >= inks.width() || py >= inks.height() ? 0 : inks.total(px, py);
  }
}
