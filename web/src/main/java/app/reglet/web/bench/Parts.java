package app.reglet.web.bench;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;

/**
 * The pieces of a cover by the part they hang on, as people think of a cover.
 *
 * @param name of the part, {@code Front}
 * @param pieces the front one first
 */
public record Parts(String name, List<Entry> pieces) {
  /** The order in which parts are told. */
  private static final List<PanelKind> ORDER =
      List.of(
          PanelKind.FRONT,
          PanelKind.SPINE,
          PanelKind.BACK,
          PanelKind.FRONT_FLAP,
          PanelKind.BACK_FLAP);

  /**
   * A piece in the list.
   *
   * @param inside whether it is in the group above it
   * @param absent whether this cover lacks what it hangs on
   */
  public record Entry(Piece piece, boolean inside, boolean absent) {
    /** What else there is to know of it, {@code locked, hidden}. */
    public String state() {
      List<String> said = new ArrayList<>();
      if (piece.locked()) {
        said.add("locked");
      }
      if (piece.hidden()) {
        said.add("hidden");
      }
      if (absent) {
        said.add("not on this cover");
      }
      return String.join(", ", said);
    }
  }

  static List<Parts> of(List<Piece> pieces, Wrap wrap) {
    List<Parts> parts = new ArrayList<>();
    for (PanelKind kind : ORDER) {
      add(parts, wrap.nameOf(kind), pieces, wrap, kind);
    }
    add(parts, "Whole cover", pieces, wrap, null);
    return parts;
  }

  /** All that the list shows of parts, to tell whether it is another. */
  static String shown(List<Parts> parts) {
    StringBuilder out = new StringBuilder();
    for (Parts part : parts) {
      out.append(part.name()).append('\n');
      for (Entry e : part.pieces()) {
        out.append(e.piece().id() + "\t" + e.piece().name() + "\t" + e.inside() + e.state() + "\n");
      }
    }
    return out.toString();
  }

  private static void add(
      List<Parts> parts, String name, List<Piece> pieces, Wrap wrap, PanelKind kind) {
    List<Entry> entries = new ArrayList<>();
    for (int i = pieces.size() - 1; i >= 0; i--) {
      Piece p = pieces.get(i);
      if (p.anchors().across().region().panel() == kind) {
        entries.add(new Entry(p, false, p.anchors().on(wrap).isEmpty()));
        if (p.content() instanceof Content.Group g) {
          inside(g, entries);
        }
      }
    }
    if (!entries.isEmpty()) {
      parts.add(new Parts(name, entries));
    }
  }

  private static void inside(Content.Group group, List<Entry> entries) {
    for (int i = group.pieces().size() - 1; i >= 0; i--) {
      Piece p = group.pieces().get(i);
      entries.add(new Entry(p, true, false));
      if (p.content() instanceof Content.Group g) {
        inside(g, entries);
      }
    }
  }
}
