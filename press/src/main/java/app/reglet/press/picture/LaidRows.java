package app.reglet.press.picture;

/** Rows laid on a colour: nothing shows through any more. */
final class LaidRows extends ChangedRows {
  private final int under;

  /**
   * @param under 0xRRGGBB
   */
  LaidRows(Rows rows, int under) {
    super(rows);
    this.under = under;
  }

  @Override
  public boolean mayBeClear() {
    return false;
  }

  @Override
  protected void change(int[] argb, int y) {
    for (int x = 0; x < argb.length; x++) {
      int a = argb[x] >>> 24;
      if (a != 255) {
        argb[x] = 0xff000000 | laid(a, x, 16, argb) | laid(a, x, 8, argb) | laid(a, x, 0, argb);
      }
    }
  }

  private int laid(int alpha, int x, int shift, int[] argb) {
    int value = argb[x] >> shift & 0xff;
    return (value * alpha + (under >> shift & 0xff) * (255 - alpha) + 127) / 255 << shift;
  }
}
