package app.reglet.press.art;

import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/**
 * Makes stored pictures coarser that are finer than is wanted where they lie on the sheet; never
 * finer.
 */
public final class Coarser {
  private static final double MM_PER_INCH = 25.4;

  private final double mostPpi;
  private final double wantedPpi;

  /**
   * @param mostPpi pixels per inch on the sheet above which a picture is made coarser; 0 for none
   * @param wantedPpi what it becomes
   */
  public Coarser(double mostPpi, double wantedPpi) {
    this.mostPpi = mostPpi;
    this.wantedPpi = Math.min(wantedPpi, mostPpi);
  }

  /** For pixels of a sheet, so many per inch: no more than a painter needs to draw them well. */
  public static Coarser forPixels(double ppi) {
    return new Coarser(2 * ppi, 1.5 * ppi);
  }

  /** The marks, in mm of the sheet, with such pictures. */
  public List<Mark> of(List<? extends Mark> marks) {
    return of(marks, new AffineTransform());
  }

  private List<Mark> of(List<? extends Mark> marks, AffineTransform toSheet) {
    List<Mark> out = new ArrayList<>();
    for (Mark mark : marks) {
      if (mark instanceof Mark.Image i) {
        out.add(new Mark.Image(pixels(i, toSheet), i.place()));
      } else if (mark instanceof Mark.Group g) {
        out.add(
            new Mark.Group(
                g.name(), g.effects(), of(g.marks(), then(toSheet, g.effects().transform()))));
      } else if (mark instanceof Mark.Tiled t) {
        List<Mark> motif = of(t.motif(), then(toSheet, t.lattice().toSheet()));
        out.add(new Mark.Tiled(t.area(), t.lattice(), motif, t.closed()));
      } else {
        out.add(mark);
      }
    }
    return out;
  }

  private static AffineTransform then(AffineTransform first, AffineTransform inner) {
    AffineTransform both = new AffineTransform(first);
    both.concatenate(inner);
    return both;
  }

  /**
   * The pixels of an image.
   *
   * @param toSheet from the image's surroundings to mm of the sheet
   */
  public Pixels pixels(Mark.Image image, AffineTransform toSheet) {
    if (mostPpi == 0 || !(image.pixels() instanceof Pixels.Stored stored)) {
      return image.pixels();
    }
    AffineTransform place = then(toSheet, image.place());
    double wide = Math.hypot(place.getScaleX(), place.getShearY()) / MM_PER_INCH;
    double ppi = stored.picture().width() / wide;
    return ppi > mostPpi ? stored.coarser((int) Math.ceil(wide * wantedPpi)) : stored;
  }
}
