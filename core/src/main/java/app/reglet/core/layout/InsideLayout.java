package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;

/** A printed inside: a colour, a motif tone on tone, a line of words on the front. */
record InsideLayout(Draft d, Role role) {
  /**
   * What is on it.
   *
   * @param ornament of its motif
   * @param praise whether the words are what somebody said of the book, else its title
   */
  Composition with(String ornament, boolean praise) {
    Words words =
        Words.of(
                praise ? Fact.QUOTE : Fact.TITLE,
                "",
                praise ? d.pair.italic() : d.pair.display(),
                d.size(0.04),
                d.on(role))
            .aligned(Setting.Align.CENTRE, Setting.VerticalAlign.MIDDLE)
            .withLeading(1.25)
            .withPanel(
                new Panel(
                    Paint.of(d.colour(role)), 1, Length.ZERO, Length.mm("5"), Length.mm("4")));
    return new Composition(
        Ground.plain(d.colour(role)),
        List.of(
            field(PanelKind.FRONT, ornament),
            field(PanelKind.BACK, ornament),
            new Piece(
                "inside-front",
                "Inside front",
                new Anchors(d.middle(0.1), Draft.down(d.h(0.34), d.h(0.26))),
                words)));
  }

  /** A motif tone on tone on a part of the inside, off the glue. */
  private Piece field(PanelKind panel, String ornament) {
    return d.tone(
        "inside-" + panel.id() + "-pattern",
        Anchors.filling(Region.safe(panel)),
        ornament,
        role,
        0.09,
        0.07,
        Tiling.Stagger.BRICK);
  }
}
