package app.reglet.core.edit;

import app.reglet.core.Choices;
import app.reglet.core.Refusal;
import app.reglet.core.book.Emphasised;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Row;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads what is typed about a piece's content; what is not sent stays. */
final class ContentReader {
  private final Typed typed;
  private final Stock stock;
  private final PaintReader paints;
  private final SettingReader setting;
  private final FormReader form;
  private final PictureReader pictures;

  ContentReader(Typed typed, Stock stock) {
    this.typed = typed;
    this.stock = stock;
    this.paints = new PaintReader(typed);
    this.setting = new SettingReader(typed, stock);
    this.form = new FormReader(typed);
    this.pictures = new PictureReader(typed, stock);
  }

  Content changed(Piece piece) {
    return piece
        .content()
        .accept(
            new Content.Visitor<>() {
              @Override
              public Content words(Words words) {
                return changed(words);
              }

              @Override
              public Content shape(Content.Shape shape) {
                return changed(shape);
              }

              @Override
              public Content picture(Content.Picture picture) {
                return pictures.changed(picture);
              }

              @Override
              public Content ornament(Content.Ornament ornament) {
                return new Content.Ornament(drawn(ornament.drawn()));
              }

              @Override
              public Content pattern(Content.Pattern pattern) {
                return changed(pattern);
              }

              @Override
              public Content page(Content.Page page) {
                return changed(page);
              }

              @Override
              public Content cutting(Content.Cutting cutting) {
                return cutting;
              }

              @Override
              public Content barcode(Content.Barcode barcode) {
                return changed(barcode);
              }

              @Override
              public Content group(Content.Group group) {
                return group.in(row(group.row()));
              }
            });
  }

  /** That a group's pieces stand in one line, and how. */
  private Row row(Row old) {
    String run = typed.text("row", old == null ? "none" : old.run().name());
    if (run.equals("none")) {
      return null;
    }
    boolean largest = old != null && old.largest();
    return new Row(
        Choices.of(Row.Run.class, run),
        typed.has("rowSize") ? typed.text("rowSize").equals("largest") : largest);
  }

  private Words changed(Words old) {
    Fact fact = old.fact();
    if (typed.has("source")) {
      String source = typed.text("source");
      fact = source.equals("own") ? null : Choices.of(Fact.class, source);
    }
    return new Words(
        fact,
        text(old),
        setting.type(old.type()),
        setting.setting(old.setting()),
        filled(old.paint()),
        outline(old.outline()),
        form.curve(old.curve()),
        form.panel(old.panel()),
        through(old.through()));
  }

  /** A picture comes with its file; its focus is moved here, or it is taken off. */
  private Content.Picture through(Content.Picture old) {
    if (old == null || typed.text("through", "").equals("none")) {
      return null;
    }
    return old.withFraming(
        old.framing()
            .withFocus(
                new Focus(
                    typed.figure("throughX", "focus", 0, 1, old.framing().focus().x()),
                    typed.figure("throughY", "focus", 0, 1, old.framing().focus().y()))));
  }

  /** A line round letters lies outside them unless it is said to lie on their edge. */
  private Stroke outline(Stroke old) {
    Stroke edge = paints.edge(old);
    return edge == null || edge.side() != Stroke.Side.INSIDE
        ? edge
        : new Stroke(edge.paint(), edge.width(), edge.dashes(), Stroke.Side.OUTSIDE);
  }

  /** Own words; those that were a fact's keep their stars as they stood there. */
  private String text(Words old) {
    String text = typed.text("text", old.text()).replace("\r\n", "\n");
    return typed.has("text") && typed.flag("literal", false) && !isProse(old)
        ? Emphasised.escaped(text)
        : text;
  }

  private static boolean isProse(Words old) {
    return old.fact() != null && old.fact().isProse();
  }

  /** A line has no inside, but must be seen: it takes an edge of what it was filled with. */
  private Content changed(Content.Shape old) {
    Figure figure = new FigureReader(typed).changed(old.figure());
    Paint fill = paints.paint(old.fill());
    Stroke edge = paints.edge(old.stroke());
    if (!figure.isClosed() && edge == null) {
      edge =
          typed.has("edge")
              ? null
              : new Stroke(
                  fill instanceof Paint.Flat ? fill : Paint.of(Colour.BLACK_INK),
                  Length.mm("0.5"),
                  List.of(),
                  Stroke.Side.CENTRED);
    }
    if (edge == null && (fill == null || !figure.isClosed())) {
      throw new Refusal(
          "Without a fill and without an edge nothing of it would be seen: give it the other first, or take it off.");
    }
    return new Content.Shape(figure, fill, edge);
  }

  /** A page there is: whoever keeps the file reads it first, or refuses. */
  private Content changed(Content.Page old) {
    int most = stock.pages(old.sha());
    return new Content.Page(
        old.sha(),
        (int) Math.round(typed.figure("page", "page", 1, Math.max(1, most), old.number())));
  }

  private Content changed(Content.Barcode old) {
    String addOn = typed.text("addOn", old.addOn()).strip();
    if (!Content.Barcode.isAddOn(addOn)) {
      throw new Refusal(
          "addOn",
          "“" + addOn + "” is no price add-on: five digits, the first for the currency, or none.");
    }
    return new Content.Barcode(
        typed.figure(
                "magnification",
                "magnification in percent",
                Content.Barcode.LEAST * 100,
                Content.Barcode.MOST * 100,
                old.magnification() * 100)
            / 100,
        typed.flag("fit", old.fit()),
        typed.flag("isbnLine", old.isbnLine()),
        addOn,
        typed.has("panel") ? Colour.parse(typed.text("panel")) : old.panel());
  }

  /** The ornament that is named. */
  Stock.Ornament ornament() {
    String id = typed.text("ornament");
    return stock
        .ornament(id)
        .orElseThrow(
            () ->
                new Refusal("ornament", "There is no ornament “" + id + "” here: choose another."));
  }

  private Motif.Drawn drawn(Motif.Drawn old) {
    String id = old.ornament();
    if (typed.has("ornament")) {
      ornament();
      id = typed.text("ornament");
    }
    List<Colour> inks = new ArrayList<>(old.inks());
    for (int i = 0; i < Motif.Drawn.MOST; i++) {
      String field = "ink." + i + ".colour";
      if (typed.has(field)) {
        while (inks.size() <= i) {
          inks.add(inks.get(inks.size() - 1));
        }
        inks.set(i, Colour.parse(typed.text(field)));
      }
    }
    return new Motif.Drawn(id, inks);
  }

  private Content.Pattern changed(Content.Pattern old) {
    Tiling t = old.tiling();
    Motif motif = old.motif();
    if (typed.has("motifPicture")) {
      motif = new Motif.Pictured(typed.text("motifPicture"));
    } else if (typed.has("ornament") || old.motif() instanceof Motif.Drawn) {
      motif =
          drawn(
              old.motif() instanceof Motif.Drawn d
                  ? d
                  : AddingShapes.motif(typed.text("ornament")));
    }
    return new Content.Pattern(
        motif,
        new Tiling(
            within("tileWidth", "A motif is ", " wide", Tiling.LEAST, t.width()),
            within("tileAcross", "Between motifs lie ", "", Length.ZERO, t.across()),
            within("tileDown", "Between motifs lie ", "", Length.ZERO, t.down()),
            typed.choice("stagger", t.stagger()),
            typed.figure("tileAngle", "angle", -360, 360, t.angle())));
  }

  /** A measure of a pattern, refused in the unit that it was typed in. */
  private Length within(String field, String what, String way, Length least, Length old) {
    Length now = typed.lengthIfAny(field).orElse(old);
    if (now.isLessThan(least) || now.isMoreThan(Tiling.MOST)) {
      throw new Refusal(
          field,
          what
              + least.figure(typed.unit(), 3)
              + " to "
              + Tiling.MOST.brief(typed.unit())
              + way
              + "; typed was "
              + now.print(typed.unit())
              + ".");
    }
    return now;
  }

  private Optional<Content.Pattern> pattern(Optional<Content.Pattern> old) {
    String wanted = typed.text("pattern", "");
    if (wanted.equals("none")) {
      return Optional.empty();
    }
    if (old.isEmpty() && (wanted.equals("on") || typed.has("ornament"))) {
      return Optional.of(changed(AddingShapes.pattern("dot", AddingShapes.PALE)));
    }
    return old.map(this::changed);
  }

  /** What must be filled with something. */
  private Paint filled(Paint old) {
    Paint paint = paints.paint(old);
    if (paint == null) {
      throw new Refusal("fill", "This must have a colour: hide it if it should not be seen.");
    }
    return paint;
  }

  /** Another picture is seen as its file has it; an empty name takes the picture off. */
  private Optional<Content.Picture> pictured(Optional<Content.Picture> old) {
    String sha = typed.text("picture", old.map(Content.Picture::sha).orElse(""));
    return sha.isEmpty()
        ? Optional.empty()
        : old.filter(p -> p.sha().equals(sha))
            .map(pictures::changed)
            .or(() -> Optional.of(Content.Picture.of(pictures.kept(sha))));
  }

  Ground changed(Ground old) {
    return new Ground(
        filled(old.paint()),
        pictured(old.picture()),
        typed.choice("extent", old.extent()),
        pattern(old.pattern()));
  }

  Appearance changed(Appearance old) {
    return form.shadow(old)
        .withOpacity(
            typed.figure("opacity", "opacity in percent", 0, 100, old.opacity() * 100) / 100)
        .withBlend(typed.choice("blend", old.blend()));
  }
}
