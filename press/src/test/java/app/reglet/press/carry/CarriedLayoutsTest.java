package app.reglet.press.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.book.Further;
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
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Covers of every layout, carried from a paperback to every house, binding, trim and direction. */
public class CarriedLayoutsTest {
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);
  private static final Wrap FROM = Specimen.wrap(312);
  private static final Design GROUND = Specimen.on(Ground.plain(new Colour.Rgb(0xe9e2d0)));

  private static final Book BOOK =
      new Book(
          Specimen.BOOK.title(),
          Specimen.BOOK.subtitle(),
          Specimen.BOOK.author(),
          Specimen.BOOK.imprint(),
          Specimen.BOOK.blurb() + "\nWhat the sea takes it enters in no book.",
          Specimen.BOOK.isbn(),
          Specimen.BOOK.price(),
          new Further(
              "Tales of the Long Shore",
              "3",
              "“Exact as a tide table.” – The Hythe Lantern",
              "Maren Aldous keeps the lamp at Ouse Hythe.",
              "",
              "",
              "",
              Map.of()));

  @DataProvider
  Object[][] layouts() {
    return Arrays.stream(StartingLayout.values())
        .map(l -> new Object[] {l})
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "layouts")
  public void aCarriedLayoutHasNothingToMend(StartingLayout layout) {
    Design design = layout.on(FROM, BOOK, GROUND, Dress.OWN);
    List<String> found = new ArrayList<>();
    for (Wrap to : Everywhere.wraps(240)) {
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
