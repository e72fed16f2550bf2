package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.inspect.Compared;
import app.reglet.press.inspect.ComparedText;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.pdf.PressFile;
import app.reglet.testing.Extent;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What holds for a paperback must hold at every house, in every binding and both directions. */
public class EverywhereTest {
  private static final Design GROUND = Specimen.on(Ground.plain(new Colour.Rgb(0xe9e2d0)));
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);

  @DataProvider
  Object[][] layouts() {
    return Extent.of(3, List.of(StartingLayout.values())).stream()
        .map(l -> new Object[] {l})
        .toArray(Object[][]::new);
  }

  private static final Book BOOK = Specimen.FULL;

  private static Artwork composed(Design design, Wrap wrap) {
    return COMPOSER.compose(design, wrap, BOOK, Pictures.NONE);
  }

  /** A layout to start from starts with nothing to mend. */
  @Test(dataProvider = "layouts")
  public void startingLayoutsAreClean(StartingLayout layout) {
    int looked = 0;
    for (Wrap wrap : Everywhere.wraps(32, 400)) {
      Artwork art = composed(layout.on(wrap, BOOK, GROUND, Dress.OWN), wrap);
      List<Finding> found =
          Check.run(new Subject(wrap, BOOK, art.laid())).stream()
              .filter(f -> f.piece().isPresent())
              .filter(Finding::mustMend)
              .toList();
      assertThat(found)
          .as(Everywhere.named(wrap) + " " + layout.id())
          .extracting(f -> f.sentence(Unit.MM))
          .isEmpty();
      looked++;
    }
    assertThat(looked).isGreaterThan(150);
  }

  /** Words keep off hinges, the barcode and the folds: measured on the glyphs themselves. */
  @Test(dataProvider = "layouts")
  public void wordsKeepOffWhatBendsAndWhatIsKeptFree(StartingLayout layout) {
    for (Wrap wrap : Everywhere.wraps(240)) {
      Artwork art = composed(layout.on(wrap, BOOK, GROUND, Dress.OWN), wrap);
      for (Laid laid : art.laid()) {
        if (!(laid instanceof Laid.Words words) || words.ink().isEmpty()) {
          continue;
        }
        for (Zone z : wrap.zones()) {
          if (z.kind() == Zone.Kind.HINGE || z.kind() == Zone.Kind.BARCODE) {
            assertThat(words.ink().overlaps(z.box(), Length.ZERO))
                .as(Everywhere.named(wrap) + ": " + words.name() + " on the " + z.kind())
                .isFalse();
          }
        }
        assertThat(wrap.folds())
            .as(Everywhere.named(wrap) + ": " + words.name())
            .noneMatch(
                f ->
                    f.x().isMoreThan(words.inked().left())
                        && f.x().isLessThan(words.inked().right()));
      }
    }
  }

  /**
   * More pages move the front by what the spine grew and leave the back alone, spine pieces stay
   * centred, and what fills the sheet still fills it. Right to left it is the back that moves.
   */
  @Test(dataProvider = "layouts")
  public void designsFollowTheirWrapInEveryBinding(StartingLayout layout) {
    int moved = 0;
    for (Wrap before : Everywhere.wraps(160)) {
      Wrap after = Measuring.measure(before.spec().withPages(384), before.house());
      Length grown = after.spine().stated().minus(before.spine().stated());
      boolean ltr = before.spec().turn() == app.reglet.core.book.PageTurn.LTR;
      Design design = layout.on(before, BOOK, GROUND, Dress.OWN);
      for (Piece piece : design.outside().pieces()) {
        Optional<Box> a = piece.anchors().on(before);
        Optional<Box> b = piece.anchors().on(after);
        assertThat(b.isPresent()).isEqualTo(a.isPresent());
        if (a.isEmpty()) {
          continue;
        }
        PanelKind on = piece.anchors().across().region().panel();
        String what = Everywhere.named(before) + ": " + piece.name();
        if (on != null && on != PanelKind.SPINE) {
          boolean moves = (on == PanelKind.FRONT || on == PanelKind.FRONT_FLAP) == ltr;
          assertThat(b.get().left().minus(a.get().left()))
              .as(what)
              .isEqualTo(moves ? grown : Length.ZERO);
          assertThat(b.get().size()).as(what).isEqualTo(a.get().size());
        } else if (on == PanelKind.SPINE) {
          Box spine = after.panel(PanelKind.SPINE).orElseThrow().trim();
          assertThat(b.get().centreX().minus(spine.centreX()).abs())
              .as(what)
              .isLessThan(Length.mm("0.001"));
        } else {
          assertThat(b.get().width()).as(what).isEqualTo(after.sheet().width());
        }
        moved++;
      }
      assertThat(grown.isNegative()).isFalse();
    }
    assertThat(moved).isGreaterThan(200);
  }

  /** The press file of each binding is what its house would measure it to be. */
  @Test
  public void pressFilesFitTheirHouse() {
    int made = 0;
    for (Wrap wrap : Everywhere.wraps(160)) {
      boolean first =
          wrap.spec().trim().equals(wrap.rules().trims().listed().get(0))
              && wrap.spec().binding() != Binding.EBOOK;
      if (!first) {
        continue;
      }
      Artwork art = composed(StartingLayout.AXIS.on(wrap, BOOK, GROUND), wrap);
      for (Wrap page : FilePages.of(wrap)) {
        PdfFacts file = PdfFacts.read(PressFile.make(art, page, Specimen.BOOK, Instant.EPOCH));
        assertThat(FitCheck.of(file, wrap))
            .as(Everywhere.named(wrap) + " " + page.page().id())
            .allMatch(Compared::fits);
        assertThat(file.first().size("TrimBox").width().toMm())
            .isCloseTo(page.trimmed().width().toMm(), within(0.001));
        made++;
      }
    }
    assertThat(made).isGreaterThan(15);
  }

  /** One house's file is refused by another whose sheet differs by more than its tolerance. */
  @Test
  public void aFileForAnotherHouseIsRefusedWithBothSizes() {
    List<Wrap> wraps =
        Everywhere.wraps(160).stream()
            .filter(w -> w.spec().binding() == Binding.PERFECT_BOUND)
            .filter(w -> w.rules().parts().isEmpty())
            .toList();
    int refused = 0;
    for (Wrap mine : wraps) {
      Wrap theirs = wraps.get((wraps.indexOf(mine) + 5) % wraps.size());
      double dw = Math.abs(mine.sheet().width().toMm() - theirs.sheet().width().toMm());
      double dh = Math.abs(mine.sheet().height().toMm() - theirs.sheet().height().toMm());
      if (Math.max(dw, dh) < 2) {
        continue;
      }
      Artwork art = composed(StartingLayout.LEDGER.on(mine, BOOK, GROUND), mine);
      PdfFacts file = PdfFacts.read(PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
      ComparedText.Line sheet =
          ComparedText.of(FitCheck.of(file, theirs), theirs.house().unit()).stream()
              .filter(a -> a.what().equals("Sheet"))
              .findFirst()
              .orElseThrow();
      assertThat(sheet.fits()).isFalse();
      assertThat(sheet.expected()).contains(theirs.sheet().brief(theirs.house().unit()));
      assertThat(sheet.sentence()).containsPattern("too (wide|narrow|high|low)");
      refused++;
    }
    assertThat(refused).isGreaterThan(10);
  }

  /** Panels seen from outside stand in the trade's order, mirrored for right to left. */
  @Test
  public void panelsStandInOrder() {
    for (Wrap wrap : Everywhere.wraps(160)) {
      List<PanelKind> kinds = wrap.panels().stream().map(Panel::kind).toList();
      List<PanelKind> sorted = kinds.stream().sorted().toList();
      boolean ltr = wrap.spec().turn() == app.reglet.core.book.PageTurn.LTR;
      if (ltr) {
        assertThat(kinds).as(Everywhere.named(wrap)).isEqualTo(sorted);
      } else {
        assertThat(kinds)
            .as(Everywhere.named(wrap))
            .isEqualTo(sorted.stream().sorted(java.util.Comparator.reverseOrder()).toList());
      }
    }
  }
}
