package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.house.Houses;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/**
 * Pages that go with the outside. Check values: common practice, worked out by hand beside each.
 */
public class FilePagesTest {
  private static final Specification OSIER =
      Specification.of(
              Binding.PERFECT_BOUND,
              Size.parse("A5", Unit.MM),
              320,
              "bulky-80",
              "black",
              PageTurn.LTR)
          .withInsidePrinted(true);

  private static Box3 at(Wrap w, PanelKind kind) {
    var b = w.panel(kind).orElseThrow().trim();
    return new Box3(b.left(), b.right());
  }

  private record Box3(Length left, Length right) {}

  @Test
  public void theInsideIsTheMirrorImageWithAnUnprintedStrip() {
    // sheet 325.5: back 3–151, spine 151–174.5, front 174.5–322.5; mirrored front 3–151
    Wrap outside = Measuring.measure(OSIER, Houses.OSIER);
    List<Wrap> pages = FilePages.of(outside);
    assertThat(pages).extracting(Wrap::page).containsExactly(FilePage.OUTSIDE, FilePage.INSIDE);
    Wrap inside = pages.get(1);
    assertThat(inside.sheet()).isEqualTo(outside.sheet());
    assertThat(at(inside, PanelKind.FRONT)).isEqualTo(new Box3(Length.mm("3"), Length.mm("151")));
    assertThat(at(inside, PanelKind.BACK))
        .isEqualTo(new Box3(Length.mm("174.5"), Length.mm("322.5")));
    assertThat(inside.nameOf(PanelKind.FRONT)).isEqualTo("Inside front");
    // 4 mm of each cover beside the spine, and the spine itself, stay unprinted: 147 to 178.5
    List<Zone> glue = inside.zones().stream().filter(z -> z.kind() == Zone.Kind.GLUE).toList();
    assertThat(glue).hasSize(3);
    assertThat(glue.stream().map(z -> z.box().left()).min(Length::compareTo))
        .contains(Length.mm("147"));
    assertThat(glue.stream().map(z -> z.box().right()).max(Length::compareTo))
        .contains(Length.mm("178.5"));
    for (Zone z : glue) {
      assertThat(inside.panels()).noneMatch(p -> p.safe().overlaps(z.box()));
    }
    assertThat(inside.zones()).noneMatch(z -> z.kind() == Zone.Kind.BARCODE);
  }

  @Test
  public void aBookReadRightToLeftHasItsInsideFrontOnTheRight() {
    Wrap inside =
        FilePages.inside(Measuring.measure(OSIER.withTurn(PageTurn.RTL), Houses.OSIER))
            .orElseThrow();
    assertThat(at(inside, PanelKind.FRONT).left()).isEqualTo(Length.mm("174.5"));
  }

  @Test
  public void insideTwiceMirroredIsTheOutside() {
    Wrap outside = Measuring.measure(OSIER, Houses.OSIER);
    Wrap inside = FilePages.inside(outside).orElseThrow();
    for (Panel p : outside.panels()) {
      assertThat(inside.panel(p.kind()).orElseThrow().trim().mirrored(outside.sheet().width()))
          .isEqualTo(p.trim());
    }
    assertThat(inside.folds().get(0).x())
        .isEqualTo(outside.sheet().width().minus(outside.folds().get(1).x()));
  }

  @Test
  public void unprintedOrNotOfferedThereIsNoInside() {
    assertThat(FilePages.of(Measuring.measure(OSIER.withInsidePrinted(false), Houses.OSIER)))
        .hasSize(1);
  }

  @Test
  public void frontSpineAndBackApart() {
    Specification spec =
        Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("A5", Unit.MM),
                160,
                "feather-90",
                "black",
                PageTurn.LTR)
            .withToldSpine(Optional.of(new ToldSpine(Length.mm("11.8"), "order 7")));
    Wrap outside = Measuring.measure(spec, Houses.SANDLING);
    List<Wrap> pages = FilePages.of(outside);
    assertThat(pages)
        .extracting(Wrap::page)
        .containsExactly(FilePage.FRONT, FilePage.SPINE, FilePage.BACK);
    // front: 3 past the fold + 148 + 3 bleed = 154 × 216; spine: its width, bleed at head and tail
    assertThat(pages.get(0).sheet()).isEqualTo(new Size(Length.mm("154"), Length.mm("216")));
    assertThat(pages.get(1).sheet()).isEqualTo(new Size(Length.mm("11.8"), Length.mm("216")));
    assertThat(pages.get(1).margin().left()).isEqualTo(Length.ZERO);
    assertThat(pages.get(1).margin().top()).isEqualTo(Length.mm("3"));
    assertThat(pages.get(2).sheet()).isEqualTo(pages.get(0).sheet());
    // each lies where the whole sheet has it: the front's file starts 3 mm before the fold
    assertThat(pages.get(0).place().left())
        .isEqualTo(outside.folds().get(1).x().minus(Length.mm("3")));
    assertThat(pages.get(0).place().right()).isEqualTo(outside.sheet().width());
    assertThat(pages.get(2).zone(Zone.Kind.BARCODE, PanelKind.BACK)).isPresent();
    assertThat(pages.get(0).width().print(Unit.MM)).isEqualTo("148 + 2 × 3 = 154 mm");
  }

  @Test
  public void anEbookCoverIsTheFrontAlone() {
    Specification spec =
        Specification.of(
            Binding.EBOOK, Size.parse("1600 x 2560 px", Unit.PX), 320, "", "", PageTurn.LTR);
    Wrap w = Measuring.measure(spec, Houses.LANTERN);
    assertThat(w.panels()).extracting(Panel::kind).containsExactly(PanelKind.FRONT);
    assertThat(w.sheet().print(Unit.PX)).isEqualTo("1600 × 2560 px");
    assertThat(w.sheet().width().toPixels(96)).isEqualTo(1600);
    assertThat(w.folds()).isEmpty();
    assertThat(w.margin().left()).isEqualTo(Length.ZERO);
  }
}
