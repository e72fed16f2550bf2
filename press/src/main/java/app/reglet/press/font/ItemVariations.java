package app.reglet.press.font;

import java.nio.ByteBuffer;

/** Changes of single figures by the place on the axes: an item variation store (7.2.3). */
final class ItemVariations {
  private final ByteBuffer store;
  private final double[] place;
  private final int regions;

  /**
   * At a place.
   *
   * @param store from its beginning
   */
  ItemVariations(ByteBuffer store, double[] place) {
    this.store = store;
    this.place = place;
    regions = store.getInt(2);
  }

  /** What a figure changes by. */
  double delta(int outer, int inner) {
    if (outer >= (store.getShort(6) & 0xffff)) {
      return 0;
    }
    int data = store.getInt(8 + outer * 4);
    int items = store.getShort(data) & 0xffff;
    int words = store.getShort(data + 2) & 0xffff;
    boolean isLong = (words & 0x8000) != 0;
    words &= 0x7fff;
    int count = store.getShort(data + 4) & 0xffff;
    if (inner >= items) {
      return 0;
    }
    int wide = isLong ? 4 : 2;
    int at = data + 6 + count * 2 + inner * (words * wide + (count - words) * wide / 2);
    double delta = 0;
    for (int i = 0; i < count; i++) {
      int by;
      if (i < words) {
        by = isLong ? store.getInt(at) : store.getShort(at);
        at += wide;
      } else {
        by = isLong ? store.getShort(at) : store.get(at);
        at += wide / 2;
      }
      delta += by * factor(store.getShort(data + 6 + i * 2) & 0xffff);
    }
    return delta;
  }

  private double factor(int region) {
    int axes = store.getShort(regions) & 0xffff;
    double factor = 1;
    for (int a = 0; a < axes && a < place.length; a++) {
      int at = regions + 4 + (region * axes + a) * 6;
      factor *=
          Tuples.factor(
              store.getShort(at) / 16384.0,
              store.getShort(at + 2) / 16384.0,
              store.getShort(at + 4) / 16384.0,
              place[a]);
    }
    return factor;
  }
}
