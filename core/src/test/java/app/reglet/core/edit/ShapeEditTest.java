package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Shapes as they are added and changed from the title block's fields. */
public class ShapeEditTest {
  private static final Book BOOK = new Book("Title", "", "Author", "", "", Optional.empty(), "");
  private static final Wrap WRAP = wrap(320);

  /** A leaf, wide as high, and a rule, eight times as wide. */
  private static Wrap wrap(int pages) {
    return Wraps.sixByNine(pages);
  }

  private static final Typing TYPING = new Typing(WRAP, BOOK);

  private static Design apply(Design design, String... fields) {
    return TYPING.apply(design, fields);
  }

  private static Design added(String figure) {
    return apply(Design.EMPTY, "edit", "add", "what", "shape", "figure", figure);
  }

  private static Piece only(Design design) {
    return design.outside().pieces().get(design.outside().pieces().size() - 1);
  }

  private static Content.Shape shape(Design design) {
    return (Content.Shape) only(design).content();
  }

  private static Design set(Design design, String... fields) {
    return TYPING.change(design, "set", only(design).id(), fields);
  }

  @DataProvider
  Object[][] figures() {
    return new Object[][] {
      {"rectangle", Figure.RECTANGLE},
      {"ellipse", new Figure.Ellipse()},
      {"polygon", new Figure.Regular(6, 0)},
      {"star", new Figure.Regular(5, 0.5)},
      {"level", new Figure.Line(Figure.Line.Way.LEVEL)},
      {"rising", new Figure.Line(Figure.Line.Way.RISING)},
    };
  }

  @Test(dataProvider = "figures")
  public void aShapeIsAddedInTheMiddleOfTheTrimmedFrontAndStaysThere(String name, Figure figure) {
    Design d = added(name);
    assertThat(shape(d).figure()).isEqualTo(figure);
    for (Wrap w : List.of(WRAP, wrap(500))) {
      Box box = only(d).anchors().on(w).orElseThrow();
      assertThat(box.centreX()).isEqualTo(w.panel(PanelKind.FRONT).orElseThrow().trim().centreX());
    }
    assertThat(shape(d).fill() != null).isEqualTo(figure.isClosed());
    assertThat(shape(d).stroke() != null).isEqualTo(!figure.isClosed());
  }

  @Test
  public void aFrameRoundTheWholeFollowsTheMeasurements() {
    Design d = apply(Design.EMPTY, "edit", "add", "what", "frame", "panel", "whole");
    for (Wrap w : List.of(WRAP, wrap(120), wrap(700))) {
      Box box = only(d).anchors().on(w).orElseThrow();
      Box trim = w.trimmed();
      assertThat(box.left().minus(trim.left())).isEqualTo(Length.in("0.125"));
      assertThat(trim.right().minus(box.right())).isEqualTo(Length.in("0.125"));
      assertThat(trim.bottom().minus(box.bottom())).isEqualTo(Length.in("0.125"));
    }
    Design front = apply(Design.EMPTY, "edit", "add", "what", "frame", "panel", "front");
    assertThat(only(front).anchors().on(WRAP).orElseThrow())
        .isEqualTo(WRAP.panel(PanelKind.FRONT).orElseThrow().safe());
  }

  @Test
  public void oneColourBecomesAGradientWithMoreColoursAndOneColourAgain() {
    Design d = set(added("ellipse"), "colour", "#123456");
    d = set(d, "fill", "linear");
    Paint.Linear linear = (Paint.Linear) shape(d).fill();
    assertThat(linear.stops())
        .containsExactly(
            new Paint.Stop(0, new Colour.Rgb(0x123456)), new Paint.Stop(1, Colour.WHITE));
    d = set(d, "stopAdd", "yes");
    d = set(d, "stop.1.colour", "C10 M20 Y30 K40", "stop.1.at", "25 %", "fillAngle", "-45");
    linear = (Paint.Linear) shape(d).fill();
    assertThat(linear.angle()).isEqualTo(-45);
    assertThat(linear.stops().get(1))
        .isEqualTo(new Paint.Stop(0.25, new Colour.Cmyk(10, 20, 30, 40)));
    // dragged past its neighbour, a colour changes places with it
    d = set(d, "stop.0.at", "60");
    assertThat(((Paint.Linear) shape(d).fill()).stops().get(1).colour())
        .isEqualTo(new Colour.Rgb(0x123456));
    d = set(d, "fill", "radial");
    assertThat(((Paint.Radial) shape(d).fill()).stops()).hasSize(3);
    d = set(d, "stopOff", "0");
    Design two = d;
    assertThatThrownBy(() -> set(two, "stopOff", "0"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("two colours at least");
    d = set(d, "fill", "flat");
    assertThat(shape(d).fill()).isEqualTo(Paint.of(new Colour.Rgb(0x123456)));
  }

  @Test
  public void anEdgeHasWidthColourDashesAndSide() {
    Design d =
        set(
            added("rectangle"),
            "edgeWidth",
            "2 pt",
            "edgeColour",
            "#ff0000",
            "edgeDashes",
            "4 1.5",
            "edgeSide",
            "OUTSIDE");
    assertThat(shape(d).stroke())
        .isEqualTo(
            new Stroke(
                Paint.of(new Colour.Rgb(0xff0000)),
                Length.pt("2"),
                List.of(Length.mm("4"), Length.mm("1.5")),
                Stroke.Side.OUTSIDE));
    assertThat(shape(set(d, "edgeDashes", "3mm, 0.1 in")).stroke().dashes())
        .containsExactly(Length.mm("3"), Length.in("0.1"));
    assertThat(shape(set(d, "edge", "none")).stroke()).isNull();
    Design hollow = set(d, "fill", "none");
    assertThat(shape(hollow).fill()).isNull();
  }

  @Test
  public void cornersHaveOneRadiusOrFour() {
    Design d = set(added("rectangle"), "radius", "3");
    assertThat(shape(d).figure()).isEqualTo(new Figure.Rectangle(Length.mm("3")));
    d = set(d, "radius", "1 2 0.1in 0");
    assertThat(shape(d).figure())
        .isEqualTo(
            new Figure.Rectangle(Length.mm("1"), Length.mm("2"), Length.in("0.1"), Length.ZERO));
  }

  @Test
  public void aFreePolygonsCornersAreTyped() {
    Design d = set(added("star"), "figure", "free");
    assertThat(((Figure.Free) shape(d).figure()).corners()).hasSize(5);
    d = set(d, "points", "50 0, 100% 100, 0 100");
    assertThat(((Figure.Free) shape(d).figure()).corners())
        .containsExactly(
            new Figure.Free.Corner(0.5, 0),
            new Figure.Free.Corner(1, 1),
            new Figure.Free.Corner(0, 1));
  }

  @Test
  public void aShapeMadeALineTakesItsColourAlong() {
    Design d = set(set(added("rectangle"), "colour", "#102030"), "figure", "falling");
    assertThat(shape(d).stroke().paint()).isEqualTo(Paint.of(new Colour.Rgb(0x102030)));
  }

  @DataProvider
  Object[][] wrong() {
    return new Object[][] {
      {"rectangle", "radius", "1 2", "these are 2"},
      {"rectangle", "radius", "-1", "0 or more"},
      {"rectangle", "fill", "none", "nothing of it would be seen"},
      {"rectangle", "edgeWidth", "0", "wider than 0 and at most 100 mm"},
      {"rectangle", "edgeWidth", "101", "at most 100 mm"},
      {"rectangle", "edgeDashes", "0 0", "above 0"},
      {"rectangle", "edgeDashes", "1 1 1 1 1 1 1 1 1", "these are 9"},
      {"rectangle", "fill", "plaid", "no way to fill"},
      {"level", "edge", "none", "nothing of it would be seen"},
      {"polygon", "corners", "2", "from 3 to 60"},
      {"star", "notch", "99", "from 0 to 95"},
      {"free", "points", "0 0, 100 0", "3 to 400 corners"},
      {"free", "points", "0 0, 100 0, 50", "no corner"},
      {"free", "points", "0 0, 100 0, 50 101", "from 0 to 100 %"},
      {"free", "points", "a b, c d, e f", "no percentage"},
      {"rectangle", "figure", "hexagram", "no form known"},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatNoShapeCanBeIsRefusedWithItsFigure(
      String figure, String field, String typed, String says) {
    Design d = added(figure);
    assertThatThrownBy(() -> set(d, field, typed))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(says);
  }

  @Test
  public void anEmptyNameOfAFormIsRefused() {
    assertThatThrownBy(() -> added(""))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no form known");
  }

  @Test
  public void anOrnamentIsAddedInItsProportionAndIsCalledAfterWhatItShows() {
    Design d = apply(Design.EMPTY, "edit", "add", "what", "ornament", "ornament", "rule");
    Box box = only(d).anchors().on(WRAP).orElseThrow();
    assertThat(box.width().toMm() / box.height().toMm()).isBetween(7.99, 8.01);
    d = set(d, "ink.0.colour", "#b5482a", "ink.1.colour", "K30");
    assertThat(((Content.Ornament) only(d).content()).drawn().inks())
        .containsExactly(new Colour.Rgb(0xb5482a), new Colour.Gray(30));
    d = set(d, "ornament", "leaf");
    assertThat(only(d).name()).isEqualTo("Leaf");
    // a name that somebody gave stays
    d = apply(d, "edit", "rename", "piece", only(d).id(), "name", "Mine");
    assertThat(only(set(d, "ornament", "rule")).name()).isEqualTo("Mine");
  }

  @Test
  public void aPatternFillsThePanelToItsBleedBehindTheOthersOnAnySpine() {
    Design d =
        apply(
            added("ellipse"),
            "edit",
            "add",
            "what",
            "pattern",
            "ornament",
            "leaf",
            "panel",
            "back");
    Piece pattern = d.outside().pieces().get(0);
    for (Wrap w : List.of(WRAP, wrap(500))) {
      assertThat(pattern.anchors().on(w).orElseThrow())
          .isEqualTo(w.panel(PanelKind.BACK).orElseThrow().art());
    }
    d =
        apply(
            d,
            "edit",
            "set",
            "piece",
            pattern.id(),
            "tileWidth",
            "1/2 in",
            "tileAcross",
            "0",
            "tileDown",
            "3",
            "stagger",
            "half-drop",
            "tileAngle",
            "-45");
    Content.Pattern now = (Content.Pattern) d.outside().pieces().get(0).content();
    assertThat(now.tiling())
        .isEqualTo(
            new Tiling(
                Length.in("0.5"), Length.ZERO, Length.mm("3"), Tiling.Stagger.HALF_DROP, -45));
  }

  @Test
  public void theGroundTakesAPatternAndLosesItAgain() {
    Design d = apply(Design.EMPTY, "edit", "ground", "pattern", "on");
    d = apply(d, "edit", "ground", "ornament", "leaf", "tileWidth", "20");
    Content.Pattern pattern = d.outside().ground().pattern().orElseThrow();
    assertThat(((Motif.Drawn) pattern.motif()).ornament()).isEqualTo("leaf");
    assertThat(pattern.tiling().width()).isEqualTo(Length.mm("20"));
    // another colour of the ground leaves it
    d = apply(d, "edit", "ground", "colour", "#ffffff");
    assertThat(d.outside().ground().pattern()).contains(pattern);
    d = apply(d, "edit", "ground", "pattern", "none");
    assertThat(d.outside().ground().pattern()).isEmpty();
  }

  @DataProvider
  Object[][] wrongTiles() {
    return new Object[][] {
      {"tileWidth", "1.9", "2 to 500 mm wide"},
      {"tileWidth", "1 px", "no length on paper"},
      {"tileWidth", "501", "2 to 500 mm wide"},
      {"tileAcross", "-1", "0 to 500 mm"},
      {"tileAngle", "720.5", "no angle"},
      {"ornament", "griffin", "no ornament “griffin”"},
    };
  }

  @Test(dataProvider = "wrongTiles")
  public void aTileThatCanNotBeIsRefusedWithItsFigure(String field, String typed, String says) {
    Design d = apply(Design.EMPTY, "edit", "ground", "pattern", "on");
    assertThatThrownBy(() -> apply(d, "edit", "ground", field, typed))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(says);
  }

  @Test
  public void aPartHasAGroundOfItsOwnUntilItGoesWithTheWholeAgain() {
    Design d = apply(Design.EMPTY, "edit", "ground", "colour", "#102030");
    d = apply(d, "edit", "ground", "pattern", "on");
    d = apply(d, "edit", "ground", "part", "spine", "own", "yes");
    Ground spine = d.outside().parts().get(PanelKind.SPINE);
    assertThat(spine).isEqualTo(Ground.plain(new Colour.Rgb(0x102030)));
    d = apply(d, "edit", "ground", "part", "spine", "colour", "#b5482a");
    assertThat(d.outside().parts().get(PanelKind.SPINE).paint())
        .isEqualTo(Paint.of(new Colour.Rgb(0xb5482a)));
    assertThat(d.outside().ground().paint()).isEqualTo(Paint.of(new Colour.Rgb(0x102030)));
    // pieces come and go, the part's ground stays
    Design more = apply(d, "edit", "add", "what", "shape", "figure", "star");
    assertThat(more.outside().parts()).isEqualTo(d.outside().parts());
    d = apply(d, "edit", "ground", "part", "spine", "own", "no");
    assertThat(d.outside().parts()).isEmpty();
    Design e = d;
    assertThatThrownBy(() -> apply(e, "edit", "ground", "part", "front-hinge", "colour", "#000000"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("ground of its board");
  }

  /**
   * A price add-on is EAN-5 (GS1 General Specifications, 5.2.2, from memory); EAN-2 numbers issues.
   */
  @Test
  public void aPriceAddOnHasFiveDigitsAndNoOtherNumberOfThem() {
    assertThat(List.of("", "51499")).allMatch(Content.Barcode::isAddOn);
    assertThat(List.of("5", "52", "514", "5149", "514990", "5149a", " 51499"))
        .noneMatch(Content.Barcode::isAddOn);
  }
}
