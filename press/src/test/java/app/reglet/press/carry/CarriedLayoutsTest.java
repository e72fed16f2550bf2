package app.reglet.press.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Proportions;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Everywhere;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.testing.Extent;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Covers of every layout, carried from a paperback to every house, binding, trim and direction. */
public class CarriedLayoutsTest {
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);
  private static final Wrap FROM = Specimen.wrap(312);
  private static final Design GROUND = Specimen.on(Ground.plain(new Colour.Rgb(0xe9e2d0)));

  /** Its blurb has a second paragraph, for a flap. */
  private static final Book BOOK =
      new Book(
          Specimen.FULL.title(),
          Specimen.FULL.subtitle(),
          Specimen.FULL.author(),
          Specimen.FULL.imprint(),
          Specimen.FULL.blurb() + "\nWhat the sea takes it enters in no book.",
          Specimen.FULL.isbn(),
          Specimen.FULL.price(),
          Specimen.FULL.further());

  @DataProvider
  Object[][] layouts() {
    return Extent.of(3, List.of(StartingLayout.values())).stream()
        .map(l -> new Object[] {l})
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "layouts")
  public void aCarriedLayoutHasNothingToMend(StartingLayout layout) {
    Design design = layout.on(FROM, BOOK, GROUND, Dress.OWN);
    List<String> found = new ArrayList<>();
    List<Wrap> wraps = Everywhere.wraps(240);
    assertThat(wraps.size()).isGreaterThan(80);
    for (Wrap to : wraps) {
      Design carried = new Carry(BOOK, Proportions.UNKNOWN).of(design, FROM, to);
      Artwork art = COMPOSER.compose(carried, to, BOOK, Pictures.NONE);
      Check.run(new Subject(to, BOOK, art.laid())).stream()
          .filter(f -> f.piece().isPresent())
          .filter(Finding::mustMend)
          .forEach(f -> found.add(Everywhere.named(to) + ": " + f.sentence(Unit.MM)));
    }
    assertThat(found).isEmpty();
  }
}
