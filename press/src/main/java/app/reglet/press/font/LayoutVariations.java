package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.util.HashSet;
import java.util.Set;

/**
 * Makes the layout tables of a variable font those of one place on its axes: figures of GPOS get
 * what the place adds to them (ISO/IEC 14496-22, 6.3.3), features get the lookups they have there
 * (6.2.9).
 */
final class LayoutVariations {
  private static final int VARIATION_INDEX = 0x8000;
  private static final int EXTENSION = 9;
  private static final int MOST_VISITED = 2_000_000;

  private final ByteBuffer gpos;
  private final ItemVariations changes;
  private final Set<Integer> done = new HashSet<>();

  private LayoutVariations(ByteBuffer gpos, ItemVariations changes) {
    this.gpos = gpos;
    this.changes = changes;
  }

  /**
   * Fixes the figures of GPOS.
   *
   * @param gpos is changed
   * @param changes the store in GDEF
   */
  static void fix(byte[] gpos, ItemVariations changes) {
    new LayoutVariations(ByteBuffer.wrap(gpos), changes).lookups();
  }

  private int u(int at) {
    return gpos.getShort(at) & 0xffff;
  }

  private boolean isNew(int at) {
    if (done.size() > MOST_VISITED) {
      throw Damaged.font("its kerning has more than %,d parts.", MOST_VISITED);
    }
    return done.add(at);
  }

  private void lookups() {
    int list = u(8);
    for (int i = 0; i < u(list); i++) {
      int lookup = list + u(list + 2 + i * 2);
      if (isNew(lookup)) {
        int type = u(lookup);
        for (int s = 0; s < u(lookup + 4); s++) {
          subtable(type, lookup + u(lookup + 6 + s * 2));
        }
      }
    }
  }

  private void subtable(int type, int at) {
    if (!isNew(at)) {
      return;
    }
    switch (type) {
      case 1 -> single(at);
      case 2 -> pairs(at);
      case 3 -> cursive(at);
      case 4, 6 -> marks(at);
      case 5 -> ligatures(at);
      case EXTENSION -> {
        if (u(at + 2) != EXTENSION) {
          subtable(u(at + 2), at + gpos.getInt(at + 4));
        }
      }
      default -> {
        // 7 and 8 only say when others are put to use
      }
    }
  }

  private void single(int at) {
    int format = u(at + 4);
    if ((format & 0xf0) == 0) {
      return;
    }
    int count = u(at) == 1 ? 1 : u(at + 6);
    int from = u(at) == 1 ? at + 6 : at + 8;
    for (int i = 0; i < count; i++) {
      value(from + i * size(format), format, at);
    }
  }

  private void pairs(int at) {
    int first = u(at + 4);
    int second = u(at + 6);
    int both = size(first) + size(second);
    if (((first | second) & 0xf0) == 0) {
      return;
    }
    if (u(at) == 1) {
      for (int i = 0; i < u(at + 8); i++) {
        int set = at + u(at + 10 + i * 2);
        if (isNew(set)) {
          for (int p = 0; p < u(set); p++) {
            int pair = set + 2 + p * (2 + both) + 2;
            value(pair, first, set);
            value(pair + size(first), second, set);
          }
        }
      }
    } else {
      for (int i = 0; i < u(at + 12) * u(at + 14); i++) {
        int pair = at + 16 + i * both;
        value(pair, first, at);
        value(pair + size(first), second, at);
      }
    }
  }

  private void cursive(int at) {
    for (int i = 0; i < u(at + 4); i++) {
      anchor(at, u(at + 6 + i * 4));
      anchor(at, u(at + 8 + i * 4));
    }
  }

  /** Marks on letters and marks on marks are laid out alike. */
  private void marks(int at) {
    int classes = u(at + 6);
    markAnchors(at + u(at + 8));
    anchors(at + u(at + 10), classes);
  }

  private void ligatures(int at) {
    int classes = u(at + 6);
    markAnchors(at + u(at + 8));
    int all = at + u(at + 10);
    for (int i = 0; i < u(all); i++) {
      int ligature = all + u(all + 2 + i * 2);
      if (isNew(ligature)) {
        anchors(ligature, classes);
      }
    }
  }

  private void markAnchors(int marks) {
    if (isNew(marks)) {
      for (int i = 0; i < u(marks); i++) {
        anchor(marks, u(marks + 4 + i * 4));
      }
    }
  }

  /** Rows of anchors, one for each class of marks. */
  private void anchors(int table, int classes) {
    for (int i = 0; i < u(table) * classes; i++) {
      anchor(table, u(table + 2 + i * 2));
    }
  }

  private void anchor(int table, int offset) {
    int at = table + offset;
    if (offset == 0 || !isNew(at) || u(at) != 3) {
      return;
    }
    change(at + 2, at + 6, at);
    change(at + 4, at + 8, at);
  }

  private static int size(int format) {
    return 2 * Integer.bitCount(format & 0xff);
  }

  /** A value record: figures for the low four bits, their devices for the next four. */
  private void value(int at, int format, int table) {
    if ((format & 0xf0) == 0) {
      return;
    }
    int figure = at;
    int device = at + 2 * Integer.bitCount(format & 0xf);
    for (int bit = 0; bit < 4; bit++) {
      boolean has = (format & 1 << bit) != 0;
      if ((format & 0x10 << bit) != 0) {
        if (has) {
          change(figure, device, table);
        }
        device += 2;
      }
      figure += has ? 2 : 0;
    }
  }

  /** Adds to a figure what its device says, and takes the device away. */
  private void change(int figure, int device, int table) {
    int offset = u(device);
    if (offset == 0) {
      return;
    }
    int at = table + offset;
    if (u(at + 4) == VARIATION_INDEX) {
      double now = gpos.getShort(figure) + changes.delta(u(at), u(at + 2));
      gpos.putShort(figure, (short) Math.round(Math.max(-32768, Math.min(32767, now))));
    }
    gpos.putShort(device, (short) 0);
  }

  /**
   * Gives features the lookups that they have at a place.
   *
   * @param layout GSUB or GPOS; is changed
   * @return whether all could be given: an offset may be too far for a feature's record
   */
  static boolean choose(byte[] layout, double[] place) {
    ByteBuffer t = ByteBuffer.wrap(layout);
    if (layout.length < 14 || t.getInt(0) < 0x10001 || t.getInt(10) == 0) {
      return true;
    }
    int all = t.getInt(10);
    boolean whole = true;
    for (int i = 0; i < t.getInt(all + 4); i++) {
      int conditions = t.getInt(all + 8 + i * 8);
      if (conditions == 0 || holds(t, all + conditions, place)) {
        whole = substitute(t, all + t.getInt(all + 12 + i * 8));
        break;
      }
    }
    t.putInt(0, 0x10000);
    return whole;
  }

  private static boolean holds(ByteBuffer t, int set, double[] place) {
    for (int i = 0; i < (t.getShort(set) & 0xffff); i++) {
      int at = set + t.getInt(set + 2 + i * 4);
      int axis = t.getShort(at + 2) & 0xffff;
      if (t.getShort(at) != 1
          || axis >= place.length
          || place[axis] < t.getShort(at + 4) / 16384.0
          || place[axis] > t.getShort(at + 6) / 16384.0) {
        return false;
      }
    }
    return true;
  }

  private static boolean substitute(ByteBuffer t, int table) {
    int features = t.getShort(6) & 0xffff;
    boolean whole = true;
    for (int i = 0; i < (t.getShort(table + 4) & 0xffff); i++) {
      int at = table + 6 + i * 6;
      int feature = t.getShort(at) & 0xffff;
      int offset = table + t.getInt(at + 2) - features;
      boolean near = offset > 0 && offset <= 0xffff;
      whole &= near;
      if (near && feature < (t.getShort(features) & 0xffff)) {
        t.putShort(features + 2 + feature * 6 + 4, (short) offset);
      }
    }
    return whole;
  }
}
