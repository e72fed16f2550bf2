package app.reglet.press.layout;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Contrast;
import app.reglet.core.check.Finding;
import app.reglet.core.check.NearMisses;
import app.reglet.core.check.Seen;
import app.reglet.core.check.Subject;
import app.reglet.core.check.WordsStandOut;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Framing;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.Role;
import app.reglet.core.layout.Scheme;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.layout.TypePair;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.ornament.Ornaments;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.press.raster.ContrastMeter;
import app.reglet.testing.Extent;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Starting layouts as they come out: read on any picture, each another, on any book. */
public class StartingLayoutsTest {
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);
  private static final Wrap WRAP = Specimen.wrap(312);
  private static final int PPI = 60;
  private static final List<GenrePalette> SHELVES =
      List.of(GenrePalette.LITERARY, GenrePalette.ROMANCE, GenrePalette.CHILDREN);
  private static final Book FULL = book("The Salt Ledger", "A novel of the flats", "Maren Aldous");

  private static Book book(String title, String subtitle, String author) {
    return new Book(
        title,
        subtitle,
        author,
        "Sedge & Samphire",
        Specimen.BOOK.blurb(),
        Specimen.BOOK.isbn(),
        "£14.99",
        Specimen.FULL.further());
  }

  @DataProvider
  Object[][] layouts() {
    return Extent.of(3, List.of(StartingLayout.values())).stream()
        .map(l -> new Object[] {l})
        .toArray(Object[][]::new);
  }

  /** A picture of blotches from one gray to another. */
  private static Picture blotches(int from, int to) {
    BufferedImage image = new BufferedImage(1200, 900, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    for (int y = 0; y < 900; y += 60) {
      for (int x = 0; x < 1200; x += 60) {
        int v = from + (to - from) * (x * 7 / 60 + y * 13 / 60 & 15) / 15;
        g.setColor(new Color(v, v, v));
        g.fillRect(x, y, 60, 60);
      }
    }
    g.dispose();
    return Specimen.picture(image, "png");
  }

  private static Artwork art(Design design, Wrap wrap, Book book, Picture picture) {
    Pictures pictures = sha -> Optional.ofNullable(picture).filter(p -> p.sha().equals(sha));
    return COMPOSER.compose(design, wrap, book, pictures);
  }

  /** Measured in the rendered art, by the ratios of WCAG 2.2. */
  @Test(dataProvider = "layouts")
  public void wordsStandOutOnEveryPictureAndInEveryPalette(StartingLayout layout) {
    List<Picture> pictures = new ArrayList<>();
    pictures.add(null);
    pictures.add(blotches(0, 90));
    pictures.add(blotches(150, 255));
    for (Picture p : pictures) {
      Dress.Shown shown = p == null ? null : new Dress.Shown(p.sha(), p.mean(), false);
      for (GenrePalette shelf : SHELVES) {
        Dress dress = Dress.of(Scheme.of(shelf), null, shown);
        Artwork art = art(layout.on(WRAP, FULL, Design.EMPTY, dress), WRAP, FULL, p);
        assertThat(WordsStandOut.find(art.laid(), seen(art)))
            .as(layout + " " + shelf + " " + (p == null ? "" : Integer.toHexString(p.mean())))
            .extracting(f -> f.sentence(Unit.MM))
            .isEmpty();
      }
    }
  }

  private static List<Seen> seen(Artwork art) {
    return ContrastMeter.measure(
        art,
        PPI,
        s ->
            s.treating()
                .ofStored(PictureReader.pixels(s.picture(), 100_000), s.picture().orientation()));
  }

  @Test(dataProvider = "layouts")
  public void nothingIsNearlyInLine(StartingLayout layout) {
    Design laid = layout.on(WRAP, FULL, Design.EMPTY, Dress.OWN);
    assertThat(NearMisses.find(laid.outside(), WRAP))
        .as(layout.title())
        .extracting(f -> f.sentence(Unit.MM))
        .isEmpty();
  }

  /** A title of one letter, of 150, of one long word; nothing else said. */
  @Test(dataProvider = "layouts")
  public void anyTitleFindsItsPlace(StartingLayout layout) {
    String longest =
        "On the Keeping of Tide Tables, Ledgers, Lamps and Promises along the Long Shore, with Notes"
            + " on Salt, Herring, Bells and Daughters, and an Index of Debts";
    for (String title :
        new String[] {
          "O", longest, "Donaudampfschifffahrtsgesellschaft", "دفتر الملح", "פנקס המלח"
        }) {
      Book book = new Book(title, "", "", "", "", Optional.empty(), "");
      for (String trim : new String[] {"5 x 8", "8.5 x 8.5"}) {
        Wrap wrap =
            Measuring.measure(
                Specification.of(
                    Binding.PERFECT_BOUND,
                    Size.parse(trim, Unit.IN),
                    90,
                    "white",
                    "black",
                    PageTurn.RTL),
                Specimen.gannet());
        Artwork art = art(layout.on(wrap, book, Design.EMPTY, Dress.OWN), wrap, book, null);
        assertThat(
                Check.run(new Subject(wrap, book, art.laid())).stream()
                    .filter(f -> f.piece().isPresent())
                    .filter(Finding::mustMend))
            .as(layout + " " + trim + " " + title)
            .extracting(f -> f.sentence(Unit.MM))
            .isEmpty();
      }
    }
  }

  /** The mean difference of two fronts' pixels, 0 to 255. */
  private static double difference(BufferedImage a, BufferedImage b) {
    long sum = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(x, y);
        for (int shift = 0; shift < 24; shift += 8) {
          sum += Math.abs((p >> shift & 0xff) - (q >> shift & 0xff));
        }
      }
    }
    return sum / 3.0 / a.getWidth() / a.getHeight();
  }

  /** With the same colours, typefaces and picture, no two fronts are nearly one. */
  @Test
  public void eachIsAnotherInTheSameDress() {
    Picture p = blotches(20, 220);
    Dress dress =
        Dress.of(
            Scheme.of(GenrePalette.HISTORY),
            TypePair.SPECTRAL,
            new Dress.Shown(p.sha(), p.mean(), false));
    Rect front = Rect.of(WRAP.panel(PanelKind.FRONT).orElseThrow().trim());
    List<BufferedImage> fronts =
        Arrays.stream(StartingLayout.values())
            .map(l -> art(l.on(WRAP, FULL, Design.EMPTY, dress), WRAP, FULL, p))
            .map(a -> ArtworkRaster.render(a, front, 120))
            .toList();
    assertThat(fronts).hasSizeGreaterThanOrEqualTo(12);
    for (int i = 0; i < fronts.size(); i++) {
      for (int k = 0; k < i; k++) {
        assertThat(difference(fronts.get(i), fronts.get(k)))
            .as(StartingLayout.values()[i] + " and " + StartingLayout.values()[k])
            .isGreaterThan(12);
      }
    }
  }

  /** A sign, clear in places, is seen whole or not at all: never cropped, never a ground. */
  @Test(dataProvider = "layouts")
  public void aSignIsNotCropped(StartingLayout layout) {
    Dress dress = Dress.of(null, null, new Dress.Shown("ab12", 0x808080, true));
    Design laid = layout.on(WRAP, FULL, Design.EMPTY, dress);
    assertThat(laid.outside().ground().hasPicture()).isFalse();
    assertThat(
            laid.outside()
                .all()
                .map(Piece::content)
                .filter(Content.Picture.class::isInstance)
                .map(c -> ((Content.Picture) c).framing().fit()))
        .allMatch(fit -> fit == Framing.Fit.WHOLE);
    assertThat(
            laid.outside()
                .all()
                .map(Piece::content)
                .filter(c -> c instanceof Words w && w.through() != null))
        .isEmpty();
  }

  /** Every colour but white and black has a name, so one change of the palette changes all. */
  @Test(dataProvider = "layouts")
  public void coloursHaveNames(StartingLayout layout) {
    Dress dress = Dress.of(Scheme.of(GenrePalette.COOKERY), null, null);
    Design laid = layout.on(WRAP, FULL, Design.EMPTY, dress);
    assertThat(laid.direct()).isSubsetOf(Colour.WHITE, Colour.BLACK, Colour.BLACK_INK);
    assertThat(laid.palette().keySet())
        .hasSizeGreaterThan(1)
        .isSubsetOf(Arrays.stream(Role.values()).map(Role::title).toList());
  }

  /** Ornaments and faces that layouts name by id are there. */
  @Test(dataProvider = "layouts")
  public void whatLayoutsNameIsThere(StartingLayout layout) {
    for (TypePair pair : TypePair.values()) {
      Stream.of(pair.display(), pair.text(), pair.italic(), pair.strong())
          .forEach(face -> assertThat(Specimen.TYPEFACES.has(face)).as(face).isTrue());
    }
    Wrap wrap = insideToo();
    Design laid = layout.on(wrap, FULL, Design.EMPTY, Dress.OWN);
    Stream.of(laid.outside(), laid.inside())
        .forEach(
            side -> {
              side.all()
                  .map(Piece::content)
                  .forEach(
                      c -> {
                        if (c instanceof Content.Ornament o) {
                          there(o.drawn());
                        } else if (c instanceof Content.Pattern pattern) {
                          there((Motif.Drawn) pattern.motif());
                        }
                      });
              side.ground().pattern().ifPresent(pt -> there((Motif.Drawn) pt.motif()));
            });
  }

  private static void there(Motif.Drawn drawn) {
    assertThat(Ornaments.shipped().find(drawn.ornament())).as(drawn.ornament()).isPresent();
  }

  private static Wrap insideToo() {
    return Measuring.measure(
        Specification.of(
                Binding.FLAPPED,
                Size.parse("A5", Unit.MM),
                240,
                "offset-100",
                "black",
                PageTurn.LTR)
            .withFlaps(Optional.of(new Flaps(Length.mm("90"), Length.mm("90"))))
            .withInsidePrinted(true),
        Specimen.house("osier-row"));
  }

  /** Praise on the back, the blurb and the author's note on the flaps, the inside used. */
  @Test(dataProvider = "layouts")
  public void flapsAndInsideAreUsed(StartingLayout layout) {
    Wrap wrap = insideToo();
    Design laid = layout.on(wrap, FULL, Design.EMPTY, Dress.OWN);
    assertThat(on(laid, wrap, PanelKind.FRONT_FLAP)).contains(Fact.TITLE, Fact.BLURB, Fact.PRICE);
    assertThat(on(laid, wrap, PanelKind.BACK_FLAP)).contains(Fact.AUTHOR, Fact.ABOUT_THE_AUTHOR);
    assertThat(on(laid, wrap, PanelKind.BACK)).contains(Fact.QUOTE).doesNotContain(Fact.BLURB);
    assertThat(laid.inside().pieces()).isNotEmpty();
    Wrap inside = FilePages.inside(wrap).orElseThrow();
    Artwork art = art(laid, inside, FULL, null);
    assertThat(Check.run(new Subject(inside, FULL, art.laid())).stream().filter(Finding::mustMend))
        .isEmpty();
  }

  private static List<Fact> on(Design design, Wrap wrap, PanelKind panel) {
    return design
        .outside()
        .all()
        .filter(p -> p.content() instanceof Words)
        .filter(
            p ->
                p.anchors().on(wrap).flatMap(wrap::panelUnder).map(q -> q.kind()).orElse(null)
                    == panel)
        .map(p -> ((Words) p.content()).fact())
        .toList();
  }

  /** 150 pages more, and nothing is to be mended. */
  @Test(dataProvider = "layouts")
  public void aHundredAndFiftyPagesMoreLeaveNothingToMend(StartingLayout layout) {
    Design laid = layout.on(WRAP, FULL, Design.EMPTY, Dress.OWN);
    Wrap thicker = Measuring.measure(WRAP.spec().withPages(462), WRAP.house());
    Artwork art = art(laid, thicker, FULL, null);
    assertThat(Check.run(new Subject(thicker, FULL, art.laid())).stream().filter(Finding::mustMend))
        .extracting(f -> f.sentence(Unit.MM))
        .isEmpty();
  }

  /** Any colours make a scheme whose words are read. */
  @Test
  public void anyColoursMakeAScheme() {
    for (int[] rgb :
        new int[][] {
          {}, {0x808080}, {0x808080, 0x808080}, {0xff0000, 0x00ff00}, {0xfafafa, 0xf0f0f0, 0xfff000}
        }) {
      Scheme scheme = Scheme.of(Arrays.stream(rgb).mapToObj(Colour.Rgb::new).toList());
      assertThat(scheme.colours()).hasSize(Role.values().length);
      assertThat(Contrast.ratio(scheme.of(Role.INK).onScreen(), scheme.of(Role.PAPER).onScreen()))
          .isGreaterThanOrEqualTo(7);
    }
  }
}
