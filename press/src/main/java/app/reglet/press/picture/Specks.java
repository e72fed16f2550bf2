package app.reglet.press.picture;

import java.util.ArrayDeque;

/**
 * Small parts of a parted picture.
 *
 * @param subject from 0 to 1 for every pixel, changed in place
 * @param said what somebody said of a pixel, 0 for nothing
 * @param width of a row
 */
record Specks(float[] subject, byte[] said, int width) {
  private static final float HALF = 0.5f;

  /** Of the largest part of the subject: a smaller one goes. */
  private static final double LEAST_SUBJECT = 0.04;

  /** Of the picture: a smaller hole is filled. */
  private static final double LEAST_HOLE = 0.004;

  /** Specks of the subject go, unless somebody said that they stay; so do holes in it. */
  void clear() {
    clear(true, LEAST_SUBJECT);
    clear(false, LEAST_HOLE);
  }

  private void clear(boolean inner, double least) {
    int[] part = new int[subject.length];
    int parts = 0;
    int[] size = new int[subject.length + 1];
    boolean[] spoken = new boolean[subject.length + 1];
    ArrayDeque<Integer> open = new ArrayDeque<>();
    int largest = 0;
    for (int start = 0; start < subject.length; start++) {
      if (part[start] != 0 || subject[start] > HALF != inner) {
        continue;
      }
      parts++;
      part[start] = parts;
      open.add(start);
      while (!open.isEmpty()) {
        int i = open.poll();
        size[parts]++;
        spoken[parts] |= said[i] != 0;
        int x = i % width;
        int[] near = {x > 0 ? i - 1 : -1, x + 1 < width ? i + 1 : -1, i - width, i + width};
        for (int k : near) {
          if (k >= 0 && k < subject.length && part[k] == 0 && subject[k] > HALF == inner) {
            part[k] = parts;
            open.add(k);
          }
        }
      }
      largest = Math.max(largest, size[parts]);
    }
    double floor = inner ? least * largest : least * subject.length;
    for (int i = 0; i < subject.length; i++) {
      if (part[i] != 0 && size[part[i]] < floor && !spoken[part[i]]) {
        subject[i] = inner ? 0 : 1;
      }
    }
  }
}
