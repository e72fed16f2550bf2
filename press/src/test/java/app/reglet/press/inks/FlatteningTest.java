package app.reglet.press.inks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.house.PressRules;
import app.reglet.press.Specimen;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.raster.FinePixels;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.raster.SeparatedPictures;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a flattened page looks like beside the page that shows through. */
public class FlatteningTest {
  private static final Rect SHEET = new Rect(0, 0, 100, 100);
  private static final PressInks INKS =
      PressInks.of(OutputCondition.COATED.profile(), PressRules.SCREEN);

  /** A square in a square, both drawn clockwise: a hole by even-odd alone. */
  private static Shape nested(int winding) {
    Path2D p = new Path2D.Double(winding);
    p.append(new Rectangle2D.Double(10, 10, 80, 80), false);
    p.append(new Rectangle2D.Double(40, 40, 20, 20), false);
    return p;
  }

  private static Mark flat(Shape shape, double cyan, double magenta) {
    return new Mark.Path(shape, Fill.of(new Colour.Cmyk(cyan, magenta, 0, 0)), null);
  }

  private static Mark half(Mark... marks) {
    return new Mark.Group(
        "",
        new Effects(new AffineTransform(), 0.5, Appearance.Blend.NORMAL, null, List.of()),
        List.of(marks));
  }

  private static List<Mark> flattened(List<Mark> marks) {
    return Flattening.of(marks, SHEET, stored -> false, c -> c);
  }

  private static InkPixels drawn(List<Mark> marks) {
    return drawn(marks, 100);
  }

  private static InkPixels drawn(List<Mark> marks, int wide) {
    return InkPixels.draw(
        marks, SHEET, wide, wide, INKS, new SeparatedPictures(new FinePixels(false, INKS)), true);
  }

  private static int[] at(InkPixels p, int x, int y) {
    int[] out = new int[4];
    for (int i = 0; i < 4; i++) {
      out[i] = (int) Math.round((p.inks()[4 * (y * p.width() + x) + i] & 0xff) / 2.55);
    }
    return out;
  }

  @DataProvider
  Object[][] windings() {
    return new Object[][] {
      {Path2D.WIND_EVEN_ODD, new int[] {40, 0, 0, 0}},
      {Path2D.WIND_NON_ZERO, new int[] {20, 50, 0, 0}}
    };
  }

  @Test(dataProvider = "windings")
  public void aHoleStaysAHoleByTheRuleThatItsPathHas(int winding, int[] middle) {
    List<Mark> marks = List.of(flat(SHEET.shape(), 40, 0), half(flat(nested(winding), 0, 100)));
    for (InkPixels p : List.of(drawn(marks), drawn(flattened(marks)))) {
      assertThat(at(p, 50, 50)).as("the middle").containsExactly(middle);
      assertThat(at(p, 20, 20)).as("the ring").containsExactly(20, 50, 0, 0);
      assertThat(at(p, 5, 5)).as("beside it").containsExactly(40, 0, 0, 0);
    }
  }

  private static Mark.Glyphs letters(Fill fill) {
    return new Mark.Glyphs(
        Specimen.TYPEFACES.get("spectral"),
        40,
        new int[] {40, 41},
        new double[] {0, 30},
        new double[] {0, 0},
        Mark.Glyphs.UPRIGHT,
        new int[] {0, 1},
        AffineTransform.getTranslateInstance(15, 70),
        fill,
        null,
        "ab");
  }

  private static List<Mark.Glyphs> glyphs(List<? extends Mark> marks) {
    List<Mark.Glyphs> found = new ArrayList<>();
    for (Mark m : marks) {
      if (m instanceof Mark.Glyphs g) {
        found.add(g);
      } else if (m instanceof Mark.Group g) {
        found.addAll(glyphs(g.marks()));
      }
    }
    return found;
  }

  /**
   * What showed through is pixels now; its letters are still found, once, and not painted again.
   */
  @Test
  public void lettersThatShowedThroughAreReadOnceAndPaintedOnce() {
    List<Mark> marks =
        List.of(flat(SHEET.shape(), 40, 0), half(letters(Fill.of(new Colour.Cmyk(0, 100, 0, 0)))));
    List<Mark> flat = flattened(marks);
    assertThat(glyphs(flat)).hasSize(1);
    assertThat(glyphs(flat).get(0).fill()).isNull();
    assertThat(glyphs(flat).get(0).text()).isEqualTo("ab");
    InkPixels before = drawn(marks, 600);
    InkPixels after = drawn(flat, 600);
    long sum = 0;
    long ink = 0;
    for (int i = 1; i < before.inks().length; i += 4) { // magenta, of the letters alone
      sum += Math.abs((before.inks()[i] & 0xff) - (after.inks()[i] & 0xff));
      ink += before.inks()[i] & 0xff;
    }
    assertThat(ink).isGreaterThan(20_000);
    assertThat(sum / (double) ink).isCloseTo(0, within(0.06));
  }

  /** They are there to be read: nothing is painted of them, and nothing below is cut. */
  @Test
  public void lettersThatAreOnlyReadStayAsTheyAre() {
    List<Mark> marks =
        List.of(
            flat(SHEET.shape(), 40, 0),
            half(flat(new Rectangle2D.Double(0, 0, 100, 50), 0, 100)),
            letters(null),
            half(letters(null)),
            // over letters that nobody sees there is nothing but what lies below them
            half(flat(new Rectangle2D.Double(0, 65, 100, 35), 0, 100)));
    List<Mark> flat = flattened(marks);
    assertThat(glyphs(flat)).hasSize(2).allMatch(g -> g.fill() == null);
    InkPixels p = drawn(flat);
    for (int x = 1; x < 99; x++) {
      assertThat(at(p, x, 60)).containsExactly(40, 0, 0, 0);
      assertThat(at(p, x, 45)).containsExactly(20, 50, 0, 0);
      assertThat(at(p, x, 68)).containsExactly(20, 50, 0, 0);
    }
  }

  /** Letters that lie over each other are one form, as a printed word is. */
  @Test
  public void lettersThatOverlapKeepWhatTheyShare() {
    Mark.Glyphs one = letters(Fill.of(new Colour.Cmyk(0, 100, 0, 0)));
    Mark twice =
        new Mark.Glyphs(
            one.face(),
            one.size(),
            new int[] {40, 40},
            new double[] {0, 0.5},
            one.y(),
            one.turns(),
            one.chars(),
            one.place(),
            one.fill(),
            null,
            "aa");
    List<Mark> marks = List.of(flat(SHEET.shape(), 40, 0), half(twice));
    long before = magenta(drawn(marks, 600));
    assertThat(before).isGreaterThan(500_000);
    assertThat(magenta(drawn(flattened(marks), 600)) / (double) before).isCloseTo(1, within(0.03));
  }

  private static long magenta(InkPixels p) {
    long sum = 0;
    for (int i = 1; i < p.inks().length; i += 4) {
      sum += p.inks()[i] & 0xff;
    }
    return sum;
  }
}
