package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.raster.ArtworkRaster;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Grounds of parts, seen in pixels. */
public class GroundPartsTest {
  private static final int PPI = 60;
  private static final int WHOLE = 0xff00ff;
  private static final Map<PanelKind, Integer> COLOURS =
      Map.of(PanelKind.BACK, 0x203040, PanelKind.SPINE, 0xb5482a, PanelKind.FRONT, 0xe9c79b);

  @DataProvider
  Object[][] wraps() {
    return new Object[][] {
      {wrap("dunlin-casebinders", Binding.CASE_LAMINATE, "8 x 10 in", PageTurn.LTR)},
      {wrap("dunlin-casebinders", Binding.CASE_LAMINATE, "8 x 10 in", PageTurn.RTL)},
      {wrap("osier-row", Binding.FLAPPED, "A5", PageTurn.LTR)},
    };
  }

  private static Wrap wrap(String house, Binding binding, String trim, PageTurn turn) {
    var sheet = Specimen.house(house);
    return Measuring.measure(
        Specification.of(
            binding,
            Size.parse(trim, Unit.MM),
            224,
            sheet.stocks().get(0).id(),
            sheet.inks().get(0).id(),
            turn),
        sheet);
  }

  private static BufferedImage drawn(Wrap wrap, Map<PanelKind, Ground> parts) {
    return drawn(wrap, parts, PPI);
  }

  private static BufferedImage drawn(Wrap wrap, Map<PanelKind, Ground> parts, int ppi) {
    Design design =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c -> new Composition(Ground.plain(new Colour.Rgb(WHOLE)), parts, List.of()));
    return ArtworkRaster.render(
        new Composer(Specimen.TYPEFACES)
            .compose(design, wrap, Specimen.BOOK, id -> Optional.empty()),
        ppi);
  }

  /** To the sheet's edge, a hinge with its board, flaps as the whole; no third colour between. */
  @Test(dataProvider = "wraps")
  public void eachPartHasItsColourToTheEdgeOfTheSheetAndItsHingeToo(Wrap wrap) {
    Map<PanelKind, Ground> parts =
        COLOURS.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey, e -> Ground.plain(new Colour.Rgb(e.getValue()))));
    BufferedImage image = drawn(wrap, parts);
    for (Panel p : wrap.panels()) {
      PanelKind board =
          p.kind() == PanelKind.BACK_HINGE
              ? PanelKind.BACK
              : p.kind() == PanelKind.FRONT_HINGE ? PanelKind.FRONT : p.kind();
      int wanted = COLOURS.getOrDefault(board, WHOLE);
      Box art = p.art();
      for (double down : new double[] {0.5, art.height().toMm() / 2, art.height().toMm() - 1}) {
        int x = (int) (art.centreX().toMm() / 25.4 * PPI);
        int y = (int) ((art.top().toMm() + down) / 25.4 * PPI);
        assertThat(Integer.toHexString(image.getRGB(x, y) & 0xffffff))
            .as(p.kind() + " at " + down + " mm")
            .isEqualTo(Integer.toHexString(wanted));
      }
    }
    // between two parts with grounds of their own, wherever their edge falls within a pixel:
    // magenta
    // has more blue than green; of these colours the bluest has 16 more
    Box spine = wrap.panel(PanelKind.SPINE).orElseThrow().art();
    for (int ppi : new int[] {47, 60, 83, 101}) {
      BufferedImage at = drawn(wrap, parts, ppi);
      for (int x = (int) ((spine.left().toMm() - 3) / 25.4 * ppi);
          x < (spine.right().toMm() + 3) / 25.4 * ppi;
          x++) {
        int rgb = at.getRGB(x, at.getHeight() / 2);
        assertThat((rgb & 0xff) - (rgb >> 8 & 0xff))
            .as("the whole's magenta shines through at %d of %d ppi", x, ppi)
            .isLessThan(20);
      }
    }
  }

  @Test
  public void aPartWithoutItsOwnShowsTheWhole() {
    BufferedImage image =
        drawn(Specimen.wrap(200), Map.of(PanelKind.SPINE, Ground.plain(new Colour.Rgb(0xb5482a))));
    assertThat(image.getRGB(20, 100) & 0xffffff).isEqualTo(WHOLE);
    assertThat(image.getRGB(image.getWidth() - 20, 100) & 0xffffff).isEqualTo(WHOLE);
    assertThat(image.getRGB(image.getWidth() / 2, 100) & 0xffffff).isEqualTo(0xb5482a);
  }

  /** Ink keeps glue from holding: the strip is bare from the sheet's top to its foot, no wider. */
  @Test
  public void theInsidesGroundLeavesTheGlueStripBareAndNothingElse() {
    var sheet = Specimen.house("osier-row");
    Wrap inside =
        FilePages.inside(
                Measuring.measure(
                    Specification.of(
                            Binding.FLAPPED,
                            Size.parse("A5", Unit.MM),
                            224,
                            sheet.stocks().get(0).id(),
                            sheet.inks().get(0).id(),
                            PageTurn.LTR)
                        .withInsidePrinted(true),
                    sheet))
            .orElseThrow();
    Design design =
        Design.EMPTY.changed(
            PrintedSide.INSIDE,
            c ->
                new Composition(
                    Ground.plain(new Colour.Rgb(WHOLE)),
                    Map.of(PanelKind.FRONT, Ground.plain(new Colour.Rgb(WHOLE))),
                    List.of()));
    BufferedImage image =
        ArtworkRaster.render(
            new Composer(Specimen.TYPEFACES)
                .compose(design, inside, Specimen.BOOK, id -> Optional.empty()),
            PPI);
    // the house keeps 4 mm on each side of the spine
    Box spine = inside.panel(PanelKind.SPINE).orElseThrow().trim();
    double left = spine.left().toMm() - 4;
    double right = spine.right().toMm() + 4;
    for (int y : new int[] {0, image.getHeight() / 2, image.getHeight() - 2}) {
      for (int x = 0; x < image.getWidth() - 1; x++) { // the last is partly off the sheet
        double from = x * 25.4 / PPI;
        double to = (x + 1) * 25.4 / PPI;
        int rgb = image.getRGB(x, y) & 0xffffff;
        if (from > left + 0.1 && to < right - 0.1) {
          assertThat(rgb).as("on the strip, %.1f mm", from).isEqualTo(0xffffff);
        } else if (to < left - 0.1 || from > right + 0.1) {
          assertThat(rgb).as("beside it, %.1f mm", from).isEqualTo(WHOLE);
        }
      }
    }
  }
}
