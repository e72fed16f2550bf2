package app.reglet.press.pdf;

import app.reglet.core.Refusal;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.picture.Picture;
import app.reglet.press.raster.FinePixels;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What the pixels of a press file come to, before they are made: how many there are, and about how
 * many bytes. The shares are measured ones of the demo's covers: what is made has half to twice of
 * it.
 *
 * @param pixels that are made, each picture once
 * @param bytes about how large the file is
 */
public record Weight(long pixels, long bytes) {
  /** No house takes more, and few disks like it. */
  private static final long MOST_BYTES = 2_000_000_000;

  /** Of what is in a file besides pixels: a profile and a few faces. */
  private static final long REST = 300_000;

  /** What a pixel of a photo in four inks has more than in three colours, in bytes at most. */
  private static final double INKS_OF_PIXEL = 0.5;

  /** What a photo in four inks has more than in three colours, in sizes of that file at most. */
  private static final double INKS_OF_FILE = 5;

  /** Four inks packed quickly to three colours packed well. */
  private static final double LOSSLESS = 4.5;

  /** Bytes of a pixel in four inks, packed without loss, at most. */
  private static final double WITHOUT_LOSS = 2.2;

  /** Bytes of a pixel in four inks of a photo that is drawn with what lies over it. */
  private static final double PHOTO = 1.4;

  /** Bytes of a pixel of shadows and tints. */
  private static final double SMOOTH = 0.4;

  static Weight of(List<? extends Mark> marks, boolean inks) {
    Counting counting = new Counting(inks);
    counting.count(marks);
    return new Weight(
        counting.pixels,
        Math.round(REST + counting.bytes.values().stream().mapToDouble(b -> b).sum()));
  }

  /**
   * Lets a file be made.
   *
   * @throws Refusal when it would be larger than any house takes
   */
  public void allow() {
    if (bytes > MOST_BYTES) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "The file would have about %.1f GB; one of more than %.0f GB is not made. Use coarser pictures, or have the rule sheet say how fine they may be.",
              bytes / 1e9,
              MOST_BYTES / 1e9));
    }
  }

  Weight and(Weight other) {
    return new Weight(pixels + other.pixels, bytes + other.bytes - REST);
  }

  /** Marks looked through. */
  private static final class Counting {
    private final boolean inks;
    private final Set<String> seen = new HashSet<>();
    private final Map<Object, Double> bytes = new HashMap<>();
    private long pixels;

    Counting(boolean inks) {
      this.inks = inks;
    }

    void count(List<? extends Mark> marks) {
      for (Mark mark : marks) {
        if (mark instanceof Mark.Group g) {
          count(g.marks());
          count(g.effects().mask());
        } else if (mark instanceof Mark.Tiled t) {
          count(t.motif());
        } else if (mark instanceof Mark.Image i) {
          count(i.pixels());
        } else if (mark instanceof Mark.Page p && seen.add(p.page().sha())) {
          double file = p.page().file().length();
          add(p.page().sha(), 0, inks ? photoInInks(file, p.page().photos().ofScreen()) : file);
        }
      }
    }

    private void count(Pixels of) {
      of.accept(
          new Pixels.Visitor<Void>() {
            @Override
            public Void stored(Pixels.Stored s) {
              if (seen.add(FinePixels.key(s))) {
                add(s, (long) s.columns() * s.rows(), ofStored(s));
              }
              return null;
            }

            @Override
            public Void made(Pixels.Made m) {
              long n = (long) m.image().getWidth() * m.image().getHeight();
              add(m, n, SMOOTH * n);
              return null;
            }

            @Override
            public Void drawn(Pixels.Drawn d) {
              long n = (long) d.width() * d.height();
              add(new Object(), n, (holdsPhoto(d.marks()) ? PHOTO : SMOOTH) * n);
              return null;
            }
          });
    }

    private void add(Object what, long n, double of) {
      pixels += n;
      bytes.merge(what, of, Double::sum);
    }

    private double ofStored(Pixels.Stored s) {
      Picture p = s.picture();
      double all = (double) p.width() * p.height();
      double share = (double) s.columns() * s.rows() / all;
      if (p.format() == Picture.Format.JPEG) {
        // fewer pixels hold more each
        double file = p.file().length() * Math.pow(share, 0.8);
        return inks ? photoInInks(file, (long) s.columns() * s.rows()) : file;
      }
      return inks
          ? Math.min(WITHOUT_LOSS * all * share, p.file().length() * share * LOSSLESS)
          : p.file().length() * share;
    }
  }

  /**
   * A JPEG in four inks: they are packed better than most photos are, so that a pixel has about the
   * same whatever it had before, but for those that show nothing much.
   */
  private static double photoInInks(double file, long pixels) {
    return file + Math.min(INKS_OF_PIXEL * pixels, INKS_OF_FILE * file);
  }

  private static boolean holdsPhoto(List<Mark> marks) {
    return marks.stream()
        .anyMatch(
            m ->
                m instanceof Mark.Group g && holdsPhoto(g.marks())
                    || m instanceof Mark.Page p && p.page().photos().all() > 0
                    || m instanceof Mark.Image i && i.pixels() instanceof Pixels.Stored);
  }
}
