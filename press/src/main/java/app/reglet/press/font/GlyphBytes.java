package app.reglet.press.font;

import java.io.ByteArrayOutputStream;

/**
 * A glyph as the table {@code glyf} has it: one description of contours, without instructions.
 *
 * @param left where its ink begins
 * @param right what is left from its ink to the next glyph
 */
record GlyphBytes(byte[] data, int left, int right) {
  /** What all glyphs together take. */
  static final class Extent {
    private int minX;
    private int minY;
    private int maxX;
    private int maxY;
    private int points;
    private int contours;
    private int widest;
    private int leastLeft;
    private int leastRight;

    private void add(int x0, int y0, int x1, int y1, int count, int ends) {
      minX = Math.min(minX, x0);
      minY = Math.min(minY, y0);
      maxX = Math.max(maxX, x1);
      maxY = Math.max(maxY, y1);
      points = Math.max(points, count);
      contours = Math.max(contours, ends);
    }

    void advance(int advance, int left, int right) {
      widest = Math.max(widest, advance);
      leastLeft = Math.min(leastLeft, left);
      leastRight = Math.min(leastRight, right);
    }

    int minX() {
      return minX;
    }

    int minY() {
      return minY;
    }

    int maxX() {
      return maxX;
    }

    int maxY() {
      return maxY;
    }

    int points() {
      return points;
    }

    int contours() {
      return contours;
    }

    int widest() {
      return widest;
    }

    int leastLeft() {
      return leastLeft;
    }

    int leastRight() {
      return Math.max(-32768, leastRight);
    }
  }

  /**
   * A glyph.
   *
   * @param id to say where the font is damaged
   * @param extent grows by it
   * @throws app.reglet.core.Refusal when it reaches farther than figures can say
   */
  static GlyphBytes of(Outline o, int id, Extent extent) {
    if (o.isEmpty()) {
      return new GlyphBytes(new byte[0], 0, 0);
    }
    int n = o.x().length;
    int[] x = new int[n];
    int[] y = new int[n];
    int minX = Integer.MAX_VALUE;
    int minY = Integer.MAX_VALUE;
    int maxX = Integer.MIN_VALUE;
    int maxY = Integer.MIN_VALUE;
    for (int i = 0; i < n; i++) {
      x[i] = figure(o.x()[i], id);
      y[i] = figure(o.y()[i], id);
      minX = Math.min(minX, x[i]);
      minY = Math.min(minY, y[i]);
      maxX = Math.max(maxX, x[i]);
      maxY = Math.max(maxY, y[i]);
    }
    extent.add(minX, minY, maxX, maxY, n, o.ends().length);
    Bytes out = new Bytes();
    out.two(o.ends().length).two(minX).two(minY).two(maxX).two(maxY);
    for (int end : o.ends()) {
      out.two(end);
    }
    out.two(0);
    Bytes xs = new Bytes();
    Bytes ys = new Bytes();
    for (int i = 0; i < n; i++) {
      int flag = o.on()[i] ? 1 : 0;
      flag |= xs.delta(x[i] - (i == 0 ? 0 : x[i - 1]), 2, 16);
      flag |= ys.delta(y[i] - (i == 0 ? 0 : y[i - 1]), 4, 32);
      out.one(flag);
    }
    out.all(xs).all(ys);
    while (out.size() % 4 != 0) {
      out.one(0);
    }
    return new GlyphBytes(out.bytes(), minX, (int) Math.round(o.advance()) - maxX);
  }

  private static int figure(double value, int id) {
    if (!(Math.abs(value) <= 16_000)) {
      throw Damaged.font("its glyph %d reaches %.0f units far.", id, value);
    }
    return (int) Math.round(value);
  }

  private static final class Bytes {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    Bytes one(int b) {
      out.write(b);
      return this;
    }

    Bytes two(int b) {
      out.write(b >> 8);
      out.write(b);
      return this;
    }

    Bytes all(Bytes other) {
      out.writeBytes(other.bytes());
      return this;
    }

    /** Writes a step in as few bytes as it takes and gives its flags. */
    int delta(int by, int isByte, int same) {
      if (by == 0) {
        return same;
      }
      if (Math.abs(by) < 256) {
        one(Math.abs(by));
        return by > 0 ? isByte | same : isByte;
      }
      two(by);
      return 0;
    }

    int size() {
      return out.size();
    }

    byte[] bytes() {
      return out.toByteArray();
    }
  }
}
