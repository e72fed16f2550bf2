package app.reglet.web.demo;

import app.reglet.core.book.Book;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.edit.Edit;
import app.reglet.core.edit.EditReader;
import app.reglet.core.edit.Editing;
import app.reglet.core.edit.Stock;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.ornament.Ornaments;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes a cover of the demo by the changes that a person would make on the bench, one by one. */
final class Composing {
  private final Wrap outside;
  private final Book book;
  private Wrap wrap;
  private Design design = Design.EMPTY;
  private final List<String> made = new ArrayList<>();

  Composing(Wrap outside, Book book) {
    this.outside = outside;
    this.wrap = outside;
    this.book = book;
  }

  Design design() {
    return design;
  }

  /** Turns the cover over. */
  Composing inside() {
    wrap = FilePages.inside(outside).orElseThrow();
    return this;
  }

  /** A change, as a form of the bench sends it: names and texts in turn. */
  Composing does(String kind, String... fields) {
    Map<String, String> sent = new LinkedHashMap<>();
    sent.put("edit", kind);
    sent.put("side", PrintedSide.of(wrap).id());
    for (int i = 0; i < fields.length; i += 2) {
      sent.put(fields[i], fields[i + 1]);
    }
    return does(EditReader.read(sent, Unit.MM, design, List.of(), stock()));
  }

  Composing does(Edit edit) {
    List<String> before = ids();
    design = Editing.apply(edit, design, wrap, book);
    ids().stream().filter(id -> !before.contains(id)).forEach(made::add);
    return this;
  }

  private List<String> ids() {
    return design.side(PrintedSide.of(wrap)).all().map(Piece::id).toList();
  }

  private static Stock stock() {
    return new Stock() {
      @Override
      public boolean hasFace(String id) {
        return true;
      }

      @Override
      public Optional<Stock.Ornament> ornament(String id) {
        return Ornaments.shipped()
            .find(id)
            .map(o -> new Stock.Ornament(o.name(), o.width(), o.height()));
      }
    };
  }

  /** The piece that was made last. */
  String last() {
    return made.get(made.size() - 1);
  }

  /** A new piece, laid so many mm from a panel's trim; width and height in mm. */
  Composing put(String what, String panel, double x, double y, double w, double h) {
    String[] kind = what.split(":");
    if (kind[0].equals("shape")) {
      does("add", "what", "shape", "figure", kind[1], "panel", panel);
    } else if (kind[0].equals("ornament") || kind[0].equals("pattern")) {
      does("add", "what", kind[0], "ornament", kind[1], "panel", panel);
    } else {
      does("add", "what", panel + ":" + kind[1]);
    }
    return does(
        "place",
        "piece",
        last(),
        "from",
        panel + ".trim",
        "left",
        x + " mm",
        "top",
        y + " mm",
        "width",
        w + " mm",
        "height",
        h + " mm");
  }

  /** Something of the piece that was made last. */
  Composing set(String... fields) {
    String[] all = new String[fields.length + 2];
    all[0] = "piece";
    all[1] = last();
    System.arraycopy(fields, 0, all, 2, fields.length);
    return does("set", all);
  }

  /** Words of their own or of a fact, in a face, as large as they have room for. */
  Composing words(
      String what, String panel, double[] box, String face, double points, String colour) {
    String[] kind = what.split(":", 2);
    boolean own = kind[0].equals("own");
    put("words:" + (own ? "own" : kind[0]), panel, box[0], box[1], box[2], box[3]);
    return set(
        "text",
        own ? kind[1] : "",
        "face",
        face,
        "size",
        points + " pt",
        "fit",
        "AT_MOST",
        "colour",
        colour);
  }
}
