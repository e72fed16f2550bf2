package app.reglet.press.type;

import app.reglet.core.design.Setting;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/**
 * Chooses where the lines of a paragraph break.
 *
 * <p>Evenly: the breaks with the least sum of demerits over the whole paragraph (D. E. Knuth, M. F.
 * Plass, Breaking Paragraphs into Lines, Software: Practice and Experience 11, 1981): badness is
 * 100 t³, where t is how much of their stretch the spaces of a line take, demerits are (10 +
 * badness)² with those for hyphens added. In lines that are not justified t is what is left of the
 * room, by a quarter of it.
 */
final class Breaking {
  private static final double HAIR = 1e-6;

  /** Spaces stretch by half of their width and shrink by a fifth: common practice. */
  private static final double STRETCH = 0.5;

  static final double SHRINK = 0.2;

  /** What a line ranged on one side leaves, of its room, as bad as spaces stretched in full. */
  private static final double RAG = 0.25;

  private static final double WORST = 10_000;
  private static final double HYPHEN = 2_500;
  private static final double HYPHEN_IN_RAG = 20_000;
  private static final double HYPHENS_RUNNING = 10_000;
  private static final double HYPHEN_BEFORE_LAST = 20_000;
  private static final double LAST_SHORT = 250_000;

  /** A last line must fill so much of its room. */
  private static final double LEAST_LAST = 0.2;

  private static final double OVERFULL = 1e12;

  /** Paragraphs with more places than these are not balanced but set evenly. */
  private static final int MOST_BALANCED = 160;

  private final Paragraph paragraph;
  private final Setting setting;
  private final double first;
  private final double room;
  private final double space;

  /**
   * @param first room of the first line, in ems
   * @param room of the others
   * @param space between words, in ems
   */
  Breaking(Paragraph paragraph, Setting setting, double first, double room, double space) {
    this.paragraph = paragraph;
    this.setting = setting;
    this.first = first;
    this.room = room;
    this.space = space;
  }

  /** The places at which lines begin, and last the end of the paragraph. */
  List<Integer> lines() {
    return switch (setting.breaks()) {
      case FULL -> full();
      case EVEN -> even();
      case BALANCED ->
          paragraph.places() > MOST_BALANCED || paragraph.places() == 1
              ? even()
              : balanced(full().size() - 1);
    };
  }

  private double room(int from) {
    return from == 0 ? first : room;
  }

  private double width(int from, int to) {
    return paragraph.width(from, to) - (setting.hanging() ? paragraph.hangs(from, to) : 0);
  }

  /** Each line takes what it can. */
  private List<Integer> full() {
    List<Integer> breaks = new ArrayList<>(List.of(0));
    int from = 0;
    int end = paragraph.places() - 1;
    while (from < end) {
      int to = from + 1;
      while (to < end && paragraph.parts(to) && width(from, to) > room(from) + HAIR) {
        to++; // nothing is won by parting a word whose beginning is too wide
      }
      for (int next = to + 1; next <= end; next++) {
        double width = width(from, next);
        if (width <= room(from) + HAIR) {
          to = next;
        } else if (width > room(from) + 2) {
          break;
        }
      }
      breaks.add(to);
      from = to;
    }
    return breaks;
  }

  private List<Integer> even() {
    int n = paragraph.places();
    double[] least = new double[n];
    int[] before = new int[n];
    Arrays.fill(least, Double.POSITIVE_INFINITY);
    least[0] = 0;
    for (int to = 1; to < n; to++) {
      for (int from = to - 1; from >= 0; from--) {
        double natural = width(from, to);
        if (from < to - 1 && natural * (1 - SHRINK) > Math.max(room, first) + HAIR) {
          break; // wider than all its spaces could be less: worse than any beginning further on
        }
        double cost = least[from] + demerits(from, to, natural);
        if (cost < least[to]) {
          least[to] = cost;
          before[to] = from;
        }
      }
    }
    return back(n - 1, before);
  }

  private static List<Integer> back(int end, int[] before) {
    Deque<Integer> breaks = new ArrayDeque<>(List.of(end));
    for (int at = end; at > 0; at = before[at]) {
      breaks.addFirst(before[at]);
    }
    return List.copyOf(breaks);
  }

  private double demerits(int from, int to, double natural) {
    boolean last = to == paragraph.places() - 1;
    double left = room(from) - natural;
    double badness = last && left >= -HAIR ? 0 : badness(from, to, left);
    if (badness == Double.POSITIVE_INFINITY) {
      return OVERFULL * (1 - left); // the less it stands out the better
    }
    double sum = (10 + badness) * (10 + badness);
    if (paragraph.parts(to)) {
      sum += setting.align() == Setting.Align.JUSTIFIED ? HYPHEN : HYPHEN_IN_RAG;
      sum += paragraph.parts(from) ? HYPHENS_RUNNING : 0;
    }
    if (last && from > 0) {
      sum += paragraph.parts(from) ? HYPHEN_BEFORE_LAST : 0;
      boolean lone = paragraph.spaces(from, to) == 0;
      sum += lone || natural < LEAST_LAST * room ? LAST_SHORT : 0;
    }
    return sum;
  }

  /** How badly a line fills its room; infinite when it has none. */
  private double badness(int from, int to, double left) {
    if (setting.align() != Setting.Align.JUSTIFIED) {
      return left < -HAIR
          ? Double.POSITIVE_INFINITY
          : Math.min(WORST, 100 * cube(left / (RAG * room(from))));
    }
    double spaces = paragraph.spaces(from, to) * space;
    if (left < 0) {
      double t = -left / (SHRINK * spaces);
      return left < -HAIR && (spaces == 0 || t > 1) ? Double.POSITIVE_INFINITY : 100 * cube(t);
    }
    return spaces == 0
        ? left < HAIR ? 0 : WORST
        : Math.min(WORST, 100 * cube(left / (STRETCH * spaces)));
  }

  private static double cube(double t) {
    return Double.isNaN(t) ? 0 : t * t * t;
  }

  /** So many lines, each as near to the mean as sense lets it be. */
  List<Integer> balanced(int lines) {
    int n = paragraph.places();
    int most = Math.max(1, Math.min(lines, n - 1));
    double mean = paragraph.width(0, n - 1) / most;
    double[][] least = new double[most + 1][n];
    int[][] before = new int[most + 1][n];
    for (double[] row : least) {
      Arrays.fill(row, Double.POSITIVE_INFINITY);
    }
    least[0][0] = 0;
    for (int line = 1; line <= most; line++) {
      for (int to = line; to < n; to++) {
        for (int from = line - 1; from < to; from++) {
          double cost = least[line - 1][from] + unbalance(from, to, mean);
          if (cost < least[line][to]) {
            least[line][to] = cost;
            before[line][to] = from;
          }
        }
      }
    }
    Deque<Integer> breaks = new ArrayDeque<>();
    int at = n - 1;
    for (int line = most; line > 0; line--) {
      breaks.addFirst(at);
      at = before[line][at];
    }
    breaks.addFirst(0);
    return List.copyOf(breaks);
  }

  private double unbalance(int from, int to, double mean) {
    double natural = width(from, to);
    double over = natural - room(from);
    double off = (natural - mean) / Math.max(mean, HAIR);
    double sum = 1000 * off * off + (over > HAIR ? OVERFULL * (1 + over) : 0);
    if (to == paragraph.places() - 1) {
      return sum;
    }
    return sum
        + (paragraph.parts(to) ? 400 : 0)
        + Sense.ofBreakAfter(paragraph.text(from, to), setting.language());
  }
}
