package app.reglet.press.font;

import app.reglet.press.reading.Budget;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Glyphs of a font's table {@code glyf} (ISO/IEC 14496-22, 5.3.3), at one place on its axes where
 * it has some.
 */
final class GlyfOutlines implements Outlines {
  /** Parts of parts of parts …; as deep as real fonts never go. */
  private static final int DEEPEST = 8;

  /** Points of a glyph, as many as {@code maxp} can say. */
  private static final int MOST_POINTS = 65_535;

  private static final int PHANTOMS = 4;

  private final ByteBuffer glyf;
  private final ByteBuffer loca;
  private final boolean longOffsets;
  private final int count;
  private final Advances advances;
  private final GlyphVariations variations;
  private final Budget budget;

  /**
   * Of a font.
   *
   * @param variations at the place on its axes; null for none
   */
  GlyfOutlines(FontTables font, GlyphVariations variations, Budget budget) {
    this.variations = variations;
    this.budget = budget;
    glyf = font.table("glyf").orElseThrow();
    loca = font.table("loca").orElseThrow(() -> Damaged.font("it does not say where glyphs lie."));
    longOffsets = font.table("head").orElseThrow().getShort(50) != 0;
    count = Advances.glyphs(font);
    advances = new Advances(font);
    if (loca.capacity() < (count + 1) * (longOffsets ? 4 : 2)) {
      throw Damaged.font(
          "it says that it has %,d glyphs, and where they lie only of fewer.", count);
    }
  }

  @Override
  public int count() {
    return count;
  }

  @Override
  public Outline glyph(int id) {
    try {
      Drawn drawn = drawn(id, new ArrayList<>());
      return drawn.outline().movedBy(-drawn.origin());
    } catch (BufferUnderflowException | IndexOutOfBoundsException e) {
      throw Damaged.font("its glyph %d ends before its last point.", id);
    }
  }

  /** A glyph and where its origin lies: the first of its phantom points. */
  private record Drawn(Outline outline, double origin) {}

  private Drawn drawn(int id, List<Integer> within) {
    budget.object();
    if (within.contains(id)) {
      throw Damaged.font("its glyph %d is a part of itself.", id);
    }
    if (within.size() > DEEPEST) {
      throw Damaged.font("its glyph %d is made of parts %d deep.", within.get(0), within.size());
    }
    if (id < 0 || id >= count) {
      throw Damaged.font("a glyph of it is made of glyph %d, and it has %d.", id, count);
    }
    long from = offset(id);
    long to = offset(id + 1);
    if (to > glyf.capacity() || from > to) {
      throw Damaged.font("its glyph %d lies outside of its glyphs.", id);
    }
    if (from == to) {
      double[] x = {0, advances.of(id)};
      if (variations != null) {
        double[] all = {0, x[1], 0, 0};
        variations.move(id, all, new double[PHANTOMS], new int[0]);
        x = new double[] {all[0], all[1]};
      }
      return new Drawn(Outline.empty(x[1] - x[0]), x[0]);
    }
    ByteBuffer data = glyf.slice((int) from, (int) (to - from));
    int contours = data.getShort();
    double left = data.getShort();
    data.position(10);
    double origin = left - advances.bearing(id);
    return contours >= 0 ? simple(id, data, contours, origin) : composite(id, data, origin, within);
  }

  private long offset(int id) {
    return longOffsets ? loca.getInt(id * 4) & 0xffffffffL : (loca.getShort(id * 2) & 0xffff) * 2L;
  }

  private Drawn simple(int id, ByteBuffer data, int contours, double origin) {
    int[] ends = new int[contours];
    int last = -1;
    for (int i = 0; i < contours; i++) {
      ends[i] = data.getShort() & 0xffff;
      if (ends[i] < last) {
        throw Damaged.font("the contours of its glyph %d go back.", id);
      }
      last = ends[i];
    }
    int points = last + 1;
    data.position(data.position() + 2 + (data.getShort(data.position()) & 0xffff));
    byte[] flags = new byte[points];
    for (int i = 0; i < points; i++) {
      byte flag = data.get();
      flags[i] = flag;
      if ((flag & 8) != 0) {
        for (int more = data.get() & 0xff; more > 0; more--) {
          flags[++i] = flag;
        }
      }
    }
    double[] x = coordinates(data, flags, 2, 16);
    double[] y = coordinates(data, flags, 4, 32);
    x[points] = origin;
    x[points + 1] = origin + advances.of(id);
    if (variations != null) {
      variations.move(id, x, y, ends);
    }
    boolean[] on = new boolean[points];
    for (int i = 0; i < points; i++) {
      on[i] = (flags[i] & 1) != 0;
    }
    Outline outline =
        new Outline(cut(x, points), cut(y, points), on, ends, x[points + 1] - x[points]);
    return new Drawn(outline, x[points]);
  }

  /** With room for the phantom points at their end. */
  private static double[] coordinates(ByteBuffer data, byte[] flags, int isByte, int same) {
    double[] all = new double[flags.length + PHANTOMS];
    int now = 0;
    for (int i = 0; i < flags.length; i++) {
      if ((flags[i] & isByte) != 0) {
        int by = data.get() & 0xff;
        now += (flags[i] & same) != 0 ? by : -by;
      } else if ((flags[i] & same) == 0) {
        now += data.getShort();
      }
      all[i] = now;
    }
    return all;
  }

  private static double[] cut(double[] all, int length) {
    return Arrays.copyOf(all, length);
  }

  /**
   * A part of a composite glyph.
   *
   * @param first x of its offset, or a point of the whole so far where points are matched
   * @param second y of its offset, or a point of the part
   */
  private record Part(
      int glyph, int flags, double first, double second, double a, double b, double c, double d) {
    boolean isOffset() {
      return (flags & 2) != 0;
    }

    boolean scalesOffset() {
      return (flags & 0x800) != 0 && (flags & 0x1000) == 0;
    }
  }

  private static Part part(ByteBuffer data) {
    int flags = data.getShort() & 0xffff;
    int glyph = data.getShort() & 0xffff;
    boolean signed = (flags & 2) != 0;
    double first;
    double second;
    if ((flags & 1) != 0) {
      first = signed ? data.getShort() : data.getShort() & 0xffff;
      second = signed ? data.getShort() : data.getShort() & 0xffff;
    } else {
      first = signed ? data.get() : data.get() & 0xff;
      second = signed ? data.get() : data.get() & 0xff;
    }
    double a = 1;
    double b = 0;
    double c = 0;
    double d = 1;
    if ((flags & 8) != 0) {
      a = d = part2dot14(data);
    } else if ((flags & 0x40) != 0) {
      a = part2dot14(data);
      d = part2dot14(data);
    } else if ((flags & 0x80) != 0) {
      a = part2dot14(data);
      b = part2dot14(data);
      c = part2dot14(data);
      d = part2dot14(data);
    }
    return new Part(glyph, flags, first, second, a, b, c, d);
  }

  private static double part2dot14(ByteBuffer data) {
    return data.getShort() / 16384.0;
  }

  private Drawn composite(int id, ByteBuffer data, double origin, List<Integer> within) {
    List<Part> parts = new ArrayList<>();
    do {
      budget.object();
      parts.add(part(data));
    } while ((parts.get(parts.size() - 1).flags() & 0x20) != 0);
    int n = parts.size();
    double[] x = new double[n + PHANTOMS];
    double[] y = new double[n + PHANTOMS];
    for (int i = 0; i < n; i++) {
      x[i] = parts.get(i).isOffset() ? parts.get(i).first() : 0;
      y[i] = parts.get(i).isOffset() ? parts.get(i).second() : 0;
    }
    x[n] = origin;
    x[n + 1] = origin + advances.of(id);
    if (variations != null) {
      variations.move(id, x, y, null);
    }
    List<Integer> deeper = new ArrayList<>(within);
    deeper.add(id);
    Joined joined = new Joined();
    for (int i = 0; i < n; i++) {
      joined.add(parts.get(i), drawn(parts.get(i).glyph(), deeper).outline(), x[i], y[i]);
      if (joined.size() > MOST_POINTS) {
        throw Damaged.font("its glyph %d has more than %,d points.", id, MOST_POINTS);
      }
    }
    return new Drawn(joined.outline(x[n + 1] - x[n]), x[n]);
  }

  /** Parts put together. */
  private static final class Joined {
    private double[] x = new double[0];
    private double[] y = new double[0];
    private boolean[] on = new boolean[0];
    private int[] ends = new int[0];

    int size() {
      return x.length;
    }

    void add(Part part, Outline of, double dx, double dy) {
      int from = x.length;
      int more = of.x().length;
      double[] px = new double[more];
      double[] py = new double[more];
      for (int i = 0; i < more; i++) {
        px[i] = part.a() * of.x()[i] + part.c() * of.y()[i];
        py[i] = part.b() * of.x()[i] + part.d() * of.y()[i];
      }
      double right = dx;
      double up = dy;
      if (!part.isOffset()) {
        right = x[(int) part.first()] - px[(int) part.second()];
        up = y[(int) part.first()] - py[(int) part.second()];
      } else if (part.scalesOffset()) {
        right = dx * Math.hypot(part.a(), part.b());
        up = dy * Math.hypot(part.c(), part.d());
      }
      x = Arrays.copyOf(x, from + more);
      y = Arrays.copyOf(y, from + more);
      on = Arrays.copyOf(on, from + more);
      for (int i = 0; i < more; i++) {
        x[from + i] = px[i] + right;
        y[from + i] = py[i] + up;
        on[from + i] = of.on()[i];
      }
      int contours = ends.length;
      ends = Arrays.copyOf(ends, contours + of.ends().length);
      for (int i = 0; i < of.ends().length; i++) {
        ends[contours + i] = from + of.ends()[i];
      }
    }

    Outline outline(double advance) {
      return new Outline(x, y, on, ends, advance);
    }
  }
}
