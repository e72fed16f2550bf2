package app.reglet.core.carry;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;

/** In what two states of one piece can differ; each can be taken over by itself. */
public enum Aspect {
  /** Where it lies and which way round. */
  PLACE("place"),
  /** What it says. */
  WORDS("words"),
  /** In what letters and lines. */
  TYPE("type"),
  /** Its colours, edge and panel. */
  COLOUR("colour"),
  /** Its picture, how it is framed and treated. */
  PICTURE("picture"),
  /** Its form, or whatever else it shows. */
  FORM("form"),
  /** How it is laid over what is under it, and whether it is seen. */
  EFFECTS("effects");

  private final String said;

  Aspect(String said) {
    this.said = said;
  }

  /** As people say it. */
  public String said() {
    return said;
  }

  /** What a piece is in this aspect; equal where two are alike in it. */
  Object of(Piece p) {
    Content c = p.content();
    Words w = c instanceof Words x ? x : null;
    Content.Shape s = c instanceof Content.Shape x ? x : null;
    return switch (this) {
      case PLACE -> p.placement();
      case WORDS -> w == null ? null : Arrays.asList(w.fact(), w.text());
      case TYPE -> w == null ? null : Arrays.asList(w.type(), w.setting(), w.curve());
      case COLOUR ->
          w != null
              ? Arrays.asList(w.paint(), w.outline(), w.panel())
              : s != null ? Arrays.asList(s.fill(), s.stroke()) : null;
      case PICTURE -> c instanceof Content.Picture ? c : w == null ? null : w.through();
      case FORM -> w != null || c instanceof Content.Picture ? null : s != null ? s.figure() : c;
      case EFFECTS -> List.of(p.appearance(), p.hidden());
    };
  }

  boolean isAlike(Piece a, Piece b) {
    return Objects.equals(of(a), of(b));
  }

  /** A piece with this aspect of another of the same kind; all of its content where it is none. */
  Piece taken(Piece mine, Piece theirs) {
    if (this == PLACE) {
      return mine.withPlacement(theirs.placement());
    }
    if (this == EFFECTS) {
      return mine.withAppearance(theirs.appearance()).hidden(theirs.hidden());
    }
    Content a = mine.content();
    Content b = theirs.content();
    if (a instanceof Words m && b instanceof Words t) {
      return mine.withContent(
          new Words(
              this == WORDS ? t.fact() : m.fact(),
              this == WORDS ? t.text() : m.text(),
              this == TYPE ? t.type() : m.type(),
              this == TYPE ? t.setting() : m.setting(),
              this == COLOUR ? t.paint() : m.paint(),
              this == COLOUR ? t.outline() : m.outline(),
              this == TYPE ? t.curve() : m.curve(),
              this == COLOUR ? t.panel() : m.panel(),
              this == PICTURE ? t.through() : m.through()));
    }
    if (a instanceof Content.Shape m && b instanceof Content.Shape t) {
      return mine.withContent(
          this == COLOUR
              ? new Content.Shape(m.figure(), t.fill(), t.stroke())
              : new Content.Shape(t.figure(), m.fill(), m.stroke()));
    }
    return mine.withContent(b);
  }
}
