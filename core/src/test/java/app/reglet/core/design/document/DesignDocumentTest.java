package app.reglet.core.design.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DesignDocumentTest {
  private static final Colour INK = new Colour.Swatch("Ink");
  private static final Content.Picture TREATED =
      new Content.Picture(
          "ab12",
          new Framing(new Focus(0.1, 0.9), 1.5, Framing.Fit.WHOLE, 3, true),
          new Treatment(
              new Treatment.Levels(12, 240, 1.2),
              -10,
              20,
              -35,
              new Treatment.Toning(Treatment.Toning.Kind.TWO_COLOURS, INK, Colour.WHITE),
              new Treatment.Shade(Treatment.Shade.Side.LEFT, -60, 45)));
  private static final Anchors SAFE = Anchors.filling(Region.safe(PanelKind.FRONT));

  /** A design that uses whatever there is. */
  private static Design everything() {
    Paint linear =
        new Paint.Linear(
            33.3,
            List.of(
                new Paint.Stop(0, new Colour.Cmyk(1, 2, 3, 4.5)),
                new Paint.Stop(0.4, INK),
                new Paint.Stop(1, new Colour.Gray(60))));
    Paint radial =
        new Paint.Radial(List.of(new Paint.Stop(0, Colour.WHITE), new Paint.Stop(1, Colour.BLACK)));
    Words words =
        new Words(
            Fact.TITLE,
            "",
            new Type(
                "spectral",
                Length.pt("33.3"),
                Type.Fit.LARGEST,
                -12,
                Type.Letters.SMALL_CAPITALS,
                List.of("ss01", "onum")),
            new Setting(
                Setting.Align.JUSTIFIED,
                Setting.VerticalAlign.MIDDLE,
                Setting.Direction.UP,
                1.36,
                0.5,
                1.25,
                Setting.Breaks.BALANCED,
                true,
                true,
                "de-CH"),
            linear,
            new Stroke(
                Paint.of(INK),
                Length.mm("0.4"),
                List.of(Length.mm("1"), Length.mm("0.5")),
                Stroke.Side.OUTSIDE),
            new Curve.Arc(Curve.Edge.LOWER, Curve.Side.OUTSIDE, Curve.By.SAG, Length.mm("12.5")),
            new Panel(radial, 0.75, Length.mm("1"), Length.mm("2.5"), Length.mm("3")),
            new Content.Picture("fe12", new Focus(0.25, 1)));
    Piece title =
        new Piece(
            "title",
            "Title “one” & <two>",
            new Placement(SAFE, -12.5, Placement.Flip.ACROSS),
            new Appearance(
                0.35,
                Appearance.Blend.MULTIPLY,
                Optional.of(
                    new Appearance.Shadow(
                        Length.mm("1"), Length.mm("-2"), Length.mm("3"), INK, 0.5)),
                Optional.of(
                    new Appearance.Mask(new Figure.Rectangle(Length.mm("4")), Length.mm("2")))),
            words,
            true,
            true);
    Piece disc =
        new Piece("disc", "Disc", SAFE, new Content.Shape(new Figure.Ellipse(), radial, null));
    Stroke edge =
        new Stroke(Paint.of(INK), Length.mm("1"), List.of(Length.mm("2")), Stroke.Side.CENTRED);
    Piece card =
        new Piece(
            "card",
            "Card",
            Anchors.filling(Region.TRIMMED),
            new Content.Shape(
                new Figure.Rectangle(
                    Length.mm("1"), Length.mm("2"), Length.mm("3"), Length.mm("0")),
                linear,
                edge));
    Piece star =
        new Piece("star", "Star", SAFE, new Content.Shape(new Figure.Regular(7, 0.25), null, edge));
    Piece kite =
        new Piece(
            "kite",
            "Kite",
            SAFE,
            new Content.Shape(
                new Figure.Free(
                    List.of(
                        new Figure.Free.Corner(0.5, 0),
                        new Figure.Free.Corner(1, 0.3),
                        new Figure.Free.Corner(0, 1))),
                radial,
                null));
    Piece rule =
        new Piece(
            "rule",
            "Rule",
            SAFE,
            new Content.Shape(new Figure.Line(Figure.Line.Way.RISING), null, edge));
    Piece picture = new Piece("p", "Picture", SAFE, TREATED);
    Piece group =
        new Piece(
            "g",
            "Group",
            SAFE,
            new Content.Group(
                new Size(Length.mm("30"), Length.mm("20")),
                List.of(
                    new Piece(
                        "code",
                        "Barcode",
                        Anchors.filling(Region.GROUP),
                        new Content.Barcode(1.5, false, true, "51499", INK)),
                    new Piece(
                        "old", "Old", Anchors.filling(Region.GROUP), new Content.Barcode()))));
    Tiling tiling =
        new Tiling(
            Length.mm("12.5"), Length.mm("3"), Length.mm("0.5"), Tiling.Stagger.HALF_DROP, -33);
    Piece leaf =
        new Piece(
            "leaf",
            "Leaf",
            SAFE,
            new Content.Ornament(new Motif.Drawn("leaf", List.of(INK, Colour.WHITE))));
    Piece sky =
        new Piece("sky", "Sky", SAFE, new Content.Pattern(new Motif.Pictured("ef56"), tiling));
    Ground ground =
        new Ground(
                linear,
                Optional.of(new Content.Picture("cd34", new Focus(0.25, 0.75))),
                Ground.Extent.FRONT,
                Optional.empty())
            .withPattern(new Content.Pattern(new Motif.Drawn("dot", List.of(INK)), tiling));
    return new Design(
        Map.of("Ink", new Colour.Cmyk(60, 40, 40, 100)),
        new Composition(
            ground,
            Map.of(PanelKind.SPINE, Ground.plain(INK), PanelKind.BACK_FLAP, ground),
            List.of(disc, card, star, kite, rule, leaf, sky, picture, group, title)),
        new Composition(Ground.plain(new Colour.Gray(5)), List.of()));
  }

  @Test
  public void aDesignReadsBackAsItWasWritten() {
    assertThat(DesignDocument.read(DesignDocument.write(everything()))).isEqualTo(everything());
    assertThat(DesignDocument.read(DesignDocument.write(Design.EMPTY))).isEqualTo(Design.EMPTY);
  }

  private static final String ONE =
      """
      {"background":{"colour":"#123456","picture":"ab12","focusX":0.25,"focusY":0.75,"extent":"FRONT"},
       "pieces":[
        {"id":"title","name":"Title","pins":{
          "across":{"kind":"stretched","from":"front.safe.left","fromOffset":"0 mm","to":"front.safe.right","toOffset":"0 mm"},
          "down":{"kind":"hung","line":"front.safe.top","side":"END","offset":"5 mm","size":"40 mm"}},
         "content":{"kind":"words","fact":null,"text":"Words","face":"spectral","size":"13 mm","fit":true,
          "colour":"#1d2327","align":"RIGHT","stand":"BOTTOM","leading":1.25,"capitals":true,"tracking":7,"turn":"DOWN"}},
        {"id":"band-1","name":"Band","pins":{
          "across":{"kind":"hung","line":"sheet.left","side":"START","offset":"0 mm","size":"40 mm"},
          "down":{"kind":"hung","line":"sheet.top","side":"MIDDLE","offset":"5 mm","size":"40 mm"}},
         "content":{"kind":"band","colour":"#fbf8f1"}}]}
      """;

  @Test
  public void aDocumentOfTheFirstFormatComesOverWhole() {
    Design two = DesignDocument.read(ONE);
    Ground ground = two.outside().ground();
    assertThat(ground)
        .isEqualTo(
            new Ground(
                Paint.of(new Colour.Rgb(0x123456)),
                Optional.of(new Content.Picture("ab12", new Focus(0.25, 0.75))),
                Ground.Extent.FRONT,
                Optional.empty()));
    Words words = (Words) two.piece("title").orElseThrow().content();
    assertThat(words)
        .isEqualTo(
            new Words(
                null,
                "Words",
                new Type(
                    "spectral",
                    Length.mm("13"),
                    Type.Fit.AT_MOST,
                    7,
                    Type.Letters.CAPITALS,
                    List.of()),
                Setting.PLAIN
                    .aligned(Setting.Align.RIGHT, Setting.VerticalAlign.BOTTOM)
                    .withLeading(1.25)
                    .running(Setting.Direction.DOWN),
                Paint.of(new Colour.Rgb(0x1d2327)),
                null,
                null,
                null,
                null));
    assertThat(two.piece("band-1").orElseThrow().content())
        .isEqualTo(Content.Shape.band(new Colour.Rgb(0xfbf8f1)));
    assertThat(two.piece("title").orElseThrow().anchors().down().toString()).contains("END");
    assertThat(DesignDocument.read(DesignDocument.write(two))).isEqualTo(two);
  }

  @DataProvider
  public Object[][] unreadable() {
    String good = DesignDocument.write(everything());
    return new Object[][] {
      {"nothing", ""},
      {"no JSON", "{\"background\":"},
      {"a list", "[]"},
      {"a newer format", good.replaceFirst("\"format\":3", "\"format\":4")},
      {"a field of a newer Reglet", good.replaceFirst("\"id\":", "\"glow\":1,\"id\":")},
      {"a kind of a newer Reglet", good.replace("\"kind\":\"shape\"", "\"kind\":\"arc\"")},
      {"a line that no wrap has", good.replace("front.safe.left", "front.safe.sideways")},
      {"a colour that is none", good.replace("cmyk(60, 40, 40, 100)", "cmyk(160, 40, 40, 100)")},
      {"a swatch that the palette lacks", good.replace("\"Ink\":", "\"Other\":")},
      {"an id twice", good.replace("\"id\":\"p\"", "\"id\":\"disc\"")},
      {"a focus outside", good.replace("\"focusX\":0.25", "\"focusX\":7")},
      {"a number as text", good.replace("\"leading\":1.36", "\"leading\":\"1.36\"")},
      {"a first-format piece without pins", ONE.replace("\"pins\"", "\"pegs\"")}
    };
  }

  @Test(dataProvider = "unreadable")
  public void whatCanNotBeReadIsRefusedAndSaysWhy(String what, String json) {
    assertThatThrownBy(() -> DesignDocument.read(json))
        .as(what)
        .isInstanceOf(Refusal.class)
        .hasMessageStartingWith("This design can't be read: ");
  }

  @Test
  public void aNewerFormatSaysWhichAndWhichThisOneReads() {
    assertThatThrownBy(() -> DesignDocument.read("{\"format\":4}"))
        .hasMessageContaining("format 4")
        .hasMessageContaining("reads up to 3");
  }
}
