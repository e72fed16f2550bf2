package app.reglet.press.colour;

/**
 * From the inks of one press to those of another, by what they look like there: a table for each of
 * 17 steps of black, between two of which inks are mixed in proportion.
 */
final class InkLink implements PixelInks {
  private static final int NODES = 17;
  private static final int CELLS = NODES - 1;
  private static final int WHOLE = 255;

  private final InkTable[] tables = new InkTable[NODES];

  /**
   * @param from whose inks come in
   * @param to whose inks are wanted
   * @param most total ink, 0 to 4
   */
  InkLink(PressProfile from, PressProfile to, Rendering rendering, double most) {
    double[] inks = new double[NODES * NODES * NODES * 4];
    for (int k = 0; k < NODES; k++) {
      int at = 0;
      for (int c = 0; c < NODES; c++) {
        for (int m = 0; m < NODES; m++) {
          for (int y = 0; y < NODES; y++) {
            inks[at++] = c / (double) CELLS;
            inks[at++] = m / (double) CELLS;
            inks[at++] = y / (double) CELLS;
            inks[at++] = k / (double) CELLS;
          }
        }
      }
      double[] xyz = from.xyzOf(inks);
      if (rendering.blackPoint()) {
        InkTable.sink(xyz, from.darkest(Rendering.Intent.RELATIVE));
        InkTable.lift(xyz, to.darkest(rendering.intent()));
      }
      tables[k] = InkTable.of(to, xyz, NODES, rendering.intent(), most);
    }
  }

  @Override
  public int packed(int pixel) {
    int black = (pixel & 0xff) * CELLS;
    int cell = Math.min(CELLS - 1, black / WHOLE);
    int share = black - cell * WHOLE;
    int below = tables[cell].packed(pixel >>> 8);
    if (share == 0) {
      return below;
    }
    int above = tables[cell + 1].packed(pixel >>> 8);
    int packed = 0;
    for (int shift = 24; shift >= 0; shift -= 8) {
      int value = (below >>> shift & 0xff) * (WHOLE - share) + (above >>> shift & 0xff) * share;
      packed |= (value + WHOLE / 2) / WHOLE << shift;
    }
    return packed;
  }
}
