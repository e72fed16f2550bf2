package app.reglet.press.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Fact;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Fate;
import app.reglet.core.carry.FateText;
import app.reglet.core.carry.Proportions;
import app.reglet.core.carry.Report;
import app.reglet.core.carry.Seen;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Line;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Shade;
import app.reglet.core.design.Words;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** What single pieces become where a cover is carried. */
public class CarryRulesTest {
  private static final Wrap PAPERBACK = wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "5 x 8");
  private static final Wrap JACKET = wrap("dunlin-casebinders", Binding.DUST_JACKET, "8 x 10");

  private static Wrap wrap(String house, Binding binding, String trim) {
    return Measuring.measure(
        Specification.of(binding, Size.parse(trim, Unit.IN), 312, "cream", "black", PageTurn.LTR),
        Specimen.house(house));
  }

  private static Design design(Piece... pieces) {
    return new Design(
        Map.of(), new Composition(Ground.plain(Colour.WHITE), List.of(pieces)), Composition.BLANK);
  }

  private static Piece words(String id, PanelKind panel, Fact fact, String points) {
    return new Piece(
        id,
        id,
        Anchors.fromTop(Region.safe(panel), Length.mm("20"), Length.mm("40")),
        Words.of(fact, "", "spectral", Length.pt(points), Colour.BLACK));
  }

  private static Design carried(Design design, Wrap from, Wrap to) {
    return new Carry(Specimen.FULL, Proportions.UNKNOWN).of(design, from, to);
  }

  private static double points(Design design, String id) {
    return ((Words) design.piece(id).orElseThrow().content()).type().size().toPoints();
  }

  @Test
  public void proseStaysOfASizeThatIsReadAndAFrontsSmallWordsGrowWithIt() {
    Design there =
        carried(
            design(
                words("blurb", PanelKind.BACK, Fact.BLURB, "11"),
                words("subtitle", PanelKind.FRONT, Fact.SUBTITLE, "11"),
                words("title", PanelKind.FRONT, Fact.TITLE, "40")),
            PAPERBACK,
            JACKET);
    // the front is at least 1.25 times as high and wide
    assertThat(points(there, "blurb")).isEqualTo(12.5);
    assertThat(points(there, "subtitle")).isGreaterThan(13.5);
    assertThat(points(there, "title")).isGreaterThan(49);
    Design back = carried(there, JACKET, PAPERBACK);
    assertThat(points(back, "blurb")).isBetween(8.0, 11.0);
    Design smaller =
        carried(design(words("blurb", PanelKind.BACK, Fact.BLURB, "8.5")), JACKET, PAPERBACK);
    assertThat(points(smaller, "blurb")).isEqualTo(8.0);
  }

  /** Sandling's spines are read from bottom to top, Gannet's from top to bottom. */
  @Test
  public void spineWordsRunAsTheOtherHouseReadsThemAndWhatRanOtherwiseStays() {
    Wrap upwards =
        Measuring.measure(
            Specification.of(
                Binding.FLAPPED,
                Size.parse("5 x 8", Unit.IN),
                312,
                "matt-130",
                "black",
                PageTurn.LTR),
            Specimen.house("sandling-and-daughters"));
    Setting down =
        Setting.PLAIN
            .running(Setting.Direction.DOWN)
            .aligned(Setting.Align.LEFT, Setting.VerticalAlign.MIDDLE);
    Piece title = spine("title", down);
    Piece meant = spine("meant", down.running(Setting.Direction.UP));
    Piece front =
        words("front", PanelKind.FRONT, Fact.TITLE, "20")
            .withContent(
                Words.of(Fact.TITLE, "", "spectral", Length.pt("20"), Colour.BLACK)
                    .withSetting(down));
    Piece grouped =
        new Piece(
            "group",
            "Group",
            Anchors.filling(Region.safe(PanelKind.SPINE)),
            new Content.Group(
                PAPERBACK.box(Region.safe(PanelKind.SPINE)).orElseThrow().size(),
                List.of(spine("inner", down))));
    Design design = design(title, meant, front, grouped);
    Design there = carried(design, PAPERBACK, upwards);
    Setting up =
        down.running(Setting.Direction.UP)
            .aligned(Setting.Align.RIGHT, Setting.VerticalAlign.MIDDLE);
    assertThat(setting(there, "title")).as("at the same end of the spine").isEqualTo(up);
    assertThat(setting(there, "inner")).isEqualTo(up);
    assertThat(setting(there, "meant").direction()).isEqualTo(Setting.Direction.UP);
    assertThat(setting(there, "front").direction()).isEqualTo(Setting.Direction.DOWN);
    assertThat(setting(carried(there, upwards, PAPERBACK), "title")).isEqualTo(down);
    Report report =
        Report.of(
            new Seen(PAPERBACK, design.outside(), List.of(), List.of()),
            new Seen(upwards, there.outside(), List.of(), List.of()));
    Fate fate =
        report.fates().stream().filter(f -> f.piece().equals("title")).findFirst().orElseThrow();
    assertThat(fate.is(Fate.Change.TURNED)).isTrue();
    assertThat(new FateText(upwards, Unit.IN).of(fate).toLowerCase(java.util.Locale.ROOT))
        .contains("runs from bottom to top, as spines are read there");
    assertThat(new FateText(upwards, Unit.IN).line(report)).contains("running the other way");
  }

  private static Piece spine(String id, Setting setting) {
    return new Piece(
        id,
        id,
        Anchors.filling(Region.safe(PanelKind.SPINE)),
        Words.of(Fact.TITLE, "", "spectral", Length.pt("12"), Colour.BLACK).withSetting(setting));
  }

  private static Setting setting(Design design, String id) {
    return ((Words) design.piece(id).orElseThrow().content()).setting();
  }

  @Test
  public void flapsAreFilledWhereTheyAreNewAndStayBareWhereThatWasMeant() {
    Design cover =
        design(
            words("blurb", PanelKind.BACK, Fact.BLURB, "11"),
            words("title", PanelKind.FRONT, Fact.TITLE, "40"));
    assertThat(carried(cover, PAPERBACK, JACKET).outside().pieces())
        .extracting(Piece::id)
        .contains("front-flap-prose", "back-flap-prose");
    Wrap other = wrap("dunlin-casebinders", Binding.DUST_JACKET, "6 x 9");
    assertThat(carried(cover, other, JACKET).outside().pieces())
        .extracting(Piece::id)
        .containsExactly("blurb", "title");
  }

  @Test
  public void whatBledBesideANewFlapEndsALittleOverTheFold() {
    Box front = PAPERBACK.panel(PanelKind.FRONT).orElseThrow().art();
    Piece area =
        new Piece(
            "area",
            "Area",
            Anchors.filling(Region.safe(PanelKind.FRONT)).placed(PAPERBACK, front),
            Content.Shape.band(Colour.BLACK));
    Box there =
        carried(design(area), PAPERBACK, JACKET)
            .piece("area")
            .orElseThrow()
            .anchors()
            .on(JACKET)
            .orElseThrow();
    Box to = JACKET.panel(PanelKind.FRONT).orElseThrow().trim();
    assertThat(there.right()).isEqualTo(to.right().plus(Length.mm("3")));
    assertThat(there.bottom()).isEqualTo(JACKET.sheetBox().bottom());
  }

  @Test
  public void inAMirrorWhatIsShadedForWordsIsShadedWhereTheyAre() {
    Treatment shaded = Treatment.NONE.withShade(new Shade(Shade.Side.LEFT, -60, 50));
    Content.Picture picture =
        new Content.Picture("ab".repeat(32), Focus.MIDDLE).withTreatment(shaded);
    Piece piece =
        new Piece("picture", "Picture", Anchors.filling(Region.trim(PanelKind.FRONT)), picture);
    Piece title = words("title", PanelKind.FRONT, Fact.TITLE, "40");
    Piece spine = words("spine", PanelKind.SPINE, Fact.TITLE, "12");
    spine = spine.withContent(((Words) spine.content()).running(Setting.Direction.DOWN));
    Wrap mirrored = Measuring.measure(PAPERBACK.spec().withTurn(PageTurn.RTL), PAPERBACK.house());
    Design there = carried(design(piece, title, spine), PAPERBACK, mirrored);
    Content.Picture is = (Content.Picture) there.piece("picture").orElseThrow().content();
    assertThat(is.treatment().shade().side()).isEqualTo(Shade.Side.RIGHT);
    assertThat(is.framing()).isEqualTo(picture.framing());
    assertThat(align(there, "title")).isEqualTo(Setting.Align.RIGHT);
    assertThat(align(there, "spine")).as("it runs down as before").isEqualTo(Setting.Align.LEFT);
    Design prose =
        carried(design(words("blurb", PanelKind.BACK, Fact.BLURB, "11")), PAPERBACK, mirrored);
    assertThat(align(prose, "blurb")).as("it is read as before").isEqualTo(Setting.Align.LEFT);
  }

  @Test
  public void inAMirrorAPictureOverTheSheetIsMirroredAndOneOnAPanelIsNot() {
    Content.Picture picture = new Content.Picture("ab".repeat(32), new Focus(0.8, 0.4));
    Piece over = new Piece("over", "Over", Anchors.filling(Region.SHEET), picture);
    Piece alone =
        new Piece("alone", "Alone", Anchors.filling(Region.trim(PanelKind.FRONT)), picture);
    Design design =
        design(over, alone)
            .changed(
                PrintedSide.OUTSIDE,
                c -> c.withGround(Ground.plain(Colour.WHITE).withPicture(picture)));
    Wrap mirrored = Measuring.measure(PAPERBACK.spec().withTurn(PageTurn.RTL), PAPERBACK.house());
    Design there = carried(design, PAPERBACK, mirrored);
    Content.Picture ground = there.outside().ground().picture().orElseThrow();
    assertThat(ground.framing().mirrored()).isTrue();
    assertThat(ground.framing().focus())
        .as("the same of it in sight")
        .isEqualTo(new Focus(0.8, 0.4));
    assertThat(framing(there, "over").mirrored()).isTrue();
    assertThat(framing(there, "alone")).as("a face stays that face").isEqualTo(picture.framing());
    Seen before = new Seen(PAPERBACK, design.outside(), List.of(), List.of());
    Seen after = new Seen(mirrored, there.outside(), List.of(), List.of());
    Report report = Report.of(before, after);
    assertThat(report.mirrored()).isTrue();
    assertThat(Report.of(before, before).mirrored()).isFalse();
    assertThat(report.fates().stream().filter(f -> f.is(Fate.Change.MIRRORED)))
        .extracting(Fate::piece)
        .containsExactly("over");
    FateText text = new FateText(mirrored, Unit.IN);
    assertThat(text.whole(report)).hasSize(1).first().asString().contains("is mirrored");
    assertThat(text.line(report)).contains("1 mirrored");
  }

  /** 900 pages to 24 stapled ones, upright to landscape: no spine, no room, nothing lost. */
  @Test
  public void aThickBookToAStapledLandscapeOneLosesNothingAndNothingOverlapsUnsaid() {
    Wrap thick =
        Measuring.measure(
            Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("6 x 9", Unit.IN),
                828,
                "white",
                "black",
                PageTurn.LTR),
            Specimen.house("gannet-and-gauge"));
    Wrap thin =
        Measuring.measure(
            Specification.of(
                Binding.SADDLE_STITCHED,
                Size.parse("9 x 6", Unit.IN),
                24,
                "cream",
                "black",
                PageTurn.LTR),
            Specimen.house("whimbrel-digital"));
    Design design =
        StartingLayout.LEDGER.on(thick, Specimen.BOOK, Specimen.on(Ground.plain(Colour.WHITE)));
    Design there = carried(design, thick, thin);
    assertThat(there.outside().pieces())
        .extracting(Piece::id)
        .containsAll(design.outside().pieces().stream().map(Piece::id).toList());
    for (Piece p : there.outside().pieces()) {
      p.anchors()
          .on(thin)
          .filter(b -> Carry.isThere(p, thin))
          .ifPresent(
              b -> {
                assertThat(b.left().isLessThan(thin.sheetBox().left())).as(p.id()).isFalse();
                assertThat(b.right().isMoreThan(thin.sheetBox().right())).as(p.id()).isFalse();
              });
    }
    assertThat(there.outside().pieces().stream().filter(p -> !Carry.isThere(p, thin)))
        .extracting(Piece::name)
        .anyMatch(n -> n.startsWith("Spine"));
  }

  private static Framing framing(Design design, String id) {
    return ((Content.Picture) design.piece(id).orElseThrow().content()).framing();
  }

  private static Setting.Align align(Design design, String id) {
    return ((Words) design.piece(id).orElseThrow().content()).setting().align();
  }

  /** A band from the front onto its flap ends with the front where there is no flap. */
  @Test
  public void whatEndsOnAPanelThatIsNotThereEndsAtTheEdgeOfTheOneItBeganOn() {
    Region front = Region.trim(PanelKind.FRONT);
    Region flap = Region.trim(PanelKind.FRONT_FLAP);
    Piece band =
        new Piece(
            "band",
            "Band",
            new Anchors(
                new Span.Stretched(
                    new Line(front, Line.Edge.LEFT),
                    Length.mm("10"),
                    new Line(flap, Line.Edge.RIGHT),
                    Length.mm("-12")),
                Anchors.filling(front).down()),
            Content.Shape.band(Colour.BLACK));
    Box there =
        carried(design(band), JACKET, PAPERBACK)
            .piece("band")
            .orElseThrow()
            .anchors()
            .on(PAPERBACK)
            .orElseThrow();
    assertThat(there.right())
        .isEqualTo(PAPERBACK.panel(PanelKind.FRONT).orElseThrow().art().right());
  }
}
