package app.reglet.press.font;

/** How much of a region's change counts at a place (ISO/IEC 14496-22, 7.1.6). */
final class Tuples {
  private Tuples() {}

  /**
   * What an axis adds to the factor.
   *
   * @param start where the region begins, as the others from −1 to 1
   * @param peak where it counts wholly
   * @param end where it ends
   * @param at the place
   */
  static double factor(double start, double peak, double end, double at) {
    if (peak == 0 || at == peak || start > peak || peak > end || (start < 0 && end > 0)) {
      return 1;
    }
    if (at <= start || at >= end) {
      return 0;
    }
    return at < peak ? (at - start) / (peak - start) : (end - at) / (end - peak);
  }
}
