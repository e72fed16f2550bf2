package app.reglet.press.golden;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.compose.Composer;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;
import app.reglet.press.svg.Addresses;
import app.reglet.press.svg.ArtworkSvg;
import app.reglet.testing.Extent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A cover composed with the parts of one much like it is the cover composed afresh. */
public class NearTest {
  /** Pictures by their names and treatments: their pixels are nothing to compare here. */
  private static final Addresses NAMES =
      new Addresses() {
        @Override
        public String picture(Picture picture, Treating treating) {
          return picture.sha() + " " + treating.word();
        }

        @Override
        public String page(PlacedPage page) {
          return page.sha() + " " + page.page();
        }
      };

  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);

  @DataProvider
  Object[][] covers() {
    return Extent.of(6, Golden.all()).stream().map(g -> new Object[] {g}).toArray(Object[][]::new);
  }

  private static Artwork near(Golden g, Design design, Wrap wrap, Book book, Artwork before) {
    Artwork near = COMPOSER.compose(design, wrap, book, GoldenFiles.ALL, before);
    Artwork fresh = COMPOSER.compose(design, wrap, book, GoldenFiles.ALL);
    assertThat(ArtworkSvg.document(near, NAMES))
        .as(g.name())
        .isEqualTo(ArtworkSvg.document(fresh, NAMES));
    assertThat(near.laid()).hasSameSizeAs(fresh.laid());
    for (int i = 0; i < near.laid().size(); i++) {
      assertThat(near.laid().get(i)).isEqualTo(fresh.laid().get(i));
    }
    assertThat(near.absent()).isEqualTo(fresh.absent());
    return near;
  }

  @Test(dataProvider = "covers")
  public void everyChangedPieceIsComposedAnewAndNoOther(Golden g) {
    Artwork before = g.artwork();
    for (Piece piece : g.design().outside().pieces()) {
      Design changed =
          g.design()
              .changed(
                  piece.id(),
                  p -> p.withAppearance(p.appearance().withOpacity(0.5)).withName("Other"));
      List<Artwork.Part> others =
          near(g, changed, g.wrap(), g.book(), before).parts().stream()
              .filter(p -> p.piece() != null)
              .filter(p -> before.parts().stream().noneMatch(b -> b == p))
              .toList();
      assertThat(others).extracting(p -> p.piece().id()).containsExactly(piece.id());
    }
  }

  @Test(dataProvider = "covers")
  public void anotherBookPaletteOrSheetTakesNothingOver(Golden g) {
    Artwork before = g.artwork();
    Book b = g.book();
    Book other =
        new Book("Other", b.subtitle(), b.author(), b.imprint(), b.blurb(), b.isbn(), b.price());
    near(g, g.design(), g.wrap(), other, before);
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(g.design().palette());
    palette.replaceAll((name, colour) -> new Colour.Rgb(0x12ab34));
    palette.put("Another", Colour.BLACK);
    Artwork recoloured = near(g, g.design().withPalette(palette), g.wrap(), b, before);
    assertThat(recoloured.parts()).noneMatch(p -> before.parts().stream().anyMatch(q -> q == p));
    Wrap wrap = g.wrap();
    if (wrap.spec().binding().hasPages()) {
      near(
          g,
          g.design(),
          app.reglet.core.wrap.Measuring.measure(
              wrap.spec().withPages(wrap.spec().pages() + 8), wrap.house()),
          b,
          before);
    }
  }
}
