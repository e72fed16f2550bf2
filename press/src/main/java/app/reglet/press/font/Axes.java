package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The axes of a variable font and the places on them that have names: {@code fvar} and {@code avar}
 * (ISO/IEC 14496-22, 7.3.3 and 7.3.1).
 */
final class Axes {
  private static final int MOST_AXES = 64;
  private static final double FIXED = 65_536;

  private final List<Axis> axes = new ArrayList<>();
  private final List<Named> named = new ArrayList<>();
  private final List<double[][]> maps = new ArrayList<>();

  /**
   * A place on the axes.
   *
   * @param name its style, empty where it has none
   * @param at by the tags of the axes
   */
  record Named(String name, Map<String, Double> at) {}

  Axes(FontTables font, FontNames names) {
    font.table("fvar").ifPresent(t -> read(t, names));
    font.table("avar").ifPresent(this::readMaps);
  }

  boolean isEmpty() {
    return axes.isEmpty();
  }

  List<Axis> axes() {
    return axes;
  }

  List<Named> named() {
    return named;
  }

  private void read(ByteBuffer t, FontNames names) {
    int from = t.getShort(4) & 0xffff;
    int count = t.getShort(8) & 0xffff;
    int size = t.getShort(10) & 0xffff;
    int places = t.getShort(12) & 0xffff;
    int placeSize = t.getShort(14) & 0xffff;
    if (count > MOST_AXES) {
      throw Damaged.font("it says that it has %,d axes.", count);
    }
    for (int i = 0; i < count; i++) {
      int at = from + i * size;
      byte[] tag = new byte[4];
      t.get(at, tag);
      double least = t.getInt(at + 4) / FIXED;
      double usual = t.getInt(at + 8) / FIXED;
      double most = t.getInt(at + 12) / FIXED;
      if (least > usual || usual > most) {
        throw Damaged.font("its axis %d goes from %s over %s to %s.", i + 1, least, usual, most);
      }
      String plain = new String(tag, StandardCharsets.ISO_8859_1).strip();
      int name = t.getShort(at + 18) & 0xffff;
      axes.add(new Axis(plain, names.brief(name).orElse(plain), least, usual, most));
    }
    int first = from + count * size;
    for (int i = 0; i < places; i++) {
      int at = first + i * placeSize;
      Map<String, Double> place = new LinkedHashMap<>();
      for (int a = 0; a < count; a++) {
        place.put(axes.get(a).tag(), t.getInt(at + 4 + a * 4) / FIXED);
      }
      named.add(new Named(names.brief(t.getShort(at) & 0xffff).orElse(""), place));
    }
  }

  private void readMaps(ByteBuffer t) {
    int count = t.getShort(6) & 0xffff;
    int at = 8;
    for (int i = 0; i < count; i++) {
      int pairs = t.getShort(at) & 0xffff;
      double[][] map = new double[pairs][];
      at += 2;
      for (int p = 0; p < pairs; p++, at += 4) {
        map[p] = new double[] {t.getShort(at) / 16384.0, t.getShort(at + 2) / 16384.0};
      }
      maps.add(map);
    }
  }

  /**
   * A place from −1 to 1 on each axis, 0 where it is as usual, as OpenType's tables have it.
   *
   * @param place by tags, in the axes' own figures; an axis that isn't named is as usual
   */
  double[] normalised(Map<String, Double> place) {
    double[] all = new double[axes.size()];
    for (int i = 0; i < all.length; i++) {
      Axis a = axes.get(i);
      double v = Math.max(a.least(), Math.min(a.most(), place.getOrDefault(a.tag(), a.usual())));
      double n =
          v < a.usual()
              ? (v - a.usual()) / (a.usual() - a.least())
              : v > a.usual() ? (v - a.usual()) / (a.most() - a.usual()) : 0;
      all[i] = Math.round((i < maps.size() ? mapped(maps.get(i), n) : n) * 16384) / 16384.0;
    }
    return all;
  }

  private static double mapped(double[][] map, double n) {
    for (int i = 0; i < map.length; i++) {
      if (n == map[i][0]) {
        return map[i][1];
      }
      if (i > 0 && n > map[i - 1][0] && n < map[i][0]) {
        double share = (n - map[i - 1][0]) / (map[i][0] - map[i - 1][0]);
        return map[i - 1][1] + share * (map[i][1] - map[i - 1][1]);
      }
    }
    return n;
  }
}
