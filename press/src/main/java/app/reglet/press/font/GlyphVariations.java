package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.util.Arrays;

/** What a place on the axes changes of glyphs: {@code gvar} (ISO/IEC 14496-22, 7.3.4). */
final class GlyphVariations {
  private static final int SHARED_POINTS = 0x8000;
  private static final int COUNT = 0xfff;
  private static final int OWN_PEAK = 0x8000;
  private static final int BETWEEN = 0x4000;
  private static final int OWN_POINTS = 0x2000;
  private static final int INDEX = 0xfff;

  private final ByteBuffer gvar;
  private final double[] place;
  private final int axes;
  private final int shared;
  private final int glyphs;
  private final boolean longOffsets;
  private final int data;

  /**
   * At a place.
   *
   * @param place from −1 to 1 on each axis
   */
  GlyphVariations(ByteBuffer gvar, double[] place) {
    this.gvar = gvar;
    this.place = place;
    axes = gvar.getShort(4) & 0xffff;
    shared = gvar.getInt(8);
    glyphs = gvar.getShort(12) & 0xffff;
    longOffsets = (gvar.getShort(14) & 1) != 0;
    data = gvar.getInt(16);
    if (axes != place.length) {
      throw Damaged.font("it has %d axes, its glyphs change on %d.", place.length, axes);
    }
  }

  /**
   * Moves the points of a glyph, its four phantom points last.
   *
   * @param ends last points of the contours of a simple glyph, between whose moved points others go
   *     along; null for a composite one, whose points are the offsets of its parts
   */
  void move(int glyph, double[] x, double[] y, int[] ends) {
    if (glyph >= glyphs) {
      return;
    }
    int from = data + offset(glyph);
    int to = data + offset(glyph + 1);
    if (from >= to) {
      return;
    }
    ByteBuffer g = gvar.slice(from, to - from);
    int flags = g.getShort() & 0xffff;
    Packed deltas = new Packed(g.duplicate().position(g.getShort() & 0xffff));
    int[] common = (flags & SHARED_POINTS) != 0 ? deltas.points(x.length) : null;
    double[] movedX = new double[x.length];
    double[] movedY = new double[y.length];
    for (int i = 0; i < (flags & COUNT); i++) {
      int size = g.getShort() & 0xffff;
      int index = g.getShort() & 0xffff;
      double factor = factor(g, index);
      int at = deltas.position();
      if (factor != 0) {
        int[] points = (index & OWN_POINTS) != 0 ? deltas.points(x.length) : common;
        int n = points == null ? x.length : points.length;
        add(movedX, x, ends, points, deltas.deltas(n), factor);
        add(movedY, y, ends, points, deltas.deltas(n), factor);
      }
      deltas.position(at + size);
    }
    for (int i = 0; i < x.length; i++) {
      x[i] += movedX[i];
      y[i] += movedY[i];
    }
  }

  private int offset(int glyph) {
    return longOffsets ? gvar.getInt(20 + glyph * 4) : (gvar.getShort(20 + glyph * 2) & 0xffff) * 2;
  }

  private double factor(ByteBuffer g, int index) {
    double[] peak = new double[axes];
    for (int a = 0; a < axes; a++) {
      int at = shared + ((index & INDEX) * axes + a) * 2;
      peak[a] = ((index & OWN_PEAK) != 0 ? g.getShort() : gvar.getShort(at)) / 16384.0;
    }
    double[] start = new double[axes];
    double[] end = new double[axes];
    for (int a = 0; a < axes; a++) {
      start[a] = Math.min(peak[a], 0);
      end[a] = Math.max(peak[a], 0);
    }
    if ((index & BETWEEN) != 0) {
      for (int a = 0; a < axes; a++) {
        start[a] = g.getShort() / 16384.0;
      }
      for (int a = 0; a < axes; a++) {
        end[a] = g.getShort() / 16384.0;
      }
    }
    double factor = 1;
    for (int a = 0; a < axes; a++) {
      factor *= Tuples.factor(start[a], peak[a], end[a], place[a]);
    }
    return factor;
  }

  /** Adds what some points are moved by, and others of their contours with them. */
  private static void add(
      double[] moved, double[] was, int[] ends, int[] points, int[] deltas, double factor) {
    double[] by = new double[was.length];
    if (points == null) {
      for (int i = 0; i < by.length; i++) {
        by[i] = deltas[i];
      }
    } else {
      boolean[] told = new boolean[was.length];
      for (int i = 0; i < points.length; i++) {
        by[points[i]] += deltas[i];
        told[points[i]] = true;
      }
      if (ends != null) {
        between(by, was, told, ends);
      }
    }
    for (int i = 0; i < by.length; i++) {
      moved[i] += by[i] * factor;
    }
  }

  /** Points that aren't told go along with those before and after them on their contour. */
  private static void between(double[] by, double[] was, boolean[] told, int[] ends) {
    int first = 0;
    for (int end : ends) {
      int[] known = new int[end + 1 - first];
      int n = 0;
      for (int i = first; i <= end; i++) {
        if (told[i]) {
          known[n++] = i;
        }
      }
      for (int k = 0; k < n; k++) {
        int a = known[k];
        int b = known[(k + 1) % n];
        for (int i = a == end ? first : a + 1; i != b; i = i == end ? first : i + 1) {
          by[i] = between(was[i], was[a], was[b], by[a], by[b]);
        }
      }
      first = end + 1;
    }
  }

  private static double between(double at, double a, double b, double byA, double byB) {
    if (a == b) {
      return byA == byB ? byA : 0;
    }
    double low = Math.min(a, b);
    double high = Math.max(a, b);
    double byLow = a < b ? byA : byB;
    double byHigh = a < b ? byB : byA;
    if (at <= low) {
      return byLow;
    }
    if (at >= high) {
      return byHigh;
    }
    return byLow + (at - low) / (high - low) * (byHigh - byLow);
  }

  /** Packed numbers of points and packed deltas (7.1.5). */
  private record Packed(ByteBuffer in) {
    int position() {
      return in.position();
    }

    void position(int to) {
      in.position(to);
    }

    /** Null for all points. */
    int[] points(int all) {
      int count = in.get() & 0xff;
      if (count == 0) {
        return null;
      }
      if ((count & 0x80) != 0) {
        count = (count & 0x7f) << 8 | in.get() & 0xff;
      }
      int[] points = new int[count];
      int now = 0;
      for (int i = 0; i < count; ) {
        int control = in.get() & 0xff;
        for (int run = (control & 0x7f) + 1; run > 0; run--) {
          now += (control & 0x80) != 0 ? in.getShort() & 0xffff : in.get() & 0xff;
          points[i++] = now;
        }
      }
      if (Arrays.stream(points).anyMatch(p -> p >= all)) {
        throw new IndexOutOfBoundsException();
      }
      return points;
    }

    int[] deltas(int count) {
      int[] deltas = new int[count];
      for (int i = 0; i < count; ) {
        int control = in.get() & 0xff;
        for (int run = (control & 0x3f) + 1; run > 0; run--) {
          deltas[i++] =
              (control & 0x80) != 0 ? 0 : (control & 0x40) != 0 ? in.getShort() : in.get();
        }
      }
      return deltas;
    }
  }
}
