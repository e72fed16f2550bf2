package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Row;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Makes the spine one line of parts: the loose words and ornaments that stand there, as they are,
 * and words of author, title and imprint where they are lacking.
 */
final class AddingLine {
  private static final List<Fact> PARTS = List.of(Fact.AUTHOR, Fact.TITLE, Fact.IMPRINT);

  /** New words are no higher than so many thirds of the room across. */
  private static final int THIRDS = 2;

  private final Design design;
  private final Wrap wrap;
  private final Book book;
  private final Room room;

  AddingLine(Design design, Wrap wrap, Book book, Room room) {
    this.design = design;
    this.wrap = wrap;
    this.book = book;
    this.room = room;
  }

  Design line() {
    PrintedSide side = PrintedSide.of(wrap);
    Box safe = room.panel(PanelKind.SPINE).safe();
    if (safe.isEmpty()) {
      throw new Refusal("The spine has no room inside its safe lines.");
    }
    Composition all = design.side(side);
    List<Piece> there = all.pieces().stream().filter(this::isOnSpine).toList();
    List<Piece> parts = new ArrayList<>();
    Design with = design; // what was made already has its id
    for (Fact fact : PARTS) {
      Optional<Piece> words = there.stream().filter(p -> fact(p) == fact).findFirst();
      if (words.isPresent()) {
        parts.add(words.get());
      } else if (!book.text(fact).isBlank()) {
        Piece made = fresh(fact, with, there, safe);
        with = with.changed(side, c -> c.plus(made));
        parts.add(made);
      }
    }
    // what else stands there goes before the imprint
    int last = parts.size();
    if (last > 0 && fact(parts.get(last - 1)) == Fact.IMPRINT) {
      last--;
    }
    parts.addAll(last, there.stream().filter(p -> !parts.contains(p)).toList());
    if (parts.isEmpty()) {
      throw new Refusal(
          "There is nothing to put in line: the book has no author, title or imprint yet.");
    }
    Region region = Region.safe(PanelKind.SPINE);
    Piece line =
        new Piece(
            design.freeId("group"),
            "Spine line",
            Anchors.filling(region),
            new Content.Group(safe.size(), inside(parts, safe), Row.OF_SPINE));
    return design.changed(side, c -> c.without(there.stream().map(Piece::id).toList()).plus(line));
  }

  private boolean isOnSpine(Piece p) {
    return (p.content() instanceof Words || p.content() instanceof Content.Ornament)
        && p.anchors().across().region().panel() == PanelKind.SPINE
        && p.placement().isUpright()
        && p.anchors().on(wrap).isPresent();
  }

  private static Fact fact(Piece p) {
    return p.content() instanceof Words w ? w.fact() : null;
  }

  /** Words as the first are set that stand there. */
  private Piece fresh(Fact fact, Design with, List<Piece> there, Box safe) {
    Length size = Length.pt("22").min(safe.width().times(THIRDS).dividedBy(3));
    Words plain =
        Words.of(fact, "", room.face(), size, room.ink())
            .aligned(Setting.Align.CENTRE, Setting.VerticalAlign.CAPITALS);
    Words words =
        there.stream()
            .map(Piece::content)
            .filter(Words.class::isInstance)
            .map(Words.class::cast)
            .findFirst()
            .map(w -> plain.withType(w.type()).withSetting(w.setting()).withPaint(w.paint()))
            .orElse(plain);
    return new Piece(
        with.freeId("words"),
        "Spine " + fact.title().toLowerCase(Locale.ROOT),
        Anchors.filling(Region.safe(PanelKind.SPINE)),
        words);
  }

  private List<Piece> inside(List<Piece> parts, Box safe) {
    return parts.stream()
        .map(
            p ->
                p.withAnchors(
                    Anchors.hung(
                        Region.GROUP,
                        Span.Hold.START,
                        Span.Hold.START,
                        p.anchors()
                            .on(wrap)
                            .orElse(safe)
                            .moved(safe.x().negate(), safe.y().negate()),
                        Regions.ofGroup(safe.size()))))
        .toList();
  }
}
