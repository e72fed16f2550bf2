package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A cover of sixty pieces: words, ellipses and drawings in turn. */
final class SixtyPieces {
  static final Book BOOK =
      new Book(
          "The Salt Ledger", "A novel", "Maren Aldous", "", "One.\nTwo.", Optional.empty(), "");

  private static final int PIECES = 60;

  private SixtyPieces() {}

  static Design on(Wrap wrap) {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < PIECES; i++) {
      PanelKind panel = i % 3 == 0 ? PanelKind.BACK : PanelKind.FRONT;
      Box safe = wrap.panel(panel).orElseThrow().safe();
      Box box =
          new Box(
              safe.left().plus(Length.mm("" + i % 10 * 10)),
              safe.top().plus(Length.mm("" + i / 10 * 30)),
              Length.mm("30"),
              Length.mm("20"));
      pieces.add(
          new Piece(
              "p" + i,
              "P" + i,
              Anchors.hung(Region.safe(panel), Span.Hold.START, Span.Hold.START, box, wrap),
              content(i)));
    }
    return new Design(
        Map.of(), new Composition(Ground.plain(Colour.WHITE), pieces), Composition.BLANK);
  }

  private static Content content(int i) {
    return switch (i % 4) {
      case 0 -> new Content.Ornament(new Motif.Drawn("gull", List.of(Colour.BLACK)));
      case 1 -> new Content.Shape(new Figure.Ellipse(), Paint.of(Colour.BLACK), null);
      default -> Words.of(null, "Words of piece " + i, "spectral", Length.pt("14"), Colour.BLACK);
    };
  }

  static Wrap wrap(String house, Binding binding, String trim) throws IOException {
    try (InputStream in = SixtyPieces.class.getResourceAsStream("/houses/" + house + ".json")) {
      RuleSheet rules = RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      return Measuring.measure(
          Specification.of(binding, Size.parse(trim, Unit.IN), 312, "cream", "black", PageTurn.LTR),
          rules);
    }
  }
}
