package app.reglet.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.Optional;
import org.testng.annotations.Test;

public class AnchorsTest {
  private static final Book BOOK =
      new Book(
          "The Salt Ledger",
          "A novel",
          "Maren Aldous",
          "",
          "Words.",
          Optional.of(Isbn.parse("9780306406157")),
          "");

  private static Wrap wrap(int pages) {
    return Wraps.sixByNine(pages);
  }

  @Test
  public void aDesignFollowsThePageCount() {
    Wrap a = wrap(100);
    Wrap b = wrap(320);
    Length delta = b.spine().stated().minus(a.spine().stated());
    for (StartingLayout layout : StartingLayout.values()) {
      Design design = layout.on(a, BOOK, Design.EMPTY);
      assertThat(design.outside().pieces()).isNotEmpty();
      for (Piece piece : design.outside().pieces()) {
        Box before = piece.anchors().on(a).orElseThrow();
        Box after = piece.anchors().on(b).orElseThrow();
        PanelKind home = a.panelUnder(before).orElseThrow().kind();
        if (before.width().equals(a.sheet().width())) {
          assertThat(after.width()).as("a band to the sheet's edges").isEqualTo(b.sheet().width());
        } else if (home == PanelKind.FRONT) {
          assertThat(after).as(piece.name()).isEqualTo(before.moved(delta, Length.ZERO));
        } else if (home == PanelKind.BACK) {
          assertThat(after).as(piece.name()).isEqualTo(before);
        } else {
          assertThat(after.centreX())
              .as(piece.name())
              .isEqualTo(b.panel(PanelKind.SPINE).orElseThrow().trim().centreX());
          assertThat(after.height()).isEqualTo(before.height());
        }
      }
    }
  }

  @Test
  public void layoutsKeepTheirBoxesInTheSafeZones() {
    for (String trim : new String[] {"5 x 8", "6 x 9", "8.5 x 11"}) {
      Wrap w =
          Measuring.measure(
              Specification.of(
                  Binding.PERFECT_BOUND,
                  Size.parse(trim, Unit.IN),
                  200,
                  "white",
                  "black",
                  PageTurn.RTL),
              Houses.GANNET);
      for (StartingLayout layout : StartingLayout.values()) {
        for (Piece piece : layout.on(w, BOOK, Design.EMPTY).outside().pieces()) {
          if (piece.content() instanceof Words) {
            Box box = piece.anchors().on(w).orElseThrow();
            assertThat(w.panelUnder(box).orElseThrow().safe().contains(box))
                .as(layout + " " + piece.name() + " on " + trim)
                .isTrue();
            assertThat(box.overlaps(w.box(Region.BARCODE).orElseThrow())).isFalse();
          }
        }
      }
    }
  }

  @Test
  public void noSpineWordsWhereTheHouseForbidsThem() {
    Design thin = StartingLayout.AXIS.on(wrap(60), BOOK, Design.EMPTY);
    assertThat(thin.outside().pieces()).noneMatch(p -> p.id().startsWith("spine"));
  }

  @Test
  public void whatALayoutCentresStandsInTheMiddleOfTheTrimmedFront() {
    Wrap w = wrap(320);
    Box trim = w.panel(PanelKind.FRONT).orElseThrow().trim();
    Box safe = w.panel(PanelKind.FRONT).orElseThrow().safe();
    assertThat(safe.centreX()).isNotEqualTo(trim.centreX());
    Design axis = StartingLayout.AXIS.on(w, BOOK, Design.EMPTY);
    for (String id : new String[] {"title", "subtitle", "author"}) {
      Box box = axis.piece(id).orElseThrow().anchors().on(w).orElseThrow();
      assertThat(box.centreX().minus(trim.centreX()).abs().quanta()).as(id).isLessThanOrEqualTo(1);
    }
  }
}
