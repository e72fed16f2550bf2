package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Binding;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.type.SpineType;
import app.reglet.press.type.Typeface;
import java.awt.geom.Rectangle2D;
import org.testng.annotations.Test;

/** The largest size of words on a spine, against the glyphs of each shipped face. */
public class SpineTypeTest {
  /** At the size told, the letters of the face fill the band and no more; a point more does not. */
  @Test
  public void theLargestSizeIsTheFacesOwn() {
    Wrap wrap = Specimen.wrap(320);
    Length band = wrap.panel(PanelKind.SPINE).orElseThrow().safe().width();
    // 320 × 0.002252 − 2 × 0.0625 in
    assertThat(band).isEqualTo(Length.in("0.59564"));
    for (Typeface face : Specimen.TYPEFACES.all()) {
      SpineType type = SpineType.of(wrap, face);
      Rectangle2D ink = face.shape("bdfhklgjpqyH", 0).ink();
      double high = ink.getHeight() * type.largest().toMm();
      assertThat(high).as(face.name()).isLessThanOrEqualTo(band.toMm() + 0.002);
      assertThat(high).as(face.name()).isGreaterThan(band.toMm() * 0.85);
      assertThat(type.allowed()).isTrue();
      assertThat(type.print(Unit.IN)).startsWith("≤ 0.5956 in, ").endsWith(face.name());
    }
  }

  @Test
  public void facesDifferAndTheFigureWithThem() {
    Wrap wrap = Specimen.wrap(320);
    long sizes =
        Specimen.TYPEFACES.all().stream()
            .map(f -> SpineType.of(wrap, f).largest().in(Unit.PT, 1))
            .distinct()
            .count();
    assertThat(sizes).isGreaterThan(5);
  }

  @Test
  public void whatIsForbiddenOrTooNarrowSaysWhich() {
    Typeface face = Specimen.TYPEFACES.get("spectral-bold");
    // 78 pages: the house begins at 80
    assertThat(SpineType.of(Specimen.wrap(78), face).print(Unit.IN)).isEqualTo("not allowed");
    // 80 pages: a band of 0.18016 − 0.125 = 0.05516 in = 3.97 pt holds no type of 7 pt
    SpineType narrow = SpineType.of(Specimen.wrap(80), face);
    assertThat(narrow.offered()).isTrue();
    assertThat(narrow.allowed()).isFalse();
    assertThat(narrow.print(Unit.IN)).isEqualTo("too narrow for 7 pt");
    assertThat(narrow.band().toPoints()).isCloseTo(3.97, within(0.01));
    for (Wrap wrap : Everywhere.wraps(32)) {
      if (wrap.spec().binding() == Binding.SADDLE_STITCHED
          || wrap.spec().binding() == Binding.EBOOK) {
        assertThat(SpineType.of(wrap, face).allowed()).as(Everywhere.named(wrap)).isFalse();
      }
    }
  }
}
